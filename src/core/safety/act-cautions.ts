import type { Operation, PartType, Position } from "@/core/anatomy/types";
import { cautionsAt, hazards, pullsLine } from "./cautions";
import { mayBeAsbestos } from "./linings";

interface Taken {
  readonly position: Position;
  readonly type: PartType;
}

/** What is said before parts come off in one act, each once. */
export const stripCautions = (parts: readonly Taken[], electric: boolean): string[] => [
  ...new Set(parts.flatMap(({ position, type }) => cautionsAt({ at: "strip", position, type, electric }))),
];

interface Fitted {
  readonly operation: Operation;
  readonly position: Position | null;
  readonly type: PartType | null;
  /** What goes on it; null where nothing does. */
  readonly product: string | null;
}

/** What is said before the steps of one act, each once. @param warmed oil is warmed into spool bearings here. */
export const buildCautions = (steps: readonly Fitted[], warmed: boolean): string[] => [
  ...new Set(
    steps.flatMap(({ operation, position, type, product }) => [
      ...(operation.caution ? [operation.caution] : []),
      ...(operation.kind === "place" && position && type
        ? cautionsAt({ at: "build", position, type, warmed: warmed && type.role === "spool-bearing" && product !== "nothing" })
        : cautionsAt({ at: "gate", pullsLine: pullsLine(operation.words) })),
    ]),
  ),
];

/** What is said at a remedy that touches a part: today only an old lining, which nobody is to work on before its material is known. */
export const remedyCautions = (partRoles: readonly string[], types: Iterable<PartType>): string[] =>
  [...types].some((type) => partRoles.includes(type.role) && mayBeAsbestos(type)) ? [hazards.lining] : [];
