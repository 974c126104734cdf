"use client";
import { useState } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { OrderPlanView, PlaceKey, type PlanProps, useOrderPlan } from "./plan/order-plan";
import { StoresPages } from "./stores-pages";

interface Props {
  readonly plan: PlanProps;
  readonly orders: readonly {
    id: number;
    supplierName: string;
    expected: string;
    reference: string;
    lines: readonly {
      id: number;
      number: string;
      name: string;
      quantity: number;
      received: number;
      priceMinor: number;
      tags: string | null;
    }[];
  }[];
  readonly receive: Action<{ keptAsideFor: string[] }>;
}

/** What to order today, and what is on its way. */
export function StoresSheet({ plan, orders, receive }: Props) {
  const hand = useOrderPlan(plan);
  return (
    <Sheet
      fill
      act={<PlaceKey props={plan} hand={hand} />}
      block={
        <CornerBlock
          cells={[
            { label: "Open needs", value: String(plan.needs.length), large: true },
            { label: "Order desk", value: <span className="simulated">simulated</span> },
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
            <div key={order.id} className="mt-2 border-t-2 border-ink pt-1">
              <p>
                <strong>{order.supplierName}</strong>, expected {order.expected}{" "}
                <span className="num text-note">{order.reference || "not sent yet"}</span>
              </p>
              <ul>
                {order.lines.map((line) => (
                  <OrderLine key={line.id} line={line} receive={receive} />
                ))}
              </ul>
            </div>
          ))}
        </section>
      </div>
    </Sheet>
  );
}

function OrderLine({ line, receive }: { line: Props["orders"][number]["lines"][number]; receive: Props["receive"] }) {
  const outstanding = line.quantity - line.received;
  const [quantity, setQuantity] = useState(String(outstanding));
  const act = useAct(receive);
  return (
    <li className="rule-row flex flex-wrap items-center gap-3 py-1 sm:flex-nowrap">
      <span className="num">{line.number}</span>
      <span className="min-w-0 flex-1">
        {line.name} <span className="text-note">{line.tags?.replaceAll(",", ", ")}</span>
      </span>
      <span className="num ml-auto shrink-0 whitespace-nowrap">
        {line.received} of {line.quantity} in
      </span>
      {outstanding > 0 && (
        <form
          className="flex shrink-0 items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            act.press({ orderLineId: line.id, quantity: quantity.trim() === "" ? null : Number(quantity) });
          }}
        >
          <input
            className="w-16"
            style={{ width: 64 }}
            inputMode="decimal"
            aria-label={`How many ${line.name} received`}
            value={quantity}
            onChange={(event) => setQuantity(event.target.value)}
            aria-invalid={Boolean(act.fields.quantity)}
          />
          <button type="submit" className="key key-small" disabled={act.busy}>
            Receive
          </button>
        </form>
      )}
      <Refused of={[act]} />
    </li>
  );
}
