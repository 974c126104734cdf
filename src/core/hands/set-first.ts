import type { Position } from "@/core/anatomy/types";

/** What is set before the parts of one act come off, each once. */
export const setFirst = (parts: readonly { readonly position: Pick<Position, "setFirst"> }[]): string[] => [
  ...new Set(parts.flatMap(({ position }) => position.setFirst ?? [])),
];
