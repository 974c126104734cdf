"use client";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import type { Asking } from "@/core/quote/asking";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly tag: string;
  readonly customer: { readonly name: string; readonly email: string };
  /** The letter that holds now. */
  readonly letter: { readonly asked: Asking; readonly until: string; readonly made: string; readonly mailed: string | null } | null;
  /** Where a link would lead; null where the shop cannot be reached from outside. */
  readonly publicAddress: string | null;
  /** Who takes mail: a server, the stand-in, or nobody. */
  readonly mailBy: "server" | "stand-in" | "nobody";
}

/** A link's token, drawn here: nothing else keeps it. */
const drawToken = () =>
  btoa(String.fromCharCode(...crypto.getRandomValues(new Uint8Array(24))))
    .replaceAll("+", "-")
    .replaceAll("/", "_");

/** Asks the customer by letter: printed, mailed or by its link; takes their answer by the codes they name. */
export function AskPanel({ jobId, tag, customer, letter, publicAddress, mailBy }: Props) {
  const [token, setToken] = useState<string | null>(null);
  const [said, setSaid] = useState("");
  const asking = useAct("ask-customer");
  const mailing = useAct("mail-quote", () =>
    setSaid(mailBy === "stand-in" ? "The mail was written; this desk is simulated and sends nothing." : "The mail was sent."),
  );
  const revoking = useAct("revoke-asking", () => setToken(null));
  const begin = () => {
    const drawn = drawToken();
    setToken(drawn);
    setSaid("");
    asking.press({ jobId, token: drawn });
  };
  return (
    <section aria-label="Written quote" className="mt-4 border-t border-ink pt-2">
      <h2>Written quote</h2>
      <Refused of={[asking, mailing, revoking]} />
      {!letter && (
        <button type="button" className="key" disabled={asking.busy} onClick={begin}>
          Create the letter
        </button>
      )}
      {letter && (
        <>
          <p>
            Made {letter.made}, valid until {letter.until}
            {letter.mailed && `; mail ${letter.mailed}`}.
          </p>
          <div className="mt-1 flex flex-wrap gap-2">
            <a className="key key-small" href={`/bench/${tag}/quote.pdf${token ? `?link=${token}` : ""}`} target="_blank" rel="noreferrer">
              Print it
            </a>
            {mailBy !== "nobody" && (
              <button type="button" className="key key-small" disabled={mailing.busy} onClick={() => mailing.press({ jobId, token })}>
                Mail it{customer.email && ` to ${customer.email}`}
                {mailBy === "stand-in" && <span className="simulated">simulated</span>}
              </button>
            )}
            <button type="button" className="key key-small" disabled={asking.busy} onClick={begin}>
              Create a new one
            </button>
            <button type="button" className="key key-small" disabled={revoking.busy} onClick={() => revoking.press({ jobId })}>
              Withdraw it
            </button>
          </div>
          {said && <p role="status">{said}</p>}
          {token && publicAddress && (
            <p className="mt-1 break-all">
              Link: <span className="num text-note">{`${publicAddress}/q/${token}`}</span>
            </p>
          )}
          <ul className="mt-2">
            {letter.asked.options.map(({ code, words, totalMinor }) => (
              <li key={code}>
                <span className="num">{code}</span> {words} <span className="num">{formatMinor(totalMinor)}</span>
              </li>
            ))}
            {letter.asked.lines.map(({ code, words, priceMinor, ref, kind }) => (
              <li key={`${kind} ${ref}`} className="text-note">
                <span className="num">{code || "–"}</span> {words} <span className="num">{formatMinor(priceMinor)}</span>
              </li>
            ))}
          </ul>
          <ActForm
            act="answer-by-codes"
            label="The customer's answer"
            className="mt-2 flex flex-wrap items-end gap-2"
            values={{ codes: "", words: "" }}
            also={{ jobId }}
          >
            <FormText name="codes" label="Codes the customer gives" className="min-w-40 flex-1" />
            <FormText name="words" label="Their words" className="min-w-40 flex-1" />
            <FormSend>Record the answer</FormSend>
          </ActForm>
        </>
      )}
    </section>
  );
}
