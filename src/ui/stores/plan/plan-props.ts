import type { PartType } from "@/core/anatomy/types";
import type { Grade } from "@/core/interchange/interchange";
import type { OrderProblem } from "@/core/ordering/plan/problem";

export interface PlanProps {
  readonly problem: OrderProblem;
  readonly needs: readonly {
    readonly needId: number;
    readonly tag: string;
    readonly partTypeId: string;
    readonly lowestGrade: Grade;
    readonly promised: string;
    readonly waitsForYes: boolean;
    readonly nowhere: boolean;
    /** Where nobody sells it: what is left. */
    readonly ways: readonly { readonly kind: "donor" | "instead"; readonly grade: Grade; readonly words: string }[];
    readonly tell: string;
    readonly noLongerMade: boolean;
  }[];
  readonly bins: readonly { readonly partTypeId: string; readonly bin: string; readonly missing: number; readonly position: number }[];
  readonly parts: Readonly<Record<string, PartType>>;
  readonly suppliers: readonly {
    readonly id: string;
    readonly name: string;
    readonly freePostFromMinor: number | null;
    readonly lead: { readonly days: number; readonly parcels: number };
  }[];
  readonly here: Readonly<Record<string, string>>;
  /** The days orders go out, in words, by slot. */
  readonly slotDays: readonly string[];
  /** The day so many days ahead, in words. */
  readonly dayWords: readonly string[];
  readonly leadChance: number;
  /** Orders go to a stand-in that answers. */
  readonly simulated: boolean;
}

export interface Basket {
  readonly supplierId: string;
  readonly lines: readonly { readonly partTypeId: string; readonly packs: number; readonly priceMinor: number }[];
  readonly gets: readonly { readonly needId: number; readonly partTypeId: string }[];
}
