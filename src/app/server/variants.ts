import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import type { ShownVariant } from "@/ui/library/built-so";

/** The variants of every family by their names, without what they change. */
export const shownVariants = Object.fromEntries(
  Object.values(families).map(({ family, variants }) => [
    family,
    variants.map(({ id, name, choices }) => ({ id, name, choices: choices.map((choice) => ({ id: choice.id, name: choice.name })) })),
  ]),
) as unknown as Readonly<Record<FamilyId, readonly ShownVariant[]>>;
