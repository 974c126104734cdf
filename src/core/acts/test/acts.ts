import { makeRepair } from "./make-repair";
import { skipTest } from "./skip-test";
import { test } from "./test";
import { testsAllGood } from "./tests-all-good";

/** What hands do here. */
export const testActs = [test, makeRepair, skipTest, testsAllGood] as const;
