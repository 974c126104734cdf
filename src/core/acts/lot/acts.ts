import { answerLot } from "./answer-lot";
import { closeLot } from "./close-lot";

/** What hands do here. */
export const lotActs = [answerLot, closeLot] as const;
