import Link from "next/link";
import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { kindWords } from "@/core/anatomy/shapes";
import { waterWords } from "@/core/vocabulary/use";
import { modelFigures } from "@/data/figures/model-figures";
import { consensusOfModel, lessonsOf } from "@/data/teardowns/consensus";
import { stationNames } from "@/ui/bench/stations-words";
import { SpreadBars } from "@/ui/ledger/figure-bars";
import { LifeCurve } from "@/ui/ledger/life-curve";
import { ModelPages } from "@/ui/library/model-pages";
import { OneKey } from "@/ui/library/one-key";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Record of a model" };

export default async function ModelRecordPage(props: ModelPageProps) {
  const { db, model, version, leaf } = await loadModel(props);
  const { visits, faults, lives, minutes, parts } = modelFigures(db, model.id, model.family);
  const lessons = lessonsOf(db, model.id);
  const consensus = version.anatomy.positions.length === 0 ? consensusOfModel(db, model.id) : null;
  const jobs = (figure: string) => `/ledger/figures/jobs?from=2000-01-01&to=2099-12-31&figure=${encodeURIComponent(figure)}`;
  return (
    <Sheet fill block={<CornerBlock cells={leaf.cells} />}>
      <ModelPages modelId={leaf.modelId} here="Record" />
      {consensus && (
        <section className="mt-2">
          <h2>
            What {consensus.teardowns} teardowns agree on ({consensus.tags.join(", ")})
          </h2>
          <table className="plain-table">
            <thead>
              <tr>
                <th>Order</th>
                <th>Part</th>
                <th className="text-right">Had it</th>
                <th>Where hands differ</th>
              </tr>
            </thead>
            <tbody>
              {consensus.seats.map(({ part, seen, sure, kinds }, i) => (
                <tr key={part.well} className={sure < 0.5 ? "opacity-60" : ""}>
                  <td className="num">{part.well}</td>
                  <td>
                    {part.name || kindWords[part.kind]}
                    {sure < 0.5 && " (left out: fewer than half had it)"}
                  </td>
                  <td className="num text-right">
                    {seen} of {consensus.teardowns}
                  </td>
                  <td>
                    {[
                      kinds.length > 1 ? `taken for ${kinds.map(({ kind, hands }) => `${kindWords[kind]} (${hands})`).join(", ")}` : "",
                      ...consensus.turned
                        .filter(({ first }) => first === i)
                        .slice(0, 2)
                        .map(({ after, hands, of }) => {
                          const other = consensus.seats[after]!.part;
                          return `${of - hands} of ${of} took the ${other.name || kindWords[other.kind]} first`;
                        }),
                    ]
                      .filter(Boolean)
                      .join("; ")}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <OneKey act="take-consensus" input={{ modelId: model.id }}>
            Use as the schematic
          </OneKey>
        </section>
      )}
      {visits === 0 && !consensus ? (
        <p className="mt-2">
          No reel of this model has been returned yet. What fails, after how long and how long repairs take is shown here from the first
          one.
        </p>
      ) : (
        <div className="mt-2 grid gap-8 lg:grid-cols-2">
          <div className="min-w-0">
            <h2>What is found on it</h2>
            <p className="text-note">
              In{" "}
              <Link className="act-link" href={jobs(`model:${model.id}`)} prefetch={false}>
                {visits === 1 ? "1 finished visit" : `${visits} finished visits`}
              </Link>
              .
            </p>
            <table className="plain-table">
              <tbody>
                {faults.slice(0, 10).map(({ faultId, name, jobs: n, share }) => (
                  <tr key={faultId}>
                    <td>{name}</td>
                    <td className="num text-right">{n}</td>
                    <td className="num text-right">{Math.round(100 * share)} %</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <h2 className="mt-4">After how long</h2>
            {lives.length === 0 && <p>No part has been replaced twice on one reel yet.</p>}
            {lives.map(({ component, steps, due, water, own }) => (
              <figure key={component} className="mt-2">
                <figcaption>
                  {component}, {waterWords[water as keyof typeof waterWords] ?? water}: 1 in 4 is at its end after{" "}
                  <strong className="num">{Math.round(due.trips)}</strong> trips ({Math.round(due.low)} to {Math.round(due.high)}), from{" "}
                  {due.reels === 1 ? "1 reel" : `${due.reels} reels`}; drawn from {own === 1 ? "1 time" : `${own} times`} between two
                  visits.
                </figcaption>
                <LifeCurve steps={steps} due={due} />
              </figure>
            ))}
          </div>
          <div className="min-w-0">
            <h2>Time needed, minutes</h2>
            <p className="text-note">Bar: middle half of the jobs; mark: median.</p>
            <SpreadBars
              rows={minutes.map(({ station, spread }) => ({
                id: station,
                group: stationNames[station],
                href: jobs(`model:${model.id}`),
                ...spread,
                words: spread.middle.toFixed(0),
              }))}
              of="Station"
              inWords={(value) => value.toFixed(0)}
            />
            <h2 className="mt-4">Parts to stock</h2>
            {parts.length === 0 ? (
              <p>Nothing replaced on it yet.</p>
            ) : (
              <table className="plain-table">
                <thead>
                  <tr>
                    <th>Part</th>
                    <th className="text-right">Fitted</th>
                    <th className="text-right">A year</th>
                    <th className="text-right">In stock</th>
                  </tr>
                </thead>
                <tbody>
                  {parts.map(({ partTypeId, name, fitted, perYear, inStock }) => (
                    <tr key={partTypeId}>
                      <td>
                        <Link className="act-link" href={`/library/part/${partTypeId}`} prefetch={false}>
                          {name}
                        </Link>
                      </td>
                      <td className="num text-right">{fitted}</td>
                      <td className="num text-right">{perYear.toFixed(1)}</td>
                      <td className="num text-right">{inStock ?? "no bin"}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {lessons.length > 0 && (
              <>
                <h2 className="mt-4">What jobs taught</h2>
                <ul>
                  {lessons.slice(0, 10).map(({ seatId, kind, name, words, said }) => (
                    <li key={`${kind} ${seatId}`} className="rule-row flex items-center justify-between gap-2 py-1">
                      <span>
                        <strong>{name}.</strong> {words}
                      </span>
                      {said ? (
                        <span className="text-note">added to the seat</span>
                      ) : (
                        <OneKey
                          act="take-lesson"
                          input={{ modelId: model.id, baseNumber: version.number, seatId, kind }}
                          label={`Add to the seat: ${name}`}
                        >
                          Add to the seat
                        </OneKey>
                      )}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </div>
        </div>
      )}
    </Sheet>
  );
}
