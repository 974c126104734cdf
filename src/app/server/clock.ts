/** The shop's day. The server's clock and zone are the shop's. */
export const today = (): string => new Date().toLocaleDateString("sv-SE");
