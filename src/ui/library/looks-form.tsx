"use client";
import type { Look } from "@/core/anatomy/types";
import { mistakeWords } from "@/core/vocabulary/mistakes";
import { LeaveField } from "@/ui/controls/leave-field";
import { PickMany } from "@/ui/controls/pick-many";

/**
 * What is looked at when a check fails: in words for who stands there, and as values, so that the way back to it and what the check shows are known.
 * @param take gives the whole list on; its message where it cannot be kept.
 */
export function LooksForm({
  looks,
  seatNames,
  take,
}: {
  looks: readonly Look[];
  seatNames: Readonly<Record<string, string>>;
  take: (looks: Look[]) => string | null;
}) {
  const change = (at: number, to: Partial<Look>) => take(looks.map((look, i) => (i === at ? { ...look, ...to } : look)));
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="font-semibold">If it fails, look at</legend>
      {looks.map((look, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a look has no name but its place in the list
        <div key={i} className="border-l-2 border-ink pl-2">
          <LeaveField
            label={`Look ${i + 1}`}
            value={look.words}
            onLeave={(text) => (text.trim() ? change(i, { words: text.trim() }) : take(looks.filter((_, j) => j !== i)))}
          />
          <PickMany label={`Look ${i + 1}: where`} options={seatNames} chosen={look.seats} onChange={(seats) => change(i, { seats })} />
          <PickMany
            label={`Look ${i + 1}: what fails it there`}
            options={mistakeWords}
            chosen={look.shows}
            onChange={(shows) => change(i, { shows: shows as Look["shows"] })}
          />
        </div>
      ))}
      <LeaveField
        key={looks.length}
        label="One more thing to look at"
        value=""
        onLeave={(text) => (text.trim() ? take([...looks, { words: text.trim(), seats: [], shows: [] }]) : null)}
      />
    </fieldset>
  );
}
