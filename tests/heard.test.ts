import { describe, expect, it } from "vitest";
import { gearFromSound } from "@/core/listen/gear-sound";
import { spinFromSound } from "@/core/listen/spin-sound";
import { lossTerms } from "@/core/spin/losses";
import { gearKinds, recordGear, recordSpin, spinKinds } from "./made-recordings";

/** A few of what `npm run heard` makes forty of a kind of. */
describe("made recordings", () => {
  it.each([
    "nothing else",
    "the hand that spins it up",
    "its click's ratchet, 6 to 24 a turn",
    "a rush of air, as loud as it is fast",
    "knocks at its beginning",
  ])("of a free run are read rightly through %s", (name) => {
    let [read, held] = [0, 0];
    for (const seed of [11, 12, 13, 14]) {
      const { recording, losses, marks } = recordSpin(spinKinds[name]!, seed);
      const heard = spinFromSound(recording, marks);
      if (!heard.ok) continue;
      read++;
      const { terms } = heard.value.fit;
      held += lossTerms.filter((term) => terms[term].low <= losses![term] && losses![term] <= terms[term].high).length;
    }
    expect(read).toBeGreaterThanOrEqual(3);
    expect(held / read).toBeGreaterThanOrEqual(2);
  });

  it.each(["talk alone, and no spool", "clicks by chance, and no spool"])("of %s are none", (name) => {
    for (const seed of [11, 12, 13]) {
      const { recording, marks } = recordSpin(spinKinds[name]!, seed);
      expect(spinFromSound(recording, marks).ok, `seed ${seed}`).toBe(false);
    }
  });

  it.each([
    ["a tooth of the gear", "gear"],
    ["a tooth of the pinion", "pinion"],
    ["nothing wrong, a loud mesh", "none"],
  ] as const)("of %s are told", (name, what) => {
    for (const seed of [11, 12, 13, 14]) {
      const { recording, turns, ratio, gearTeeth } = recordGear(gearKinds[name]!, seed);
      const heard = gearFromSound(recording, turns, ratio, gearTeeth);
      const order = heard.ok ? heard.value.lines[0]!.order : 0;
      expect(order === 1 ? "gear" : order === ratio ? "pinion" : "none", `seed ${seed}`).toBe(what);
    }
  });
});
