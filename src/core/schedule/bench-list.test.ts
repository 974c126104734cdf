import { describe, expect, it } from "vitest";
import { type BenchAsk, type BenchRow, benchList, benchOrders } from "./bench-list";

const row = (tag: string, more: Partial<BenchRow> = {}): BenchRow => ({
  tag,
  reel: "Marrowby Skerry 30",
  serial: "MS30",
  owner: "Ada Brook",
  phone: "0555 01-05",
  reported: "stiff to turn",
  lot: null,
  station: "test",
  move: "ours",
  promisedOn: "2026-03-05",
  since: "2026-03-01T10:00:00Z",
  minutesLeft: 60,
  people: [],
  ...more,
});
const all: BenchAsk = { words: "", station: null, move: null, person: null, order: "promised" };
const rows = [
  row("Z-00001-1", { owner: "Zoë Ahern", promisedOn: "2026-03-09", station: "build", people: ["Ilse", "Per"], minutesLeft: 20 }),
  row("Z-00002-2", { owner: "Ada Brook", reported: "click gone", move: "customer", since: "2026-02-01T10:00:00Z" }),
  row("Z-00003-3", { owner: "Maren Quist", lot: "Harbour hire", station: "strip", people: ["Per"], serial: "HB-771" }),
];
const found = (ask: Partial<BenchAsk>) => benchList(rows, { ...all, ...ask }).map(({ tag }) => tag.slice(6, 7));

describe("reels found at the bench", () => {
  it("by anything that is known of them, whatever case, accents or gaps it is typed with", () => {
    expect(found({ words: "zoe" })).toEqual(["1"]);
    expect(found({ words: "z-00002-2" })).toEqual(["2"]);
    expect(found({ words: "Z000033" })).toEqual(["3"]);
    expect(found({ words: "hb-771" })).toEqual(["3"]);
    expect(found({ words: "harbour" })).toEqual(["3"]);
    expect(found({ words: "click" })).toEqual(["2"]);
    expect(found({ words: "05550105 ada" })).toEqual(["2"]);
    expect(found({ words: "ada stiff" })).toEqual([]);
  });

  it("by station, by whose move it is, and by who worked on them", () => {
    expect(found({ station: "strip" })).toEqual(["3"]);
    expect(found({ move: "customer" })).toEqual(["2"]);
    expect(found({ person: "Per" })).toEqual(["3", "1"]);
    expect(found({ person: "Per", station: "build" })).toEqual(["1"]);
  });

  it("in the order asked for, and none lost by it", () => {
    expect(found({ order: "promised" })).toEqual(["2", "3", "1"]);
    expect(found({ order: "since" })[0]).toBe("2");
    expect(found({ order: "owner" })).toEqual(["2", "3", "1"]);
    expect(found({ order: "station" })).toEqual(["2", "3", "1"]);
    expect(found({ order: "left" })[0]).toBe("1");
    for (const order of benchOrders) expect(found({ order }).toSorted()).toEqual(["1", "2", "3"]);
  });
});
