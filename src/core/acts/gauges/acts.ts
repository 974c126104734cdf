import { keepGauge } from "./keep-gauge";
import { keepModelNumbers } from "./keep-model-numbers";

/** What hands do here. */
export const gaugesActs = [keepGauge, keepModelNumbers] as const;
