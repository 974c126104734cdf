"use client";
import Link from "next/link";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { MainKey } from "@/ui/controls/keys";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

interface ShownOffer {
  readonly supplierId: string;
  readonly supplierName: string;
  readonly priceMinor: number;
  readonly postageMinor: number;
  readonly leadDays: number;
}

interface Props {
  readonly needs: readonly { id: number; tag: string; number: string; name: string; offers: readonly ShownOffer[] }[];
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
  readonly stock: readonly {
    partTypeId: string;
    number: string;
    name: string;
    bin: string;
    count: number;
    minimum: number;
    keptAside: number;
  }[];
  /** Pieces off scrapped reels, each with the reel it came from. */
  readonly donors: readonly {
    id: number;
    number: string;
    name: string;
    condition: string;
    priceMinor: number;
    drawer: string;
    origin: string;
    reelId: number;
  }[];
  readonly currency: string;
  readonly highlight: string | null;
  readonly place: Action<{ orderId: number }>;
  readonly receive: Action<{ keptAsideFor: string[] }>;
  readonly withdraw: Action<void>;
  readonly count: Action<void>;
}

/** Needs pooled over jobs, orders under way, the bins. */
export function StoresSheet({ needs, orders, stock, donors, currency, highlight, place, receive, withdraw, count }: Props) {
  const suppliers = new Map<string, { name: string; postageMinor: number; leadDays: number; ids: number[]; sumMinor: number }>();
  for (const need of needs)
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
          <p className="p-4">No open needs. They come from Parts when a bin is short.</p>
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
      <Refused message={placing.message ?? withdrawing.message} />
      <div className="grid gap-8 lg:grid-cols-[1fr_1fr]">
        <section>
          <h1>Needs</h1>
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
                  </td>
                  <td className="text-note">
                    {need.offers.map((offer) => `${offer.supplierName} ${formatMinor(offer.priceMinor)}`).join(", ")}
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
          {!needs.length && <p className="mt-2">Nothing is wanted.</p>}
          {ranked.length > 0 && (
            <fieldset className="mt-3 flex flex-col gap-1">
              <legend>Where it goes on one parcel</legend>
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
          <h2 className="mt-6">Orders</h2>
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
        <section>
          <h1>Bins</h1>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th>Bin</th>
                <th>Part</th>
                <th className="text-right">Lies</th>
                <th className="text-right">Least</th>
                <th>Counted</th>
              </tr>
            </thead>
            <tbody>
              {stock.map((line) => (
                <BinRow key={line.partTypeId} line={line} count={count} highlight={line.partTypeId === highlight} />
              ))}
            </tbody>
          </table>
          {donors.length > 0 && (
            <>
              <h2 className="mt-6">Off donors</h2>
              <table className="plain-table">
                <thead>
                  <tr>
                    <th>Drawer</th>
                    <th>Piece</th>
                    <th>Came off</th>
                    <th className="text-right">Asked, {currency}</th>
                  </tr>
                </thead>
                <tbody>
                  {donors.map((piece) => (
                    <tr key={piece.id}>
                      <td>{piece.drawer || "–"}</td>
                      <td>
                        <span className="num">{piece.number}</span> {piece.name}, {piece.condition}
                      </td>
                      <td>
                        <Link className="act-link" href={`/ledger/reel/${piece.reelId}`} prefetch={false}>
                          {piece.origin}
                        </Link>
                      </td>
                      <td className="num text-right">{formatMinor(piece.priceMinor)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
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
    <li className="rule-row flex flex-wrap items-center gap-3 py-1">
      <span className="num">{line.number}</span>
      <span>{line.name}</span>
      <span className="text-note">{line.tags}</span>
      <span className="num ml-auto">
        {line.received} of {line.quantity} in
      </span>
      {outstanding > 0 && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            act.press({ orderLineId: line.id, quantity: quantity.trim() === "" ? null : Number(quantity) });
          }}
        >
          <input
            className="w-16"
            style={{ width: 64 }}
            inputMode="decimal"
            aria-label={`How many ${line.name} came`}
            value={quantity}
            onChange={(event) => setQuantity(event.target.value)}
            aria-invalid={Boolean(act.fields.quantity)}
          />
          <button type="submit" className="key key-small" disabled={act.busy}>
            Came in
          </button>
        </form>
      )}
      {act.message && (
        <p role="alert" className="alarm w-full">
          {act.message}
        </p>
      )}
    </li>
  );
}

function BinRow({ line, count, highlight }: { line: Props["stock"][number]; count: Props["count"]; highlight: boolean }) {
  const [counted, setCounted] = useState("");
  const act = useAct(count, () => setCounted(""));
  return (
    <tr className={highlight ? "outline-2 outline-ink" : ""}>
      <td className="num">{line.bin}</td>
      <td>
        <span className="num">{line.number}</span> {line.name}
        {act.message && (
          <p role="alert" className="alarm">
            {act.message}
          </p>
        )}
      </td>
      <td className="num text-right">
        {line.count}
        {line.keptAside > 0 && <span className="text-note"> ({line.keptAside} kept)</span>}
      </td>
      <td className="num text-right">{line.minimum}</td>
      <td>
        <form
          className="flex gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            act.press({ partTypeId: line.partTypeId, count: counted.trim() === "" ? null : Number(counted) });
          }}
        >
          <input
            style={{ width: 64 }}
            inputMode="decimal"
            aria-label={`Counted ${line.number}`}
            value={counted}
            onChange={(event) => setCounted(event.target.value)}
            aria-invalid={Boolean(act.message)}
          />
          <button type="submit" className="key key-small" disabled={act.busy}>
            Set
          </button>
        </form>
      </td>
    </tr>
  );
}
