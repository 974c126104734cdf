import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** How a phone comes in. */
export interface Invitation {
  readonly address: string;
  /** The side of the code, then its path. */
  readonly drawn: string;
  readonly until: string;
}

export const invitePhone = defineAct({
  name: "invite-phone",
  permission: "counter",
  input: z.object({ personId: z.number().int().positive() }),
  journals: ["phone-invited"],
  secretAnswer: true,
  answer: answers<Invitation>(),
});
