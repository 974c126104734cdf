import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { CleanGroup } from "./plan";

/** Parts of one reel in a bath. */
export interface SoakJob {
  readonly jobId: number;
  readonly tag: string;
  readonly modelId: string;
  /** What tells them from those of a like reel. */
  readonly mark: string;
  readonly parts: number;
}

/** A bath that has not been emptied yet. */
export interface Soak {
  readonly id: number;
  readonly method: CleanMethod;
  readonly startedAt: string;
  readonly dueAt: string;
  readonly jobs: readonly SoakJob[];
}

/** Parts of a tray that are cleaned one way, by where they are now. */
export interface TrayGroup extends CleanGroup {
  readonly waiting: readonly string[];
  readonly soaking: readonly string[];
  readonly clean: readonly string[];
}
