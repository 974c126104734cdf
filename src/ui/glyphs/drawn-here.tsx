"use client";
import { type ReactNode, useSyncExternalStore } from "react";

const never = () => () => undefined;

/**
 * Draws in the browser alone, as soon as the page is there: a drawing of a thousand lines would else be sent twice, as its lines and as what they are
 * made from, and made on the server for every page.
 */
export function DrawnHere({ children }: { children: () => ReactNode }) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return here ? children() : null;
}
