import { notFound } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { mayHave } from "@/core/diagnosis/signs-on-reel";
import { countLooked } from "@/core/lots/looked-at";
import { lotNeed } from "@/core/lots/lot-need";
import { protocolFor } from "@/core/proving/protocol";
import { waitsForAnswer } from "@/core/quote/consent";
import { lotTurnOf } from "@/data/bench/lot-hands";
import { findModel, getCurrentModelVersion } from "@/data/catalogue/models";
import { findLot } from "@/data/counter/lots";
import { revisionOf } from "@/data/database/journal";
import { settledOf } from "@/data/diagnosis/diagnosis";
import { knowledgeOf } from "@/data/diagnosis/knowledge";
import { verdictsBefore } from "@/data/diagnosis/observations";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { stationTimesOf } from "@/data/jobs/station-time";
import { quotesOf } from "@/data/quote/quotes";
import { LotSheet } from "@/ui/bench/lot/lot-sheet";

export const metadata = { title: "Lot" };

export default async function LotPage({ params }: { params: Promise<{ id: string }> }) {
  const db = await readPage("jobs");
  const lot = findLot(db, Number((await params).id));
  if (!lot) notFound();
  const jobs = listJobsOfLot(db, lot.id);
  const model = findModel(db, lot.modelId)!;
  const version = getCurrentModelVersion(db, lot.modelId);
  const roles = new Set([...version.partTypes.values()].map((type) => type.role));
  const knowledge = knowledgeOf(db);
  const faults = knowledge.faults.filter((fault) => mayHave(fault, roles));
  const ids = jobs.map(({ id }) => id);
  const settled = settledOf(db, ids);
  const quotes = quotesOf(db, jobs);
  const verdicts = verdictsBefore(db, ids);
  const times = stationTimesOf(db, ids);
  const use = jobs[0]?.intake.life ?? [];
  const tests = protocolFor(model.family).map(({ id }) => id);
  const needs = faults.flatMap((fault) => {
    const { proved, looked } = countLooked(
      fault,
      jobs.map((job) => ({ settled: settled.get(job.id)!.get(fault.id), verdicts: verdicts.get(job.id) ?? {} })),
      tests,
    );
    if (!proved) return [];
    const rest = jobs.length - looked;
    return [
      {
        id: fault.id,
        name: fault.name,
        proved,
        settled: looked,
        rest,
        need: lotNeed(knowledge.priorOf(fault.id, use), { proved, settled: looked }, rest),
      },
    ];
  });
  return (
    <LotSheet
      lot={{ id: lot.id, name: lot.name, customer: lot.customerName, model: `${model.maker} ${model.name}` }}
      tests={protocolFor(model.family).map(({ id, name, how }) => ({ id, name, how }))}
      faults={faults.map(({ id, name, section }) => ({ id, name, section }))}
      reels={jobs.map((job) => ({
        jobId: job.id,
        tag: job.tag,
        serial: job.reel.serial,
        mark: job.mark,
        closed: job.closedAt !== null,
        turn: lotTurnOf(db, job),
        asks: job.closedAt === null && waitsForAnswer(quotes.get(job.id)!),
        verdicts: verdicts.get(job.id) ?? {},
        settled: Object.fromEntries(settled.get(job.id)!),
      }))}
      needs={needs}
      lineRadiusMm={version.lineRadiusMm}
      revision={revisionOf(db)}
      places={jobs.map((job) => ({
        tag: job.tag,
        mark: job.mark,
        station: job.station,
        minutes: times.get(job.id)!.reduce((sum, { minutes }) => sum + minutes, 0),
      }))}
    />
  );
}
