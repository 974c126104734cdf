"use client";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly reelId: number;
  readonly seats: readonly { positionId: string; seat: string; assembly: string; number: string; priceMinor: number }[];
}

type Give = "" | "good" | "worn";

/** A reel past saving gives its parts: each chosen one becomes stock with this reel as its origin. */
export function ScrapForm({ reelId, seats }: Props) {
  const [open, setOpen] = useState(false);
  const [drawer, setDrawer] = useState("");
  const [give, setGive] = useState<Readonly<Record<string, Give>>>({});
  const act = useAct("scrap-reel");
  const pieces = Object.entries(give).flatMap(([positionId, condition]) => (condition ? [{ positionId, condition }] : []));
  if (!open)
    return (
      <button type="button" className="key key-small mt-4" onClick={() => setOpen(true)}>
        Keep for parts
      </button>
    );
  const assemblies = [...new Set(seats.map((seat) => seat.assembly))];
  return (
    <form
      className="mt-4 border-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ reelId, drawer, pieces });
      }}
    >
      <h2>Parts worth keeping</h2>
      <p>A reel scrapped for parts takes no more jobs. Suggested price: good parts 40 % of new, worn parts 15 % (rule of thumb).</p>
      <div className="columns-1 gap-8 lg:columns-2">
        {assemblies.map((assembly) => (
          <fieldset key={assembly} className="break-inside-avoid">
            <legend>{assembly}</legend>
            {seats
              .filter((seat) => seat.assembly === assembly)
              .map((seat) => (
                <div key={seat.positionId} className="rule-row flex items-center gap-2 py-1">
                  <span className="flex-1">
                    {seat.seat} <span className="num text-note">{seat.number}</span>{" "}
                    <span className="num text-note">{formatMinor(seat.priceMinor)}</span>
                  </span>
                  {(["good", "worn"] as const).map((condition) => (
                    <button
                      key={condition}
                      type="button"
                      className="key key-small"
                      aria-pressed={give[seat.positionId] === condition}
                      aria-label={`${seat.seat}: ${condition}`}
                      onClick={() =>
                        setGive((give) => ({ ...give, [seat.positionId]: give[seat.positionId] === condition ? "" : condition }))
                      }
                    >
                      {condition}
                    </button>
                  ))}
                </div>
              ))}
          </fieldset>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <Field label="Drawer" className="w-56" error={act.fields.drawer}>
          {(field) => <input {...field} value={drawer} onChange={(event) => setDrawer(event.target.value)} autoComplete="off" />}
        </Field>
        <button type="submit" className="key" disabled={act.busy || !pieces.length}>
          Keep {pieces.length} {pieces.length === 1 ? "part" : "parts"} and end this reel
        </button>
        <button type="button" className="key" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </div>
      <Refused of={[act]} />
    </form>
  );
}
