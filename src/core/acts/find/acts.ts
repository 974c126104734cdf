import { look } from "./look";
import { settleFault } from "./settle-fault";

/** What hands do here. */
export const findActs = [look, settleFault] as const;
