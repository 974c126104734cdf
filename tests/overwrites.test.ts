import { beforeEach, describe, expect, it } from "vitest";
import { z } from "zod";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { acts } from "@/core/acts/acts";
import { seenBin, seenOffer, seenOrderRules, seenPerson, seenSerialRules, seenSet, seenValue, seenWeek } from "@/core/seen/seen";
import { listSerialRules, saveSerialRules } from "@/data/catalogue/editions";
import { saveInterchangeSet } from "@/data/catalogue/interchange";
import { modelWorth, setModelWorth } from "@/data/catalogue/write-model";
import { findStock, setBin } from "@/data/parts/stock";
import { listOffers, setOffer } from "@/data/parts/suppliers";
import { changePerson, findPerson } from "@/data/shop/people";
import { setPersonHours } from "@/data/shop/person-hours";
import { getOrderRules, saveOrderRules } from "@/data/stores/order-rules";

/**
 * Acts that carry nothing of a row which could be out of date, by why: what they say is true of the moment at which it is said. Every other act
 * says what it was shown of the row it changes, or the version.
 */
const carryNothing = {
  "adds something; what was there stays": [
    ...["intake", "open-lot", "add-customer", "add-part", "add-person", "add-person-off", "add-supplier", "add-shut-days", "add-fault"],
    ...["add-sign", "start-model", "bring-model-in", "bring-parts-in", "bring-in", "found-shop", "save-kit", "mark-picture", "open-tin"],
    ...["place-order", "learn", "learn-act", "extra-piece", "job-line", "ask-customer", "mail-quote", "invite-phone", "season-invite"],
    ...[
      "foresee-kit",
      "need",
      "told-to-fetch",
      "cancel-intake",
      "close-day",
      "reopen-return",
      "list-piece",
      "take-payment",
      "credit-invoice",
      "make-schematic",
      "loose-take",
      "soak",
    ],
    ...["keep-gauge", "measure", "test", "tests-all-good", "look", "scrap-reel"],
  ],
  "only looks": ["preview-model-file", "preview-parts", "look-at-price-list"],
  "an act of the hands, done or undone, as it is done": [
    ...[
      "take-parts",
      "put-back",
      "steps-done",
      "step-skipped",
      "step-left-off",
      "step-undone",
      "gate-failed",
      "open-again",
      "oil-points",
      "loose-put-back",
    ],
    ...[
      "serve-in-place",
      "leave-in",
      "loose-in-place",
      "came-in-pieces",
      "taken-down",
      "open-assembly",
      "use",
      "unuse",
      "use-piece",
      "use-donor-piece",
      "use-several",
      "need-several",
    ],
    ...["cleaned-by-hand", "clean-again", "all-cleaned-by-hand", "count-back", "cancel-soak", "extra-piece-settled", "skip-test", "tick"],
    ...["receive", "receive-order", "bad-piece", "settle-bad-piece", "give-up-line", "end-tin", "ready", "close", "close-lot", "leave-out"],
    ...["taken-in-twice", "make-repair"],
  ],
  "a count or a time of now": ["count-bin", "station-minutes", "line-paid-otherwise"],
  "one choice, pressed whole, with nothing else in it": [
    ...[
      "set-lowest-grade",
      "level-by-use",
      "no-longer-made",
      "who-pays",
      "cover-line",
      "fault-outcome",
      "fault-put-right",
      "report-photo",
      "goes-as-it-is",
      "settle-fault",
      "foresee",
      "decline",
    ],
    ...[
      "clean-part-as",
      "say-lining",
      "choose-edition",
      "follow-model",
      "lot-hands",
      "lot-order",
      "built-otherwise",
      "want-instead",
      "override-seat",
      "say-strength",
      "move-promise",
      "change-owner",
    ],
    ...["cannot-be-had", "keep-model-numbers", "seat-outcome", "part-declined"],
    ...["kit-struck"],
  ],
  "takes away what it names, or brings it back; twice is told or the same": [
    ...[
      "retire-customer",
      "retire-part",
      "retire-person",
      "retire-supplier",
      "merge-customers",
      "erase-customer",
      "remove-bin",
      "remove-offer",
    ],
    ...[
      "remove-interchange-set",
      "remove-person-off",
      "remove-shut-days",
      "job-line-removed",
      "revoke-asking",
      "end-session",
      "withdraw-need",
    ],
    ...["undo-bring-in", "drop-sheet"],
  ],
  "an answer, which names the sum it was given to, or a correction that stands beside what it corrects": [
    ...["answer", "answer-lot", "answer-by-codes", "correct-job"],
  ],
  "from a file, or reckoned of what stands now": ["take-price-list", "take-consensus", "keep-sheet"],
  "a secret, which asks for the old one": ["set-secret"],
} as const;

const actions = acts.map(({ name, input }) => ({
  name,
  carries: ["seen", "rowVersion", "baseNumber"].some((field) => field in (input instanceof z.ZodObject ? input.shape : {})),
}));

describe("a form that changes a row", () => {
  it("carries what it was shown of it: every act does, or is named with why it need not", () => {
    const named = Object.values(carryNothing).flat() as string[];
    expect(actions.length).toBeGreaterThan(120);
    expect(actions.filter(({ name, carries }) => !carries && !named.includes(name)).map(({ name }) => name)).toEqual([]);
    expect(named.filter((name) => !actions.some((action) => action.name === name && !action.carries))).toEqual([]);
    expect(new Set(named).size).toBe(named.length);
  });

  let shop: Workshop;
  beforeEach(() => {
    shop = openWorkshop();
  });
  const part = "sk-star";
  const model = "skerry-30";
  const set = (name: string) => ({
    id: "s",
    name,
    mark: "",
    roles: ["bridge"],
    members: [{ modelId: model, grade: "drop-in" as const, note: "" }],
    exclusions: [],
  });
  /** Each form: how it saves the first and the second of two values, both read before either was saved, and what then stands. */
  const forms: Record<string, { save: (value: 1 | 2, seen: string) => void; seen: () => string; stands: () => unknown }> = {
    "a bin": {
      save: (value, seen) => setBin(shop.ctx, part, `B${value}`, null, value, seen),
      seen: () => seenBin(findStock(shop.db, part)),
      stands: () => findStock(shop.db, part)!.bin,
    },
    "a person": {
      save: (value, seen) => changePerson(shop.ctx, { ...shop.ctx.person, name: `Robin ${value}` }, seen),
      seen: () => seenPerson(findPerson(shop.db, shop.ctx.person.id)!),
      stands: () => findPerson(shop.db, shop.ctx.person.id)!.name,
    },
    "a week": {
      save: (value, seen) => setPersonHours(shop.ctx, shop.ctx.person.id, [value * 60, 0, 0, 0, 0, 0, 0], seen),
      seen: () => seenWeek([0, 0, 0, 0, 0, 0, 0]),
      stands: () => shop.db.prepare("SELECT sum(minutes) FROM person_hours").pluck().get(),
    },
    "an offer": {
      save: (value, seen) =>
        setOffer(shop.ctx, { supplierId: "quay", partTypeId: part, priceMinor: value * 100 + 7, pack: 1, breaks: [] }, seen),
      seen: () => seenOffer(listOffers(shop.db, part)[0]!),
      stands: () => listOffers(shop.db, part)[0]!.priceMinor,
    },
    "rules of ordering": {
      save: (value, seen) => saveOrderRules(shop.ctx, { ...getOrderRules(shop.db), leadChance: 60 + value }, seen),
      seen: () => seenOrderRules(getOrderRules(shop.db)),
      stands: () => getOrderRules(shop.db).leadChance,
    },
    "rules of serials": {
      save: (value, seen) =>
        saveSerialRules(
          shop.ctx,
          "Skerry",
          [{ modelId: null, pattern: "####", fromYear: 1950 + value, toYear: 1960, note: "" } as never],
          seen,
        ),
      seen: () => seenSerialRules(listSerialRules(shop.db, "Skerry")),
      stands: () => listSerialRules(shop.db, "Skerry")[0]!.fromYear,
    },
    "what a model is worth": {
      save: (value, seen) => setModelWorth(shop.ctx, model, value * 1000, seen),
      seen: () => seenValue(modelWorth(shop.db, model)),
      stands: () => modelWorth(shop.db, model),
    },
    "a set that interchanges": {
      save: (value, seen) => saveInterchangeSet(shop.ctx, set(`Set ${value}`), seen),
      seen: () => seenSet(null),
      stands: () => shop.db.prepare("SELECT name FROM interchange_set").pluck().get(),
    },
  };
  it.each(Object.keys(forms))("%s: of two that were read before either was saved, the second is told and the first stands", (name) => {
    const form = forms[name]!;
    const seen = form.seen();
    form.save(1, seen);
    const stands = form.stands();
    expect(refusal(() => form.save(2, seen)).code).toBe("changed-elsewhere");
    expect(form.stands()).toEqual(stands);
  });

  it("for a part that has a bin already does not move it: it says where it lies", () => {
    expect(refusal(() => setBin(shop.ctx, part, "Z9", 4, 0, seenBin(null)))).toMatchObject({ code: "has-bin", way: { to: "bins" } });
    expect(findStock(shop.db, part)).toMatchObject({ bin: "A1", count: 2 });
  });
});
