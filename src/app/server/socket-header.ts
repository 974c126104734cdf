import type { From } from "@/data/sign-in/sessions";

/** What our own server writes of a socket (scripts/serve.mjs), after a secret of this process; null where it did not. */
export function readSocket(value: string | null): Pick<From, "over" | "address"> | null {
  const secret = process.env.ZORBEK_SOCKET;
  const [said, over, address = ""] = (value ?? "").split(" ");
  if (secret && said === secret && (over === "loopback" || over === "network")) return { over, address: address.slice(0, 60) };
  // `next dev` listens on loopback alone and is for whoever changes the program.
  return process.env.NODE_ENV === "development" ? { over: "loopback", address: "127.0.0.1" } : null;
}
