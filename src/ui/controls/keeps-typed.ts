import type { FocusEvent } from "react";

/**
 * For a form of its own small keeping: what was typed in one of its fields is kept when the hand goes elsewhere, to the main key or another part.
 * Within the form the next press keeps it anyway.
 */
export function keepsTyped(event: FocusEvent<HTMLFormElement>): void {
  const { target, currentTarget, relatedTarget } = event;
  if (!(target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement)) return;
  if (target.type === "radio" || target.type === "checkbox" || target.value === target.defaultValue) return;
  if (relatedTarget instanceof Node && currentTarget.contains(relatedTarget)) return;
  currentTarget.requestSubmit();
}
