import {
  type CatalogueSeat,
  type Fit,
  type InterchangeSet,
  interchangeSetSchema,
  knownNot,
  type PlaceFit,
  whatFits,
  whereFits,
} from "@/core/interchange/interchange";
import { type Kit, kitFaults, kitSchema } from "@/core/interchange/kit";
import { seenSet } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer, lastActOfShop } from "@/data/database/kept-answers";
import { refuseUnseen } from "@/data/database/unseen";
import { findModel, getCurrentModelVersion } from "./models";
import { findPartType } from "./part-types";

export const listInterchangeSets = (db: Db): InterchangeSet[] =>
  (db.prepare("SELECT set_json FROM interchange_set ORDER BY name").all() as { set_json: string }[]).map((row) =>
    interchangeSetSchema.parse(JSON.parse(row.set_json)),
  );

/** Adds a set or changes it. @throws Refusal when it names a model or part that is not here. */
export function saveInterchangeSet(ctx: Context, set: InterchangeSet, seen: string | null = null): void {
  refuseUnseen(seen, seenSet(listInterchangeSets(ctx.db).find(({ id }) => id === set.id) ?? null), "This set", "name");
  for (const id of [...set.members.map((member) => member.modelId), ...set.exclusions.map((out) => out.modelId)])
    if (id !== undefined && !findModel(ctx.db, id))
      throw new Refusal("no-model", `Model ${id} is not in the library.`, "members", { to: "new-model" });
  for (const { partTypeId } of set.members)
    if (partTypeId !== undefined && !findPartType(ctx.db, partTypeId))
      throw new Refusal("no-part", `Part ${partTypeId} is not in the catalogue.`, "members");
  ctx.db
    .prepare(
      "INSERT INTO interchange_set (id, name, set_json) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET name = excluded.name, set_json = excluded.set_json",
    )
    .run(set.id, set.name, JSON.stringify(set));
  writeJournal(ctx, "interchange-saved", {}, { set: set.id });
}

export function removeInterchangeSet(ctx: Context, id: string): void {
  const { changes } = ctx.db.prepare("DELETE FROM interchange_set WHERE id = ?").run(id);
  if (!changes) throw new Refusal("no-set", "This set has already been removed.");
  writeJournal(ctx, "interchange-removed", {}, { set: id });
}

/** The seats of the newest versions of some models, or those that ask for one part anywhere. */
function listCatalogueSeats(db: Db, wanted: { modelIds: readonly string[]; partTypeId?: string | undefined }): CatalogueSeat[] {
  return db
    .prepare(
      `SELECT model.id AS modelId, model.maker || ' ' || model.name AS model, position.id AS positionId, position.name AS seat,
              part_type.role, part_type.id AS partTypeId
       FROM position JOIN model_version ON model_version.id = position.model_version_id JOIN model ON model.id = model_version.model_id
       JOIN part_type ON part_type.id = position.part_type_id
       WHERE model_version.number = (SELECT max(number) FROM model_version AS other WHERE other.model_id = model.id AND own_reel_id IS NULL)
         AND (model.id IN (SELECT value FROM json_each(@models)) OR part_type.id = @part)
       ORDER BY model.maker, model.name, position.ordinal, position.id`,
    )
    .all({ models: JSON.stringify(wanted.modelIds), part: wanted.partTypeId ?? null }) as CatalogueSeat[];
}

const modelsOf = (sets: readonly InterchangeSet[]) => [
  ...new Set(sets.flatMap((set) => set.members.flatMap(({ modelId }) => (modelId === undefined ? [] : [modelId])))),
];

/** What parts are sold as by now; those with no new number are left out. */
const newNumbers = (db: Db, partTypeIds: readonly string[]): ReadonlyMap<string, string> =>
  new Map(
    db
      .prepare(
        `SELECT part_type.id, next.id AS soldAs FROM part_type JOIN part_type AS next ON next.number = part_type.superseded_by COLLATE NOCASE
         WHERE part_type.id IN (SELECT value FROM json_each(?))`,
      )
      .all(JSON.stringify(partTypeIds))
      .map((row) => {
        const { id, soldAs } = row as { id: string; soldAs: string };
        return [id, soldAs];
      }),
  );

/** What fits each seat of a model's newest version, best first. */
export const listFitsOfModel = (db: Db, modelId: string): ReadonlyMap<string, Fit[]> =>
  keptAnswer(db, `fits of ${modelId}`, lastActOfShop(db), () => fitsOfModel(db, modelId));

function fitsOfModel(db: Db, modelId: string): ReadonlyMap<string, Fit[]> {
  const sets = listInterchangeSets(db).filter((set) => set.members.some((member) => member.modelId === modelId));
  const seats = listCatalogueSeats(db, { modelIds: [...modelsOf(sets), modelId] });
  const own = seats.filter((seat) => seat.modelId === modelId);
  const soldAs = newNumbers(
    db,
    own.map(({ partTypeId }) => partTypeId),
  );
  return new Map(own.map((seat) => [seat.positionId, whatFits(seat, seats, sets, soldAs.get(seat.partTypeId) ?? null)]));
}

/** What fits one seat of a model, best first; nothing for a seat it does not have. */
export const listFits = (db: Db, modelId: string, positionId: string): Fit[] => listFitsOfModel(db, modelId).get(positionId) ?? [];

/** Where a part fits over the whole library, and where it is known not to. */
export function listPlaces(db: Db, partTypeId: string): { places: PlaceFit[]; not: { model: string; why: string }[] } {
  const sets = listInterchangeSets(db);
  const seats = listCatalogueSeats(db, { modelIds: modelsOf(sets), partTypeId });
  return {
    places: whereFits(partTypeId, seats, sets),
    not: knownNot(partTypeId, seats, sets).map(({ modelId, why }) => {
      const model = findModel(db, modelId);
      return { model: model ? `${model.maker} ${model.name}` : modelId, why };
    }),
  };
}

export const listKits = (db: Db, modelId: string): Kit[] =>
  (db.prepare("SELECT kit_json FROM kit WHERE model_id = ? ORDER BY id").all(modelId) as { kit_json: string }[]).map((row) =>
    kitSchema.parse(JSON.parse(row.kit_json)),
  );

/** Adds a kit or changes it. @throws Refusal naming what of it would not fit, in millimetres. */
export function saveKit(ctx: Context, kit: Kit): void {
  const { anatomy, partTypes } = getCurrentModelVersion(ctx.db, kit.modelId);
  const types = new Map(partTypes);
  for (const { partTypeId } of kit.seats) {
    const part = findPartType(ctx.db, partTypeId);
    if (part) types.set(part.id, part);
  }
  const faults = kitFaults(anatomy, types, kit);
  if (faults.length) throw new Refusal("kit", faults.join("\n"), "seats");
  ctx.db
    .prepare(
      "INSERT INTO kit (id, model_id, kit_json) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET kit_json = excluded.kit_json, model_id = excluded.model_id",
    )
    .run(kit.id, kit.modelId, JSON.stringify(kit));
  writeJournal(ctx, "kit-saved", {}, { kit: kit.id });
}
