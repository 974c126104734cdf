import { kindWords } from "@/core/anatomy/shapes";
import { cleanMethods } from "@/core/cleaning/methods";
import { oldPartsWords, paidWords } from "@/core/hand-back/hand-back";
import { gradeWords } from "@/core/interchange/interchange";
import { measureKinds } from "@/core/measures/taken";
import { formatMinor } from "@/core/money/money";
import { paperName } from "@/core/papers/papers";
import { discountClasses } from "@/core/quote/discounts";
import { feels } from "@/core/teardown/feel";
import { wellVerdictWords as verdictWords } from "@/core/teardown/verdicts";
import { asItIsReasons } from "@/core/vocabulary/as-it-is";
import { cleanOutcomes } from "@/core/vocabulary/clean-outcomes";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import { jobKinds } from "@/core/vocabulary/job-kinds";
import { leftDryReasons } from "@/core/vocabulary/left-dry";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { benchWays } from "@/core/ways/ways";

/** What an entry's ids are called; each falls back on plain words where the thing is gone. */
export interface JournalNames {
  readonly seat: (id: unknown) => string;
  readonly step: (id: unknown) => string;
  readonly assembly: (id: unknown) => string;
  readonly part: (id: unknown) => string;
  readonly supplier: (id: unknown) => string;
  readonly model: (id: unknown) => string;
  readonly fault: (id: unknown) => string;
  readonly sign: (id: unknown) => string;
  readonly test: (id: unknown) => string;
  readonly person: (id: unknown) => string;
  /** The customer and the reel the entry is about. */
  readonly customer: string;
  readonly reel: string;
}

type Detail = Readonly<Record<string, unknown>>;
type Say = (detail: Detail, name: JournalNames) => string;

const word = (words: Readonly<Record<string, string>>, id: unknown, otherwise: string): string => words[String(id)] ?? otherwise;
const count = (n: unknown, one: string, many = `${one}s`): string => `${Number(n)} ${Number(n) === 1 ? one : many}`;
const because = (reason: unknown): string => (typeof reason === "string" && reason ? `: ${reason}` : "");
const outcomeTold = (d: Detail): string =>
  [
    d.product !== undefined &&
      (d.product === null ? "oiled as recommended" : d.product === "nothing" ? "left dry" : `given ${String(d.product)}`),
    d.clean !== undefined && (d.clean === null ? "came clean" : (cleanOutcomes as Words)[String(d.clean)]?.said),
    d.feel !== undefined && (d.feel === null ? "not felt" : (feels as Words)[String(d.feel)]?.said),
  ]
    .filter(Boolean)
    .join(", ");
type Words = Readonly<Record<string, { readonly said: string }>>;
const before = (phase: unknown): string => (phase === "after" ? "after service" : "before service");
const methodName = (id: unknown): string => (cleanMethods as Readonly<Record<string, { name: string }>>)[String(id)]?.name ?? "cleaning";
const measureName = (id: unknown): string =>
  ((measureKinds as Readonly<Record<string, { name: string }>>)[String(id)]?.name ?? String(id)).toLowerCase();
const gaugeWords = (id: unknown): string => String(id).replaceAll("-", " ");

/** What each act did, in the words that follow a person's name. */
export const journalSayings = {
  // Counter
  "job-opened": (_, { reel }) => `checked in ${reel}`,
  "lot-opened": (d, { customer }) => `checked in a lot of ${count(d.reels, "reel")} for ${customer}`,
  "customer-added": (_, { customer }) => `added the customer ${customer}`,
  "customer-changed": (d, { customer }) =>
    d.discountClass === undefined
      ? `changed the entry of ${customer}`
      : `set the discount of ${customer} to ${word(discountClasses, d.discountClass, "another")}`,
  "customer-erased": () => "erased a customer at their wish",
  "customers-merged": (_, { customer }) => `merged two records of ${customer} one`,
  "customer-retired": (_, { customer }) => `retired the customer ${customer}`,
  "customer-used-again": (_, { customer }) => `took the customer ${customer} back into use`,
  "reel-added": (_, { reel }) => `entered the reel ${reel}`,
  "reel-taken-for": (d, { reel }) =>
    `noted what ${reel} is believed to be: ${[d.madeBy, d.madeWhen, d.madeWhere].filter(Boolean).join(", ") || "nothing"}`,
  "parts-added": (d, name) =>
    d.part ? `added ${name.part(d.part)} to the catalogue` : `brought ${count(d.parts, "part")} into the catalogue`,
  "offer-set": (d, name) => `set what ${name.supplier(d.supplier)} asks for ${name.part(d.part)}`,
  "piece-listed": (d, name) => `put ${name.part(d.part)} into the catalogue`,
  "model-named": (d) => `renamed the model ${String(d.was)} to ${String(d.is)}`,
  "model-worth": (d, name) => `set the value of a ${name.model(d.model)} is worth`,
  "loose-in-place": (d) =>
    d.reason ? `left the part of well ${String(d.well)} in: ${String(d.reason)}` : `put the part of well ${String(d.well)} in the tray`,
  "part-declined": (d, { seat }) =>
    d.declined ? `the customer said no to a new part: ${seat(d.position)}` : `the customer wants a new part after all: ${seat(d.position)}`,
  "outcome-told": (d, { seat }) => `said of ${seat(d.position)}: ${outcomeTold(d)}`,
  "step-noted": (d, name) => `noted something at a step: ${name.step(d.operation)}`,
  "model-built": (d, name) => `built ${name.model(d.model)} otherwise: ${String(d.variant)}, ${String(d.choice)}`,
  "reel-built": (d) => `said of this reel alone: ${String(d.variant)}, ${String(d.choice)}`,
  "model-followed": (d, name) => `took ${name.model(d.model)} as it is built now`,
  "cover-said": (d, { seat, fault }) =>
    `said that ${d.kind === "fault" ? fault(d.ref) : `the new ${seat(d.ref)}`} is ${d.ours ? "our own work, free" : "to be paid by the customer"}`,
  "who-pays": (d) => `recorded who pays for the comeback: ${String(d.pays)}`,
  "reel-changed-owner": (_, { reel, customer }) => `entered ${customer} as the new owner of ${reel}`,
  "reel-scrapped": (d, { reel }) => `scrapped ${reel} for ${count(d.pieces, "part")}`,
  declined: () => "marked the reel to be returned unrepaired",
  "taken-on-again": () => "took the job after all",
  "made-a-repair": (d) => `changed it to a repair (was: ${word(jobKinds, d.was, "another kind")})`,
  "taken-down": () => "picked the job up again",
  "station-reached": (d) =>
    `moved the job ${d.back ? "back " : ""}to ${String(d.station).charAt(0).toUpperCase()}${String(d.station).slice(1)}`,
  "station-time-corrected": (d) =>
    d.minutes === null
      ? `went back to the clock's minutes at ${String(d.station)}`
      : `corrected the time at ${String(d.station)} to ${count(d.minutes, "minute")}`,
  pictured: () => "added a photo of the reel",
  "edition-chosen": () => "confirmed the edition of the reel",
  "assembly-opened": (d, { assembly }) =>
    d.opened === null
      ? `left ${assembly(d.assembly)} to the kind of service`
      : `said to ${d.opened ? "open" : "leave shut"}: ${assembly(d.assembly)}`,
  "way-chosen": (d) => {
    const way = (benchWays as Readonly<Record<string, { name: string; choices: Readonly<Record<string, string>> }>>)[String(d.way)];
    const whose = d.scope === "job" ? "on this job" : "for this customer";
    return way
      ? `set “${way.name}” ${whose}: ${d.choice === null ? "shop default" : word(way.choices, d.choice, "another choice")}`
      : `changed a way of working ${whose}`;
  },
  // Test, find, quote
  tested: (d, { test }) => `tested ${test(d.test)} ${before(d.phase)}: ${String(d.verdict)}`,
  "test-left-out": (d, { test }) => `left out ${test(d.test)} ${before(d.phase)}${because(d.reason)}`,
  "looked-at": (d, { sign }) =>
    d.so === null ? `withdrew the check “${sign(d.finding)}”` : `checked “${sign(d.finding)}”: ${d.so ? "yes" : "no"}`,
  "fault-found": (d, { fault }) => `added the fault “${fault(d.fault)}”`,
  "fault-put-right": (d, { fault }) =>
    d.putRight ? `said that ${fault(d.fault)} is repaired` : `took back that ${fault(d.fault)} is repaired`,
  "report-words": () => "wrote the answer in the report",
  "report-photo": (d) => (d.on ? "chose a picture for the report" : "took a picture off the report"),
  "parcel-noted": (d) => `noted the parcel ${d.way === "in" ? "it came in" : "it goes back in"}, ${String(d.carrier)}`,
  "day-closed": (d) => `closed the takings of ${String(d.day)}`,
  "intake-corrected": () => "corrected the intake",
  "intake-cancelled": () => "cancelled the intake",
  "reel-read-anew": (d) => `re-entered the reel: ${d.serial ? `serial ${String(d.serial)}` : "no serial"}`,
  "return-reopened": () => "undid the return",
  "goes-as-it-is": (d, { test }) =>
    d.reason
      ? `returned it with ${test(d.test)} bad${because(word(asItIsReasons, d.reason, ""))}`
      : `took back that it goes with ${test(d.test)} bad`,
  "fault-outcome": (d, { fault }) =>
    d.outcome === null
      ? `took on “${fault(d.fault)}” again`
      : `said of “${fault(d.fault)}”: ${(faultOutcomes as Readonly<Record<string, { said: string }>>)[String(d.outcome)]?.said ?? "not done here"}`,
  "fault-withdrawn": (d, { fault }) => `removed the fault “${fault(d.fault)}”`,
  "fault-settled": (d, { fault }) =>
    d.proved === null ? `reopened the question of “${fault(d.fault)}”` : `${d.proved ? "proved" : "ruled out"} “${fault(d.fault)}”`,
  "quote-agreed": (d, { customer }) => `recorded that ${customer} agreed to ${formatMinor(Number(d.totalMinor))}`,
  "quote-refused": (d, { customer }) => `recorded that ${customer} declined ${formatMinor(Number(d.totalMinor))}`,
  "line-added": (d) => `added to the bill: ${String(d.words)}, ${formatMinor(Number(d.priceMinor))}`,
  "line-removed": () => "took a line off the bill",
  "part-foreseen": (d, { seat }) => `added ${seat(d.position)} to the quote`,
  "part-struck": (d, { seat }) => `removed ${seat(d.position)} from the quote`,
  "part-wanted-instead": (d, { seat, part }) => `chose ${part(d.part)} for ${seat(d.position)}`,
  "kit-foreseen": () => "added a conversion kit to the quote",
  // Strip, clean
  "part-off": (d, { seat }) => `took off ${seat(d.position)} (well ${String(d.well)})`,
  "came-in-pieces": (d) => `took ${count(d.parts, "part")} in that had been apart already`,
  "part-off-undone": (d, { seat }) => `put ${seat(d.position)} back from well ${String(d.well)}`,
  "left-in": (d, { seat }) => {
    const names = Array.isArray(d.positions) ? d.positions.map(seat).join(", ") : "a part";
    return d.stays === false ? `no longer leaves in ${names}` : `left in ${names}`;
  },
  "served-in-place": (d, { seat }) => `serviced ${seat(d.position)} in place${because(d.reason)}`,
  "part-looked-at": (d, { seat }) => `judged ${seat(d.position)}: ${d.verdict ? word(verdictWords, d.verdict, "noted") : "noted"}`,
  "part-left-out": (d, { seat }) => `left out ${seat(d.position)}${because(d.reason)}`,
  "picture-taken": (d, { seat }) =>
    d.position === undefined ? `took a photo of well ${String(d.well)}` : `took a photo at ${seat(d.position)}`,
  "loose-part-off": (d) => `took off a ${word(kindWords, d.kind, "part")} (well ${String(d.well)})`,
  "loose-part-undone": () => "put the last part back",
  "loose-part-named": (d) => `named the part in well ${String(d.well)}`,
  "schematic-made": (d) => `made a schematic of ${count(d.seats, "part")}`,
  "soak-begun": (d) => `put ${count(d.parts, "part")} in: ${methodName(d.method)}, ${count(d.minutes, "minute")}`,
  "soak-counted": (d) => `counted back ${count(d.back, "part")}${Number(d.missing) ? `, ${Number(d.missing)} missing` : ""}`,
  "cleaning-undone": (d) => `undid the cleaning${d.method === undefined ? "" : ` (${methodName(d.method)})`}`,
  "all-cleaned-by-hand": (d) => `cleaned all by hand: ${count(d.parts, "part")}`,
  "cleaned-otherwise": (d, { seat }) =>
    `chose how to clean ${seat(d.position)}: ${d.method === null ? "same as others of its kind" : methodName(d.method)}`,
  "cleaned-by-hand": (d) => `cleaned ${count(d.parts, "part")}: ${methodName(d.method)}`,
  // Parts
  "part-used": (d, { seat, part }) => `took ${part(d.part)} from stock for ${seat(d.position)}`,
  "part-used-undone": (d, { seat }) => `put the new piece for ${seat(d.position)} back`,
  "piece-used": (d, { seat }) =>
    `took a piece for ${seat(d.position)}: ${(pieceSources as Readonly<Record<string, { name: string }>>)[String(d.source)]?.name ?? "from elsewhere"}`,
  "extra-piece": () => "noted a piece that is not on the drawing",
  "extra-piece-settled": (d) =>
    d.state === "back" ? "put a piece that is not on the drawing back in" : "left out a piece that is not on the drawing",
  "donor-piece-used": (d, { seat }) => `took a donor piece for ${seat(d.position)}`,
  "lining-said": (d, { seat }) =>
    `said that ${seat(d.position)}${Number(d.seats) > 1 ? " and its stack" : ""} is made of: ${String(d.material)}`,
  "seat-overridden": (d, { seat, part }) => `recorded ${part(d.part)} as this reel's own part at ${seat(d.position)}`,
  "seat-as-model": (d, { seat }) => `set ${seat(d.position)} back to the model's part`,
  "need-added": (d, { part, seat }) => `put ${part(d.part)} on the needs list for ${seat(d.position)}`,
  "need-withdrawn": () => "withdrew a need",
  "need-grade-set": (d) => `said what may go to a need instead: ${word(gradeWords, d.grade, "another grade")}`,
  "order-rules-saved": () => "changed the planning assumptions for orders",
  "needs-ended": (d) => `released ${count(d.needs, "need")} of the job`,
  // Build, prove, return
  "step-done": (d, { step }) => `${step(d.operation)}: done${d.closedOver ? `, closed over a warning${because(d.reason)}` : ""}`,
  "points-oiled": (d, { seat }) => `oiled ${d.position === undefined ? count(d.points, "point") : seat(d.position)} in place`,
  "points-left-out": (d, { seat }) =>
    `left without oil: ${d.position === undefined ? count(d.points, "point") : seat(d.position)}${d.reason ? ` (${word(leftDryReasons, d.reason, "")})` : ""}`,
  "points-undone": (d, { seat }) => `to be oiled again: ${d.position === undefined ? count(d.points, "point") : seat(d.position)}`,
  "gate-passed": (d, { step }) => `check passed: ${step(d.operation)}`,
  "gate-failed": (d, { step }) => `check failed: ${step(d.operation)}`,
  "step-skipped": (d, { step }) => `left for now: ${step(d.operation)}`,
  "step-undone": (d, { step }) => `opened again: ${step(d.operation)}`,
  "model-measured": (d) => `kept measured numbers for ${String(d.model)}`,
  measured: (d, { seat }) =>
    `measured ${measureName(d.kind)}${d.position ? ` of ${seat(d.position)}` : ""}: ${Number(Number(d.value).toPrecision(3))} ${String(d.unit)}`,
  "brought-in": (d) => `brought in ${count(d.rows, "row")} of ${String(d.kind)} from a file`,
  "brought-in-undone": (d) => `took a file of ${String(d.kind)} back`,
  "gauge-kept": (d) => `saved the result of the ${gaugeWords(d.gauge)} gauge to the job`,
  "item-given-back": (d) => `returned with the reel: ${word(broughtWith, d.item, String(d.item))}`,
  "item-kept": (d) => `still here: ${word(broughtWith, d.item, String(d.item))}`,
  "handed-back": (d, { customer }) =>
    [
      `returned the reel to ${customer}, ${formatMinor(Number(d.totalMinor))}`,
      d.paidBy ? `paid ${word(paidWords, d.paidBy, "")}` : "",
      d.oldParts ? `old parts ${word(oldPartsWords, d.oldParts, "")}` : "",
    ]
      .filter(Boolean)
      .join("; "),
  "told-to-fetch": (_, { customer }) => `notified ${customer} that the reel is ready`,
  // Library, stores, shop
  "model-version-added": (d, { model }) => `saved version ${String(d.number)} of ${model(d.modelId)}`,
  "sheet-read": (d) => `brought in a maker's sheet of ${d.rows} rows`,
  "sheet-checked": (d) => (d.row === undefined ? `checked the rows of a maker's sheet` : `checked row ${d.row} of a maker's sheet`),
  "sheet-forgotten": () => "deleted a maker's sheet",
  "model-picture-set": (d, { model }) => `added a picture of the schematic of ${model(d.model)}`,
  "model-picture-marked": (d, { model }) => `placed a seat on the picture of ${model(d.model)}`,
  "serial-rules-saved": (d) => `saved ${count(d.rules, "serial rule")} for ${String(d.maker)}`,
  "interchange-saved": () => "saved a set of shared parts",
  "interchange-removed": () => "removed a set of shared parts",
  "kit-saved": () => "saved a conversion kit",
  "lesson-learned": (d, { model }) => `added a ${String(d.about)} to the playbook of ${model(d.model)}`,
  "act-learned": (d, { model }) => `added a step to the playbook of ${model(d.model)}`,
  "fault-learned": (d, { fault }) => `added the fault “${fault(d.fault)}” to the diagnosis knowledge`,
  "sign-learned": (d, { sign }) => `added the sign “${sign(d.finding)}” to the diagnosis knowledge`,
  "strength-said": (d, { fault, sign }) => `set how often “${fault(d.fault)}” causes “${sign(d.finding)}”`,
  "part-facts-changed": (d, { part }) => `changed the facts of ${part(d.part)}`,
  "part-retired": (d, { part }) => `retired ${part(d.part)}`,
  "part-used-again": (d, { part }) => `took ${part(d.part)} back into use`,
  "bin-counted": (d, { part }) =>
    `counted ${Number(d.counted)} in the bin of ${part(d.part)}${d.before === undefined || d.before === d.counted ? "" : `, the record said ${Number(d.before)}`}`,
  "bin-level-set": (d, { part }) => `let the level of ${part(d.part)} go ${d.byUse ? "by its use" : "by hand"}`,
  "bad-piece": (d, { part }) =>
    `put down ${count(d.pieces, "piece")} of ${part(d.part)} as ${d.kind === "wrong" ? "the wrong ones" : "broken"}`,
  "bad-piece-settled": (d, { part }) =>
    d.to === "sent-back"
      ? `sent ${part(d.part)} back`
      : d.to === "credited"
        ? `was credited ${formatMinor(Number(d.credit))} for ${part(d.part)}`
        : `took another ${part(d.part)} for the bad one`,
  "line-paid-otherwise": (d, { part }) => `noted that ${part(d.part)} cost ${formatMinor(Number(d.paid))}`,
  "no-longer-made": (d, { part }) => `noted that ${part(d.part)} is no longer made`,
  "made-again": (d, { part }) => `noted that ${part(d.part)} is made`,
  "cannot-be-had": (d, { part }) => `put down that ${part(d.part)} is not available`,
  "quote-asked": () => "asked the customer about the quote",
  "quote-asking-revoked": () => "withdrew the letter about the quote",
  "mail-written": (d) => `wrote a mail about ${d.kind === "quote" ? "the quote" : "an order"}`,
  "price-list-taken": (d, { supplier }) => `took over ${count(d.prices, "price")} from the list of ${supplier(d.supplier)}`,
  "tin-opened": (d) => `opened a new ${String(d.product).toLowerCase()}`,
  "tin-ended": (d) => `${d.empty ? "used up" : "threw away"} a ${String(d.product).toLowerCase()}`,
  "line-given-up": (d, { part }) => `gave up ${count(d.pieces, "piece")} of ${part(d.part)} not coming`,
  "bin-removed": (d, { part }) => `removed the bin of ${part(d.part)}`,
  "supplier-added": (d, { supplier }) => `added the supplier ${supplier(d.supplier)}`,
  "supplier-changed": (d, { supplier }) => `changed the supplier ${supplier(d.supplier)}`,
  "supplier-retired": (d, { supplier }) => `retired the supplier ${supplier(d.supplier)}`,
  "supplier-used-again": (d, { supplier }) => `took the supplier ${supplier(d.supplier)} back into use`,
  "offer-removed": (d, { supplier, part }) => `removed the offer of ${supplier(d.supplier)} for ${part(d.part)}`,
  "order-placed": (d, { supplier }) =>
    `ordered ${Number(d.needs) ? count(d.needs, "part") : count(d.lines, "line")} from ${supplier(d.supplier)}`,
  "parts-received": (d, { part }) => `received ${Number(d.quantity)} × ${part(d.part)}`,
  "person-changed": (d, { person }) => `entered ${person(d.personId)} as ${String(d.role)}`,
  "person-left": (d, { person }) => `took ${person(d.personId)} off the list of people`,
  "person-back": (d, { person }) => `put ${person(d.personId)} back on the list of people`,
  "secret-set": (d, { person }) =>
    `${d.set ? "set" : "took away"} ${d.kind === "pin" ? "the PIN" : "the passphrase"} of ${person(d.personId)}`,
  "signed-in": (d) => (d.over === "network" ? "came in from another device" : "is at the bench"),
  "session-ended": (d, { person }) => `ended a session of ${person(d.personId)}`,
  "phone-invited": (d, { person }) => `invited a phone in for ${person(d.personId)}`,
  "person-added": (d, { person }) => `added ${person(d.personId)} (${String(d.role)})`,
  "job-corrected": (d) =>
    `added to the closed job${Number(d.amount) ? `, ${Number(d.amount) > 0 ? "paid" : "given back"} ${formatMinor(Math.abs(Number(d.amount)))}` : ""}`,
  "shut-days-added": (d) => `added days the shop is closed, ${String(d.from)} to ${String(d.to)}`,
  "shut-days-removed": () => "removed days the shop was closed",
  "person-hours-set": (d, { person }) => `set the hours of ${person(d.personId)} at the bench`,
  "person-off-added": (d, { person }) => `entered that ${person(d.personId)} is not there from ${String(d.from)} to ${String(d.to)}`,
  "person-off-removed": () => "removed time off",
  "promise-moved": (d) => `moved the promised day from ${String(d.from)} to ${String(d.to)}`,
  "invoice-made": (d) => `made invoice ${paperName("invoice", Number(d.number))}: ${formatMinor(Number(d.totalMinor))}`,
  "credit-made": (d) =>
    `made credit note ${paperName("credit", Number(d.number))} of ${paperName("invoice", Number(d.of))}: ${formatMinor(Number(d.totalMinor))}`,
  "payment-taken": (d) =>
    `${Number(d.amountMinor) < 0 ? "paid back" : "took"} ${formatMinor(Math.abs(Number(d.amountMinor)))} (${String(d.how)}) on ${paperName("invoice", Number(d.number))}`,
  "consensus-taken": (d) => `made what ${count(d.teardowns, "teardown")} agree on a schematic of ${count(d.seats, "seat")}`,
  "season-invited": (d) => `wrote to ${count(d.owners, "owner")} to come before the season`,
  "shop-settings-saved": () => "saved the shop's settings",
} as const satisfies Readonly<Record<string, Say>>;

/** What the journal calls what was done. */
export type JournalAction = keyof typeof journalSayings;

/** One entry as a sentence: who did what. An act this program does not know any more is said by its own words. */
export function journalSentence(person: string, action: string, detail: Detail, names: JournalNames): string {
  const say = (journalSayings as Readonly<Record<string, Say>>)[action];
  return `${person} ${say ? say(detail, names) : action.replaceAll("-", " ")}.`;
}
