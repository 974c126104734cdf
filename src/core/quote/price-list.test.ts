import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { familyIds } from "@/core/vocabulary/families";
import type { JobKind } from "@/core/vocabulary/job-kinds";
import { byTheClock, noPrices, pricesFor, type ServiceOfJob } from "./price-list";
import { quoteSum } from "./quote-sum";
import { serviceLines } from "./service-lines";

const list = {
  ...noPrices,
  fixed: { "lever-drag": { outside: 1200, quick: 3900, assembly: 2900, full: 8900 } },
  smallestMinor: 2000,
  consumablesMinor: 350,
} as const;
const prices = pricesFor(list, "lever-drag");
const job = (change: Partial<ServiceOfJob> = {}): ServiceOfJob => ({
  kind: "service",
  depth: "complaint",
  depthSaid: false,
  complaints: [],
  asked: 0,
  faults: 0,
  ...change,
});
const rates = { ratePerHourMinor: 6000, tax: 0, prices };
const work = (of: ServiceOfJob) => quoteSum(serviceLines(of, prices), [], rates).labourMinor;

describe("the price of a service", () => {
  it.each([
    // Worked by hand from the list above; 15 minutes of intake and tests at 60.00 an hour are 15.00.
    ["an outside service, made up to the smallest charge", job({ depth: "light" }), 2000],
    ["a quick service", job({ depth: "quick" }), 3900],
    ["a full service", job({ depth: "full" }), 8900],
    ["a service that names nothing: the whole reel", job(), 8900],
    ["a service for one complaint", job({ complaints: ["drag-weak"] }), 2900],
    ["the same with another assembly asked for", job({ complaints: ["drag-weak"], asked: 1 }), 5800],
    ["never more than the whole reel", job({ complaints: ["drag-weak"], asked: 5 }), 8900],
    ["a repair that names a complaint and finds nothing", job({ kind: "repair", complaints: ["drag-weak"] }), 1500 + 2900],
    [
      "a repair with a fault: opening costs what is beyond its work of 20 minutes",
      job({ kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes: 20, ratePerHourMinor: 6000 }),
      1500 + 900,
    ],
    ["a full service of which two of eight stayed shut", job({ depth: "full", assemblies: 8, shut: 2 }), 7788],
    ["the same as it was opened", job({ depth: "full", assemblies: 8, opened: 5 }), 7231],
    ["a quick service with an assembly more", job({ depth: "quick", asked: 1 }), 3900 + 2900],
    ["a repair that names nothing, opened at one assembly", job({ kind: "repair", assemblies: 8, opened: 1 }), 1500 + 2900],
    ["the same with so many that the whole reel is cheaper", job({ depth: "quick", asked: 2 }), 8900],
    ["an upgrade whose parts need two assemblies", job({ kind: "upgrade", asked: 2 }), 1500 + 5800],
    ["an upgrade that opens nothing", job({ kind: "upgrade" }), 2000],
    ["a complaint in two places, one of them left shut", job({ complaints: ["stiff"], shut: 1 }), 2900],
    ["a complaint of which nothing was opened", job({ complaints: ["drag-weak"], opened: 0 }), 2000],
    [
      "a fault whose own work costs as much as the opening",
      job({ kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes: 29, ratePerHourMinor: 6000 }),
      2000,
    ],
    [
      "a fault a minute short of that",
      job({ kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes: 28, ratePerHourMinor: 6000 }),
      2000,
    ],
    [
      "what came back and is not our work: a repair like another",
      job({ kind: "comeback", pays: "customer", complaints: ["drag-weak"] }),
      1500 + 2900,
    ],
    ["a look before a purchase, nothing opened: its 25 minutes alone", job({ kind: "purchase-check" }), 2500],
    [
      "a repair that wants a service, two of seven left shut: with its intake no more than the whole reel",
      job({ kind: "repair", complaints: ["service"], assemblies: 7, opened: 5, ratePerHourMinor: 6000 }),
      8900,
    ],
    ["our own work come back", job({ kind: "comeback", complaints: ["drag-weak"] }), 0],
    ["a full service with a fault found: the same, its work on top", job({ depth: "full", faults: 2 }), 8900],
  ] as const)("%s", (_, of, minor) => {
    expect(work(of)).toBe(minor);
  });

  it("does not rise as the reel is opened as far as it was quoted for, of any kind", () => {
    for (const kind of ["service", "repair", "comeback"] as const)
      for (const complaints of [["service"], ["drag-weak"]] as const)
        for (const faults of [0, 2])
          for (let opened = 0; opened <= 7; opened++) {
            const of = { kind, complaints: [...complaints], faults, assemblies: 7, ratePerHourMinor: 6000, pays: "customer" as const };
            expect(work(job({ ...of, opened })), JSON.stringify({ ...of, opened })).toBeLessThanOrEqual(work(job(of)) || 2000);
          }
  });

  it("goes by minutes where the list has no price, and is never nothing but for our own work", () => {
    for (const family of familyIds)
      for (const kind of ["repair", "service", "upgrade", "purchase-check", "comeback"] satisfies JobKind[])
        for (const depth of ["complaint", "quick", "full", "light"] as const) {
          const own = pricesFor(noPrices, family);
          const { labourMinor } = quoteSum(serviceLines(job({ kind, depth, depthSaid: true }), own), [], { ...rates, prices: own });
          expect(labourMinor > 0, `${family} ${kind} ${depth}`).toBe(kind !== "comeback");
        }
  });

  it("is made no cheaper by a fault that is proved, and not as dear as the whole reel while some of it stayed shut", () => {
    const minutes = fc.integer({ min: 1, max: 120 });
    fc.assert(
      fc.property(
        fc.constantFrom<JobKind[]>("repair", "service", "upgrade", "comeback"),
        fc.constantFrom("complaint", "quick", "full" as const),
        fc.constantFrom<ServiceOfJob["complaints"][]>([], ["drag-weak"], ["stiff"], ["drag-weak", "click-weak"]),
        fc.record({
          asked: fc.integer({ min: 0, max: 3 }),
          shut: fc.integer({ min: 0, max: 3 }),
          opened: fc.option(fc.integer({ min: 0, max: 8 })),
        }),
        fc.boolean(),
        fc.array(minutes, { maxLength: 4 }),
        minutes,
        (kind, depth, complaints, opening, fixed, faults, more) => {
          const own = fixed ? prices : pricesFor(noPrices, "lever-drag");
          const total = (found: readonly number[]) => {
            const faultMinutes = found.reduce((sum, one) => sum + one, 0);
            const of = job({
              kind,
              depth,
              complaints,
              ...opening,
              assemblies: 8,
              faults: found.length,
              faultMinutes,
              ratePerHourMinor: 6000,
              pays: "customer",
            });
            const lines = [...serviceLines(of, own), ...found.map((one) => ({ words: "remedy", minutes: one }))];
            return quoteSum(lines, [], { ...rates, prices: own }).labourMinor;
          };
          expect(total([...faults, more])).toBeGreaterThanOrEqual(total(faults));
          const alone = serviceLines(job({ kind, depth, complaints, ...opening, assemblies: 8, pays: "customer" }), own);
          const shut = opening.opened !== null && opening.opened > 0 && opening.opened < 8 && kind !== "upgrade" && depth !== "quick";
          if (shut)
            expect(
              alone.some(({ words }) => words.startsWith("Full service")),
              JSON.stringify(alone),
            ).toBe(false);
        },
      ),
    );
  });

  it("charges consumables and a shop's own lines without discount", () => {
    const sum = quoteSum(serviceLines(job({ depth: "full" }), prices), [], { ...rates, discount: 1000 }, [
      { words: "Oil, grease and cleaner", priceMinor: 350 },
      { words: "Postage", priceMinor: 690 },
    ]);
    expect(sum).toMatchObject({ labourMinor: 8900, extrasMinor: 1040, discountMinor: 890, netMinor: 9050 });
  });

  it("prints a job from before there were price lists as it was", () => {
    expect(serviceLines(job({ depth: "full" }), null)).toEqual([expect.objectContaining({ minutes: 15 })]);
  });
});

describe("work billed by the clock", () => {
  const lines = [
    { words: "Full service", minutes: 60, priceMinor: 6900 },
    { words: "Gear and pinion renewed", minutes: 30 },
    { words: "Intake, tests", minutes: 15 },
  ];
  const minutes = (labour: readonly { minutes: number; priceMinor?: number }[]) =>
    labour.reduce((sum, line) => sum + (line.priceMinor === undefined ? line.minutes : 0), 0);

  it("costs what the stations took, never more than was quoted, and leaves fixed prices alone", () => {
    expect(minutes(byTheClock(lines, 31.6))).toBe(32);
    expect(byTheClock(lines, 31.6)).toContainEqual(lines[0]);
    for (const measured of [45, 80, 0, Number.NaN]) expect(byTheClock(lines, measured)).toEqual(lines);
  });
});

describe("a service priced by its minutes", () => {
  // A spinning reel's usual minutes: outside 10, quick 30, an assembly 25, all of it 60; intake and tests 15 (common practice).
  const timed = pricesFor(noPrices, "spinning");
  const lines = (change: Partial<ServiceOfJob>, of = timed) => serviceLines(job(change), of).map(({ words, minutes }) => [words, minutes]);
  const intake = ["Intake, tests before and after, report", 15];
  const full = ["Full service: apart, cleaned, oiled and greased, checked", 60];
  const one = "One assembly opened, cleaned, oiled and checked";
  const opened = "Cleaning, oiling and checks of what is opened";

  it.each<[string, Partial<ServiceOfJob>, unknown[][]]>([
    ["the outside", { depth: "light" }, [["Outside service: wiped, oiled at its points, tested", 10]]],
    ["only opened", { depth: "opening" }, [["Opened as far as it goes and checked; we ask before doing anything it needs", 25]]],
    ["a ten-minute round", { depth: "round" }, [["Ten-minute round: spool lifted, wiped, oiled at its points, tested", 10]]],
    ["a quick one", { depth: "quick" }, [["Quick service: spool out, cleaned, oiled, tested before and after", 30]]],
    [
      "a quick one and an assembly",
      { depth: "quick", asked: 1 },
      [
        ["Quick service: spool out, cleaned, oiled, tested before and after", 30],
        ["One more assembly opened", 25],
      ],
    ],
    ["a quick one and two: the whole is less", { depth: "quick", asked: 2 }, [full]],
    ["all of it", { depth: "full", assemblies: 8 }, [full]],
    // Half is the reel itself, half goes by what is opened: six of eight are (8 + 6) / 16 of an hour.
    ["all but two of eight", { depth: "full", assemblies: 8, shut: 2 }, [["6 assemblies opened, cleaned, oiled and checked", 53]]],
    ["all, of which one was opened", { depth: "full", assemblies: 8, opened: 1 }, [[one, 25]]],
    ["all, not begun", { depth: "full", assemblies: 8, opened: 0 }, [full]],
    ["one complaint", { complaints: ["drag-weak"] }, [[one, 25]]],
    ["one complaint of which nothing was opened", { complaints: ["drag-weak"], opened: 0 }, [intake]],
    ["one in two places", { complaints: ["stiff"], assemblies: 8 }, [["2 assemblies opened, cleaned, oiled and checked", 38]]],
    ["nothing named, nothing known of its assemblies", {}, [full]],
    ["nothing named, three of eight opened", { assemblies: 8, opened: 3 }, [["3 assemblies opened, cleaned, oiled and checked", 41]]],
    ["nothing named, all of eight opened", { assemblies: 8, opened: 8 }, [full]],
    ["nothing named, one said to stay shut", { assemblies: 8, shut: 1 }, [["7 assemblies opened, cleaned, oiled and checked", 56]]],
    ["a repair of one complaint", { kind: "repair", complaints: ["drag-weak"] }, [intake, [one, 25]]],
    ["a repair that names nothing", { kind: "repair" }, [full]],
    [
      "a repair with a fault of ten minutes",
      { kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes: 10 },
      [intake, [opened, 15]],
    ],
    ["a repair with a fault of as long", { kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes: 25 }, [intake]],
    ["parts alone", { kind: "upgrade", asked: 1 }, [intake, [one, 25]]],
    ["parts that need nothing opened", { kind: "upgrade" }, [intake]],
    ["a look before a purchase", { kind: "purchase-check" }, [["Purchase check: tests, inspection, report", 25]]],
    ["our own work come back", { kind: "comeback", complaints: ["drag-weak"] }, [["Checked again free of charge: our own work", 0]]],
    ["what came back and is not ours", { kind: "comeback", pays: "customer", complaints: ["drag-weak"] }, [intake, [one, 25]]],
  ])("%s", (_, of, expected) => expect(lines(of)).toEqual(expected));

  it("with a fixed price beside it: opening costs what is beyond the fault's work, down to nothing", () => {
    const beyond = (faultMinutes: number) =>
      serviceLines(job({ kind: "repair", complaints: ["drag-weak"], faults: 1, faultMinutes, ratePerHourMinor: 6000 }), prices).slice(1);
    expect(beyond(20)).toEqual([{ words: opened, minutes: 5, priceMinor: 900 }]);
    expect(beyond(28)).toEqual([{ words: opened, minutes: 0, priceMinor: 100 }]);
    expect(beyond(29)).toEqual([]);
  });
});

describe("a job from before prices went by what was opened", () => {
  // Its bill stays as it was agreed: 25 minutes an assembly, 60 for all, 15 for the intake of a repair.
  const before = { ...pricesFor(noPrices, "spinning"), byOpening: false };
  const minutes = (change: Partial<ServiceOfJob>) => serviceLines(job(change), before).map((line) => line.minutes);
  it.each<[string, Partial<ServiceOfJob>, number[]]>([
    ["the outside", { depth: "light" }, [10]],
    ["a quick service, whatever was asked on top", { depth: "quick", asked: 1 }, [30]],
    ["a full service, whatever stayed shut", { depth: "full", assemblies: 8, shut: 4 }, [60]],
    ["a service for one complaint", { complaints: ["drag-weak"] }, [25]],
    ["the same and one asked for", { complaints: ["drag-weak"], asked: 1 }, [50]],
    ["so many that all of it is less", { complaints: ["drag-weak"], asked: 2 }, [60]],
    ["a repair of one complaint", { kind: "repair", complaints: ["drag-weak"] }, [15, 25]],
    ["a repair with a fault: its own work pays for what it opens", { kind: "repair", complaints: ["drag-weak"], faults: 1 }, [15]],
    ["the same with an assembly asked for", { kind: "repair", complaints: ["drag-weak"], faults: 1, asked: 1 }, [15, 25]],
    ["a repair that names nothing", { kind: "repair" }, [60]],
    ["parts alone", { kind: "upgrade", asked: 1 }, [15, 25]],
    ["parts that need nothing opened", { kind: "upgrade" }, [15]],
    ["a look before a purchase", { kind: "purchase-check" }, [25]],
    ["our own work", { kind: "comeback", complaints: ["drag-weak"] }, [0]],
    ["what came back and is not ours", { kind: "comeback", pays: "customer", complaints: ["drag-weak"] }, [15, 25]],
  ])("%s", (_, of, expected) => expect(minutes(of)).toEqual(expected));

  it("by fixed prices, where the list had them", () => {
    const fixed = { ...prices, byOpening: false };
    const price = (change: Partial<ServiceOfJob>) => serviceLines(job(change), fixed).map((line) => line.priceMinor ?? null);
    expect(price({ complaints: ["drag-weak"], asked: 1 })).toEqual([5800]);
    expect(price({ complaints: ["drag-weak"], asked: 3 })).toEqual([8900]);
    expect(price({ kind: "repair", complaints: ["drag-weak"] })).toEqual([null, 2900]);
  });
});
