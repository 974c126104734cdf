import Link from "next/link";
import type { DiscountClass } from "@/core/quote/discounts";
import type { FamilyId } from "@/core/vocabulary/families";
import type { Choice } from "@/ui/controls/search-field";

export interface CustomerChoice extends Choice {
  readonly discountClass: DiscountClass;
  readonly glance: string;
}
export interface ModelChoice extends Choice {
  readonly family: FamilyId;
}

export interface OfferedReel {
  readonly id: number;
  readonly words: string;
}

/** What the shop knows of a serial, as the counter asks for it. */
export interface Known {
  readonly reel: {
    readonly id: number;
    readonly model: ModelChoice;
    readonly owner: CustomerChoice;
    readonly hand: "right" | "left";
  } | null;
  /** Reels that a serial with unreadable signs may be. */
  readonly alike?: readonly OfferedReel[];
  /** Its history in a few sentences. */
  readonly glance?: readonly string[];
  readonly visits?: readonly {
    readonly tag: string;
    readonly on: string;
    readonly open: boolean;
    /** Handed back after work of ours. */
    readonly worked: boolean;
    /** Why it went back unrepaired. */
    readonly declined: string | null;
    readonly findings: readonly string[];
  }[];
}

/** A reel that was here before: its history in a breath, its last visits, and whether our own work came back with it. */
export function KnownReel({ known, onComeback }: { known: Known; onComeback: (() => void) | null }) {
  const { reel, glance = [], visits = [] } = known;
  if (!reel) return null;
  return (
    <div role="status" className="border-2 border-ink p-2">
      <p className="font-semibold">
        Known reel: {reel.model.name}, {reel.owner.name}. {glance.join(" ")}
      </p>
      <ul>
        {visits.slice(0, 3).map((visit) => (
          <li key={visit.tag}>
            {visit.on} <span className="num">{visit.tag}</span>
            {visit.open ? " still in the shop" : ""}:{" "}
            {visit.declined !== null ? `returned unrepaired, ${visit.declined}` : visit.findings.join("; ") || "no fault recorded"}
          </li>
        ))}
      </ul>
      <div className="mt-1 flex items-center gap-3">
        <Link className="act-link" href={`/ledger/reel/${reel.id}`}>
          Full history
        </Link>
        {onComeback && visits.some((visit) => visit.worked) && (
          <button type="button" className="key key-small" onClick={onComeback}>
            Comeback of our work
          </button>
        )}
      </div>
    </div>
  );
}
