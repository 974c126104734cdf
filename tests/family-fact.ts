import { expect } from "vitest";
import { placeOperationId } from "@/core/anatomy/types";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { mayHave } from "@/core/diagnosis/signs-on-reel";
import type { FamilyTemplate } from "@/core/families/template";
import { batchesOf } from "@/core/hands/batches";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";

/** What a family's template must get right. Source of every row: common practice. */
export type Fact =
  /** Seats that are there. */
  | { readonly seats: readonly string[] }
  /** Parts go in one after the other. */
  | { readonly goesIn: readonly string[] }
  /** What is said at a seat: how it lies, what goes wrong, what to beware of. */
  | { readonly at: string; readonly says: RegExp }
  /** What is set before it comes off. */
  | { readonly at: string; readonly first: RegExp }
  | { readonly at: string; readonly product: string }
  | { readonly at: string; readonly oilPort: true }
  | { readonly at: string; readonly stays: true }
  /** A check by its words, after some seats and before others. */
  | { readonly gate: RegExp; readonly after?: readonly string[]; readonly before?: readonly string[] }
  /** An act by its words. */
  | { readonly act: RegExp; readonly after?: readonly string[]; readonly before?: readonly string[] }
  /** Something that can be wrong with it. */
  | { readonly fault: RegExp }
  /** Hands take these as one. */
  | { readonly asOne: readonly string[] };

export type Row = readonly [line: string, fact: Fact, built?: Readonly<Record<string, string>>];

/** Fails where a fact does not hold of a template. */
export function holds({ anatomy, parts }: FamilyTemplate, fact: Fact): void {
  const seat = (id: string) => anatomy.positions.find((position) => position.id === id);
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  const steps = built.value.steps.map(({ operation }) => operation);
  const at = (id: string) => steps.findIndex((operation) => operation.id === placeOperationId(id));
  if ("seats" in fact) for (const id of fact.seats) expect(seat(id), id).toBeDefined();
  if ("goesIn" in fact) {
    const order = fact.goesIn.map(at);
    expect(
      order.every((place) => place >= 0),
      fact.goesIn.join(", "),
    ).toBe(true);
    expect(order, fact.goesIn.join(", ")).toEqual([...order].sort((a, b) => a - b));
  }
  if ("says" in fact) {
    const { orientation, trap, caution, hole, lubricant } = seat(fact.at)!;
    expect([orientation, trap, caution, hole, lubricant?.why].filter(Boolean).join(" | "), fact.at).toMatch(fact.says);
  }
  if ("first" in fact)
    expect(
      seat(fact.at)
        ?.setFirst.map(({ words }) => words)
        .join("; ") ?? "",
      fact.at,
    ).toMatch(fact.first);
  if ("product" in fact) expect(seat(fact.at)?.lubricant?.product, fact.at).toBe(fact.product);
  if ("oilPort" in fact) expect(seat(fact.at)?.oilPort, fact.at).toBeTruthy();
  if ("stays" in fact) expect(seat(fact.at)?.stays, fact.at).toBe(true);
  const words = "gate" in fact ? fact.gate : "act" in fact ? fact.act : null;
  if (words) {
    const act = steps.findIndex((operation) => words.test(operation.words) && ("gate" in fact ? operation.kind === "gate" : true));
    expect(act, String(words)).toBeGreaterThanOrEqual(0);
    const { after = [], before = [] } = fact as { after?: readonly string[]; before?: readonly string[] };
    for (const id of after) expect(at(id), `${id} before ${words}`).toBeLessThan(act);
    for (const id of before) expect(at(id), `${words} before ${id}`).toBeGreaterThan(act);
  }
  if ("fault" in fact) {
    const roles = new Set(parts.map(({ role }) => role));
    const able = commonKnowledge.faults.filter((fault) => mayHave(fault, roles));
    expect(able.map(({ name, remedy }) => `${name}: ${remedy.words}`).join(" | ")).toMatch(fact.fault);
  }
  if ("asOne" in fact) {
    const batches = batchesOf(anatomy, new Map(parts.map((part) => [part.id, part])));
    const [first = ""] = fact.asOne;
    expect([...(batches.find(({ positionIds }) => positionIds.includes(first))?.positionIds ?? [])].sort()).toEqual([...fact.asOne].sort());
  }
}
