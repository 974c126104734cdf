import { DateTime } from "luxon";
import { broughtWith } from "@/core/intake/lists";
import { nextService } from "@/core/intervals/next-service";
import { getBill } from "@/data/quotes";
import { handBackBlocks } from "@/data/returns";
import { ReturnSheet } from "@/ui/bench/return-sheet";
import { dateWords } from "@/ui/dates";
import { getDb, today } from "../../../server";
import { handBack, hangReady, leavePartOut, tickItem } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Return" };

export default async function ReturnPage(props: StationProps) {
  const { head, job } = await loadBench(props);
  const db = getDb();
  const next = nextService({ water: job.intake.water, tripsPerYear: job.intake.tripsPerYear });
  return (
    <ReturnSheet
      head={head}
      customer={job.customer.name}
      reelId={job.reel.id}
      totalMinor={job.finalTotalMinor ?? getBill(db, job).estimate.totalMinor}
      currency={job.currency}
      blocks={job.closedAt ? [] : handBackBlocks(db, job)}
      brought={job.brought.map((item) => ({ id: item.item, words: broughtWith[item.item], given: item.givenBackAt !== null }))}
      nextOn={`${dateWords(
        DateTime.fromISO(job.closedAt ?? today())
          .plus({ months: next.months })
          .toISO()!,
      )} (${next.because}; rule of thumb)`}
      ready={hangReady}
      tick={tickItem}
      leaveOut={leavePartOut}
      handBack={handBack}
    />
  );
}
