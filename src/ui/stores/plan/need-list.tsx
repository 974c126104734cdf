"use client";
import Link from "next/link";
import { grades, gradeWords } from "@/core/interchange/interchange";
import { formatMinor } from "@/core/money/money";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import type { PlanProps } from "./plan-props";
import type { Hand } from "./use-order-plan";

/** Each part that is wanted: for whom, from where it could come, what may go instead. */
export function NeedList({ props, hand }: { props: PlanProps; hand: Hand }) {
  const withdrawing = useAct("withdraw-need");
  const grading = useAct("set-lowest-grade");
  const byPart = new Map<string, PlanProps["needs"][number][]>();
  for (const need of props.needs) byPart.set(need.partTypeId, [...(byPart.get(need.partTypeId) ?? []), need]);
  if (!props.needs.length) return null;
  const nameOf = (id: string) => props.suppliers.find((one) => one.id === id)?.name ?? id;
  return (
    <section aria-label="Needs" className="mt-4">
      <h2>Wanted for jobs</h2>
      <Refused of={[withdrawing, grading]} />
      {[...byPart].map(([partTypeId, needs]) => {
        const type = props.parts[partTypeId];
        const offers = props.problem.offers.filter(({ partId, supplierId }) => partId === partTypeId && supplierId !== null);
        const fixed = hand.byHand.from[partTypeId];
        const grade = needs[0]!.lowestGrade;
        const next = grades[(grades.indexOf(grade) + 1) % grades.length]!;
        return (
          <details key={partTypeId} className="rule-row py-1" open={needs.some(({ nowhere }) => nowhere)}>
            <summary className="flex min-h-10 flex-wrap items-center gap-x-3">
              <span>
                <span className="num">{type?.number}</span> {type?.name}
              </span>
              <span className="num">×{needs.length}</span>
              <span className="text-note">
                {needs.slice(0, 4).map((need, i) => (
                  <span key={need.needId}>
                    {i > 0 && ", "}
                    <Link className="act-link num" href={`/bench/${need.tag}/parts`} prefetch={false}>
                      {need.tag}
                    </Link>
                    {need.waitsForYes && (
                      <>
                        {" "}
                        <Link className="act-link" href={`/bench/${need.tag}/quote`} prefetch={false}>
                          waiting for the customer's OK
                        </Link>
                      </>
                    )}
                  </span>
                ))}
                {needs.length > 4 && `, ${needs.length - 4} more`}
              </span>
              {needs.some(({ nowhere }) => nowhere) && (
                <Link className="act-link" href={`/library/part/${encodeURIComponent(partTypeId)}#offers`} prefetch={false}>
                  No supplier: add an offer
                </Link>
              )}
              <span className="ml-auto act-link">Change</span>
            </summary>
            <div className="flex flex-wrap gap-2 py-2">
              {offers.map((offer) => (
                <button
                  key={offer.id}
                  type="button"
                  className="key key-small"
                  aria-pressed={fixed === offer.id}
                  onClick={() => {
                    hand.setByHand((byHand) => {
                      const { [partTypeId]: was, ...rest } = byHand.from;
                      return { ...byHand, from: was === offer.id ? rest : { ...rest, [partTypeId]: offer.id } };
                    });
                  }}
                >
                  {nameOf(offer.supplierId!)} <span className="num">{formatMinor(offer.breaks[0]!.priceMinor)}</span>
                  {offer.pack > 1 && ` for ${offer.pack}`}
                </button>
              ))}
              <button
                type="button"
                className="key key-small"
                disabled={grading.busy}
                onClick={() => grading.press({ needIds: needs.map(({ needId }) => needId), grade: next })}
              >
                May be: {gradeWords[grade]}
              </button>
            </div>
            {needs
              .filter(({ nowhere }) => nowhere)
              .map((need) => (
                <Nowhere key={need.needId} need={need} />
              ))}
            <p className="flex flex-wrap gap-x-4">
              {needs.map((need) => (
                <button
                  key={need.needId}
                  type="button"
                  className="act-link min-h-10"
                  onClick={() => withdrawing.press({ needId: need.needId })}
                  aria-label={`withdraw ${type?.name} for ${need.tag}`}
                >
                  withdraw for {need.tag}
                </button>
              ))}
            </p>
          </details>
        );
      })}
    </section>
  );
}

/** A need nobody sells: what is left to do, each by a press. */
function Nowhere({ need }: { need: PlanProps["needs"][number] }) {
  const grading = useAct("set-lowest-grade");
  const making = useAct("no-longer-made");
  const seen = new Set<string>();
  return (
    <div className="flex flex-col gap-2 border-l-2 border-ink py-2 pl-3">
      <p>
        Nobody sells it{need.noLongerMade && "; it is no longer made"}. For <span className="num">{need.tag}</span>:
      </p>
      <div className="flex flex-wrap gap-2">
        {need.ways.map(({ kind, grade, words }) => {
          const key = `${kind} ${words}`;
          if (seen.has(key)) return null;
          seen.add(key);
          return (
            <button
              key={key}
              type="button"
              className="key key-small"
              disabled={grading.busy}
              onClick={() => grading.press({ needIds: [need.needId], grade })}
            >
              {kind === "donor" ? "Donor: " : "Instead: "}
              {words}
            </button>
          );
        })}
        <Link className="key key-small" href={`/bench/${need.tag}/parts`} prefetch={false}>
          Cut or made here
        </Link>
        <button
          type="button"
          className="key key-small"
          aria-pressed={need.noLongerMade}
          disabled={making.busy}
          onClick={() => making.press({ partTypeId: need.partTypeId, noLonger: !need.noLongerMade })}
        >
          No longer made
        </button>
      </div>
      <ActForm
        act="cannot-be-had"
        label={`Not available for ${need.tag}`}
        className="flex flex-wrap items-end gap-2"
        values={{ words: need.tell }}
        also={{ needId: need.needId }}
      >
        <FormText name="words" label="What to tell the owner" className="min-w-64 flex-1" />
        <FormSend>Not available</FormSend>
      </ActForm>
      <Refused of={[grading, making]} />
    </div>
  );
}
