"use client";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { OrderCard, type OrderOnItsWay } from "./order-card";
import { OrderPlanView, PlaceKey } from "./plan/order-plan";
import type { PlanProps } from "./plan/plan-props";
import { basketsOf, useOrderPlan } from "./plan/use-order-plan";
import { StoresPages } from "./stores-pages";
import { TodayActs } from "./today-acts";

interface Props {
  readonly plan: PlanProps;
  readonly orders: readonly OrderOnItsWay[];
  /** Parcels on their way, and those that should be here by today. */
  readonly comesIn: { readonly due: number; readonly out: number };
  /** Bins that the jobs up to a day take from. */
  readonly picks: { readonly bins: number; readonly until: string };
}

/** What to order today, and what is on its way. */
export function StoresSheet({ plan, orders, comesIn, picks }: Props) {
  const hand = useOrderPlan(plan);
  const today = basketsOf(hand.problem, hand.planning.plan, 0).length;
  const later = basketsOf(hand.problem, hand.planning.plan, 1).length;
  return (
    <Sheet
      fill
      act={<PlaceKey props={plan} hand={hand} />}
      block={
        <CornerBlock
          cells={[
            { label: "Open needs", value: String(plan.needs.length), large: true },
            {
              label: "Orders go",
              value: plan.simulated ? <span className="simulated">to a simulated desk</span> : "by you: paper, table, mail",
            },
          ]}
        />
      }
    >
      <StoresPages here="Needs and orders" />
      <TodayActs
        acts={[
          {
            name: "Order",
            count: today,
            words: today ? "parcels to order today" : later ? `none today; the plan waits for ${plan.slotDays[1]}` : "nothing is needed",
            href: "#order",
          },
          {
            name: "Receive",
            count: comesIn.due,
            words: comesIn.out ? `due by today; ${comesIn.out} on ${comesIn.out === 1 ? "its" : "their"} way` : "no order is on its way",
            href: "#receive",
          },
          {
            name: "Pick",
            count: picks.bins,
            words: `${picks.bins === 1 ? "bin" : "bins"} for the reels up to ${picks.until}`,
            href: "/stores/pick",
          },
        ]}
      />
      <div className="mt-3 grid gap-8 lg:grid-cols-[3fr_2fr]">
        <div id="order">
          <OrderPlanView props={plan} hand={hand} />
        </div>
        <section id="receive">
          <h2>Orders</h2>
          {!orders.length && <p>None yet.</p>}
          {orders.map((order) => (
            <OrderCard key={order.id} order={order} />
          ))}
        </section>
      </div>
    </Sheet>
  );
}
