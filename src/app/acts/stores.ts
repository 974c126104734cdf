import { today } from "@/app/server/clock";
import { deskOf, sendMailOf } from "@/app/server/send-mail";
import type { storesActs } from "@/core/acts/stores/acts";
import { tellPriceList } from "@/core/ordering/price-list";
import { seenOffer } from "@/core/seen/seen";
import { findPartByNumber, setNoLongerMade } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import { setLowestGrade, withdrawNeed } from "@/data/parts/needs";
import { cannotBeHad } from "@/data/parts/no-longer-made";
import { countBin, levelByUse, removeBin, setBin } from "@/data/parts/stock";
import { addSupplier, changeOffer, changeSupplier, removeOffer, retireSupplier } from "@/data/parts/suppliers";
import { getShopSettings } from "@/data/shop/settings";
import { endTin, openTin } from "@/data/stores/consumables";
import { getOrderRules, saveOrderRules } from "@/data/stores/order-rules";
import { placeBaskets, sendWaitingOrders } from "@/data/stores/orders";
import { lookAtPriceList, takePriceList } from "@/data/stores/price-lists";
import { giveUpLine, paidOtherwise, putDownBad, receive, receiveOrder, settleBad } from "@/data/stores/receiving";
import { simulatedDesk } from "@/devices/supplier-desk";
import type { RunsOf } from "./runs";

const partOf = (ctx: Context, number: string) => {
  const part = findPartByNumber(ctx.db, number);
  if (!part)
    throw new Refusal("no-part", `No part in the catalogue has the number ${number}. Add it first.`, "number", { to: "new-part", number });
  return part.id;
};

const cardOf = <T extends { freePostFromMinor?: number | undefined; smallestOrderMinor?: number | undefined }>(card: T) => ({
  ...card,
  freePostFromMinor: card.freePostFromMinor ?? null,
  smallestOrderMinor: card.smallestOrderMinor ?? 0,
});

export const storesRuns: RunsOf<typeof storesActs> = {
  "place-order": {
    run: (ctx, input) =>
      placeBaskets(ctx, input.baskets, today(), { desk: getShopSettings(ctx.db).simulated, mail: deskOf(ctx.db) !== null }),
    afterwards: async (db) => {
      const { deskLate, deskWrong } = getOrderRules(db);
      if (getShopSettings(db).simulated) await sendWaitingOrders(db, simulatedDesk({ late: deskLate, wrong: deskWrong }));
      await sendMailOf(db);
    },
  },

  "set-lowest-grade": (ctx, { needIds, grade: to }) => {
    for (const needId of needIds) setLowestGrade(ctx, needId, to);
  },

  "cannot-be-had": (ctx, { needId, words }) => cannotBeHad(ctx, needId, words),

  "no-longer-made": (ctx, { partTypeId, noLonger }) => setNoLongerMade(ctx, partTypeId, noLonger),

  "withdraw-need": (ctx, input) => withdrawNeed(ctx, input.needId),

  "count-bin": (ctx, input) => countBin(ctx, input.partTypeId, input.count, input.why),

  "level-by-use": (ctx, input) => levelByUse(ctx, input.partTypeId, input.byUse),

  "save-order-rules": (ctx, { seen, ...input }) => saveOrderRules(ctx, input, seen),

  "add-supplier": (ctx, input) => addSupplier(ctx, cardOf(input)),

  "change-supplier": (ctx, input) => changeSupplier(ctx, cardOf(input)),

  "retire-supplier": (ctx, { id, retired }) => retireSupplier(ctx, id, retired),

  "set-offer": (ctx, { breakFrom, breakPriceMinor, pack, seen, ...offer }) => {
    if ((breakFrom === undefined) !== (breakPriceMinor === undefined))
      throw new Refusal(
        "break",
        "A lower price and from how many packs it holds go together: fill both, or neither.",
        breakFrom === undefined ? "breakFrom" : "breakPriceMinor",
      );
    if (breakPriceMinor !== undefined && breakPriceMinor >= offer.priceMinor)
      throw new Refusal("break", "From several packs on it should cost less than one alone.", "breakPriceMinor");
    changeOffer(
      ctx,
      {
        ...offer,
        pack,
        breaks: breakFrom === undefined || breakPriceMinor === undefined ? [] : [{ fromPacks: breakFrom, priceMinor: breakPriceMinor }],
      },
      seen[offer.supplierId] ?? seenOffer(null),
    );
  },

  "remove-offer": (ctx, { supplierId, partTypeId }) => removeOffer(ctx, supplierId, partTypeId),

  "set-bin": (ctx, { number, bin, count, countSeen, minimum, seen }) =>
    setBin(ctx, partOf(ctx, number), bin, count === countSeen ? null : count, minimum, seen),

  "remove-bin": (ctx, input) => removeBin(ctx, input.partTypeId),

  receive: (ctx, { orderLineId: line, quantity, more }) => receive(ctx, line, quantity, { more }),

  "receive-order": (ctx, { orderId }) => receiveOrder(ctx, orderId),

  "bad-piece": (ctx, { orderLineId: line, ...input }) => putDownBad(ctx, line, input),

  "settle-bad-piece": (ctx, { badPieceId, ...to }) => settleBad(ctx, badPieceId, to),

  "give-up-line": (ctx, { orderLineId: line }) => giveUpLine(ctx, line),

  "line-paid-otherwise": (ctx, { orderLineId: line, paidMinor }) => paidOtherwise(ctx, line, paidMinor),

  "open-tin": (ctx, input) => openTin(ctx, input, today()),

  "end-tin": (ctx, { id, empty }) => endTin(ctx, id, empty, today()),

  "look-at-price-list": (ctx, { supplierId, rows }) => tellPriceList(lookAtPriceList(ctx.db, supplierId, rows)),

  "take-price-list": (ctx, { supplierId, rows }) => takePriceList(ctx, supplierId, rows),
};
