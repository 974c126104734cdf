"use client";
import { claims as claimWords, standingWords, type WeighedClaim } from "@/core/diagnosis/purchase-check";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly closed: boolean;
  readonly claims: readonly WeighedClaim[];
  readonly names: ReadonlyMap<string, string>;
}

/** Seller says, each beside what was seen; what could still speak against it is asked, one look a claim. */
export function ClaimsPanel({ jobId, closed, claims, names }: Props) {
  const act = useAct("look");
  return (
    <section aria-label="Seller says" className="mb-4">
      <h2>Seller says</h2>
      <Refused of={[act]} />
      <ul>
        {claims.map(({ claim, standing, against, fits, ask: [first] }) => (
          <li key={claim} className="rule-row flex min-h-14 flex-wrap items-center gap-x-6 gap-y-1 py-1">
            <span className="w-52 font-semibold">{claimWords[claim]}</span>
            <strong className="w-52">{standingWords[standing]}</strong>
            <span className="min-w-60 flex-1">
              {against.join("; ")}
              {against.length > 0 && fits.length > 0 && ". "}
              {fits.length > 0 && <span className="text-note">In its favour: {fits.join("; ")}</span>}
            </span>
            {first && !closed && (
              <span className="flex items-center gap-2">
                <span className="text-note">{names.get(first) ?? first}?</span>
                <Key
                  label={`${names.get(first)}: yes`}
                  busy={act.busy}
                  onPress={() => act.press({ jobId, findingId: first, so: true })}
                  className="key-small"
                >
                  Yes
                </Key>
                <Key
                  label={`${names.get(first)}: no`}
                  busy={act.busy}
                  onPress={() => act.press({ jobId, findingId: first, so: false })}
                  className="key-small"
                >
                  No
                </Key>
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="text-note">One contradiction is enough; “nothing contradicts it” covers only what was checked.</p>
    </section>
  );
}
