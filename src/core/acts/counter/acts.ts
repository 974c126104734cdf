import { cancelIntake } from "./cancel-intake";
import { correctIntake } from "./correct-intake";
import { intake } from "./intake";
import { openLot } from "./open-lot";
import { saveParcel } from "./save-parcel";
import { takenInTwice } from "./taken-in-twice";

/** What hands do here. */
export const counterActs = [intake, takenInTwice, openLot, correctIntake, cancelIntake, saveParcel] as const;
