"use client";
import { Dialog } from "radix-ui";
import { useRef, useState } from "react";
import { KeysLayer, useShortcut } from "@/ui/keys/keys";
import type { MeasureProps } from "./measure-board";
import { MeasureForm } from "./measure-form";

/** Scale, caliper and ruler, at every station: one key over the sheet, which stays as it was. */
export function MeasureKey(props: MeasureProps) {
  const [open, setOpen] = useState(false);
  const [asks, setAsks] = useState(false);
  const unkept = useRef(false);
  /** What was typed and not kept is said before it goes. */
  const close = () => {
    if (unkept.current && !asks) setAsks(true);
    else {
      setAsks(false);
      unkept.current = false;
      setOpen(false);
    }
  };
  useShortcut("i", "Measure with scale, caliper or ruler", "This page", () => setOpen(true));
  return (
    <Dialog.Root open={open} onOpenChange={(opens) => (opens ? setOpen(true) : close())}>
      <Dialog.Trigger className="flex min-h-14 shrink-0 items-center gap-2 border-b border-l border-ink px-4 font-semibold text-brass">
        Measure{props.board.kept.length > 0 && <span className="num">{props.board.kept.length}</span>} <span className="cap">I</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
        <Dialog.Content
          className="sheet fixed top-6 left-1/2 z-20 max-h-[94dvh] w-[min(1080px,96vw)] -translate-x-1/2 overflow-auto p-4"
          aria-describedby={undefined}
        >
          <div className="flex items-center justify-between gap-4">
            <Dialog.Title className="text-head font-semibold">Measure</Dialog.Title>
            <Dialog.Close className="key key-small">
              Close <span className="cap">esc</span>
            </Dialog.Close>
          </div>
          {asks && (
            <p className="alarm mt-2 flex flex-wrap items-center gap-4" role="alert">
              What you typed is not saved yet.
              <button type="button" className="key key-small" onClick={() => setAsks(false)}>
                Go back to it
              </button>
              <button type="button" className="act-link min-h-10" onClick={close}>
                Close without saving
              </button>
            </p>
          )}
          <KeysLayer>
            <MeasureForm
              {...props}
              unkept={(is) => {
                unkept.current = is;
                if (!is) setAsks(false);
              }}
            />
          </KeysLayer>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
