import { z } from "zod";
import { identifier } from "@/core/anatomy/identifier";

/** How well a part of one place goes into another, best first. */
export const grades = ["same-number", "drop-in", "fits-with-note", "cut-to-size", "donor-only"] as const;
export type Grade = (typeof grades)[number];
export const gradeWords: Record<Grade, string> = {
  "same-number": "same number",
  "drop-in": "drops in",
  "fits-with-note": "fits, with a note",
  "cut-to-size": "cut to size",
  "donor-only": "from a donor only",
};

/**
 * A set of places that share parts: the same roles in several models, and single catalogue entries that serve there too. A member's grade
 * says how what comes from it goes into the others. An excluded model looks as if it belonged and does not; the reason is kept.
 */
export const interchangeSetSchema = z
  .object({
    id: identifier,
    name: z.string().trim().min(1, "What is shared?").max(80),
    /** The part roles that move together: a whole bridge, or one washer. */
    roles: z.array(identifier).min(1, "Choose at least one role of part."),
    /** What to look for on the part. */
    mark: z.string().max(160).default(""),
    members: z
      .array(
        z
          .object({
            modelId: identifier.optional(),
            partTypeId: identifier.optional(),
            grade: z.enum(grades),
            note: z.string().max(200).default(""),
          })
          .refine((member) => (member.modelId === undefined) !== (member.partTypeId === undefined), "A member is a model or a part."),
      )
      .min(1, "A set has at least one member."),
    exclusions: z.array(z.object({ modelId: identifier, why: z.string().trim().min(1, "Why not?").max(200) })).default([]),
  })
  .refine((set) => !set.exclusions.some((out) => set.members.some((member) => member.modelId === out.modelId)), {
    message: "A model is a member or excluded, not both.",
    path: ["exclusions"],
  });
export type InterchangeSet = z.infer<typeof interchangeSetSchema>;

/** One seat of one model's newest version, as the catalogue knows it. */
export interface CatalogueSeat {
  readonly modelId: string;
  readonly model: string;
  readonly positionId: string;
  readonly seat: string;
  readonly role: string;
  readonly partTypeId: string;
}

export interface Fit {
  readonly partTypeId: string;
  readonly grade: Grade;
  readonly note: string;
  readonly mark: string;
  /** The set that says so, or why without one. */
  readonly because: string;
}

export interface PlaceFit {
  readonly seat: CatalogueSeat;
  readonly grade: Grade;
  readonly note: string;
  readonly because: string;
}

const rank = (grade: Grade) => grades.indexOf(grade);
const sameNumber = "the same part number";

/** Keeps the best grade of what is found twice. */
function best<T extends { grade: Grade }>(found: readonly T[], key: (item: T) => string): T[] {
  const kept = new Map<string, T>();
  for (const item of found) {
    const before = kept.get(key(item));
    if (!before || rank(item.grade) < rank(before.grade)) kept.set(key(item), item);
  }
  return [...kept.values()].sort((a, b) => rank(a.grade) - rank(b.grade) || (key(a) < key(b) ? -1 : 1));
}

/** The sets a seat belongs to: one of its roles, and its model a member and not excluded. */
const setsOf = (sets: readonly InterchangeSet[], seat: CatalogueSeat) =>
  sets.filter((set) => set.roles.includes(seat.role) && set.members.some((member) => member.modelId === seat.modelId));

/** Everything of a set that gives a part of a role, with the member it comes from. */
const givenBy = (set: InterchangeSet, role: string, seats: readonly CatalogueSeat[]) =>
  set.members.flatMap((member) =>
    member.partTypeId !== undefined
      ? [{ partTypeId: member.partTypeId, member }]
      : seats
          .filter((seat) => seat.modelId === member.modelId && seat.role === role)
          .map((seat) => ({ partTypeId: seat.partTypeId, member })),
  );

/**
 * What fits here: the seat's own part, and what the sets of its role offer, best first.
 * @param seats of every model that shares a set with this one, this seat among them.
 * @param newNumber the part its own number was superseded by, if any.
 */
export function whatFits(
  seat: CatalogueSeat,
  seats: readonly CatalogueSeat[],
  sets: readonly InterchangeSet[],
  newNumber: string | null = null,
): Fit[] {
  const found: Fit[] = [{ partTypeId: seat.partTypeId, grade: "same-number", note: "", mark: "", because: sameNumber }];
  if (newNumber) found.push({ partTypeId: newNumber, grade: "drop-in", note: "", mark: "", because: "superseded by this number" });
  for (const set of setsOf(sets, seat))
    for (const { partTypeId, member } of givenBy(set, seat.role, seats))
      if (member.modelId !== seat.modelId)
        found.push({ partTypeId, grade: member.grade, note: member.note, mark: set.mark, because: set.name });
  return best(found, (fit) => fit.partTypeId);
}

/** Where else a part fits: seats that ask for its number, and seats of the sets that count it among theirs, best first. */
export function whereFits(partTypeId: string, seats: readonly CatalogueSeat[], sets: readonly InterchangeSet[]): PlaceFit[] {
  const found: PlaceFit[] = seats
    .filter((seat) => seat.partTypeId === partTypeId)
    .map((seat) => ({ seat, grade: "same-number", note: "", because: sameNumber }));
  for (const seat of seats)
    for (const set of setsOf(sets, seat))
      for (const { partTypeId: given, member } of givenBy(set, seat.role, seats))
        if (given === partTypeId && member.modelId !== seat.modelId)
          found.push({ seat, grade: member.grade, note: member.note, because: set.name });
  return best(found, ({ seat }) => `${seat.modelId} ${seat.positionId}`);
}

/** The models that look as if a part fitted there and are known not to, with the reason. */
export const knownNot = (
  partTypeId: string,
  seats: readonly CatalogueSeat[],
  sets: readonly InterchangeSet[],
): { modelId: string; why: string }[] =>
  sets
    .filter((set) =>
      set.members.some(
        (member) =>
          member.partTypeId === partTypeId ||
          seats.some((seat) => seat.modelId === member.modelId && seat.partTypeId === partTypeId && set.roles.includes(seat.role)),
      ),
    )
    .flatMap((set) => set.exclusions);
