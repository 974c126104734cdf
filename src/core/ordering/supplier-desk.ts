export interface OrderLine {
  readonly number: string;
  readonly quantity: number;
}

export interface DeskOrder {
  readonly orderId: number;
  readonly supplierId: string;
  readonly lines: readonly OrderLine[];
}

export interface DeskAnswer {
  readonly reference: string;
  /** Days it will come later than its supplier's usual; 0 when it comes as usual. */
  readonly lateDays?: number;
  /** What the desk says beside, in words; empty for nothing. */
  readonly note?: string;
}

/** A supplier's order desk. Placing the same order id twice must be one order there. */
export interface SupplierDesk {
  readonly simulated: boolean;
  place(order: DeskOrder): Promise<DeskAnswer>;
}
