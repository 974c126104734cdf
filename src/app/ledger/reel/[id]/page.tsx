import Link from "next/link";
import { notFound } from "next/navigation";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { partsByAge } from "@/core/history/parts-by-age";
import { takenForWords } from "@/core/intake/taken-for";
import { protocolFor } from "@/core/proving/protocol";
import { findModel } from "@/data/catalogue/models";
import { findReel, takenFor } from "@/data/customers/reels";
import { dueOfReel } from "@/data/ledger/reel-history";
import { getShopSettings } from "@/data/shop/settings";
import { dateWords, monthsAfter } from "@/ui/dates";
import { OwnerForm } from "@/ui/ledger/owner-form";
import { ReelTimeline } from "@/ui/ledger/reel-timeline";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { BeforeThisBook, Measured, Owners, Pictures, Scrapping } from "./story";
import { VisitsChart, VisitsTable, visitsOf } from "./visits";

export const metadata = { title: "Reel" };

/** All visits of one reel, newest first, with what was measured before and after each. */
export default async function ReelPage({ params }: { params: Promise<{ id: string }> }) {
  const db = await readPage("ledger");
  const reel = findReel(db, Number((await params).id));
  if (!reel) notFound();
  const visits = visitsOf(db, reel.id);
  const protocol = protocolFor(findModel(db, reel.modelId)!.family);
  const force = getShopSettings(db).shownForce;
  const taken = takenForWords(takenFor(db, reel.id));
  const oldestFirst = [...visits].reverse();
  const due = dueOfReel(db, reel.id, monthsAfter);
  const ages = partsByAge(
    visits.flatMap(({ job, fitted }) =>
      fitted.map((part) => ({ seat: part.positionName, on: (job.closedAt ?? job.openedAt).slice(0, 10) })),
    ),
  );
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Serial", value: reel.serial || "none", large: true },
            { label: "Reel", value: reel.modelName },
            { label: "Owner", value: reel.ownerName },
            { label: "Visits", value: String(reel.visits) },
            ...(taken ? [{ label: "Believed to be", value: taken }] : []),
          ]}
        />
      }
    >
      <h1>
        {reel.modelName}, {reel.hand} hand
      </h1>
      {visits.length > 0 && (
        <ReelTimeline
          today={today()}
          visits={oldestFirst.map(({ job }) => ({
            tag: job.tag,
            on: job.openedAt.slice(0, 10),
            words: dateWords(job.openedAt),
            open: job.closedAt === null,
          }))}
          due={due.map(({ id, on, component, reels }) => ({
            id,
            on,
            words: `${component} ${dateWords(on)} (${reels ? `from ${reels} reels like it` : "rule of thumb"})`,
          }))}
        />
      )}
      <p className="flex flex-wrap gap-2">
        <a className="key key-small" href={`/ledger/reel/${reel.id}/history.pdf`} target="_blank" rel="noreferrer">
          History on paper
        </a>
        <a className="key key-small" href={`/ledger/reel/${reel.id}/history.json`}>
          History as a file
        </a>
      </p>
      <Owners db={db} reelId={reel.id} />
      <p className="mt-2">
        <Link className="act-link inline-flex min-h-10 items-center" href={`/library/${reel.modelId}/record`} prefetch={false}>
          What we know about these reels
        </Link>
      </p>
      <Pictures db={db} reelId={reel.id} />
      <OwnerForm reelId={reel.id} />
      {ages.length > 0 && (
        <p className="mt-2">
          New parts by age: {ages.map(({ seat, on, times }) => `${seat} ${dateWords(on)}${times > 1 ? `, ${times} times` : ""}`).join("; ")}
          . The age of the other parts is unknown.
        </p>
      )}
      {oldestFirst.length > 1 && <VisitsChart db={db} reel={reel} visits={oldestFirst} protocol={protocol} force={force} />}
      <BeforeThisBook db={db} reelId={reel.id} />
      <Measured db={db} reelId={reel.id} visits={visits} />
      <VisitsTable visits={visits} protocol={protocol} force={force} />
      <Scrapping db={db} reelId={reel.id} here={visits.some(({ job }) => !job.closedAt)} />
    </Sheet>
  );
}
