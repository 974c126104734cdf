import { msPerHour, msPerMinute } from "@/core/day/day";

/** How long a device may work on without a word (OWASP ASVS 4.0 V3.3.2, level 2): minutes at rest, hours in all. */
export const sessionLimits = { restMinutes: 30, hours: 12 } as const;
/** How long an invitation for a phone holds. */
export const invitationMinutes = 10;

/** Where a session is: at work, at rest (its person's PIN wakes it), or over. */
export type SessionState = "works" | "rests" | "over";

/**
 * @param over whether it came over the network; on the machine itself nobody rests. A clock that was set back ends nothing early and lets nothing
 * live on: an instant that lies ahead by more than the limit is over.
 */
export function sessionState(
  session: { readonly begunAt: string; readonly seenAt: string; readonly endedAt: string | null; readonly over: "loopback" | "network" },
  now: string,
): SessionState {
  if (session.endedAt !== null) return "over";
  const at = Date.parse(now);
  const age = Math.abs(at - Date.parse(session.begunAt)) / msPerHour;
  if (age > sessionLimits.hours) return "over";
  if (session.over === "loopback") return "works";
  return Math.abs(at - Date.parse(session.seenAt)) / msPerMinute > sessionLimits.restMinutes ? "rests" : "works";
}
