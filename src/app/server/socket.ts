import "server-only";
import { headers } from "next/headers";
import type { From } from "@/data/sign-in/sessions";
import { readSocket } from "./socket-header";

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
