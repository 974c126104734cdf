import type { Operation, PartType, Position } from "@/core/anatomy/types";

/** Kinds of tools in the order a bench lays them out, with how sizes are said. */
const kinds = {
  spanner: (sizes: string) => `spanner ${sizes}`,
  blade: (sizes: string) => `blade as wide as the slot, ${sizes}`,
  cross: () => "cross-head",
  hex: () => "hex key",
  cap: () => "cap tool, or a cloth round the cap",
  punch: () => "punch",
  pick: () => "pick for the clips, a finger on each",
  tweezers: () => "tweezers for the springs",
} as const;
type Kind = keyof typeof kinds;

interface Tool {
  readonly kind: Kind;
  /** mm; null where one does for all. */
  readonly sizeMm: number | null;
}

/** A slot is about as long as four fifths of its head. */
const slotOfHead = 0.8;

/** What a part is taken and put by; null where fingers do. Source: common practice. */
function toolFor({ shape }: PartType): Tool | null {
  switch (shape.kind) {
    case "screw":
      return shape.drive === "slot"
        ? { kind: "blade", sizeMm: Math.round(shape.headMm * slotOfHead) }
        : { kind: shape.drive === "cross" ? "cross" : "hex", sizeMm: null };
    case "nut":
      return { kind: "spanner", sizeMm: shape.acrossFlatsMm };
    case "clip":
      return { kind: "pick", sizeMm: null };
    case "pin":
      return { kind: "punch", sizeMm: null };
    case "coil-spring":
    case "wire-spring":
    case "wave-spring":
      return { kind: "tweezers", sizeMm: null };
    case "cap":
      return { kind: "cap", sizeMm: null };
    default:
      return null;
  }
}

/**
 * The tools of a job before it is begun: for what comes off, and those its acts name themselves. @param off seats that come off.
 * @returns tools in words, those of one kind together with their sizes.
 */
export function toolsFor(
  positions: readonly Pick<Position, "id" | "partTypeId">[],
  types: ReadonlyMap<string, PartType>,
  operations: readonly Pick<Operation, "tool" | "positionId">[],
  off: ReadonlySet<string>,
): string[] {
  const wanted = new Map<Kind, Set<number>>();
  for (const { id, partTypeId } of positions) {
    const type = off.has(id) ? types.get(partTypeId) : undefined;
    const tool = type && toolFor(type);
    if (!tool) continue;
    const sizes = wanted.get(tool.kind) ?? new Set();
    if (tool.sizeMm !== null) sizes.add(tool.sizeMm);
    wanted.set(tool.kind, sizes);
  }
  const own = operations.flatMap(({ tool, positionId }) => (tool && positionId !== undefined && off.has(positionId) ? [tool] : []));
  return [
    ...(Object.keys(kinds) as Kind[]).flatMap((kind) => {
      const sizes = wanted.get(kind);
      return sizes ? [kinds[kind](`${[...sizes].sort((a, b) => a - b).join(", ")} mm`)] : [];
    }),
    ...new Set(own),
  ];
}
