import type { PartType } from "@/core/anatomy/types";
import type { TraceSample } from "@/core/proving/trace";
import type { Plate } from "@/core/schematic/assembly-plate";
import type { Report } from "./report";

/** A picture as it lies on disk; null where its file is gone. */
export type PictureBytes = Uint8Array | null;

/** A reading, and where it was recorded its samples. */
export interface RecordedReading {
  readonly name: string;
  readonly when: "before" | "after";
  readonly said: string;
  readonly on: string;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly TraceSample[] | null;
  readonly unit: string;
}

/** Everything of a job its owner may keep: the report, step by step with drawings and pictures, every reading, every piece with its origin. */
export interface OwnerRecord {
  readonly report: Report;
  readonly plates: readonly Plate[];
  readonly names: ReadonlyMap<string, string>;
  readonly asItCame: readonly PictureBytes[];
  readonly off: readonly {
    readonly well: number;
    readonly name: string;
    readonly type: PartType;
    readonly turned: boolean;
    readonly said: string;
    readonly picture: PictureBytes | undefined;
  }[];
  readonly back: readonly { readonly words: string; readonly note: string; readonly on: string }[];
  readonly readings: readonly RecordedReading[];
  readonly pieces: readonly { readonly seat: string; readonly number: string; readonly what: string; readonly origin: string }[];
}
