"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

interface Told {
  readonly wanted: number;
  readonly inBins: number;
  readonly not: readonly { readonly jobId: number; readonly why: string }[];
}

/** What the reels of a lot want new, as far as no bin has it, on the needs list by one press. @param called what each reel is called, by job. */
export function LotOrder({ lotId, called }: { readonly lotId: number; readonly called: ReadonlyMap<number, string> }) {
  const [told, setTold] = useState<Told | null>(null);
  const act = useAct("lot-order", setTold);
  return (
    <div className="mb-1">
      <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ lotId })}>
        Add the parts for all of them
      </button>
      {told && (
        <p role="status">
          <span className="num">{told.wanted}</span> on the needs list now, <span className="num">{told.inBins}</span> in the bins.
        </p>
      )}
      {told && told.not.length > 0 && (
        <ul className="alarm">
          {told.not.map(({ jobId, why }) => (
            <li key={`${jobId} ${why}`}>
              {called.get(jobId) ?? jobId}: {why}
            </li>
          ))}
        </ul>
      )}
      <Refused of={[act]} />
    </div>
  );
}
