"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import type { QuoteProps } from "./quote-props";

/** What is typed of the customer's answer, and every press of the quote. */
export function useQuote({ head, quote, add }: Pick<QuoteProps, "head" | "quote" | "add">) {
  const { jobId } = head;
  const [words, setWords] = useState("");
  const answering = useAct("answer", () => setWords(""));
  const foreseeing = useAct("foresee");
  const covering = useAct("cover-line");
  const decliningPart = useAct("part-declined");
  const strikingKit = useAct("kit-struck");
  const removing = useAct("job-line-removed");
  const leaving = useAct("fault-outcome");
  return {
    words,
    setWords,
    answering,
    foreseeing,
    covering,
    leaving,
    /** What refuses beside the lines. */
    ofLines: [foreseeing, removing, leaving, covering, decliningPart, strikingKit],
    /** The customer's answer to this very sum. */
    answer: (accepted: boolean, where: string) =>
      answering.press({
        jobId,
        accepted,
        totalMinor: quote.sum.totalMinor,
        words: words.trim() ? `${words.trim()} (${where})` : where,
      }),
    addAsked: () => add && foreseeing.press({ jobId, positionId: add.positionId, wanted: true, piece: add.piece }),
    foresee: (positionId: string, wanted: boolean) => foreseeing.press({ jobId, positionId, wanted }),
    /** A line of a comeback is ours or the customer's. */
    cover: (kind: "fault" | "part", ref: string, ours: boolean) => covering.press({ jobId, kind, ref, ours }),
    declinePart: (positionId: string, declined: boolean) => decliningPart.press({ jobId, positionId, declined }),
    strikeKit: (kitId: string, declined: boolean) => strikingKit.press({ jobId, kitId, declined }),
    removeLine: (lineId: number) => removing.press({ jobId, lineId }),
    leaveFault: (faultId: string, outcome: Parameters<typeof leaving.press>[0]["outcome"]) => leaving.press({ jobId, faultId, outcome }),
  };
}

export type QuotePresses = ReturnType<typeof useQuote>;
