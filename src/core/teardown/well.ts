import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { WellVerdict } from "./verdicts";
import type { Lies } from "./way-round";

/** A well of the tray: the part that came off a seat, and what was seen of it. */
export interface Well {
  readonly well: number;
  readonly positionId: string;
  readonly instanceId: number;
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
  /** Somebody chose that its owner reads the note; else it is the bench's own. */
  readonly forOwner: boolean;
  /** It was apart already when the reel came. */
  readonly cameApart: boolean;
  /** As found: the hole a screw sat in, the way of a thread, how many like ones lay here. */
  readonly hole: string;
  readonly thread: "right" | "left" | null;
  /** How it lay when it came off, against how its model draws it; null where nobody said. */
  readonly lies: Lies | null;
  readonly foundCount: number;
  readonly photoHash: string | null;
  readonly takenAt: string;
  /** Its place in the well: what came off in one act of the hands lies together, in its order. */
  readonly place: number;
  /** How it was dressed by hand; empty when it was not. */
  readonly dressed: string;
  /** Counts what was written down of it. */
  readonly rowVersion: number;
  readonly cleanedAt: string | null;
  /** How it is cleaned when not as its kind is on this job. */
  readonly cleanAs: CleanMethod | null;
  /** How it was cleaned; null as long as it was not. */
  readonly cleanedHow: CleanMethod | null;
  /** The bath it lies in now. */
  readonly soakId: number | null;
  readonly leftOutReason: string | null;
  /** A new piece lies in the well: fitted in this job. */
  readonly renewed: boolean;
  readonly refitted: boolean;
  /** The customer said no to a new piece here. */
  readonly declined: boolean;
  /** The reel goes back as it came: it is only checked, or its owner wants it unrepaired. */
  readonly unrepaired: boolean;
  /** Proved faults of this job that want a new piece here, by id; empty once somebody has said what becomes of the old one. */
  readonly toRenew: readonly string[];
}
