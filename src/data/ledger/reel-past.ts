import type { Db } from "@/data/database/database";

export interface OwnedBy {
  readonly name: string;
  readonly customerId: number;
  /** ISO instants of the first and last visit with them. */
  readonly first: string;
  readonly last: string;
}

/** Whose a reel was at its visits, the first owner first. */
export function ownersOfReel(db: Db, reelId: number): OwnedBy[] {
  const visits = db
    .prepare(
      `SELECT customer.id AS customerId, customer.name, job.opened_at AS at FROM job JOIN customer ON customer.id = job.customer_id
       WHERE job.reel_id = ? ORDER BY job.id`,
    )
    .all(reelId) as { customerId: number; name: string; at: string }[];
  const owners: OwnedBy[] = [];
  for (const { customerId, name, at } of visits) {
    const last = owners.at(-1);
    if (last?.customerId === customerId) owners[owners.length - 1] = { ...last, last: at };
    else owners.push({ customerId, name, first: at, last: at });
  }
  return owners;
}

/** Pictures taken of a reel at its visits, the newest first. */
export const picturesOfReel = (db: Db, reelId: number, limit: number): { hash: string; tag: string; at: string }[] =>
  db
    .prepare(
      `SELECT hash, tag, min(at) AS at FROM (
         SELECT job_photo.photo_hash AS hash, job.tag, job_photo.at FROM job_photo JOIN job ON job.id = job_photo.job_id WHERE job.reel_id = @reel
         UNION ALL SELECT tray_well.photo_hash, job.tag, tray_well.taken_at FROM tray_well JOIN job ON job.id = tray_well.job_id
           WHERE job.reel_id = @reel AND tray_well.photo_hash IS NOT NULL
         UNION ALL SELECT loose_part.photo_hash, job.tag, loose_part.taken_at FROM loose_part JOIN job ON job.id = loose_part.job_id
           WHERE job.reel_id = @reel AND loose_part.photo_hash IS NOT NULL)
       GROUP BY hash ORDER BY at DESC LIMIT @limit`,
    )
    .all({ reel: reelId, limit }) as { hash: string; tag: string; at: string }[];

/** What reels can be found by beside their names: a fault found on them, or a part that went in. */
export interface FoundBy {
  readonly by: "fault" | "part";
  readonly id: string;
  readonly name: string;
  readonly reels: number;
}

/** Most rows of each kind. */
const most = 5;

/** Faults and parts whose name or number holds a text, with on how many reels. @param names of faults, by id. */
export function findBy(db: Db, text: string, faultName: (id: string) => string): FoundBy[] {
  const wanted = text.trim().toLowerCase();
  if (wanted.length < 3) return [];
  const faults = (
    db
      .prepare(
        "SELECT fault_id AS id, count(DISTINCT reel_id) AS reels FROM job_fault JOIN job ON job.id = job_fault.job_id GROUP BY fault_id",
      )
      .all() as { id: string; reels: number }[]
  )
    .map((row): FoundBy => ({ ...row, by: "fault", name: faultName(row.id) }))
    .filter(({ name }) => name.toLowerCase().includes(wanted))
    .sort((a, b) => b.reels - a.reels)
    .slice(0, most);
  const parts = (
    db
      .prepare(
        `SELECT part_type.id, part_type.number || ' ' || part_type.name AS name,
           (SELECT count(DISTINCT instance.reel_id) FROM instance WHERE instance.part_type_id = part_type.id AND fitted_job_id IS NOT NULL) AS reels
         FROM part_type WHERE lower(part_type.number || ' ' || part_type.name) LIKE ? ESCAPE '\\' LIMIT 40`,
      )
      .all(`%${wanted.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`) as { id: string; name: string; reels: number }[]
  )
    .filter(({ reels }) => reels > 0)
    .map((row): FoundBy => ({ ...row, by: "part" }))
    .sort((a, b) => b.reels - a.reels)
    .slice(0, most);
  return [...faults, ...parts];
}

/** Ids of reels a fault was found on, or a part went into, the last first. */
export const reelsFoundBy = (db: Db, by: "fault" | "part", id: string, limit: number, offset: number): number[] =>
  db
    .prepare(
      by === "fault"
        ? "SELECT reel_id FROM job_fault JOIN job ON job.id = job_fault.job_id WHERE fault_id = ? GROUP BY reel_id ORDER BY max(job.id) DESC LIMIT ? OFFSET ?"
        : "SELECT instance.reel_id FROM instance WHERE part_type_id = ? AND fitted_job_id IS NOT NULL GROUP BY reel_id ORDER BY max(fitted_job_id) DESC LIMIT ? OFFSET ?",
    )
    .pluck()
    .all(id, limit, offset) as number[];
