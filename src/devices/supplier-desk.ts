import { createHash } from "node:crypto";
import type { DeskOrder, SupplierDesk } from "@/core/ordering/supplier-desk";

/** How the stand-in behaves, of 100 orders. */
export interface DeskManners {
  readonly late: number;
  readonly wrong: number;
}

/** A number from 0 to 1 that an order always gets, whatever is asked. */
const drawn = ({ orderId, supplierId }: DeskOrder, what: string): number =>
  createHash("sha256").update(`${what} ${supplierId} ${orderId}`).digest().readUInt32BE(0) / 2 ** 32;

/**
 * The stand-in shipped with Zorbek: acknowledges at once, sends nothing anywhere; now and then it comes later, or packs a wrong piece, and
 * says so on its note.
 */
export const simulatedDesk = ({ late, wrong }: DeskManners): SupplierDesk => ({
  simulated: true,
  async place(order) {
    const reference = `SIM-${order.supplierId.toUpperCase()}-${String(order.orderId).padStart(4, "0")}`;
    const lateDays = drawn(order, "late") < late / 100 ? 2 + Math.floor(drawn(order, "days") * 6) : 0;
    const odd = drawn(order, "wrong") < wrong / 100 ? order.lines[Math.floor(drawn(order, "line") * order.lines.length)] : undefined;
    const notes = [
      lateDays > 0 ? `comes ${lateDays} days later` : "",
      odd ? `its delivery note says ${odd.number}-B in place of one ${odd.number}: look at it when it comes` : "",
    ].filter(Boolean);
    return { reference, lateDays, note: notes.join("; ") };
  },
});

/** The stand-in at its best: never late, never wrong. */
export const simulatedSupplierDesk: SupplierDesk = simulatedDesk({ late: 0, wrong: 0 });
