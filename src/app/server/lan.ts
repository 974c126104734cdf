import "server-only";

/** Where other devices come in, as addresses to open; none when it was started without --lan. */
export const lanAddresses = (): string[] =>
  (process.env.ZORBEK_LAN_LISTEN ?? "")
    .split(",")
    .filter(Boolean)
    .map((one) => `https://${one}`);
