import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Papa from "papaparse";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { type ArchiveManifest, bringInArchive, canonicalHash, safeCell, takeOut } from "./archive";
import { openDatabase } from "./database";

let directory: string;
let other: string;
const now = new Date("2026-05-20T08:00:00Z");
const picture = createHash("sha256").update("pic").digest("hex");
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-from-"));
  other = mkdtempSync(join(tmpdir(), "zorbek-to-"));
  const db = openDatabase(directory);
  db.exec("INSERT INTO person (name, role) VALUES ('Bea', 'owner')");
  db.exec("INSERT INTO customer (name, note) VALUES ('Ada Brook', '=1+1'), ('Jörn \"Müße\"', 'two\nlines, a comma')");
  db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')").run(picture);
  db.close();
  mkdirSync(join(directory, "photos"), { recursive: true });
  writeFileSync(join(directory, "photos", `${picture}.jpg`), "pic");
});
afterEach(() => {
  for (const folder of [directory, other]) rmSync(folder, { recursive: true, force: true });
});
const hashOf = (folder: string) => {
  const db = openDatabase(folder);
  const hash = canonicalHash(db);
  db.close();
  return hash;
};
const archive = () => join(other, "shop.zip");

/** The archive with one of its entries written anew. */
function changed(name: string, how: (text: string) => string, alsoManifest: (manifest: ArchiveManifest) => void = () => undefined): string {
  const folder = mkdtempSync(join(other, "zip-"));
  const out = join(folder, "changed.zip");
  execFileSync("python3", [
    "-c",
    "import zipfile,sys\nzipfile.ZipFile(sys.argv[1]).extractall(sys.argv[2])",
    archive(),
    join(folder, "in"),
  ]);
  const at = (one: string) => join(folder, "in", one);
  if (existsSync(at(name))) writeFileSync(at(name), how(readFileSync(at(name), "utf8")));
  else writeFileSync(at(name), how(""));
  if (name !== "manifest.json") {
    const manifest = JSON.parse(readFileSync(at("manifest.json"), "utf8")) as ArchiveManifest;
    alsoManifest(manifest);
    writeFileSync(at("manifest.json"), JSON.stringify(manifest));
  }
  const zip =
    "import zipfile,sys,os\nz=zipfile.ZipFile(sys.argv[2],'w')\nfor d,_,fs in os.walk(sys.argv[1]):\n  for f in fs:\n    p=os.path.join(d,f);z.write(p,os.path.relpath(p,sys.argv[1]))\nz.close()";
  execFileSync("python3", ["-c", zip, join(folder, "in"), out]);
  return out;
}
/** The hash of an archive's tables as somebody who changed them would write it: names and lines, in order. */
function forged(file: string): string {
  const script =
    "import zipfile,sys,hashlib\nz=zipfile.ZipFile(sys.argv[1]);h=hashlib.sha256()\nfor n in sorted(x for x in z.namelist() if x.endswith('.jsonl')):\n  h.update((n[7:-6]+'\\n').encode());h.update(z.read(n))\nprint(h.hexdigest(),end='')";
  return execFileSync("python3", ["-c", script, file], { encoding: "utf8" });
}
const rejected = async (file: string, to: string, words: RegExp) => {
  await expect(bringInArchive(file, to)).rejects.toThrow(words);
  expect(existsSync(join(to, "zorbek.db"))).toBe(false);
};

describe("a whole shop as one file", () => {
  it("brought into an empty folder holds the same, by hash, pictures too", async () => {
    const manifest = await takeOut(directory, archive(), now);
    expect(manifest).toMatchObject({ pictures: 1, hash: hashOf(directory) });
    expect(manifest.tables.customer).toBe(2);
    const to = join(other, "new");
    await bringInArchive(archive(), to);
    expect(hashOf(to)).toBe(hashOf(directory));
    expect(readFileSync(join(to, "photos", `${picture}.jpg`), "utf8")).toBe("pic");
    expect(readdirSync(to).sort()).not.toContain(".coming");
    // The find index came with the database: nothing has to be made anew.
    const db = openDatabase(to);
    expect(db.prepare("SELECT count(*) FROM migration").pluck().get()).toBeGreaterThan(30);
    db.close();
  });

  it("is read by an independent program, tables as JSON Lines and CSV with no cell that is a formula", async () => {
    await takeOut(directory, archive(), now);
    // Python's own zipfile, json and csv.
    const script =
      "import zipfile,json,csv,io,sys\nz=zipfile.ZipFile(sys.argv[1])\nassert z.testzip() is None\nrows=[json.loads(l) for l in z.read('tables/customer.jsonl').decode().splitlines()]\ncells=list(csv.reader(io.StringIO(z.read('tables/customer.csv').decode('utf-8-sig'))))\nprint(json.dumps({'names':sorted(z.namelist())[:3],'rows':[r['name'] for r in rows],'csv':[c[cells[0].index('note')] for c in cells[1:]],'schema':'CREATE TABLE customer' in z.read('schema.sql').decode()}))";
    const read = JSON.parse(execFileSync("python3", ["-c", script, archive()], { encoding: "utf8" })) as {
      rows: string[];
      csv: string[];
      schema: boolean;
    };
    expect(read.rows.sort()).toEqual(["Ada Brook", 'Jörn "Müße"']);
    expect(read.csv.sort()).toEqual(["'=1+1", "two\nlines, a comma"]);
    expect(read.schema).toBe(true);
  });

  it("makes every sign that begins a formula harmless, and leaves numbers and words alone (OWASP, CSV injection)", () => {
    expect(["=1", "+1", "-1", "@x", "\tx", "\rx"].map(safeCell)).toEqual(["'=1", "'+1", "'-1", "'@x", "'\tx", "'\rx"]);
    expect(["＝1", "＋1", "－1", "＠x", " =1"].map(safeCell)).toEqual(["'＝1", "'＋1", "'－1", "'＠x", "' =1"]);
    expect([-1, "a=b", "", null].map(safeCell)).toEqual([-1, "a=b", "", null]);
    expect(Papa.parse(Papa.unparse([[safeCell('=cmd|"x"')]])).data).toEqual([['\'=cmd|"x"']]);
  });

  it("refuses a folder with a shop, a file that is none, and one that was changed on the way; the folder stays as it was", async () => {
    await takeOut(directory, archive(), now);
    await expect(bringInArchive(archive(), directory)).rejects.toThrow(/a shop in .* already/);
    const to = join(other, "new");
    writeFileSync(join(other, "no.zip"), "this is no archive");
    await expect(bringInArchive(join(other, "no.zip"), to)).rejects.toThrow(/cannot be read as a shop's archive/);
    // One name changed in it, everything else as it was.
    await rejected(
      changed("tables/customer.jsonl", (text) => text.replace("Ada Brook", "Eve")),
      to,
      /does not hold what its manifest says/,
    );
    expect(existsSync(join(to, "zorbek.db"))).toBe(false);
    await bringInArchive(archive(), to);
    expect(hashOf(to)).toBe(hashOf(directory));
  });

  it("takes nothing out of a file but a shop's own entries", async () => {
    await takeOut(directory, archive(), now);
    const evil =
      "import zipfile,sys\nz=zipfile.ZipFile(sys.argv[1],'a');z.writestr('../../outside.txt','x');z.writestr('photos/../evil.jpg','x');z.close()";
    execFileSync("python3", ["-c", evil, archive()]);
    const to = join(other, "deep", "new");
    await bringInArchive(archive(), to).catch(() => undefined);
    expect(existsSync(join(other, "outside.txt"))).toBe(false);
    expect(existsSync(join(to, "evil.jpg"))).toBe(false);
  });

  it("leaves who is signed in, invitations, failed tries and what presses answered behind", async () => {
    const db = openDatabase(directory);
    db.exec(`INSERT INTO person (id, name, role) VALUES (9, 'Ada', 'owner');
      INSERT INTO session (token_hash, person_id, over, address, device, begun_at, seen_at) VALUES ('${"a".repeat(64)}', 1, 'network', 'x', 'y', 'z', 'z');
      INSERT INTO invitation (token_hash, person_id, until) VALUES ('${"b".repeat(64)}', 1, 'z');
      INSERT INTO failed_try (of, failures, last_at) VALUES ('person 1', 3, 'z');
      INSERT INTO press (id, action, person_id, at, answer) VALUES ('press-number-1', 'x', 1, 'z', '"secret-code"');
      INSERT INTO journal (at, person_id, action, detail, session_id) VALUES ('2026-01-01T00:00:00Z', 1, 'signed-in', '{}', 1)`);
    db.close();
    await takeOut(directory, archive(), now);
    const bytes = execFileSync(
      "python3",
      ["-c", "import zipfile,sys\nz=zipfile.ZipFile(sys.argv[1])\nfor n in z.namelist(): sys.stdout.buffer.write(z.read(n))", archive()],
      { maxBuffer: 1 << 28 },
    ).toString("latin1");
    for (const secret of ["a".repeat(64), "b".repeat(64), "secret-code"]) expect(bytes.includes(secret)).toBe(false);
    const to = join(other, "new");
    const { people } = await bringInArchive(archive(), to);
    expect(people).toContainEqual({ name: "Ada", role: "owner", active: true });
    const brought = openDatabase(to);
    for (const table of ["session", "invitation", "failed_try", "press"])
      expect(brought.prepare(`SELECT count(*) FROM ${table}`).pluck().get(), table).toBe(0);
    expect(brought.prepare("SELECT session_id FROM journal").pluck().all()).toEqual([null]);
    brought.close();
  });

  it("has our own schema afterwards, whatever a stranger put into the file: no trigger, no view, no table of theirs", async () => {
    await takeOut(directory, archive(), now);
    const evil = join(other, "evil.db");
    execFileSync("python3", [
      "-c",
      "import sqlite3,sys\nc=sqlite3.connect(sys.argv[1]);c.executescript(\"CREATE TABLE press(id);CREATE TRIGGER all_owners AFTER INSERT ON press BEGIN UPDATE person SET role='owner'; END;\");c.commit()",
      evil,
    ]);
    execFileSync("python3", [
      "-c",
      "import zipfile,sys\nz=zipfile.ZipFile(sys.argv[1],'a');z.write(sys.argv[2],'zorbek.db');z.close()",
      archive(),
      evil,
    ]);
    const to = join(other, "new");
    await bringInArchive(archive(), to);
    const schemaOf = (folder: string) => {
      const db = openDatabase(folder);
      const sql = db.prepare("SELECT type || ' ' || name || ' ' || coalesce(sql, '') FROM sqlite_schema ORDER BY 1").pluck().all();
      db.close();
      return sql;
    };
    expect(schemaOf(to)).toEqual(schemaOf(directory));
  });

  it("refuses a stranger's rows in words: no JSON, other columns, wrong counts, rows that belong to nothing, no owner, another picture", async () => {
    await takeOut(directory, archive(), now);
    const to = join(other, "new");
    const same = (text: string) => text;
    await rejected(
      changed("tables/customer.jsonl", () => "{ no json\n"),
      to,
      /tables\/customer\.jsonl, line 1 cannot be read: it is no JSON/,
    );
    await rejected(
      changed("tables/customer.jsonl", () => '{"evil":1}\n'),
      to,
      /line 1 has other columns/,
    );
    await rejected(
      changed("tables/customer.jsonl", (text) => text.replace(/"name":"[^"]*"/, '"name":{"a":1}')),
      to,
      /is no row/,
    );
    await rejected(
      changed("manifest.json", (text) => text.replace("{", "")),
      to,
      /manifest\.json cannot be read/,
    );
    await rejected(
      changed("tables/customer.jsonl", same, (m) => ({ ...Object.assign(m.tables, { customer: 7 }) })),
      to,
      /has 2 rows, its manifest says 7/,
    );
    await rejected(
      changed("tables/customer.jsonl", same, (m) => void Object.assign(m.tables, { evil: 0 })),
      to,
      /a table “evil”/,
    );
    await rejected(
      changed("tables/customer.jsonl", same, (m) => void m.migrations.push("9999-theirs.sql")),
      to,
      /newer Zorbek/,
    );
    await rejected(
      changed(`photos/${picture}.jpg`, () => "another"),
      to,
      /is not the one its name says/,
    );
    // With the hash forged along, what the rows say is still looked at.
    const stray = changed(
      "tables/reel_lining.jsonl",
      () => '{"reel_id":99,"position_id":"x","material":"carbon","job_id":99,"at":"z"}\n',
      (m) => void Object.assign(m.tables, { reel_lining: 1 }),
    );
    const again = (file: string) => {
      const hash = forged(file);
      execFileSync("cp", [file, archive()]);
      return changed("README.txt", same, (m) => void Object.assign(m, { hash }));
    };
    await rejected(again(stray), to, /belong to nothing/);
    await takeOut(directory, join(other, "fresh.zip"), now);
    execFileSync("cp", [join(other, "fresh.zip"), archive()]);
    const role = changed("tables/customer.jsonl", (text) => text.replace(/"discount_class":"none"/g, '"discount_class":"god"'));
    await rejected(again(role), to, /cannot be: CHECK/);
  });
});
