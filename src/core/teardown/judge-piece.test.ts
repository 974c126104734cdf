import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { confusable, judgePiece } from "./judge-piece";

const { anatomy, parts } = families["star-drag-bridge"];
const types = new Map(parts.map((part) => [part.id, part]));
const pieceOf = (seat: string) => anatomy.positions.find(({ id }) => id === seat)!.partTypeId;
const judge = (seat: string, fromSeat: string) => judgePiece(anatomy, types, seat, pieceOf(fromSeat));

describe("a piece out of another well", () => {
  it("keyed for eared is refused, and eared for keyed", () => {
    expect(judge("keyed-low", "eared")).toEqual({ fits: false, words: expect.stringMatching(/eared washer.*takes a keyed washer/) });
    expect(judge("eared", "keyed-high").fits).toBe(false);
  });

  it("a long screw in a short hole is refused, with how far it comes out", () => {
    expect(judge("head-screw-foot-front", "head-screw-top")).toEqual({
      fits: false,
      words: expect.stringMatching(/Its thread|sticks out \d/),
    });
    const short = types.get(pieceOf("head-screw-foot-front"))!;
    const long = { ...short, id: "long", name: "Long screw", shape: { ...short.shape, lengthMm: 9, threadedMm: 9 } } as typeof short;
    expect(judgePiece(anatomy, new Map([...types, ["long", long]]), "head-screw-foot-front", "long")).toEqual({
      fits: false,
      words: "It is 9 mm long, the hole (foot, front) 5.5 mm deep: it sticks out 3.5 mm on the other side.",
    });
  });

  it("a screw 4 mm too long or too short is refused in a hole nobody measured, one within 0.4 mm is not", () => {
    const screw = anatomy.positions.find(
      ({ partTypeId, holeDepthMm }) => types.get(partTypeId)!.shape.kind === "screw" && holeDepthMm === undefined,
    );
    const seat = screw ?? { ...anatomy.positions.find(({ id }) => id === "head-screw-foot-front")!, holeDepthMm: undefined };
    const unmeasured = {
      ...anatomy,
      positions: anatomy.positions.map((one) => (one.id === seat.id ? { ...one, holeDepthMm: undefined } : one)),
    };
    const own = types.get(seat.partTypeId)!;
    if (own.shape.kind !== "screw") throw new Error("no screw");
    for (const [off, fits, words] of [
      [4, false, /4 mm longer/],
      [0.5, false, /0.5 mm longer/],
      [0.3, true, /fits|sizes/],
      [-0.3, true, /fits|sizes/],
      [-0.5, false, /0.5 mm shorter/],
      [-2, false, /2 mm shorter/],
    ] as const) {
      const shape = { ...own.shape, lengthMm: own.shape.lengthMm + off, threadedMm: own.shape.threadedMm + off };
      const other = { ...own, id: "other", name: "Other screw", shape } as typeof own;
      const said = judgePiece(unmeasured, new Map([...types, ["other", other]]), seat.id, "other");
      expect([off, said.fits], said.words).toEqual([off, fits]);
      if (!fits) expect(said.words).toMatch(words);
    }
  });

  it("a screw threaded all the way is refused where the spring rides on its smooth part", () => {
    expect(judge("bridge-screw-top-front", "bridge-screw-low-front")).toEqual({
      fits: false,
      words: expect.stringMatching(/shorter|thread/),
    });
  });

  it("the same part from another well is the same part", () => {
    expect(judge("friction-mid", "friction-high").fits).toBe(true);
    expect(judge("head-screw-top", "head-screw-rear").fits).toBe(true);
  });

  it("a washer with another hole is refused by its sizes", () => {
    expect(judge("friction-mid", "friction-low").fits).toBe(false);
  });

  it("knows which pieces could be taken for each other", () => {
    expect(confusable(anatomy, types, "keyed-low")).toContain("eared");
    expect(confusable(anatomy, types, "head-screw-foot-front")).toContain("head-screw-top");
    expect(confusable(anatomy, types, "handle")).toEqual([]);
  });

  it("lets every seat keep its own piece, in every family", () => {
    for (const family of Object.values(families)) {
      const catalogue = new Map(family.parts.map((part) => [part.id, part]));
      for (const seat of family.anatomy.positions)
        expect(judgePiece(family.anatomy, catalogue, seat.id, seat.partTypeId).fits, seat.name).toBe(true);
    }
  });
});
