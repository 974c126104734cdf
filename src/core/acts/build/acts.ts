import { gateFailed } from "./gate-failed";
import { learnAct } from "./learn-act";
import { oilPoints } from "./oil-points";
import { openAgain } from "./open-again";
import { seatOutcome } from "./seat-outcome";
import { stepLeftOff } from "./step-left-off";
import { stepNoted } from "./step-noted";
import { stepSkipped } from "./step-skipped";
import { stepUndone } from "./step-undone";
import { stepsDone } from "./steps-done";

/** What hands do here. */
export const buildActs = [
  learnAct,
  stepsDone,
  oilPoints,
  gateFailed,
  stepSkipped,
  stepLeftOff,
  stepUndone,
  stepNoted,
  openAgain,
  seatOutcome,
] as const;
