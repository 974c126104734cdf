"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { cleanNow } from "@/core/cleaning/clean-now";
import { cleanMethods } from "@/core/cleaning/methods";
import { msPerMinute } from "@/core/day/day";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { Choice } from "@/core/ways/ways";
import { useAct } from "@/ui/act/use-act";
import type { CleanProps } from "./clean-props";

/** A bath is told of on every page: the bell looks again. */
const tellBell = () => window.dispatchEvent(new Event("zorbek-bath"));

/** The server's clock, a second at a time. @param servedMs its time when the page was made. */
function useServerClock(servedMs: number): number {
  const [now, setNow] = useState(servedMs);
  useEffect(() => {
    const offset = servedMs - Date.now();
    const ticking = setInterval(() => setNow(Date.now() + offset), 1000);
    return () => clearInterval(ticking);
  }, [servedMs]);
  return now;
}

/** How the cleaning stands under the hand, and every press of it. */
export function useClean({ head, groups, plan, soaks, nowMs: servedMs, next: station }: CleanProps) {
  const { jobId } = head;
  const router = useRouter();
  const nowMs = useServerClock(servedMs);
  const [chosen, setChosen] = useState<CleanMethod | null>(null);
  const [missing, setMissing] = useState<readonly string[]>([]);
  const [openId, setOpenId] = useState<string | null>(null);
  const [said, setSaid] = useState("");
  const [bath, setBath] = useState({ minutes: "", intoSoakId: null as number | null, mark: "" });
  const settle = () => {
    setChosen(null);
    setMissing([]);
    tellBell();
  };
  const begin = useAct("soak", settle);
  const count = useAct("count-back", ({ words }) => {
    setSaid(words);
    settle();
  });
  const cancel = useAct("cancel-soak", settle);
  const byHand = useAct("cleaned-by-hand", settle);
  const again = useAct("clean-again", settle);
  const dirty = useAct("way", settle);
  const next = `/bench/${head.tag}/${station}`;
  const allByHand = useAct("all-cleaned-by-hand", () => {
    settle();
    // What soaks still has to be counted back here; else the hands go on.
    if (!soaks.length && !head.lot) router.push(next);
  });
  const cleanAs = useAct("clean-part-as");
  const now = cleanNow({ groups, plan, soaks, chosen, nowMs });
  const { group, soak } = now;
  const usualMinutes = group ? cleanMethods[group.method].soakMinutes : 0;
  const minutes = bath.minutes === "" ? usualMinutes : Number(bath.minutes.replace(",", "."));
  return {
    now,
    nowMs,
    next,
    chosen,
    setChosen,
    missing,
    setMissing,
    openId,
    setOpenId,
    said,
    bath,
    minutes,
    changeBath: (change: Partial<typeof bath>) => setBath((typed) => ({ ...typed, ...change })),
    /** Until the bath under the hand is up; below nothing when it is over. */
    leftMinutes: soak ? Math.ceil((Date.parse(soak.dueAt) - nowMs) / msPerMinute) : 0,
    /** Of what soaks, what was not found in it. */
    lost: missing.filter((id) => group?.soaking.includes(id)),
    acts: { begin, count, cancel, byHand, again, dirty, allByHand, cleanAs },
    intoBath: (method: CleanMethod) => begin.press({ jobId, method, minutes, intoSoakId: bath.intoSoakId, mark: bath.mark }),
    countBack: (soakId: number, lost: readonly string[]) => count.press({ jobId, soakId, missing: [...lost] }),
    outUncounted: (soakId: number) => cancel.press({ jobId, soakId }),
    cleanByHand: (method: CleanMethod) => byHand.press({ jobId, method }),
    cleanAgain: (method: CleanMethod | null) => again.press({ jobId, method }),
    cleanAllByHand: () => allByHand.press({ jobId }),
    isDirty: (choice: Choice<"cleaning">) => dirty.press({ jobId, scope: "job", way: "cleaning", choice }),
    cleanPartAs: (positionId: string, method: CleanMethod | null) => cleanAs.press({ jobId, positionId, method }),
  };
}

export type Clean = ReturnType<typeof useClean>;
