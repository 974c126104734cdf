import { describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#tests/skerry";
import { type TakenAlone, taughtBatches } from "./taught-batches";

const anatomy = { ...skerry30Anatomy, batches: [] };
/** Seats taken one after the other in a job, with the seconds between presses. */
const job = (jobId: number, seats: readonly string[], seconds: number): TakenAlone[] =>
  seats.map((positionId, i) => ({ jobId, positionId, well: i + 1, atMs: i * seconds * 1000 }));
const knob = ["handle-nut", "handle", "handle-spacer"];

describe("what the bench teaches of hands", () => {
  it("asks after the third job in which the same parts came off within ten seconds, and not before", () => {
    const twice = [...job(1, knob, 4), ...job(2, knob, 9)];
    expect(taughtBatches(anatomy, twice)).toEqual([]);
    expect(taughtBatches(anatomy, [...twice, ...job(3, knob, 10)])).toEqual([{ positionIds: knob, times: 3 }]);
  });

  it("takes slow hands, another assembly and what is one act already for no sign", () => {
    const three = (seats: readonly string[], seconds: number) => [1, 2, 3].flatMap((id) => job(id, seats, seconds));
    expect(taughtBatches(anatomy, three(knob, 11))).toEqual([]);
    expect(taughtBatches(anatomy, three(["handle", "spool"], 3))).toEqual([]);
    expect(taughtBatches({ ...anatomy, batches: [{ id: "b", name: "Handle", positionIds: knob }] }, three(knob, 3))).toEqual([]);
  });
});
