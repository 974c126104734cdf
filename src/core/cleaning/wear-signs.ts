import { isMadeOf } from "@/core/anatomy/material";
import type { PartType } from "@/core/anatomy/types";
import { mayBeAsbestos } from "@/core/safety/linings";

/** What wears at one part more than at others of its kind, the likeliest first. Source: common practice. */
export const wearByRole: Readonly<Record<string, readonly string[]>> = {
  "clutch-sleeve": ["pitted: the clutch slips", "scored"],
  "roller-clutch": ["grease in it: slips or skips", "needles rough"],
  // Lever drags.
  cam: ["ramps rutted", "ramps dry", "cracked"],
  "lever-washer": ["worn through", "grooved", "split"],
  "drag-cap": ["tab bent or cracked", "scratched by pliers: opened before", "thread crossed"],
  "pressure-plate": ["ridged: a fingernail catches", "bent", "blued"],
  foot: ["threads pulled", "bent", "cracked at a hole"],
  "click-tongue": ["point sheared to a slope", "metal dust under it"],
  // Wherever a shaft carries the spool, or the drum.
  "spool-shaft": ["end mushroomed", "scored", "bent"],
  spindle: ["scored", "bent", "rusted"],
  pinion: ["end mushroomed", "teeth hooked or missing", "slot rounded"],
  // Closed face.
  "pick-up-pin": ["notch worn by the line", "bent", "sticks in its hole"],
  "cam-ring": ["dry and rutted", "cracked"],
  "line-ring": ["groove worn by the line", "cracked"],
  "anti-reverse-spring": ["bent", "tired"],
  "hinge-screw": ["its hole egged: the button is loose", "bent", "thread pulled"],
  "push-button": ["hinge egged", "cracked"],
  // Centrepin.
  "hub-sleeve": ["scored", "edge worn: no preload"],
};

/** What a worn one looks like, by its kind. Source: common practice. */
function byKind(type: PartType): readonly string[] {
  switch (type.shape.kind) {
    case "gear":
    case "pinion":
      return ["teeth bent, hooked or missing", "burrs: file off", "ridge worn into the flank"];
    case "bearing":
      return ["rough when turned slowly under load", "noisy", "frozen", "shield dented or marked"];
    case "friction-washer":
      return isMadeOf(type, "soft") ? ["scarred", "cracked or stiff", "no grease left"] : ["glazed", "frayed edge", "torn"];
    case "washer":
      return ["ridged: a fingernail catches", "worn thin", "bent"];
    case "keyed-washer":
    case "eared-washer":
      return ["ridged: a fingernail catches", "ears or flats rounded", "blued"];
    case "cupped-washer":
      return ["flat: the cup is gone", "cracked"];
    case "ratchet":
      return ["teeth rounded", "loose"];
    case "dog":
      return ["nose rounded", "ears spread or broken"];
    case "coil-spring":
    case "wire-spring":
    case "wave-spring":
    case "clip":
      return ["bent or set short", "rusted", "proud: file flush"];
    case "drum":
      return ["out of true", "hub groove worn", "rim dented"];
    case "spool":
      return ["flange chipped", "shaft end mushroomed", "corroded under the line"];
    case "plate":
    case "body":
    case "frame":
    case "cover":
      return ["cracked at a hole", "green or white corrosion", "thread stripped"];
    case "screw":
    case "nut":
      return ["slot torn", "odd one: not this reel's", "thread pulled", "bent"];
    case "roller":
      return ["seized", "grooved by braid"];
    case "bail":
      return ["bent"];
    case "worm":
    case "pawl":
      return ["groove or tip worn", "grit in the groove"];
    case "o-ring":
    case "lip-seal":
      return ["cut, flat or hard", "swollen"];
    case "shaft":
    case "sleeve":
    case "pin":
      return ["scored", "pitted", "bent"];
    case "magnet":
      return ["chipped", "loose"];
    default:
      return ["cracked", "bent", "corroded"];
  }
}

/** What to look for on a part that may be worn: its own signs where it has some, its kind's otherwise. */
export function wearSignsOf(type: PartType): readonly string[] {
  if (mayBeAsbestos(type)) return ["broken or loose: refer to licensed handling"];
  return wearByRole[type.role] ?? byKind(type);
}
