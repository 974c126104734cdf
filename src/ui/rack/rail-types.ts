import type { WhoseMove } from "@/core/schedule/whose-move";

export interface RailTag {
  /** What hangs on as one: a reel's tag, or a lot's. */
  readonly unit: string;
  readonly tag: string;
  readonly href: string;
  readonly owner: string;
  readonly phone: string;
  readonly reel: string;
  readonly station: string;
  readonly move: WhoseMove;
  /** "3 days": since when it is whose move it is. */
  readonly since: string;
  readonly late: boolean;
  readonly promisedOn: string;
  readonly jobIds: readonly number[];
  readonly fromMinutes: number;
  readonly lengthMinutes: number;
}

export interface RailDay {
  readonly day: string;
  readonly words: string;
  /** Why nobody works then; null when somebody does. */
  readonly shut: string | null;
  readonly tags: readonly RailTag[];
  /** Where its last tag ends, or the day itself where that is later. */
  readonly footMinutes: number;
  readonly promisedMinutes: number;
  readonly overMinutes: number;
}

/** A tag on its way to another day. */
export interface Moving {
  readonly tag: RailTag;
  readonly to: string;
}
