"use client";
import { useState } from "react";
import type { PartShape } from "@/core/anatomy/shapes";
import type { Position } from "@/core/anatomy/types";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import type { SeatEdit } from "./model-sheet";

interface Props {
  readonly position: Position;
  readonly shape: PartShape;
  /** @returns false when the size cannot be drawn. */
  readonly onChange: (edit: SeatEdit) => boolean;
  readonly onMove: (by: 1 | -1) => void;
}

/** "outsideMm" as a label: outside, mm. */
const labelOf = (key: string): string => {
  const words = key
    .replace(/Mm$/, "")
    .replace(/([A-Z])/g, " $1")
    .toLowerCase();
  return key.endsWith("Mm") ? `${words}, mm` : words;
};

/** One seat under the caliper: what is typed is drawn as soon as the field is left. */
export function SeatForm({ position, shape, onChange, onMove }: Props) {
  const [error, setError] = useState<{ key: string; text: string } | null>(null);
  const numbers = Object.entries(shape).filter((entry): entry is [string, number] => typeof entry[1] === "number");
  const measure = (key: string, text: string, before: number) => {
    const value = Number(text.trim().replace(",", "."));
    if (value === before) return;
    const fits = text.trim() !== "" && Number.isFinite(value) && value > 0 && onChange({ shape: { ...shape, [key]: value } as PartShape });
    setError(fits ? null : { key, text: `${text} cannot be drawn: a size is above 0 and up to 400 mm, a count a whole number.` });
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-3 gap-2">
        <Field label="Name of the seat">
          {(field) => (
            <input
              {...field}
              defaultValue={position.name}
              onBlur={(event) =>
                event.target.value.trim() && event.target.value !== position.name && onChange({ name: event.target.value })
              }
            />
          )}
        </Field>
        <Field label="How it lies">
          {(field) => (
            <input
              {...field}
              defaultValue={position.orientation ?? ""}
              onBlur={(event) => event.target.value !== (position.orientation ?? "") && onChange({ orientation: event.target.value })}
            />
          )}
        </Field>
        <Field label="Caution before the hand moves">
          {(field) => (
            <input
              {...field}
              defaultValue={position.caution ?? ""}
              onBlur={(event) => event.target.value !== (position.caution ?? "") && onChange({ caution: event.target.value })}
            />
          )}
        </Field>
      </div>
      <div className="flex flex-wrap gap-2">
        {numbers.map(([key, value]) => (
          <Field key={key} label={labelOf(key)} error={error?.key === key ? error.text : undefined} className="w-28">
            {(field) => (
              <input
                {...field}
                inputMode="decimal"
                defaultValue={String(value)}
                onBlur={(event) => measure(key, event.target.value, value)}
                onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
              />
            )}
          </Field>
        ))}
      </div>
      <div className="flex flex-wrap gap-3">
        <Key shortcut="ArrowLeft" words="Move towards the base" onPress={() => onMove(-1)}>
          ◂ Towards the base
        </Key>
        <Key shortcut="ArrowRight" words="Move outward" onPress={() => onMove(1)}>
          Outward ▸
        </Key>
        <Key shortcut="t" words="Turn over" onPress={() => onChange({ turned: !position.turned })}>
          Turn over
        </Key>
        {position.guessed && (
          <Key shortcut="y" words="Confirm this seat" onPress={() => onChange({ guessed: false })}>
            It is so: confirm
          </Key>
        )}
      </div>
    </div>
  );
}
