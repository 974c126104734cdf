import { editOperation, editPart, editSeat, moveSeat, startDraft } from "@/core/anatomy/draft";
import { settleDraft } from "@/core/anatomy/settle-draft";
import { type Anatomy, operationSchema, type PartType, positionSchema } from "@/core/anatomy/types";
import { familyWith } from "@/core/families/families";
import type { Seat } from "@/core/families/tables/table";
import { type ModelDraft, modelFromTemplate } from "@/core/families/template";
import type { FamilyId } from "@/core/vocabulary/families";

export interface DemoModel extends ModelDraft {
  readonly id: string;
  /** Its part numbers begin with it. */
  readonly prefix: string;
  readonly maker: string;
  readonly name: string;
  readonly family: FamilyId;
  /** Otherwise than its family usually is. */
  readonly built: Readonly<Record<string, string>>;
}

const model = (
  family: FamilyId,
  prefix: string,
  id: string,
  maker: string,
  name: string,
  built: Readonly<Record<string, string>> = {},
): DemoModel => ({
  id,
  prefix,
  maker,
  name,
  family,
  built,
  ...modelFromTemplate(familyWith(family, built), prefix),
});

/** Puts a seat with a part of its own into a machine, after another along its axis. */
function withSeat(made: DemoModel, afterId: string, seat: Seat & { id: string; name: string }, part: PartType | string): DemoModel {
  const after = made.anatomy.positions.find((position) => position.id === afterId)!;
  const partTypeId = typeof part === "string" ? part : part.id;
  const position = positionSchema.parse({ ...seat, assemblyId: after.assemblyId, ordinal: 9999, partTypeId });
  const anatomy: Anatomy = { ...made.anatomy, positions: [...made.anatomy.positions, position] };
  return {
    ...made,
    partTypes: typeof part === "string" ? made.partTypes : [...made.partTypes, part],
    anatomy: moveSeat(startDraft(anatomy), seat.id, after.ordinal + 1).anatomy,
  };
}

const bind = (made: DemoModel, editions: Anatomy["editions"], seats: Readonly<Record<string, readonly string[]>>): DemoModel => ({
  ...made,
  anatomy: {
    ...made.anatomy,
    editions,
    positions: made.anatomy.positions.map((position) => ({ ...position, editions: [...(seats[position.id] ?? position.editions)] })),
  },
});

const oldLining =
  "An old dry lining may hold asbestos: never sand, brush or blow it dry. Damp it, bag it, and dispose of it as local rules say.";

/** A mid-century star drag: dry lining instead of carbon, and a flat bar behind the dog until its maker changed to a coil. */
function dunlin(): DemoModel {
  const made = model("star-drag-bridge", "DN", "dunlin-9", "Marrowby", "Dunlin 9", { "dog-spring": "post" });
  const catalogue = new Map(made.partTypes.map((part) => [part.id, part]));
  let draft = startDraft(made.anatomy);
  for (const [seat, thicknessMm] of [
    ["friction-low", 1.4],
    ["friction-mid", 1.2],
    ["friction-high", 1.2],
  ] as const) {
    const insideMm = seat === "friction-low" ? 10 : 8.6;
    draft = editPart(
      draft,
      seat,
      {
        number: `DN-L${seat === "friction-low" ? 1 : 2}`,
        name: seat === "friction-low" ? "Lining washer, large hole" : "Lining washer",
        material: "old dry lining",
        hazard: oldLining,
        shape: { kind: "friction-washer", outsideMm: 30, insideMm, thicknessMm },
      },
      catalogue,
    );
    draft = editSeat(draft, seat, { caution: oldLining, lubricant: undefined });
  }
  draft = editPart(
    draft,
    "main-gear",
    {
      number: "DN-220",
      name: "Main gear, 42 teeth",
      material: "brass",
      shape: { kind: "gear", teeth: 42, moduleMm: 0.9, boreMm: 8.1, faceMm: 7, cupMm: 31 },
    },
    catalogue,
  );
  draft = editPart(
    draft,
    "pinion",
    { number: "DN-221", name: "Pinion, 18 teeth", shape: { kind: "pinion", teeth: 18, moduleMm: 0.9, boreMm: 5.1, lengthMm: 18 } },
    catalogue,
  );
  draft = editPart(draft, "spool", { number: "DN-130", name: "Spool, chromed brass", material: "chromed brass" }, catalogue);
  const settled = settleDraft(draft, catalogue, 1);
  const used = new Set(settled.anatomy.positions.map((position) => position.partTypeId));
  const plain: DemoModel = {
    ...made,
    anatomy: settled.anatomy,
    partTypes: [...made.partTypes, ...settled.newPartTypes].filter((part) => used.has(part.id)),
  };
  const bar = withSeat(
    plain,
    "dog",
    {
      id: "dog-spring-bar",
      name: "Dog spring, flat bar",
      acrossMm: 20,
      restsOn: ["bridge"],
      orientation: "its end under the dog's tail",
      caution: "The bar snaps out: glasses on, thumb over it.",
      cautionSays: "spring",
      trap: "Bar first, dog over it: the other way round the dog has no spring.",
    },
    {
      id: "dn-214b",
      number: "DN-214B",
      name: "Dog spring, flat bar",
      role: "dog-spring",
      shape: { kind: "tongue", lengthMm: 20, widthMm: 3, thicknessMm: 0.5 },
      material: "spring steel",
      priceMinor: 240,
      flies: true,
    },
  );
  const both = bind(
    { ...bar, anatomy: { ...bar.anatomy, gearPairs: [{ wheel: "main-gear", pinion: "pinion", centreMm: 27.1 }] } },
    [
      { id: "coil", name: "Coil dog spring", fromYear: 1955, toYear: 1968, mark: "a hole for the coil in the dog's tail" },
      { id: "bar", name: "Flat-bar dog spring", fromYear: 1946, toYear: 1954, mark: "a slot in the bridge, no hole in the dog" },
    ],
    { "dog-spring": ["coil"], "dog-spring-bar": ["bar"] },
  );
  // The bar goes in before the dog lies over it; the coil after.
  return {
    ...both,
    anatomy: {
      ...both.anatomy,
      positions: both.anatomy.positions.map((position) =>
        position.id === "dog" ? { ...position, restsOn: [...position.restsOn, "dog-spring-bar"] } : position,
      ),
      operations: both.anatomy.operations.map((operation) =>
        operation.id === "gate-dog" ? { ...operation, after: [...operation.after, "place-dog"] } : operation,
      ),
    },
  };
}

/** The centrepin's procedure goes by the year in its serial: the older hub is pressed and stays whole. */
function lantern(): DemoModel {
  const made = model("centrepin", "LN", "lantern-45", "Ternmouth Tackle Works", "Lantern 4½");
  const pressed = withSeat(
    made,
    "rear-clip",
    {
      id: "pressed-hub",
      name: "Pressed hub",
      inPlace: true,
      orientation: "stays in the drum",
      trap: "Pressed in for good: drawing a bearing ends the hub. Oil it where it sits, or send it on.",
      lubricant: { product: "light oil", amount: "1 drop each side", why: "it cannot be drawn", drops: 2 },
    },
    {
      id: "ln-26",
      number: "LN-26",
      name: "Hub with pressed bearings",
      role: "spool-bearing",
      shape: { kind: "sleeve", outsideMm: 24, boreMm: 8, lengthMm: 30 },
      material: "aluminium and steel",
      priceMinor: 6900,
    },
  );
  const clipHub = [
    "middle-clip",
    "front-bearing",
    "front-clip",
    "outer-sleeve",
    "wave-spring",
    "inner-sleeve",
    "rear-bearing",
    "rear-clip",
  ];
  const bound = bind(
    pressed,
    [
      { id: "clips", name: "Clip hub", fromYear: 1992, mark: "a wire clip on the hub's face" },
      { id: "pressed", name: "Pressed hub", fromYear: 1975, toYear: 1991, mark: "a plain, closed hub" },
    ],
    { ...Object.fromEntries(clipHub.map((seat) => [seat, ["clips"]])), "pressed-hub": ["pressed"] },
  );
  const gate = operationSchema.parse({
    id: "gate-pressed-hub",
    kind: "gate",
    words: "The pressed hub turns true on the spindle, no rattle",
    after: ["place-spindle"],
    before: ["place-drum"],
    editions: ["pressed"],
    lookAt: ["Oil not through yet: turn it a minute", "Bearing pitted: send the hub on"],
  });
  const clips = bound.anatomy.operations.map((operation) =>
    operation.id === "gate-hub" ? { ...operation, editions: ["clips"] } : operation,
  );
  return { ...bound, anatomy: editOperation(startDraft({ ...bound.anatomy, operations: clips }), gate).anatomy };
}

/** One- and two-piece shaft guides differ by one sleeve. */
const breakwater = (): DemoModel =>
  bind(
    withSeat(
      model("spinning-sealed-bail-less", "BW", "breakwater-60", "Ternmouth Tackle Works", "Breakwater 60"),
      "main-shaft",
      {
        id: "guide-sleeve",
        name: "Shaft guide sleeve",
        alongMm: 6,
        restsOn: ["main-shaft"],
        hides: true,
        trap: "It leaves with the shaft and stays behind in the pinion's bore.",
      },
      {
        id: "bw-94",
        number: "BW-94",
        name: "Shaft guide sleeve",
        role: "shaft-guide",
        shape: { kind: "sleeve", outsideMm: 7, boreMm: 5.1, lengthMm: 9 },
        material: "bronze",
        priceMinor: 390,
      },
    ),
    [
      { id: "two-piece", name: "Two-piece guide", fromYear: 2016, mark: "a bronze ring shows behind the rotor" },
      { id: "one-piece", name: "One-piece guide", fromYear: 2009, toYear: 2015, mark: "plain black guide" },
    ],
    { "guide-sleeve": ["two-piece"] },
  );

/** Coloured frames do not give their tail bearing up. */
const cairn = (): DemoModel =>
  bind(
    withSeat(
      model("lever-drag", "CN", "cairn-20", "Hallowick", "Cairn 20"),
      "tail-bearing",
      {
        id: "tail-bearing-fixed",
        name: "Tail bearing, fixed",
        restsOn: ["frame"],
        inPlace: true,
        orientation: "stays in its frame",
        trap: "The coating holds it: drawing it tears the frame. Oil it there and prove that it turns.",
        lubricant: { product: "light oil", amount: "1 drop", why: "in place", drops: 1 },
      },
      "cn-tail-bearing",
    ),
    [
      { id: "plain", name: "Plain frame", mark: "bare or black frame" },
      { id: "coloured", name: "Coloured frame", serialPattern: "C*", mark: "a coloured coating inside the bearing's seat too" },
    ],
    { "tail-bearing": ["plain"], "tail-bearing-fixed": ["coloured"] },
  );

/** The invented models of the library beside the one most of the demo turns about: every family, and every age. */
export const otherModels: readonly DemoModel[] = [
  dunlin(),
  model("fly", "WT", "wagtail-4", "Osier & Fenn", "Wagtail 4"),
  model("star-drag-clutch", "SX", "skerry-40x", "Marrowby", "Skerry 40X"),
  cairn(),
  model("spinning", "PL", "plover-30", "Hallowick", "Plover 30"),
  model("spinning-fluid-sealed", "GD", "godwit-40f", "Hallowick", "Godwit 40F"),
  breakwater(),
  model("baitcaster-low-profile", "RL", "rill-10", "Osier & Fenn", "Rill 10"),
  model("baitcaster-round", "WR", "weir-15", "Osier & Fenn", "Weir 15"),
  model("spincast", "PD", "puddle-5", "Osier & Fenn", "Puddle 5"),
  lantern(),
];
