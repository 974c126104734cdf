import type { PartRow, SeatRow, TableChange, TemplateTable, Variant } from "../tables/table";

/** One way an assembly kind is built, knowing itself: its pieces, how they sit, what is done and felt around them. */
export interface ModuleBuild {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly PartRow[];
  /** From its joint outwards. */
  readonly seats: readonly SeatRow[];
  readonly operations: TemplateTable["operations"];
  /** What hands take off and fit as one. */
  readonly batches: NonNullable<TemplateTable["batches"]>;
}

/** An assembly kind with the ways it is built; a family's frame takes one as its usual, the others are chosen. */
export interface Module {
  readonly id: string;
  readonly name: string;
  readonly builds: readonly [ModuleBuild, ...ModuleBuild[]];
}

/** The module in some of its builds, the usual one first. @throws Error for a build it has not: only a programmer can cause that. */
export function builtAs(module: Module, usual: string, ...others: string[]): Module {
  const build = (id: string) => {
    const found = module.builds.find((one) => one.id === id);
    if (!found) throw new Error(`builtAs: ${module.id} is never built ${id}`);
    return found;
  };
  return { ...module, builds: [build(usual), ...others.map(build)] };
}

/** Where a module sits in a frame. */
export interface Joint {
  readonly assembly: string;
  /** The seat its first piece stands after; null for the first place of its assembly. */
  readonly after: string | null;
  /** The seat that rests on its last piece. */
  readonly carries?: string;
  /** The assembly whose carrier comes off once this module is off, where the frame says so. */
  readonly frees?: string;
}

const changeTo = (usual: ModuleBuild, build: ModuleBuild, { assembly, after, carries, frees }: Joint): TableChange => {
  const [seats, acts] = [build.seats.map(([id]) => id), build.operations.map(({ id }) => id)];
  return {
    parts: build.parts,
    freedBy: frees ? { [frees]: seats } : {},
    drop: usual.seats.map(([id]) => id).filter((id) => !seats.includes(id)),
    reseat: carries ? { [carries]: { restsOn: seats.slice(-1) } } : {},
    put: build.seats.map((row, i) => ({ after: i ? seats[i - 1]! : after, assembly, row })),
    omit: usual.operations.map(({ id }) => id).filter((id) => !acts.includes(id)),
    operations: build.operations,
    batches: build.batches,
  };
};

/** A module as a choice of its family. */
export function variantOf(module: Module, joint: Joint): Variant {
  const [usual, ...others] = module.builds;
  return {
    id: module.id,
    name: module.name,
    choices: [
      { id: usual.id, name: usual.name },
      ...others.map((build) => ({ id: build.id, name: build.name, change: changeTo(usual, build, joint) })),
    ],
  };
}
