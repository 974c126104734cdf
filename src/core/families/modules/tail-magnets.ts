import type { PartRow, SeatRow, TableChange, VariantChoice } from "../tables/table";

const parts: readonly PartRow[] = [
  ["magnet", "290", "Brake magnet", "magnet", { kind: "magnet", lengthMm: 6, widthMm: 5, thicknessMm: 2 }, "magnet", 260],
  ["magnet-dial", "291", "Magnet dial", "magnet-dial", { kind: "cap", outsideMm: 17, heightMm: 4 }, "plastic", 420],
];
const magnet: SeatRow = [
  "brake-magnet",
  "Brake magnet",
  "magnet",
  {
    acrossMm: 6,
    restsOn: ["tail-plate"],
    caution: "Strong magnet: keep from medical implants as their makers say; it pulls small screws.",
    cautionSays: "magnet",
  },
];
const dial: SeatRow = [
  "magnet-dial",
  "Magnet dial",
  "magnet-dial",
  { acrossMm: 6, restsOn: ["brake-magnet"], orientation: "as found: note the number", asFound: true },
];

/** A cast brake of magnets and a dial in the tail plate. @param operations the spin as it is felt with a dial. */
export const tailMagnets = (name: string, operations: NonNullable<TableChange["operations"]> = []): VariantChoice => ({
  id: "magnets",
  name,
  change: {
    parts,
    put: [
      { after: "tail-plate", assembly: "tail", row: magnet },
      { after: "brake-magnet", assembly: "tail", row: dial },
    ],
    operations,
  },
});
