import fc from "fast-check";

/** Thousands of runs wait for every property: fewer cases each. */
fc.configureGlobal({ numRuns: 15 });
