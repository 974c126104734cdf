export interface OrderLine {
  readonly number: string;
  readonly quantity: number;
}

export interface DeskOrder {
  readonly orderId: number;
  readonly supplierId: string;
  readonly lines: readonly OrderLine[];
}

/** A supplier's order desk. Placing the same order id twice must be one order there. */
export interface SupplierDesk {
  readonly simulated: boolean;
  place(order: DeskOrder): Promise<{ reference: string }>;
}
