"use client";
import Link from "next/link";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { seenBin } from "@/core/seen/seen";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { BinDrawn } from "./plan/boxes";
import { StoresPages } from "./stores-pages";

interface BinLine {
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly bin: string;
  readonly count: number;
  readonly minimum: number;
  readonly keptAside: number;
  readonly byUse: boolean;
  readonly level: number;
  /** What its use asks for; null: order when needed. */
  readonly asked: number | null;
  readonly perYear: number;
  readonly leadDays: number | null;
  readonly unitMinor: number;
  readonly state: "used" | "slow" | "dead";
  readonly lastUsed: string | null;
}

interface Props {
  readonly stock: readonly BinLine[];
  /** Pieces off scrapped reels, each with the reel it came from. */
  readonly donors: readonly {
    readonly id: number;
    readonly number: string;
    readonly name: string;
    readonly condition: string;
    readonly priceMinor: number;
    readonly drawer: string;
    readonly origin: string;
    readonly reelId: number;
  }[];
  readonly currency: string;
  readonly highlight: string | null;
  /** The part somebody came here for, when it has no bin yet. */
  readonly newNumber: string;
  /** Chance of running out that the levels are for, of 100. */
  readonly runningOutChance: number;
}

/** What lies in the bins: counted where it stands, moved to another bin, given up when it is empty. */
export function BinsSheet({ stock, donors, currency, highlight, newNumber, runningOutChance }: Props) {
  const value = stock.reduce((sum, line) => sum + line.count * line.unitMinor, 0);
  const lying = stock.filter(({ state }) => state !== "used");
  const has = stock.some((line) => line.partTypeId === highlight);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Bins", value: String(stock.length), large: true },
            { label: `Worth, ${currency}`, value: <span className="num">{formatMinor(value)}</span> },
          ]}
        />
      }
    >
      <StoresPages here="Bins" />
      <p className="mt-2 flex flex-wrap items-center gap-x-4">
        <span>Levels set by use avoid running out before delivery {100 - runningOutChance} % of the time.</span>
        <a className="act-link min-h-10" href="/stores/bin-labels.pdf" target="_blank" rel="noreferrer">
          Labels for all bins
        </a>
      </p>
      <div className="mt-4 grid gap-10 lg:grid-cols-[1fr_300px]">
        <div className="min-w-0">
          {!stock.length && <p>No bin yet. Add the first one here.</p>}
          {stock.length > 0 && (
            <div className="overflow-x-auto">
              <table className="plain-table">
                <thead>
                  <tr>
                    <th>Bin</th>
                    <th>Part</th>
                    <th className="text-right">In stock</th>
                    <th>Level</th>
                    <th>Count</th>
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {stock.map((line) => (
                    <BinRow key={line.partTypeId} line={line} here={line.partTypeId === highlight} />
                  ))}
                </tbody>
              </table>
            </div>
          )}
          {lying.length > 0 && (
            <section aria-label="Slow and dead stock" className="mt-6">
              <h2>Not used for long</h2>
              <ul>
                {lying.map((line) => (
                  <li key={line.partTypeId} className="rule-row py-1">
                    <span className="num">{line.bin}</span> <span className="num">{line.number}</span> {line.name}: {line.count} worth{" "}
                    <span className="num">{formatMinor(line.count * line.unitMinor)}</span>,{" "}
                    {line.state === "dead" ? "none used for two years" : `more than two years' use at ${line.perYear} a year`}
                    {line.lastUsed && `; last used ${line.lastUsed}`}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {donors.length > 0 && (
            <>
              <h2 className="mt-6">Donor parts</h2>
              <table className="plain-table">
                <thead>
                  <tr>
                    <th>Drawer</th>
                    <th>Piece</th>
                    <th>From reel</th>
                    <th className="text-right">Asked, {currency}</th>
                  </tr>
                </thead>
                <tbody>
                  {donors.map((piece) => (
                    <tr key={piece.id}>
                      <td>{piece.drawer || "–"}</td>
                      <td>
                        <span className="num">{piece.number}</span> {piece.name}, {piece.condition}
                      </td>
                      <td>
                        <Link className="act-link" href={`/ledger/reel/${piece.reelId}`} prefetch={false}>
                          {piece.origin}
                        </Link>
                      </td>
                      <td className="num text-right">{formatMinor(piece.priceMinor)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </div>
        <ActForm
          act="set-bin"
          label="A bin for a part"
          className="flex flex-col gap-2 self-start"
          values={{ number: has ? "" : newNumber, bin: "", count: "", minimum: "0" }}
          also={{ seen: seenBin(null) }}
          empties
        >
          <h2>A bin for a part</h2>
          <FormText name="number" label="Part number" />
          <FormText name="bin" label="Bin" hint="Bin label, such as A3" />
          <FormText name="count" label="In stock" figures />
          <FormText name="minimum" label="Minimum" figures />
          <FormSend large>Save the bin</FormSend>
        </ActForm>
      </div>
    </Sheet>
  );
}

function BinRow({ line, here }: { line: BinLine; here: boolean }) {
  const [counted, setCounted] = useState("");
  const [moving, setMoving] = useState(false);
  const counting = useAct("count-bin", () => setCounted(""));
  const giving = useAct("remove-bin");
  const levelling = useAct("level-by-use");
  return (
    <>
      <tr className={here ? "outline-2 outline-ink" : ""}>
        <td>
          <span className="num">{line.bin}</span>
          <BinDrawn here={freeInBin(line)} level={line.level} />
        </td>
        <td>
          <Link className="act-link num" href={`/library/part/${encodeURIComponent(line.partTypeId)}`} prefetch={false}>
            {line.number}
          </Link>{" "}
          {line.name}
          <Refused of={[counting, giving, levelling]} />
        </td>
        <td className="num text-right">
          {line.count}
          {line.keptAside > 0 && <span className="text-note"> ({line.keptAside} set aside)</span>}
        </td>
        <td>
          <span className="num">{line.byUse && line.asked === null ? "–" : line.level}</span> {line.byUse ? "by use" : "by hand"}
          <p className="text-note">
            {line.perYear} a year{line.leadDays !== null && `, ${line.leadDays} days`}:{" "}
            {line.asked === null ? "order when needed" : `asks for ${line.asked}`}
          </p>
        </td>
        <td>
          <form
            className="flex gap-1"
            onSubmit={(event) => {
              event.preventDefault();
              counting.press({ partTypeId: line.partTypeId, count: counted.trim() === "" ? Number.NaN : Number(counted) });
            }}
          >
            <input
              style={{ width: 64 }}
              inputMode="decimal"
              aria-label={`Counted ${line.number}`}
              value={counted}
              onChange={(event) => setCounted(event.target.value)}
              aria-invalid={Boolean(counting.message)}
            />
            <button type="submit" className="key key-small" disabled={counting.busy}>
              Set
            </button>
          </form>
        </td>
        <td>
          <button
            type="button"
            className="act-link min-h-10"
            aria-expanded={moving}
            aria-label={`Change the bin of ${line.number}`}
            onClick={() => setMoving(!moving)}
          >
            Change
          </button>
        </td>
      </tr>
      {moving && (
        <tr>
          <td colSpan={6}>
            <div className="flex flex-wrap items-end gap-2">
              <ActForm
                act="set-bin"
                label={`Bin of ${line.number}`}
                className="flex flex-wrap items-end gap-2"
                values={{ bin: line.bin, minimum: String(line.minimum) }}
                also={{ number: line.number, count: null }}
                seen={{ seen: seenBin(line) }}
                after={() => setMoving(false)}
              >
                <FormText name="bin" label="Bin" className="w-28" />
                <FormText name="minimum" label="Minimum" figures className="w-28" />
                <FormSend whenChanged>Save</FormSend>
              </ActForm>
              <button
                type="button"
                className="key key-small"
                disabled={levelling.busy}
                aria-pressed={line.byUse}
                aria-label={`Set level by use of ${line.number}`}
                onClick={() => levelling.press({ partTypeId: line.partTypeId, byUse: !line.byUse })}
              >
                Set level by use
              </button>
              <button
                type="button"
                className="key key-small"
                disabled={giving.busy}
                aria-label={`Remove the bin of ${line.number}`}
                onClick={() => giving.press({ partTypeId: line.partTypeId })}
              >
                Remove this bin
              </button>
            </div>
          </td>
        </tr>
      )}
    </>
  );
}
