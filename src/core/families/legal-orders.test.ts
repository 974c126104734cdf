import { describe, expect, it } from "vitest";
import { anyOrders, buildOf, frameOf, lawsOf } from "#tests/any-order";
import { modulesWithLaws } from "#tests/hand-laws";
import { stream } from "#tests/random-stream";
import { missingBefore } from "@/core/teardown/left-over";
import { familyIds } from "@/core/vocabulary/families";
import { everyFrame, familyWith } from "./families";
import type { FamilyTemplate } from "./template";

/** Each skeleton as usual, then in every build of the modules that have laws of their own; `npm run every-reel` takes more orders of more reels. */
const builds = familyIds.flatMap((family) =>
  everyFrame(family).flatMap((usual): [family: string, built: string, orders: number, template: FamilyTemplate][] => {
    const choices = new Map(usual.variants.map(({ id, choices: all }) => [id, all.slice(1)]));
    const named = frameOf(usual) ?? "as usual";
    return [
      [family, named, 300, usual],
      ...modulesWithLaws(family, frameOf(usual)).flatMap(([module]) =>
        (choices.get(module) ?? []).map(({ id, name }): [string, string, number, FamilyTemplate] => [
          family,
          `${named}, ${name}`,
          60,
          familyWith(family, { ...usual.chosen, [module]: id }),
        ]),
      ),
    ];
  }),
);

it("knows the laws of every way its modules are built", () => {
  for (const frame of familyIds.flatMap(everyFrame))
    for (const [module, laws] of modulesWithLaws(frame.family, frameOf(frame))) {
      const variant = frame.variants.find(({ id }) => id === module);
      expect(laws, `${frame.family}, ${module}`).toEqual(expect.arrayContaining(variant!.choices.map(({ id }) => id)));
    }
});

describe.each(builds)("%s (%s)", (_family, _built, count, template) => {
  it(`raises no alarm in ${count} orders that hands could as well have taken`, () => {
    const { found, others } = anyOrders(template, count, stream(20261126));
    expect(found).toEqual([]);
    expect(others).toBeGreaterThan(count * 0.97);
  });

  it("raises an alarm that names it for each thing done after what has to wait for it", () => {
    const steps = buildOf(template.anatomy);
    const ids = steps.map(({ operation }) => operation.id);
    const needs = new Map(steps.map((step) => [step.operation.id, step.needs]));
    for (const [then, befores] of lawsOf(template))
      for (const first of befores) {
        const wrong = ids.filter((one) => one !== first);
        wrong.splice(wrong.indexOf(then) + 1, 0, first);
        const done = new Set<string>();
        const missed = new Set<string>();
        for (const id of wrong) {
          for (const missing of missingBefore(needs.get(id)!, done)) missed.add(missing);
          done.add(id);
        }
        expect([...missed], `${first} after ${then}`).toContain(first);
      }
  });
});
