"use client";
import { useAct } from "@/ui/act/use-act";
import { MainKey } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

/** Counts the day and keeps what it came to. */
export function CloseDay({ day, words }: { day: string; words: string }) {
  const act = useAct("close-day");
  return (
    <>
      <MainKey busy={act.busy} words={words} onPress={() => act.press({ day })}>
        {words}
      </MainKey>
      <Refused of={[act]} />
    </>
  );
}
