import type { PartKind } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import { everyFrame, families, familyWith } from "@/core/families/families";
import type { FamilyTemplate } from "@/core/families/template";
import type { FamilyId } from "@/core/vocabulary/families";
import type { ShownVariant } from "@/ui/glyphs/built-choices";

/** The seats of each part, with what sits in them: by this two builds are told apart. */
const pictures = ({ anatomy, parts }: FamilyTemplate) =>
  new Map(
    parts.map((part) => [
      part.id,
      anatomy.positions.filter(({ partTypeId }) => partTypeId === part.id).map(({ id, turned }) => ({ seat: id, turned, part })),
    ]),
  );

/** What tells a build at a glance comes first: a bridge or a plate sooner than a screw. */
const telling: readonly PartKind[] = [
  "bridge",
  "frame",
  "sleeve",
  "plate",
  "cover",
  "roller-clutch",
  "gear",
  "shaft",
  "cap",
  "dog",
  "star",
  "bearing",
];
const plain: ReadonlySet<PartKind> = new Set(["screw", "washer", "nut", "clip"]);
function howTelling({ shape: { kind } }: PartType): number {
  const at = telling.indexOf(kind);
  return at >= 0 ? at : plain.has(kind) ? telling.length + 1 : telling.length;
}

/** Variants of a skeleton by their names, each choice with the pieces by which it differs from another: they are its picture. */
function shownOf({ family, variants, frames, chosen }: FamilyTemplate): ShownVariant[] {
  const frame = frames ? { [frames.id]: chosen[frames.id]! } : {};
  return variants.map(({ id, name, choices }) => {
    const builds = choices.map((choice) => pictures(familyWith(family, { ...frame, [id]: choice.id })));
    const alike = (partId: string) => {
      const told = builds.map((build) => JSON.stringify((build.get(partId) ?? []).map(({ part }) => [part.shape, part.material])));
      return new Set(told).size === 1;
    };
    return {
      id,
      name,
      skeleton: id === frames?.id,
      within: frames && id !== frames.id ? { variant: frames.id, choice: chosen[frames.id]! } : null,
      choices: choices.map((choice, at) => ({
        id: choice.id,
        name: choice.name,
        pieces: [...builds[at]!]
          .flatMap(([partId, pieces]) => (alike(partId) ? [] : pieces))
          .sort((a, b) => howTelling(a.part) - howTelling(b.part))
          .slice(0, 4),
      })),
    };
  });
}

/** Those of every skeleton; the choice of the skeleton stands once. */
const shown = (family: FamilyId): ShownVariant[] =>
  everyFrame(family).flatMap((template, at) => shownOf(template).filter(({ id }) => at === 0 || id !== template.frames?.id));

export const shownVariants = Object.fromEntries(
  Object.values(families).map(({ family }) => [family, shown(family)]),
) as unknown as Readonly<Record<FamilyId, readonly ShownVariant[]>>;
