import { beforeEach, describe, expect, it } from "vitest";
import { wholeService } from "#tests/whole-service";
import { openWorkshop, plainJob, refusal, type Workshop } from "#tests/workshop";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { builtOf, familyOf, startModelOf } from "@/data/catalogue/built";
import { ownBuildOf } from "@/data/catalogue/own-build";
import { openJob } from "@/data/counter/open-job";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { insertNeed } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";

import { buildOtherwise, changesSince, followModel } from "./built-otherwise";
import { addUnknownModel, expectedOfJob, listLooseParts, takeLoosePart } from "./loose-parts";
import { learn } from "./playbook";
import { expectedNext, listWells, takePart } from "./tray";

let shop: Workshop;
let modelId: string;
beforeEach(() => {
  shop = openWorkshop();
  modelId = startModelOf(shop.ctx, { maker: "Own", name: "Ours", family: "star-drag-bridge", prefix: "OU" }, {}).id;
});
let serial = 0;
const open = (of = modelId) => openJob(shop.ctx, plainJob({ modelId: of, serial: `BO ${++serial}`, kind: "service", depth: "full" })).id;
const seats = (id: number) => machineOf(shop.db, findJob(shop.db, id)!).anatomy.positions.map((seat) => seat.id);

describe("a reel that shows at Strip that it is built otherwise", () => {
  it("is built so from there on, and its model; another job keeps what it was opened with, the next has it", () => {
    const [here, other] = [open(), open()];
    buildOtherwise(shop.ctx, here, "handle-end", "slotted-screw");
    expect(seats(here)).toContain("handle-screw");
    expect(seats(here)).not.toContain("lock-screw");
    expect(seats(other)).toContain("lock-screw");
    expect(seats(open())).toContain("handle-screw");
    expect(builtOf(shop.db, modelId)?.chosen["handle-end"]).toBe("slotted-screw");
  });

  it("is followed by another reel of a lot in one press, without another version of its model", () => {
    const [here, other] = [open(), open()];
    buildOtherwise(shop.ctx, here, "handle-end", "slotted-screw");
    buildOtherwise(shop.ctx, other, "handle-end", "slotted-screw");
    expect(seats(other)).toContain("handle-screw");
    expect(findJob(shop.db, other)!.modelVersionId).toBe(findJob(shop.db, here)!.modelVersionId);
  });

  it("is so alone where that is said: its model and its sisters stay, and it is so when it comes again, also once the model moved on", () => {
    const [here, other] = [open(), open()];
    const version = () => builtOf(shop.db, modelId)?.chosen["handle-end"];
    const was = version();
    buildOtherwise(shop.ctx, here, "handle-end", "slotted-screw", true);
    expect(seats(here)).toContain("handle-screw");
    expect(version()).toBe(was);
    expect(seats(other)).toContain("lock-screw");
    expect(seats(open())).toContain("lock-screw");
    // The next visit of the same reel.
    const { reel } = findJob(shop.db, here)!;
    const again = () => {
      closeAway(here);
      return openJob(shop.ctx, plainJob({ modelId, reelId: reel.id, serial: reel.serial, kind: "service", depth: "full" })).id;
    };
    const closeAway = (id: number) =>
      shop.db.prepare("UPDATE job SET closed_at = ?, station = 'closed' WHERE id = ?").run(shop.ctx.now, id);
    const next = again();
    expect(seats(next)).toContain("handle-screw");
    expect(findJob(shop.db, next)!.modelVersionId).toBe(findJob(shop.db, here)!.modelVersionId);
    // The model is built otherwise in another thing: the reel has both.
    buildOtherwise(shop.ctx, other, "dog-spring", "wire");
    closeAway(next);
    const third = openJob(shop.ctx, plainJob({ modelId, reelId: reel.id, serial: reel.serial, kind: "service", depth: "full" })).id;
    expect(seats(third)).toContain("handle-screw");
    expect(machineOf(shop.db, findJob(shop.db, third)!).anatomy.operations.find(({ id }) => id === "load-dog")?.words).toBe(
      machineOf(shop.db, findJob(shop.db, other)!).anatomy.operations.find(({ id }) => id === "load-dog")?.words,
    );
    // Said of all, it is no choice of its own any more.
    buildOtherwise(shop.ctx, third, "handle-end", "slotted-screw");
    expect(ownBuildOf(shop.db, modelId, reel.id)).toEqual({});
    expect(seats(open())).toContain("handle-screw");
  });

  it("goes back to its model where its own choice is taken back", () => {
    const here = open();
    buildOtherwise(shop.ctx, here, "handle-end", "slotted-screw", true);
    buildOtherwise(shop.ctx, here, "handle-end", "lock-screw", true);
    expect(seats(here)).toContain("lock-screw");
    expect(ownBuildOf(shop.db, modelId, findJob(shop.db, here)!.reel.id)).toEqual({});
    expect(refusal(() => buildOtherwise(shop.ctx, here, "handle-end", "no-such", true)).code).toBe("no-variant");
  });

  it("keeps what is done, and comes back as it was", () => {
    const id = open();
    buildOtherwise(shop.ctx, id, "handle-end", "slotted-screw");
    takePart(shop.ctx, id, "handle-screw");
    takePart(shop.ctx, id, "handle");
    buildOtherwise(shop.ctx, id, "dog-spring", "wire");
    expect(listWells(shop.db, id).map(({ positionId }) => positionId)).toEqual(["handle-screw", "handle"]);
  });

  it("is refused with what to do where that build lacks a piece this job did something about; nothing is changed", () => {
    const id = open();
    takePart(shop.ctx, id, "lock-screw");
    const refused = refusal(() => buildOtherwise(shop.ctx, id, "handle-end", "slotted-screw"));
    expect(refused).toMatchObject({ code: "in-tray", field: "choiceId" });
    expect(refused.message).toMatch(/well 1.*[Pp]ut it back first/);
    const asked = open();
    insertNeed(
      shop.ctx,
      asked,
      "handle-nut",
      machineOf(shop.db, findJob(shop.db, asked)!).anatomy.positions.find(({ id }) => id === "handle-nut")!.partTypeId,
    );
    expect(refusal(() => buildOtherwise(shop.ctx, asked, "handle-end", "slotted-screw"))).toMatchObject({
      way: { to: "station", station: "quote" },
    });
  });

  it("is refused for what the quote foresees there, and goes on once that is removed", () => {
    const id = open();
    setForeseen(shop.ctx, id, "handle-nut", true);
    expect(refusal(() => buildOtherwise(shop.ctx, id, "handle-end", "slotted-screw"))).toMatchObject({
      way: { to: "station", station: "quote" },
    });
    setForeseen(shop.ctx, id, "handle-nut", false);
    buildOtherwise(shop.ctx, id, "handle-end", "slotted-screw");
    expect(seats(id)).toContain("handle-screw");
  });

  it("is not asked of a model that did not begin from its family", () => {
    expect(refusal(() => buildOtherwise(shop.ctx, open("skerry-30"), "handle-end", "keeper")).code).toBe("no-variant");
  });

  it.each(familyIds)("goes on to its return in %s, whichever other choice is seen once the first part is off", (family) => {
    for (const [n, variant] of families[family].variants.entries()) {
      const prefix = `V${familyIds.indexOf(family)}${n}`;
      const own = startModelOf(shop.ctx, { maker: "Own", name: prefix, family, prefix }, {}).id;
      const id = open(own);
      buildOtherwise(shop.ctx, id, variant.id, variant.choices.at(-1)!.id);
      expect(wholeService(shop, id).closedAt, variant.name).not.toBeNull();
    }
  });
});

describe("a reel that no drawing knows", () => {
  it("is told how it is built: its usual pieces follow, what is in the tray stays, and it is no model of its family's numbers", () => {
    const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "heron 9", family: "star-drag-clutch" });
    const id = openJob(shop.ctx, plainJob({ modelId, serial: "H1" })).id;
    const names = () => expectedOfJob(shop.db, id, familyOf(shop.db, { id: modelId, family: "star-drag-clutch" })).map(({ name }) => name);
    expect(names()).toContain("Gear shaft");
    const first = expectedOfJob(shop.db, id, familyOf(shop.db, { id: modelId, family: "star-drag-clutch" }))[0]!;
    takeLoosePart(shop.ctx, id, { kind: first.kind, pieceId: first.id });
    buildOtherwise(shop.ctx, id, "gear-carrier", "bridge");
    expect(names()).toContain("Bridge");
    expect(names()).not.toContain("Gear shaft");
    expect(listLooseParts(shop.db, id)).toHaveLength(first.kind === "screw" ? first.seats.length : 1);
    expect(builtOf(shop.db, modelId)).toBeNull();
    expect(refusal(() => buildOtherwise(shop.ctx, id, "gear-carrier", "none")).code).toBe("no-variant");
  });
});

describe("a model that was changed while one of its reels lies open", () => {
  const trap = "Two of these stick together.";
  const learnAt = (id: number) => learn(shop.ctx, id, { about: "trap", positionId: "main-gear", words: trap });
  const changes = (id: number) => changesSince(shop.db, findJob(shop.db, id)!);
  const trapOf = (id: number) => machineOf(shop.db, findJob(shop.db, id)!).anatomy.positions.find((seat) => seat.id === "main-gear")!.trap;

  it("is said to differ, and taken over by one press; what is done stays, and it differs no more", () => {
    const [here, other] = [open(), open()];
    takePart(shop.ctx, here, expectedNext(shop.db, findJob(shop.db, here)!)[0]!);
    learnAt(other);
    expect(changes(here)).toEqual([expect.objectContaining({ what: "changed", kind: "seat", fields: ["trap"] })]);
    followModel(shop.ctx, here);
    expect(trapOf(here)).toContain(trap);
    expect([changes(here), listWells(shop.db, here).length]).toEqual([[], 1]);
    expect(refusal(() => followModel(shop.ctx, here)).code).toBe("followed");
  });

  it("is refused where this reel has something out that the model has no more, with the way to it", () => {
    const [here, other] = [open(), open()];
    takePart(shop.ctx, here, "lock-screw");
    buildOtherwise(shop.ctx, other, "handle-end", "slotted-screw");
    expect(changes(here).map(({ what, kind }) => `${what} ${kind}`)).toContain("removed seat");
    expect(refusal(() => followModel(shop.ctx, here)).message).toMatch(/well 1/);
  });

  it("is nothing to a reel that is built so by its own choice, as long as its model stays", () => {
    const here = open();
    buildOtherwise(shop.ctx, here, "handle-end", "slotted-screw", true);
    expect(changes(here)).toEqual([]);
  });
});
