import type { Choice } from "@/core/ways/ways";

/** Wells as they lie on the bench: rows of seats, each in its order. */
export function layOut<W extends { readonly assemblyId: string }>(wells: readonly W[], way: Choice<"layingOut">): W[][] {
  if (way === "left") return [[...wells]];
  if (way === "right") return [[...wells].reverse()];
  const trays = new Map<string, W[]>();
  for (const well of wells) trays.set(well.assemblyId, [...(trays.get(well.assemblyId) ?? []), well]);
  return [...trays.values()];
}
