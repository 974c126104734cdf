import type { PartKind, PartShape } from "@/core/anatomy/shapes";
import type { DragElement } from "@/core/drag/capacity";
import { moduli, platedModulus, type SpringMaterial } from "@/core/drag/disc-springs";
import type { MeasuredPull } from "@/core/drag/fit-drag";
import type { SpringRow } from "@/core/drag/spring-row";
import { dragStackOf } from "@/core/drag/working-gaps";
import { phaseAt } from "@/core/intake/job-kinds";
import type { Phase } from "@/core/proving/observation";
import { nothingFound } from "@/core/teardown/way-round";
import { type GaugeFigure, keepFigures } from "@/data/bench/measures";
import { listWells } from "@/data/bench/tray";
import { findPartTypes } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { listObservations } from "@/data/diagnosis/observations";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

export interface DragOfReel {
  readonly stack: readonly (DragElement & { readonly name: string; readonly material: string })[];
  readonly springs: readonly SpringRow[];
  readonly ratio: number | null;
  readonly arborRadiusMm: number | null;
  readonly fullRadiusMm: number;
  /** It is squeezed by a lever and its cam. */
  readonly lever: boolean;
  /** Pulls taken on this job whose setting was noted, newest of each test and phase. */
  readonly pulls: readonly (MeasuredPull & { readonly phase: Phase })[];
}

/** The drag of a reel as its machine has it: stack, tension washers, gears, spool, and the pulls taken before. */
export function dragOfReel(db: Db, job: Job): DragOfReel {
  const version = machineOf(db, job);
  const typeOf = (partTypeId: string) => version.partTypes.get(partTypeId);
  const lay = new Map(listWells(db, job.id).map((well) => [well.positionId, well.refitted ? nothingFound : well]));
  const assembly = version.anatomy.assemblies.find(({ id }) => dragStackOf(version.anatomy, version.partTypes, id).length);
  const stack = assembly ? dragStackOf(version.anatomy, version.partTypes, assembly.id) : [];
  const springs = version.anatomy.positions
    .filter(({ partTypeId }) => typeOf(partTypeId)?.shape.kind === "cupped-washer")
    .sort((a, b) => a.ordinal - b.ordinal);
  const shapeOf = (role: string) => [...version.partTypes.values()].find((type) => type.role === role)?.shape;
  const [gear, pinion, spool] = [shapeOf("main-gear"), shapeOf("pinion"), shapeOf("spool")];
  return {
    stack: stack.flatMap((seat) => {
      const type = typeOf(seat.partTypeId)!;
      const { shape } = type;
      const ring = "outsideMm" in shape && "insideMm" in shape ? { outsideMm: shape.outsideMm, insideMm: shape.insideMm } : null;
      // A gear's cup is the face the lowest washer lies on.
      const cup = shape.kind === "gear" && shape.cupMm ? { outsideMm: shape.cupMm, insideMm: shape.boreMm } : null;
      const size = ring ?? cup;
      if (!size) return [];
      const loose = shape.kind === "friction-washer";
      return [
        { name: seat.name, material: type.material, member: loose ? ("none" as const) : seat.turnsWith, ...size, mu: loose ? 0.2 : null },
      ];
    }),
    springs: springs.flatMap((seat): SpringRow[] => {
      const type = typeOf(seat.partTypeId)!;
      if (type.shape.kind !== "cupped-washer") return [];
      const { outsideMm, insideMm, thicknessMm, coneHeightMm } = type.shape;
      const said = lay.get(seat.id)?.orientation ?? "";
      const material = type.material in moduli ? (type.material as SpringMaterial) : "spring steel";
      return [
        {
          name: seat.name,
          disc: { outsideMm, insideMm, thicknessMm, coneHeightMm, platedModulusMpa: platedModulus(material) },
          material,
          // As it was found until it is back, where somebody said so; else as the model has it.
          up: lay.get(seat.id)?.lies === "turned" ? !seat.turned : seat.turned,
          lay: said,
        },
      ];
    }),
    ratio: gear?.kind === "gear" && pinion?.kind === "pinion" ? gear.teeth / pinion.teeth : null,
    arborRadiusMm: spool?.kind === "spool" ? spool.arborMm / 2 : null,
    fullRadiusMm: version.lineRadiusMm,
    lever: version.model.family === "lever-drag",
    pulls: listObservations(db, job.id).flatMap(({ phase, value, unit, setting, lineRadiusMm, simulated }) =>
      !simulated && setting !== null && value !== null && unit === "N"
        ? [{ phase, setting, pullN: value, lineRadiusMm: lineRadiusMm ?? version.lineRadiusMm }]
        : [],
    ),
  };
}

export interface KeptGauge {
  readonly gauge: string;
  readonly at: string;
  readonly words: string;
}

/** Keeps what a gauge said with a job, in words that stand in its report, and its figures for the series over the visits; a new one of the same gauge takes its place. */
export function keepGauge(
  ctx: Context,
  jobId: number,
  gauge: string,
  input: unknown,
  words: string,
  figures: readonly GaugeFigure[] = [],
): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!words.trim()) throw new Refusal("empty", "There is no result to save yet.");
  ctx.db
    .prepare(
      `INSERT INTO gauge_result (job_id, gauge, input, words, at) VALUES (?, ?, ?, ?, ?)
       ON CONFLICT (job_id, gauge) DO UPDATE SET input = excluded.input, words = excluded.words, at = excluded.at`,
    )
    .run(jobId, gauge, JSON.stringify(input), words, ctx.now);
  keepFigures(ctx, job, phaseAt(job.station), figures);
  writeJournal(ctx, "gauge-kept", { jobId, reelId: job.reel.id }, { gauge });
}

export const listKeptGauges = (db: Db, jobId: number): KeptGauge[] =>
  db.prepare("SELECT gauge, at, words FROM gauge_result WHERE job_id = ? ORDER BY gauge").all(jobId) as KeptGauge[];

/** Parts of a kind in the whole catalogue, with their bins and the models they sit in. */
export function listCatalogue(db: Db, kinds: readonly string[]) {
  const rows = db
    .prepare(
      `SELECT part_type.id, coalesce(stock.count, 0) AS stock, coalesce(stock.bin, '') AS bin,
              (SELECT json_group_array(DISTINCT model.maker || ' ' || model.name) FROM position
               JOIN model_version ON model_version.id = position.model_version_id JOIN model ON model.id = model_version.model_id
               WHERE position.part_type_id = part_type.id) AS models
       FROM part_type LEFT JOIN stock ON stock.part_type_id = part_type.id
       WHERE json_extract(part_type.shape, '$.kind') IN (SELECT value FROM json_each(?)) ORDER BY part_type.number`,
    )
    .all(JSON.stringify(kinds)) as { id: string; stock: number; bin: string; models: string }[];
  const types = findPartTypes(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map(({ id, stock, bin, models }) => {
    const { number, name, shape, thread } = types.get(id)!;
    return { type: { number, name, shape, ...(thread ? { thread } : {}) }, stock, bin, models: JSON.parse(models) as string[] };
  });
}

/** Seats of a reel whose part is of a kind, each once by its sizes. */
export function seatsOfKind(db: Db, job: Job, kind: PartKind): { name: string; shape: PartShape }[] {
  const version = machineOf(db, job);
  const seen = new Set<string>();
  return version.anatomy.positions.flatMap((position) => {
    const type = version.partTypes.get(position.partTypeId);
    if (type?.shape.kind !== kind || seen.has(type.id)) return [];
    seen.add(type.id);
    return [{ name: position.name, shape: type.shape }];
  });
}
