"use client";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { KeysLayer, useShortcut, useShortcutList } from "@/ui/keys/keys";
import { keyWords } from "./rooms";

/** `?` lists the keys that work on this page. */
export function KeyList() {
  const [open, setOpen] = useState(false);
  useShortcut("?", "List the keys", "Everywhere", () => setOpen(true));
  const shortcuts = useShortcutList(open);
  const groups = [...new Set(shortcuts.map((shortcut) => shortcut.group))];
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="min-h-10 px-2">
        Keys <span className="cap">?</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
        <Dialog.Content
          className="sheet fixed top-16 left-1/2 z-20 max-h-[80dvh] w-[min(680px,94vw)] -translate-x-1/2 overflow-auto p-4"
          aria-describedby={undefined}
        >
          <Dialog.Title>Keys on this page</Dialog.Title>
          <p className="mt-1 mb-2">
            Off while you type in a field. A scanned tag opens its reel anywhere. Turn them off or set the foot switch at Shop.
          </p>
          <KeysLayer>{null}</KeysLayer>
          {groups.map((group) => (
            <section key={group}>
              <h3 className="mt-3">{group}</h3>
              <ul>
                {shortcuts
                  .filter((shortcut) => shortcut.group === group)
                  .map((shortcut) => (
                    <li key={shortcut.key + shortcut.words} className="rule-row flex gap-4 py-1">
                      <span className="w-24">
                        <span className="cap">{keyWords[shortcut.key] ?? shortcut.key.toUpperCase()}</span>
                      </span>
                      {shortcut.words}
                    </li>
                  ))}
              </ul>
            </section>
          ))}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
