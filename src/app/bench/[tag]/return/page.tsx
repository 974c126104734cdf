import { answerLook } from "@/app/bench/[tag]/find/actions";
import { sendBackUnrepaired } from "@/app/bench/[tag]/quote/actions";
import { loadBench, type StationProps } from "@/app/server/bench-head";
import { today } from "@/app/server/clock";
import { oldPartsWords, paidWords } from "@/core/hand-back/hand-back";
import { toldInAll } from "@/core/intake/told-at";
import { componentServices } from "@/core/intervals/component-service";
import { nextService } from "@/core/intervals/next-service";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { claimsOf } from "@/data/diagnosis/diagnosis";
import { knowledgeOf } from "@/data/diagnosis/knowledge";
import { handBackBlocks, handBackNote } from "@/data/hand-back/returns";
import { listStationTimes } from "@/data/jobs/station-time";
import { costToPutRight, getBill } from "@/data/quote/quotes";
import { ClaimsPanel } from "@/ui/bench/find/claims-panel";
import { ReturnSheet } from "@/ui/bench/return/return-sheet";
import { dateWords, monthsAfter } from "@/ui/dates";
import { correctMinutes, handBack, hangReady, leavePartOut, tickItem } from "./actions";

export const metadata = { title: "Return" };

const handedBackWords = ({ signedBy, paidBy, paidNote, oldParts }: ReturnType<typeof handBackNote>): string =>
  [
    signedBy && `Collected by ${signedBy}.`,
    paidBy && `Paid: ${paidWords[paidBy]}${paidNote ? ` (${paidNote})` : ""}.`,
    oldParts && `Old parts: ${oldPartsWords[oldParts]}.`,
  ]
    .filter(Boolean)
    .join(" ");

export default async function ReturnPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  const check = job.kind === "purchase-check";
  const claims = claimsOf(db, job);
  const use = { water: job.intake.water, tripsPerYear: job.intake.tripsPerYear };
  const next = nextService(use);
  return (
    <ReturnSheet
      head={head}
      customer={job.customer.name}
      reelId={job.reel.id}
      totalMinor={job.finalTotalMinor ?? getBill(db, job).sum.totalMinor}
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
      nextOn={`${dateWords(monthsAfter(job.closedAt ?? today(), next.months))} (${next.because}; rule of thumb)`}
      due={componentServices(version.partTypes.values(), use)
        .filter(({ id }) => id !== "whole")
        .map(({ id, component, what, months }) => ({
          id,
          words: `${component}: ${what}, by ${dateWords(monthsAfter(job.closedAt ?? today(), months))}`,
        }))}
      told={toldInAll(job.intake)}
      times={listStationTimes(db, job.id)}
      correct={correctMinutes}
      handedBack={job.closedAt ? handedBackWords(handBackNote(db, job.id)) : ""}
      ready={hangReady}
      tick={tickItem}
      leaveOut={leavePartOut}
      handBack={handBack}
    />
  );
}
