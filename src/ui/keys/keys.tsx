"use client";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import { asPressedAt } from "@/ui/act/pressed-at";
import { createKeyRouter } from "./key-router";

export interface Shortcut {
  readonly key: string;
  readonly words: string;
  readonly group: string;
}

interface Registered extends Shortcut {
  readonly run: () => void;
  readonly layer: symbol | null;
}

/** Takes a scan where the page knows what to do with it; gives back whether it did. */
type ScanHandler = (text: string) => boolean;

interface KeysContext {
  readonly register: (shortcut: Registered) => () => void;
  /** A layer over the page: while it lies there, only keys of the topmost work. */
  readonly lay: (layer: symbol) => () => void;
  readonly registerScan: (handler: ScanHandler) => () => void;
  readonly list: () => Shortcut[];
}

const Context = createContext<KeysContext | null>(null);
const Layer = createContext<symbol | null>(null);

const isTextField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !["checkbox", "radio", "button", "submit", "file"].includes(target.type)));

const pressable = "button, summary, input, [role=radio], [role=checkbox], [role=tab], [role=option]";
/** The control a pointer came down on, also by its label. */
const touched = (target: EventTarget | null): Element | null =>
  target instanceof Element ? (target.closest("label")?.control ?? target.closest(pressable)) : null;
/**
 * The space bar does the main act wherever the focus was, but for a control that somebody went to by the keyboard: one that was only touched or
 * clicked keeps the focus without anybody meaning it. @param byPointer the control that was touched last, no Tab since.
 */
const isPressable = (target: EventTarget | null, byPointer: Element | null): boolean => {
  const control = target instanceof HTMLElement && target.matches(":focus-visible") ? target.closest(pressable) : null;
  return control !== null && control !== byPointer;
};
/** Enter opens the link or presses the control that has the focus. */
const takesEnter = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest("button, a, input, summary, [role=radio], [role=checkbox]") !== null;

/** Holds the one key router of the page. The newest registration of a key wins, so a dialog shadows the room behind it. */
export function KeysProvider({
  children,
  footSwitchKey,
  shortcutsOn,
}: {
  children: ReactNode;
  footSwitchKey: string;
  shortcutsOn: boolean;
}) {
  const shortcuts = useRef<Registered[]>([]);
  const scans = useRef<ScanHandler[]>([]);
  const layers = useRef<symbol[]>([]);
  const router = useRouter();

  useEffect(() => {
    const find = (key: string) => {
      const top = layers.current.at(-1);
      return shortcuts.current.findLast(
        (shortcut) => shortcut.key.toLowerCase() === key.toLowerCase() && (top === undefined || shortcut.layer === top),
      );
    };
    const mapped = (key: string) => (key === footSwitchKey ? " " : key);
    const keyRouter = createKeyRouter({
      onScan: (text) => {
        if (!scans.current.some((handler) => handler(text))) router.push(`/bench?tag=${encodeURIComponent(text)}`);
      },
      onKey: (key, timeMs) => asPressedAt(timeMs, () => find(mapped(key))?.run()),
      handles: (key) => find(mapped(key)) !== undefined,
      shortcutsOn: () => shortcutsOn,
    });
    let byPointer: Element | null = null;
    const onPointerDown = (event: PointerEvent) => {
      byPointer = touched(event.target);
    };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key === "Tab") byPointer = null;
      if (event.repeat || event.defaultPrevented) return;
      if (event.key === " " && isPressable(event.target, byPointer)) return;
      if (event.key === "Enter" && takesEnter(event.target)) return;
      const taken = keyRouter.down({
        key: event.key,
        inTextField: isTextField(event.target),
        modified: event.ctrlKey || event.altKey || event.metaKey,
        timeMs: event.timeStamp,
      });
      if (taken) event.preventDefault();
    };
    window.addEventListener("keydown", onKeyDown);
    window.addEventListener("pointerdown", onPointerDown, true);
    return () => {
      window.removeEventListener("pointerdown", onPointerDown, true);
      window.removeEventListener("keydown", onKeyDown);
      keyRouter.dispose();
    };
  }, [router, footSwitchKey, shortcutsOn]);

  const register = useCallback((shortcut: Registered) => {
    shortcuts.current.push(shortcut);
    return () => {
      shortcuts.current = shortcuts.current.filter((other) => other !== shortcut);
    };
  }, []);
  const lay = useCallback((layer: symbol) => {
    layers.current.push(layer);
    return () => {
      layers.current = layers.current.filter((other) => other !== layer);
    };
  }, []);
  const registerScan = useCallback((handler: ScanHandler) => {
    scans.current.push(handler);
    return () => {
      scans.current = scans.current.filter((other) => other !== handler);
    };
  }, []);
  const list = useCallback(() => shortcuts.current.map(({ key, words, group }) => ({ key, words, group })), []);
  const value = useMemo(() => ({ register, lay, registerScan, list }), [register, lay, registerScan, list]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

function useKeys(): KeysContext {
  const context = useContext(Context);
  if (!context) throw new Error("useKeys: outside KeysProvider");
  return context;
}

/** Binds a key while the component is on the page; `run` may change without binding anew. */
export function useShortcut(key: string | null, words: string, group: string, run: () => void): void {
  const { register } = useKeys();
  const layer = useContext(Layer);
  const runRef = useRef(run);
  runRef.current = run;
  useEffect(() => {
    if (key === null) return;
    return register({ key, words, group, layer, run: () => runRef.current() });
  }, [key, words, group, layer, register]);
}

/** What lies over a page has keys of its own: those of the page under it rest, so that no letter acts on what is not looked at. */
export function KeysLayer({ children }: { children: ReactNode }) {
  const { lay } = useKeys();
  const [layer] = useState(() => Symbol("layer"));
  useEffect(() => lay(layer), [lay, layer]);
  return <Layer.Provider value={layer}>{children}</Layer.Provider>;
}

/** Takes scans while the component is on the page; what it does not take goes to the bench as everywhere else. */
export function useScan(handler: ScanHandler): void {
  const { registerScan } = useKeys();
  const ref = useRef(handler);
  ref.current = handler;
  useEffect(() => registerScan((text) => ref.current(text)), [registerScan]);
}

/** The keys that work now, for the list behind `?`. */
export function useShortcutList(open: boolean): Shortcut[] {
  const { list } = useKeys();
  const [shown, setShown] = useState<Shortcut[]>([]);
  useEffect(() => {
    if (open) setShown(list());
  }, [open, list]);
  return shown;
}
