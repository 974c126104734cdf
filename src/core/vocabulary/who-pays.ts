/** Who pays for our own work that came back: asked before anything else. */
export const whoPays = {
  us: "we do: it is our work",
  customer: "the customer: a new fault",
  open: "decide once it is open",
} as const;
export type WhoPays = keyof typeof whoPays;
export const whoPaysIds = Object.keys(whoPays) as [WhoPays, ...WhoPays[]];
