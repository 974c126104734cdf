import type { Role } from "@/core/sign-in/permissions";
import type { WayOut } from "@/core/vocabulary/way-out";
import type { Db } from "./database";

export interface Person {
  readonly id: number;
  readonly name: string;
  readonly role: Role;
}

/** What every write is given: the database, who acts, and the instant (UTC, ISO 8601). */
export interface Context {
  readonly db: Db;
  readonly person: Person;
  readonly now: string;
  /** The device it came from; none for what programs of the machine itself do. */
  readonly session?: { readonly id: number; readonly over: "loopback" | "network" } | null;
}

/**
 * Something a user or their data caused. Thrown inside the transaction so that it rolls back; the action wrapper turns it into words beside
 * the field. Anything else that is thrown is a fault of the program.
 */
export class Refusal extends Error {
  override readonly name = "Refusal";
  constructor(
    readonly code: string,
    message: string,
    readonly field: string | null = null,
    /** Where it can be put right, one press away. */
    readonly way: WayOut | null = null,
  ) {
    super(message);
  }
}
