/** What a user or their data can cause is a value, not an exception: the screen shows `message` beside `field`. */
export type Result<T, C extends string = string> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly code: C; readonly message: string };

export const ok = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

export const fail = <C extends string>(code: C, message: string): { readonly ok: false; readonly code: C; readonly message: string } => ({
  ok: false,
  code,
  message,
});
