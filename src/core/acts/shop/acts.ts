import { addFault } from "./add-fault";
import { addPerson } from "./add-person";
import { addShutDays } from "./add-shut-days";
import { addSign } from "./add-sign";
import { bringIn } from "./bring-in";
import { changePerson } from "./change-person";
import { endSession } from "./end-session";
import { foundShop } from "./found-shop";
import { invitePhone } from "./invite-phone";
import { removeShutDays } from "./remove-shut-days";
import { retirePerson } from "./retire-person";
import { saveSettings } from "./save-settings";
import { sayStrength } from "./say-strength";
import { setSecret } from "./set-secret";
import { undoBringIn } from "./undo-bring-in";

/** What hands do here. */
export const shopActs = [
  saveSettings,
  addShutDays,
  removeShutDays,
  addPerson,
  changePerson,
  retirePerson,
  setSecret,
  endSession,
  invitePhone,
  addFault,
  addSign,
  sayStrength,
  bringIn,
  undoBringIn,
  foundShop,
] as const;
