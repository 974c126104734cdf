import type { WellVerdict } from "@/core/teardown/verdicts";

/** A well of the tray as a page shows it. */
export interface ShownWell {
  readonly well: number;
  readonly positionId: string;
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
  readonly hole: string;
  readonly thread: "right" | "left" | null;
  readonly foundCount: number;
  readonly photoHash: string | null;
  readonly pulledWith: number;
  readonly cleanedAt: string | null;
  readonly soakId: number | null;
  readonly leftOutReason: string | null;
  readonly renewed: boolean;
  readonly refitted: boolean;
}
