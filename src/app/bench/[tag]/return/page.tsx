import { DateTime } from "luxon";
import { broughtWith } from "@/core/intake/lists";
import { nextService } from "@/core/intervals/next-service";
import { claimsOf } from "@/data/diagnosis";
import { knowledgeOf } from "@/data/knowledge";
import { costToPutRight, getBill } from "@/data/quotes";
import { handBackBlocks } from "@/data/returns";
import { ClaimsPanel } from "@/ui/bench/claims-panel";
import { ReturnSheet } from "@/ui/bench/return-sheet";
import { dateWords } from "@/ui/dates";
import { getDb, today } from "../../../server";
import { answerLook, handBack, hangReady, leavePartOut, sendBackUnrepaired, tickItem } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Return" };

export default async function ReturnPage(props: StationProps) {
  const { head, job } = await loadBench(props);
  const db = getDb();
  const check = job.kind === "purchase-check";
  const claims = claimsOf(db, job);
  const next = nextService({ water: job.intake.water, tripsPerYear: job.intake.tripsPerYear });
  return (
    <ReturnSheet
      head={head}
      customer={job.customer.name}
      reelId={job.reel.id}
      totalMinor={job.finalTotalMinor ?? getBill(db, job).estimate.totalMinor}
      currency={job.currency}
      depositMinor={job.depositMinor}
      declinedReason={job.declinedReason}
      decline={sendBackUnrepaired}
      putRightMinor={check ? costToPutRight(db, job).totalMinor : null}
      above={
        claims.length > 0 && (
          <ClaimsPanel
            jobId={job.id}
            closed={head.closed}
            claims={claims}
            names={new Map(knowledgeOf(db).findings.map(({ id, name }) => [id, name]))}
            look={answerLook}
          />
        )
      }
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
