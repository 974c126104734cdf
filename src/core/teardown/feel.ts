import type { PartType } from "@/core/anatomy/types";

/** How a part felt as it went in. */
export const feels = {
  free: { name: "Runs free", said: "runs free", good: true },
  rough: { name: "Rough", said: "rough", good: false },
  tight: { name: "Tight", said: "tight", good: false },
  loose: { name: "Loose", said: "loose in its seat", good: false },
  bites: { name: "Bites", said: "bites", good: true },
  turns: { name: "Turns on", said: "turns without biting", good: false },
  springs: { name: "Springs back", said: "springs back", good: true },
  limp: { name: "Limp", said: "limp", good: false },
} as const;
export type Feel = keyof typeof feels;
export const feelIds = Object.keys(feels) as [Feel, ...Feel[]];

type Shaped = { readonly shape: Pick<PartType["shape"], "kind"> };

/** What a hand can tell of a part as it goes in; empty where it can tell nothing. Source: common practice. */
export function feelsOf({ shape }: Shaped): readonly Feel[] {
  switch (shape.kind) {
    case "bearing":
    case "gear":
    case "pinion":
      return ["free", "rough", "tight", "loose"];
    case "screw":
    case "nut":
      return ["bites", "tight", "turns"];
    case "coil-spring":
    case "wire-spring":
    case "wave-spring":
      return ["springs", "limp"];
    default:
      return [];
  }
}

/** What a bad feel means and what is done about it; null of a good one. `new` where only another piece helps. Source: common practice. */
export function judgeFeel({ shape }: Shaped, feel: Feel): { readonly words: string; readonly wantsNew: boolean } | null {
  if (feels[feel].good) return null;
  const say = (words: string, wantsNew = false) => ({ words, wantsNew });
  if (feel === "limp") return say("A weak spring is the first thing to fail on the water.", true);
  if (feel === "turns") return say("Its thread is stripped, or the hole's: try it in another hole before closing up.", true);
  if (shape.kind === "screw" || shape.kind === "nut") return say("Do not force it: back it out, check the thread, start again by hand.");
  if (shape.kind === "bearing") {
    if (feel === "rough") return say("Clean and still rough: it is worn.", true);
    return say(
      feel === "loose"
        ? "It turns in its seat: the seat is worn, or the bearing is the wrong size."
        : "It is not square in its seat, or the seat is dirty.",
    );
  }
  return say(feel === "rough" ? "A nick in a tooth, or grit left in a valley." : "Check its seat and what is under it.");
}
