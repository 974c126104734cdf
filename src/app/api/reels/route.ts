import { today } from "@/app/server/clock";
import { customerChoices } from "@/app/server/customer-choice";
import { readFile } from "@/app/server/reading";
import { findModel } from "@/data/catalogue/models";
import { findCustomer } from "@/data/customers/customers";
import { findReel, findReelBySerial, findReelsAlike, isWholeSerial, listWorkedReelsOf, type Reel } from "@/data/customers/reels";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listJobsOfReel } from "@/data/jobs/jobs";
import { glanceAtReel } from "@/data/ledger/glance";
import { dateWords } from "@/ui/dates";

const offered = ({ id, modelName, serial, ownerName }: Reel) => ({ id, words: `${modelName} ${serial || "no serial"}, ${ownerName}` });

/** What is known of a serial: the reel, its owner and its last visits, for the counter. */
export const GET = readFile("customers", (db, _: object, request) => {
  const query = new URL(request.url).searchParams;
  const customer = Number(query.get("customer") ?? 0);
  if (customer) return Response.json({ reels: listWorkedReelsOf(db, customer).map(offered) });
  const serial = (query.get("serial") ?? "").slice(0, 40);
  const picked = Number(query.get("reel") ?? 0);
  const reel = picked ? findReel(db, picked) : isWholeSerial(serial) ? findReelBySerial(db, serial) : null;
  if (!reel) return Response.json({ reel: null, alike: serial.includes("?") ? findReelsAlike(db, serial).map(offered) : [] });
  const visits = listJobsOfReel(db, reel.id).map((job) => ({
    tag: job.tag,
    on: dateWords(job.openedAt),
    open: job.closedAt === null,
    /** Handed back after work of ours, which can come back. */
    worked: job.closedAt !== null && job.declinedReason === null && job.kind !== "purchase-check",
    declined: job.declinedReason,
    findings: listFaults(db, job.id).map((finding) => faultOf(db, finding.faultId)?.name ?? finding.faultId),
  }));
  return Response.json({
    reel: {
      id: reel.id,
      model: { id: reel.modelId, name: reel.modelName, family: findModel(db, reel.modelId)!.family },
      owner: customerChoices(db, [findCustomer(db, reel.ownerId)!])[0]!,
      hand: reel.hand,
    },
    visits,
    glance: glanceAtReel(db, reel.id, today()),
  });
});
