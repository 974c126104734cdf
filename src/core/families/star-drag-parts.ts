import type { PartRow } from "./tables/table";

/** What clicks on the tail plate, and the cap that sets the side play. Source: common practice; sizes are typical and ours. */
// biome-ignore format: one part a line, read as a table
export const clickParts: readonly PartRow[] = [
  ["click-tongue", "125", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 14, widthMm: 6, thicknessMm: 1.6 }, "bronze", 310],
  ["click-spring", "126", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 16 }, "spring steel", 190],
  ["click-button", "127", "Click button", "click-button", { kind: "button", outsideMm: 9, stemMm: 3.4, lengthMm: 11 }, "chromed brass", 520],
  ["cap", "128", "Side adjuster cap", "bearing-cap", { kind: "cap", outsideMm: 18, heightMm: 9 }, "chromed brass", 760],
];

/** What turns under the stack. Source: common practice; sizes are typical and ours. */
// biome-ignore format: one part a line, read as a table
export const gearParts: readonly PartRow[] = [
  ["ratchet", "212", "Anti-reverse ratchet", "ratchet", { kind: "ratchet", teeth: 10, outsideMm: 20, boreMm: 8.1, thicknessMm: 2 }, "hardened steel", 640],
  ["dog", "213", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 17, widthMm: 6, thicknessMm: 2, boreMm: 2.6 }, "hardened steel", 520],
  ["dog-spring", "214", "Dog spring", "dog-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 4, lengthMm: 10, coils: 7 }, "spring steel", 160],
  ["gear-washer", "219", "Under-gear washer", "under-gear-washer", { kind: "washer", outsideMm: 18, insideMm: 8.2, thicknessMm: 0.8 }, "brass", 120],
  ["main-gear", "220", "Main gear, 51 teeth", "main-gear", { kind: "gear", teeth: 51, moduleMm: 0.8, boreMm: 8.1, faceMm: 6, cupMm: 33 }, "bronze", 2890],
  ["pinion", "221", "Pinion, 17 teeth", "pinion", { kind: "pinion", teeth: 17, moduleMm: 0.8, boreMm: 5.1, lengthMm: 18 }, "brass", 1760],
];

/** What throws the pinion out and in. Source: common practice; sizes are typical and ours. */
// biome-ignore format: one part a line, read as a table
export const freeSpoolParts: readonly PartRow[] = [
  ["eccentric", "270", "Eccentric", "eccentric", { kind: "eccentric", outsideMm: 15, throwMm: 4, thicknessMm: 2.5, boreMm: 4 }, "brass", 840],
  ["eccentric-spring", "271", "Eccentric spring", "eccentric-spring", { kind: "wire-spring", wireMm: 0.8, lengthMm: 20 }, "spring steel", 180],
  ["lever", "272", "Free-spool lever", "free-spool-lever", { kind: "lever", lengthMm: 22, boreMm: 4, thicknessMm: 2 }, "chromed brass", 930],
  ["jack", "273", "Jack", "jack", { kind: "jack", lengthMm: 24, widthMm: 8, thicknessMm: 1.6 }, "brass", 470],
  ["yoke", "274", "Yoke", "yoke", { kind: "yoke", widthMm: 30, boreMm: 2.8, pinionMm: 10, thicknessMm: 2 }, "brass", 580],
  ["yoke-spring", "275", "Yoke spring", "yoke-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 4.4, lengthMm: 11, coils: 6 }, "spring steel", 130],
];
