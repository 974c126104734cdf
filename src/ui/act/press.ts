import { z } from "zod";
import type { WayOut } from "@/core/vocabulary/way-out";

/** What a client sends with every act: an id it made itself, so that the same press sent twice is done once. */
export const pressSchema = z.object({ pressId: z.string().min(8).max(64), input: z.unknown() });
export interface Press {
  readonly pressId: string;
  readonly input: unknown;
}

/** Exactly one outcome: the value (with a note when something that should follow it did not), or words with the fields they belong to. */
export type ActionResult<R> =
  | { readonly ok: true; readonly value: R; readonly note?: string }
  | {
      readonly ok: false;
      readonly message: string;
      /** What kind of refusal it is: it decides where to lead. */
      readonly code?: string;
      readonly fields: Readonly<Record<string, string>>;
      readonly way?: WayOut | null /** The data cannot be written just now: the same press may be sent again later. */;
      readonly later?: boolean;
    };

export type Action<R> = (press: Press) => Promise<ActionResult<R>>;
