import type { WayOut } from "@/core/vocabulary/way-out";
import { Refusal } from "./context";

/**
 * @param seen what the form was shown (`core/seen`); null where nobody looked, as at a first filling.
 * @throws Refusal when it is not what stands now: somebody else was faster.
 */
export function refuseUnseen(seen: string | null, now: string, what: string, field: string | null = null, way?: WayOut): void {
  if (seen === null || seen === now) return;
  throw new Refusal(
    "changed-elsewhere",
    `${what} changed since this page was opened. What you typed is still here. Open the page in a second window, compare, then reload this one.`,
    field,
    way,
  );
}
