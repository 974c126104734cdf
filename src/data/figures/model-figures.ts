import { daysPassed, yearsOf } from "@/core/day/day";
import { type Spread, spreadOf } from "@/core/figures/figures";
import { type DueFrom, dueFromLives } from "@/core/survival/component-lives";
import { kaplanMeier, type SurvivalStep } from "@/core/survival/kaplan-meier";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { stationTimesOf } from "@/data/jobs/station-time";
import { endsOfComponent, livesOf } from "@/data/ledger/lives";

/** What this shop knows of a model. */
export interface ModelFigures {
  readonly visits: number;
  /** Faults found, the most frequent first. */
  readonly faults: readonly { readonly faultId: string; readonly name: string; readonly jobs: number; readonly share: number }[];
  /** Lives of components whose end was seen, in trips, with all reels of the family and of all families in the same water. */
  readonly lives: readonly {
    readonly component: string;
    readonly steps: readonly SurvivalStep[];
    readonly due: DueFrom;
    readonly water: string;
    readonly own: number;
  }[];
  readonly minutes: readonly { readonly station: Station; readonly spread: Spread }[];
  /** Pieces that went into such reels, and what lies here of them. */
  readonly parts: readonly {
    readonly partTypeId: string;
    readonly name: string;
    readonly fitted: number;
    readonly perYear: number;
    readonly inStock: number | null;
  }[];
}

/** Components by their words. */
const componentWords: Readonly<Record<string, string>> = {
  whole: "Gear side, until its grease is hard",
  worm: "Worm of the level wind",
  "line-roller": "Line roller",
  drag: "Drag",
  seals: "Seals",
};

/** Trips a rule of thumb says, where nothing is known of a model's owners (common practice). */
const ruleTrips = 24;

export const modelFigures = (db: Db, modelId: string, family: string): ModelFigures =>
  keptAnswer(db, `figures of ${modelId}`, lastHandedBack(db), () => {
    const today = lastHandedBack(db).slice(0, 10) || "2000-01-01";
    const jobs = db
      .prepare(
        `SELECT job.id, job.opened_at AS opened, json_extract(intake, '$.water') AS water FROM job
         JOIN model_version ON model_version.id = job.model_version_id WHERE model_version.model_id = ? AND job.closed_at IS NOT NULL ORDER BY job.id DESC LIMIT 2000`,
      )
      .all(modelId) as { id: number; opened: string; water: string }[];
    const ids = jobs.map(({ id }) => id);
    const json = JSON.stringify(ids);
    const faultById = faultNamer(db);
    const faults = db
      .prepare(
        "SELECT fault_id AS id, count(*) AS jobs FROM job_fault WHERE job_id IN (SELECT value FROM json_each(?)) GROUP BY fault_id ORDER BY jobs DESC, id",
      )
      .all(json) as { id: string; jobs: number }[];
    const waters = new Map<string, number>();
    for (const { water } of jobs) waters.set(water, (waters.get(water) ?? 0) + 1);
    const water = [...waters].sort((a, b) => b[1] - a[1])[0]?.[0] ?? "salt";
    const lives = Object.keys(endsOfComponent).flatMap((component) => {
      const all = livesOf(db, component, today).filter((life) => life.water === water);
      const own = all.filter((life) => life.modelId === modelId);
      if (!own.some(({ ended }) => ended)) return [];
      return [
        {
          component: componentWords[component]!,
          steps: kaplanMeier(own),
          due: dueFromLives(all, { modelId, family, water }, ruleTrips),
          water,
          own: own.length,
        },
      ];
    });
    const perStation = new Map<Station, number[]>();
    for (const times of stationTimesOf(db, ids.slice(0, 120)).values())
      for (const { station, minutes } of times) if (minutes > 0) perStation.set(station, [...(perStation.get(station) ?? []), minutes]);
    const first = jobs.at(-1)?.opened ?? new Date().toISOString();
    const years = Math.max(1, yearsOf(daysPassed(first, `${today}T00:00:00Z`)));
    const parts = db
      .prepare(
        `SELECT part_type.id AS partTypeId, part_type.number || ' ' || part_type.name AS name, count(*) AS fitted, stock.count AS inStock
         FROM instance JOIN part_type ON part_type.id = instance.part_type_id LEFT JOIN stock ON stock.part_type_id = part_type.id
         WHERE fitted_job_id IN (SELECT value FROM json_each(?)) GROUP BY part_type.id ORDER BY fitted DESC, name LIMIT 12`,
      )
      .all(json) as { partTypeId: string; name: string; fitted: number; inStock: number | null }[];
    return {
      visits: jobs.length,
      faults: faults.map(({ id, jobs: n }) => ({
        faultId: id,
        name: faultById(id)?.name ?? id,
        jobs: n,
        share: n / Math.max(1, jobs.length),
      })),
      lives,
      minutes: stations.flatMap((station) => {
        const spread = spreadOf(perStation.get(station) ?? []);
        return spread ? [{ station, spread }] : [];
      }),
      parts: parts.map((part) => ({ ...part, perYear: part.fitted / years })),
    };
  });
