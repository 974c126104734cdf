"use client";
import Link from "next/link";
import { useState } from "react";
import { lotBoard } from "@/core/acts/lot/board";
import type { LotNeed } from "@/core/lots/lot-need";
import { testSpec } from "@/core/proving/protocol";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { QueueLine } from "@/ui/controls/queue-line";
import { Refused } from "@/ui/controls/refused";
import { useScan } from "@/ui/keys/keys";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { LotHandsPanel, type LotTurn } from "./lot-hands-panel";
import { LotOrder } from "./lot-order";
import { LotProgress, type LotReelPlace } from "./lot-progress";

interface LotReel {
  readonly jobId: number;
  readonly tag: string;
  readonly serial: string;
  readonly mark: string;
  readonly closed: boolean;
  /** What hands could do to it next. */
  readonly turn: LotTurn;
  /** Its quote waits for the customer. */
  readonly asks: boolean;
  readonly verdicts: Readonly<Partial<Record<TestId, Verdict>>>;
  readonly settled: Readonly<Record<string, boolean>>;
}

const onReels = lotBoard<LotReel>();

interface Props {
  readonly lot: { readonly id: number; readonly name: string; readonly customer: string; readonly model: string };
  readonly tests: readonly { readonly id: TestId; readonly name: string; readonly how: string }[];
  readonly faults: readonly { readonly id: string; readonly name: string }[];
  readonly reels: readonly LotReel[];
  readonly needs: readonly {
    readonly id: string;
    readonly name: string;
    readonly proved: number;
    readonly settled: number;
    readonly rest: number;
    readonly need: LotNeed;
  }[];
  readonly lineRadiusMm: number;
  /** How far the data of this page has come. */
  readonly revision: number;
  readonly places: readonly LotReelPlace[];
}

const marks: Record<Verdict, string> = { good: "good", doubtful: "?", bad: "BAD" };

/** What the hand calls a reel of a lot. */
const nameOf = ({ mark, serial, tag }: LotReel) => mark || serial || tag;

/** A lot worked across its reels: one test or one fault at a time, a press a reel, and the next reel lies there at once. */
export function LotSheet({ lot, tests, faults, reels: known, needs, lineRadiusMm, revision, places }: Props) {
  const { state: reels, press } = useBoard(`lot ${lot.id}`, revision, known, onReels);
  const [work, setWork] = useState<string>(tests[0]?.id ?? "");
  const [chosen, setChosen] = useState<number | null>(null);
  const [last, setLast] = useState<Verdict | null>(null);
  const [lastProved, setLastProved] = useState<boolean | null>(null);
  const [words, setWords] = useState("");
  const testing = tests.find((one) => one.id === work);
  const fault = faults.find((one) => one.id === work);
  const done = (reel: LotReel) => (testing ? reel.verdicts[testing.id] !== undefined : fault ? reel.settled[fault.id] !== undefined : true);
  const open = reels.filter((reel) => !reel.closed);
  const here = open.find((reel) => reel.jobId === chosen) ?? open.find((reel) => !done(reel)) ?? null;
  // A tag of this lot that is scanned is taken up here; any other goes to the bench.
  useScan((text) => {
    const scanned = open.find((reel) => reel.tag.replace(/\W/g, "") === text.toUpperCase().replace(/\W/g, ""));
    if (scanned) setChosen(scanned.jobId);
    return scanned !== undefined;
  });
  const answering = useAct("answer-lot", () => setWords(""));
  const give = (verdict: Verdict) => {
    if (!here || !testing) return;
    const input = {
      jobId: here.jobId,
      phase: "before" as const,
      testId: testing.id,
      verdict,
      value: null,
      lineRadiusMm: testSpec(testing.id).takesLineRadius ? lineRadiusMm : null,
      instrument: "by hand" as const,
      simulated: false,
      trace: null,
    };
    if (!press("test", input, `${nameOf(here)}, ${testing.name}: ${verdict}`)) return;
    setLast(verdict);
    setChosen(null);
  };
  const prove = (proved: boolean) => {
    if (!here || !fault) return;
    const sentence = `${nameOf(here)}, ${fault.name} ${proved ? "proved" : "ruled out"}`;
    if (!press("settle-fault", { jobId: here.jobId, faultId: fault.id, proved }, sentence)) return;
    setLastProved(proved);
    setChosen(null);
  };
  const left = open.filter((reel) => !done(reel)).length;
  const asking = open.filter((reel) => reel.asks).length;
  return (
    <Sheet
      fill
      act={
        here && testing ? (
          <>
            <MainKey words="Good" onPress={() => give("good")}>
              {nameOf(here)}: good
            </MainKey>
            <Key shortcut="d" words="Doubtful" onPress={() => give("doubtful")}>
              Doubtful
            </Key>
            <Key shortcut="x" words="Bad" onPress={() => give("bad")}>
              Bad
            </Key>
            <Key shortcut="a" words="Same as last" disabled={!last} onPress={() => last && give(last)}>
              Same as last
            </Key>
          </>
        ) : here && fault ? (
          <>
            <MainKey words="Proved" onPress={() => prove(true)}>
              {nameOf(here)}: proved
            </MainKey>
            <Key shortcut="x" words="Ruled out" onPress={() => prove(false)}>
              Ruled out
            </Key>
            <Key shortcut="a" words="Same as last" disabled={lastProved === null} onPress={() => lastProved !== null && prove(lastProved)}>
              Same as last
            </Key>
          </>
        ) : (
          <p className="p-4">All reels are done here. Choose the next test or fault.</p>
        )
      }
      block={
        <CornerBlock
          cells={[
            { label: "Lot", value: lot.name },
            { label: "Customer", value: lot.customer },
            { label: "Model", value: lot.model },
            { label: "Still to do", value: `${left} of ${open.length}` },
          ]}
        />
      }
    >
      <QueueLine />
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="min-w-0">
          <div className="mb-2 flex flex-wrap items-end gap-2">
            <Field label="Work across the lot" className="w-80">
              {(field) => (
                <select
                  {...field}
                  value={work}
                  onChange={(event) => {
                    setWork(event.target.value);
                    setLastProved(null);
                  }}
                >
                  <optgroup label="Tests">
                    {tests.map((one) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                  </optgroup>
                  <optgroup label="Faults, proved or ruled out">
                    {faults.map((one) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                  </optgroup>
                </select>
              )}
            </Field>
            <a className="act-link pb-2" href={`/bench/lot/${lot.id}/labels.pdf`} target="_blank" rel="noreferrer">
              Tags on one sheet
            </a>
          </div>
          {testing && <p>{testing.how}</p>}
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th className="pl-2">Tag</th>
                <th>Mark</th>
                <th>Serial</th>
                {testing
                  ? tests.map((one) => (
                      <th key={one.id} className={one.id === work ? "font-semibold" : ""}>
                        {one.name}
                      </th>
                    ))
                  : fault && <th>{fault.name}</th>}
                <th>Proved</th>
              </tr>
            </thead>
            <tbody>
              {reels.map((reel) => (
                <tr key={reel.jobId} className={reel === here ? "outline-2 outline-ink" : ""}>
                  <td className="pl-2 whitespace-nowrap">
                    <Link className="act-link num" href={`/bench/${reel.tag}`} prefetch={false}>
                      {reel.tag}
                    </Link>
                  </td>
                  <td>
                    <button
                      type="button"
                      className="min-h-6 whitespace-nowrap font-semibold text-brass disabled:text-ink"
                      disabled={reel.closed}
                      aria-label={`Open ${reel.tag}`}
                      onClick={() => setChosen(reel.jobId)}
                    >
                      {reel.mark || "open"}
                    </button>
                  </td>
                  <td className="num">{reel.serial || "–"}</td>
                  {testing
                    ? tests.map((one) => (
                        <td key={one.id} className={reel.verdicts[one.id] === "bad" ? "font-semibold" : ""}>
                          {reel.verdicts[one.id] ? marks[reel.verdicts[one.id]!] : "–"}
                        </td>
                      ))
                    : fault && <td>{reel.settled[fault.id] === undefined ? "–" : reel.settled[fault.id] ? "proved" : "ruled out"}</td>}
                  <td>
                    {Object.entries(reel.settled)
                      .filter(([, proved]) => proved)
                      .map(([id]) => faults.find((one) => one.id === id)?.name ?? id)
                      .join("; ") || "–"}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="flex flex-col gap-4">
          <LotHandsPanel
            lotId={lot.id}
            reels={reels.filter(({ closed }) => !closed).map((reel) => ({ jobId: reel.jobId, called: nameOf(reel), turn: reel.turn }))}
          />
          <LotProgress lotId={lot.id} customer={lot.customer} reels={places} />
          <div>
            <h2>What the others will need</h2>
            {needs.length > 0 && <LotOrder lotId={lot.id} called={new Map(reels.map((reel) => [reel.jobId, nameOf(reel)]))} />}
            {!needs.length && <p>Nothing proved in any reel yet.</p>}
            <ul>
              {needs.map((one) => (
                <li key={one.id} className="rule-row py-1">
                  {one.name}: <span className="num">{one.proved}</span> of <span className="num">{one.settled}</span> checked.
                  {one.rest > 0 && (
                    <>
                      {" "}
                      Of the other <span className="num">{one.rest}</span> expect about{" "}
                      <strong className="num">{Math.round(one.need.mean)}</strong> (80 % range{" "}
                      <span className="num">
                        {one.need.low} to {one.need.high}
                      </span>
                      ).
                    </>
                  )}
                </li>
              ))}
            </ul>
          </div>
          <form
            className="flex flex-col gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              answering.press({ lotId: lot.id, accepted: true, words });
            }}
          >
            <h2>One answer for the lot</h2>
            <p>
              {asking
                ? `${asking} ${asking === 1 ? "reel waits" : "reels wait"} for the customer's yes.`
                : "No reel is waiting for an answer."}
            </p>
            <Field label="What the customer said" error={answering.fields.words}>
              {(field) => <input {...field} value={words} onChange={(event) => setWords(event.target.value)} autoComplete="off" />}
            </Field>
            <button type="submit" className="key key-small" disabled={answering.busy || !asking}>
              Yes, for all of them
            </button>
            <Refused of={[answering]} beside />
          </form>
        </div>
      </div>
    </Sheet>
  );
}
