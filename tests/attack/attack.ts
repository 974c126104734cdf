import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import sharp from "sharp";
import { z } from "zod";
import { acts } from "@/core/acts/acts";
import type { Role } from "@/core/sign-in/permissions";
import type { Db } from "@/data/database/database";
import { beginSession } from "@/data/sign-in/sessions";
import { type Chance, chanceOf } from "../any-job/chance";
import type { Server } from "../browser/bench";
import { type Asked, ask, type Request } from "./ask";
import { addressOf, type Doors, doorsOfBuild, queryNames } from "./doors";
import { bent, poolOf, type Schema, valueFor, worstWords } from "./words";

/** Something a stranger brought about. */
export interface Finding {
  readonly law: string;
  readonly words: string;
}

/** Whoever asks: what their browser sends along, and over which door. */
interface Identity {
  readonly name: string;
  readonly base: "here" | "network";
  readonly headers: Record<string, string>;
}

const cookie = (token: string) => ({ cookie: `__Host-zorbek=${token}` });
/** How long one request may keep the processor, s. */
const mostSeconds = 3;
/** Shown to anybody, and the same for everybody. */
const isOpen = (door: string) => door === "/icon.svg";
const ticksPerSecond = 100;

/**
 * A hostile client of a running shop, made from what the build answers to: every door, every identity, every act with the worst a field can hold.
 * @param server with a network side. The attacks change its data.
 */
export class Attack {
  readonly findings: Finding[] = [];
  requests = 0;
  /** Acts of an owner that were done, and those refused. */
  readonly acts = { done: 0, refused: 0 };
  readonly doors: Doors = doorsOfBuild();
  private readonly chance: Chance;
  private readonly memory: number[] = [];
  private presses = 0;

  constructor(
    private readonly server: Server,
    private readonly seed: number,
  ) {
    this.chance = chanceOf(seed);
  }

  private found(law: string, words: string): void {
    if (this.findings.length < 60) this.findings.push({ law, words });
  }

  private base = (identity: Identity) => (identity.base === "here" ? this.server.base : this.server.lan!.base);

  private withData<T>(work: (db: Database.Database) => T): T {
    const db = new Database(join(this.server.data, "zorbek.db"), { timeout: 5000 });
    try {
      return work(db);
    } finally {
      db.close();
    }
  }

  /** A session of somebody of a role, begun as the program begins one. */
  session(role: Role): string {
    return this.withData((db) => {
      const find = db.prepare("SELECT id FROM person WHERE role = ? AND active = 1 ORDER BY id").pluck();
      if (!find.get(role)) db.prepare("INSERT INTO person (name, role) VALUES (?, ?)").run(`Somebody ${role}`, role);
      return beginSession(
        db as Db,
        find.get(role) as number,
        { over: "network", address: "127.0.0.2", device: "attack" },
        new Date().toISOString(),
      ).token;
    });
  }

  /** Everybody who may see nothing and change nothing. */
  private strangers(): Identity[] {
    const [ended, rested, here] = [this.session("owner"), this.session("owner"), this.session("owner")];
    this.withData((db) => {
      const of = "(SELECT max(id) FROM session)";
      const then = new Date(Date.now() - 20 * 3_600_000).toISOString();
      db.prepare(`UPDATE session SET over = 'loopback' WHERE id = ${of}`).run();
      db.prepare(`UPDATE session SET begun_at = ?, seen_at = ? WHERE id = ${of} - 1`).run(then, then);
      db.prepare(`UPDATE session SET ended_at = ? WHERE id = ${of} - 2`).run(then);
    });
    const over = (name: string, headers: Record<string, string>): Identity => ({ name, base: "network", headers });
    return [
      over("nobody", {}),
      over("a made-up session", cookie("a".repeat(43))),
      over("an ended session", cookie(ended)),
      over("a session of yesterday", cookie(rested)),
      over("a session of this computer", { cookie: `__Host-zorbek=${here}; zorbek-here=${here}` }),
    ];
  }

  private cpu(): number {
    try {
      const fields = readFileSync(`/proc/${this.server.pid}/stat`, "utf8").split(") ")[1]!.split(" ");
      return (Number(fields[11]) + Number(fields[12])) / ticksPerSecond;
    } catch {
      return 0;
    }
  }
  private rssMb(): number {
    const [, pages] = readFileSync(`/proc/${this.server.pid}/statm`, "utf8").split(" ");
    return (Number(pages) * 4096) / 1e6;
  }
  private children(): number {
    return readdirSync("/proc").filter((one) => {
      try {
        return /^\d+$/.test(one) && Number(readFileSync(`/proc/${one}/stat`, "utf8").split(") ")[1]!.split(" ")[1]) === this.server.pid;
      } catch {
        return false;
      }
    }).length;
  }

  /** One request, and what holds of every one: an answer, no fault of the program's own, no stall. */
  private async send(who: Identity, path: string, request: Request & { told?: string } = {}): Promise<Asked | null> {
    const { told = `${request.method ?? "GET"} ${path.slice(0, 200)}`, ...rest } = request;
    const [before, said] = [this.cpu(), this.server.said.length];
    this.requests++;
    const answer = await ask(this.base(who) + path, { ...rest, headers: { ...who.headers, ...rest.headers } }).catch(
      (error: Error) => error,
    );
    const took = this.cpu() - before;
    if (took > mostSeconds) this.found("no stall", `${who.name}, ${told}: ${took.toFixed(1)} s of the processor`);
    const faults = this.server.said.slice(said).filter((line) => line.includes('"reference":'));
    if (faults.length) this.found("nothing fails", `${who.name}, ${told}: ${faults.join("\n").slice(0, 900)}`);
    if (answer instanceof Error) {
      // A server may hang up on what it will not read.
      if (!/ECONNRESET|EPIPE|socket hang up/.test(`${answer.message} ${(answer as { code?: string }).code}`))
        this.found("every request is answered", `${who.name}, ${told}: ${answer.message}`);
      return null;
    }
    if (answer.status >= 500 && answer.status !== 503 && answer.status !== 507)
      this.found("nothing fails", `${who.name}, ${told}: ${answer.status} ${answer.body.slice(0, 300)}`);
    return answer;
  }

  private counts = () =>
    this.withData((db) =>
      ["press", "journal", "job", "photo", "person"].map((table) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get()).join(" "),
    );

  private real(): (place: string) => string {
    const { value } = { value: <T>(sql: string) => this.server.value<T>(sql) };
    const known: Record<string, string> = {
      tag: value<string>("SELECT tag FROM job ORDER BY id LIMIT 1"),
      model: value<string>("SELECT id FROM model ORDER BY id LIMIT 1"),
      hash: value<string | undefined>("SELECT hash FROM photo LIMIT 1") ?? "0".repeat(64),
      number: value<string | undefined>("SELECT number FROM paper LIMIT 1") ?? "1",
      test: "turning",
    };
    return (place) => known[place] ?? "1";
  }

  private all = () => [...this.doors.pages, ...this.doors.files];

  /** Every door, by everybody who is nobody here: nothing shown, nothing changed. */
  async strangersAtEveryDoor(): Promise<void> {
    const names = this.server.list<string>("SELECT name FROM customer UNION SELECT name FROM person");
    const strangers = this.strangers();
    const before = this.counts();
    const open = /^\/(sign-in|join\/|icon\.svg|q\/)/;
    for (const who of strangers)
      for (const door of this.all()) {
        const path = addressOf(door, this.real());
        const methods = who === strangers[0] ? ["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"] : ["GET", "POST"];
        for (const method of methods) {
          const body = method === "GET" || method === "HEAD" || method === "OPTIONS" ? undefined : "{}";
          const headers = { origin: this.server.lan!.base, ...(body ? { "content-type": "application/json" } : {}) };
          const answer = await this.send(who, path, { method, headers, ...(body ? { body } : {}) });
          if (!answer) continue;
          const shown = names.find((name) => answer.body.includes(name));
          if (shown) this.found("a stranger sees nothing", `${who.name}, ${method} ${path} shows "${shown}"`);
          const shut =
            answer.status >= 300 || open.test(path) || answer.body.includes("/sign-in") || method === "OPTIONS" || method === "HEAD";
          if (!shut) this.found("a stranger gets no answer", `${who.name}, ${method} ${path}: ${answer.status}`);
        }
      }
    const owner: Identity = { name: "an owner's browser on another site's page", base: "network", headers: cookie(this.session("owner")) };
    const since = this.counts();
    for (const door of this.all()) {
      if (isOpen(door)) continue;
      const path = addressOf(door, this.real());
      for (const origin of ["https://elsewhere.example", "null", ""]) {
        const answer = await this.send(owner, path, {
          method: "POST",
          headers: { ...(origin ? { origin } : {}), "content-type": "application/json" },
          body: "{}",
        });
        if (answer && answer.status !== 403)
          this.found("another site changes nothing", `POST ${path} from ${origin || "nowhere"}: ${answer.status}`);
      }
      const drawn = await this.send(owner, path, {
        headers: { "sec-fetch-site": "cross-site", "sec-fetch-mode": "cors", "sec-fetch-dest": "empty" },
      });
      if (drawn && drawn.status !== 403) this.found("another site reads nothing", `GET ${path}: ${drawn.status}`);
    }
    const now = this.counts();
    // A session that begins is in the journal: the owner's one.
    if (now !== since || before.split(" ")[0] !== now.split(" ")[0]) this.found("a stranger changes nothing", `${before} became ${now}`);
  }

  /** Every door by everybody who works here: an answer, and what their role may not see is not shown. */
  async rolesAtEveryDoor(): Promise<void> {
    for (const role of ["counter", "bench", "owner"] as const) {
      const who: Identity = { name: role, base: "network", headers: cookie(this.session(role)) };
      for (const door of this.all()) {
        const answer = await this.send(who, addressOf(door, this.real()));
        if (answer?.status === 200 && role !== "owner" && /shop\.zip|\/customer\//.test(door))
          this.found("a role sees what it may", `${role} gets ${door}`);
      }
    }
  }

  private press(who: Identity, act: string, input: unknown, pressId: string): Promise<Asked | null> {
    const body = JSON.stringify({ pressId, act, input });
    return this.send(who, "/api/press", {
      ...{ method: "POST", body, told: `${act} ${body.slice(0, 700)}` },
      headers: { origin: this.base(who), "content-type": "application/json" },
    });
  }

  private nextPress = () => `attack-${this.seed}-${++this.presses}`;

  /** What each role may not do is not done, whatever it sends. */
  async rolesAtEveryAct(): Promise<void> {
    const mayNot: Record<"counter" | "bench", readonly string[]> = { counter: ["bench", "shop"], bench: ["shop"] };
    const pool = this.withData((db) => this.pooled(db));
    for (const role of ["counter", "bench"] as const) {
      const who: Identity = { name: role, base: "network", headers: cookie(this.session(role)) };
      const before = this.counts();
      for (const act of acts)
        if (mayNot[role].includes(act.permission))
          for (let n = 0; n < 3; n++) {
            const input = valueFor(schemaOf(act.name), { chance: this.chance, pool, badness: 0 });
            const answer = await this.press(who, act.name, input, this.nextPress());
            if (answer && isDone(answer)) this.found("a role does what it may", `${role} did ${act.name}`);
          }
      if (before !== this.counts()) this.found("a role does what it may", `${role}: ${before} became ${this.counts()}`);
    }
  }

  private pooled(db: Database.Database): (field: string) => readonly unknown[] {
    const pool = poolOf(db);
    const kept = new Map<string, readonly unknown[]>();
    // Read before the data is let go of.
    for (const act of acts) for (const field of fieldsOf(schemaOf(act.name))) kept.set(field, pool(field));
    return (field) => kept.get(field) ?? [];
  }

  /** One act of chance by an owner: refused or done once, also when it comes twice at once or again as another's. */
  private async oneAct(owner: Identity, pool: (field: string) => readonly unknown[]): Promise<void> {
    const act = this.chance.one(acts);
    const input = valueFor(schemaOf(act.name), { chance: this.chance, pool, badness: this.chance.one([0, 0, 0.02, 0.1]) });
    const pressId = this.nextPress();
    if (!this.chance.yes(0.2)) {
      const answer = await this.press(owner, act.name, input, pressId);
      this.acts[answer && isDone(answer) ? "done" : "refused"]++;
      return;
    }
    const [one, two] = await Promise.all([this.press(owner, act.name, input, pressId), this.press(owner, act.name, input, pressId)]);
    const done = this.server.value<number>("SELECT count(*) FROM press WHERE id = ?", pressId);
    if (done > 1) this.found("a press is done once", `${act.name} twice`);
    if (one && two && isDone(one) && isDone(two)) {
      const value = ({ body }: Asked) => JSON.stringify((JSON.parse(body) as { value?: unknown }).value ?? null);
      if (value(one) !== value(two) && act.journals.length > 0)
        this.found("a press sent twice is answered alike", `${act.name}: ${value(one).slice(0, 200)} and ${value(two).slice(0, 200)}`);
    }
    const other = this.chance.one(acts);
    if (done === 1 && other.name !== act.name) {
      const stolen = await this.press(
        owner,
        other.name,
        valueFor(schemaOf(other.name), { chance: this.chance, pool, badness: 0 }),
        pressId,
      );
      const again = this.server.value<string>("SELECT action FROM press WHERE id = ?", pressId);
      if (stolen && again !== act.name) this.found("a press is done once", `${other.name} took the place of ${act.name}`);
    }
  }

  /** A page or file with what nobody means, at its places and after its question mark. */
  private async oneAddress(owner: Identity, names: readonly string[]): Promise<void> {
    const { one, yes, some } = this.chance;
    const real = this.real();
    const path = addressOf(one(this.all()), (place) =>
      yes(0.5) ? real(place) : one(worstWords.filter((word) => word !== "\ud800" && word !== "")),
    );
    const query = some(names, 4).map(
      (name) => `${name}=${encodeURIComponent(one(worstWords.filter((word) => word !== "\ud800")))}${yes(0.1) ? `&${name}=2` : ""}`,
    );
    const raw = yes(0.1) ? one(["/%00", "/..%2f..%2fetc%2fpasswd", "/%ff", "/%", "//elsewhere.example/", `/${"a/".repeat(2000)}`]) : "";
    const address = `${path}${raw}?${query.join("&")}`.slice(0, 15_000);
    await this.send(owner, address, { headers: yes(0.3) ? { rsc: "1", "next-router-state-tree": one(["[]", "%00", "{"]) } : {} });
  }

  /** A body that is none, or of a form nobody asked for. */
  private async oneBody(owner: Identity): Promise<void> {
    const { one, yes } = this.chance;
    const deep = "[".repeat(20_000);
    const body = one<string | Buffer>([
      ...["", "{", "null", "[]", '"a"', "1e999", deep, `{"pressId":"12345678","act":"take-part","input":${deep}`],
      ...[
        '{"__proto__":{"ok":true}}',
        '{"pressId":"12345678","act":"__proto__","input":{}}',
        '{"pressId":"12345678","act":"constructor","input":null}',
      ],
      ...[Buffer.from([0xff, 0xfe, 0xfd]), `--x\r\ncontent-disposition: form-data; name="photo"; filename="a"\r\n\r\n`, "a=1&a=2"],
    ]);
    const type = one([
      "application/json",
      "multipart/form-data; boundary=x",
      "text/plain",
      "application/x-www-form-urlencoded",
      "text/x-component",
      "",
    ]);
    const action = yes(0.4) ? one([...this.doors.actions.map(([id]) => id), "0".repeat(42), "garbage"]) : "";
    // Putting a copy in the place of the data is a door for owners; what is tried here names no copy.
    await this.send(owner, addressOf(one(this.all()), this.real()), {
      ...{ method: one(["POST", "POST", "PUT", "DELETE", "PATCH"]), body },
      headers: {
        origin: this.base(owner),
        ...(type ? { "content-type": type } : {}),
        ...(action ? { "next-action": action } : {}),
        ...(yes(0.1) ? { "content-encoding": "gzip" } : {}),
        ...(yes(0.1) ? { "next-router-state-tree": "{" } : {}),
      },
    });
  }

  /** A picture bent by chance, at the doors that take one. */
  private async onePicture(owner: Identity, pictures: readonly Buffer[]): Promise<void> {
    const { one } = this.chance;
    const form = new FormData();
    const door = one(this.doors.uploads);
    form.set("pressId", this.nextPress());
    form.set("page", one(["1", "60", "61", "-1", "x"]));
    form.set("jobId", one(["1", "7", "0", "-1", "x", "1e99"]));
    const file = bent(one(pictures), this.chance);
    const name = one(["a.jpg", "../../a.jpg", "a.jpg\u0000.exe", ""]);
    form.set(one(["photo", "picture", "photo"]), new Blob([new Uint8Array(file)], { type: one(["image/jpeg", "text/html", ""]) }), name);
    const { body, headers } = await formBody(form);
    const path = addressOf(door, this.real());
    await this.send(owner, path, {
      method: "POST",
      body,
      headers: { ...headers, origin: this.base(owner) },
      told: `a bent picture at ${path}`,
    });
  }

  /** So many rounds of the worst, or until a moment. */
  async worst({ rounds = Number.POSITIVE_INFINITY, until = Number.POSITIVE_INFINITY }): Promise<void> {
    const names = queryNames();
    const plain = sharp({ create: { width: 60, height: 40, channels: 3, background: "#776655" } });
    const pictures = await Promise.all([plain.clone().jpeg().toBuffer(), plain.clone().png().toBuffer(), plain.clone().webp().toBuffer()]);
    const children = this.children();
    let owner = this.owner();
    let pool = this.withData((db) => this.pooled(db));
    for (let round = 0; round < rounds && Date.now() < until; round++) {
      if (round % 150 === 149) {
        // Some act of chance may have ended the session, or put its owner out.
        owner = this.owner();
        pool = this.withData((db) => this.pooled(db));
        this.memory.push(this.rssMb());
      }
      const what = this.chance.number();
      if (what < 0.65) await this.oneAct(owner, pool);
      else if (what < 0.83) await this.oneAddress(owner, names);
      else if (what < 0.94) await this.oneBody(owner);
      else await this.onePicture(owner, pictures);
    }
    for (let wait = 0; wait < 80 && this.children() > children; wait++) await new Promise((settle) => setTimeout(settle, 250));
    if (this.children() > children) this.found("no child is left", `${children} became ${this.children()}`);
    const third = this.memory[Math.floor(this.memory.length / 3)];
    const last = this.memory.at(-1);
    if (third && last && this.memory.length > 8 && last > third * 1.6)
      this.found("memory does not grow", `${third.toFixed(0)} MB became ${last.toFixed(0)} MB`);
    this.withData((db) => {
      const sound = [db.pragma("integrity_check", { simple: true }), ...(db.pragma("foreign_key_check") as unknown[])];
      if (sound.length !== 1 || sound[0] !== "ok") this.found("the data is sound", JSON.stringify(sound).slice(0, 400));
    });
    await this.send(this.owner(), "/rack");
  }

  private owner = (): Identity => ({ name: "owner", base: "network", headers: cookie(this.session("owner")) });
}

const isDone = ({ body }: Asked) => body.startsWith('{"ok":true');

const schemas = new Map<string, Schema>();
function schemaOf(name: string): Schema {
  const known = schemas.get(name);
  if (known) return known;
  const act = acts.find((one) => one.name === name)!;
  const made = z.toJSONSchema(act.input as z.ZodType, { io: "input", unrepresentable: "any" }) as Schema;
  schemas.set(name, made);
  return made;
}

/** Every name of a field in a schema, and of one of several. */
function fieldsOf(schema: unknown): string[] {
  if (typeof schema !== "object" || schema === null) return [];
  const own = "properties" in schema ? Object.keys((schema as Schema).properties ?? {}) : [];
  return [...own, ...own.map((name) => name.replace(/s$/, "")), ...Object.values(schema).flatMap(fieldsOf)];
}

async function formBody(form: FormData): Promise<{ body: Buffer; headers: Record<string, string> }> {
  const made = new Response(form);
  const body = Buffer.from(await made.arrayBuffer());
  return { body, headers: { "content-type": made.headers.get("content-type")!, "content-length": String(body.length) } };
}
