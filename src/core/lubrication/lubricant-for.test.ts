import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import { type PartType, positionSchema } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { readProductClass, reelProducts } from "@/core/lubrication/products";
import { benchWays, usualWays, type WayId, type Ways, wayIds, wayInForce, waysSchema } from "@/core/ways/ways";
import { lubricantFor, lubricantUse, wayFor } from "./lubricant-for";

const seat = (id: string) => skerry30Anatomy.positions.find((position) => position.id === id)!;
const typeOf = (id: string) => skerry30Parts.find((part) => part.id === seat(id).partTypeId)!;
const shop = (change: Partial<Ways> = {}) => ({ shop: { ...usualWays, ...change } });

/** A part of each place about which practitioners differ. */
const places: Readonly<Partial<Record<WayId, PartType | null>>> = {
  drag: typeOf("friction-mid"),
  leather: { ...typeOf("friction-mid"), material: "leather" },
  worm: families["baitcaster-round"].parts.find(({ role }) => role === "worm") ?? null,
  spoolBearings: typeOf("head-bearing"),
  bearingSeats: families.spinning.parts.find(({ role }) => role === "gear-bearing") ?? null,
  click: typeOf("click-tongue"),
  clutchOil: families.spinning.parts.find(({ role }) => role === "roller-clutch") ?? null,
  brakeDrum: families["baitcaster-low-profile"].parts.find(({ role }) => role === "brake-drum") ?? null,
  bridgeSleeve: typeOf("bridge"),
};
const bare = positionSchema.parse({ id: "p", assemblyId: "a", ordinal: 0, name: "P", partTypeId: "t" });

/** What each way puts at its place. Source: common practice. */
const expected: readonly (readonly [WayId, string, string])[] = [
  ["drag", "greased", "drag grease"],
  ["drag", "dry", "nothing"],
  ["leather", "greased", "drag grease"],
  ["leather", "bare", "nothing"],
  ["worm", "oil", "viscous reel oil"],
  ["worm", "grease", "reel grease"],
  ["spoolBearings", "drop", "light oil"],
  ["spoolBearings", "dry", "nothing"],
  ["spoolBearings", "warm", "light oil"],
  ["bearingSeats", "oiled", "medium oil"],
  ["bearingSeats", "packed", "reel grease"],
  ["click", "greased", "reel grease"],
  ["click", "dry", "nothing"],
  ["clutchOil", "trace", "light oil"],
  ["clutchOil", "generous", "light oil"],
  ["brakeDrum", "dry", "nothing"],
  ["brakeDrum", "wiped", "light oil"],
  ["bridgeSleeve", "grease", "reel grease"],
  ["bridgeSleeve", "oil", "light oil"],
];

describe("where practitioners differ", () => {
  it.each(expected)("%s done %s puts %s there, whoever says so", (way, choice, product) => {
    const type = places[way]!;
    expect(wayFor(type)).toBe(way);
    expect(lubricantFor(bare, type, shop({ [way]: choice }))).toMatchObject({ product, ruledBy: "shop" });
    const other = Object.keys(benchWays[way].choices).find((one) => one !== choice)!;
    expect(lubricantFor(bare, type, { ...shop({ [way]: other }), customer: { [way]: choice } })).toMatchObject({
      product,
      ruledBy: "customer",
    });
    const all = { ...shop({ [way]: other }), customer: { [way]: other }, job: { [way]: choice } };
    expect(lubricantFor(bare, type, all)).toMatchObject({ product, ruledBy: "job" });
  });

  it("has a row for every choice of every way that has a place of its own", () => {
    for (const way of wayIds)
      if (places[way])
        for (const choice of Object.keys(benchWays[way].choices))
          expect(
            expected.some(([s, c]) => s === way && c === choice),
            `${way} ${choice}`,
          ).toBe(true);
    expect(waysSchema.parse(usualWays)).toEqual(usualWays);
  });

  it("lets the nearest word win", () => {
    expect(wayInForce("worm", { ...shop(), customer: { worm: "grease" } })).toEqual({ choice: "grease", by: "customer" });
    expect(wayInForce("worm", { ...shop({ worm: "grease" }), customer: { click: "dry" } })).toEqual({ choice: "grease", by: "shop" });
  });

  it("says what a wish sets aside, and leaves the model its own words where they agree", () => {
    const tongue = seat("click-tongue");
    expect(lubricantFor(tongue, typeOf("click-tongue"), shop())).toMatchObject({ product: "reel grease", ruledBy: "model", overruled: "" });
    expect(lubricantFor(tongue, typeOf("click-tongue"), { ...shop(), customer: { click: "dry" } })).toMatchObject({
      product: "nothing",
      ruledBy: "customer",
      overruled: "reel grease, as the model says",
    });
  });
});

const choices = fc.record(
  Object.fromEntries(wayIds.map((id) => [id, fc.constantFrom(...Object.keys(benchWays[id].choices))])),
) as fc.Arbitrary<Ways>;
const wishes = fc.record({ shop: choices, customer: fc.oneof(fc.constant({}), choices), job: fc.oneof(fc.constant({}), choices) });
const anyPart = fc.constantFrom(...Object.values(families).flatMap(({ parts }) => parts));
const modelSays = fc.option(
  fc.constantFrom("reel grease", "light oil", "car grease", "petroleum jelly", "drag grease", "sewing oil", "nothing"),
  { nil: undefined },
);

describe("what is never done, whatever is wished or written", () => {
  const advice = (type: PartType, says: string | undefined, ways: Parameters<typeof lubricantFor>[2]) =>
    lubricantFor({ ...bare, ...(says ? { lubricant: { product: says, amount: "some", why: "so it was" } } : {}) }, type, ways);

  it("greases no one-way clutch, and nothing goes on the sleeve it grips", () => {
    fc.assert(
      fc.property(
        anyPart.filter(({ role }) => /clutch$|clutch-sleeve/.test(role)),
        modelSays,
        wishes,
        (type, says, ways) => {
          if (type.role === "roller-clutch") expect(advice(type, says, ways)!.product).not.toMatch(/grease/);
          if (type.role === "clutch-sleeve") expect(advice(type, says, ways)!.product).toBe("nothing");
        },
      ),
    );
  });

  it("puts nothing on an old dry lining, and says not to sand, brush or blow it", () => {
    fc.assert(
      fc.property(anyPart, modelSays, wishes, (type, says, ways) => {
        const told = advice({ ...type, material: "old dry lining" }, says, ways)!;
        expect(told).toMatchObject({ product: "nothing", ruledBy: "safety" });
        expect(told.why).toContain("do not sand, brush or blow");
        if (says && says !== "nothing" && !("drag" in ways.job) && !("drag" in ways.customer)) expect(told.overruled).not.toBe("");
      }),
    );
  });

  it("puts nothing into a sealed bearing", () => {
    fc.assert(
      fc.property(anyPart, modelSays, wishes, (type, says, ways) => {
        if (type.shape.kind !== "bearing") return;
        const sealed: PartType = { ...type, shape: { ...type.shape, closure: "sealed" } };
        expect(advice(sealed, says, ways)).toMatchObject({ product: "nothing", ruledBy: "part" });
      }),
    );
  });

  it("takes only products made for reels", () => {
    fc.assert(
      fc.property(anyPart, modelSays, wishes, (type, says, ways) => {
        const told = advice(type, says, ways);
        if (told) expect(reelProducts).toContain(told.product);
        if (says === "petroleum jelly" && told?.ruledBy === "safety" && type.material !== "old dry lining")
          expect(told.overruled).toContain("petroleum jelly");
      }),
    );
  });
});

describe("what a build uses", () => {
  it("counts drops of oils and dabs of greases by product, and nothing for nothing", () => {
    const of = (id: string) => lubricantFor(seat(id), typeOf(id), shop());
    const uses = lubricantUse(["head-bearing", "tail-bearing", "friction-mid", "friction-high", "keyed-low"].map(of));
    expect(uses).toEqual([
      { product: "light oil", drops: 2, dabs: 0 },
      { product: "drag grease", drops: 0, dabs: 2 },
    ]);
    expect(lubricantUse([of("keyed-low"), null])).toEqual([]);
  });

  it("knows every product the families write down", () => {
    for (const { anatomy } of Object.values(families))
      for (const { id, lubricant } of anatomy.positions) if (lubricant) expect(reelProducts, id).toContain(lubricant.product);
  });
});

describe("what is said beside the product", () => {
  const model = (product: string) => ({ ...bare, lubricant: { product, amount: "as drawn", why: "the model's" } });
  const sealed: PartType = {
    ...typeOf("head-bearing"),
    shape: { ...typeOf("head-bearing").shape, closure: "sealed" } as PartType["shape"],
  };

  it("is the weave's film on woven carbon alone; any other lining gets a thin film, wiped off (common practice)", () => {
    const lining = typeOf("friction-mid");
    const greased = (material: string) => lubricantFor(bare, { ...lining, material }, shop({ drag: "greased" }))!.amount;
    expect(greased("carbon")).toMatch(/weave/);
    expect(greased("PTFE")).toBe("a thin film, wiped off");
    expect(lubricantFor(bare, { ...lining, material: "carbon" }, shop({ drag: "dry" }))!.amount).toBe("clean and dry");
    expect(lubricantFor(bare, { ...lining, material: "leather" }, shop({ leather: "greased" }))!.amount).toMatch(/worked in/);
  });

  it("is the model's own amount where shop and model agree in kind, the shop's for linings, and a wish over both", () => {
    const seatBearing = families.spinning.parts.find(({ role }) => role === "gear-bearing")!;
    const oiled = shop({ bearingSeats: "oiled" });
    expect(lubricantFor(model("light oil"), seatBearing, oiled)).toMatchObject({
      product: "light oil",
      amount: "as drawn",
      ruledBy: "model",
    });
    expect(lubricantFor(model("reel grease"), seatBearing, oiled)).toMatchObject({
      product: "medium oil",
      ruledBy: "shop",
      overruled: "reel grease, as the model says",
    });
    expect(lubricantFor(model("light oil"), seatBearing, { ...oiled, customer: { bearingSeats: "oiled" } })).toMatchObject({
      product: "medium oil",
      ruledBy: "customer",
      overruled: "",
    });
    expect(lubricantFor(model("drag grease"), typeOf("friction-mid"), shop({ drag: "greased" }))).toMatchObject({ ruledBy: "shop" });
    expect(
      lubricantFor(model("reel grease"), { ...typeOf("friction-mid"), material: "leather" }, shop({ leather: "greased" })),
    ).toMatchObject({
      ruledBy: "shop",
    });
    // What no reel should have is never the model's say, whatever kind it is of.
    expect(lubricantFor(model("car grease"), seatBearing, shop({ bearingSeats: "packed" }))).toMatchObject({ ruledBy: "shop" });
  });

  it("is why nothing goes into a sealed bearing where somebody wished or wrote it, and nothing where nobody did", () => {
    const quiet = shop({ spoolBearings: "dry" });
    expect(lubricantFor(bare, sealed, quiet)!.overruled).toBe("");
    expect(lubricantFor(model("light oil"), sealed, quiet)!.overruled).toMatch(/^light oil: /);
    expect(lubricantFor(model("nothing"), sealed, quiet)!.overruled).toBe("");
    expect(lubricantFor(model("nothing"), sealed, { ...quiet, customer: { spoolBearings: "drop" } })!.overruled).toMatch(/^light oil: /);
    expect(lubricantFor(bare, sealed, shop({ sealedBearings: "oil" }))!.overruled).toMatch(/the seals seldom seal again/);
  });

  it("is what stands in for a product of another trade, by its kind", () => {
    const plain = { ...typeOf("head-bearing"), role: "plain", shape: { kind: "washer" } } as unknown as PartType;
    const instead = (product: string) => lubricantFor(model(product), plain, shop())!;
    expect(instead("car grease")).toMatchObject({
      product: "reel grease",
      ruledBy: "safety",
      overruled: "car grease: only products made for reels",
    });
    expect(instead("sewing machine oil")).toMatchObject({ product: "light oil", ruledBy: "safety" });
    expect(instead("reel grease")).toMatchObject({ product: "reel grease", ruledBy: "model", overruled: "", amount: "as drawn" });
    expect(lubricantFor(bare, plain, shop())).toBeNull();
  });

  it("is counted in drops, one where nobody says how many", () => {
    const one = { product: "light oil", amount: "", why: "", ruledBy: "model", overruled: "" } as const;
    expect(lubricantUse([one, { ...one, drops: 3 }, { ...one, product: "nothing" }])).toEqual([
      { product: "light oil", drops: 4, dabs: 0 },
    ]);
  });
});

describe("a ceramic bearing", () => {
  const ceramic = { ...typeOf("head-bearing"), material: "stainless, ceramic balls" };

  it("asks for no oil by the model's word or the shop's, and takes a drop where this job or its customer wants one", () => {
    expect(lubricantFor(seat("head-bearing"), ceramic, shop())).toMatchObject({ product: "nothing", ruledBy: "part" });
    expect(lubricantFor(seat("head-bearing"), ceramic, shop({ spoolBearings: "drop" }))).toMatchObject({ product: "nothing" });
    expect(lubricantFor(seat("head-bearing"), ceramic, { ...shop(), customer: { spoolBearings: "drop" } })).toMatchObject({
      product: "light oil",
      ruledBy: "customer",
    });
    expect(lubricantFor(seat("head-bearing"), typeOf("head-bearing"), shop())).toMatchObject({ product: "light oil" });
  });
});

it("thread-lock goes only where it was: no build counts it by itself, and the step says so", () => {
  const lock = { product: "thread-lock", amount: "", why: "", drops: 1, ruledBy: "model", overruled: "" } as const;
  expect(lubricantUse([lock])).toEqual([]);
  const locked = Object.values(families)
    .flatMap(({ anatomy }) => anatomy.positions)
    .filter(({ lubricant }) => lubricant?.product === "thread-lock");
  expect(locked.length).toBeGreaterThan(0);
  for (const { lubricant } of locked) expect(lubricant!.amount).toContain("only where it was");
});

describe("what kind of thing a product is", () => {
  it.each([
    ["nothing inside", "nothing"],
    ["Nothing", "nothing"],
    ["petroleum jelly", "grease"],
    ["mutton fat", "grease"],
    ["Car Grease", "grease"],
    ["sewing machine oil", "oil"],
    ["ferrofluid", "fluid"],
    ["oil, nothing else", "oil"],
  ] as const)("%s: %s", (words, kind) => expect(readProductClass(words)).toBe(kind));
});
