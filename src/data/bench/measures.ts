import type { PartType } from "@/core/anatomy/types";
import { dragStackOf } from "@/core/drag/working-gaps";
import { kindsFor, type MeasureInput, type MeasureKind, measureKinds, type Taken, takenOf, type Washer } from "@/core/measures/taken";
import type { Phase } from "@/core/proving/observation";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer } from "@/data/database/kept-answers";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

export interface KeptMeasure extends Taken {
  readonly id: number;
  readonly tag: string;
  readonly jobId: number;
  readonly phase: Phase;
  readonly kind: MeasureKind | "gauge";
  /** Null where it is of the reel as a whole. */
  readonly positionId: string | null;
  readonly name: string;
  readonly at: string;
}

const thicknessOf = ({ shape }: PartType): number | null =>
  "thicknessMm" in shape && "outsideMm" in shape && "insideMm" in shape ? shape.thicknessMm : null;

/** The washers a reel's drag stack is made of, from the base up; empty where it has none or nobody knows its parts. */
export function stackWashersOf({ anatomy, partTypes }: Pick<ModelVersion, "anatomy" | "partTypes">): Washer[] {
  const of = anatomy.assemblies.map(({ id }) => dragStackOf(anatomy, partTypes, id)).find((stack) => stack.length > 0) ?? [];
  return of.flatMap(({ name, partTypeId }) => {
    const thicknessMm = thicknessOf(partTypes.get(partTypeId)!);
    return thicknessMm === null ? [] : [{ name: name.toLowerCase(), thicknessMm }];
  });
}

export interface NewMeasure {
  readonly jobId: number;
  /** Before the work or after it, by the station it is taken at. */
  readonly phase: Phase;
  readonly positionId: string | null;
  /** A length's own name; the others have theirs. */
  readonly name: string;
  readonly input: MeasureInput;
}

interface Row {
  readonly kind: string;
  readonly positionId: string | null;
  readonly name: string;
  readonly input: unknown;
}

function put(
  ctx: Context,
  jobId: number,
  phase: Phase,
  { kind, positionId, name, input }: Row,
  { value, low, high, unit, says }: Taken,
): number {
  return Number(
    ctx.db
      .prepare(
        `INSERT INTO measure (job_id, phase, kind, position_id, name, value, low, high, unit, says, input, at, person_id)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
         ON CONFLICT (job_id, phase, kind, position_id, name) DO UPDATE SET value = excluded.value, low = excluded.low, high = excluded.high,
           unit = excluded.unit, says = excluded.says, input = excluded.input, at = excluded.at, person_id = excluded.person_id RETURNING id`,
      )
      .pluck()
      .get(jobId, phase, kind, positionId ?? "", name, value, low, high, unit, says, JSON.stringify(input), ctx.now, ctx.person.id),
  );
}

/** Keeps what was measured with reel and visit. @returns what it comes to, for the words under it. */
export function keepMeasure(ctx: Context, { jobId, phase, positionId, name, input }: NewMeasure): Taken {
  const job = getOpenJob(ctx.db, jobId);
  const version = machineOf(ctx.db, job);
  const washers = stackWashersOf(version);
  if (!kindsFor(version.model.family, washers.length > 0).includes(input.kind))
    throw new Refusal("kind", `${measureKinds[input.kind].name} cannot be measured on this reel.`, "kind");
  const seat = positionId === null ? null : version.anatomy.positions.find(({ id }) => id === positionId);
  if (seat === undefined) throw new Refusal("positionId", "This reel has no such seat. Choose again.", "positionId");
  const own = input.kind === "length" ? name.trim() : measureKinds[input.kind].name;
  if (!own) throw new Refusal("name", "Say what was measured.", "name");
  const taken = takenOf(input, washers);
  put(ctx, job.id, phase, { kind: input.kind, positionId, name: own, input }, taken);
  writeJournal(
    ctx,
    "measured",
    { jobId, reelId: job.reel.id },
    { kind: input.kind, position: positionId, value: taken.value, unit: taken.unit },
  );
  return taken;
}

/** A figure a gauge computed, to stand in the reel's series. */
export interface GaugeFigure extends Omit<Taken, "says"> {
  readonly name: string;
}

/** Keeps a gauge's figures beside its words; before the work or after it by how far the job has come. */
export function keepFigures(ctx: Context, job: Pick<Job, "id">, phase: Phase, figures: readonly GaugeFigure[]): void {
  for (const figure of figures)
    put(ctx, job.id, phase, { kind: "gauge", positionId: null, name: figure.name, input: null }, { ...figure, says: "" });
}

const select = `SELECT measure.id, job.tag, measure.job_id AS jobId, phase, measure.kind, nullif(position_id, '') AS positionId, name, value, low, high,
  unit, says, measure.at FROM measure JOIN job ON job.id = measure.job_id`;

/** Everything measured on a reel, the oldest visit first, what came before the work ahead of what came after. */
export const listMeasuresOfReel = (db: Db, reelId: number): KeptMeasure[] =>
  db.prepare(`${select} WHERE job.reel_id = ? ORDER BY job.opened_at, job.id, phase DESC, measure.id`).all(reelId) as KeptMeasure[];

export const listMeasuresOfJob = (db: Db, jobId: number): KeptMeasure[] =>
  db.prepare(`${select} WHERE job.id = ? ORDER BY phase DESC, measure.id`).all(jobId) as KeptMeasure[];

/** What was typed last on reels of a model and is the same on the next: a new one's size by seat, an adjuster's pitch. */
export function lastTypedOfModel(
  db: Db,
  modelId: string,
): { readonly freshMm: Readonly<Record<string, number>>; readonly pitchMm: number | null } {
  const last = db.prepare("SELECT max(id) FROM measure").pluck().get();
  return keptAnswer(db, `last typed of ${modelId}`, String(last), () => readLastTyped(db, modelId));
}

function readLastTyped(db: Db, modelId: string): { readonly freshMm: Readonly<Record<string, number>>; readonly pitchMm: number | null } {
  const rows = db
    .prepare(
      `SELECT measure.kind, position_id AS seat, json_extract(input, '$.fresh.mm') AS freshMm, json_extract(input, '$.pitchMm') AS pitchMm
       FROM measure JOIN job ON job.id = measure.job_id JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND measure.kind IN ('wear', 'side-play') ORDER BY measure.id`,
    )
    .all(modelId) as { kind: string; seat: string; freshMm: number | null; pitchMm: number | null }[];
  return {
    freshMm: Object.fromEntries(rows.flatMap(({ seat, freshMm }) => (freshMm === null ? [] : [[seat, freshMm]]))),
    pitchMm: rows.findLast(({ pitchMm }) => pitchMm !== null)?.pitchMm ?? null,
  };
}
