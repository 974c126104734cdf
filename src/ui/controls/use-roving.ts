import { type KeyboardEvent, useRef, useState } from "react";

const step: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * A group of like controls as one stop of the Tab key, the arrows going from one to the next (WAI-ARIA authoring practices, roving tabindex).
 * @param count how many there are; each takes `stop(i)`.
 */
export function useRoving<E extends HTMLElement | SVGElement>(count: number) {
  const [at, setAt] = useState(0);
  const members = useRef<(E | null)[]>([]);
  const go = (to: number) => {
    setAt(to);
    members.current[to]?.focus();
  };
  return (i: number) => ({
    ref: (element: E | null) => {
      members.current[i] = element;
    },
    tabIndex: i === Math.min(at, count - 1) ? 0 : -1,
    onFocus: () => setAt(i),
    onKeyDown: (event: KeyboardEvent) => {
      const by = step[event.key];
      if (by === undefined) return;
      event.preventDefault();
      go((i + by + count) % count);
    },
  });
}
