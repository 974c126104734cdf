/** A letter that leaves by mail. */
export interface Mail {
  readonly from: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly attachments: readonly { readonly filename: string; readonly content: Buffer; readonly contentType: string }[];
}

/** Whoever takes the shop's mail. */
export interface MailDesk {
  readonly simulated: boolean;
  /** @returns what it is known by there. @throws when it was not taken. */
  send(mail: Mail): Promise<{ reference: string }>;
}
