import { today } from "@/app/server/clock";
import type { ledgerActs } from "@/core/acts/ledger/acts";
import { addCustomer, changeCustomer, retireCustomer } from "@/data/customers/customers";
import { mergeCustomers } from "@/data/customers/merge";
import { giveToOwner } from "@/data/customers/reels";
import { Refusal } from "@/data/database/context";
import { dataDirectory } from "@/data/database/database";
import { eraseCustomer, erasureOf, leaveNoTrace, rememberErasure } from "@/data/erasing/erase";
import { creditInvoice } from "@/data/papers/make-paper";
import { takePayment } from "@/data/papers/payments";
import { closeDay } from "@/data/papers/takings";
import { scrapReel } from "@/data/parts/donors";
import type { RunsOf } from "./runs";

export const ledgerRuns: RunsOf<typeof ledgerActs> = {
  "add-customer": (ctx, input) => addCustomer(ctx, input),

  "retire-customer": (ctx, { id, retired }) => retireCustomer(ctx, id, retired),

  "save-customer": (ctx, input) => changeCustomer(ctx, input),

  "merge-customers": (ctx, { id, into }) => mergeCustomers(ctx, id, into),

  "erase-customer": {
    run: (ctx, { id }) => {
      // Remembered first: an earlier copy that is restored erases them again.
      const erasure = erasureOf(ctx, id);
      const erased = eraseCustomer(ctx, id);
      if (erasure) rememberErasure(dataDirectory(), erasure);
      return erased;
    },
    afterwards: async (db) => leaveNoTrace(db),
  },

  "change-owner": (ctx, { reelId, ownerId }) => giveToOwner(ctx, reelId, ownerId),

  "scrap-reel": (ctx, { reelId, ...give }) => scrapReel(ctx, reelId, give),

  "close-day": (ctx, input) => closeDay(ctx, input.day, today()),

  "take-payment": (ctx, { number: of, amount, back, ...rest }) => {
    if (amount === 0) throw new Refusal("nothing", "Enter an amount above 0.", "amount");
    takePayment(ctx, of, { ...rest, amountMinor: back ? -amount : amount });
  },

  "credit-invoice": (ctx, { number: of, amount, words }) => creditInvoice(ctx, of, { amountMinor: amount ?? null, words }),
};
