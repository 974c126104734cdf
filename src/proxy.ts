import { type NextRequest, NextResponse } from "next/server";

/**
 * The gate in front of every request: which names this server answers to, who may send it a change, which other sites' pages may ask it anything,
 * and what a page may load. Who may see what is decided behind it, by the socket and the session (app/server/person.ts).
 */
const loopback = /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/;
/** The addresses other devices come in by, as the server was started with. */
const lan = new Set((process.env.ZORBEK_LAN_LISTEN ?? "").split(",").filter(Boolean));
/** The name the shop is reached by from outside, for the links of quotes alone. */
const outside = hostOf(process.env.ZORBEK_PUBLIC ?? "");
const isQuoteLink = (path: string) => path.startsWith("/q/");
const safeMethods = new Set(["GET", "HEAD", "OPTIONS"]);

function hostOf(address: string): string {
  try {
    return address ? new URL(address).host : "";
  } catch {
    return "";
  }
}

const refuse = (message: string) => new NextResponse(message, { status: 403, headers: { "content-type": "text/plain; charset=utf-8" } });

export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get("host") ?? "";
  const quoteLink = isQuoteLink(request.nextUrl.pathname);
  if (!loopback.test(host) && !lan.has(host) && !(quoteLink && host !== "" && host === outside))
    return refuse(`Zorbek does not answer to the name ${host.slice(0, 100)}. Use the address it printed when it started.`);
  if (!safeMethods.has(request.method)) {
    const origin = request.headers.get("origin");
    // An Origin that is no address is refused like a foreign one.
    if (hostOf(origin ?? "") !== host) return refuse("This change was sent from another page than Zorbek's own and was not made.");
  }
  // Another site's page may lead here by a link, and load nothing of ours (Fetch Metadata, W3C).
  const site = request.headers.get("sec-fetch-site");
  const isLink = request.headers.get("sec-fetch-mode") === "navigate" && request.headers.get("sec-fetch-dest") === "document";
  if ((site === "cross-site" || site === "same-site") && !isLink) return refuse("Another site's page asked for this. It is not given.");
  // A quote's page brings its own, stricter policy.
  if (quoteLink) return NextResponse.next();
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : ""}`,
    // Scripts are strict. Style attributes (sizes of drawings) are allowed, style elements only with the nonce.
    `style-src-elem 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("x-zorbek-path", `${request.nextUrl.pathname}${request.nextUrl.search}`.slice(0, 500));
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = { matcher: ["/((?!_next/static|_next/image|icon.svg).*)"] };
