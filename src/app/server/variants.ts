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
      within: frames && id !== frames.id ? { variant: frames.id, choice: chosen[frames.id]! } : null,
      choices: choices.map((choice, at) => ({
        id: choice.id,
        name: choice.name,
        pieces: [...builds[at]!].flatMap(([partId, pieces]) => (alike(partId) ? [] : pieces)).slice(0, 4),
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
