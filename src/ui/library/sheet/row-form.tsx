"use client";
import { useState } from "react";
import type { SheetRow } from "@/core/sheets/kept-sheet";
import { Field } from "@/ui/controls/field";
import { toMainKey } from "@/ui/controls/keys";

export interface SeatChoice {
  readonly id: string;
  readonly name: string;
  readonly assembly: string;
}

const fieldWords: Readonly<Record<SheetRow["doubts"][number]["field"], string>> = {
  callout: "Its numeral",
  number: "The part number",
  description: "What it is:",
  quantity: "How many:",
  price: "The price",
  remarks: "The remark",
  seat: "It",
};

interface Props {
  readonly row: SheetRow;
  readonly at: number;
  readonly seats: readonly SeatChoice[];
  readonly page: { readonly photoHash: string; readonly width: number; readonly height: number } | null;
  readonly fields: Readonly<Record<string, string>>;
  readonly onSave: (said: { number: string; description: string; quantity: number; positionIds: string[] }) => void;
}

/** One row with its cutting of the sheet: what was read can be typed over, its seats chosen. Enter saves it. */
export function RowForm({ row, at, seats, page, fields, onSave }: Props) {
  const [number, setNumber] = useState(row.number);
  const [description, setDescription] = useState(row.description);
  const [quantity, setQuantity] = useState(String(row.quantity));
  const [positionIds, setPositionIds] = useState(row.seats.map(({ positionId }) => positionId));
  const nameOf = new Map(seats.map(({ id, name }) => [id, name]));
  const changed =
    number !== row.number ||
    description !== row.description ||
    quantity !== String(row.quantity) ||
    positionIds.join(" ") !== row.seats.map(({ positionId }) => positionId).join(" ");
  const assemblies = [...new Set(seats.map(({ assembly }) => assembly))];
  const { box } = row;
  return (
    <form
      aria-label={`Row ${row.callout || at + 1}`}
      className="flex flex-col gap-2 border-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault();
        onSave({ number, description, quantity: Number(quantity) || 0, positionIds });
        toMainKey();
      }}
    >
      <h2>
        Row <span className="num">{row.callout || at + 1}</span>
      </h2>
      {page && box && box.w > 0 && (
        <svg
          viewBox={`${(box.x - 0.01) * page.width} ${(box.y - 0.002) * page.height} ${(box.w + 0.02) * page.width} ${(box.h + 0.004) * page.height}`}
          className="max-h-20 w-full border border-rule"
          role="img"
          aria-label="The row as printed on the sheet"
        >
          <image href={`/api/photos/${page.photoHash}`} width={page.width} height={page.height} />
        </svg>
      )}
      {row.doubts.map(({ field, why }) => (
        <p key={`${field} ${why}`} className="alarm">
          {fieldWords[field]} {why}.
        </p>
      ))}
      <div className="grid grid-cols-[1fr_5rem] gap-2">
        <Field label="Part number" error={fields.number}>
          {(field) => <input {...field} value={number} autoComplete="off" onChange={(event) => setNumber(event.target.value)} />}
        </Field>
        <Field label="How many" error={fields.quantity}>
          {(field) => <input {...field} inputMode="numeric" value={quantity} onChange={(event) => setQuantity(event.target.value)} />}
        </Field>
      </div>
      <Field label="What it is" error={fields.description}>
        {(field) => <input {...field} value={description} autoComplete="off" onChange={(event) => setDescription(event.target.value)} />}
      </Field>
      <div>
        <p className="text-note">Its seats</p>
        <p className="flex flex-wrap gap-2">
          {positionIds.map((id) => (
            <button
              key={id}
              type="button"
              className="key key-small"
              aria-label={`${nameOf.get(id) ?? id}: remove`}
              onClick={() => setPositionIds((now) => now.filter((one) => one !== id))}
            >
              {nameOf.get(id) ?? id} ×
            </button>
          ))}
          {!positionIds.length && <span>none</span>}
        </p>
        <Field label="Another seat">
          {(field) => (
            <select {...field} value="" onChange={({ target: { value } }) => value && setPositionIds((now) => [...now, value])}>
              <option value="">Choose…</option>
              {assemblies.map((assembly) => (
                <optgroup key={assembly} label={assembly}>
                  {seats
                    .filter((seat) => seat.assembly === assembly && !positionIds.includes(seat.id))
                    .map(({ id, name }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                </optgroup>
              ))}
            </select>
          )}
        </Field>
      </div>
      {changed && (
        <button type="submit" className="key self-start">
          Save row {row.callout || at + 1}
        </button>
      )}
    </form>
  );
}
