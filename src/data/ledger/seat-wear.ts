import type { Db } from "@/data/database/database";

/** How often each seat of a model was in the tray of this shop, and found worn or to be replaced, over all its versions. */
export const listSeatWear = (db: Db, modelId: string): Record<string, { seen: number; worn: number }> =>
  Object.fromEntries(
    (
      db.prepare("SELECT position_id AS id, seen, worn FROM seat_wear WHERE model_id = ? AND seen > 0").all(modelId) as {
        id: string;
        seen: number;
        worn: number;
      }[]
    ).map(({ id, seen, worn }) => [id, { seen, worn }]),
  );
