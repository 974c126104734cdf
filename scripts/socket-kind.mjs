// What our server says of a request's socket. Pure, so that it can be tried with any.

/** This computer speaking to itself, at both ends of the socket; anything else is another device. */
const own = new Set(["127.0.0.1", "::1", "::ffff:127.0.0.1"]);

/**
 * The header that tells the program where a request came from. What stands in it already is believed only when it carries this process's secret: then
 * the request was sent on by the program itself (an action that is answered elsewhere), and comes from where the first one came from.
 * @param {{ secret: string, secure: boolean, remoteAddress: string, localAddress: string, given: string | undefined }} of
 */
export function socketHeader({ secret, secure, remoteAddress, localAddress, given }) {
  const [said, kind] = (given ?? "").split(" ");
  if (said === secret && (kind === "loopback" || kind === "network")) return given;
  const here = !secure && own.has(remoteAddress) && own.has(localAddress) ? "loopback" : "network";
  return `${secret} ${here} ${remoteAddress.replace(/^::ffff:/, "")}`;
}

/** The largest body whoever asks may send, bytes: before anything of it is read. A drawing has twelve megabytes, a spreadsheet of an owner's forty. */
export const mostBytes = { stranger: 64 * 1024, worker: 13 * 1024 * 1024, owner: 41 * 1024 * 1024 };

/**
 * @param {"loopback" | "network"} kind @param {string | null} role of the session the request has; null for none that holds.
 */
export const bodyLimit = (kind, role) =>
  kind === "loopback" ? mostBytes.owner : role === "owner" ? mostBytes.owner : role ? mostBytes.worker : mostBytes.stranger;

/** The longest address that is read, characters: none of the program's own has a tenth of it. */
const mostAddress = 8000;
const canBeRead = (text) => {
  try {
    const read = decodeURIComponent(text);
    // Next itself fails at a step upwards that is written in escapes.
    return !read.includes("\0") && !read.split(/[/\\]/).includes("..");
  } catch {
    return false;
  }
};

/**
 * Why a request is none, before anything else looks at it: its address, or where in the program it says it is, cannot be read. @returns null for one that can.
 * @param {string} url @param {string | undefined} routerState what a page of ours says of where it is, as JSON in escapes
 * @returns {{ status: number, words: string } | null}
 */
export function requestFault(url, routerState) {
  if (url.length > mostAddress) return { status: 414, words: "The address is too long." };
  if (!canBeRead(url.split("?")[0])) return { status: 400, words: "The address cannot be read." };
  if (routerState === undefined) return null;
  try {
    JSON.parse(decodeURIComponent(routerState));
    return null;
  } catch {
    return { status: 400, words: "This is no request of Zorbek's." };
  }
}
