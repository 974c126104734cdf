import { Readable } from "node:stream";
import yazl from "yazl";
import { today } from "@/app/server/clock";
import { readFile } from "@/app/server/reading";
import { reportDates } from "@/app/server/report-dates";
import { reportOf } from "@/data/hand-back/kept-report";
import { getOwnerRecord } from "@/data/hand-back/owner-record";
import { getCustomerRecord } from "@/data/ledger/customer-record";
import { ownerFile } from "@/formats/owner-file";
import { dateWords } from "@/ui/dates";

const readMe = `What this shop holds of one customer.

customer.json   the card, reels, visits and what was done, as JSON
records/*.html  every visit as one page with its drawings and pictures; any browser shows it
`;

/** Everything held of one customer, as one file for them. */
export const GET = readFile("everything", (db, { id }: { id: string }) => {
  const record = getCustomerRecord(db, Number(id));
  if (!record) return new Response("There is no such customer.", { status: 404 });
  const zip = new yazl.ZipFile();
  zip.addBuffer(Buffer.from(readMe), "README.txt");
  zip.addBuffer(Buffer.from(`${JSON.stringify(record.card, null, 2)}\n`), "customer.json");
  for (const job of record.jobs)
    zip.addBuffer(
      Buffer.from(ownerFile(getOwnerRecord(db, job, reportOf(db, job, reportDates(job)), dateWords))),
      `records/${job.tag}.html`,
    );
  zip.end();
  return new Response(Readable.toWeb(zip.outputStream as unknown as Readable) as ReadableStream, {
    headers: {
      "content-type": "application/zip",
      "content-disposition": `attachment; filename="customer-${id}-${today()}.zip"`,
      "cache-control": "no-store",
    },
  });
});
