import { describe, expect, it } from "vitest";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { changedBuild } from "./changed-build";
import { everyBuild, families } from "./families";

describe("a model built otherwise later", () => {
  const builds = familyIds.flatMap((family) =>
    everyBuild(family)
      .slice(1)
      .map(({ name, template }) => ({ family, name, template })),
  );

  it.each(builds)("$family, $name: there and back", ({ family, template: to }) => {
    const from = families[family];
    const own = (part: { id: string }) => part.id;
    const there = changedBuild(from.anatomy, from, to, own);
    expect(checkAnatomy(there, [...to.parts])).toEqual([]);
    expect(there.positions.map(({ id }) => id).sort()).toEqual(to.anatomy.positions.map(({ id }) => id).sort());
    const built = buildOrder(there, removalOrder(there));
    const wanted = buildOrder(to.anatomy, removalOrder(to.anatomy));
    if (!built.ok || !wanted.ok) throw new Error("no order");
    expect(built.value.steps.map(({ operation }) => operation.id)).toEqual(wanted.value.steps.map(({ operation }) => operation.id));
    const back = changedBuild(there, to, from, own);
    expect([...back.positions].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
      [...from.anatomy.positions].sort((a, b) => (a.id < b.id ? -1 : 1)),
    );
  });

  it("keeps what somebody edited where the two builds agree", () => {
    const from = families["star-drag-bridge"];
    const edited = {
      ...from.anatomy,
      positions: from.anatomy.positions.map((seat) => (seat.id === "spool" ? { ...seat, orientation: "the notch to the rear" } : seat)),
    };
    const to = everyBuild("star-drag-bridge").find(({ name }) => name.includes("wire"))!.template;
    const there = changedBuild(edited, from, to, (part) => part.id);
    expect(there.positions.find(({ id }) => id === "spool")?.orientation).toBe("the notch to the rear");
    expect(there.positions.find(({ id }) => id === "dog")?.orientation).toMatch(/snaps/);
  });
});
