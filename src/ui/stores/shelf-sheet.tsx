"use client";
import { formatMinor } from "@/core/money/money";
import { type ConsumableId, consumableIds, consumables } from "@/core/ordering/consumables";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormChoice, FormDay, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { StoresPages } from "./stores-pages";

interface Product {
  readonly product: ConsumableId;
  readonly name: string;
  readonly unit: "ml" | "g";
  readonly time: readonly [string, string];
  readonly perWeek: number;
  readonly once: number;
  readonly emptied: number;
  readonly tin: {
    readonly id: number;
    readonly words: string;
    readonly holds: number;
    readonly priceMinor: number;
    readonly left: number;
    readonly share: number;
    readonly spoils: boolean;
    readonly opened: string;
    readonly useByWords: string | null;
    readonly lasts: string;
  } | null;
}

interface Props {
  readonly shelf: readonly Product[];
  readonly currency: string;
  readonly costMinor: number | null;
}

/** Oils, greases and cleaners as they stand on the shelf, each as full as the reels have left it. */
export function ShelfSheet({ shelf, currency, costMinor }: Props) {
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            {
              label: `Each reel takes, ${currency}`,
              value: costMinor === null ? "–" : <span className="num">{formatMinor(costMinor)}</span>,
              large: true,
            },
          ]}
        />
      }
    >
      <StoresPages here="Shelf" />
      <div className="mt-4 grid gap-10 lg:grid-cols-[1fr_300px]">
        <div>
          {!shelf.length && <p>Nothing here yet. Use is counted from the first reel returned; add the tins and bottles that are open.</p>}
          <ul className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
            {shelf.map((one) => (
              <OnShelf key={one.product} one={one} />
            ))}
          </ul>
        </div>
        <ActForm
          act="open-tin"
          label="Open a tin or bottle"
          className="flex flex-col gap-2 self-start"
          values={{ product: consumableIds[0], words: "", holds: "", priceMinor: "", useBy: "" }}
          empties
        >
          <h2>Open a tin or bottle</h2>
          <FormChoice name="product" label="Product" of={Object.fromEntries(consumableIds.map((id) => [id, consumables[id].name]))} />
          <FormText name="words" label="Name on the label" />
          <FormText name="holds" label="Holds, ml or g" figures />
          <FormText name="priceMinor" label={`Cost, ${currency}`} figures />
          <FormDay name="useBy" label="Use by" />
          <FormSend large>Add as open</FormSend>
        </ActForm>
      </div>
    </Sheet>
  );
}

function OnShelf({ one }: { one: Product }) {
  const { tin, unit } = one;
  const opening = useAct("open-tin");
  const ending = useAct("end-tin");
  const pace = `${one.perWeek < 10 ? one.perWeek.toFixed(1) : Math.round(one.perWeek)} ${one.time[1]} a week`;
  return (
    <li className="flex gap-4 border-t border-ink pt-2">
      <Tin share={tin?.share ?? 0} known={tin !== null} words={tin ? `${Math.round(100 * tin.share)} % left` : "none open"} />
      <div className="min-w-0 flex-1">
        <h2>{one.name}</h2>
        {tin ? (
          <p>
            <strong>{tin.lasts}</strong>, <span className="num">{tin.left.toFixed(tin.left < 10 ? 1 : 0)}</span> of {tin.holds} {unit}
            {tin.words && `, ${tin.words}`}
          </p>
        ) : (
          <p>None open on record.</p>
        )}
        <p className="text-note">
          {pace}; a {one.time[0]} takes {one.once.toPrecision(2)} {unit},{" "}
          {one.emptied ? `from ${one.emptied === 1 ? "one tin" : `${one.emptied} tins`} used up here` : "rule of thumb"}
          {tin && `; opened ${tin.opened}`}
          {tin?.useByWords && `, use by ${tin.useByWords}`}
        </p>
        {tin?.spoils && <p className="alarm">It will expire before it is used up.</p>}
        {tin && (
          <div className="mt-1 flex flex-wrap gap-2">
            <button
              type="button"
              className="key key-small"
              disabled={opening.busy}
              aria-label={`Used up, next one opened: ${one.name}`}
              onClick={() =>
                opening.press({
                  product: one.product,
                  words: tin.words,
                  holds: String(tin.holds),
                  priceMinor: formatMinor(tin.priceMinor),
                  useBy: "",
                })
              }
            >
              Used up, next one opened
            </button>
            <button
              type="button"
              className="key key-small"
              disabled={ending.busy}
              aria-label={`Thrown away: ${one.name}`}
              onClick={() => ending.press({ id: tin.id, empty: false })}
            >
              Thrown away
            </button>
          </div>
        )}
        <Refused of={[opening, ending]} />
      </div>
    </li>
  );
}

/** A bottle, filled to what is left. */
function Tin({ share, known, words }: { share: number; known: boolean; words: string }) {
  const top = 78 - 58 * Math.max(0, Math.min(1, share));
  return (
    <svg role="img" aria-label={words} width={48} height={84} viewBox="0 0 48 84" className="shrink-0">
      <path d="M18 2 H30 V10 L42 20 V80 H6 V20 L18 10 Z" className={known ? "ln-outline fl-none" : "ln-hidden fl-none"} />
      {share > 0 && <path d={`M8 ${top} H40 V78 H8 Z`} className="ln-leader fl-ink" />}
    </svg>
  );
}
