/** How round line lies on a spool: beside and over each other, or in the gaps of the layer below (Thue, Lagrange). */
export const packings = { square: Math.PI / 4, hexagonal: Math.PI / (2 * Math.sqrt(3)) } as const;
export type Packing = keyof typeof packings;

/** The ring a spool's line fills, mm: diameters and width. */
export interface SpoolRing {
  readonly arborMm: number;
  readonly fullMm: number;
  readonly widthMm: number;
}

/** What is wrong with a ring or a line, in words at its field; null when it can be computed. */
export function lineFault(ring: SpoolRing, lineMm: number): { field: keyof SpoolRing | "lineMm"; message: string } | null {
  if (!(ring.arborMm > 0 && ring.arborMm <= 300)) return { field: "arborMm", message: "The arbor is above 0 mm across." };
  if (!(ring.fullMm > ring.arborMm && ring.fullMm <= 400)) return { field: "fullMm", message: "The full spool is wider than its arbor." };
  if (!(ring.widthMm > 0 && ring.widthMm <= 200)) return { field: "widthMm", message: "The width between the flanges is above 0 mm." };
  if (!(lineMm >= 0.03 && lineMm <= 3)) return { field: "lineMm", message: "A line is 0.03 to 3 mm across." };
  return null;
}

/** Volume between arbor and rim, mm³. */
export const ringVolume = ({ arborMm, fullMm, widthMm }: SpoolRing): number => (Math.PI / 4) * (fullMm ** 2 - arborMm ** 2) * widthMm;

/** Length of line a ring holds, m. */
export const capacityM = (ring: SpoolRing, lineMm: number, packing: Packing): number =>
  (packings[packing] * ringVolume(ring)) / ((Math.PI / 4) * lineMm ** 2) / 1000;

/** Line diameter at which a ring holds so many metres, mm. */
export const diameterForCapacity = (ring: SpoolRing, metres: number, packing: Packing): number =>
  Math.sqrt((packings[packing] * ringVolume(ring)) / ((Math.PI / 4) * metres * 1000));

/** Backing of one line under another so that the spool is full, m of backing. Negative: the main line alone is too much. */
export const backingM = (
  ring: SpoolRing,
  main: { readonly mm: number; readonly metres: number },
  backingMm: number,
  packing: Packing,
): number => ((capacityM(ring, main.mm, packing) - main.metres) * main.mm ** 2) / backingMm ** 2;

/** Diameter the line stands at with some of it gone, mm. */
export const diameterWithLeft = ({ arborMm, fullMm }: SpoolRing, shareLeft: number): number =>
  Math.sqrt(arborMm ** 2 + (fullMm ** 2 - arborMm ** 2) * Math.min(1, Math.max(0, shareLeft)));

/** Usual diameters of nylon by its class, as ranges, mm (common practice; makers differ, braid is about a third). */
export const nylonByBreakingKg: readonly (readonly [kg: number, low: number, high: number])[] = [
  [2, 0.16, 0.2],
  [4, 0.22, 0.26],
  [6, 0.27, 0.32],
  [10, 0.34, 0.42],
  [15, 0.42, 0.52],
  [20, 0.5, 0.6],
  [30, 0.62, 0.74],
];
