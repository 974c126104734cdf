import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { addDays } from "@/core/day/day";
import { isNoLongerMade, otherWays, wordsForOwner } from "@/data/parts/no-longer-made";
import { getShopSettings } from "@/data/shop/settings";
import { getOrderRules } from "@/data/stores/order-rules";
import { orderSituation } from "@/data/stores/order-situation";
import { countComing, listOrders } from "@/data/stores/orders";
import { pickList } from "@/data/stores/pick-list";
import { dayWords } from "@/ui/dates";
import { StoresSheet } from "@/ui/stores/stores-sheet";

export const metadata = { title: "Stores" };

/** Days ahead that are named; later ones are counted. */
const namedDays = 60;

export default async function StoresPage() {
  const db = await readPage("stores");
  const day = today();
  const { problem, needs, bins, parts, suppliers, here, slotDays } = orderSituation(db, day);
  const ahead = (days: number) => addDays(day, days);
  const picking = pickList(db, day);
  return (
    <StoresSheet
      plan={{
        problem,
        needs: needs.map(({ needId, tag, partTypeId, lowestGrade, promisedOn, waitsForYes, nowhere }) => ({
          needId,
          tag,
          partTypeId,
          lowestGrade,
          promised: dayWords(promisedOn),
          waitsForYes,
          nowhere,
          ways: nowhere ? otherWays(db, needId) : [],
          tell: nowhere ? wordsForOwner(db, needId) : "",
          noLongerMade: nowhere && isNoLongerMade(db, partTypeId),
        })),
        bins,
        parts,
        suppliers,
        here,
        slotDays: slotDays.map(dayWords),
        dayWords: Array.from({ length: namedDays }, (_, i) => dayWords(ahead(i))),
        simulated: getShopSettings(db).simulated,
        leadChance: getOrderRules(db).leadChance,
      }}
      orders={listOrders(db, 12).map((order) => ({ ...order, expected: dayWords(order.expectedOn) }))}
      comesIn={countComing(db, day)}
      picks={{ bins: picking.picks.length, until: dayWords(picking.day) }}
    />
  );
}
