"use client";
import Link from "next/link";
import { useState } from "react";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import { useAct } from "@/ui/act/use-act";
import { type HandBack, HandBackFields, handBackInput } from "@/ui/bench/return/return-fields";
import { stationNames } from "@/ui/bench/stations-words";
import { Refused } from "@/ui/controls/refused";

export interface LotReelPlace {
  readonly tag: string;
  readonly mark: string;
  readonly station: Station | "closed";
  /** Minutes at the bench so far. */
  readonly minutes: number;
}

/** How far each reel of the lot has come, what each took, and handing back all that are ready in one act. */
export function LotProgress({ lotId, customer, reels }: { lotId: number; customer: string; reels: readonly LotReelPlace[] }) {
  const [hand, setHand] = useState<HandBack>({ signedBy: customer, paidBy: "", paidNote: "", oldParts: "" });
  const [said, setSaid] = useState("");
  const act = useAct("close-lot", ({ reels: gone, left }) => setSaid(`${gone} returned, ${left} still here.`));
  const ready = reels.filter(({ station }) => station === "return").length;
  const finished = reels.filter(({ station, minutes }) => (station === "return" || station === "closed") && minutes > 0);
  const half = Math.ceil(finished.length / 2);
  const mean = (some: readonly LotReelPlace[]) => Math.round(some.reduce((sum, { minutes }) => sum + minutes, 0) / some.length);
  return (
    <div>
      <h2>One after another</h2>
      <p className="text-note">Work one station across all reels: J goes to the next reel at the same station.</p>
      <ul>
        {stations.map((station) => {
          const here = reels.filter((reel) => reel.station === station);
          if (!here.length) return null;
          return (
            <li key={station} className="rule-row flex flex-wrap items-center gap-x-3">
              <span className="w-16">{stationNames[station]}</span>
              <span className="num">{here.length}</span>
              <Link className="act-link inline-flex min-h-10 items-center" href={`/bench/${here[0]!.tag}/${station}`} prefetch={false}>
                {here[0]!.mark || here[0]!.tag}
              </Link>
            </li>
          );
        })}
        <li className="rule-row flex gap-x-3 py-2">
          <span className="w-16">Returned</span>
          <span className="num">{reels.filter(({ station }) => station === "closed").length}</span>
        </li>
      </ul>
      {finished.length > 1 && (
        <p className="mt-1">
          The first <span className="num">{half}</span> took <span className="num">{mean(finished.slice(0, half))}</span> min each, the last{" "}
          <span className="num">{finished.length - half}</span> <span className="num">{mean(finished.slice(half))}</span>.
        </p>
      )}
      <a className="key key-small mt-2" href={`/bench/lot/${lotId}/report.pdf`} target="_blank" rel="noreferrer">
        Lot overview
      </a>
      {ready > 0 && (
        <form
          className="mt-2 flex flex-col gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            setSaid("");
            act.press({ lotId, ...handBackInput(hand) });
          }}
        >
          <HandBackFields value={hand} errors={act.fields} onChange={(change) => setHand((typed) => ({ ...typed, ...change }))} />
          <button type="submit" className="key" disabled={act.busy}>
            Hand back the {ready} that are ready
          </button>
        </form>
      )}
      <Refused of={[act]} beside />
      {said && <p role="status">{said}</p>}
    </div>
  );
}
