import "server-only";
import { gateFailed, oilPointsMarked, stepSkipped, stepsDone, stepUndone } from "@/app/bench/[tag]/build/actions";
import { settleSuspect } from "@/app/bench/[tag]/find/actions";
import { openAssembly, putLastBack, servePartInPlace, takePartsOff } from "@/app/bench/[tag]/strip/actions";
import { putLooseLastBack, takeLoose } from "@/app/bench/[tag]/strip/loose-actions";
import { allTestsGood, leaveTestOut, recordTest } from "@/app/bench/[tag]/test/actions";
import { countStock } from "@/app/stores/actions";
import type { ActionResult, Press } from "@/ui/act/press";

/** Acts that a page may take by itself at once and have confirmed: their names in its queue. */
export const queuedActs: ReadonlyMap<string, (press: Press) => Promise<ActionResult<unknown>>> = new Map<
  string,
  (press: Press) => Promise<ActionResult<unknown>>
>([
  ["test", recordTest],
  ["tests-all-good", allTestsGood],
  ["skip-test", leaveTestOut],
  ["settle-fault", settleSuspect],
  ["take-parts", takePartsOff],
  ["put-back", putLastBack],
  ["loose-take", takeLoose],
  ["loose-put-back", putLooseLastBack],
  ["serve-in-place", servePartInPlace],
  ["open-assembly", openAssembly],
  ["steps-done", stepsDone],
  ["step-undone", stepUndone],
  ["oil-points", oilPointsMarked],
  ["gate-failed", gateFailed],
  ["step-skipped", stepSkipped],
  ["count-bin", countStock],
]);
