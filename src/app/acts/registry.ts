import "server-only";
import { type ActName, type ActNamed, acts } from "@/core/acts/acts";
import { revisionOf } from "@/data/database/journal";
import { keepReadyTrue } from "@/data/hand-back/still-ready";
import { benchRuns } from "./bench";
import { buildRuns } from "./build";
import { cleanRuns } from "./clean";
import { counterRuns } from "./counter";
import { findRuns } from "./find";
import { gaugesRuns } from "./gauges";
import { ledgerRuns } from "./ledger";
import { libraryRuns } from "./library";
import { lotRuns } from "./lot";
import { partsRuns } from "./parts";
import { quoteRuns } from "./quote";
import { rackRuns } from "./rack";
import { returnRuns } from "./return";
import type { Run, RunsOf } from "./runs";
import { shopRuns } from "./shop";
import { storesRuns } from "./stores";
import { stripRuns } from "./strip";
import { testRuns } from "./test";

/** What every act does. One that is missing, or has no act, does not compile. */
const runs: RunsOf<typeof acts> = {
  ...stripRuns,
  ...buildRuns,
  ...testRuns,
  ...findRuns,
  ...cleanRuns,
  ...partsRuns,
  ...quoteRuns,
  ...returnRuns,
  ...benchRuns,
  ...lotRuns,
  ...counterRuns,
  ...rackRuns,
  ...storesRuns,
  ...libraryRuns,
  ...gaugesRuns,
  ...ledgerRuns,
  ...shopRuns,
};

const byName = new Map<string, (typeof acts)[number]>(acts.map((act) => [act.name, act]));

/** The act of a name with what it does; null for a name that is none. */
export function actOf(name: string): { act: ActNamed<ActName>; run: Run<ActNamed<ActName>> } | null {
  const act = byName.get(name);
  if (!act) return null;
  const told = runs[act.name] as Run<ActNamed<ActName>> | Run<ActNamed<ActName>>["run"];
  const run = typeof told === "function" ? { run: told } : told;
  return {
    act,
    run: {
      ...run,
      run: (ctx, input) => {
        const since = revisionOf(ctx.db);
        const answer = run.run(ctx, input);
        keepReadyTrue(ctx, since);
        return answer;
      },
    },
  };
}
