/** Texts for a customer's phone, ready to send from the shop's own: one line each, who writes last. */
export const textMessages = {
  ready: (of: { readonly reel: string; readonly tag: string; readonly shop: string }): string =>
    `Your ${of.reel} (${of.tag}) is ready to collect. ${of.shop}`,
  quote: (of: { readonly reel: string; readonly tag: string; readonly sum: string; readonly shop: string }): string =>
    `We have a question about your ${of.reel} (${of.tag}): the repair comes to ${of.sum}, tax included. May we go ahead? ${of.shop}`,
} as const;
