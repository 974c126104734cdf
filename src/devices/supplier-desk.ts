import type { SupplierDesk } from "@/core/ordering/supplier-desk";

/** The stand-in shipped with Zorbek: acknowledges at once, sends nothing anywhere. */
export const simulatedSupplierDesk: SupplierDesk = {
  simulated: true,
  async place(order) {
    return { reference: `SIM-${order.supplierId.toUpperCase()}-${String(order.orderId).padStart(4, "0")}` };
  },
};
