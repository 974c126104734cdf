import type { Sentence } from "@/core/account/sentences";
import type { PartType } from "@/core/anatomy/types";
import type { Plate } from "@/core/schematic/assembly-plate";

/** What the owner's report says, whatever it is printed on. */
export interface ReportTest {
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly change: string;
  /** Why it was left out, by phase, in words. */
  readonly leftOut: readonly string[];
  readonly simulated: boolean;
  /** Bars to scale, both over the larger of the two; null when there is no number. */
  readonly bars: { readonly before: number; readonly after: number } | null;
}

export interface Report {
  readonly shopName: string;
  readonly tag: string;
  readonly owner: string;
  readonly reel: string;
  readonly serial: string;
  /** Who made it, when and where, as it was read or guessed; empty where nobody said. */
  readonly made: string;
  readonly hand: string;
  readonly openedOn: string;
  readonly closedOn: string | null;
  /** What it came for, and how deep. */
  readonly cameFor: string;
  readonly complaint: string;
  /** What the customer asked, answered in the technician's words; and what we did wrong ourselves. Empty where nobody said. */
  readonly answer: string;
  readonly ourMistake: string;
  /** Pictures chosen at the bench, by the hash of their bytes, each with what it shows. */
  readonly pictures: readonly { readonly hash: string; readonly shows: string }[];
  /** Marks it came with, in words; empty when none were written down. */
  readonly asFound: string;
  /** Why it is returned unrepaired; null where it was worked on. */
  readonly declined: string | null;
  /** What a seller said, each as it stands after the check, and what it would cost to put the reel right; null for work that was done. */
  readonly check: {
    readonly claims: readonly { readonly claim: string; readonly standing: string; readonly because: string }[];
    readonly putRight: number;
  } | null;
  /** What was found, opened, cleaned, sealed, oiled and checked: each sentence with the acts that bear it out. */
  readonly told: readonly Sentence[];
  /** Faults by name, as a sheet of many reels lists them. */
  readonly faults: readonly string[];
  /** Seats that came off or were oiled where they sit. */
  readonly touched: readonly string[];
  /** Each complaint with the test that answers it, before and after. */
  readonly answers: readonly string[];
  readonly drawing: Plate | null;
  readonly parts: readonly {
    readonly number: string;
    readonly words: string;
    readonly price: number;
    readonly type: PartType;
    readonly turned: boolean;
  }[];
  /** What gauges said of this reel and somebody kept. */
  readonly computed: readonly string[];
  /** What can hurt the owner too: an old lining. */
  readonly cautions: readonly string[];
  readonly leftOut: readonly { readonly name: string; readonly reason: string }[];
  /** What to look at next time, in words. */
  readonly watch: readonly string[];
  readonly tests: readonly ReportTest[];
  readonly advice: readonly string[];
  /** What was added after it was handed back: what was wrong in it, or came later. */
  readonly corrections: readonly { readonly on: string; readonly words: string; readonly amount: number }[];
  /** Who worked on it, by what they did; whose the old parts are; how it came and went; until when our work is warranted. In words. */
  readonly workedBy: string;
  readonly oldParts: string;
  readonly parcels: readonly string[];
  readonly warranty: string;
  /** SHA-256 of the file that holds the whole job; null until it is handed back. */
  readonly fileHash: string | null;
  readonly nextService: string;
  /** When each component is due, soonest first: ISO date, and whether the owner does it. */
  readonly due: readonly {
    readonly id: string;
    readonly component: string;
    readonly what: string;
    readonly on: string;
    readonly because: string;
    readonly byOwner: boolean;
  }[];
  /** Components this bench has not served yet. */
  readonly notServed: readonly string[];
  readonly price: {
    readonly labour: number;
    readonly parts: number;
    /** What the work was priced as: from the price list at its price, or by its minutes. */
    readonly workLines: readonly { readonly words: string; readonly minutes: number; readonly price: number | null }[];
    /** What an hour of it costs. */
    readonly anHour: number;
    readonly extras: readonly { readonly words: string; readonly price: number }[];
    readonly discount: number;
    readonly deposit: number;
    readonly tax: number;
    readonly taxPercent: number;
    readonly total: number;
    readonly currency: string;
  };
}
