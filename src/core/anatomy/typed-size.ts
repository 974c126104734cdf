import { fail, ok, type Result } from "@/core/result";
import { mmPerInch } from "@/core/units/units";
import { type PartShape, sizeWords } from "./shapes";

/** Measures of a shape in the order a bench says them, each with how far a piece may be off it, mm. Rules of thumb (common practice). */
const measures: { readonly [kind: string]: readonly (readonly [key: string, offMm: number])[] } = {
  bearing: [
    ["boreMm", 0.1],
    ["outsideMm", 0.1],
    ["widthMm", 0.1],
  ],
  screw: [
    ["threadMm", 0.1],
    ["lengthMm", 0.4],
  ],
  nut: [
    ["acrossFlatsMm", 0.2],
    ["boreMm", 0.1],
    ["heightMm", 0.5],
  ],
  pin: [
    ["diameterMm", 0.1],
    ["lengthMm", 0.4],
  ],
  "o-ring": [
    ["outsideMm", 0.5],
    ["sectionMm", 0.15],
  ],
  sleeve: [
    ["outsideMm", 0.1],
    ["boreMm", 0.1],
    ["lengthMm", 0.2],
  ],
};
const washer = [
  ["outsideMm", 0.4],
  ["insideMm", 0.3],
  ["thicknessMm", 0.15],
] as const;

const washerKinds: ReadonlySet<PartShape["kind"]> = new Set(["washer", "keyed-washer", "eared-washer", "friction-washer", "cupped-washer"]);
const measuresOf = (shape: PartShape) => (washerKinds.has(shape.kind) ? washer : (measures[shape.kind] ?? []));

/** What is typed for a piece of a shape, as a hint; null where a size has to be told in words. */
export const sizeHint = (shape: PartShape): string | null => {
  const keys = measuresOf(shape);
  return keys.length
    ? keys
        .map(([key]) =>
          key
            .replace(/Mm$/, "")
            .replace(/([A-Z])/g, " $1")
            .toLowerCase(),
        )
        .join(" × ")
    : null;
};

const numbersOf = (shape: PartShape): string =>
  measuresOf(shape)
    .map(([key]) => String((shape as unknown as Record<string, number>)[key]))
    .join(" x ");

/** Inches as typed, "3/16" or "0.196", with or without their sign. */
function inchesOf(text: string): number {
  const bare = text.replace(/\s*(?:in|"|″)$/i, "").replace(",", ".");
  const [over, under] = bare.split("/");
  return under === undefined ? Number(over) : Number(over) / Number(under);
}

/** Whether a piece of one shape goes where one of the other does, by its measures: the same kind, and none off by more than a bench allows. */
export function isSameSize(shape: PartShape, seat: PartShape): boolean {
  const keys = measuresOf(seat);
  if (shape.kind !== seat.kind || !keys.length) return false;
  const [a, b] = [shape, seat] as unknown as [Record<string, number>, Record<string, number>];
  return keys.every(([key, mm]) => Math.abs(a[key]! - b[key]!) <= mm + 1e-9);
}

export interface TypedSize {
  readonly shape: PartShape;
  /** A size of a part that has no measures of its own kind here, as typed; else empty. */
  readonly said: string;
  /** What of it does not go with the seat; empty when all of it does. */
  readonly unlike: string;
}

/**
 * A piece's size as typed, "5 x 11 x 4" or "3/16 x 1/2 x 0.196 in", beside what the seat takes. An empty text is the seat's own size; of a part
 * that has no measures of its own kind the text is kept as it was typed.
 * @returns the shape with the typed measures, and what does not fit in words. @throws nothing: what cannot be read is an error result.
 */
export function typedSize(text: string, seat: PartShape): Result<TypedSize> {
  const typed = text.trim();
  if (!typed) return ok({ shape: seat, said: "", unlike: "" });
  const keys = measuresOf(seat);
  if (!keys.length) return ok({ shape: seat, said: typed, unlike: "" });
  const inches = /(?:in|"|″)$/i.test(typed);
  const numbers = inches
    ? typed.split(/\s*[x×*]\s*/i).map((part) => inchesOf(part) * mmPerInch)
    : typed
        .replace(/^M/i, "")
        .split(/\s*[x×*/]\s*/i)
        .map((part) => Number(part.replace(",", ".").replace(/\s*mm$/i, "")));
  if (numbers.length !== keys.length || numbers.some((number) => !(number > 0 && number < 500)))
    return fail("size", `Type it as ${sizeHint(seat)}, such as ${numbersOf(seat)}; or leave it empty.`);
  const shape = { ...seat, ...Object.fromEntries(keys.map(([key], i) => [key, numbers[i]!])) } as PartShape;
  const off = keys.some(([key, mm], i) => Math.abs((seat as unknown as Record<string, number>)[key]! - numbers[i]!) > mm + 1e-9);
  return ok({ shape, said: "", unlike: off ? `It is ${sizeWords(shape)}; the seat takes ${sizeWords(seat)}.` : "" });
}
