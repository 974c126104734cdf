import { addPersonOff } from "./add-person-off";
import { movePromise } from "./move-promise";
import { removePersonOff } from "./remove-person-off";
import { seasonInvite } from "./season-invite";
import { setPersonHours } from "./set-person-hours";

/** What hands do here. */
export const rackActs = [movePromise, setPersonHours, addPersonOff, removePersonOff, seasonInvite] as const;
