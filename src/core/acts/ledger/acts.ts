import { addCustomer } from "./add-customer";
import { changeOwner } from "./change-owner";
import { closeDay } from "./close-day";
import { creditInvoice } from "./credit-invoice";
import { eraseCustomer } from "./erase-customer";
import { mergeCustomers } from "./merge-customers";
import { retireCustomer } from "./retire-customer";
import { saveCustomer } from "./save-customer";
import { scrapReel } from "./scrap-reel";
import { takePayment } from "./take-payment";

/** What hands do here. */
export const ledgerActs = [
  addCustomer,
  retireCustomer,
  saveCustomer,
  mergeCustomers,
  eraseCustomer,
  changeOwner,
  scrapReel,
  takePayment,
  closeDay,
  creditInvoice,
] as const;
