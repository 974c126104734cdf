import { builtOtherwise } from "./built-otherwise";
import { chooseEdition } from "./choose-edition";
import { followModel } from "./follow-model";
import { lotHands } from "./lot-hands";
import { lotOrder } from "./lot-order";
import { measure } from "./measure";
import { takenDown } from "./taken-down";

/** What hands do here. */
export const benchActs = [builtOtherwise, chooseEdition, measure, takenDown, followModel, lotHands, lotOrder] as const;
