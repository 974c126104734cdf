import Link from "next/link";
import { redirect } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { partOfBinLabel } from "@/core/ordering/bin-label";
import { moveWords } from "@/core/schedule/whose-move";
import { listOpenLots } from "@/data/counter/lots";
import { findJobByTag } from "@/data/jobs/jobs";
import { listRack } from "@/data/schedule/rack";
import { stationNames } from "@/ui/bench/stations-words";
import { Refused } from "@/ui/controls/refused";
import { dayWords } from "@/ui/dates";
import { Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Bench" };

/** Which reel lies on the bench: scan or type its tag, or take one of those that hang here. */
export default async function BenchPage({ searchParams }: { searchParams: Promise<{ tag?: string }> }) {
  const db = await readPage("jobs");
  const { tag } = await searchParams;
  let refused: string | null = null;
  const binPart = tag ? partOfBinLabel(tag) : null;
  if (binPart !== null) redirect(`/stores/walk?part=${encodeURIComponent(binPart)}`);
  if (tag) {
    const found = findJobByTag(db, tag);
    if ("job" in found) redirect(`/bench/${found.job.tag}`);
    refused = found.message;
  }
  // The reels of a lot are found in it.
  const rack = listRack(db).filter(({ job }) => job.lotId === null);
  const lots = listOpenLots(db);
  return (
    <Sheet fill>
      <div className="grid items-start gap-6 md:grid-cols-[360px_1fr]">
        <form action="/bench" className="flex flex-col gap-3">
          <h1>Which reel?</h1>
          <label htmlFor="tag" className="text-note">
            Scan or type the tag, such as Z-00572-4
          </label>
          <input
            id="tag"
            name="tag"
            defaultValue={tag ?? ""}
            autoComplete="off"
            className="num text-head"
            aria-invalid={refused !== null}
          />
          <Refused message={refused} />
          <button type="submit" className="key key-main">
            Open
          </button>
        </form>
        <div>
          {lots.length > 0 && (
            <>
              <h2>Lots</h2>
              <ul className="mb-4">
                {lots.map((lot) => (
                  <li key={lot.id} className="rule-row py-1">
                    <Link className="act-link" href={`/bench/lot/${lot.id}`}>
                      {lot.name}
                    </Link>{" "}
                    {lot.customerName}, <span className="num">{lot.reels}</span> reels
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2>In the shop</h2>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th>Tag</th>
                <th>Reel</th>
                <th>Owner</th>
                <th>Station</th>
                <th>Waiting on</th>
                <th>Promised</th>
              </tr>
            </thead>
            <tbody>
              {rack.map(({ job, station, move }) => (
                <tr key={job.id}>
                  <td className="num">
                    <Link className="act-link" href={`/bench/${job.tag}`}>
                      {job.tag}
                    </Link>
                  </td>
                  <td>
                    {job.reel.modelName} <span className="num text-note">{job.reel.serial}</span>
                  </td>
                  <td>{job.customer.name}</td>
                  <td>{stationNames[station]}</td>
                  <td>{moveWords[move]}</td>
                  <td>{dayWords(job.promisedOn)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {!rack.length && <p className="mt-2">No reel in the shop. Check one in at the Counter.</p>}
        </div>
      </div>
    </Sheet>
  );
}
