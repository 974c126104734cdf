import { type NextRequest, NextResponse } from "next/server";
import { readSocket } from "@/app/server/socket-header";

/**
 * The gate in front of every request: which names this server answers to, who may send it a change, which other sites' pages may ask it anything,
 * and what a page may load. Who may see what is decided behind it, by the socket and the session (app/server/person.ts).
 */
const loopback = /^(localhost|127\.0\.0\.1|\[::1\])(?::(\d{1,5}))?$/;
/** The port it was started on; unknown where somebody changes the program (next dev). */
const port = process.env.ZORBEK_PORT ?? "";
/** The addresses other devices come in by, as the server was started with. */
const lan = new Set((process.env.ZORBEK_LAN_LISTEN ?? "").split(",").filter(Boolean));
/** The name the shop is reached by from outside, for the links of quotes alone. */
const outside = process.env.ZORBEK_PUBLIC ?? "";
const isQuoteLink = (path: string) => path.startsWith("/q/");
const safeMethods = new Set(["GET", "HEAD", "OPTIONS"]);

function originOf(address: string): string | null {
  try {
    return address ? new URL(address).origin : null;
  } catch {
    return null;
  }
}

/**
 * The origin this server has under a name, as whoever asks reaches it; null for a name it was not started with. Each socket answers to its own names:
 * this computer's to this computer, the network's to the network, and the public one to the links of quotes.
 */
export function ownOrigin(host: string, from: "loopback" | "network", quoteLink: boolean): string | null {
  if (quoteLink && outside && host !== "" && URL.canParse(outside) && new URL(outside).host === host) return originOf(outside);
  if (from === "network") return lan.has(host) ? originOf(`https://${host}`) : null;
  const [, , at] = loopback.exec(host) ?? [];
  if (!loopback.test(host) || (port && (at ?? "80") !== port)) return null;
  return originOf(`http://${host}`);
}

/** Routes that take what is sent to them themselves. */
const doors = /^\/(api|q)\//;
/** Whether a change is one of the acts this program knows the form of: a server action by its id, or a form that names one; or it goes to a door. */
const isAct = (request: NextRequest): boolean =>
  doors.test(request.nextUrl.pathname) ||
  /^[0-9a-f]{20,80}$/.test(request.headers.get("next-action") ?? "") ||
  (request.method === "POST" && (request.headers.get("content-type") ?? "").startsWith("multipart/form-data"));

const refuse = (message: string, status = 403) =>
  new NextResponse(message, { status, headers: { "content-type": "text/plain; charset=utf-8" } });

export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get("host") ?? "";
  const quoteLink = isQuoteLink(request.nextUrl.pathname);
  const from = readSocket(request.headers.get("x-zorbek-socket"))?.over ?? "loopback";
  const own = ownOrigin(host, from, quoteLink);
  if (own === null) return refuse(`Zorbek does not answer to the name ${host.slice(0, 100)}. Use the address it printed when it started.`);
  if (!safeMethods.has(request.method)) {
    // The same host by another scheme or port is another origin (RFC 6454); one that is no address is refused like a foreign one.
    if (originOf(request.headers.get("origin") ?? "") !== own)
      return refuse("This change was sent from another page than Zorbek's own and was not made.");
    if (!isAct(request)) return refuse("This is no act of Zorbek's.", 400);
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
