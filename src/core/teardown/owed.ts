import type { Step } from "./step";

/** A step that stands in nobody's way: done, not to be done, or left off by somebody's word. What is only left for later is none of these. */
export const isSettled = ({ state, notDue, note }: Pick<Step, "state" | "notDue" | "note">): boolean =>
  state === "done" || notDue || (state === "skipped" && note !== "");

/** A step left for later without a word: it is owed before anything goes over it. */
export const isOwed = ({ state, notDue, note }: Pick<Step, "state" | "notDue" | "note">): boolean =>
  state === "skipped" && note === "" && !notDue;

/** Acts that somebody's word let go: no part stays out, but this was not done. */
export const notDoneByWord = <S extends Pick<Step, "operation" | "state" | "note">>(steps: readonly S[]): S[] =>
  steps.filter(({ operation, state, note }) => state === "skipped" && note !== "" && operation.kind !== "place");

/** Those of some steps that would put an old piece back though a fault of it was proved: somebody is asked first. */
export const oldPieces = <S extends Pick<Step, "operation" | "state" | "well">>(steps: readonly S[]): S[] =>
  steps.filter(({ operation, state, well }) => operation.kind === "place" && state !== "done" && (well?.toRenew.length ?? 0) > 0);
