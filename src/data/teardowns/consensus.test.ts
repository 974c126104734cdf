import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { addUnknownModel, nameLoosePart, takeLoosePart } from "@/data/bench/loose-parts";
import { noteWell, takeParts } from "@/data/bench/tray";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { consensusOfModel, lessonsOf, takeConsensus, takeLesson } from "./consensus";

describe("teardowns of a model without a schematic", () => {
  it("become its schematic by one press once two of them agree, and not before", () => {
    const shop = openWorkshop();
    const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "Old brass", family: "centrepin" });
    const teardown = (kinds: readonly ("screw" | "cap" | "washer" | "spool")[]) => {
      const id = shop.open({ modelId });
      kinds.forEach((kind, i) => {
        takeLoosePart(shop.ctx, id, kind);
        if (kind === "cap") nameLoosePart(shop.ctx, id, i + 1, "Thumb cap");
      });
      return id;
    };
    teardown(["screw", "cap", "washer", "spool"]);
    expect(consensusOfModel(shop.db, modelId)).toBeNull();
    expect(refusal(() => takeConsensus(shop.ctx, modelId)).code).toBe("too-few");
    teardown(["screw", "cap", "spool"]);
    teardown(["cap", "screw", "spool"]);
    const consensus = consensusOfModel(shop.db, modelId)!;
    expect(consensus.teardowns).toBe(3);
    expect(consensus.seats.map(({ part, seen }) => [part.kind, seen])).toEqual([
      ["screw", 3],
      ["cap", 3],
      ["washer", 1],
      ["spool", 3],
    ]);
    expect(takeConsensus(shop.ctx, modelId).seats).toBe(3);
    const { anatomy, number } = getCurrentModelVersion(shop.db, modelId);
    expect([anatomy.positions.length, number]).toEqual([3, 2]);
    expect(anatomy.positions.some(({ name }) => name === "Thumb cap")).toBe(true);
    expect(anatomy.positions.every(({ guessed }) => guessed)).toBe(true);
    expect(refusal(() => takeConsensus(shop.ctx, modelId)).code).toBe("has-schematic");
  });
});

describe("what jobs taught of a seat", () => {
  it("is offered once five looks show that it fails, and says so in the model's next version, once", () => {
    const shop = openWorkshop();
    expect(lessonsOf(shop.db, "skerry-30")).toEqual([]);
    const seat = getCurrentModelVersion(shop.db, "skerry-30").anatomy.positions[0]!.id;
    shop.db.prepare("INSERT OR REPLACE INTO seat_wear (model_id, position_id, seen, worn) VALUES ('skerry-30', ?, 12, 5)").run(seat);
    const [failing] = lessonsOf(shop.db, "skerry-30");
    expect(failing).toMatchObject({ seatId: seat, kind: "fails", said: false });
    const { number } = takeLesson(shop.ctx, "skerry-30", 1, failing!);
    const changed = getCurrentModelVersion(shop.db, "skerry-30");
    expect(changed.number).toBe(number);
    expect(changed.anatomy.positions.find(({ id }) => id === seat)!.caution).toContain("worn in 5 of 12");
    expect(lessonsOf(shop.db, "skerry-30")[0]!.said).toBe(true);
    // Once more it is written anew, not twice.
    shop.db.prepare("UPDATE seat_wear SET seen = 20, worn = 9 WHERE position_id = ?").run(seat);
    takeLesson(shop.ctx, "skerry-30", number, failing!);
    const caution = getCurrentModelVersion(shop.db, "skerry-30").anatomy.positions.find(({ id }) => id === seat)!.caution!;
    expect(caution.match(/Fails often/g)).toHaveLength(1);
    expect(caution).toContain("9 of 20");
  });

  it("is offered where two jobs found another count than is drawn", () => {
    const shop = openWorkshop();
    for (let i = 0; i < 2; i++) {
      const id = shop.open({});
      takeParts(shop.ctx, id, ["star"]);
      noteWell(shop.ctx, id, "star", { verdict: "ok", orientation: "", note: "", at: "strip", foundCount: 2 });
    }
    expect(lessonsOf(shop.db, "skerry-30")).toMatchObject([
      { kind: "count", seatId: "star", words: "Count them: 2 found in 2 of 2 reels." },
    ]);
    expect(refusal(() => takeLesson(shop.ctx, "skerry-30", 1, { seatId: "star", kind: "fails" })).code).toBe("no-lesson");
  });
});
