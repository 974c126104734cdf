import { textMessages } from "@/core/messages/text-messages";
import { formatMinor } from "@/core/money/money";
import { type Consent, mayGoOn } from "@/core/quote/consent";
import { Field } from "@/ui/controls/field";
import { PhoneNumber } from "@/ui/controls/phone-number";
import { Refused } from "@/ui/controls/refused";
import { instantWords } from "@/ui/dates";
import { DeclineForm } from "./decline-form";
import type { QuoteProps } from "./quote-props";
import type { QuotePresses } from "./use-quote";

const consentWords: Record<Consent, string> = {
  "within-limit": "Within the limit agreed at the Counter. Go ahead.",
  agreed: "The customer agreed to this sum.",
  ask: "Above the agreed limit: ask before doing or ordering anything.",
  call: "Call first: the customer wants to know before it is replaced.",
  refused: "The customer declined this sum. Remove work or parts, or return the reel.",
};

/** The sum, whether it may go on, whom to ask and what they said. */
export function QuoteAnswer({ props, presses }: { props: QuoteProps; presses: QuotePresses }) {
  const { head, quote, currency, limitMinor, partsLimitMinor, customer, shop, valueMinor } = props;
  const { sum, consent, callFor } = quote;
  const mayGo = mayGoOn(consent);
  return (
    <div className="flex flex-col gap-3">
      <div className="border-2 border-ink p-3">
        <p className="text-note">Total with tax, {currency}</p>
        <p className="num text-measure">{formatMinor(sum.totalMinor)}</p>
        <p>
          Spending limit: <span className="num">{limitMinor === null ? "always ask" : formatMinor(limitMinor)}</span>
          {partsLimitMinor !== null && (
            <>
              , of which for parts <span className="num">{formatMinor(partsLimitMinor)}</span>
            </>
          )}
        </p>
      </div>
      {valueMinor !== null && sum.totalMinor > valueMinor && (
        <p className="alarm">
          Not recommended: this reel is worth about <span className="num">{formatMinor(valueMinor)}</span>, this costs{" "}
          <span className="num">{formatMinor(sum.totalMinor)}</span>.
        </p>
      )}
      <p className={mayGo ? "font-semibold" : "alarm"} role="status">
        {consent === "ask" && quote.partsOver ? "The parts cost more than the limit for parts: ask first." : consentWords[consent]}
        {consent === "call" && ` ${callFor.join(", ")}.`}
        {consent === "ask" && callFor.length > 0 && ` They also want a call before this is replaced: ${callFor.join(", ")}.`}
      </p>
      {!mayGo && !head.closed && (
        <>
          <p>
            {customer.name}:{" "}
            <PhoneNumber
              phone={customer.phone}
              of={customer.name}
              message={textMessages.quote({ reel: head.reel, tag: head.tag, sum: `${formatMinor(sum.totalMinor)} ${currency}`, shop })}
            />
          </p>
          <Field label="Customer's answer, word for word (optional)" error={presses.answering.fields.words}>
            {(field) => <textarea {...field} rows={2} value={presses.words} onChange={(event) => presses.setWords(event.target.value)} />}
          </Field>
          <Refused of={[presses.answering]} beside />
        </>
      )}
      {quote.answers.length > 0 && (
        <ul>
          {quote.answers.map((said) => (
            <li key={said.at} className="rule-row py-1">
              <strong>{said.accepted ? "Yes" : "No"}</strong> to <span className="num">{formatMinor(said.totalMinor)}</span>,{" "}
              {instantWords(said.at)}, recorded by {said.person}: “{said.words}”
            </li>
          ))}
        </ul>
      )}
      <OtherOptions options={props.options} valueMinor={valueMinor} />
      {props.asking}
      {!head.closed && <DeclineForm jobId={head.jobId} reason={props.declinedReason} />}
    </div>
  );
}

/** What else could be done for what, folded: it is asked for, not pressed on anybody. */
function OtherOptions({ options, valueMinor }: Pick<QuoteProps, "options" | "valueMinor">) {
  if (options.length < 2) return null;
  return (
    <details>
      <summary className="act-link min-h-10">Compare options</summary>
      <table className="plain-table">
        <tbody>
          {options.map((option) => (
            <tr key={option.words}>
              <td>
                {option.words}
                {valueMinor !== null && option.totalMinor > valueMinor && (
                  <strong className="block">Not recommended: more than the reel is worth.</strong>
                )}
              </td>
              <td className="num text-right">{formatMinor(option.totalMinor)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
