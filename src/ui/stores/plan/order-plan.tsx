"use client";
import Link from "next/link";
import { useMemo } from "react";
import { formatMinor } from "@/core/money/money";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { cataloguePart } from "@/core/ordering/plan/donor-id";
import { freePostOf, servingsOf } from "@/core/ordering/plan/explain-plan";
import { useAct } from "@/ui/act/use-act";
import { Key, MainKey } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { BinDrawn, FreePostRule, Parcel, Pieces } from "./boxes";
import { NeedList } from "./need-list";
import type { PlanProps } from "./plan-props";
import { basketsOf, type Hand } from "./use-order-plan";
import type { Planning } from "./use-plan";
import { Why } from "./why";

/** The plan, drawn: what is ordered today from whom, what waits for the next order day, what lies here; and why. */
export function OrderPlanView({ props, hand }: { props: PlanProps; hand: Hand }) {
  const { planning, problem } = hand;
  const { plan } = planning;
  const nameOf = (id: string) => props.suppliers.find((one) => one.id === id)?.name ?? id;
  const offers = useMemo(() => new Map(problem.offers.map((one) => [one.id, one])), [problem]);
  const partOf = (offerId: string) => {
    const type = props.parts[cataloguePart(offers.get(offerId)?.partId ?? "")];
    return type ? `${type.number} ${type.name}` : offerId;
  };
  const servings = useMemo(() => (plan ? servingsOf(problem, plan) : { servings: [], left: [] }), [problem, plan]);
  const free = useMemo(() => (plan ? freePostOf(problem, plan) : []), [problem, plan]);
  const costed = useMemo(() => (plan ? costOfPlan(problem, plan) : null), [problem, plan]);
  const fromHere = servings.servings.filter(({ supplierId }) => supplierId === null);
  const tags = new Map(props.needs.map(({ needId, tag }) => [`need|${needId}`, tag]));
  return (
    <>
      {plan && costed?.ok && costed.cost.price + costed.cost.left > 0 && (
        <Sum planning={planning} price={costed.cost.price} postage={costed.cost.postage} late={costed.cost.late} />
      )}
      {planning.first && <p aria-live="polite">Putting the order together…</p>}
      {!plan && !planning.first && props.needs.length > 0 && (
        <p>
          Not everything can be bought this way.{" "}
          {hand.touched && (
            <button type="button" className="act-link min-h-10" onClick={() => hand.setByHand({ from: {}, not: [] })}>
              Let the plan decide again
            </button>
          )}
        </p>
      )}
      {costed?.ok &&
        [...costed.parcels]
          .sort((a, b) => a.slot - b.slot || b.value - a.value)
          .map(({ supplierId, slot, value, postage }) => {
            const { lead, freePostFromMinor: freeFrom } = props.suppliers.find(({ id }) => id === supplierId)!;
            const day = problem.slots[slot]!.inDays + lead.days;
            const late = Math.max(
              0,
              ...servings.servings.filter((one) => one.supplierId === supplierId && one.slot === slot).map((one) => one.lateDays),
            );
            return (
              <section key={`${slot} ${supplierId}`} className="mt-3">
                <Parcel label={`Parcel from ${nameOf(supplierId)}`} later={slot > 0}>
                  <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                    <h2>
                      {nameOf(supplierId)}
                      {slot > 0 && `, order on ${props.slotDays[slot]}`}
                    </h2>
                    <span className="num whitespace-nowrap">
                      {formatMinor(value)} {postage > 0 ? `+ post ${formatMinor(postage)}` : "post free"}
                    </span>
                  </div>
                  <p>
                    arrives by {props.dayWords[day] ?? `${day} days`} ({props.leadChance} % likely)
                    {lead.parcels === 0 ? "; as quoted, no parcel yet" : ""}
                    {late > 0 && <strong>; {late === 1 ? "1 day" : `${late} days`} late</strong>}
                  </p>
                  <div className="mt-1 flex flex-wrap gap-x-6 gap-y-2">
                    {plan!.lines
                      .filter((line) => line.slot === slot && line.packs > 0 && offers.get(line.offerId)!.supplierId === supplierId)
                      .map(({ offerId, packs }) => {
                        const offer = offers.get(offerId)!;
                        const type = props.parts[offer.partId];
                        const mine = servings.servings.filter((one) => one.offerId === offerId && one.slot === slot);
                        const pieces = packs * offer.pack;
                        const given = mine.reduce((sum, one) => sum + one.pieces, 0);
                        return (
                          <Pieces key={offerId} type={type} count={pieces} number={type?.number ?? offer.partId}>
                            <span className="text-note">
                              {offer.pack > 1 && `${packs} × pack of ${offer.pack}; `}
                              {forWords(mine, tags)}
                              {pieces > given && `${given > 0 ? ", " : ""}${pieces - given} to the bin`}
                              {type &&
                                props.needs.some(
                                  (need) =>
                                    need.partTypeId !== offer.partId && mine.some(({ demandId }) => demandId === `need|${need.needId}`),
                                ) &&
                                "; instead of the one asked for"}
                            </span>
                          </Pieces>
                        );
                      })}
                  </div>
                  {freeFrom !== null && postage > 0 && (
                    <p className="mt-1 flex flex-wrap items-center gap-2">
                      <FreePostRule value={value} from={freeFrom} words={`${formatMinor(value)} of ${formatMinor(freeFrom)}`} />
                      <span className="text-note">free from {formatMinor(freeFrom)}</span>
                    </p>
                  )}
                  {slot === 0 && (
                    <button
                      type="button"
                      className="act-link min-h-10"
                      onClick={() => hand.setByHand((byHand) => ({ ...byHand, not: [...byHand.not, supplierId] }))}
                    >
                      Nothing from {nameOf(supplierId)} today
                    </button>
                  )}
                </Parcel>
              </section>
            );
          })}
      {hand.byHand.not.map((id) => (
        <p key={id} className="mt-2">
          {nameOf(id)} is left out.{" "}
          <button
            type="button"
            className="act-link min-h-10"
            onClick={() => hand.setByHand((byHand) => ({ ...byHand, not: byHand.not.filter((one) => one !== id) }))}
          >
            Ask {nameOf(id)} again
          </button>
        </p>
      ))}
      {fromHere.length > 0 && (
        <section aria-label="From here" className="mt-4">
          <h2>In stock</h2>
          {fromHere.map(({ demandId, offerId, pieces }) => (
            <p key={`${demandId} ${offerId}`} className="rule-row py-1">
              {pieces} × {partOf(offerId)} in {props.here[offerId]}, for{" "}
              <Link className="act-link num" href={`/bench/${tags.get(demandId)}/parts`}>
                {tags.get(demandId)}
              </Link>
            </p>
          ))}
        </section>
      )}
      <NeedList props={props} hand={hand} />
      <LowBins props={props} left={new Set(servings.left.map(({ demandId }) => demandId))} />
      <Why answers={planning.answers} free={free} nameOf={nameOf} partOf={partOf} working={planning.working} />
    </>
  );
}

const forWords = (
  servings: readonly { readonly demandId: string; readonly pieces: number; readonly lateDays: number }[],
  tags: ReadonlyMap<string, string>,
) => {
  const jobs = servings.filter(({ demandId }) => tags.has(demandId));
  const bin = servings.filter(({ demandId }) => !tags.has(demandId)).reduce((sum, { pieces }) => sum + pieces, 0);
  const named = jobs.slice(0, 3).map(({ demandId, lateDays }) => `${tags.get(demandId)}${lateDays > 0 ? ` (${lateDays} d late)` : ""}`);
  if (jobs.length > 3) named.push(`${jobs.length - 3} more`);
  return [named.length ? `for ${named.join(", ")}` : "", bin ? `${bin} to fill the bin` : ""].filter(Boolean).join(", ");
};

function Sum({ planning, price, postage, late }: { planning: Planning; price: number; postage: number; late: number }) {
  const { cost, bound, proven, working, failed } = planning;
  const gap = cost && bound !== null && cost.total > 0 ? Math.max(0, 1 - bound / cost.total) : null;
  return (
    <p aria-live="polite">
      <span className="num text-head">{formatMinor(price + postage)}</span>{" "}
      {late > 0 && `and ${formatMinor(Math.round(late))} counted for days late; `}
      {proven
        ? "no plan costs less (proven)"
        : failed
          ? `good plan; not checked for the best (${failed})`
          : gap === null
            ? "good plan, still improving"
            : `within ${(100 * gap).toFixed(gap < 0.01 ? 2 : 1)} % of the least possible`}
      {working && !proven && (
        <>
          {" "}
          <button type="button" className="act-link min-h-10" onClick={planning.stop}>
            Stop
          </button>
        </>
      )}
    </p>
  );
}

function LowBins({ props, left }: { props: PlanProps; left: ReadonlySet<string> }) {
  if (!props.bins.length) return null;
  return (
    <section aria-label="Low bins" className="mt-4">
      <h2>Bins below their level</h2>
      <div className="mt-1 flex flex-wrap gap-4">
        {props.bins.map(({ partTypeId, bin, missing, position }) => (
          <div key={partTypeId} className="w-44">
            <BinDrawn here={position} level={position + missing} />
            <p>
              <span className="num">{bin}</span>: {props.parts[partTypeId]?.name}, {missing} missing
              <span className="text-note">{left.has(`bin|${partTypeId}`) ? "; can wait for a parcel" : "; in the plan"}</span>
            </p>
          </div>
        ))}
      </div>
    </section>
  );
}

/** The main act: today's parcels, all by one press; where the plan waits for the next order day, its parcels may go today anyway. */
export function PlaceKey({ props, hand }: { props: PlanProps; hand: Hand }) {
  const placing = useAct("place-order");
  const { problem, planning } = hand;
  const now = basketsOf(problem, planning.plan, 0);
  const later = now.length ? [] : basketsOf(problem, planning.plan, 1);
  const baskets = now.length ? now : later;
  if (!baskets.length)
    return (
      <p className="p-4">
        {planning.first
          ? "Putting the order together…"
          : props.needs.length
            ? "Nothing that is needed can be ordered."
            : "No open needs. They come from Parts when stock is short."}
      </p>
    );
  const only = baskets.length === 1 ? props.suppliers.find(({ id }) => id === baskets[0]!.supplierId)?.name : null;
  const lines = baskets.reduce((sum, basket) => sum + basket.lines.length, 0);
  const what = only ? `Order ${lines} from ${only}` : `Order ${baskets.length} parcels`;
  const press = () => placing.press({ baskets });
  return (
    <>
      {now.length > 0 ? (
        <MainKey busy={placing.busy} words="Place the order" onPress={press}>
          {what}
        </MainKey>
      ) : (
        <>
          <p className="flex-1 p-4">Nothing to send today: the plan waits for {props.slotDays[1]}.</p>
          <Key busy={placing.busy} onPress={press}>
            {what} today anyway
          </Key>
        </>
      )}
      <Refused of={[placing]} />
    </>
  );
}
