import { describe, expect, it } from "vitest";
import type { Fault, Remedy } from "@/core/diagnosis/fault";
import { type Cover, coversFault, coversPart, isOurOwnWork, isPaidByLine } from "./comeback";
import { mayGoOn, mayOpen } from "./consent";
import { discountOf, discountsSchema } from "./discounts";
import { noPrices, pricesFor } from "./price-list";
import { billOf, optionsOf, piecesAsAgreed, type QuoteFacts, quoteOf, sumToPutRight, withoutConsent } from "./quote";

const rough = { id: "rough-bearing", needs: undefined, remedy: { partRoles: ["spool-bearing"] } } as unknown as Fault;
const bent = { id: "bent-shaft", needs: "main-shaft", remedy: { partRoles: [] } } as unknown as Fault;
const remedies: Readonly<Record<string, Remedy>> = {
  "rough-bearing": { words: "Renew the bearing", minutes: 20 } as Remedy,
  "bent-shaft": { words: "Straighten the shaft", minutes: 45 } as Remedy,
};

/** A repair with one fault and one new piece: 60.00 an hour, tax 20 %, nothing on a price list. */
const facts = (change: Partial<QuoteFacts> = {}, job: Partial<QuoteFacts["job"]> = {}): QuoteFacts => ({
  job: {
    kind: "repair",
    depth: "complaint",
    station: "test",
    intake: { complaints: [] },
    rates: { ratePerHourMinor: 6000, tax: 2000 },
    limitMinor: null,
    declinedReason: null,
    ...job,
  } as QuoteFacts["job"],
  faultIds: ["rough-bearing"],
  parts: [
    {
      positionId: "head-bearing",
      partTypeId: "b-684",
      words: "B-684",
      priceMinor: 850,
      source: null,
      assemblyId: "head",
      seat: "Head bearing",
      foreseenBy: "rough-bearing",
    },
  ],
  answers: [],
  lines: [],
  opening: { assemblies: 4, shut: 0, asked: 1, opened: null },
  cover: null,
  faultOf: (id) => [rough, bent].find((fault) => fault.id === id) ?? null,
  remedyOf: (fault) => remedies[fault.id]!,
  billing: false,
  ...change,
});
const wordsOf = (lines: readonly { readonly words: string }[]) => lines.map(({ words }) => words);

describe("a quote", () => {
  it("is what the job came for, the work on each fault, the pieces and the shop's lines; worked by hand", () => {
    const quote = quoteOf(facts({ lines: [{ id: 4, words: "Postage", priceMinor: 600 }] }));
    const service = quote.labour.filter(({ faultId }) => !faultId).reduce((sum, { minutes }) => sum + minutes, 0);
    expect(wordsOf(quote.labour)).toContain("Renew the bearing");
    // 20 minutes of 60.00 an hour are 20.00, the service as many units as minutes; the piece 8.50, postage 6.00; a fifth of all that is tax.
    const net = (20 + service) * 100 + 850 + 600;
    expect(quote.sum).toMatchObject({ partsMinor: 850, extrasMinor: 600, netMinor: net, taxMinor: net / 5, totalMinor: (net * 6) / 5 });
    expect(quote.faults).toBe(1);
  });

  it("of a reel that goes back unrepaired is nothing, and nobody has to say yes to it", () => {
    const quote = quoteOf(facts({ lines: [{ id: 4, words: "Postage", priceMinor: 600 }] }, { declinedReason: "too dear" }));
    expect(quote).toMatchObject({ labour: [], parts: [], extras: [], consent: "within-limit", sum: { totalMinor: 0 } });
  });

  it("of a check before a purchase charges the check, whatever it found; what would put it right is a sum of its own", () => {
    const check = quoteOf(facts({}, { kind: "purchase-check" }));
    expect(check.parts).toEqual([]);
    expect(check.labour.some(({ faultId }) => faultId)).toBe(false);
    const repair = quoteOf(facts());
    const right = sumToPutRight(repair, { ratePerHourMinor: 6000, tax: 2000 });
    // Twenty minutes and the piece, with tax: 28.50 and a fifth.
    expect(right).toMatchObject({ minutes: 20, netMinor: 2850, totalMinor: 3420 });
  });

  it("says where a piece comes from, and asks for the call its owner wished for by the part or by its seat", () => {
    const donor = quoteOf(
      facts({ parts: [{ ...facts().parts[0]!, source: "donor" }] }, { intake: { complaints: [], callFor: "head bearing" } }),
    );
    expect(wordsOf(donor.parts)).toEqual(["B-684, used, from a donor"]);
    expect(donor.callFor).toEqual(["B-684"]);
    expect(quoteOf(facts({}, { intake: { complaints: [], callFor: "the handle" } })).callFor).toEqual([]);
  });

  it("of our own work come back costs nothing where it is ours, all else as ever, and is not priced until it is clear who pays", () => {
    const cover = (change: Partial<Cover>): Cover => ({
      pays: "us",
      found: new Set(["rough-bearing"]),
      touched: new Set(),
      renewed: new Set(),
      said: new Map(),
      ...change,
    });
    const both = (pays: Cover) =>
      quoteOf(
        facts(
          { faultIds: ["rough-bearing", "bent-shaft"], cover: pays },
          { kind: "comeback", intake: { complaints: [], pays: pays.pays } },
        ),
      );
    const ours = both(cover({}));
    expect(ours.labour.find(({ faultId }) => faultId === "rough-bearing")).toMatchObject({ minutes: 0, ours: true });
    expect(ours.labour.find(({ faultId }) => faultId === "bent-shaft")).toMatchObject({ minutes: 45 });
    expect(ours.parts[0]).toMatchObject({ priceMinor: 0, ours: true });
    expect(both(cover({ pays: "customer" })).parts[0]).toMatchObject({ priceMinor: 850 });
    expect(
      both(cover({ pays: "open" }))
        .labour.filter(({ faultId }) => faultId)
        .map(({ minutes }) => minutes),
    ).toEqual([0, 0]);
    // A person's word on a line decides against what was found the last time.
    expect(both(cover({ said: new Map([["fault rough-bearing", false]]) })).parts[0]).toMatchObject({ priceMinor: 850 });
  });
});

describe("what of the opening is charged", () => {
  const service = (change: Partial<QuoteFacts>, job: Partial<QuoteFacts["job"]> = {}) =>
    quoteOf(
      facts(
        { faultIds: [], parts: [], ...change },
        { rates: { ratePerHourMinor: 6000, tax: 0, prices: pricesFor(noPrices, "spinning") }, ...job },
      ),
    )
      .labour.filter(({ faultId }) => !faultId)
      .map(({ minutes }) => minutes);
  const opening = { assemblies: 8, shut: 0, asked: 0, opened: null };
  it("is all of a full service until it is known what stays shut, then what was opened", () => {
    const full = { kind: "service", depth: "full" } as const;
    expect(service({ opening }, full)).toEqual([60]);
    // (8 + 6) / 16 of an hour, and (8 + 2) / 16.
    expect(service({ opening: { ...opening, shut: 2 } }, full)).toEqual([53]);
    expect(service({ opening: { ...opening, opened: 2 } }, full)).toEqual([38]);
  });
  it("of a bill, nothing of a reel that was not opened; of a quote all that is foreseen", () => {
    const complaint = { kind: "repair", intake: { complaints: ["drag-weak"] } } as Partial<QuoteFacts["job"]>;
    expect(service({ opening }, complaint)).toEqual([15, 25]);
    expect(service({ opening, billing: true }, complaint)).toEqual([15]);
    expect(service({ opening: { ...opening, opened: 1 }, billing: true }, complaint)).toEqual([15, 25]);
    expect(service({ opening: { ...opening, asked: 1 } }, complaint)).toEqual([15, 38]);
    expect(service({ opening: null }, complaint)).toEqual([15, 25]);
  });
  it("of an upgrade, the assemblies its new pieces go into, each once", () => {
    const piece = facts().parts[0]!;
    const upgrade = { kind: "upgrade" } as const;
    expect(service({ opening, parts: [] }, upgrade)).toEqual([15]);
    expect(service({ opening, parts: [piece, { ...piece, positionId: "other" }] }, upgrade)).toEqual([15, 25]);
    expect(service({ opening, parts: [piece, { ...piece, positionId: "other", assemblyId: "tail" }] }, upgrade)).toEqual([15, 38]);
  });
  it("is beyond the faults' own work only, all of theirs together", () => {
    const two = { faultIds: ["rough-bearing", "bent-shaft", "not in the book"], opening };
    const complaint = { kind: "repair", intake: { complaints: ["drag-weak", "stiff"] } } as Partial<QuoteFacts["job"]>;
    // Three assemblies are (8 + 3) / 16 of an hour, 41 minutes; 20 and 45 of work on the faults are more.
    expect(service(two, complaint)).toEqual([15]);
    expect(service({ ...two, faultIds: ["rough-bearing"] }, complaint)).toEqual([15, 21]);
  });
});

describe("consent in a quote", () => {
  it("is asked by the limit, and for the call where a part of it was named", () => {
    const { sum } = quoteOf(facts());
    const consent = (limitMinor: number | null, callFor = "") =>
      quoteOf(facts({}, { limitMinor, intake: { complaints: [], callFor } })).consent;
    expect([consent(sum.totalMinor), consent(sum.totalMinor - 1), consent(null)]).toEqual(["within-limit", "ask", "ask"]);
    expect([consent(sum.totalMinor, "head bearing"), consent(sum.totalMinor, "handle")]).toEqual(["call", "within-limit"]);
  });
  it("says why a line of ours costs nothing", () => {
    const cover = (pays: Cover["pays"]): Cover => ({
      pays,
      found: new Set(["rough-bearing"]),
      touched: new Set(),
      renewed: new Set(),
      said: new Map(),
    });
    const words = (pays: Cover["pays"]) => wordsOf(quoteOf(facts({ cover: cover(pays) }, { kind: "comeback" })).parts)[0];
    expect(words("us")).toBe("B-684 (our own work, free)");
    expect(words("open")).toBe("B-684 (not priced until it is clear who pays)");
    expect(words("customer")).toBe("B-684");
    // A piece somebody named by itself is no fault's.
    expect(
      quoteOf(facts({ cover: cover("us"), parts: [{ ...facts().parts[0]!, foreseenBy: null }] }, { kind: "comeback" })).parts[0]!
        .priceMinor,
    ).toBe(850);
  });
});

describe("the bill", () => {
  it("charges the pieces that went in at what was agreed for their seat, a later one at its own price, and none that did not", () => {
    const quote = quoteOf(facts());
    const fitted = [
      { positionId: "head-bearing", partTypeId: "b-684", name: "Bearing", priceMinor: 1200 },
      { positionId: "foot", partTypeId: "f-1", name: "Foot", priceMinor: 300 },
    ];
    expect(piecesAsAgreed(quote, fitted).map(({ priceMinor }) => priceMinor)).toEqual([850, 300]);
    const rates = { ratePerHourMinor: 6000, tax: 2000 };
    expect(billOf(quote, rates, piecesAsAgreed(quote, fitted), null).sum.partsMinor).toBe(1150);
    expect(billOf(quote, rates, [], null).sum).toMatchObject({ partsMinor: 0, minutes: quote.sum.minutes });
    // By the clock where that is less; never more than was quoted.
    expect(billOf(quote, rates, [], 5).sum.labourMinor).toBe(500);
    expect(billOf(quote, rates, [], 5000).sum.labourMinor).toBe(quote.sum.labourMinor);
  });
});

describe("what could be done with a reel", () => {
  it("is nothing, the quote, and the quote with what is better on top, where there is anything better", () => {
    const quote = quoteOf(facts());
    const rates = { ratePerHourMinor: 6000, tax: 2000 };
    expect(optionsOf(quote, rates, []).map(({ totalMinor }) => totalMinor)).toEqual([0, quote.sum.totalMinor]);
    const better = optionsOf(quote, rates, [
      { partTypeId: "c", priceMinor: 1000 },
      { partTypeId: "d", priceMinor: 500 },
    ]);
    // Fifteen more, and a fifth of it tax.
    expect(better.map(({ totalMinor }) => totalMinor - quote.sum.totalMinor)).toEqual([-quote.sum.totalMinor, 0, 1800]);
  });
});

describe("a limit for parts beside the whole", () => {
  it("asks once the pieces with their tax are above it, though the whole is within what was agreed", () => {
    // One piece of 8.50 and a fifth of tax: 10.20.
    const withLimit = (partsLimitMinor: number | null) =>
      quoteOf(facts({}, { limitMinor: 1_000_000, intake: { complaints: [], partsLimitMinor } }));
    expect(withLimit(1020)).toMatchObject({ consent: "within-limit", partsOver: false });
    expect(withLimit(1019)).toMatchObject({ consent: "ask", partsOver: true });
    expect(withLimit(null).consent).toBe("within-limit");
    expect(withoutConsent(withLimit(1019), "EUR")).toMatchObject({
      code: "ask-first",
      words: expect.stringContaining("above the limit for parts"),
    });
  });

  it("counts the pieces less the discount", () => {
    // A tenth off 8.50 is 7.65, with its tax 9.18.
    const rates = { ratePerHourMinor: 6000, tax: 2000, discount: 1000 };
    const at = (partsLimitMinor: number) =>
      quoteOf(facts({}, { rates, limitMinor: 1_000_000, intake: { complaints: [], partsLimitMinor } })).partsOver;
    expect([at(918), at(917)]).toEqual([false, true]);
  });
});

describe("a reel that came to be opened only", () => {
  const opening = (change: Partial<QuoteFacts>, openingLimitMinor: number | null, limitMinor: number | null = null) =>
    quoteOf(
      facts(
        { faultIds: [], parts: [], ...change },
        {
          depth: "opening",
          limitMinor,
          intake: { complaints: ["stiff"], openingLimitMinor },
          // Twenty-five minutes of 60.00 an hour and a fifth of tax: 30.00.
          rates: { ratePerHourMinor: 6000, tax: 2000, prices: pricesFor(noPrices, "lever-drag") },
        },
      ),
    );

  it("may be opened for what that costs in the list, or for what was said; nothing else is agreed by it", () => {
    expect(opening({}, null)).toMatchObject({ consent: "within-limit", openingAgreed: true, sum: { totalMinor: 3000 } });
    expect(opening({}, 3000).consent).toBe("within-limit");
    expect(opening({}, 2999)).toMatchObject({ consent: "ask", openingAgreed: false });
  });

  it("goes on being opened whatever is found, while what that needs is asked for", () => {
    const found = opening({ faultIds: ["bent-shaft"] }, null);
    expect(found.consent).toBe("ask");
    expect([mayOpen(found), mayGoOn(found.consent)]).toEqual([true, false]);
    const no = opening({ faultIds: ["bent-shaft"], answers: [{ accepted: false, totalMinor: 0, words: "", at: "", person: "" }] }, null);
    expect(mayOpen(no)).toBe(false);
  });
});

describe("what is said where nobody said yes", () => {
  const sumOf = () => quoteOf(facts()).sum;
  it.each([
    ["within-limit", null],
    ["agreed", null],
    ["ask", "ask-first"],
    ["call", "call-first"],
    ["refused", "refused"],
  ] as const)("%s", (consent, code) =>
    expect(withoutConsent({ consent, sum: sumOf(), callFor: ["B-684"], partsOver: false }, "EUR")?.code ?? null).toBe(code),
  );

  it("names the parts of the call with the sum as well, and the sum that is asked for", () => {
    const { words } = withoutConsent(
      { consent: "ask", sum: { ...sumOf(), totalMinor: 12_345 }, callFor: ["B-684"], partsOver: false },
      "EUR",
    )!;
    expect(words).toContain("123.45 EUR");
    expect(words).toContain("B-684");
    expect(withoutConsent({ consent: "ask", sum: sumOf(), callFor: [], partsOver: false }, "EUR")!.words).not.toContain("call");
  });
});

describe("what a comeback covers", () => {
  const cover = (change: Partial<Cover> = {}): Cover => ({
    pays: "us",
    found: new Set(),
    touched: new Set(),
    renewed: new Set(),
    said: new Map(),
    ...change,
  });
  it("is a fault found again, or in what we had in our hands: its part, or what it needs", () => {
    expect(coversFault(cover(), rough)).toBe(false);
    expect(coversFault(cover({ found: new Set(["rough-bearing"]) }), rough)).toBe(true);
    expect(coversFault(cover({ touched: new Set(["spool-bearing"]) }), rough)).toBe(true);
    expect(coversFault(cover({ touched: new Set(["main-shaft"]) }), bent)).toBe(true);
    expect(coversFault(cover({ touched: new Set(["spool-bearing"]) }), bent)).toBe(false);
    expect(coversFault(null, rough)).toBe(false);
  });
  it("is a piece we renewed, or one that a fault of ours asks for", () => {
    expect(coversPart(cover(), "head", null)).toBe(false);
    expect(coversPart(cover({ renewed: new Set(["head"]) }), "head", null)).toBe(true);
    expect(coversPart(cover({ found: new Set(["rough-bearing"]) }), "head", rough)).toBe(true);
    expect(coversPart(cover(), "head", rough)).toBe(false);
    expect(coversPart(cover({ renewed: new Set(["head"]), said: new Map([["part head", false]]) }), "head", null)).toBe(false);
    expect(coversPart(cover({ pays: "open" }), "head", null)).toBe(true);
    expect(coversPart(cover({ pays: "customer", renewed: new Set(["head"]) }), "head", null)).toBe(false);
    expect(coversPart(null, "head", rough)).toBe(false);
  });
  it("is free as long as nobody has said that the customer pays, and by line once it is known that we do", () => {
    expect([
      isOurOwnWork({ kind: "comeback" }),
      isOurOwnWork({ kind: "comeback", pays: "open" }),
      isOurOwnWork({ kind: "comeback", pays: "customer" }),
    ]).toEqual([true, true, false]);
    expect(isOurOwnWork({ kind: "repair" })).toBe(false);
    expect([
      isPaidByLine({ kind: "comeback" }),
      isPaidByLine({ kind: "comeback", pays: "open" }),
      isPaidByLine({ kind: "repair" }),
    ]).toEqual([true, false, false]);
  });
});

describe("what the shop adds", () => {
  const withOil = { ratePerHourMinor: 6000, tax: 0, prices: { ...pricesFor(noPrices, "spinning"), consumablesMinor: 350 } };
  const extras = (change: Partial<QuoteFacts>, job: Partial<QuoteFacts["job"]> = {}) =>
    quoteOf(facts(change, { rates: withOil, ...job })).extras.map(({ priceMinor }) => priceMinor);
  it("is oil, grease and cleaner for a reel that is opened, and for no other", () => {
    expect(extras({})).toEqual([350]);
    expect(extras({}, { depth: "light" })).toEqual([]);
    expect(extras({}, { rates: { ...withOil, prices: { ...withOil.prices, consumablesMinor: 0 } } })).toEqual([]);
  });
  it("is none of it where we pay for our own work, its own lines still", () => {
    const cover: Cover = { pays: "us", found: new Set(), touched: new Set(), renewed: new Set(), said: new Map() };
    const lines = [{ id: 4, words: "Postage", priceMinor: 600 }];
    expect(extras({ cover, lines }, { kind: "comeback" })).toEqual([600]);
    expect(extras({ cover: { ...cover, pays: "customer" }, lines }, { kind: "comeback" })).toEqual([350, 600]);
  });
});

describe("who pays less", () => {
  it("by the shop's own shares; whoever is in no class pays all", () => {
    expect(discountOf({ club: 500, trade: 1500, friend: 2500 }, "trade")).toBe(1500);
    expect(discountOf({ club: 500, trade: 1500, friend: 2500 }, "none")).toBe(0);
    expect(discountsSchema.safeParse({ club: 10_001, trade: 0, friend: 0 }).success).toBe(false);
    expect(discountsSchema.safeParse({ club: 10_000, trade: 0, friend: 0 }).success).toBe(true);
  });
});
