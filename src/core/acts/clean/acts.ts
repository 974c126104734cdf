import { allCleanedByHand } from "./all-cleaned-by-hand";
import { cancelSoak } from "./cancel-soak";
import { cleanAgain } from "./clean-again";
import { cleanPartAs } from "./clean-part-as";
import { cleanedByHand } from "./cleaned-by-hand";
import { countBack } from "./count-back";
import { soak } from "./soak";

/** What hands do here. */
export const cleanActs = [soak, countBack, cancelSoak, cleanedByHand, cleanAgain, allCleanedByHand, cleanPartAs] as const;
