import { addSupplier } from "./add-supplier";
import { badPiece } from "./bad-piece";
import { cannotBeHad } from "./cannot-be-had";
import { changeSupplier } from "./change-supplier";
import { countBin } from "./count-bin";
import { endTin } from "./end-tin";
import { giveUpLine } from "./give-up-line";
import { levelByUse } from "./level-by-use";
import { linePaidOtherwise } from "./line-paid-otherwise";
import { lookAtPriceList } from "./look-at-price-list";
import { noLongerMade } from "./no-longer-made";
import { openTin } from "./open-tin";
import { placeOrder } from "./place-order";
import { receive } from "./receive";
import { receiveOrder } from "./receive-order";
import { removeBin } from "./remove-bin";
import { removeOffer } from "./remove-offer";
import { retireSupplier } from "./retire-supplier";
import { saveOrderRules } from "./save-order-rules";
import { setBin } from "./set-bin";
import { setLowestGrade } from "./set-lowest-grade";
import { setOffer } from "./set-offer";
import { settleBadPiece } from "./settle-bad-piece";
import { takePriceList } from "./take-price-list";
import { withdrawNeed } from "./withdraw-need";

/** What hands do here. */
export const storesActs = [
  placeOrder,
  setLowestGrade,
  cannotBeHad,
  noLongerMade,
  withdrawNeed,
  countBin,
  levelByUse,
  saveOrderRules,
  addSupplier,
  changeSupplier,
  retireSupplier,
  setOffer,
  removeOffer,
  setBin,
  removeBin,
  receive,
  receiveOrder,
  badPiece,
  settleBadPiece,
  giveUpLine,
  linePaidOtherwise,
  openTin,
  endTin,
  lookAtPriceList,
  takePriceList,
] as const;
