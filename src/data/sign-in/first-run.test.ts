import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { defaultShopSettings } from "@/core/shop/settings";
import { freeTries } from "@/core/sign-in/slow-down";
import type { Context } from "@/data/database/context";
import { openMemoryDatabase } from "@/data/database/database";
import { ensureFirstPerson, findPerson } from "@/data/shop/people";
import { getShopSettings } from "@/data/shop/settings";
import { countFailure, failedTries } from "./failed-tries";
import { foundShop, isFounded } from "./first-run";
import { invite } from "./invitations";
import { isKnownDevice, rememberDevice } from "./known-devices";
import { secretsOf, setSecret } from "./secrets";
import { beginSession, endSession, findSession, listSessions, noteSessionSeen } from "./sessions";
import { choosePersonHere, signIn, wakeSession } from "./sign-in";

const { shopName: _, ...rest } = defaultShopSettings;
const said = { ...rest, shopName: "The Slip", personName: "Ilse Varn", passphrase: "heron ladle seven quarry" };
const now = "2026-03-02T09:00:00.000Z";
const at = (minutes: number) => new Date(Date.parse(now) + minutes * 60_000).toISOString();
const here = { over: "loopback", address: "127.0.0.1", device: "a Linux device" } as const;
const network = { over: "network", address: "127.0.0.9", device: "a phone" } as const;

describe("a shop is founded", () => {
  const empty = (): Context => {
    const db = openMemoryDatabase();
    return { db, person: ensureFirstPerson(db), now };
  };

  it("once: its name, its person and the first passphrase; then nobody is asked again", () => {
    const ctx = empty();
    expect(isFounded(ctx.db)).toBe(false);
    foundShop(ctx, said);
    expect(isFounded(ctx.db)).toBe(true);
    expect(getShopSettings(ctx.db)).toMatchObject({ shopName: "The Slip", currency: defaultShopSettings.currency });
    expect(findPerson(ctx.db, ctx.person.id)?.name).toBe("Ilse Varn");
    expect(secretsOf(ctx.db, ctx.person.id)).toEqual({ passphrase: true, pin: false });
    expect(refusal(() => foundShop(ctx, said)).code).toBe("founded");
  });

  it("without a passphrase where it waits, and not with one that is too easy, said at its own field", () => {
    const waits = empty();
    foundShop(waits, { ...said, passphrase: "" });
    expect(secretsOf(waits.db, waits.person.id).passphrase).toBe(false);
    expect(refusal(() => foundShop(empty(), { ...said, passphrase: "password1234" }))).toMatchObject({ code: "weak", field: "passphrase" });
  });

  it("by whoever works in it already", () => {
    expect(isFounded(openWorkshop().db)).toBe(true);
  });
});

describe("tries", () => {
  const shop = () => {
    const { db, ctx } = openWorkshop();
    setSecret(ctx, ctx.person.id, "passphrase", { now: said.passphrase, before: "" });
    setSecret(ctx, ctx.person.id, "pin", { now: "7294", before: "" });
    return { db, ctx, id: ctx.person.id, name: findPerson(db, ctx.person.id)!.name };
  };

  it("that failed are forgotten by one that goes: at the door, at the bench, at waking, at changing", () => {
    const { db, ctx, id, name } = shop();
    const fail = (of: string) => countFailure(db, [of], now);
    for (const of of [`person ${id} from 127.0.0.9`, "from 127.0.0.9", `person ${id} here`, `person ${id} changes`]) fail(of);
    signIn(db, { name, passphrase: said.passphrase }, network, now);
    expect([failedTries(db, `person ${id} from 127.0.0.9`), failedTries(db, "from 127.0.0.9")]).toEqual([null, null]);
    expect(failedTries(db, `person ${id} here`)?.failures).toBe(1);
    choosePersonHere(db, { personId: id, pin: "7294" }, here, now);
    expect(failedTries(db, `person ${id} here`)).toBeNull();
    const { token, sessionId: session } = beginSession(db, id, network, now);
    fail(`session ${session}`);
    wakeSession(db, token, "7294", at(40));
    expect(failedTries(db, `session ${session}`)).toBeNull();
    setSecret(ctx, id, "pin", { now: "8153", before: "7294" });
    expect(failedTries(db, `person ${id} changes`)).toBeNull();
  });

  it("too many have to wait: at waking and at changing as well", () => {
    const { db, ctx, id } = shop();
    const { token, sessionId: session } = beginSession(db, id, network, now);
    for (let n = 0; n <= freeTries; n++) countFailure(db, [`session ${session}`, `person ${id} changes`], now);
    expect(refusal(() => wakeSession(db, token, "7294", now)).code).toBe("slow");
    expect(refusal(() => setSecret(ctx, id, "pin", { now: "8153", before: "7294" })).code).toBe("slow");
    expect(refusal(() => setSecret(ctx, id, "passphrase", { now: "copper walnut ferry lamp", before: "wrong" })).code).toBe("slow");
  });

  it("are counted each under its own name", () => {
    const { db } = shop();
    countFailure(db, ["a", "b"], now);
    countFailure(db, ["a"], at(1));
    expect([failedTries(db, "a"), failedTries(db, "b"), failedTries(db, "c")]).toEqual([
      { failures: 2, lastAt: at(1) },
      { failures: 1, lastAt: now },
      null,
    ]);
  });
});

describe("a session", () => {
  it("that was woken works again from then on", () => {
    const { db, ctx } = openWorkshop();
    setSecret(ctx, ctx.person.id, "pin", { now: "7294", before: "" });
    const { token } = beginSession(db, ctx.person.id, network, now);
    expect(findSession(db, token, at(40))?.state).toBe("rests");
    wakeSession(db, token, "7294", at(40));
    expect(findSession(db, token, at(69))?.state).toBe("works");
    expect(findSession(db, token, at(71))?.state).toBe("rests");
  });

  it("stands in the list while it is not over, the one seen last first; an ended one and one past its day do not", () => {
    const { db, ctx } = openWorkshop();
    const [first, second, third] = [0, 1, 2].map(() => beginSession(db, ctx.person.id, network, now).sessionId) as [number, number, number];
    noteSessionSeen(db, second, at(10));
    noteSessionSeen(db, first, at(5));
    expect(listSessions(db, at(11)).map(({ id }) => id)).toEqual([second, first, third]);
    endSession(ctx, second);
    endSession(ctx, second);
    expect(listSessions(db, at(11)).map(({ id }) => id)).toEqual([first, third]);
    expect(listSessions(db, at(13 * 60))).toEqual([]);
    expect(db.prepare("SELECT count(*) FROM journal WHERE action = 'session-ended'").pluck().get()).toBe(1);
  });

  it("and what lets one in stand in the journal: who set a secret, whose phone was invited", () => {
    const { db, ctx } = openWorkshop();
    setSecret(ctx, ctx.person.id, "pin", { now: "7294", before: "" });
    setSecret(ctx, ctx.person.id, "pin", { now: "", before: "7294" });
    invite(ctx, ctx.person.id);
    beginSession(db, ctx.person.id, network, now);
    const told = (action: string) =>
      (db.prepare("SELECT detail FROM journal WHERE action = ? ORDER BY id").pluck().all(action) as string[]).map((one) => JSON.parse(one));
    expect(told("secret-set").map(({ set }) => set)).toEqual([true, false]);
    expect(told("phone-invited")).toEqual([{ personId: ctx.person.id }]);
    expect(told("signed-in")).toEqual([{ over: "network" }]);
  });
});

it("a person's devices are remembered, each that person's alone, the oldest beyond twenty forgotten", () => {
  const { db, ctx } = openWorkshop();
  const { id } = ctx.person;
  const tokens = Array.from({ length: 21 }, (_, n) => rememberDevice(db, id, at(n)));
  expect(isKnownDevice(db, id, tokens[0]!)).toBe(false);
  expect(tokens.slice(1).every((token) => isKnownDevice(db, id, token))).toBe(true);
  expect(isKnownDevice(db, id + 1, tokens[20]!)).toBe(false);
  expect(isKnownDevice(db, id, "")).toBe(false);
});
