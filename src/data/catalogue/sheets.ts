import { z } from "zod";
import { addSeat, idFor } from "@/core/anatomy/draft";
import type { PartType } from "@/core/anatomy/types";
import { partOfWords } from "@/core/bring-in/part-of-words";
import { shapeFromSize } from "@/core/bring-in/size-in-words";
import type { ModelDraft } from "@/core/families/template";
import { againstModel, withEdition } from "@/core/sheets/edition-of-sheet";
import { isOpen, type SheetRow, sheetRowSchema } from "@/core/sheets/kept-sheet";
import { type NewerPrices, newerPrices } from "@/core/sheets/newer-prices";
import { type OwnHeader, ownHeaderSchema, type SheetWords, sheetWordsSchema } from "@/core/sheets/sheet-words";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keepPhoto } from "@/data/database/photos";
import { count, id as idColumn, row, rows } from "@/data/database/rows";
import { startModelOf } from "./built";
import { markModelPicture, setModelPicture } from "./model-pictures";
import { getCurrentModelVersion } from "./models";
import { addPartType, findPartByNumber, findPartCard, freePartId, setPartFacts } from "./part-types";
import { addModelVersion } from "./write-model";

export interface KeptSheet {
  readonly id: number;
  readonly name: string;
  readonly at: string;
  readonly family: FamilyId;
  readonly chosen: Readonly<Record<string, string>>;
  readonly rows: readonly SheetRow[];
  readonly doubts: readonly string[];
  /** The model that was made of it. */
  readonly modelId: string | null;
  readonly rowVersion: number;
  readonly pages: readonly {
    readonly page: number;
    readonly photoHash: string;
    readonly width: number;
    readonly height: number;
    /** The photograph it was laid flat from. */
    readonly originalHash: string | null;
  }[];
}

const stored = z.object({
  id: idColumn,
  name: z.string(),
  at: z.string(),
  family: z.enum(familyIds),
  chosen: z.string().transform((text) => z.record(z.string(), z.string()).parse(JSON.parse(text))),
  rows: z.string().transform((text) => z.array(sheetRowSchema).parse(JSON.parse(text))),
  doubts: z.string().transform((text) => z.array(z.string()).parse(JSON.parse(text))),
  modelId: z.string().nullable(),
  rowVersion: count,
});
const pageRow = z.object({ page: count, photoHash: z.string(), width: count, height: count, originalHash: z.string().nullable() });

export function findSheet(db: Db, id: number): KeptSheet | null {
  const found = row(
    stored,
    db
      .prepare("SELECT id, name, at, family, chosen, rows, doubts, model_id AS modelId, row_version AS rowVersion FROM sheet WHERE id = ?")
      .get(id),
  );
  if (!found) return null;
  const pages = db
    .prepare(
      "SELECT page, photo_hash AS photoHash, width, height, original_hash AS originalHash FROM sheet_page WHERE sheet_id = ? ORDER BY page",
    )
    .all(id);
  return { ...found, pages: rows(pageRow, pages) };
}

/** Sheets that wait for a model to be made of them, the newest first. */
export const listWaitingSheets = (db: Db): { readonly id: number; readonly name: string; readonly at: string }[] =>
  rows(
    z.object({ id: idColumn, name: z.string(), at: z.string() }),
    db.prepare("SELECT id, name, at FROM sheet WHERE model_id IS NULL ORDER BY id DESC LIMIT 30").all(),
  );

/** Keeps a sheet as it was read. @returns its id. */
export function keepSheet(
  ctx: Context,
  sheet: Pick<KeptSheet, "name" | "family" | "chosen" | "rows" | "doubts"> & { readonly words: SheetWords | null },
): { id: number } {
  const { lastInsertRowid } = ctx.db
    .prepare("INSERT INTO sheet (name, at, person_id, family, chosen, rows, doubts, words) VALUES (?, ?, ?, ?, ?, ?, ?, ?)")
    .run(
      sheet.name,
      ctx.now,
      ctx.person.id,
      sheet.family,
      JSON.stringify(sheet.chosen),
      JSON.stringify(sheet.rows),
      JSON.stringify(sheet.doubts),
      sheet.words ? JSON.stringify(sheet.words) : "",
    );
  writeJournal(ctx, "sheet-read", {}, { rows: sheet.rows.length });
  return { id: Number(lastInsertRowid) };
}

/** A page of it as a picture, under which the rows are looked over. @throws Refusal for a sheet that is none. */
export function keepSheetPage(ctx: Context, id: number, page: number, washed: { jpeg: Buffer; width: number; height: number }): void {
  openSheet(ctx.db, id, null);
  ctx.db
    .prepare("INSERT INTO sheet_page (sheet_id, page, photo_hash, width, height) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING")
    .run(id, page, keepPhoto(ctx, washed), washed.width, washed.height);
}

/** The photograph a page was laid flat from: kept with it. @throws Refusal for a sheet that is none. */
export function keepSheetOriginal(ctx: Context, id: number, page: number, washed: { jpeg: Buffer; width: number; height: number }): void {
  openSheet(ctx.db, id, null);
  ctx.db.prepare("UPDATE sheet_page SET original_hash = ? WHERE sheet_id = ? AND page = ?").run(keepPhoto(ctx, washed), id, page);
}

/** @param seen its row version on the page; null where nothing is judged by it. @throws Refusal when it is gone, done, or another window changed it. */
function openSheet(db: Db, id: number, seen: number | null): KeptSheet {
  const sheet = findSheet(db, id);
  if (!sheet) throw new Refusal("gone", "This sheet was deleted. Bring it in again.");
  if (sheet.modelId !== null) throw new Refusal("done", "A model has already been made from this sheet. Change the model on its drawing.");
  if (seen !== null && sheet.rowVersion !== seen)
    throw new Refusal("changed-elsewhere", "This sheet was changed in another window. Reload to see it, then make your change again.");
  return sheet;
}

function writeRows(ctx: Context, id: number, now: readonly SheetRow[], built?: Pick<KeptSheet, "family" | "chosen">): void {
  ctx.db
    .prepare(
      `UPDATE sheet SET rows = @rows, family = coalesce(@family, family), chosen = coalesce(@chosen, chosen), row_version = row_version + 1
       WHERE id = @id`,
    )
    .run({ id, rows: JSON.stringify(now), family: built?.family ?? null, chosen: built ? JSON.stringify(built.chosen) : null });
}

/** Its rows as another family's. */
export function setSheetFamily(
  ctx: Context,
  {
    sheetId,
    seen,
    rows: now,
    ...built
  }: Pick<KeptSheet, "family" | "chosen" | "rows"> & { readonly sheetId: number; readonly seen: number },
): void {
  openSheet(ctx.db, sheetId, seen);
  writeRows(ctx, sheetId, now, built);
  writeJournal(ctx, "sheet-checked", {}, {});
}

/** Its list read again with other columns: other rows, none of them looked over yet. What the headers were called is known for the next sheet. */
export function setSheetColumns(
  ctx: Context,
  {
    sheetId,
    seen,
    rows: now,
    doubts,
    headers,
    ...built
  }: Pick<KeptSheet, "family" | "chosen" | "rows" | "doubts"> & {
    readonly sheetId: number;
    readonly seen: number;
    readonly headers: readonly OwnHeader[];
  },
): void {
  openSheet(ctx.db, sheetId, seen);
  writeRows(ctx, sheetId, now, built);
  ctx.db.prepare("UPDATE sheet SET doubts = ? WHERE id = ?").run(JSON.stringify(doubts), sheetId);
  const name = ctx.db.prepare(
    "INSERT INTO sheet_header (words, field) VALUES (?, ?) ON CONFLICT (words) DO UPDATE SET field = excluded.field",
  );
  for (const { words, field } of headers) name.run(words, field);
  writeJournal(ctx, "sheet-checked", {}, {});
}

/** What it was read from; null for one that came before they were kept. */
export const wordsOfSheet = (db: Db, id: number): SheetWords | null =>
  row(
    z.object({ words: z.string().transform((text) => (text ? sheetWordsSchema.parse(JSON.parse(text)) : null)) }),
    db.prepare("SELECT words FROM sheet WHERE id = ? AND model_id IS NULL").get(id),
  )?.words ?? null;

/** Headers the shop has named on its sheets. */
export const ownHeaders = (db: Db): OwnHeader[] =>
  rows(ownHeaderSchema, db.prepare("SELECT words, field FROM sheet_header ORDER BY words").all());

/** One row as somebody says it is; a seat belongs to one row, the last that has it. */
export function setSheetRow(
  ctx: Context,
  said: Pick<SheetRow, "number" | "description" | "quantity"> & {
    readonly sheetId: number;
    readonly seen: number;
    readonly row: number;
    readonly positionIds: readonly string[];
  },
): void {
  const sheet = openSheet(ctx.db, said.sheetId, said.seen);
  if (!sheet.rows[said.row]) throw new Refusal("gone", "This row no longer exists. Reload the page.");
  const taken = new Set(said.positionIds);
  const { number, description, quantity } = said;
  writeRows(
    ctx,
    said.sheetId,
    sheet.rows.map((one, at) =>
      at === said.row
        ? { ...one, number, description, quantity, seats: said.positionIds.map((positionId) => ({ positionId, sure: 1 })), confirmed: true }
        : { ...one, seats: one.seats.filter(({ positionId }) => !taken.has(positionId)) },
    ),
  );
  writeJournal(ctx, "sheet-checked", {}, { row: sheet.rows[said.row]!.callout || String(said.row + 1) });
}

/** Every row of which nothing is in doubt is as it was read. @returns how many. */
export function confirmSure(ctx: Context, sheetId: number, seen: number): { rows: number } {
  const sheet = openSheet(ctx.db, sheetId, seen);
  const sure = sheet.rows.filter((one) => !one.confirmed && !isOpen(one));
  writeRows(
    ctx,
    sheetId,
    sheet.rows.map((one) => (isOpen(one) ? one : { ...one, confirmed: true })),
  );
  writeJournal(ctx, "sheet-checked", {}, {});
  return { rows: sure.length };
}

export function dropSheet(ctx: Context, sheetId: number): void {
  openSheet(ctx.db, sheetId, null);
  ctx.db.prepare("DELETE FROM sheet WHERE id = ?").run(sheetId);
  writeJournal(ctx, "sheet-forgotten", {}, {});
}

/**
 * Makes a model of a sheet: its family's drawing, order, traps and cautions with the sheet's parts in their seats, by their numbers and prices. What was
 * not looked over is guessed; a part that is no seat of the family becomes one of its neighbours' assembly where its words say what it is.
 * @throws Refusal as startModelOf does, and when somebody else changed the sheet.
 */
export function modelOfSheet(
  ctx: Context,
  said: { readonly sheetId: number; readonly seen: number; readonly maker: string; readonly name: string; readonly prefix: string },
): { id: string } {
  const sheet = openSheet(ctx.db, said.sheetId, said.seen);
  const { maker, name, prefix } = said;
  const { id } = startModelOf(ctx, { maker, name, family: sheet.family, prefix }, sheet.chosen, (draft) =>
    ofSheet(ctx, draft, sheet.rows, prefix),
  );
  layPicture(ctx, id, sheet);
  ctx.db.prepare("UPDATE sheet SET model_id = ?, words = '', row_version = row_version + 1 WHERE id = ?").run(id, sheet.id);
  return { id };
}

/** A family's draft with a sheet's parts. Those the catalogue knows by number are they; the others are new in it. */
function ofSheet(ctx: Context, draft: ModelDraft, sheetRows: readonly SheetRow[], prefix: string): ModelDraft {
  const types = new Map(draft.partTypes.map((part) => [part.id, part]));
  const fresh = new Map<string, PartType>();
  let { anatomy } = draft;
  /** The part of a row, of the same kind as what sits there in the family. */
  const partOf = ({ number, description, priceMinor }: SheetRow, usual: PartType): string => {
    const known = number
      ? (findPartByNumber(ctx.db, number)?.id ?? [...fresh.values()].find((one) => one.number === number)?.id)
      : undefined;
    if (known) return known;
    const own = partOfRow(
      usual,
      number ? freePartId(ctx.db, number) : `${usual.id}-s${fresh.size + 1}`.slice(0, 60),
      number || `${usual.number}-S${fresh.size + 1}`.slice(0, 40),
      description,
      priceMinor,
    );
    fresh.set(own.id, own);
    return own.id;
  };
  let assemblyId = anatomy.assemblies[0]!.id;
  let after: string | null = null;
  for (const one of sheetRows) {
    const seats = one.seats.filter(({ positionId }) => anatomy.positions.some((position) => position.id === positionId));
    if (seats.length) {
      const first = anatomy.positions.find((position) => position.id === seats[0]!.positionId)!;
      const partTypeId = partOf(one, types.get(first.partTypeId)!);
      const own = new Set(seats.map(({ positionId }) => positionId));
      const guessed = isOpen(one);
      anatomy = {
        ...anatomy,
        positions: anatomy.positions.map((position) =>
          own.has(position.id) ? { ...position, partTypeId, ...(guessed ? { guessed: true as const } : {}) } : position,
        ),
      };
      assemblyId = first.assemblyId;
      after = first.id;
      continue;
    }
    const { kind, shape } = partOfWords(one.description);
    const usual: PartType = {
      id: `${prefix.toLowerCase()}-more`,
      number: `${prefix.toUpperCase()}-MORE`,
      name: one.description,
      role: kind,
      shape,
      material: "not known yet",
      priceMinor: 0,
    };
    const partTypeId = partOf(one, usual);
    // What is no part of the works, such as a clamp, is in the catalogue alone.
    if (kind === "unsorted") continue;
    const added = addSeat({ anatomy, parts: {} }, { assemblyId, afterSeatId: after }, kind, prefix);
    anatomy = {
      ...added.draft.anatomy,
      positions: added.draft.anatomy.positions.map((position) =>
        position.id === added.seatId ? { ...position, partTypeId, name: one.description.slice(0, 80) } : position,
      ),
    };
    after = added.seatId;
  }
  const used = new Set(anatomy.positions.map(({ partTypeId }) => partTypeId));
  return {
    ...draft,
    anatomy,
    partTypes: [...draft.partTypes.filter(({ id }) => used.has(id)), ...fresh.values()],
  };
}

/**
 * Makes a sheet of another year an edition of a model: where its part numbers differ, the edition has the sheet's part in that seat, known by number or new
 * in the catalogue. Order, traps and cautions stay the model's. @throws Refusal where the sheet says nothing new, or is of another kind of reel.
 */
export function editionOfSheet(
  ctx: Context,
  said: {
    readonly sheetId: number;
    readonly seen: number;
    readonly modelId: string;
    readonly baseNumber: number;
    readonly name: string;
    readonly before: string;
    readonly fromYear: number | null;
    readonly mark: string;
  },
): { id: string; parts: number } {
  const { db } = ctx;
  const sheet = openSheet(db, said.sheetId, said.seen);
  const { model, number, anatomy, partTypes, lineRadiusMm } = getCurrentModelVersion(db, said.modelId);
  if (number !== said.baseNumber)
    throw new Refusal("changed-elsewhere", `Version ${number} was saved in another window. Reload to see it, then press again.`);
  if (model.family !== sheet.family)
    throw new Refusal(
      "other-family",
      "This model is a different kind of reel. Choose another model, or change the sheet's family.",
      "model",
    );
  const { changed } = againstModel(anatomy, partTypes, sheet.rows);
  if (!changed.length) throw new Refusal("nothing-new", "This sheet lists the same part numbers as the model, so there is nothing to add.");
  const named = (name: string, taken: readonly string[]) => ({ id: idFor(name, taken), name });
  const taken = anatomy.editions.map(({ id }) => id);
  if (anatomy.editions.some(({ name }) => name === said.name))
    throw new Refusal("known-name", "This model already has an edition of that name. Choose another name.", "name");
  const before = named(said.before || "Earlier", taken);
  const edition = {
    ...named(said.name, [...taken, before.id]),
    ...(said.fromYear === null ? {} : { fromYear: said.fromYear }),
    ...(said.mark ? { mark: said.mark } : {}),
  };
  const types = new Map(anatomy.positions.map((position) => [position.id, partTypes.get(position.partTypeId)!]));
  const parts = new Map<string, string>();
  for (const { positionId, row } of changed) {
    const { number: partNumber, description, priceMinor } = sheet.rows[row]!;
    const usual = types.get(positionId)!;
    let partTypeId = findPartByNumber(db, partNumber)?.id;
    if (!partTypeId) {
      partTypeId = freePartId(db, partNumber);
      addPartType(ctx, partOfRow(usual, partTypeId, partNumber, description, priceMinor));
    }
    parts.set(positionId, partTypeId);
  }
  addModelVersion(ctx, said.modelId, { lineRadiusMm, anatomy: withEdition(anatomy, edition, before, parts) });
  db.prepare("UPDATE sheet SET model_id = ?, words = '', row_version = row_version + 1 WHERE id = ?").run(said.modelId, sheet.id);
  return { id: said.modelId, parts: parts.size };
}

/** What a list changes in the catalogue's prices and superseded numbers. */
export const pricesAgainst = (db: Db, of: readonly SheetRow[]): NewerPrices => newerPrices(of, (number) => findPartByNumber(db, number));

/** Takes a newer list's prices and superseded numbers; the list has then said what it had to say. @returns how many parts changed. */
export function pricesOfSheet(ctx: Context, { sheetId, seen }: { readonly sheetId: number; readonly seen: number }): { parts: number } {
  const sheet = openSheet(ctx.db, sheetId, seen);
  const { changed } = pricesAgainst(ctx.db, sheet.rows);
  if (!changed.length) throw new Refusal("nothing-new", "This list changes no price and no number of the catalogue.");
  for (const { id, isMinor, supersededBy } of changed) {
    const { part } = findPartCard(ctx.db, id)!;
    setPartFacts(ctx, id, {
      priceMinor: isMinor,
      supersededBy: supersededBy ?? part.supersededBy ?? null,
      hazard: part.hazard ?? null,
    });
  }
  dropSheet(ctx, sheetId);
  return { parts: changed.length };
}

/** The part of a row, of the same kind as what sits there, by its own number, words, size and price. */
const partOfRow = (usual: PartType, id: string, number: string, description: string, priceMinor: number | null): PartType => {
  const { supersededBy: _, ...like } = usual;
  return {
    ...like,
    ...{ id, number, name: description.slice(0, 80) || usual.name },
    shape: shapeFromSize(usual.shape, description) ?? usual.shape,
    priceMinor: priceMinor ?? usual.priceMinor,
  };
};

/** The page on which most numerals stand, with the seats at them. */
function layPicture(ctx: Context, modelId: string, { pages, rows: of }: KeptSheet): void {
  const marks = of.flatMap(({ mark, seats }) =>
    mark ? seats.map(({ positionId }, i) => ({ ...mark, positionId, x: mark.x + i * 0.012 })) : [],
  );
  const most = pages
    .map((page) => ({ page, marks: marks.filter((mark) => mark.page === page.page) }))
    .sort((a, b) => b.marks.length - a.marks.length)[0];
  if (!most?.marks.length) return;
  const { photoHash, width, height } = most.page;
  setModelPicture(ctx, modelId, { hash: photoHash, width, height });
  const within = (share: number) => Math.min(1, Math.max(0, share));
  for (const { positionId, x, y } of most.marks) markModelPicture(ctx, modelId, { positionId, x: within(x), y: within(y) });
}
