import { groupBy } from "@/core/group-by";
import type { Db } from "@/data/database/database";

/** Pieces of an order line that came wrong or broken. */
export interface BadPiece {
  readonly id: number;
  readonly orderLineId: number;
  readonly kind: "wrong" | "broken";
  readonly pieces: number;
  readonly words: string;
  readonly state: "here" | "sent-back" | "replaced" | "credited";
  readonly creditMinor: number | null;
}

export const badPiecesOf = (db: Db, orderLineIds: readonly number[]): ReadonlyMap<number, BadPiece[]> =>
  groupBy(
    db
      .prepare(
        `SELECT id, order_line_id AS orderLineId, kind, pieces, words, state, credit_minor AS creditMinor FROM bad_piece
         WHERE order_line_id IN (SELECT value FROM json_each(?)) ORDER BY id`,
      )
      .all(JSON.stringify(orderLineIds)) as BadPiece[],
    ({ orderLineId }) => orderLineId,
  );
