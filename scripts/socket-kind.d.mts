export function socketHeader(of: {
  secret: string;
  secure: boolean;
  remoteAddress: string;
  localAddress: string;
  given: string | undefined;
}): string;
export const mostBytes: { stranger: number; worker: number; owner: number };
export function bodyLimit(kind: "loopback" | "network", role: string | null): number;
export function requestFault(url: string, routerState: string | undefined): { readonly status: number; readonly words: string } | null;
