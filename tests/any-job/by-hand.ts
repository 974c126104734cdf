import { faults } from "@/core/diagnosis/fault-table";
import { findings } from "@/core/diagnosis/finding-table";
import { familyWith } from "@/core/families/families";
import { feelIds } from "@/core/teardown/feel";
import { wellVerdicts } from "@/core/teardown/verdicts";
import { leftOffReasons } from "@/core/vocabulary/build-reasons";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";
import { cleanOutcomeIds } from "@/core/vocabulary/clean-outcomes";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";
import { testIds, verdicts } from "@/core/vocabulary/tests";
import { getBuild } from "@/data/bench/build";
import { listOilPoints } from "@/data/bench/oil-points";
import { listWells } from "@/data/bench/tray";
import { machineOf } from "@/data/jobs/machine";
import { balanceOfPaper, findPaper, invoiceOfJob } from "@/data/papers/papers";
import { listOpenNeeds } from "@/data/stores/orders";
import type { Bench, Press } from "./job";
import { good } from "./offered";

const faultIds = faults.map(({ id }) => id);

/** What Stores offers for what is wanted: an order of it, what came of one, what will not come. Null where nothing is. */
export function stores({ shop: { db }, chance }: Bench): Press | null {
  const coming = db
    .prepare(
      "SELECT id, order_id AS orderId, quantity - received - given_up AS open FROM order_line WHERE quantity > received + given_up ORDER BY id",
    )
    .all() as { id: number; orderId: number; open: number }[];
  const needs = listOpenNeeds(db).filter(({ waitsForYes, offers }) => !waitsForYes && offers.length);
  if (coming.length && (!needs.length || chance.yes(0.5))) {
    const line = chance.one(coming);
    return chance.one<Press>([
      ["receive-order", { orderId: line.orderId }],
      ["receive", { orderLineId: line.id, quantity: 1 + Math.floor(chance.number() * (line.open + 1)), more: chance.yes(0.3) }],
      ["give-up-line", { orderLineId: line.id }],
    ]);
  }
  if (!needs.length) return null;
  const bought = chance.some(needs, 3);
  const lines = [...new Set(bought.map(({ partTypeId }) => partTypeId))].map((partTypeId) => {
    const { priceMinor } = needs.find((need) => need.partTypeId === partTypeId)!.offers.find(({ supplierId }) => supplierId === "quay")!;
    const packs = bought.filter((need) => need.partTypeId === partTypeId).length + (chance.yes(0.2) ? 1 : 0);
    return { partTypeId, packs, priceMinor: priceMinor * packs };
  });
  return [
    "place-order",
    { baskets: [{ supplierId: "quay", lines, gets: bought.map(({ id, partTypeId }) => ({ needId: id, partTypeId })) }] },
  ];
}

/** Money for an invoice, as it comes: in parts, too much, back, or something of it taken back. Null where nothing was charged. */
export function money({ shop: { db }, jobId, chance }: Bench): Press | null {
  const number = invoiceOfJob(db, jobId);
  if (number === null) return null;
  const { openMinor } = balanceOfPaper(db, findPaper(db, number)!);
  const amount = (minor: number) => (Math.max(0, Math.round(minor)) / 100).toFixed(2);
  const pay = (minor: number, back = false): Press => [
    "take-payment",
    { number, amount: amount(minor), how: chance.one(["cash", "card", "transfer"]), onDay: "2026-03-05", back },
  ];
  return chance.one<() => Press>([
    () => pay(openMinor),
    () => pay(openMinor * chance.number()),
    () => pay(openMinor * 1.5),
    () => pay(Math.abs(openMinor) * chance.number(), true),
    () => [
      "credit-invoice",
      { number, amount: chance.one(["", amount(openMinor / 2), amount(openMinor * 2)]), words: "not what was agreed" },
    ],
  ])();
}

/** What a person does off the order: wrong, contradictory, again and back. Refused or done, but never lost. */
export function byHand(bench: Bench): Press {
  const { shop, jobId, chance, lot } = bench;
  const { one, some, yes } = chance;
  const catalogue = () => shop.db.prepare("SELECT number FROM part_type ORDER BY id").pluck().all() as string[];
  const { anatomy } = machineOf(shop.db, bench.job());
  const seats = anatomy.positions.map(({ id }) => id);
  const seat = () => one(seats);
  const wells = listWells(shop.db, jobId);
  const off = () => (wells.length && yes(0.85) ? one(wells).positionId : seat());
  const steps = () => getBuild(shop.db, bench.job()).steps.map(({ operation }) => operation.id);
  const step = () => one([...steps(), "place-nowhere"]);
  const soaks = [...new Set(wells.flatMap(({ soakId }) => soakId ?? []))];
  const acts: (() => Press)[] = [
    () => [
      "take-parts",
      { jobId, positionIds: some(seats, 3), absent: yes(0.3) ? some(seats, 1) : [], broke: yes(0.2) ? some(seats, 1) : [] },
    ],
    () => ["put-back", { jobId, ...(yes(0.5) && wells.length ? { positionIds: [wells.at(-1)!.positionId] } : {}) }],
    () => ["leave-in", { jobId, positionIds: some(seats, 3), stays: yes(0.7) }],
    () => [
      "note-well",
      {
        jobId,
        positionId: off(),
        verdict: one(wellVerdicts),
        orientation: "",
        note: yes(0.2) ? "edge frayed" : "",
        hole: "",
        thread: null,
        foundCount: one([1, 1, 1, 2, 0]),
        at: one(["strip", "clean"]),
      },
    ],
    () => ["extra-piece", { jobId, words: "a thin washer, under the star" }],
    () => ["open-assembly", { jobId, assemblyId: one(anatomy.assemblies).id, opened: one([true, false, null]) }],
    () => ["came-in-pieces", { jobId }],
    () => ["cleaned-by-hand", { jobId, method: one(cleanMethodIds) }],
    () => ["soak", { jobId, method: one(cleanMethodIds), minutes: 20, intoSoakId: null, mark: "" }],
    () => ["count-back", { jobId, soakId: one([...soaks, 99]), missing: yes(0.2) ? [off()] : [] }],
    () => ["cancel-soak", { jobId, soakId: one([...soaks, 99]) }],
    () => ["clean-again", { jobId, method: one([...cleanMethodIds, null]) }],
    () => ["clean-part-as", { jobId, positionId: off(), method: one([...cleanMethodIds, null]) }],
    () => ["settle-fault", { jobId, faultId: one(faultIds), proved: one([true, true, false, null]) }],
    () => ["look", { jobId, findingId: one(findings).id, so: one([true, false, null]) }],
    () => ["use", { jobId, positionId: off() }],
    () => ["unuse", { jobId, positionId: off() }],
    () => ["need", { jobId, positionId: off() }],
    () => [
      "use-piece",
      {
        jobId,
        positionId: off(),
        source: one(pieceSourceIds),
        kind: "",
        size: "",
        material: "",
        closure: "",
        priceMinor: one(["", "4.50", "0"]),
        anyway: yes(0.5),
      },
    ],
    () => ["use-several", { jobId, positionIds: some(seats, 3) }],
    () => ["foresee", { jobId, positionId: seat(), wanted: yes(0.7) }],
    () => ["part-declined", { jobId, positionId: seat(), declined: yes(0.7) }],
    () => ["answer", { jobId, accepted: yes(0.6), totalMinor: one([0, 5000, 20_000]), words: "by phone" }],
    () => ["job-line", { jobId, words: "Postage", priceMinor: one(["6.90", "-5", "0"]) }],
    () => ["decline", { jobId, reason: one(["not worth it to the owner", null, null]) }],
    () => ["who-pays", { jobId, pays: one(["us", "customer", "open"]) }],
    () => ["fault-put-right", { jobId, faultId: one(faultIds), putRight: yes(0.6) }],
    () => ["gate-failed", { jobId, operationId: step(), note: "" }],
    () => ["step-skipped", { jobId, operationId: step() }],
    () => ["step-left-off", { jobId, operationId: step(), reason: one(leftOffReasons) }],
    () => ["step-undone", { jobId, operationId: step() }],
    () => ["open-again", { jobId, operationId: step(), gateId: null }],
    () => ["steps-done", { jobId, operationIds: [step()], reason: "" }],
    () => {
      const points = listOilPoints(shop.db, bench.job()).map(({ positionId }) => positionId);
      return [
        "oil-points",
        { jobId, positionIds: points.length ? some(points, 3) : [seat()], state: one(["waiting", "oiled", "left-out"]) },
      ];
    },
    () => [
      "seat-outcome",
      {
        jobId,
        positionId: off(),
        onPurpose: yes(0.5),
        ...one([
          { product: one(["reel grease", "light oil", "petroleum jelly"]) },
          { clean: one(cleanOutcomeIds) },
          { feel: one(feelIds) },
        ]),
      },
    ],
    () => ["test", good(jobId, one(testIds), one(verdicts), one(["before", "after"]))],
    () => ["skip-test", { jobId, phase: one(["before", "after"]), testId: one(testIds), reason: one(["", "no line on it"]) }],
    () => ["goes-as-it-is", { jobId, testId: one(testIds), reason: one(["owner-knows", null]) }],
    () => ["ready", { jobId }],
    () => ["close", { jobId, signedBy: "Ada Brook", paidBy: one(["cash", null]), paidNote: "", oldParts: null }],
    () => ["leave-out", { jobId, positionIds: [off()], reason: one(leftOffReasons) }],
    () => [
      "loose-take",
      { jobId, kind: one(["washer", "screw", "coil-spring", "gear"]), pieceId: null, count: one([null, 2]), side: one([null, "tail"]) },
    ],
    () => ["loose-put-back", { jobId }],
    () => ["loose-in-place", { jobId, well: one([1, 2, 3]), reason: one(["pressed in", null]) }],
    () => ["make-schematic", { jobId }],
    () => ["foresee-kit", { jobId, kitId: one(["drag", "bearings", "seals"]) }],
    () => ["part-declined", { jobId, positionId: off(), declined: true }],
    () => ["fault-outcome", { jobId, faultId: one(faultIds), outcome: one(["declined", "watch", "sent-on", "own", null]) }],
    () => ["say-lining", { jobId, positionIds: [seat()], material: one(["carbon", "felt"]) }],
    () => ["extra-piece-settled", { jobId, id: one([1, 2]), state: one(["off", "back", "left-out"]) }],
    () => {
      const { variants } = familyWith(bench.family, {});
      const variant = variants.length && yes(0.8) ? one(variants) : null;
      return [
        "built-otherwise",
        { jobId, variantId: variant?.id ?? "nothing", choiceId: variant ? one(variant.choices).id : "nothing", only: yes(0.6) },
      ];
    },
    () => ["choose-edition", { jobId, editionId: one([null, ...anatomy.editions.map(({ id }) => id), "nowhere"]) }],
    // A part of another reel in this one.
    () => [
      "override-seat",
      {
        jobId,
        positionId: seat(),
        ...one([{ number: one(catalogue()) }, { number: "", name: "an odd one", size: one(["", "5x11x4"]) }, { number: "" }]),
      },
    ],
    () => ["use-several", { jobId, positionIds: wells.map(({ positionId }) => positionId).slice(0, 4) }],
    () => stores(bench) ?? ["need", { jobId, positionId: off() }],
    () => stores(bench) ?? ["use", { jobId, positionId: off() }],
    ...(lot
      ? [
          (): Press => ["lot-hands", { lotId: lot.id, jobIds: some(lot.jobIds, 4), what: one(["strip", "clean", "build", "check"]) }],
          (): Press => ["lot-hands", { lotId: lot.id, jobIds: lot.jobIds, what: one(["strip", "clean", "build", "check"]) }],
          (): Press => ["answer-lot", { lotId: lot.id, accepted: yes(0.7), words: "by phone" }],
          (): Press => ["close-lot", { lotId: lot.id, signedBy: "Ada Brook", paidBy: one(["cash", null]), paidNote: "", oldParts: null }],
        ]
      : []),
  ];
  return one(acts)();
}
