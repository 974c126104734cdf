/**
 * Boundary dimensions of small ball bearings, mm. Source: ISO 15 / ABMA 20 (metric series), extra-thin series by trade usage; from memory,
 * bore, outside and shielded width of the first seven groups also found in an independent open table. The same number comes in two widths.
 */
export interface BearingSize {
  readonly number: string;
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly openMm: number;
  readonly shieldedMm: number;
}

const row = (number: string, boreMm: number, outsideMm: number, openMm: number, shieldedMm = openMm): BearingSize => ({
  number,
  boreMm,
  outsideMm,
  openMm,
  shieldedMm,
});

// biome-ignore format: read as a table
export const bearingTable: readonly BearingSize[] = [
  row("603", 3, 9, 3, 5), row("604", 4, 12, 4), row("605", 5, 14, 5), row("606", 6, 17, 6), row("607", 7, 19, 6), row("608", 8, 22, 7), row("609", 9, 24, 7),
  row("623", 3, 10, 4), row("624", 4, 13, 5), row("625", 5, 16, 5), row("626", 6, 19, 6), row("627", 7, 22, 7), row("628", 8, 24, 8), row("629", 9, 26, 8),
  row("633", 3, 13, 5), row("634", 4, 16, 5), row("635", 5, 19, 6),
  row("683", 3, 7, 2, 3), row("684", 4, 9, 2.5, 4), row("685", 5, 11, 3, 5), row("686", 6, 13, 3.5, 5), row("687", 7, 14, 3.5, 5), row("688", 8, 16, 4, 5), row("689", 9, 17, 4, 5),
  row("693", 3, 8, 3, 4), row("694", 4, 11, 4), row("695", 5, 13, 4), row("696", 6, 15, 5), row("697", 7, 17, 5), row("698", 8, 19, 6), row("699", 9, 20, 6),
  row("MR63", 3, 6, 2, 2.5), row("MR74", 4, 7, 2, 2.5), row("MR85", 5, 8, 2, 2.5), row("MR106", 6, 10, 2.5, 3), row("MR117", 7, 11, 2.5, 3), row("MR128", 8, 12, 2.5, 3.5),
  row("682", 2, 5, 1.5, 2.3), row("692", 2, 6, 2.3, 3), row("602", 2, 7, 2.8, 3.5), row("MR52", 2, 5, 2, 2.5), row("MR62", 2, 6, 2.5), row("MR72", 2, 7, 2.5, 3), row("MR93", 3, 9, 2.5, 4),
  row("MR84", 4, 8, 2, 3), row("MR104", 4, 10, 3, 4), row("MR95", 5, 9, 2.5, 3), row("MR105", 5, 10, 3, 4), row("MR115", 5, 11, 4, 4), row("MR126", 6, 12, 3, 4), row("MR137", 7, 13, 3, 4),
  row("MR148", 8, 14, 3.5, 4),
  row("6700", 10, 15, 3, 4), row("6701", 12, 18, 4), row("6800", 10, 19, 5), row("6801", 12, 21, 5), row("6900", 10, 22, 6), row("6901", 12, 24, 6), row("6000", 10, 26, 8), row("6001", 12, 28, 8),
  row("6702", 15, 21, 4), row("6703", 17, 23, 4), row("6802", 15, 24, 5), row("6803", 17, 26, 5), row("6902", 15, 28, 7), row("6903", 17, 30, 7),
  row("6200", 10, 30, 9), row("6201", 12, 32, 10), row("6300", 10, 35, 11), row("6301", 12, 37, 12),
];
