/** Where a piece can come from beside bin and donor, in the words of the form and of the report. */
export const pieceSources = {
  drawer: { name: "a drawer, not on record", said: "from the drawer" },
  counter: { name: "bought over the counter", said: "bought for it" },
  customer: { name: "the customer's own", said: "the customer's own piece" },
  made: { name: "cut or made here", said: "made here" },
} as const;
export type PieceSource = keyof typeof pieceSources;
export const pieceSourceIds = Object.keys(pieceSources) as [PieceSource, ...PieceSource[]];
