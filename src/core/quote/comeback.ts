import type { Fault } from "@/core/diagnosis/fault";
import type { JobKind } from "@/core/vocabulary/job-kinds";
import type { WhoPays } from "@/core/vocabulary/who-pays";

interface Comeback {
  readonly kind: JobKind;
  /** Who pays, as it was said; of a job from before it was asked, we do. */
  readonly pays?: WhoPays | undefined;
}

/** Our own work come back: it costs nothing by itself, as long as nobody has said that the customer pays for it. */
export const isOurOwnWork = ({ kind, pays }: Comeback): boolean => kind === "comeback" && pays !== "customer";

/** Whether it is said line by line what of it is ours: once it is known that we pay. */
export const isPaidByLine = ({ kind, pays = "us" }: Comeback): boolean => kind === "comeback" && pays === "us";

/** What a comeback (our own repair) covers, line by line: what it covers costs nothing, the rest is a repair like another. */
export interface Cover {
  readonly pays: WhoPays;
  /** Faults found the last time. */
  readonly found: ReadonlySet<string>;
  /** Roles of the parts we had in our hands the last time. */
  readonly touched: ReadonlySet<string>;
  /** Seats that got a new piece the last time. */
  readonly renewed: ReadonlySet<string>;
  /** What somebody said of a single line: `fault ID` or `part SEAT` is ours, or the customer's. */
  readonly said: ReadonlyMap<string, boolean>;
}

/** Names a line of a comeback's quote. */
export const coverLine = (kind: "fault" | "part", ref: string): string => `${kind} ${ref}`;

/**
 * Whether the work on a fault is ours. Found again, or in what we had in our hands, it is; while nobody knows who pays nothing is priced; and a
 * person's word on the line decides.
 */
export function coversFault(cover: Cover | null, fault: Pick<Fault, "id" | "needs" | "remedy">): boolean {
  if (!cover || cover.pays === "customer") return false;
  if (cover.pays === "open") return true;
  const roles = [...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])];
  return cover.said.get(coverLine("fault", fault.id)) ?? (cover.found.has(fault.id) || roles.some((role) => cover.touched.has(role)));
}

/** Whether a new piece for a seat is ours: what we renewed the last time, or what a fault that is ours asks for. @param by that fault. */
export function coversPart(cover: Cover | null, positionId: string, by: Pick<Fault, "id" | "needs" | "remedy"> | null): boolean {
  if (!cover || cover.pays === "customer") return false;
  if (cover.pays === "open") return true;
  return cover.said.get(coverLine("part", positionId)) ?? (cover.renewed.has(positionId) || (by !== null && coversFault(cover, by)));
}
