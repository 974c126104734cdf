import { families } from "@/core/families/families";
import { protocolOfJob } from "@/core/intake/job-kinds";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { fitFromStock } from "@/data/bench/fit-part";
import { addUnknownModel, makeSchematic, takeLoosePart } from "@/data/bench/loose-parts";
import { noteWell } from "@/data/bench/tray";
import { startModelOf } from "@/data/catalogue/built";
import type { NewJob } from "@/data/counter/open-job";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { builtAndReturned, wholeService } from "./whole-service";
import { answer, intake, type Workshop } from "./workshop";

export const tenKinds = [
  "quick",
  "full",
  "one-assembly",
  "outside",
  "upgrade",
  "check",
  "comeback",
  "unknown",
  "seals",
  "sent-back",
] as const;
export type TenKind = (typeof tenKinds)[number];

/** Ten jobs of a workshop, each of another kind, from intake to return. @returns the job of each. */
export function tenJobs(shop: Workshop): Record<TenKind, number> {
  const { ctx, db } = shop;
  const open = (serial: string, change: Partial<NewJob>) => shop.open({ serial, complaint: "", ...change });
  const test = (id: number, phase: "before" | "after", testId: TestId, verdict: Verdict, value: number | null = null) =>
    answer(ctx, id, testId, verdict, value, phase);

  const quick = open("Q1", {
    kind: "service",
    depth: "quick",
    intake: intake({ complaints: ["service"], water: "fresh", tripsPerYear: 10 }),
  });
  wholeService(shop, quick);

  const full = open("F1", {
    kind: "service",
    depth: "full",
    complaint: "Last season it was under water at the slip.",
    intake: intake({ complaints: ["stiff"], life: ["kayak"], conditions: ["green"], conditionNote: "green round the foot screws" }),
  });
  wholeService(shop, full, () => {
    test(full, "before", "free-spool", "bad", 4);
    test(full, "before", "drag-full", "doubtful", 41);
    noteWell(ctx, full, "dog", { verdict: "dressed", dressed: "nose filed square", orientation: "", note: "" });
    noteWell(ctx, full, "friction-low", { verdict: "replace", orientation: "", note: "" });
    fitFromStock(ctx, full, "friction-low");
    noteWell(ctx, full, "friction-mid", { verdict: "watch", orientation: "", note: "edge a little frayed", forOwner: true });
    noteWell(ctx, full, "eccentric", { verdict: "ok", orientation: "", note: "for the bench: sat tight" });
  });

  const assembly = open("A1", { kind: "repair", depth: "complaint", intake: intake({ complaints: ["drag-weak"] }) });
  settleFault(ctx, assembly, "drag-worn", true);
  wholeService(shop, assembly, () => {
    for (const { id: seat } of machineOf(db, findJob(db, assembly)!).anatomy.positions) {
      if (!seat.startsWith("friction-")) continue;
      noteWell(ctx, assembly, seat, { verdict: "replace", orientation: "", note: "" });
      fitFromStock(ctx, assembly, seat);
    }
  });

  const outside = open("O1", { kind: "service", depth: "light" });
  wholeService(shop, outside);

  const upgrade = open("U1", { kind: "upgrade", depth: "complaint", complaint: "Ceramic bearings in the spool, please." });
  wholeService(shop, upgrade);

  const check = open("C1", {
    kind: "purchase-check",
    complaint: "Is it worth 180?",
    intake: intake({ claims: ["never-opened", "drag-good", "serviced"], conditions: ["green"] }),
  });
  for (const spec of protocolOfJob("star-drag-bridge", findJob(db, check)!))
    test(check, "before", spec.id, spec.id === "turning" ? "bad" : "good", spec.id === "free-spool" ? 24 : null);
  recordLook(ctx, check, "grease-hard", true);
  settleFault(ctx, check, "hardened-grease", true);
  markReady(ctx, check);
  closeJob(ctx, check, "Ada Brook");

  const comeback = open("A1", {
    kind: "comeback",
    depth: "complaint",
    intake: intake({ complaints: ["drag-weak"], conditions: ["opened"] }),
  });
  settleFault(ctx, comeback, "tension-washers-nested", true);
  wholeService(shop, comeback, () => {
    for (const { id: seat } of machineOf(db, findJob(db, comeback)!).anatomy.positions) {
      if (!seat.startsWith("tension-")) continue;
      noteWell(ctx, comeback, seat, { verdict: "replace", orientation: "", note: "" });
      fitFromStock(ctx, comeback, seat);
    }
  });

  const unknownModel = addUnknownModel(ctx, { maker: "No maker read", name: "old conventional", family: "star-drag-bridge" } as never);
  const unknown = open("N1", { modelId: unknownModel, kind: "service", depth: "full", intake: intake({ complaints: ["gritty"] }) });
  for (const kind of ["screw", "screw", "plate", "gear", "friction-washer", "spool"] as const) takeLoosePart(ctx, unknown, kind as never);
  makeSchematic(ctx, unknown);
  builtAndReturned(shop, unknown);

  const sealed = startModelOf(
    ctx,
    { maker: "Own", name: "Sealed 5000", family: "spinning-fluid-sealed", prefix: "SE" },
    families["spinning-fluid-sealed"].chosen,
  ).id;
  const seals = open("S1", { modelId: sealed, kind: "service", depth: "full", intake: intake({ complaints: ["service"] }) });
  wholeService(shop, seals);

  const sentBack = open("B1", { kind: "repair", depth: "complaint", intake: intake({ complaints: ["stiff"] }), limitMinor: 2000 });
  test(sentBack, "before", "turning", "bad");
  settleFault(ctx, sentBack, "hardened-grease", true);
  declineJob(ctx, sentBack, "Repair costs more than it is worth to the owner.");
  markReady(ctx, sentBack);
  closeJob(ctx, sentBack, "Ada Brook");

  return { quick, full, "one-assembly": assembly, outside, upgrade, check, comeback, unknown, seals, "sent-back": sentBack };
}
