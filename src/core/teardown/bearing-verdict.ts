import type { Choice } from "@/core/ways/ways";
import type { WellVerdict } from "./verdicts";

/** What a bearing's feel and sound mean, by way: replace it, watch it, or leave it. */
export function bearingVerdict(way: Choice<"bearings">, found: { readonly rough: boolean; readonly talks: boolean }): WellVerdict {
  if (way === "talk") return found.talks ? "replace" : found.rough ? "watch" : "ok";
  return found.rough || found.talks ? "replace" : "ok";
}
