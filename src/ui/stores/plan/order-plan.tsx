"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import type { PartType } from "@/core/anatomy/types";
import { type Grade, grades, gradeWords } from "@/core/interchange/interchange";
import { formatMinor } from "@/core/money/money";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { freePostOf, servingsOf } from "@/core/ordering/plan/explain-plan";
import type { OrderPlan, OrderProblem } from "@/core/ordering/plan/problem";
import { priceOfPacks } from "@/core/ordering/plan/sources";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Key, MainKey } from "@/ui/controls/keys";
import { BinDrawn, FreePostRule, Parcel, Pieces } from "./boxes";
import { type Planning, usePlan } from "./use-plan";
import { Why } from "./why";

export interface PlanProps {
  readonly problem: OrderProblem;
  readonly start: OrderPlan | null;
  readonly needs: readonly {
    readonly needId: number;
    readonly tag: string;
    readonly partTypeId: string;
    readonly lowestGrade: Grade;
    readonly promised: string;
    readonly waitsForYes: boolean;
    readonly nowhere: boolean;
    /** Where nobody sells it: what is left. */
    readonly ways: readonly { readonly kind: "donor" | "instead"; readonly grade: Grade; readonly words: string }[];
    readonly tell: string;
    readonly noLongerMade: boolean;
  }[];
  readonly bins: readonly { readonly partTypeId: string; readonly bin: string; readonly missing: number; readonly position: number }[];
  readonly parts: Readonly<Record<string, PartType>>;
  readonly suppliers: readonly {
    readonly id: string;
    readonly name: string;
    readonly freePostFromMinor: number | null;
    readonly lead: { readonly days: number; readonly parcels: number };
  }[];
  readonly here: Readonly<Record<string, string>>;
  /** The days orders go out, in words, by slot. */
  readonly slotDays: readonly string[];
  /** The day so many days ahead, in words. */
  readonly dayWords: readonly string[];
  readonly leadChance: number;
  readonly place: Action<{ orders: number }>;
  readonly withdraw: Action<void>;
  readonly grade: Action<void>;
  readonly cannot: Action<void>;
  readonly noLongerMade: Action<void>;
}

export interface Basket {
  readonly supplierId: string;
  readonly lines: readonly { readonly partTypeId: string; readonly packs: number; readonly priceMinor: number }[];
  readonly gets: readonly { readonly needId: number; readonly partTypeId: string }[];
}

/** What a hand has said against the plan: a part from one place, suppliers left out. */
interface ByHand {
  readonly from: Readonly<Record<string, string>>;
  readonly not: readonly string[];
}

const needIdOf = (demandId: string): number | null => (demandId.startsWith("need|") ? Number(demandId.slice(5)) : null);

/** The plan of a situation, with what a hand has said about it. */
export function useOrderPlan({ problem, start }: Pick<PlanProps, "problem" | "start">) {
  const [byHand, setByHand] = useState<ByHand>({ from: {}, not: [] });
  const touched = Object.keys(byHand.from).length + byHand.not.length > 0;
  const said = useMemo((): OrderProblem => {
    if (!touched) return problem;
    const fixed = Object.entries(byHand.from).flatMap(([partId, offerId]) =>
      problem.offers
        .filter((offer) => offer.partId === partId && offer.supplierId !== null)
        .flatMap((offer) => {
          const wanted = problem.demands.filter(({ accepts }) => accepts.some((one) => one.partId === partId));
          const pieces = wanted.reduce((sum, { quantity }) => sum + quantity, 0);
          return problem.slots.map((_, slot) => ({
            offerId: offer.id,
            slot,
            packs: offer.id === offerId && slot === 0 ? Math.ceil(pieces / offer.pack) : 0,
          }));
        }),
    );
    return { ...problem, fixed, suppliersMust: Object.fromEntries(byHand.not.map((id) => [id, "none" as const])) };
  }, [problem, byHand, touched]);
  const planning = usePlan(said, touched ? null : start);
  return { planning, problem: said, byHand, setByHand, touched };
}

/** What each supplier is asked for on an order day. */
export function basketsOf(problem: OrderProblem, plan: OrderPlan | null, on: number): Basket[] {
  if (!plan) return [];
  const offers = new Map(problem.offers.map((one) => [one.id, one]));
  return problem.suppliers.flatMap(({ id }) => {
    const lines = plan.lines.filter(({ offerId, slot, packs }) => slot === on && packs > 0 && offers.get(offerId)!.supplierId === id);
    if (!lines.length) return [];
    return [
      {
        supplierId: id,
        lines: lines.map(({ offerId, packs }) => ({
          partTypeId: offers.get(offerId)!.partId,
          packs,
          priceMinor: priceOfPacks(offers.get(offerId)!, packs),
        })),
        gets: plan.allocations.flatMap(({ demandId, offerId, slot }) => {
          const needId = needIdOf(demandId);
          return needId !== null && slot === on && offers.get(offerId)!.supplierId === id
            ? [{ needId, partTypeId: offers.get(offerId)!.partId }]
            : [];
        }),
      },
    ];
  });
}

type Hand = ReturnType<typeof useOrderPlan>;

/** The plan, drawn: what is ordered today from whom, what waits for the next order day, what lies here; and why. */
export function OrderPlanView({ props, hand }: { props: PlanProps; hand: Hand }) {
  const { planning, problem } = hand;
  const { plan } = planning;
  const nameOf = (id: string) => props.suppliers.find((one) => one.id === id)?.name ?? id;
  const offers = useMemo(() => new Map(problem.offers.map((one) => [one.id, one])), [problem]);
  const partOf = (offerId: string) => {
    const type = props.parts[(offers.get(offerId)?.partId ?? "").replace(/^donor\|/, "")];
    return type ? `${type.number} ${type.name}` : offerId;
  };
  const told = useMemo(() => (plan ? servingsOf(problem, plan) : { servings: [], left: [] }), [problem, plan]);
  const free = useMemo(() => (plan ? freePostOf(problem, plan) : []), [problem, plan]);
  const costed = useMemo(() => (plan ? costOfPlan(problem, plan) : null), [problem, plan]);
  const fromHere = told.servings.filter(({ supplierId }) => supplierId === null);
  const tags = new Map(props.needs.map(({ needId, tag }) => [`need|${needId}`, tag]));
  return (
    <>
      {plan && costed?.ok && costed.cost.price + costed.cost.left > 0 && (
        <Sum planning={planning} price={costed.cost.price} postage={costed.cost.postage} late={costed.cost.late} />
      )}
      {!plan && props.needs.length > 0 && (
        <p>
          Not all can be had this way.{" "}
          {hand.touched && (
            <button type="button" className="act-link min-h-10" onClick={() => hand.setByHand({ from: {}, not: [] })}>
              Leave it to the plan again
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
              ...told.servings.filter((one) => one.supplierId === supplierId && one.slot === slot).map((one) => one.lateDays),
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
                    here by {props.dayWords[day] ?? `${day} days`}, {props.leadChance} in 100
                    {lead.parcels === 0 ? "; its word, no parcel yet" : ""}
                    {late > 0 && <strong>; {late === 1 ? "1 day" : `${late} days`} late</strong>}
                  </p>
                  <div className="mt-1 flex flex-wrap gap-x-6 gap-y-2">
                    {plan!.lines
                      .filter((line) => line.slot === slot && line.packs > 0 && offers.get(line.offerId)!.supplierId === supplierId)
                      .map(({ offerId, packs }) => {
                        const offer = offers.get(offerId)!;
                        const type = props.parts[offer.partId];
                        const mine = told.servings.filter((one) => one.offerId === offerId && one.slot === slot);
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
                      onClick={() => hand.setByHand({ ...hand.byHand, not: [...hand.byHand.not, supplierId] })}
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
            onClick={() => hand.setByHand({ ...hand.byHand, not: hand.byHand.not.filter((one) => one !== id) })}
          >
            Ask {nameOf(id)} again
          </button>
        </p>
      ))}
      {fromHere.length > 0 && (
        <section aria-label="From here" className="mt-4">
          <h2>Lies here already</h2>
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
      <LowBins props={props} left={new Set(told.left.map(({ demandId }) => demandId))} />
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
        ? "nothing costs less (proven)"
        : failed
          ? `a good plan; the best was not looked for (${failed})`
          : gap === null
            ? "a good plan; looking for the best"
            : `within ${(100 * gap).toFixed(gap < 0.01 ? 2 : 1)} % of the least possible`}
      {working && !proven && (
        <>
          {" "}
          <button type="button" className="act-link min-h-10" onClick={planning.stop}>
            Stop looking
          </button>
        </>
      )}
    </p>
  );
}

/** Each part that is wanted: for whom, from where it could come, what may go instead. */
function NeedList({ props, hand }: { props: PlanProps; hand: Hand }) {
  const withdrawing = useAct(props.withdraw);
  const grading = useAct(props.grade);
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
                    const { [partTypeId]: was, ...rest } = hand.byHand.from;
                    hand.setByHand({ ...hand.byHand, from: was === offer.id ? rest : { ...rest, [partTypeId]: offer.id } });
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
                <Nowhere key={need.needId} need={need} props={props} />
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
function Nowhere({ need, props }: { need: PlanProps["needs"][number]; props: PlanProps }) {
  const grading = useAct(props.grade);
  const making = useAct(props.noLongerMade);
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
        action={props.cannot}
        label={`Cannot be had for ${need.tag}`}
        className="flex flex-wrap items-end gap-2"
        values={{ words: need.tell }}
        also={{ needId: need.needId }}
      >
        <FormText name="words" label="What its owner is told" className="min-w-64 flex-1" />
        <FormSend>Cannot be had</FormSend>
      </ActForm>
      <Refused of={[grading, making]} />
    </div>
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

/** The main act: today's parcels, all by one press; where the plan waits for the next order day, its parcels may go today all the same. */
export function PlaceKey({ props, hand }: { props: PlanProps; hand: Hand }) {
  const placing = useAct(props.place);
  const { problem, planning } = hand;
  const now = basketsOf(problem, planning.plan, 0);
  const later = now.length ? [] : basketsOf(problem, planning.plan, 1);
  const baskets = now.length ? now : later;
  if (!baskets.length)
    return (
      <p className="p-4">
        {props.needs.length ? "Nothing can be ordered for what is wanted." : "No open needs. They come from Parts when stock is short."}
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
            {what} today all the same
          </Key>
        </>
      )}
      <Refused of={[placing]} />
    </>
  );
}
