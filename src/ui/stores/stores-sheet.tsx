"use client";
import Link from "next/link";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import type { Offer } from "@/core/ordering/book";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { MainKey } from "@/ui/controls/keys";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { StoresPages } from "./stores-pages";

interface Props {
  readonly needs: readonly {
    id: number;
    tag: string;
    partTypeId: string;
    number: string;
    name: string;
    offers: readonly Offer[];
    waitsForYes: boolean;
  }[];
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
  readonly currency: string;
  readonly place: Action<{ orderId: number }>;
  readonly receive: Action<{ keptAsideFor: string[] }>;
  readonly withdraw: Action<void>;
}

/** Needs pooled over jobs, and orders on their way. */
export function StoresSheet({ needs, orders, currency, place, receive, withdraw }: Props) {
  const suppliers = new Map<string, { name: string; postageMinor: number; leadDays: number; ids: number[]; sumMinor: number }>();
  for (const need of needs.filter(({ waitsForYes }) => !waitsForYes))
    for (const offer of need.offers) {
      const row = suppliers.get(offer.supplierId) ?? {
        name: offer.supplierName,
        postageMinor: offer.postageMinor,
        leadDays: offer.leadDays,
        ids: [],
        sumMinor: 0,
      };
      row.ids.push(need.id);
      row.sumMinor += offer.priceMinor;
      suppliers.set(offer.supplierId, row);
    }
  // Most needs on one parcel first, then the cheaper parcel: three tiny screws must not pay postage three times.
  const ranked = [...suppliers].sort(
    ([, a], [, b]) => b.ids.length - a.ids.length || a.sumMinor + a.postageMinor - b.sumMinor - b.postageMinor,
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const supplierId = chosen && suppliers.has(chosen) ? chosen : (ranked[0]?.[0] ?? null);
  const supplier = supplierId ? suppliers.get(supplierId) : undefined;
  const placing = useAct(place);
  const withdrawing = useAct(withdraw);
  return (
    <Sheet
      fill
      act={
        supplier && supplierId ? (
          <MainKey busy={placing.busy} words="Place the order" onPress={() => placing.press({ supplierId, needIds: supplier.ids })}>
            Order {supplier.ids.length} from {supplier.name}
          </MainKey>
        ) : (
          <p className="p-4">No open needs. They come from Parts when stock is short.</p>
        )
      }
      block={
        <CornerBlock
          cells={[
            { label: "Open needs", value: String(needs.length), large: true },
            { label: "Order desk", value: <span className="simulated">simulated</span> },
          ]}
        />
      }
    >
      <Refused of={[placing, withdrawing]} />
      <StoresPages here="Needs and orders" />
      <div className="mt-3 grid gap-8 lg:grid-cols-[1fr_1fr]">
        <section>
          <h2>Needs</h2>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th>Part</th>
                <th>For</th>
                <th>Sold by, {currency}</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {needs.map((need) => (
                <tr key={need.id}>
                  <td>
                    <span className="num">{need.number}</span> {need.name}
                  </td>
                  <td className="num">
                    <Link className="act-link" href={`/bench/${need.tag}/parts`}>
                      {need.tag}
                    </Link>
                    {need.waitsForYes && (
                      <Link className="act-link block text-note" href={`/bench/${need.tag}/quote`} prefetch={false}>
                        waiting for the customer's OK
                      </Link>
                    )}
                  </td>
                  <td className="text-note">
                    {need.offers.map((offer) => `${offer.supplierName} ${formatMinor(offer.priceMinor)}`).join(", ")}
                    {!need.offers.length && (
                      <Link className="act-link" href={`/library/part/${encodeURIComponent(need.partTypeId)}#offers`} prefetch={false}>
                        No supplier: add an offer
                      </Link>
                    )}
                  </td>
                  <td>
                    <button
                      type="button"
                      className="act-link"
                      onClick={() => withdrawing.press({ needId: need.id })}
                      aria-label={`Withdraw ${need.name} for ${need.tag}`}
                    >
                      withdraw
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {!needs.length && <p className="mt-2">No open needs.</p>}
          {ranked.length > 0 && (
            <fieldset className="mt-3 flex flex-col gap-1">
              <legend>Supplier for this order</legend>
              {ranked.map(([id, row]) => (
                <button
                  key={id}
                  type="button"
                  className="key key-small justify-between"
                  aria-pressed={id === supplierId}
                  onClick={() => setChosen(id)}
                >
                  <span>
                    {row.name}: {row.ids.length} of {needs.length}, {row.leadDays} days
                  </span>
                  <span className="num">
                    {formatMinor(row.sumMinor)} + post {formatMinor(row.postageMinor)}
                  </span>
                </button>
              ))}
            </fieldset>
          )}
        </section>
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
