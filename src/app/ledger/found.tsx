import Link from "next/link";
import type { ReactNode } from "react";
import { findPartType } from "@/data/catalogue/part-types";
import type { Reel } from "@/data/customers/reels";
import type { Db } from "@/data/database/database";
import type { FindHit } from "@/data/database/find";
import { faultNamer } from "@/data/diagnosis/knowledge";
import type { findBy } from "@/data/ledger/reel-past";

export function Reels({ reels }: { reels: readonly Reel[] }): ReactNode {
  return (
    <table className="plain-table mt-2">
      <thead>
        <tr>
          <th>Reel</th>
          <th>Serial</th>
          <th>Owner</th>
          <th className="text-right">Visits</th>
        </tr>
      </thead>
      <tbody>
        {reels.map((reel) => (
          <tr key={reel.id}>
            <td>
              <Link className="act-link" href={`/ledger/reel/${reel.id}`} prefetch={false}>
                {reel.modelName}
              </Link>
            </td>
            <td className="num">{reel.serial || "none"}</td>
            <td>
              <Link className="act-link" href={`/ledger?customer=${reel.ownerId}`} prefetch={false}>
                {reel.ownerName}
              </Link>
            </td>
            <td className="num text-right">{reel.visits}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const hitWays: Readonly<Record<string, { words: string; href: (ref: string) => string }>> = {
  job: { words: "job", href: (ref) => `/bench/${ref}` },
  reel: { words: "reel", href: (ref) => `/ledger/reel/${ref}` },
  customer: { words: "customer", href: (ref) => `/ledger?customer=${ref}` },
};

export function Hits({ hits, text, none }: { hits: readonly FindHit[]; text: string; none: boolean }): ReactNode {
  if (!hits.length && !none) return null;
  if (!hits.length) return <p className="mt-2">No match for “{text}”. Try fewer letters.</p>;
  return (
    <table className="plain-table mt-2">
      <tbody>
        {hits.map(({ kind, ref, title }) => (
          <tr key={`${kind} ${ref}`}>
            <td className="text-note">{hitWays[kind]!.words}</td>
            <td>
              <Link className="act-link" href={hitWays[kind]!.href(ref)} prefetch={false}>
                {title}
              </Link>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What reels are listed for: a fault that was found on them, a part that went into them. */
export function By({ db, by }: { db: Db; by: { readonly by: "fault" | "part"; readonly id: string } }): ReactNode {
  const named = faultNamer(db);
  return (
    <p className="mt-2">
      Reels {by.by === "fault" ? "on which was found" : "into which went"}:{" "}
      <strong>{by.by === "fault" ? (named(by.id)?.name ?? "this fault") : (findPartType(db, by.id)?.name ?? "this part")}</strong>
    </p>
  );
}

/** Faults and parts that go by a name, each with how many reels it was found on. */
export function FoundBy({ rows }: { rows: ReturnType<typeof findBy> }): ReactNode {
  if (!rows.length) return null;
  return (
    <ul className="mt-2">
      {rows.map((row) => (
        <li key={`${row.by} ${row.id}`} className="rule-row py-1">
          <Link className="act-link" href={`/ledger?${row.by}=${encodeURIComponent(row.id)}`} prefetch={false}>
            {row.name}
          </Link>
          : {row.by === "fault" ? "found on" : "went into"} {row.reels === 1 ? "1 reel" : `${row.reels} reels`}
        </li>
      ))}
    </ul>
  );
}
