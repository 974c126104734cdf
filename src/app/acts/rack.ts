import { today } from "@/app/server/clock";
import type { rackActs } from "@/core/acts/rack/acts";
import { movePromise } from "@/data/promise/move";
import { invite } from "@/data/season/season";
import { addPersonOff, removePersonOff, setPersonHours } from "@/data/shop/person-hours";
import type { RunsOf } from "./runs";

export const rackRuns: RunsOf<typeof rackActs> = {
  "move-promise": (ctx, { jobIds, to }) => movePromise(ctx, jobIds, to, today()),

  "set-person-hours": (ctx, { personId, seen, hours: { d1, d2, d3, d4, d5, d6, d7 } }) =>
    setPersonHours(
      ctx,
      personId,
      [d1, d2, d3, d4, d5, d6, d7].map((each) => (each === "" ? 0 : Math.round(each * 60))),
      seen,
    ),

  "add-person-off": (ctx, { personId, ...days }) => addPersonOff(ctx, personId, days),

  "remove-person-off": (ctx, { id }) => removePersonOff(ctx, id),

  "season-invite": (ctx, { ownerIds }) => invite(ctx, today(), ownerIds),
};
