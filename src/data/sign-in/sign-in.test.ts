import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { freeTries } from "@/core/sign-in/slow-down";
import type { Context } from "@/data/database/context";
import { addPerson, retirePerson } from "@/data/shop/people";
import { countFailure } from "@/data/sign-in/failed-tries";
import { acceptInvitation, invite, invitedPerson } from "@/data/sign-in/invitations";
import { rememberDevice } from "@/data/sign-in/known-devices";
import { secretsOf, setSecret, WrongSecret } from "@/data/sign-in/secrets";
import { endEverySession, endSession, type From, findSession, listSessions, touchSession } from "@/data/sign-in/sessions";
import { choosePersonHere, signIn, wakeSession } from "./sign-in";

const passphrase = "heron ladle seven quarry";
const network: From = { over: "network", address: "127.0.0.2", device: "an Android device" };
const here: From = { over: "loopback", address: "127.0.0.1", device: "a Linux device" };
const at = (minutes: number) => new Date(Date.parse("2026-03-02T09:00:00.000Z") + minutes * 60_000).toISOString();

function shop() {
  const { db, ctx } = openWorkshop();
  const tobin = addPerson(ctx, { name: "Tobin", role: "counter" });
  setSecret(ctx, tobin, "passphrase", { now: passphrase, before: "" });
  setSecret(ctx, tobin, "pin", { now: "7294", before: "" });
  /** Tries as the server does: what failed is counted after it was rolled back. */
  const tried = (work: () => unknown, now: string) => {
    try {
      db.transaction(work)();
      return "in";
    } catch (error) {
      if (error instanceof WrongSecret) countFailure(db, error.counted, now);
      return (error as Error).message;
    }
  };
  return { db, ctx, tobin, tried, ctxOf: (id: number): Context => ({ ...ctx, person: { id, name: "Tobin", role: "counter" } }) };
}

describe("somebody comes in from another device", () => {
  it("by name and passphrase; neither it nor the token is kept in clear", () => {
    const { db, tobin } = shop();
    const { token } = signIn(db, { name: " tobin ", passphrase }, network, at(0));
    expect(findSession(db, token, at(1))).toMatchObject({
      state: "works",
      session: { person: { id: tobin, role: "counter" }, address: "127.0.0.2" },
    });
    const everything = JSON.stringify([...["person", "session", "journal"].map((table) => db.prepare(`SELECT * FROM ${table}`).all())]);
    for (const secret of [token, passphrase, "7294"]) expect(everything).not.toContain(secret);
    // PHC string format: Argon2id, version 19, 19 MiB, two passes, one lane (RFC 9106; OWASP's first choice, from memory).
    expect(db.prepare("SELECT passphrase_hash FROM person WHERE id = ?").pluck().get(tobin)).toMatch(
      /^\$argon2id\$v=19\$m=19456,t=2,p=1\$/,
    );
    expect(findSession(db, `${token}x`, at(1))).toBeNull();
  });

  it("is told the same whether the name or the passphrase was wrong, and nobody comes in without one", () => {
    const { db, ctx, tried } = shop();
    const words = tried(() => signIn(db, { name: "Tobin", passphrase: "wrong wrong wrong" }, network, at(0)), at(0));
    expect(tried(() => signIn(db, { name: "Nobody", passphrase }, { ...network, address: "b" }, at(0)), at(0))).toBe(words);
    expect(tried(() => signIn(db, { name: ctx.person.name, passphrase: "" }, { ...network, address: "c" }, at(0)), at(0))).toBe(words);
  });

  it("waits after four tries that failed, ever longer, by name and address together; the next that goes begins anew", () => {
    const { db, tried } = shop();
    const wrong = (name: string, address: string, now: string) =>
      tried(() => signIn(db, { name, passphrase: "no no no no" }, { ...network, address }, now), now);
    for (let i = 0; i < freeTries; i++) expect(wrong("Tobin", "a", at(0))).toMatch(/do not match/);
    expect(wrong("Tobin", "a", at(0))).toMatch(/Wait 2 seconds/);
    expect(wrong("Somebody", "a", at(0))).toMatch(/Wait/);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, { ...network, address: "a" }, at(0)), at(0))).toMatch(/Wait/);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, { ...network, address: "a" }, at(1)), at(1))).toBe("in");
    expect(wrong("Tobin", "a", at(1))).toMatch(/do not match/);
  });

  it("is held out by nobody who only knows the name: from another address, from a known device, by a code at Shop", () => {
    const { db, ctx, tobin, tried } = shop();
    const device = rememberDevice(db, tobin, at(0));
    // Somebody tries for hours, from the very address the owner has.
    for (let minute = 0; minute < 300; minute++)
      tried(() => signIn(db, { name: "Tobin", passphrase: "no no no no" }, network, at(minute)), at(minute));
    const now = at(300);
    tried(() => signIn(db, { name: "Tobin", passphrase: "no no no no" }, network, now), now);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, network, now), now)).toMatch(/Wait|in/);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, { ...network, address: "127.0.0.9" }, now), now)).toBe("in");
    for (let i = 0; i < 20; i++) tried(() => signIn(db, { name: "Tobin", passphrase: "no no no no" }, network, now), now);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, network, now, device), now)).toBe("in");
    for (let i = 0; i < 20; i++) tried(() => signIn(db, { name: "Tobin", passphrase: "no no no no" }, network, now), now);
    const { token } = invite({ ...ctx, now }, tobin);
    expect(tried(() => acceptInvitation(db, token, network, now), now)).toBe("in");
    // A device is known as one person's alone, and its own tries are slowed down as well.
    for (let i = 0; i < 9; i++) tried(() => signIn(db, { name: "Tobin", passphrase: "no no no no" }, network, now, device), now);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, network, now, device), now)).toMatch(/Wait/);
    expect(db.prepare("SELECT count(*) FROM known_device WHERE token_hash = ?").pluck().get(device)).toBe(0);
  });

  it("by the code at Shop, once, within ten minutes", () => {
    const { db, ctx, tobin, tried } = shop();
    const first = invite(ctx, tobin);
    expect(invitedPerson(db, first.token, at(9))?.name).toBe("Tobin");
    expect(invitedPerson(db, first.token, at(11))).toBeNull();
    const token = acceptInvitation(db, first.token, network, at(5));
    expect(findSession(db, token, at(6))?.state).toBe("works");
    expect(tried(() => acceptInvitation(db, first.token, network, at(6)), at(6))).toMatch(/has been used/);
    expect(tried(() => acceptInvitation(db, invite(ctx, tobin).token, network, at(30)), at(30))).toMatch(/ten minutes/);
  });
});

describe("a session", () => {
  it("rests after half an hour, is woken by PIN or passphrase, and is over after twelve hours", () => {
    const { db, tried } = shop();
    const { token } = signIn(db, { name: "Tobin", passphrase }, network, at(0));
    expect(findSession(db, token, at(31))?.state).toBe("rests");
    expect(tried(() => wakeSession(db, token, "0001", at(31)), at(31))).toMatch(/neither/);
    expect(tried(() => wakeSession(db, token, "7294", at(31)), at(31))).toBe("in");
    const { session } = findSession(db, token, at(32))!;
    touchSession(db, session, at(60));
    expect(findSession(db, token, at(85))?.state).toBe("works");
    expect(findSession(db, token, at(721))?.state).toBe("over");
  });

  it("ends when its person leaves, changes the passphrase, or somebody ends it; others only end their own", () => {
    const { db, ctx, tobin, ctxOf } = shop();
    const come = () => signIn(db, { name: "Tobin", passphrase }, network, at(0)).token;
    const [a, b] = [come(), come()];
    expect(listSessions(db, at(1), tobin)).toHaveLength(2);
    const own = findSession(db, a, at(1))!.session;
    endSession(ctxOf(tobin), own.id);
    expect([a, b].map((token) => findSession(db, token, at(1))!.state)).toEqual(["over", "works"]);
    setSecret(ctx, tobin, "passphrase", { now: "copper kettle walks north", before: "" });
    expect(findSession(db, b, at(1))!.state).toBe("over");
    const c = signIn(db, { name: "Tobin", passphrase: "copper kettle walks north" }, network, at(2)).token;
    const ilse = addPerson(ctx, { name: "Ilse", role: "bench" });
    expect(refusal(() => endSession(ctxOf(ilse), findSession(db, c, at(3))!.session.id)).code).toBe("not-yours");
    retirePerson(ctx, tobin, true);
    expect(findSession(db, c, at(3))!.state).toBe("over");
  });
});

describe("a PIN on this computer", () => {
  it("is asked for where somebody has one, and whoever changes their own says the old one", () => {
    const { db, ctx, tobin, tried, ctxOf } = shop();
    expect(secretsOf(db, ctx.person.id)).toEqual({ passphrase: false, pin: false });
    expect(tried(() => choosePersonHere(db, { personId: ctx.person.id, pin: "" }, here, at(0)), at(0))).toBe("in");
    expect(tried(() => choosePersonHere(db, { personId: tobin, pin: "" }, here, at(0)), at(0))).toMatch(/not Tobin's PIN/);
    expect(tried(() => choosePersonHere(db, { personId: tobin, pin: "7294" }, here, at(0)), at(0))).toBe("in");
    expect(refusal(() => setSecret(ctxOf(tobin), tobin, "pin", { now: "8305", before: "1111" })).field).toBe("before");
    setSecret(ctxOf(tobin), tobin, "pin", { now: "8305", before: "7294" });
    expect(refusal(() => setSecret(ctxOf(tobin), ctx.person.id, "pin", { now: "8305", before: "" })).code).toBe("not-yours");
    expect(refusal(() => setSecret(ctx, tobin, "pin", { now: "1234", before: "" })).field).toBe("now");
    expect(refusal(() => setSecret(ctx, tobin, "passphrase", { now: "password1234", before: "" })).field).toBe("now");
  });

  it("stands against somebody who tries all of them for a day: fewer than 120 go", () => {
    const { db, tobin, tried } = shop();
    let now = 0;
    let tries = 0;
    // A second a try, for a day; those that are told to wait are told so at once and tell nothing.
    for (; now < 86_400; now++) {
      const words = tried(() => choosePersonHere(db, { personId: tobin, pin: "----" }, here, at(now / 60)), at(now / 60));
      if (!words.startsWith("Too many")) tries++;
      const wait = /Wait (\d+) (seconds|minutes)/.exec(words);
      if (wait) now += Math.max(0, Number(wait[1]) * (wait[2] === "minutes" ? 60 : 1) - 2);
    }
    expect(tries).toBeGreaterThan(50);
    expect(tries).toBeLessThan(120);
  });
});

describe("somebody who does not work here any more", () => {
  it("comes in by no door: passphrase, PIN, a code drawn before, a session that is open", () => {
    const { db, ctx, tobin, tried } = shop();
    const open = signIn(db, { name: "Tobin", passphrase }, network, at(0)).token;
    const device = rememberDevice(db, tobin, at(0));
    const code = invite(ctx, tobin).token;
    retirePerson(ctx, tobin, true);
    const words = tried(() => signIn(db, { name: "Nobody", passphrase }, { ...network, address: "z" }, at(1)), at(1));
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, network, at(1), device), at(1))).toBe(words);
    expect(tried(() => choosePersonHere(db, { personId: tobin, pin: "7294" }, here, at(1)), at(1))).toMatch(/no longer works here/);
    expect(invitedPerson(db, code, at(1))).toBeNull();
    expect(tried(() => acceptInvitation(db, code, network, at(1)), at(1))).toMatch(/has been used/);
    expect(findSession(db, open, at(1))!.state).toBe("over");
    expect(tried(() => wakeSession(db, open, "7294", at(1)), at(1))).toMatch(/is over/);
    expect(refusal(() => invite(ctx, tobin)).code).toBe("no-person");
    expect(refusal(() => setSecret(ctx, tobin, "pin", { now: "8305", before: "" })).code).toBe("no-person");
    // Back again, they come in as before.
    retirePerson(ctx, tobin, false);
    expect(tried(() => signIn(db, { name: "Tobin", passphrase }, { ...network, address: "y" }, at(2)), at(2))).toBe("in");
  });
});

describe("a session from elsewhere", () => {
  it("is told apart from one at the bench, and lasts only on the network as it was begun there", () => {
    const { db, tobin } = shop();
    const far = signIn(db, { name: "Tobin", passphrase }, network, at(0)).token;
    const near = choosePersonHere(db, { personId: tobin, pin: "7294" }, here, at(0));
    expect([far, near].map((token) => findSession(db, token, at(1))!.session.over)).toEqual(["network", "loopback"]);
    // Half an hour without a press: only the one from elsewhere rests.
    expect([far, near].map((token) => findSession(db, token, at(31))!.state)).toEqual(["rests", "works"]);
  });

  it("ends with its passphrase, but for the one that changed it; a person's devices are forgotten with it", () => {
    const { db, ctx, tobin, ctxOf, tried } = shop();
    const device = rememberDevice(db, tobin, at(0));
    const [mine, elsewhere] = [1, 2].map(() => signIn(db, { name: "Tobin", passphrase }, network, at(0)).token) as [string, string];
    const own = findSession(db, mine, at(1))!.session;
    setSecret({ ...ctxOf(tobin), session: { id: own.id, over: "network" } }, tobin, "passphrase", {
      now: "copper kettle walks north",
      before: passphrase,
    });
    expect([mine, elsewhere].map((token) => findSession(db, token, at(1))!.state)).toEqual(["works", "over"]);
    // A known device is counted for itself; forgotten, it waits like anybody of that name and address.
    for (let i = 0; i < freeTries; i++) tried(() => signIn(db, { name: "Tobin", passphrase: "wrong wrong wrong" }, network, at(2)), at(2));
    const again = tried(() => signIn(db, { name: "Tobin", passphrase: "copper kettle walks north" }, network, at(2), device), at(2));
    expect(again).toMatch(/Too many tries/);
    // Their own from the network may not be taken away: nobody could come back.
    const session = { id: own.id, over: "network" as const };
    const taken = { now: "", before: "copper kettle walks north" };
    expect(refusal(() => setSecret({ ...ctxOf(tobin), session }, tobin, "passphrase", taken)).code).toBe("needed");
    expect(refusal(() => invite({ ...ctxOf(tobin), session }, ctx.person.id)).code).toBe("not-yours");
  });

  it("is seen at most once a minute, and never woken by a press once it was ended", () => {
    const { db, ctx, tobin } = shop();
    const { token } = signIn(db, { name: "Tobin", passphrase }, network, at(0));
    const seen = () => db.prepare("SELECT seen_at FROM session ORDER BY id DESC LIMIT 1").pluck().get();
    const { session } = findSession(db, token, at(0))!;
    touchSession(db, session, at(0.9));
    expect(seen()).toBe(at(0));
    touchSession(db, session, at(1));
    expect(seen()).toBe(at(1));
    endSession(ctx, session.id);
    touchSession(db, session, at(5));
    expect(seen()).toBe(at(1));
    expect(listSessions(db, at(5), tobin)).toEqual([]);
  });
});

describe("a code at Shop", () => {
  it("holds to its last minute and not a moment longer, and a new one ends the one before", () => {
    const { db, ctx, tobin } = shop();
    const start = Date.parse(ctx.now);
    const secondsOn = (seconds: number) => new Date(start + seconds * 1000).toISOString();
    const first = invite(ctx, tobin);
    expect(first.until).toBe(secondsOn(600));
    expect(invitedPerson(db, first.token, secondsOn(600))?.id).toBe(tobin);
    expect(invitedPerson(db, first.token, secondsOn(601))).toBeNull();
    const second = invite(ctx, tobin);
    expect(invitedPerson(db, first.token, secondsOn(1))).toBeNull();
    expect(invitedPerson(db, second.token, secondsOn(1))?.id).toBe(tobin);
  });
});

describe("after a copy was put back", () => {
  it("nobody is in, and no code holds", () => {
    const { db, ctx, tobin } = shop();
    const { token } = signIn(db, { name: "Tobin", passphrase }, network, at(0));
    const code = invite(ctx, tobin).token;
    endEverySession(db, at(1));
    expect(findSession(db, token, at(1))!.state).toBe("over");
    expect(invitedPerson(db, code, ctx.now)).toBeNull();
  });
});
