/**
 * npm run bench: prints `name: ratio R (what against what)`, each against a floor measured in the same run, so that the number means the
 * same on any machine. Milliseconds are information; no test asserts them.
 */
import { spawn } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { performance } from "node:perf_hooks";
import { linearRegression, quantile } from "simple-statistics";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import { addClick, background, passages } from "#tests/made-sounds";
import { orderCase } from "#tests/order-case";
import { stream } from "#tests/random-stream";
import { pooled, spinCoverage } from "#tests/spin-coverage";
import { guessAnatomy } from "@/core/anatomy/guess-anatomy";
import { type Anatomy, anatomySchema } from "@/core/anatomy/types";
import { blindSpots } from "@/core/blind-spots/blind-spots";
import { loadSolver } from "@/core/blind-spots/least-cover";
import { bruteForce } from "@/core/diagnosis/brute-force";
import type { Case } from "@/core/diagnosis/case-net";
import { diagnose } from "@/core/diagnosis/diagnose";
import { findings } from "@/core/diagnosis/finding-table";
import type { Net } from "@/core/diagnosis/net";
import { nextTests } from "@/core/diagnosis/next-looks";
import type { DragElement } from "@/core/drag/capacity";
import { stackOf } from "@/core/drag/disc-springs";
import { fishRun } from "@/core/drag/fish-run";
import { fitDrag } from "@/core/drag/fit-drag";
import { spinFromSound } from "@/core/listen/spin-sound";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { quickPlan } from "@/core/ordering/plan/quick-plan";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import { rootMeanSquare } from "@/core/proving/sound";
import { modelPlates } from "@/core/schematic/assembly-plate";
import { fitSpin } from "@/core/spin/fit-spin";
import { spinDown } from "@/core/spin/losses";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { openDatabase } from "@/data/database/database";
import { ensureFirstPerson } from "@/data/shop/people";
import { benchYears } from "./bench-years";
import { shopUnderLoad } from "./load";
import { finderCost, pageCosts } from "./page-cost";
import { pageStatements } from "./page-statements";
import { pressPaint } from "./press-paint";
import { fillDemo } from "./setup.mjs";

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

// A net of the real size against adding up every world of a small one: 12 and 8 findings noticed, as a full test round leaves them.
const noticed = (count: number): Case => ({
  roles: new Set(skerry30Parts.map((part) => part.role)),
  use: ["salt", "old"],
  observations: findings
    .slice(0, count)
    .map(({ id }, i) => (i % 2 ? { by: "test", finding: id, verdict: "good" } : { by: "told", finding: id })),
});
const small: Net = {
  causes: Array.from({ length: 10 }, (_, f) => ({
    alternatives: [{ prior: 0.1, strengths: Array.from({ length: 6 }, (_, x) => ((f + x) % 3) / 3) }],
  })),
  leaks: Array.from({ length: 6 }, () => 0.02),
};
const smallEvidence = new Map(Array.from({ length: 6 }, (_, x) => [x, [0.1, 0.8]] as const));
const bruteMs = medianMs(() => bruteForce(small, smallEvidence), 7);
print(
  "diagnosis-posterior",
  medianMs(() => diagnose(noticed(12), false), 7),
  bruteMs,
  "12 findings in the whole catalogue against every world of 10 faults and 6 findings",
);
print(
  "diagnosis-heavy",
  medianMs(() => diagnose(noticed(12)), 5),
  bruteMs,
  "12 findings over all eight histories with the reasons of every fault against the same",
);
print(
  "diagnosis-next-test",
  medianMs(() => nextTests(noticed(8)), 7),
  bruteMs,
  "every look valued at 8 findings against the same",
);

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

await yearsOfWork();
await libraryOfAThousand();
await statementsOfPages();
await paintOfPresses();

/**
 * What every page of a shop with years of work in it costs the server beside an empty page of the same run (goal: 3 and 200 KB), the finder beside its
 * own query (goal: 2), and twenty readers and five workers at once. ZORBEK_WORLD names a shop that `npm run world` made; without it the demo is made.
 */
async function yearsOfWork(): Promise<void> {
  if (!existsSync(".next/BUILD_ID")) {
    console.log("page: not measured, the application is not built (npm run demo builds it)");
    return;
  }
  const data = mkdtempSync(join(tmpdir(), "zorbek-bench-"));
  try {
    if (process.env.ZORBEK_WORLD) cpSync(process.env.ZORBEK_WORLD, data, { recursive: true });
    else fillDemo(data);
    const [empty, ...pages] = await pageCosts(data);
    for (const { name, cpuMs, kb } of pages)
      print(`page-${name}`, cpuMs, empty!.cpuMs, `CPU of one answer of ${kb.toFixed(0)} KB against an empty page`);
    const find = await finderCost(data);
    print(
      "find-route",
      find.routeMs,
      find.queryMs,
      `the finder's answer against an empty answer and its own query, ${find.rows} things in the index`,
    );
    const load = await shopUnderLoad(data, 60);
    console.log(
      `load: ratio ${(load.most / 1000).toFixed(2)} (95 of 100 answers against a second; ${load.requests} answers, ${load.presses} presses, ${load.errors} errors, half within ${load.half.toFixed(0)} ms, memory ${load.memory.map((mb) => mb.toFixed(0)).join(" to ")} MB)`,
    );
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}

/** From a key to the screen it changes, in the real browser, beside a key that changes nothing. Goal: 50 ms in the middle, 100 for 95 of 100. */
async function paintOfPresses(): Promise<void> {
  if (!existsSync(".next/BUILD_ID")) {
    console.log("press-paint: not timed, the application is not built (npm run demo builds it)");
    return;
  }
  const data = mkdtempSync(join(tmpdir(), "zorbek-bench-"));
  try {
    const { presses, empty } = await pressPaint(data);
    const at = (times: readonly number[], share: number) => quantile([...times], share);
    print(
      "press-paint",
      at(presses, 0.5),
      at(empty, 0.5),
      `${presses.length} presses at Strip to the changed screen against as many that change nothing; 95 of 100 within ${at(presses, 0.95).toFixed(0)} ms, empty ${at(empty, 0.95).toFixed(0)} ms`,
    );
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}

/** What every page asks of the database, and whether that grows with the rack. */
async function statementsOfPages(): Promise<void> {
  if (!existsSync(".next/BUILD_ID")) {
    console.log("page-statements: not counted, the application is not built (npm run demo builds it)");
    return;
  }
  const data = mkdtempSync(join(tmpdir(), "zorbek-bench-"));
  const more = 40;
  try {
    const rows = await pageStatements(data, more);
    for (const row of rows) console.log(`page-statements ${row.page}: ${row.first}, with ${more} more jobs ${row.more}`);
    const most = rows.reduce((a, b) => (b.more > a.more ? b : a));
    const growing = rows.filter((row) => row.more > row.first);
    console.log(
      `page-statements: ratio ${(most.more / 25).toFixed(2)} (most, ${most.page} with ${most.more}, against 25; ${growing.length} pages grow with the jobs${growing.map(({ page }) => ` ${page}`).join("")})`,
    );
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}

/** The library page at 1,000 models against a page of the same server that reads nothing but the shop's settings. */
async function libraryOfAThousand(): Promise<void> {
  if (!existsSync(".next/BUILD_ID")) {
    console.log("library-1000: not measured, the application is not built (npm run demo builds it)");
    return;
  }
  const data = mkdtempSync(join(tmpdir(), "zorbek-bench-"));
  const db = openDatabase(data);
  const ctx = { db, person: ensureFirstPerson(db), now: new Date().toISOString() };
  db.transaction(() => {
    for (let n = 0; n < 1000; n++) {
      const { anatomy, partTypes } = guessAnatomy(
        (["screw", "plate", "washer", "gear", "bearing", "spool"] as const).map((kind, i) => ({ well: i + 1, kind, name: "" })),
        `m${n}`,
      );
      for (const part of partTypes) addPartType(ctx, part);
      addModel(ctx, { id: `m${n}`, maker: "Maker", name: `Model ${n}`, family: "star-drag-bridge" }, { lineRadiusMm: 20, anatomy });
    }
  })();
  db.close();
  const port = 4300 + Math.floor(performance.now() % 500);
  const child = spawn("node", ["scripts/serve.mjs", String(port)], {
    env: { ...process.env, ZORBEK_DATA: data },
    stdio: "ignore",
  });
  try {
    const get = async (path: string) => (await fetch(`http://127.0.0.1:${port}${path}`)).text();
    for (let tries = 0; tries < 100; tries++) {
      if (
        await get("/gauges").then(
          () => true,
          () => false,
        )
      )
        break;
      await new Promise((wait) => setTimeout(wait, 200));
    }
    const median = async (path: string) => {
      const times: number[] = [];
      for (let i = 0; i < 9; i++) {
        const start = performance.now();
        await get(path);
        times.push(performance.now() - start);
      }
      return times.sort((a, b) => a - b)[4]!;
    };
    await median("/library");
    const floor = await median("/gauges");
    print("library-1000", await median("/library"), floor, "library page at 1,000 models against a page that reads none, same server");
  } finally {
    child.kill();
    rmSync(data, { recursive: true, force: true });
  }
}

// How often a spin's 95 % intervals hold the truth: 300 traces for each of twelve kinds of spool and four lengths. ZORBEK_TRACES takes more.
{
  const perCell = Number(process.env.ZORBEK_TRACES ?? 300);
  const cells = spinCoverage(perCell, 1);
  for (const { term, all, least, most } of pooled(cells, perCell))
    console.log(
      `spin-coverage ${term}: ${all.toFixed(2)} % of ${perCell * cells.length} intervals; cells ${least.toFixed(1)} to ${most.toFixed(1)} %`,
    );
}

// What the gates of a machine miss, and the least set of checks proven, against finding its build order.
{
  const solver = await loadSolver();
  const skerry = new Map(skerry30Parts.map((part) => [part.id, part]));
  const orderMs = medianMs(() => buildOrder(skerry30Anatomy, removalOrder(skerry30Anatomy)), 5);
  print(
    "blind-spots",
    medianMs(() => blindSpots(solver, skerry30Anatomy, skerry), 5),
    orderMs,
    "mistakes, gates and the least set of checks against the build order alone",
  );
}

// An order plan of two hundred needs, twelve suppliers and fifteen hundred offers to a thousandth, against the plan at once it begins with.
{
  const solver = await loadSolver();
  const problem = orderCase(stream(7), { needs: 200, suppliers: 12, offers: 1500, parts: 250 });
  let quick = quickPlan(problem);
  const quickMs = medianMs(() => {
    quick = quickPlan(problem);
  }, 3);
  let solved = null as ReturnType<typeof solvePlan>;
  const solveMs = medianMs(() => {
    solved = solvePlan(solver, problem, { seconds: 10, gap: 0.001, start: quick });
  }, 1);
  print("order-plan", solveMs, quickMs, "200 needs, 12 suppliers, 1,500 offers to 0.1 % against the plan at once");
  const costed = quick && costOfPlan(problem, quick);
  if (solved && costed?.ok)
    console.log(
      `order-plan: within ${(100 * (1 - solved.bound / solved.cost.total)).toFixed(3)} % of its bound; the plan at once costs ${(100 * (costed.cost.total / solved.cost.total - 1)).toFixed(2)} % more`,
    );
}

benchYears(print, medianMs);

// A spool's run of thirteen seconds by its sound, against one pass over as many samples.
{
  const rate = 22_050;
  const random = stream(1);
  const sound = background(13.5, rate, 0.004, 0.01, random);
  for (const t of passages({ a: 5, b: 0.12, c: 0.0006 }, 110, 1, 13)) addClick(sound, rate, t + 0.1, 0.3);
  const passMs = medianMs(() => rootMeanSquare(sound));
  print(
    "listen",
    medianMs(() => spinFromSound({ sound, rate }, 1), 5),
    passMs,
    "a free run of 13 s by its sound against the level of the whole",
  );
}

// A drag fit against the least squares line of as many numbers, and a run's heat against the same steps of one multiplication each.
{
  const disc = { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 };
  const star = {
    known: true as const,
    pitchMm: 0.75,
    springs: stackOf([
      { disc, up: true },
      { disc, up: false },
    ]),
    stackStiffnessNPerMm: 4000,
    endStopTurns: 3,
  };
  const stack: DragElement[] = Array.from({ length: 7 }, (_, i) =>
    i % 2
      ? { member: "none", outsideMm: 31, insideMm: 9, mu: 0.2 }
      : { member: i % 4 ? "sleeve" : "gear", outsideMm: 31, insideMm: 9, mu: null },
  );
  const pulls = Array.from({ length: 12 }, (_, i) => ({ setting: 0.1 * (i + 1), pullN: 8 + 5 * i, lineRadiusMm: 24 }));
  const path = { ratio: 3, efficiency: 0.9, lossNmm: 15 };
  const fitMs = medianMs(() => fitDrag(pulls, stack, star, path, "uniform-pressure"));
  const lineMs = medianMs(() => linearRegression(pulls.map(({ setting, pullN }) => [setting, pullN])));
  print("drag-fit", fitMs, lineMs, "12 pulls on the springs against a straight line through them");
  const run = {
    pieces: [{ seconds: 120, metresPerSecond: 2 }],
    spoolTorqueNmm: 1200,
    arborRadiusMm: 12,
    fullRadiusMm: 26,
    capacityM: 300,
    outM: 0,
    heatCapacityJPerK: 25,
    lossWPerK: 0.8,
    ambientC: 18,
  };
  const runMs = medianMs(() => fishRun(run));
  const stepsMs = medianMs(() => {
    // Euler's rule, the plainest that walks the same steps and keeps the same points.
    const points = [{ seconds: 0, washerC: 18, outM: 0 }];
    for (let i = 0; i < 2400; i++) {
      const { seconds, washerC, outM } = points[i]!;
      const radius = Math.sqrt(144 + 532 * (1 - outM / 300));
      points.push({
        seconds: seconds + 0.05,
        outM: outM + 0.1,
        washerC: washerC + (0.05 * ((1200 / radius) * 2 - 0.8 * (washerC - 18))) / 25,
      });
    }
    return points;
  });
  print("fish-run", runMs, stepsMs, "two minutes in steps of 0.05 s, order four, against Euler's rule");
  // A spin of 400 pulses: its losses against a straight line through its speeds.
  const walk = spinDown(150, { a: 4, b: 0.08, c: 0.0005 }, 20, 400);
  const times: number[] = [];
  for (const { t, angle } of walk) if (angle >= times.length * 3) times.push(t + times.length * 1e-9);
  const spinMs = medianMs(() => fitSpin(times, 2));
  const speedsMs = medianMs(() => linearRegression(times.map((t, i) => [t, i])));
  print("spin-fit", spinMs, speedsMs, `${times.length} pulses against a straight line through as many`);
}
