import Link from "next/link";
import { notFound } from "next/navigation";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { searchModels } from "@/data/catalogue/model-list";
import { isBegun, seenIntake } from "@/data/counter/correct-intake";
import { listParcels, seenParcel } from "@/data/counter/parcels";
import { findJobByTag } from "@/data/jobs/jobs";
import { IntakeRight } from "@/ui/bench/intake/intake-right";
import { Parcels } from "@/ui/bench/intake/parcels";
import { dayWords } from "@/ui/dates";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Intake" };

/** What was taken in, to be put right until the reel is returned; its tag and its receipt once more; or the intake cancelled. */
export default async function IntakePage({ params }: { params: Promise<{ tag: string }> }) {
  const db = await readPage("jobs");
  const found = findJobByTag(db, decodeURIComponent((await params).tag));
  if (!("job" in found)) notFound();
  const { job } = found;
  const models = [...searchModels(db, "", 300), { id: job.reel.modelId, maker: "", name: job.reel.modelName }];
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Tag", value: job.tag, large: true },
            { label: "Reel", value: job.reel.modelName },
            { label: "Promised", value: dayWords(job.promisedOn) },
          ]}
        />
      }
    >
      <h1>Intake</h1>
      <p className="mt-1 flex flex-wrap gap-4">
        <Link className="act-link inline-flex min-h-10 items-center" href={`/bench/${job.tag}`}>
          Back to the bench
        </Link>
        <a className="act-link inline-flex min-h-10 items-center" href={`/bench/${job.tag}/label.pdf`} target="_blank" rel="noreferrer">
          Print the tag again
        </a>
        <a className="act-link inline-flex min-h-10 items-center" href={`/bench/${job.tag}/receipt.pdf`} target="_blank" rel="noreferrer">
          Receipt for the customer
        </a>
      </p>
      {job.closedAt ? (
        <p className="mt-2">This reel was returned; its intake can no longer be changed.</p>
      ) : (
        <IntakeRight
          jobId={job.id}
          begun={isBegun(db, job.id)}
          seen={seenIntake(job)}
          models={Object.fromEntries(models.map(({ id, maker, name }) => [id, `${maker} ${name}`.trim()]))}
          values={{
            owner: job.customer.name,
            phone: job.customer.phone,
            modelId: job.reel.modelId,
            serial: job.reel.serial,
            hand: job.reel.hand,
            kind: job.kind,
            depth: job.depthSaid ? job.depth : "",
            complaints: [...job.intake.complaints],
            complaint: job.complaint,
            brought: job.brought.map(({ item }) => item),
            limit: job.limitMinor === null ? "" : formatMinor(job.limitMinor),
            deposit: job.depositMinor ? formatMinor(job.depositMinor) : "",
            promisedOn: job.promisedOn,
          }}
        />
      )}
      <Parcels
        jobId={job.id}
        currency={job.currency}
        parcels={(["in", "out"] as const).map((way) => {
          const kept = listParcels(db, job.id).find((one) => one.way === way);
          return {
            way,
            seen: seenParcel(kept),
            values: {
              carrier: kept?.carrier ?? "",
              number: kept?.number ?? "",
              value: kept?.valueMinor == null ? "" : formatMinor(kept.valueMinor),
              onDay: kept?.onDay ?? today(),
            },
          };
        })}
      />
    </Sheet>
  );
}
