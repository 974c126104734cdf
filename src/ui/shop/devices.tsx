"use client";
import { useState } from "react";
import type { Invitation } from "@/core/acts/shop/invite-phone";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly sessions: readonly { readonly id: number; readonly words: string; readonly own: boolean }[];
  /** Whether other devices can come in at all. */
  readonly lan: boolean;
  readonly fingerprint: string;
  readonly people: readonly { readonly id: number; readonly name: string }[];
}

/** Who is in from which device, each ended by a press; and a phone brought in by a code. */
export function Devices({ sessions, lan, fingerprint, people }: Props) {
  const [code, setCode] = useState<(Invitation & { readonly name: string }) | null>(null);
  const ending = useAct("end-session");
  const [who, setWho] = useState("");
  const inviting = useAct("invite-phone", (value) => setCode({ ...value, name: who }));
  return (
    <details className="mt-2" open={code !== null || undefined}>
      <summary className="act-link min-h-10">Devices</summary>
      <ul>
        {sessions.map(({ id, words, own }) => (
          <li key={id} className="rule-row flex items-center justify-between gap-2 py-1">
            <span>
              {words}
              {own && <strong>, this one</strong>}
            </span>
            <button
              type="button"
              className="key key-small"
              disabled={ending.busy}
              aria-label={`End: ${words}`}
              onClick={() => ending.press({ id })}
            >
              End
            </button>
          </li>
        ))}
      </ul>
      {!sessions.length && <p>Nobody has signed in.</p>}
      <h3 className="mt-2 font-semibold">Add a phone</h3>
      {lan ? (
        <>
          <div className="flex flex-wrap gap-2">
            {people.map(({ id, name }) => (
              <button
                key={id}
                type="button"
                className="key key-small"
                disabled={inviting.busy}
                onClick={() => {
                  setWho(name);
                  inviting.press({ personId: id });
                }}
              >
                For {name}
              </button>
            ))}
          </div>
          {code && <Code {...code} />}
          <p className="text-note">
            The phone asks once whether it trusts this computer: its certificate's SHA-256 is{" "}
            <span className="num break-all">{fingerprint}</span>
          </p>
        </>
      ) : (
        <p>
          This server is only for this computer. To allow others, stop it and start it with <code className="num">npm start -- --lan</code>
        </p>
      )}
      <Refused of={[ending, inviting]} />
    </details>
  );
}

function Code({ address, drawn, name }: { address: string; drawn: string; name: string }) {
  const [side, path] = [drawn.slice(0, drawn.indexOf(" ")), drawn.slice(drawn.indexOf(" ") + 1)];
  return (
    <figure className="mt-2">
      <svg role="img" aria-label={`Code for ${name}'s phone`} viewBox={`0 0 ${side} ${side}`} className="h-64 w-64 border border-ink">
        <path d={path} className="fl-ink" />
      </svg>
      <figcaption>
        For {name}, once, within ten minutes: look at it with the phone's camera.{" "}
        <span className="num block break-all text-note">{address}</span>
      </figcaption>
    </figure>
  );
}
