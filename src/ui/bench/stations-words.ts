/** The stations of a repair in the bench's words; apart from the component because pages on the server read them too. */
export const stationNames = {
  test: "Test",
  find: "Find",
  quote: "Quote",
  strip: "Strip",
  clean: "Clean",
  parts: "Parts",
  build: "Build",
  prove: "Prove",
  return: "Return",
} as const satisfies Record<Station, string>;
export type StationId = Station;

import type { Station } from "@/core/vocabulary/job-kinds";
