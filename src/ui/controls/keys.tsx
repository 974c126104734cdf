"use client";
import type { ReactNode } from "react";
import { useShortcut } from "@/ui/keys/keys";
import { keyWords } from "@/ui/shell/rooms";

interface KeyProps {
  readonly children: ReactNode;
  readonly onPress: () => void;
  readonly busy?: boolean;
  readonly disabled?: boolean;
  readonly shortcut?: string;
  readonly words?: string;
  /** Its name where several keys on a page read alike; holds what is written on it. */
  readonly label?: string;
  readonly className?: string;
  readonly pressed?: boolean;
}

/** A key at the bench, 56 px: pressed by a gloved finger or its letter. */
export function Key({ children, onPress, busy, disabled, shortcut, words, label, className = "", pressed }: KeyProps) {
  const off = disabled || busy;
  // A key that rests keeps its letter: it must not fall through to a room.
  useShortcut(shortcut ?? null, words ?? label ?? (typeof children === "string" ? children : "Press"), "This page", () => {
    if (!off) onPress();
  });
  return (
    <button type="button" className={`key ${className}`} onClick={onPress} disabled={off} aria-pressed={pressed} aria-label={label}>
      {children}
      {shortcut && (
        <span className="cap" aria-hidden="true">
          {keyWords[shortcut] ?? shortcut.toUpperCase()}
        </span>
      )}
    </button>
  );
}

/** The one main act of a state, 72 px along the sheet's edge: space bar or foot switch. */
export function MainKey(props: Omit<KeyProps, "shortcut">) {
  return <Key {...props} shortcut=" " className={`key-main ${props.className ?? ""}`} />;
}

/** Gives the keyboard back to the main act after something was chosen for it, so that the space bar does it. */
export const toMainKey = (): void => document.querySelector<HTMLElement>(".key-main")?.focus();
