"use client";
import type { SkippedTest } from "@/core/proving/observation";

const reasons = ["no line on it", "it could do damage", "a part is missing", "customer did not want it", "no time"] as const;

/** Why a test was left out: one of the usual reasons, said after the press or not at all. */
export function WhyLeftOut({ skip, closed, say }: { skip: SkippedTest; closed: boolean; say: (reason: string) => void }) {
  return (
    <span className="flex items-center gap-3">
      left out
      {closed ? (
        skip.reason && `: ${skip.reason}`
      ) : (
        <select aria-label="Why it was left out" className="w-64" value={skip.reason} onChange={(event) => say(event.target.value)}>
          <option value="">say why</option>
          {[...new Set([...reasons, ...(skip.reason ? [skip.reason] : [])])].map((reason) => (
            <option key={reason} value={reason}>
              {reason}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}
