import { beforeEach, describe, expect, it } from "vitest";
import { createKeyRouter, type KeyRouter } from "./key-router";

describe("the key router", () => {
  let keys: string[];
  let times: number[];
  let scans: string[];
  let waiting: (() => void)[];
  let router: KeyRouter;
  let on: boolean;
  let time: number;
  const press = (key: string, afterMs: number, inTextField = false) => {
    time += afterMs;
    return router.down({ key, inTextField, modified: false, timeMs: time });
  };
  const settle = () => {
    for (const run of waiting.splice(0)) run();
  };

  beforeEach(() => {
    keys = [];
    times = [];
    scans = [];
    waiting = [];
    on = true;
    time = 1000;
    router = createKeyRouter({
      onScan: (text) => scans.push(text),
      onKey: (key, timeMs) => {
        keys.push(key);
        times.push(timeMs);
      },
      handles: (key) => ["r", "z", "Z", "0", " ", "PageDown"].includes(key),
      shortcutsOn: () => on,
      schedule: (run) => {
        waiting.push(run);
        return () => {
          waiting = waiting.filter((other) => other !== run);
        };
      },
    });
  });

  it("takes a lone key as a shortcut", () => {
    expect(press("r", 500)).toBe(true);
    settle();
    expect(keys).toEqual(["r"]);
  });

  it("takes a fast burst ending in Enter as a scan and fires no shortcut of its letters", () => {
    for (const key of "Z-00572-4") press(key, 8);
    press("Enter", 8);
    settle();
    expect(scans).toEqual(["Z-00572-4"]);
    expect(keys).toEqual([]);
  });

  it("does not take slow typing and Enter for a scan", () => {
    for (const key of "Z00572") {
      press(key, 120);
      settle();
    }
    press("Enter", 120);
    expect(scans).toEqual([]);
  });

  it("rests while a text field has focus, also for a scan, which the field receives", () => {
    expect(press("r", 500, true)).toBe(false);
    for (const key of "Z-00572-4") press(key, 8, true);
    expect(press("Enter", 8, true)).toBe(false);
    settle();
    expect([keys, scans]).toEqual([[], []]);
  });

  it("takes a key right after typing in a field for a shortcut, not for the end of what was typed", () => {
    for (const key of "0,4") press(key, 8, true);
    expect(press("r", 8)).toBe(true);
    settle();
    expect(keys).toEqual(["r"]);
    for (const key of "Z-00572-4") press(key, 8, true);
    expect(press("Enter", 8)).toBe(false);
    expect(scans).toEqual([]);
  });

  it("can be switched off, and leaves keys with Ctrl alone", () => {
    on = false;
    expect(press("r", 500)).toBe(false);
    on = true;
    expect(router.down({ key: "r", inTextField: false, modified: true, timeMs: 9999 })).toBe(false);
    settle();
    expect(keys).toEqual([]);
  });

  it("says when a key was pressed, and keeps the order of the hand where a letter waited for a scan", () => {
    press("r", 500);
    press(" ", 75);
    settle();
    expect(keys.map((key, i) => [key, times[i]])).toEqual([
      ["r", 1500],
      [" ", 1575],
    ]);
  });

  it("fires the foot switch's key at once", () => {
    press("PageDown", 500);
    expect(keys).toEqual(["PageDown"]);
  });
});
