import { answers, defineAct } from "@/core/acts/act/act";
import { intakeFormSchema } from "@/core/acts/counter/intake-form";

/** What became of a reel at the counter. */
export interface TakenIn {
  /** Null for a reel kept for its parts: it hangs nowhere. */
  readonly job: { readonly id: number; readonly tag: string } | null;
  readonly reelId: number;
  readonly declined: boolean;
  /** The tag of a reel like it that was checked in a moment before, perhaps the same one at another computer. */
  readonly twin: string | null;
}

/** Takes a reel in, keeps it for its parts, or writes down why it was sent away. */
export const intake = defineAct({
  name: "intake",
  permission: "counter",
  input: intakeFormSchema,
  journals: ["job-opened", "reel-added"],
  answer: answers<TakenIn>(),
});
