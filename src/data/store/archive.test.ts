import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Papa from "papaparse";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { bringInArchive, canonicalHash, safeCell, takeOut } from "./archive";
import { openDatabase } from "./database";

let directory: string;
let other: string;
const now = new Date("2026-05-20T08:00:00Z");
const picture = createHash("sha256").update("pic").digest("hex");
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-from-"));
  other = mkdtempSync(join(tmpdir(), "zorbek-to-"));
  const db = openDatabase(directory);
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
    expect([-1, "a=b", "", null].map(safeCell)).toEqual([-1, "a=b", "", null]);
    expect(Papa.parse(Papa.unparse([[safeCell('=cmd|"x"')]])).data).toEqual([['\'=cmd|"x"']]);
  });

  it("refuses a folder with a shop, a file that is none, and one that was changed on the way; the folder stays as it was", async () => {
    await takeOut(directory, archive(), now);
    await expect(bringInArchive(archive(), directory)).rejects.toThrow(/a shop in .* already/);
    const to = join(other, "new");
    writeFileSync(join(other, "no.zip"), "this is no archive");
    await expect(bringInArchive(join(other, "no.zip"), to)).rejects.toThrow(/cannot be read as a shop's archive/);
    // The database inside changed by one name, everything else as it was.
    const change =
      "import zipfile,sys,sqlite3,os\nsrc=zipfile.ZipFile(sys.argv[1]);src.extract('zorbek.db',sys.argv[3]);p=os.path.join(sys.argv[3],'zorbek.db')\nc=sqlite3.connect(p);c.execute(\"UPDATE customer SET name='Eve' WHERE id=1\");c.commit();c.close()\nout=zipfile.ZipFile(sys.argv[2],'w')\nfor n in src.namelist():\n  out.writestr(n, open(p,'rb').read() if n=='zorbek.db' else src.read(n))\nout.close()";
    execFileSync("python3", ["-c", change, archive(), join(other, "changed.zip"), other]);
    await expect(bringInArchive(join(other, "changed.zip"), to)).rejects.toThrow(/does not hold what its manifest says/);
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
});
