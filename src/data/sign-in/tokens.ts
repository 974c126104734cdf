import { createHash, randomBytes } from "node:crypto";

/** What is kept of a token: it itself is known to whoever was given it alone. */
export const hashToken = (token: string): string => createHash("sha256").update(token).digest("hex");

/** 256 bits from the system's own source. */
export const newToken = (): string => randomBytes(32).toString("base64url");
