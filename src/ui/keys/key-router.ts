/**
 * One router for every key: a scanner types like a keyboard, only faster. A burst of characters under 35 ms apart that ends in Enter is a
 * scan and triggers no shortcut; a lone key waits that long before it counts. Shortcuts rest while a text field has focus and can be
 * switched off (WCAG 2.2, success criterion 2.1.4).
 */
export const scanGapMs = 35;
const shortestScan = 6;

export interface KeyPress {
  readonly key: string;
  readonly inTextField: boolean;
  /** Ctrl, Alt or Meta held: the browser's own. */
  readonly modified: boolean;
  readonly timeMs: number;
}

export interface KeyRouter {
  /** @returns true when the key is taken and the page should not act on it as well. */
  readonly down: (press: KeyPress) => boolean;
  readonly dispose: () => void;
}

export interface KeyRouterOptions {
  readonly onScan: (text: string) => void;
  /** @param timeMs when it was pressed; a letter comes later than that. */
  readonly onKey: (key: string, timeMs: number) => void;
  /** Whether a shortcut exists for this key now. */
  readonly handles: (key: string) => boolean;
  readonly shortcutsOn: () => boolean;
  readonly schedule?: (run: () => void, ms: number) => () => void;
}

const schedule = (run: () => void, ms: number) => {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
};

export function createKeyRouter(options: KeyRouterOptions): KeyRouter {
  const later = options.schedule ?? schedule;
  let burst = "";
  let lastMs = Number.NEGATIVE_INFINITY;
  let held: { readonly run: () => void; readonly cancel: () => void } | null = null;

  const forget = () => {
    held?.cancel();
    held = null;
  };
  const release = () => {
    const { run } = held ?? {};
    forget();
    run?.();
  };

  return {
    down({ key, inTextField, modified, timeMs }) {
      if (modified) return false;
      const fast = timeMs - lastMs < scanGapMs;
      // A letter that waited long enough goes before the key after it, also where a busy page lets the timer come late.
      if (!fast) release();
      lastMs = timeMs;
      if (key === "Enter") {
        const scanned = fast && burst.length >= shortestScan ? burst : null;
        burst = "";
        forget();
        if (scanned && !inTextField) {
          options.onScan(scanned);
          return true;
        }
        return false;
      }
      // What is typed into a field is the field's: the first key after it is none of its burst, however soon it comes.
      if (inTextField) {
        burst = "";
        return false;
      }
      const printable = key.length === 1;
      if (printable) burst = fast ? burst + key : key;
      // The second fast character shows that the first was no shortcut.
      if (fast && burst.length > 1) forget();
      const taken = options.shortcutsOn() && options.handles(key);
      if (!taken) return false;
      // No tag has a space in it: the main act waits for no scanner.
      if (!printable || (key === " " && burst.length === 1)) options.onKey(key, timeMs);
      else if (burst.length === 1) held = { run: () => options.onKey(key, timeMs), cancel: later(release, scanGapMs + 5) };
      return true;
    },
    dispose: forget,
  };
}
