import { serialRuleSchema } from "@/core/anatomy/serial";
import { interchangeSetSchema } from "@/core/interchange/interchange";
import { kitSchema } from "@/core/interchange/kit";
import { type MakerRule, saveSerialRules } from "@/data/catalogue/editions";
import { saveInterchangeSet, saveKit } from "@/data/catalogue/interchange";
import { addPartType, setPartFacts } from "@/data/catalogue/part-types";
import { ensureReel } from "@/data/customers/reels";
import type { Context } from "@/data/database/context";
import { scrapReel } from "@/data/parts/donors";
import { setBin } from "@/data/parts/stock";
import { setOffer } from "@/data/parts/suppliers";
import { skerry30Parts } from "../models/skerry-30";

const rule = (modelId: string | null, pattern: string, fromYear: number, toYear: number, more: object = {}): MakerRule => ({
  ...serialRuleSchema.parse({ pattern, fromYear, toYear, ...more }),
  modelId,
});

/** What the shop knows of its models beside their machines: how serials were written, what goes in place of what, and what a scrapped reel gave. */
export function fillLibrary(ctx: Context, ownerId: number): void {
  saveSerialRules(ctx, "Marrowby", [
    rule("dunlin-9", "{L}####", 1946, 1968, { letterYear: 1946, lettersLeftOut: "IO", note: "a letter for the year, without I and O" }),
    rule("skerry-30", "MS30 *", 1996, 2026, { note: "numbered through, no year in it" }),
    rule(null, "M{YY}*", 1970, 2026, { note: "the two digits after the M are the year" }),
  ]);
  saveSerialRules(ctx, "Ternmouth Tackle Works", [
    rule("lantern-45", "T{YY}/####", 1975, 2030, { note: "the year before the stroke" }),
    rule("breakwater-60", "{YYYY}-#####", 2009, 2030),
  ]);
  saveSerialRules(ctx, "Hallowick", [rule("cairn-20", "C####", 2004, 2026, { edition: "coloured", note: "a C for a coloured frame" })]);

  for (const set of [
    {
      id: "skerry-drag-washers",
      name: "Drag washers of the Skerry series",
      roles: ["friction-washer", "friction-washer-low", "keyed-washer", "eared-washer"],
      mark: "31 mm across, weave on both faces",
      members: [
        { modelId: "skerry-30", grade: "drop-in" },
        { modelId: "skerry-40x", grade: "drop-in" },
      ],
      exclusions: [{ modelId: "dunlin-9", why: "its cup is 31 mm with a lip: 30 mm washers only" }],
    },
    {
      id: "small-bridges",
      name: "Bridges of the smaller Marrowbys",
      roles: ["bridge"],
      mark: "29 cast into the tail",
      members: [
        { modelId: "skerry-30", grade: "drop-in" },
        { modelId: "dunlin-9", grade: "fits-with-note", note: "no slot for a flat-bar spring on the newer one" },
      ],
      exclusions: [{ modelId: "skerry-40x", why: "its post carries the clutch collar and is longer" }],
    },
    {
      id: "osier-spool-bearings",
      name: "Spool bearings, Osier & Fenn casters",
      roles: ["spool-bearing"],
      members: [
        { modelId: "rill-10", grade: "drop-in" },
        { modelId: "weir-15", grade: "drop-in" },
      ],
    },
  ])
    saveInterchangeSet(ctx, interchangeSetSchema.parse(set));

  const own = (id: string) => skerry30Parts.find((part) => part.id === id)!;
  // A carbon stack for the old Dunlin is thinner than its lining: a longer ferrule makes up for it, and comes with it.
  const carbon = [
    {
      ...own("sk-friction-low"),
      id: "dn-c1",
      number: "DN-C1",
      name: "Carbon washer, large hole",
      shape: { kind: "friction-washer", outsideMm: 30, insideMm: 10, thicknessMm: 0.9 },
    },
    {
      ...own("sk-friction"),
      id: "dn-c2",
      number: "DN-C2",
      name: "Carbon washer",
      shape: { kind: "friction-washer", outsideMm: 30, insideMm: 8.6, thicknessMm: 0.9 },
    },
    {
      ...own("sk-ferrule"),
      id: "dn-c3",
      number: "DN-C3",
      name: "Stack ferrule, longer",
      shape: { kind: "sleeve", outsideMm: 12, boreMm: 8.2, lengthMm: 7.1 },
    },
  ] as const;
  for (const part of carbon) {
    addPartType(ctx, part);
    setOffer(ctx, { supplierId: "fellgate", partTypeId: part.id, priceMinor: Math.round(part.priceMinor * 0.7) });
    setBin(ctx, part.id, `K${part.number.slice(-1)}`, 4, 2);
  }
  saveKit(
    ctx,
    kitSchema.parse({
      id: "dunlin-carbon",
      modelId: "dunlin-9",
      name: "Carbon in place of the old lining",
      seats: [
        { positionId: "friction-low", partTypeId: "dn-c1" },
        { positionId: "friction-mid", partTypeId: "dn-c2" },
        { positionId: "friction-high", partTypeId: "dn-c2" },
        { positionId: "ferrule", partTypeId: "dn-c3" },
      ],
      note: "The ferrule makes up for the thinner stack: all four or none.",
      caution: "The old lining that comes out may hold asbestos: damp it, bag it, as local rules say.",
    }),
  );

  addPartType(ctx, { ...own("sk-dog"), id: "sk-213a", number: "SK-213A", name: "Anti-reverse dog, hardened nose", priceMinor: 560 });
  setOffer(ctx, { supplierId: "quayside", partTypeId: "sk-213a", priceMinor: 390 });
  setPartFacts(ctx, "sk-dog", { priceMinor: own("sk-dog").priceMinor, supersededBy: "SK-213A", hazard: null });

  const donor = ensureReel(ctx, { modelId: "skerry-30", serial: "MS30 09901", hand: "right", ownerId });
  scrapReel(ctx, donor, {
    drawer: "D1",
    pieces: [
      ...(["main-gear", "handle", "click-gear", "head-plate"] as const).map((positionId) => ({ positionId, condition: "good" as const })),
      { positionId: "spool", condition: "worn" },
    ],
  });
}
