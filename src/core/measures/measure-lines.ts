import { changeOf, type Figure, figureWords, type MeasureKind, measureKinds } from "./taken";

export interface NamedMeasure extends Figure {
  readonly kind: MeasureKind | "gauge";
  readonly phase: "before" | "after";
  /** Null where it is of the reel as a whole. */
  readonly positionId: string | null;
  /** A length's own name, a gauge's figure. */
  readonly name: string;
  readonly unit: string;
  readonly says: string;
}

/** What a measure is a measure of: side play; wear, anti-reverse dog; a length by its own name. */
export function seriesName(
  { kind, positionId, name }: Pick<NamedMeasure, "kind" | "positionId" | "name">,
  seatName: (id: string) => string,
): string {
  const words = kind === "gauge" || kind === "length" ? name : measureKinds[kind].name;
  return positionId === null ? words : `${words}, ${seatName(positionId)}`;
}

/** One visit's measures as lines of its report: before and after of one thing stand together, and a change only where it is sure. */
export function measureLines(measures: readonly NamedMeasure[], seatName: (id: string) => string): string[] {
  const names = [...new Set(measures.map((one) => seriesName(one, seatName)))];
  return names.map((name) => {
    const of = (phase: "before" | "after") => measures.findLast((one) => one.phase === phase && seriesName(one, seatName) === name);
    const [before, after] = [of("before"), of("after")];
    const say = (one: NamedMeasure) => `${figureWords(one)}${one.says && `, ${one.says}`}`;
    if (!before || !after) return `${name}: ${say((after ?? before)!)}.`;
    const { says } = changeOf(before, after);
    return `${name}: ${say(before)} before, ${say(after)} after${says === "no difference" ? "" : ` (${says})`}.`;
  });
}
