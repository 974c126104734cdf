"use client";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

export interface OrderOnItsWay {
  readonly id: number;
  readonly supplierName: string;
  readonly expected: string;
  readonly reference: string;
  readonly note: string;
  readonly lines: readonly OrderLineView[];
}

interface OrderLineView {
  readonly id: number;
  readonly number: string;
  readonly name: string;
  readonly quantity: number;
  readonly received: number;
  readonly extra: number;
  readonly givenUp: number;
  readonly priceMinor: number;
  readonly pack: number;
  readonly tags: string | null;
  readonly bad: readonly {
    readonly id: number;
    readonly kind: "wrong" | "broken";
    readonly pieces: number;
    readonly words: string;
    readonly state: "here" | "sent-back" | "replaced" | "credited";
    readonly creditMinor: number | null;
  }[];
}

/** Tags that are named; a lot has many. */
const named = 4;
const fewTags = (tags: readonly string[]) =>
  tags.length > named + 1 ? `${tags.slice(0, named).join(", ")} and ${tags.length - named} more` : tags.join(", ");
const tagsWords = (tags: readonly string[]) => `Set aside for ${fewTags(tags)}.`;

/** An order on its way: all of it taken in by one press, or line by line where it came otherwise. */
export function OrderCard({ order }: { order: OrderOnItsWay }) {
  const [said, setSaid] = useState("");
  const told = ({ keptAsideFor }: { readonly keptAsideFor: readonly string[] }) =>
    setSaid(keptAsideFor.length ? tagsWords(keptAsideFor) : "In the bins.");
  const all = useAct("receive-order", told);
  const out = order.lines.filter((line) => line.received + line.givenUp < line.quantity);
  return (
    <div className="mt-2 border-t-2 border-ink pt-1">
      <div className="flex flex-wrap items-center gap-x-3">
        <p className="flex-1">
          <strong>{order.supplierName}</strong>, expected {order.expected}{" "}
          <span className="num text-note">
            {order.reference === "by hand" ? "for you to send: PDF or CSV" : order.reference || "not sent yet"}
          </span>{" "}
          <a
            className="act-link text-note"
            href={`/stores/orders/${order.id}/order.pdf`}
            target="_blank"
            rel="noreferrer"
            aria-label={`PDF of order ${order.id}`}
          >
            PDF
          </a>{" "}
          <a className="act-link text-note" href={`/stores/orders/${order.id}/order.csv`} aria-label={`CSV of order ${order.id}`}>
            CSV
          </a>
          {order.note && <strong className="block">{order.note}</strong>}
        </p>
        {out.length > 1 && (
          <button type="button" className="key key-small" disabled={all.busy} onClick={() => all.press({ orderId: order.id })}>
            All received
          </button>
        )}
      </div>
      <Refused of={[all]} />
      {said && <p role="status">{said}</p>}
      <ul>
        {order.lines.map((line) => (
          <OrderLine key={line.id} line={line} told={told} />
        ))}
      </ul>
    </div>
  );
}

function OrderLine({ line, told }: { line: OrderLineView; told: (got: { readonly keptAsideFor: readonly string[] }) => void }) {
  const outstanding = line.quantity - line.received - line.givenUp;
  const [quantity, setQuantity] = useState(String(outstanding));
  const [otherwise, setOtherwise] = useState(false);
  const taking = useAct("receive", told);
  const bad = useAct("bad-piece", () => setOtherwise(false));
  const givingUp = useAct("give-up-line");
  const count = quantity.trim() === "" ? Number.NaN : Number(quantity);
  return (
    <li className="rule-row py-1">
      <div className="flex flex-wrap items-center gap-3 sm:flex-nowrap">
        <span className="num">{line.number}</span>
        <span className="min-w-0 flex-1">
          {line.name} <span className="text-note">{fewTags(line.tags?.split(",") ?? [])}</span>
        </span>
        <span className="num ml-auto shrink-0 whitespace-nowrap">
          {line.received} of {line.quantity} received{line.extra > 0 && ` + ${line.extra}`}
        </span>
        {outstanding > 0 && (
          <form
            className="flex shrink-0 items-center gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              taking.press({ orderLineId: line.id, quantity: count, more: false });
            }}
          >
            <input
              className="w-16"
              style={{ width: 64 }}
              inputMode="decimal"
              aria-label={`How many ${line.name} received`}
              value={quantity}
              onChange={(event) => setQuantity(event.target.value)}
              aria-invalid={Boolean(taking.fields.quantity ?? bad.fields.quantity)}
            />
            <button type="submit" className="key key-small" disabled={taking.busy}>
              Receive
            </button>
          </form>
        )}
      </div>
      <Refused of={[taking, bad, givingUp]} />
      {line.givenUp > 0 && <p className="text-note">{line.givenUp} not coming</p>}
      {line.bad.map((piece) => (
        <Bad key={piece.id} piece={piece} line={line} />
      ))}
      {outstanding > 0 && (
        <button
          type="button"
          className="act-link min-h-10"
          aria-expanded={otherwise}
          aria-label={`Not as ordered: ${line.name}`}
          onClick={() => setOtherwise(!otherwise)}
        >
          Not as ordered
        </button>
      )}
      {otherwise && (
        <div className="flex flex-wrap items-end gap-2 pb-2">
          {(["wrong", "broken"] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              className="key key-small"
              disabled={bad.busy}
              onClick={() => bad.press({ orderLineId: line.id, kind, pieces: count, words: "" })}
            >
              {quantity || "?"} {kind === "wrong" ? "wrong" : "broken"}
            </button>
          ))}
          <button
            type="button"
            className="key key-small"
            disabled={taking.busy}
            onClick={() => taking.press({ orderLineId: line.id, quantity: count, more: true })}
          >
            More than ordered
          </button>
          <button type="button" className="key key-small" disabled={givingUp.busy} onClick={() => givingUp.press({ orderLineId: line.id })}>
            The rest is not coming
          </button>
          <ActForm
            act="line-paid-otherwise"
            label={`Other price of ${line.name}`}
            className="flex items-end gap-2"
            values={{ paidMinor: formatMinor(Math.round((line.priceMinor * line.quantity) / line.pack)) }}
            also={{ orderLineId: line.id }}
          >
            <FormText name="paidMinor" label="Total billed" figures className="w-28" />
            <FormSend whenChanged>Keep</FormSend>
          </ActForm>
        </div>
      )}
    </li>
  );
}

function Bad({ piece, line }: { piece: OrderLineView["bad"][number]; line: OrderLineView }) {
  const settling = useAct("settle-bad-piece");
  const what = `${piece.pieces} ${piece.kind}`;
  if (piece.state === "replaced" || piece.state === "credited")
    return (
      <p className="text-note">
        {what}: {piece.state === "replaced" ? "another came" : `credited ${formatMinor(piece.creditMinor ?? 0)}`}
      </p>
    );
  const usual = formatMinor(Math.round((line.priceMinor * piece.pieces) / line.pack));
  return (
    <div className="flex flex-wrap items-end gap-2 py-1">
      <strong className="hatch-alarm px-1">
        {what}, {piece.state === "here" ? "lies apart" : "sent back"}
      </strong>
      {piece.state === "here" && (
        <button
          type="button"
          className="key key-small"
          disabled={settling.busy}
          onClick={() => settling.press({ badPieceId: piece.id, state: "sent-back" })}
        >
          Sent back
        </button>
      )}
      <button
        type="button"
        className="key key-small"
        disabled={settling.busy}
        onClick={() => settling.press({ badPieceId: piece.id, state: "replaced" })}
      >
        Replacement coming
      </button>
      <ActForm
        act="settle-bad-piece"
        label={`Credit for ${line.name}`}
        className="flex items-end gap-2"
        values={{ creditMinor: usual }}
        also={{ badPieceId: piece.id, state: "credited" }}
      >
        <FormText name="creditMinor" label="Credit" figures className="w-24" />
        <FormSend>Credited</FormSend>
      </ActForm>
      <Refused of={[settling]} />
    </div>
  );
}
