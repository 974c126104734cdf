"use client";
import type { WayLine } from "@/core/ways/ways";
import { benchWays, choicesOf } from "@/core/ways/ways";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

/** One way of working on a job: what holds, whose word it is, and what was said for the job and for the customer. */
interface Props {
  readonly jobId: number;
  readonly closed: boolean;
  readonly customer: string;
  readonly ways: readonly WayLine[];
}

const byWords = { job: "this job", customer: "the customer", shop: "the shop" } as const;

/** Where practitioners differ, for this job and for all of the customer's reels: the nearest word holds. */
export function WaysPanel({ jobId, closed, customer, ways }: Props) {
  const act = useAct("way");
  const own = ways.filter(({ by }) => by !== "shop").length;
  const pick = (line: WayLine, scope: "job" | "customer", label: string) => (
    <select
      aria-label={label}
      className="min-h-9"
      disabled={closed || act.busy}
      value={line[scope] ?? ""}
      onChange={(event) => act.press({ jobId, scope, way: line.way, choice: event.target.value || null, seen: line[scope] ?? null })}
    >
      <option value="">–</option>
      {Object.entries(choicesOf(line.way)).map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
  return (
    <details>
      <summary className="act-link min-h-10">Ways of working{own > 0 && ` (${own} different from the shop's)`}</summary>
      <Refused of={[act]} />
      <div className="max-h-96 overflow-auto">
        <table className="plain-table">
          <thead>
            <tr>
              <th>Way</th>
              <th>Holds</th>
              <th>This job</th>
              <th>All jobs of {customer}</th>
            </tr>
          </thead>
          <tbody>
            {ways.map((line) => {
              const { name } = benchWays[line.way];
              return (
                <tr key={line.way}>
                  <td>{name}</td>
                  <td>
                    {choicesOf(line.way)[line.choice]} <span className="text-note">({byWords[line.by]})</span>
                  </td>
                  <td>{pick(line, "job", `${name}, on this job`)}</td>
                  <td>{pick(line, "customer", `${name}, for all of this customer's reels`)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
