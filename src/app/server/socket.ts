import "server-only";
import { headers } from "next/headers";
import type { From } from "@/data/shop/sign-in";

/** What our own server writes of a socket (scripts/serve.mjs), after a secret of this process; null where it did not. */
export function readSocket(value: string | null): Pick<From, "over" | "address"> | null {
  const secret = process.env.ZORBEK_SOCKET;
  const [said, over, address = ""] = (value ?? "").split(" ");
  if (secret && said === secret && (over === "loopback" || over === "network")) return { over, address: address.slice(0, 60) };
  // `next dev` listens on loopback alone and is for whoever changes the program.
  return process.env.NODE_ENV === "development" ? { over: "loopback", address: "127.0.0.1" } : null;
}

/** A browser in a word or two, for a list of devices. */
export function deviceWords(agent: string): string {
  const on = /(iPhone|iPad|Android|Windows|Macintosh|CrOS|Linux)/.exec(agent)?.[1] ?? "a device";
  return on === "Macintosh"
    ? "a Mac"
    : on === "CrOS"
      ? "a Chromebook"
      : on === "a device"
        ? on
        : `${/^[AI]/.test(on) ? "an" : "a"} ${on} device`;
}

/** Where the request that is answered came from. One that did not come through our server came from nowhere. */
export async function fromSocket(): Promise<From | null> {
  const given = await headers();
  const socket = readSocket(given.get("x-zorbek-socket"));
  return socket && { ...socket, device: deviceWords(given.get("user-agent") ?? "") };
}
