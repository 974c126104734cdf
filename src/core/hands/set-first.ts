import type { Position } from "@/core/anatomy/types";

/** What is set before the parts of one act come off, each once; a control that is off already is set no more. @param off what lies in the tray. */
export const setFirst = (
  parts: readonly { readonly position: Pick<Position, "setFirst"> }[],
  off: ReadonlySet<string> = new Set(),
): string[] => [
  ...new Set(
    parts.flatMap(({ position }) =>
      position.setFirst.flatMap(({ words, control }) => (control !== undefined && off.has(control) ? [] : [words])),
    ),
  ),
];

/** What is set first, as a person types it: one thing after the other, parted by semicolons. What stood there before keeps its control. */
export const typedSetFirst = (text: string, before: Position["setFirst"]): Position["setFirst"] =>
  text
    .split(";")
    .map((words) => words.trim())
    .filter(Boolean)
    .map((words) => before.find((one) => one.words === words) ?? { words });
