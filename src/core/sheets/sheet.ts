/** A word as it stands on a page, in any unit of length: x to the right, y downward, from the page's own corner. */
export interface WordBox {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** The page it is on; the first where nothing is said. */
  readonly page?: number | undefined;
  /** Turned by so many degrees; 0 where it stands upright. */
  readonly turned?: number | undefined;
  /** How sure its reader is, from 0 to 1; a text layer is. */
  readonly sure?: number | undefined;
  /** Where it stands on a page that lies askew; where it says nothing, as it is. */
  readonly own?: Pick<WordBox, "x" | "y" | "w" | "h"> | undefined;
}

export const listFields = ["callout", "number", "description", "quantity", "price", "remarks"] as const;
export type ListField = (typeof listFields)[number];
export type Box = Pick<WordBox, "x" | "y" | "w" | "h">;

export interface ListRow {
  readonly page: number;
  /** Of several lists beside each other, the first is 0. */
  readonly block: number;
  readonly cells: Readonly<Partial<Record<ListField, string>>>;
  /** Where each cell stands, for its cutting. */
  readonly boxes: Readonly<Partial<Record<ListField, Box>>>;
  /** As a whole number; null where it says none, or "as required". */
  readonly quantity: number | null;
  readonly priceMinor: number | null;
  readonly doubts: readonly { readonly field: ListField; readonly why: string }[];
}

export interface ListColumn {
  readonly page: number;
  readonly block: number;
  readonly field: ListField;
  readonly from: number;
  readonly to: number;
  /** What stands above it; nothing where the list has no header. */
  readonly header: string;
}

/** A column of which nothing tells what stands in it. */
export type UnreadColumn = Omit<ListColumn, "field"> & { readonly field: null };

/** A column as somebody set it: where it lies, and what stands in it; null for one that is not read. */
export type ColumnSaid = Omit<ListColumn, "field" | "header"> & { readonly field: ListField | null };

/** What is known of a sheet beside its words. */
export interface ReadingSaid {
  /** Its columns, where somebody set them; a page without one is read as it stands. */
  readonly columns?: readonly ColumnSaid[];
  /** Headers the shop has named, in small letters, beside those that are common. */
  readonly headers?: ReadonlyMap<string, ListField>;
}

/** A numeral of the drawing, with the row it belongs to. */
export interface Callout extends Box {
  readonly text: string;
  readonly page: number;
  readonly row: number | null;
}

export interface ReadList {
  readonly rows: readonly ListRow[];
  readonly columns: readonly ListColumn[];
  readonly others: readonly UnreadColumn[];
  readonly callouts: readonly Callout[];
  /** What is odd about the list as a whole. */
  readonly doubts: readonly string[];
}
