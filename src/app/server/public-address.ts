/** Where the shop is reached from outside, as its server was started with: ZORBEK_PUBLIC, such as https://quotes.example. Null where it is not. */
export const publicAddress = (): string | null => process.env.ZORBEK_PUBLIC?.replace(/\/+$/, "") || null;

/** The link of a quote. */
export const linkOf = (token: string): string | null => {
  const address = publicAddress();
  return address === null ? null : `${address}/q/${token}`;
};
