import { loadBench, type StationProps } from "@/app/server/bench-head";
import { today } from "@/app/server/clock";
import { reportDates } from "@/app/server/report-dates";
import { saying } from "@/core/account/sentences";
import { knowledgeOn } from "@/core/diagnosis/signs-on-reel";
import { keepsHereWords, stationOfBlock } from "@/core/hand-back/going-home";
import { oldPartsWords, paidWords } from "@/core/hand-back/hand-back";
import { returnNow } from "@/core/hand-back/return-now";
import { toldInAll } from "@/core/intake/told-at";
import { formatMinor } from "@/core/money/money";
import { hasDrag, testOn } from "@/core/proving/protocol";
import { storageOwed } from "@/core/shop/duties";
import { notDoneByWord } from "@/core/teardown/owed";
import { asItIsReasons } from "@/core/vocabulary/as-it-is";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { listAsItIs } from "@/data/account/as-it-is";
import { getAccount } from "@/data/account/job-acts";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { listWells } from "@/data/bench/tray";
import { claimsOf, rolesIn } from "@/data/diagnosis/diagnosis";
import { knowledgeOf } from "@/data/diagnosis/knowledge";
import { listCorrections } from "@/data/hand-back/corrections";
import { hereFor } from "@/data/hand-back/going-home";
import { listPictures, seenReportWords } from "@/data/hand-back/report-words";
import { handBackNote, toldOn } from "@/data/hand-back/returns";
import { listStationTimes } from "@/data/jobs/station-time";
import { serviceDates } from "@/data/ledger/served";
import { balanceOfPaper, findPaper, invoiceOfJob } from "@/data/papers/papers";
import { costToPutRight, getBill } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";
import { ClaimsPanel } from "@/ui/bench/find/claims-panel";
import { ReturnSheet } from "@/ui/bench/return/return-sheet";
import { dateWords } from "@/ui/dates";

export const metadata = { title: "Return" };

const storageShown = (owed: ReturnType<typeof storageOwed>) =>
  owed && { ...owed, words: `Storage since the third reminder on ${dateWords(owed.since)}: ${owed.weeks} weeks` };

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
  const blocks = job.closedAt ? [] : hereFor(db, job);
  const claims = claimsOf(db, job);
  const invoice = job.closedAt ? invoiceOfJob(db, job.id) : null;
  const paper = invoice === null ? null : findPaper(db, invoice);
  const { steps } = getBuild(db, job, version);
  const after = answersThatHold(db, job, steps).filter(({ phase }) => phase === "after");
  const { sentences } = getAccount(db, job, version);
  const bill = getBill(db, job);
  const wells = listWells(db, job.id);
  const seatNames = new Map(version.anatomy.positions.map(({ id, name }) => [id, name]));
  const dates = serviceDates(db, job, reportDates(job));
  return (
    <ReturnSheet
      head={head}
      customer={job.customer.name}
      reelId={job.reel.id}
      totalMinor={job.finalTotalMinor ?? bill.sum.totalMinor}
      currency={job.currency}
      depositMinor={job.depositMinor}
      declinedReason={job.declinedReason}
      putRightMinor={check ? costToPutRight(db, job).totalMinor : null}
      above={
        claims.length > 0 && (
          <ClaimsPanel
            jobId={job.id}
            closed={head.closed}
            claims={claims}
            names={new Map(knowledgeOn(knowledgeOf(db), rolesIn(db, version)).findings.map(({ id, name }) => [id, name]))}
          />
        )
      }
      together={{
        pieces: wells.filter(({ leftOutReason }) => leftOutReason === null).length,
        undone: notDoneByWord(steps).map(({ operation, note }) => ({ id: operation.id, name: operation.words, why: note })),
        out: wells.flatMap(({ positionId, leftOutReason }) =>
          leftOutReason === null ? [] : [{ id: positionId, name: seatNames.get(positionId) ?? positionId, why: leftOutReason }],
        ),
        checks: steps.filter(({ operation, state }) => operation.kind === "gate" && state === "done").length,
        tested: after.length,
        bad: after.filter(({ verdict }) => verdict === "bad").map(({ testId }) => testOn(version.model.family, testId).name),
      }}
      account={{
        found: saying(sentences, "found"),
        done: saying(sentences, "done", "seals"),
        oilAndChecks: saying(sentences, "oil", "checks"),
        watch: saying(sentences, "watch"),
      }}
      asks={{
        asked: job.complaint,
        answer: job.answer,
        ourMistake: job.ourMistake,
        seen: seenReportWords(job),
        comeback: job.kind === "comeback",
        pictures: listPictures(db, job.id).map(({ hash, positionId, onReport }) => ({
          hash,
          shows: positionId === null ? "As it came" : (seatNames.get(positionId) ?? positionId),
          onReport,
        })),
      }}
      next={returnNow(blocks, job.station === "return")}
      blocks={blocks.map((block) => ({
        code: block.code,
        message: keepsHereWords(block),
        station: stationOfBlock(block),
        ...(block.what === "well" ? { positionId: block.positionId } : {}),
        ...(block.what === "still-bad" ? { test: { id: block.testId, name: block.name } } : {}),
        ...(block.what === "open-fault" ? { fault: { id: block.faultId, name: block.name } } : {}),
      }))}
      asItIs={listAsItIs(db, job.id).map(({ testId, reason }) => ({
        testId,
        words: `Returned as it is: ${testOn(version.model.family, testId).name} is bad. ${asItIsReasons[reason]}.`,
      }))}
      brought={job.brought.map((item) => ({ id: item.item, words: broughtWith[item.item], given: item.givenBackAt !== null }))}
      nextOn={dates.nextService}
      due={[
        ...dates.due
          .filter(({ id }) => id !== "whole")
          .map(({ id, component, what, on }) => ({ id, words: `${component}: ${what}, by ${dateWords(on)}` })),
        ...(dates.notServed.length ? [{ id: "not-served", words: `Not serviced here yet: ${dates.notServed.join(", ")}` }] : []),
      ]}
      told={toldInAll(job.intake)}
      times={listStationTimes(db, job.id)}
      invoice={invoice}
      today={today()}
      hasDrag={hasDrag(version.model.family)}
      storage={job.closedAt ? null : storageShown(storageOwed(toldOn(db, job.id), today(), getShopSettings(db).storagePerWeekMinor))}
      returnedToday={job.closedAt !== null && new Date(job.closedAt).toLocaleDateString("sv-SE") === today()}
      balance={paper && balanceOfPaper(db, paper)}
      handedBack={job.closedAt ? handedBackWords(handBackNote(db, job.id)) : ""}
      corrections={listCorrections(db, job.id).map(({ id, at, person, words, amountMinor }) => ({
        id,
        words: `${dateWords(at)}, ${person}: ${words}${amountMinor ? `, ${amountMinor > 0 ? "paid" : "given back"} ${formatMinor(Math.abs(amountMinor))} ${job.currency}` : ""}`,
      }))}
    />
  );
}
