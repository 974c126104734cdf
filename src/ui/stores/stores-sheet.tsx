"use client";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { OrderCard, type OrderOnItsWay } from "./order-card";
import { OrderPlanView, PlaceKey } from "./plan/order-plan";
import type { PlanProps } from "./plan/plan-props";
import { useOrderPlan } from "./plan/use-order-plan";
import { StoresPages } from "./stores-pages";

interface Props {
  readonly plan: PlanProps;
  readonly orders: readonly OrderOnItsWay[];
}

/** What to order today, and what is on its way. */
export function StoresSheet({ plan, orders }: Props) {
  const hand = useOrderPlan(plan);
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
      <div className="mt-3 grid gap-8 lg:grid-cols-[3fr_2fr]">
        <div>
          <OrderPlanView props={plan} hand={hand} />
        </div>
        <section>
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
