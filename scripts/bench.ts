/**
 * npm run bench: prints `name: ratio R (what against what)`, each against a floor measured in the same run, so that the number means the
 * same on any machine. Milliseconds are information; no test asserts them.
 */
import { performance } from "node:perf_hooks";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import { type Anatomy, anatomySchema } from "@/core/anatomy/types";
import { modelPlates } from "@/core/schematic/assembly-plate";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";

/** Median of several timed runs after a warm-up, in milliseconds. */
function medianMs(work: () => unknown, runs = 15): number {
  for (let i = 0; i < 3; i++) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
}

/** `copies` of the demo's reel beside each other, as one machine of that many times 54 seats. */
function manyReels(copies: number): Anatomy {
  const rename = (id: string, n: number) => `${id}-n${n}`;
  return anatomySchema.parse({
    assemblies: Array.from({ length: copies }, (_, n) => skerry30Anatomy.assemblies.map((a) => ({ ...a, id: rename(a.id, n) }))).flat(),
    positions: Array.from({ length: copies }, (_, n) =>
      skerry30Anatomy.positions.map((p) => ({
        ...p,
        id: rename(p.id, n),
        assemblyId: rename(p.assemblyId, n),
        ridesOn: p.ridesOn && rename(p.ridesOn, n),
        restsOn: p.restsOn.map((id) => rename(id, n)),
        passesThrough: p.passesThrough.map((id) => rename(id, n)),
        heldBy: p.heldBy.map((id) => rename(id, n)),
      })),
    ).flat(),
    operations: [],
  });
}

const print = (name: string, ms: number, floorMs: number, words: string) =>
  console.log(`${name}: ratio ${(ms / floorMs).toFixed(2)} (${words}; ${ms.toFixed(2)} ms against ${floorMs.toFixed(2)} ms)`);

const types = new Map(skerry30Parts.map((part) => [part.id, part]));
const large = manyReels(6);
const text = JSON.stringify(large);
const parseMs = medianMs(() => JSON.parse(text));
const seats = large.positions.length;

print(
  "schematic-layout",
  medianMs(() => modelPlates(large, types)),
  parseMs,
  `plates of ${seats} seats against one JSON.parse of the same model`,
);
const removed = removalOrder(large);
print(
  "build-order",
  medianMs(() => buildOrder(large, removed), 5),
  parseMs,
  `build order of ${seats} seats against one JSON.parse of the same model`,
);
print(
  "removal-order",
  medianMs(() => removalOrder(large), 5),
  parseMs,
  `removal order of ${seats} seats against one JSON.parse of the same model`,
);
