import "server-only";
import type { ReelHistory } from "@/core/history/history";
import type { Report } from "@/core/report/report";
import { findModel, getCurrentModelVersion, type Model, type ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import { readPhoto } from "@/data/database/photos";
import { reportOf } from "@/data/hand-back/kept-report";
import { getOwnerRecord } from "@/data/hand-back/owner-record";
import { findJobByTag, type Job } from "@/data/jobs/jobs";
import { getReelHistory } from "@/data/ledger/reel-history";
import { fileHash, ownerFile } from "@/formats/owner-file";
import { dateWords, monthsAfter } from "@/ui/dates";
import { today } from "./clock";
import { readFile } from "./reading";
import { reportDates } from "./report-dates";

type Answer = Response | Promise<Response>;
const none = (words: string) => new Response(words, { status: 404 });

/** A file of this server; never cached, because the record behind it may change until the job is closed. */
export function fileResponse(body: Buffer | string, type: string, name: string, shown: "inline" | "attachment" = "attachment"): Response {
  return new Response(typeof body === "string" ? body : new Uint8Array(body), {
    headers: { "content-type": type, "content-disposition": `${shown}; filename="${name}"`, "cache-control": "no-store" },
  });
}

/** A PDF shown in the browser. */
export const pdfResponse = (bytes: Buffer, name: string): Response => fileResponse(bytes, "application/pdf", name, "inline");

/** A table for a spreadsheet. */
export const csvResponse = (text: string, name: string): Response => fileResponse(text, "text/csv; charset=utf-8", name);

/** A file of the job whose tag stands in the address. */
export const jobFile = (work: (db: Db, job: Job) => Answer) =>
  readFile("jobs", (db, { tag }: { tag: string }) => {
    const found = findJobByTag(db, tag);
    return "job" in found ? work(db, found.job) : none(found.message);
  });

/** A file made from a job's report. */
export const reportFile = (work: (report: Report, job: Job) => Answer) =>
  jobFile((db, job) => work(reportOf(db, job, reportDates(job)), job));

/** The bytes of the pictures a report shows; one whose file is gone is not among them. */
export const picturesOf = (db: Db, { pictures }: Report): ReadonlyMap<string, Buffer> =>
  new Map(
    pictures.flatMap(({ hash }) => {
      const bytes = readPhoto(db, hash);
      return bytes ? [[hash, bytes]] : [];
    }),
  );

/** The file its owner keeps of a job, with the report that prints its hash; one that is still here has none yet. */
export const recordFile = (work: (file: string, report: Report, job: Job, db: Db) => Answer) =>
  jobFile((db, job) => {
    const report = reportOf(db, job, reportDates(job));
    const file = ownerFile(getOwnerRecord(db, job, report, dateWords));
    return work(file, { ...report, fileHash: job.closedAt ? fileHash(file) : null }, job, db);
  });

/** A file of the newest version of a model. */
export const modelFile = (work: (model: Model, version: ModelVersion, query: URLSearchParams) => Answer) =>
  readFile("library", (db, { model: id }: { model: string }, request) => {
    const model = findModel(db, id);
    return model
      ? work(model, getCurrentModelVersion(db, model.id), new URL(request.url).searchParams)
      : none("This model is not in the library.");
  });

/** A file of a reel's history. */
export const historyFile = (work: (history: ReelHistory) => Answer) =>
  readFile("ledger", (db, { id }: { id: string }) => {
    const history = getReelHistory(db, Number(id), { today: today(), after: monthsAfter });
    return history ? work(history) : none("There is no such reel.");
  });
