import type { z } from "zod";
import type { Edition } from "@/core/anatomy/edition";
import type { GearPair, operationSchema, PartType, positionSchema } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";

export type Seat = Omit<z.input<typeof positionSchema>, "id" | "assemblyId" | "ordinal" | "name" | "partTypeId">;
export type SeatRow = readonly [id: string, name: string, part: string, seat?: Seat];
export type PartRow = readonly [
  id: string,
  number: string,
  name: string,
  role: string,
  shape: PartType["shape"],
  material: string,
  priceMinor: number,
];

export type AssemblyRow = readonly [
  id: string,
  name: string,
  side: "handle" | "tail" | "frame",
  /** The part its others ride on while it is not serviced itself; whether it stays together unless asked for. */
  more?: {
    readonly carrier?: string;
    readonly freedBy?: readonly string[];
    /** What has to be out before any of its seats is reached. */
    readonly shutBy?: readonly string[];
    readonly stays?: true;
    readonly quick?: true;
  },
];

export interface TemplateTable {
  readonly family: FamilyId;
  readonly lineRadiusMm: number;
  /** Outermost first: the order a full strip takes them in. */
  readonly assemblies: readonly AssemblyRow[];
  readonly parts: readonly PartRow[];
  /** For each assembly its seats from the base up. */
  readonly seats: Readonly<Record<string, readonly SeatRow[]>>;
  readonly operations: readonly z.input<typeof operationSchema>[];
  readonly editions?: readonly Edition[];
  readonly gearPairs?: readonly GearPair[];
  /** What hands take off and fit as one, beside the rings of screws and the stacks that are told by themselves. */
  readonly batches?: readonly (readonly [id: string, name: string, ...seats: string[]])[];
  readonly variants?: readonly Variant[];
  /** Whole skeletons of the family, the table itself the usual one: what is joined where differs so much that each has joints of its own. */
  readonly frames?: Frames;
}

/** The skeletons of a family as one choice, the usual one first: that is the table they stand in. */
export interface Frames {
  readonly id: string;
  readonly name: string;
  readonly choices: readonly [Frame, ...Frame[]];
}

interface Frame {
  readonly id: string;
  readonly name: string;
  /** Left out for the table they stand in. */
  readonly table?: TemplateTable;
}

/** What a way of building changes in its family's table. */
export interface TableChange {
  /** Added, or put in the place of the part of the same id. */
  readonly parts?: readonly PartRow[];
  /** Assemblies that others of the family lack, each after another. */
  readonly assemblies?: readonly { readonly after: string; readonly row: AssemblyRow }[];
  /** Seats put in after another of their assembly, or moved there; null for the first place of the assembly that is named. */
  readonly put?: readonly { readonly after: string | null; readonly assembly: string; readonly row: SeatRow }[];
  /** Seats that stand elsewhere along their assembly's axis, each after another; done once all others are in. */
  readonly move?: readonly { readonly seat: string; readonly after: string }[];
  /** What is otherwise of a seat; its name and its part where those are. */
  readonly reseat?: Readonly<Record<string, Seat & { readonly name?: string; readonly part?: string }>>;
  /** Seats that are not there; nothing rests on them or waits for them any more. */
  readonly drop?: readonly string[];
  /** Added, or put in the place of the operation of the same id. */
  readonly operations?: readonly z.input<typeof operationSchema>[];
  /** What has to be off before the carrier of an assembly can leave. */
  readonly freedBy?: Readonly<Record<string, readonly string[]>>;
  /** Operations that are not done here; nothing waits for them any more. */
  readonly omit?: readonly string[];
  readonly batches?: NonNullable<TemplateTable["batches"]>;
}

export interface VariantChoice {
  readonly id: string;
  readonly name: string;
  /** Left out for the way the table has it. */
  readonly change?: TableChange;
}

/** One thing in which reels of a family differ, the usual way first. Source: common practice. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly choices: readonly [VariantChoice, ...VariantChoice[]];
}
