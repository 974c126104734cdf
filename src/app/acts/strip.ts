import type { stripActs } from "@/core/acts/strip/acts";
import { addExtraPiece, settleExtraPiece } from "@/data/bench/extra-pieces";
import { sayLining } from "@/data/bench/linings";
import { makeSchematic, nameLoosePart, putLooseBack, serveLooseInPlace, takeLoosePart } from "@/data/bench/loose-parts";
import { openAssembly } from "@/data/bench/opening";
import { learn } from "@/data/bench/playbook";
import { leaveIn, noteWell, putBack, serveInPlace, takeAllAsCame, takeParts } from "@/data/bench/tray";
import type { RunsOf } from "./runs";

export const stripRuns: RunsOf<typeof stripActs> = {
  "take-parts": (ctx, { jobId, positionIds, absent, more, broke }) =>
    takeParts(ctx, jobId, positionIds, new Set(absent), more, new Set(broke)),

  "serve-in-place": (ctx, input) => serveInPlace(ctx, input.jobId, input.positionId, input.reason),

  "leave-in": (ctx, input) => leaveIn(ctx, input.jobId, input.positionIds, input.stays),

  "put-back": (ctx, input) => putBack(ctx, input.jobId, input.positionIds),

  "note-well": (ctx, { jobId: id, positionId, seen, lies, forOwner, ...said }) =>
    noteWell(ctx, id, positionId, {
      ...said,
      ...(seen === undefined ? {} : { seen }),
      ...(lies === undefined ? {} : { lies }),
      ...(forOwner === undefined ? {} : { forOwner }),
    }),

  "say-lining": (ctx, { jobId: id, positionId, material }) => ({ seats: sayLining(ctx, id, positionId, material) }),

  "open-assembly": (ctx, input) => openAssembly(ctx, input.jobId, input.assemblyId, input.opened),

  learn: (ctx, { jobId: id, ...taught }) => learn(ctx, id, taught),

  "extra-piece": (ctx, input) => addExtraPiece(ctx, input.jobId, input.words),

  "extra-piece-settled": (ctx, input) => settleExtraPiece(ctx, input.jobId, input.id, input.state),

  "came-in-pieces": (ctx, input) => takeAllAsCame(ctx, input.jobId),

  "loose-take": (ctx, { jobId: id, well: _, ...input }) => takeLoosePart(ctx, id, input),

  "loose-put-back": (ctx, input) => putLooseBack(ctx, input.jobId),

  "loose-name": (ctx, input) => nameLoosePart(ctx, input.jobId, input.well, input.name, input.seen),

  "make-schematic": (ctx, input) => makeSchematic(ctx, input.jobId),

  "loose-in-place": (ctx, input) => serveLooseInPlace(ctx, input.jobId, input.well, input.reason),
};
