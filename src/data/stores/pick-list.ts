import type { PartType } from "@/core/anatomy/types";
import { addDays } from "@/core/day/day";
import { byWay } from "@/core/ordering/bin-label";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { openDayFrom } from "@/core/schedule/opening";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { listStock } from "@/data/parts/stock";
import { listRack } from "@/data/schedule/rack";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";

export interface Pick {
  readonly bin: string;
  readonly type: PartType;
  /** Who gets a piece: each with its seat's name, and whether it is set aside for it. */
  readonly for: readonly { readonly tag: string; readonly seat: string; readonly setAside: boolean }[];
  readonly inBin: number;
}

export interface PickList {
  /** ISO day the list is for. */
  readonly day: string;
  readonly picks: readonly Pick[];
  /** Tags of the jobs it is for, in the order they are worked. */
  readonly tags: readonly string[];
  /** What a job of that day wants and no bin holds. */
  readonly missing: readonly { readonly tag: string; readonly words: string }[];
}

const nextDay = (day: string) => addDays(day, 1);

/**
 * What the jobs of today's rest and the next working day take from the bins, by the way through them. The jobs are those whose move is ours, in
 * the order of their day, as many as the bench's hours hold; their pieces are the ones foreseen and not fitted yet.
 * @param today ISO day.
 */
export function pickList(db: Db, today: string): PickList {
  const day = openDayFrom(openingOf(db, today), nextDay(today));
  const minutes = getShopSettings(db).benchHoursPerDay * 60 * 2;
  let worked = 0;
  const jobs = listRack(db)
    .filter(({ move }) => move === "ours")
    .sort((a, b) => a.promisedOn.localeCompare(b.promisedOn) || a.job.id - b.job.id)
    .filter(({ minutesLeft }) => {
      const begins = worked < minutes;
      worked += minutesLeft;
      return begins;
    });
  const rows = db
    .prepare(
      `SELECT quote_part.job_id AS jobId, job.tag, quote_part.part_type_id AS partTypeId, coalesce(position.name, '') AS seat,
              EXISTS (SELECT 1 FROM need WHERE need.job_id = quote_part.job_id AND need.position_id = quote_part.position_id AND need.state = 'arrived') AS aside
       FROM quote_part JOIN job ON job.id = quote_part.job_id
       LEFT JOIN position ON position.model_version_id = job.model_version_id AND position.id = quote_part.position_id
       WHERE quote_part.job_id IN (SELECT value FROM json_each(?))
         AND NOT EXISTS (SELECT 1 FROM instance WHERE instance.fitted_job_id = quote_part.job_id AND instance.position_id = quote_part.position_id)
       ORDER BY quote_part.job_id, quote_part.position_id`,
    )
    .all(JSON.stringify(jobs.map(({ job }) => job.id))) as {
    jobId: number;
    tag: string;
    partTypeId: string;
    seat: string;
    aside: 0 | 1;
  }[];
  const place = new Map(jobs.map(({ job }, i) => [job.id, i]));
  const inOrder = [...rows].sort((a, b) => place.get(a.jobId)! - place.get(b.jobId)!);
  const stock = new Map(listStock(db).map((line) => [line.partTypeId, line]));
  const types = findPartTypes(
    db,
    rows.map(({ partTypeId }) => partTypeId),
  );
  const free = new Map([...stock].map(([id, line]) => [id, freeInBin(line)]));
  const picks = new Map<string, { bin: string; type: PartType; for: Pick["for"][number][]; inBin: number }>();
  const missing: { tag: string; words: string }[] = [];
  for (const { tag, partTypeId, seat, aside } of inOrder) {
    const type = types.get(partTypeId);
    const line = stock.get(partTypeId);
    if (!type) continue;
    const has = aside === 1 || (free.get(partTypeId) ?? 0) > 0;
    if (!line || !has) {
      missing.push({ tag, words: `${type.number} ${seat || type.name}` });
      continue;
    }
    if (aside === 0) free.set(partTypeId, free.get(partTypeId)! - 1);
    const pick = picks.get(partTypeId) ?? { bin: line.bin, type, for: [], inBin: line.count };
    pick.for.push({ tag, seat: seat || type.name, setAside: aside === 1 });
    picks.set(partTypeId, pick);
  }
  return { day, picks: byWay([...picks.values()]), tags: jobs.map(({ tag }) => tag), missing };
}
