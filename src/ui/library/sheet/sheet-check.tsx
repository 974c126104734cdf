"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { isOpen, type SheetRow } from "@/core/sheets/kept-sheet";
import { isPriceOpen, type NewerPrices } from "@/core/sheets/newer-prices";
import type { OwnHeader } from "@/core/sheets/sheet-words";
import { type FamilyId, familyWords } from "@/core/vocabulary/families";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { EditionForm, type EditionSaid, type SheetAgainst } from "./edition-form";
import { matchInWorker } from "./match-in-worker";
import { PricesForm } from "./prices-form";
import { RowForm, type SeatChoice } from "./row-form";
import { SheetColumns } from "./sheet-columns";
import { type PageShown, SheetPages } from "./sheet-pages";

export interface SheetShown {
  readonly id: number;
  readonly name: string;
  readonly family: FamilyId;
  readonly rows: readonly SheetRow[];
  readonly doubts: readonly string[];
  /** Headers the shop has named on its sheets. */
  readonly headers: readonly OwnHeader[];
  readonly rowVersion: number;
  readonly pages: readonly PageShown[];
  /** Models of its family: of one of them it may be another year. */
  readonly models: readonly { readonly id: string; readonly maker: string; readonly name: string }[];
  /** What it says against the model that was chosen. */
  readonly against: SheetAgainst | null;
  /** What it changes in the catalogue, where it is taken as a newer price list. */
  readonly prices: NewerPrices | null;
  /** The seats such a reel has, by assembly. */
  readonly seats: readonly SeatChoice[];
}

/** The address's word for a list of which only the prices are taken. */
const pricesOnly = "take=prices";

/** A sheet looked over: the page on the left, its rows on the right, those in doubt first; then a model is made of it. */
export function SheetCheck({ sheet }: { sheet: SheetShown }) {
  const router = useRouter();
  const { rows, seats } = sheet;
  const open = rows.flatMap((row, at) => (isOpen(row) ? [at] : []));
  const unsaid = rows.filter((row) => !row.confirmed && !isOpen(row)).length;
  const [picked, setPicked] = useState<number | null>(null);
  const here = picked ?? open[0] ?? 0;
  const seen = { sheetId: sheet.id, seen: sheet.rowVersion };
  const saying = useAct("sheet-row", () => setPicked(null));
  const sure = useAct("sheet-sure");
  const family = useAct("sheet-family", () => setPicked(null));
  const making = useAct("model-of-sheet", ({ id }) => router.push(`/library/${id}`));
  const dropping = useAct("drop-sheet", () => router.push("/library"));
  const [model, setModel] = useState({ maker: "", name: "", prefix: "" });
  const [edition, setEdition] = useState<EditionSaid>({ name: "", before: "", fromYear: null, mark: "" });
  const { against, prices } = sheet;
  const pricing = useAct("prices-of-sheet", () => router.push("/library"));
  const adding = useAct("edition-of-sheet", ({ id }) => router.push(`/library/${id}/editions`));
  const make = () =>
    prices
      ? pricing.press(seen)
      : against
        ? adding.press({ ...seen, modelId: against.modelId, baseNumber: against.version, ...edition })
        : making.press({ ...seen, ...model });
  const makeWords = prices ? `Change ${prices.changed.length} parts` : against ? "Save as an edition" : "Make the model";
  const [busy, setBusy] = useState("");
  const acts = [saying, sure, family, making, adding, pricing, dropping];
  const seated = new Set(rows.flatMap((row) => row.seats.map(({ positionId }) => positionId)));

  const asFamily = async (to: FamilyId) => {
    setBusy("Finding the seats again…");
    try {
      const found = await matchInWorker(
        rows.map(({ description, quantity }) => ({ description, quantity })),
        to,
      );
      await family.press({
        ...seen,
        family: to,
        chosen: found.chosen,
        rows: rows.map((row, at) => ({
          ...row,
          seats: found.matches.filter((match) => match.row === at).map(({ positionId, sure: how }) => ({ positionId, sure: how })),
          doubts: [
            ...row.doubts.filter(({ field }) => field !== "seat"),
            ...(found.rest.some((one) => one.row === at)
              ? [{ field: "seat" as const, why: "does not match any seat of this family" }]
              : found.matches.some((match) => match.row === at && match.doubtful)
                ? [{ field: "seat" as const, why: "may be another seat" }]
                : []),
          ],
          confirmed: false,
        })),
      });
    } finally {
      setBusy("");
    }
  };

  /** The main key: the sure rows at once, then the doubtful one by one, then the model. */
  const row = rows[here]!;
  const asItStands = () =>
    saying.press({
      ...seen,
      row: here,
      number: row.number,
      description: row.description || "not named",
      quantity: row.quantity,
      positionIds: row.seats.map(({ positionId }) => positionId),
    });
  const ready = open.length === 0 && unsaid === 0;
  // Once nothing is in doubt the model's own names are asked for, and a row is shown where it is pressed; of a price list no seat is in question.
  const looked = (!ready && !prices) || picked !== null;
  const main =
    unsaid > 0 && !prices
      ? { words: "Accept the sure rows", says: `Accept the ${unsaid} sure rows`, run: () => sure.press(seen) }
      : open.length > 0 && !prices
        ? { words: "This row is right", says: `Row ${row.callout || here + 1} is right`, run: asItStands }
        : { words: makeWords, says: makeWords, run: make };

  return (
    <Sheet
      fill
      act={
        <>
          <MainKey words={main.words} busy={acts.some((act) => act.busy) || busy !== ""} onPress={main.run}>
            {main.says}
          </MainKey>
          {open.length > 0 && unsaid === 0 && !prices && (
            <Key busy={making.busy || adding.busy} onPress={make}>
              {makeWords}, {open.length} rows guessed
            </Key>
          )}
        </>
      }
      block={
        <CornerBlock
          cells={[
            { label: "Rows", value: String(rows.length), large: true },
            ...(prices
              ? [
                  { label: "Changed", value: String(prices.changed.length), large: true },
                  { label: "Left out", value: String(prices.unknown.length + prices.doubtful) },
                ]
              : [
                  { label: "To check", value: String(open.length), large: true },
                  { label: "Seats found", value: `${seated.size} of ${seats.length}` },
                ]),
          ]}
        />
      }
    >
      <div className="grid gap-6 lg:grid-cols-[1fr_420px]">
        <div className="min-w-0">
          <h1>{sheet.name}</h1>
          <SheetPages pages={sheet.pages} rows={rows} here={here} onPick={setPicked} />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          {looked && (
            <RowForm
              key={`${here} ${sheet.rowVersion}`}
              row={row}
              at={here}
              seats={seats}
              page={sheet.pages.find(({ page }) => page === row.page) ?? null}
              fields={saying.fields}
              onSave={(said) => saying.press({ ...seen, row: here, ...said })}
            />
          )}
          <Refused of={acts} />
          {busy && <p role="status">{busy}</p>}
          {sheet.doubts.map((words) => (
            <p key={words} className="alarm">
              {words}
            </p>
          ))}
          <details open={ready || prices !== null}>
            <summary className="act-link min-h-11">What it becomes</summary>
            <div className="mt-1 flex flex-col gap-2">
              {!prices && (
                <Field label="Family">
                  {(field) => (
                    <select
                      {...field}
                      value={sheet.family}
                      disabled={busy !== ""}
                      onChange={(event) => void asFamily(event.target.value as FamilyId)}
                    >
                      {Object.entries(familyWords).map(([id, words]) => (
                        <option key={id} value={id}>
                          {words}
                        </option>
                      ))}
                    </select>
                  )}
                </Field>
              )}
              <Field label="A new model, another year of one, or newer prices">
                {(field) => (
                  <select
                    {...field}
                    value={prices ? pricesOnly : against ? `model=${against.modelId}` : ""}
                    onChange={({ target: { value } }) => router.replace(`/library/sheet/${sheet.id}${value ? `?${value}` : ""}`)}
                  >
                    <option value="">a new model</option>
                    <option value={pricesOnly}>only its prices and superseded numbers</option>
                    {sheet.models.map((one) => (
                      <option key={one.id} value={`model=${one.id}`}>
                        {one.maker} {one.name}
                      </option>
                    ))}
                  </select>
                )}
              </Field>
              {prices && <PricesForm prices={prices} />}
              {against && <EditionForm key={against.modelId} against={against} fields={adding.fields} onChange={setEdition} />}
              {(against || prices
                ? []
                : ([
                    ["maker", "Maker"],
                    ["name", "Model"],
                    ["prefix", "Prefix for parts not on the sheet"],
                  ] as const)
              ).map(([name, words]) => (
                <Field key={name} label={words} error={making.fields[name]}>
                  {(field) => (
                    <input
                      {...field}
                      value={model[name]}
                      autoComplete="off"
                      onChange={({ target: { value } }) => setModel((now) => ({ ...now, [name]: value }))}
                    />
                  )}
                </Field>
              ))}
              <SheetColumns
                sheet={seen}
                family={sheet.family}
                pages={sheet.pages}
                headers={sheet.headers}
                checked={rows.filter(({ confirmed }) => confirmed).length}
              />
              <button type="button" className="act-link min-h-11 self-start" onClick={() => dropping.press({ sheetId: sheet.id })}>
                Delete this sheet
              </button>
            </div>
          </details>
          <RowList rows={rows} here={here} seats={prices ? null : seats} onPick={setPicked} />
        </div>
      </div>
    </Sheet>
  );
}

/** The rows, those in doubt first; a press shows one on the page. @param seats null for a price list, of which no seat is in question. */
function RowList({
  rows,
  here,
  seats,
  onPick,
}: {
  rows: readonly SheetRow[];
  here: number;
  seats: readonly SeatChoice[] | null;
  onPick: (row: number) => void;
}) {
  const nameOf = new Map(seats?.map(({ id, name }) => [id, name]));
  const inDoubt = seats ? isOpen : isPriceOpen;
  const order = [...rows.keys()].sort((a, b) => Number(inDoubt(rows[b]!)) - Number(inDoubt(rows[a]!)) || a - b);
  return (
    <ol aria-label="Rows of the sheet">
      {order.map((at) => {
        const { callout, description, seats: of, quantity } = rows[at]!;
        return (
          <li key={at} className="rule-row">
            <button
              type="button"
              className={`flex min-h-11 w-full items-baseline gap-3 text-left ${at === here ? "font-semibold" : ""}`}
              aria-current={at === here}
              onClick={() => onPick(at)}
            >
              <span className="num w-10 shrink-0">{callout || at + 1}</span>
              <span className="min-w-0 flex-1">
                {description}
                {quantity > 1 && <span className="num"> × {quantity}</span>}
                {seats && (
                  <span className="block text-note">
                    {of.length ? of.map(({ positionId }) => nameOf.get(positionId) ?? positionId).join(", ") : "no seat yet"}
                  </span>
                )}
              </span>
              <span className="text-note">{inDoubt(rows[at]!) ? "to check" : rows[at]!.confirmed ? "checked" : "sure"}</span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
