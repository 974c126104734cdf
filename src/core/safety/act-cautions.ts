import type { Operation, PartType, Position } from "@/core/anatomy/types";
import type { Fault, Remedy } from "@/core/diagnosis/fault";
import { cautionsAt, hazards } from "./cautions";
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
        : cautionsAt({ at: "gate", pullsLine: operation.pullsLine === true })),
    ]),
  ),
];

type Mended = Pick<Fault, "needs" | "remedy">;

/** Whether mending a fault has hands on a lining that may hold asbestos. @param types what sits in this reel's seats. */
const touchesOldLining = ({ needs, remedy }: Mended, types: Iterable<PartType>): boolean =>
  [...types].some((type) => (type.role === needs || remedy.partRoles.includes(type.role)) && mayBeAsbestos(type));

/** What is said at a remedy that touches a part: today only an old lining, which nobody is to work on before its material is known. */
export const remedyCautions = (fault: Mended, types: Iterable<PartType>): string[] =>
  touchesOldLining(fault, types) ? [hazards.lining] : [];

/** A fault's remedy on this reel: what would dress, wash or grease an old lining leaves it alone instead. */
export const remedyOn = (fault: Mended, types: Iterable<PartType>): Remedy =>
  touchesOldLining(fault, types)
    ? {
        ...fault.remedy,
        words:
          "Old lining left dry and as it is; one that no longer holds is replaced by one of proven material, the old one damped and bagged",
      }
    : fault.remedy;
