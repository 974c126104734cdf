import { type DragElement, stackFault } from "@/core/drag/capacity";
import { readMeasure } from "@/core/units/read-measure";
import { convert, type UnitOf } from "@/core/units/units";
import { typedMm, typedNumber } from "./figures/typed";
import type { StackRow } from "./stack-table";

/** The drag gauge's fields as they are typed. */
export type DragTyped = Readonly<
  Record<
    | "pitch"
    | "stiffness"
    | "stop"
    | "ratio"
    | "efficiency"
    | "loss"
    | "arbor"
    | "full"
    | "breaking"
    | "leverStiffness"
    | "knobPitch"
    | "knobTurns"
    | "gap",
    string
  >
>;

/** Fields that take a length: millimetres, or inches as typed. */
const lengths: ReadonlySet<string> = new Set(["pitch", "arbor", "full", "knobPitch", "gap"]);

const elementOf = (row: StackRow): DragElement => ({
  member: row.member,
  outsideMm: typedMm(row.outside),
  insideMm: typedMm(row.inside),
  mu: row.mu.trim() === "" ? null : typedNumber(row.mu),
});
/** "0 0; 60 0.4" as points of a cam. */
const pointsOf = (text: string) =>
  text
    .split(";")
    .map((point) => point.trim())
    .filter(Boolean)
    .map((point) => {
      const [degrees, rise] = point.split(/\s+/);
      return { degrees: typedNumber(degrees ?? ""), riseMm: typedMm(rise ?? "") };
    });

/**
 * What the drag gauge's fields say, and what is wrong with each. Ready where all of the drag is sound; the line is no part of it.
 * @param unit of the line's breaking load.
 */
export function readDrag({
  typed,
  rows,
  by,
  cam,
  unit,
}: {
  readonly typed: DragTyped;
  readonly rows: readonly StackRow[];
  readonly by: "star" | "lever";
  readonly cam: string;
  readonly unit: UnitOf<"force">;
}) {
  const value = Object.fromEntries(
    Object.entries(typed).map(([key, text]) => [
      key,
      key === "breaking" ? convert("force", readMeasure(text, "N", unit), "N", unit) : lengths.has(key) ? typedMm(text) : typedNumber(text),
    ]),
  ) as Record<keyof DragTyped, number>;
  const between = (key: keyof DragTyped, low: number, high: number, words: string) =>
    value[key] >= low && value[key] <= high ? undefined : words;
  const errors: Partial<Record<keyof DragTyped, string | undefined>> = {
    pitch: between("pitch", 0.05, 5, "A thread's pitch is 0.05 to 5 mm."),
    stiffness: between("stiffness", 10, 1e6, "How much the stack gives: 10 N/mm or more."),
    stop: between("stop", 0.05, 20, "Turns to the end of the thread, above 0."),
    ratio: between("ratio", 0.2, 20, "A ratio from 0.2 to 20; 1 for a drag on the spool."),
    efficiency: between("efficiency", 0.3, 1, "From 0.3 to 1."),
    loss: between("loss", 0, 2000, "From 0 N·mm up."),
    arbor: between("arbor", 1, 150, "A radius from 1 mm up."),
    full: value.full > value.arbor ? between("full", 1, 200, "A radius from 1 mm up.") : "The full spool is wider than its arbor.",
    breaking: between("breaking", 0.5, 5000, "The line's breaking load in the unit chosen."),
    leverStiffness: by === "lever" ? between("leverStiffness", 1, 1e6, "From 1 N/mm up.") : undefined,
    knobPitch: by === "lever" ? between("knobPitch", 0.05, 5, "A pitch is 0.05 to 5 mm.") : undefined,
    knobTurns: by === "lever" ? between("knobTurns", 0, 20, "From 0 turns up.") : undefined,
    gap: by === "lever" ? between("gap", 0, 10, "From 0 mm up.") : undefined,
  };
  const camPoints = pointsOf(cam);
  const camFault =
    by === "lever" &&
    (camPoints.length < 2 ||
      camPoints.some(
        ({ degrees, riseMm }, i) =>
          !(Number.isFinite(riseMm) && (i === 0 ? Number.isFinite(degrees) : degrees > camPoints[i - 1]!.degrees)),
      ))
      ? "Two points or more, degrees and rise, degrees rising: 0 0; 60 0.4"
      : undefined;
  const elements = rows.map(elementOf);
  const fault = stackFault(elements);
  const { breaking: lineError, ...dragErrors } = errors;
  const ready = !fault && !camFault && !Object.values(dragErrors).some(Boolean) && rows.length > 1;
  return { value, errors, camPoints, camFault, elements, fault, lineError, ready };
}
