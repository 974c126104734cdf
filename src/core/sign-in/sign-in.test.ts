import { describe, expect, it } from "vitest";
import { mayDo } from "./permissions";
import { passphraseFault, pinFault } from "./secrets";
import { sessionLimits, sessionState } from "./session-limits";
import { freeTries, longestWaitSeconds, waitAfter, waitLeft } from "./slow-down";

describe("a passphrase", () => {
  it("is long enough and hard to guess, whatever its signs; spaces and any letters go", () => {
    for (const good of ["heron ladle seven quarry", "чайник под мостом дремлет", "кот 猫 gatto Katze chat", "xxx brass kettle lifts"])
      expect(passphraseFault(good, ["The Sail Loft", "Ola Quist"]), good).toBeNull();
  });

  it("is not among those that are tried first, nor made of the shop's or the person's name", () => {
    for (const bad of ["short", "passwordpassword", "123456789012", "qwertyuiopasdf", "The Sail Loft", "ola quist ola", "aaaaaaaaaaaaaa"])
      expect(passphraseFault(bad, ["The Sail Loft", "Ola Quist"]), bad).not.toBeNull();
    expect(passphraseFault("a b".repeat(60), [])).toMatch(/At most 128/);
    // The least length is counted in signs as people see them, not in bytes.
    expect(passphraseFault("猫".repeat(11), [])).toMatch(/At least 12/);
  });
});

describe("a PIN", () => {
  it("has four to eight figures and is none of the first that are tried", () => {
    for (const good of ["7294", "80417", "13579", "90210442"]) expect(pinFault(good), good).toBeNull();
    for (const bad of ["123", "1234", "4321", "0000", "77777777", "8901", "1987", "2024", "12a4", "123456789"])
      expect(pinFault(bad), bad).not.toBeNull();
  });
});

describe("tries that fail", () => {
  it("are free four times, then cost double each, to a quarter of an hour", () => {
    expect([0, 3, 4, 5, 6, 12, 13, 400].map(waitAfter)).toEqual([0, 0, 2, 4, 8, 512, 900, 900]);
  });

  it("take more than a fortnight to try half of all PINs of four figures, by adding the waits up", () => {
    let seconds = 0;
    for (let tries = 0; tries < 5000; tries++) seconds += waitAfter(tries);
    expect(seconds / 86_400).toBeGreaterThan(14);
  });

  it("never make anybody wait longer than the wait, whatever the clock does", () => {
    const last = "2026-05-20T12:00:00.000Z";
    expect(waitLeft(freeTries + 2, last, "2026-05-20T12:00:03.000Z")).toBe(5);
    expect(waitLeft(freeTries + 2, last, "2026-05-20T12:01:00.000Z")).toBe(0);
    expect(waitLeft(50, last, "2001-01-01T00:00:00.000Z")).toBe(longestWaitSeconds);
  });
});

describe("a session", () => {
  const at = (minutes: number) => new Date(Date.parse("2026-05-20T08:00:00Z") + minutes * 60_000).toISOString();
  const session = { begunAt: at(0), seenAt: at(100), endedAt: null, over: "network" as const };
  it("works, rests after half an hour without a press, and is over after twelve hours or when it was ended", () => {
    expect(sessionState(session, at(120))).toBe("works");
    expect(sessionState(session, at(100 + sessionLimits.restMinutes + 1))).toBe("rests");
    expect(sessionState({ ...session, seenAt: at(720) }, at(721))).toBe("over");
    expect(sessionState({ ...session, endedAt: at(101) }, at(102))).toBe("over");
  });
  it("does not rest on the machine itself, and a clock set years back ends it", () => {
    expect(sessionState({ ...session, over: "loopback" }, at(700))).toBe("works");
    expect(sessionState(session, "2020-01-01T00:00:00.000Z")).toBe("over");
  });
});

describe("who may change what", () => {
  it.each([
    ["owner", ["counter", "bench", "stores", "shop"]],
    ["bench", ["counter", "bench", "stores"]],
    ["counter", ["counter", "stores"]],
  ] as const)("the %s: %j and nothing else", (role, may) => {
    const all = ["counter", "bench", "stores", "shop"] as const;
    expect(all.filter((permission) => mayDo({ role }, permission))).toEqual(may);
  });
});

describe("the edges of a secret", () => {
  const hard = "walnut ferry copper lamp ";

  it("of a passphrase are twelve letters and a hundred and twenty-eight, both allowed, counted as signs and not as bytes", () => {
    expect(passphraseFault("kqzv pwxj mtr", [])).toBeNull();
    expect(passphraseFault("kqzvpwxjmtrg", [])).toBeNull();
    expect(passphraseFault("kqzvpwxjmtr", [])).toMatch(/^At least 12/);
    expect(passphraseFault(hard.repeat(6).slice(0, 128), [])).toBeNull();
    expect(passphraseFault(hard.repeat(6).slice(0, 129), [])).toMatch(/^At most 128/);
    expect(passphraseFault("🎣🎣🎣🎣🎣🎣🎣", [])).toMatch(/^At least 12/);
  });

  it("of a PIN are four figures and eight, and nothing but figures; a year has four", () => {
    expect(["4071", "40718293"].map(pinFault)).toEqual([null, null]);
    for (const text of ["407", "407182935", "40a1", " 4071", "4071 "]) expect(pinFault(text), text).toMatch(/^Four to eight/);
    for (const text of ["1984", "2031"]) expect(pinFault(text), text).toMatch(/^Not a year/);
    for (const text of ["19845", "31984", "2131"]) expect(pinFault(text), text).toBeNull();
  });

  it("of a session are half an hour at rest and twelve hours in all, to the minute", () => {
    const session = { begunAt: "2026-03-02T08:00:00.000Z", seenAt: "2026-03-02T19:30:00.000Z", endedAt: null, over: "network" } as const;
    expect(sessionState(session, "2026-03-02T20:00:00.000Z")).toBe("works");
    expect(sessionState(session, "2026-03-02T20:00:00.001Z")).toBe("over");
    expect(sessionState({ ...session, begunAt: "2026-03-02T19:00:00.000Z" }, "2026-03-02T20:00:00.001Z")).toBe("rests");
  });
});
