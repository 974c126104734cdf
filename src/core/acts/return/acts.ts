import { close } from "./close";
import { correctJob } from "./correct-job";
import { goesAsItIs } from "./goes-as-it-is";
import { leaveOut } from "./leave-out";
import { ready } from "./ready";
import { reopenReturn } from "./reopen-return";
import { reportPhoto } from "./report-photo";
import { reportWords } from "./report-words";
import { stationMinutes } from "./station-minutes";
import { tick } from "./tick";
import { toldToFetch } from "./told-to-fetch";

/** What hands do here. */
export const returnActs = [
  leaveOut,
  goesAsItIs,
  reportWords,
  reportPhoto,
  ready,
  tick,
  close,
  stationMinutes,
  toldToFetch,
  reopenReturn,
  correctJob,
] as const;
