import { formatMinor } from "@/core/money/money";
import { bestOneSupplier, type FreePost, type WhatIfAnswer } from "@/core/ordering/plan/explain-plan";
import { waitDays } from "./use-plan";

interface Props {
  readonly answers: readonly WhatIfAnswer[];
  readonly free: readonly FreePost[];
  readonly nameOf: (supplierId: string) => string;
  readonly partOf: (offerId: string) => string;
  readonly working: boolean;
}

/** Alternatives, and what that would cost: how firm the plan is. */
export function Why({ answers, free, nameOf, partOf, working }: Props) {
  const singleSupplier = bestOneSupplier(answers);
  const asked = answers.some(({ kind }) => kind === "one-supplier");
  const wait = answers.find(({ kind }) => kind === "wait");
  const turns = answers.filter(({ kind, more }) => (kind === "with" || kind === "without") && more !== null && more > 0.5);
  const lines = [
    ...free.map(({ supplierId, missing, add }) =>
      add === null
        ? `${formatMinor(missing)} more would make ${nameOf(supplierId)}'s parcel cheaper by its post; nothing sold there reaches it.`
        : add.saves > 0.5
          ? `${add.packs} × ${partOf(add.offerId)} (${formatMinor(add.price)}) makes ${nameOf(supplierId)}'s parcel free and saves ${formatMinor(Math.round(add.saves))}.`
          : `${formatMinor(missing)} short of free post at ${nameOf(supplierId)}: the cheapest piece that reaches it, ${partOf(add.offerId)}, would cost ${formatMinor(Math.round(-add.saves))} more than it saves.`,
    ),
    ...(singleSupplier
      ? [`All from ${nameOf(singleSupplier.supplierId!)}: ${formatMinor(Math.round(singleSupplier.more!))} more.`]
      : asked && !working
        ? ["No single supplier has it all."]
        : []),
    ...(wait ? [wait.more === null ? `Waiting ${waitDays} days: not all could be had.` : waitWords(wait.more)] : []),
    ...turns.map(({ kind, supplierId, more }) =>
      kind === "without"
        ? `${nameOf(supplierId!)} may ask up to ${formatMinor(Math.round(more!))} more for its parcel before another plan is better.`
        : `${nameOf(supplierId!)} would have to be ${formatMinor(Math.round(more!))} cheaper to be used.`,
    ),
    ...answers
      .filter(({ kind, more }) => kind === "without" && more === null)
      .map(({ supplierId }) => `Without ${nameOf(supplierId!)} not all can be had.`),
  ];
  if (!lines.length) return null;
  return (
    <section aria-label="Alternatives">
      <h2 className="mt-4">Alternatives</h2>
      <ul className="mt-1">
        {lines.map((line) => (
          <li key={line} className="rule-row py-1">
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}

const waitWords = (more: number): string =>
  more < 0.5
    ? `Waiting ${waitDays} days would cost nothing.`
    : `Waiting ${waitDays} days: ${formatMinor(Math.round(more))} more in days late.`;
