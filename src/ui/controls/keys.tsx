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
  readonly className?: string;
  readonly pressed?: boolean;
}

/** A key at the bench, 56 px: pressed by a gloved finger or its letter. */
export function Key({ children, onPress, busy, disabled, shortcut, words, className = "", pressed }: KeyProps) {
  const off = disabled || busy;
  useShortcut(off ? null : (shortcut ?? null), words ?? (typeof children === "string" ? children : "Press"), "This page", onPress);
  return (
    <button type="button" className={`key ${className}`} onClick={onPress} disabled={off} aria-pressed={pressed}>
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
