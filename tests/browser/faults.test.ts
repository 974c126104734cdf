import { spawn, spawnSync } from "node:child_process";
import { randomBytes, randomUUID } from "node:crypto";
import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  rmSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import sharp from "sharp";
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { backUp, listBackups } from "@/data/database/backup";
import { photoLimits } from "@/data/database/photos";
import { Person, Server } from "./bench";

let server: Server;
let person: Person;
beforeAll(async () => {
  server = await Server.start();
  person = await Person.at(server);
});
afterAll(async () => {
  await person?.close();
  await server?.stop();
});
const off = () => server.value<number>("SELECT count(*) FROM tray_well WHERE job_id = 7");
const page = async (path: string) => {
  const began = performance.now();
  const response = await fetch(server.base + path);
  return { status: response.status, body: (await response.text()).replaceAll("&#x27;", "'"), ms: performance.now() - began };
};
/** One press that takes a part off, and later whether it was done once. */
const pressOnce = async () => {
  const before = off();
  await person.driver.executeScript("document.activeElement?.blur?.()");
  await person.driver.actions().sendKeys(" ").perform();
  return before;
};

describe("another program holds the data", () => {
  it("pages are read all the same, the press is kept, said, and done once when it lets go", async () => {
    await person.go("/bench/Z-00007-6/strip");
    await person.sees("into well 1");
    const other = new Database(join(server.data, "zorbek.db"));
    other.exec("BEGIN IMMEDIATE");
    const before = await pressOnce();
    // Reading never stands still for a writer: the limit is wide, a stall would be the five seconds of a busy wait.
    for (const path of ["/", "/stores", "/ledger", "/library"]) expect((await page(path)).ms).toBeLessThan(3000);
    await person.sees("Another program holds the shop's data.", 20_000);
    await person.sees("1 press is kept and sent again by itself");
    expect(off()).toBe(before);
    other.exec("ROLLBACK");
    other.close();
    await person.driver.wait(() => off() > before, 20_000);
    const once = off();
    await person.rest(3000);
    expect(off()).toBe(once);
    await person.driver.wait(async () => (await person.seesNot("Another program holds")) === true, 10_000);
  });
});

/** A disk of its own, small: only root may mount one; elsewhere these two are left out, and said to be. */
const canMount = process.getuid?.() === 0 && spawnSync("mount", ["-V"]).status === 0;
const mounted: string[] = [];
const mount = (megabytes: number) => {
  const at = `${server.data}-disk`;
  mkdirSync(at, { recursive: true });
  if (spawnSync("mount", ["-t", "tmpfs", "-o", `size=${megabytes}m`, "tmpfs", at]).status !== 0) return null;
  mounted.push(at);
  return at;
};
afterEach(() => {
  for (const at of mounted.splice(0)) {
    spawnSync("umount", ["-l", at]);
    rmSync(at, { recursive: true, force: true });
  }
});

describe("the disk", () => {
  it.runIf(canMount)(
    "full: said with what to do, nothing lost, done when there is room; read-only likewise",
    async (context) => {
      const disk = mount(24);
      if (!disk) return context.skip("this machine lets nobody mount a disk");
      await server.kill();
      copyFileSync(join(server.data, "zorbek.db"), join(disk, "zorbek.db"));
      const small = await Server.on(disk);
      const there = await Person.at(small);
      try {
        const wells = () => small.value<number>("SELECT count(*) FROM tray_well WHERE job_id = 7");
        await there.go("/bench/Z-00007-6/strip");
        await there.sees("into well");
        const before = wells();
        spawnSync("sh", ["-c", `cat /dev/zero > ${disk}/filler 2>/dev/null`]);
        await there.driver.executeScript("document.activeElement?.blur?.()");
        await there.driver.actions().sendKeys(" ").perform();
        await there.sees("The disk is full: nothing more can be written.", 20_000);
        expect((await fetch(`${small.base}/stores`)).status).toBe(200);
        rmSync(join(disk, "filler"));
        await there.driver.wait(() => wells() > before, 20_000);
        const once = wells();
        await there.rest(2500);
        expect(wells()).toBe(once);
        expect(small.value("PRAGMA integrity_check")).toBe("ok");
      } finally {
        await there.close();
        await small.kill();
        await server.up();
      }
    },
    90_000,
  );
});

describe("data that cannot be worked with", () => {
  let good: Buffer;
  beforeEach(async () => {
    await server.kill();
    if (!listBackups(server.data).length) backUp(server.data, new Date(Date.now() - 60_000));
    const db = new Database(join(server.data, "zorbek.db"));
    good = Buffer.from(db.serialize());
    db.close();
  });
  afterEach(async () => {
    await server.kill();
    for (const rest of ["-wal", "-shm"]) rmSync(join(server.data, `zorbek.db${rest}`), { force: true });
    writeFileSync(join(server.data, "zorbek.db"), good);
    await server.up();
  });
  const file = () => join(server.data, "zorbek.db");
  const alone = () => {
    for (const rest of ["-wal", "-shm"]) rmSync(`${file()}${rest}`, { force: true });
  };

  it("damaged: one page says so and puts a copy back by a press, needing nothing of the data", async () => {
    alone();
    const handle = openSync(file(), "r+");
    writeSync(handle, Buffer.alloc(4096, 7), 0, 4096, 0);
    closeSync(handle);
    await server.up(false);
    await person.driver.get(`${server.base}/stores`);
    await person.sees("Zorbek cannot work with this data");
    await person.sees("put the last good copy back");
    await person.press("Restore it");
    await person.sees("Put back. The previous data is in", 30_000);
    await person.go("/");
    await person.sees("Next:");
    expect(readdirSync(join(server.data, "backups")).some((name) => name.startsWith("damaged-"))).toBe(true);
  });

  it("of no bytes, though a shop was here: no new one is begun in it", async () => {
    alone();
    truncateSync(file(), 0);
    await server.up(false);
    const { body } = await page("/");
    expect(body).toContain("has no bytes left, though a shop was here");
    expect(body).toContain("npm run restore");
  });

  it("written by a newer Zorbek: nothing is changed", async () => {
    const db = new Database(file());
    db.prepare("INSERT INTO migration (name, checksum, at) VALUES ('9999-later.sql', 'x', '2030-01-01')").run();
    db.close();
    await server.up(false);
    const { body } = await page("/");
    expect(body).toContain("written by a newer Zorbek (9999-later.sql)");
    expect(body).toContain("Start the newer version");
  });

  it("with a clock that stands before the last entry: said on every page, and work goes on", async () => {
    const db = new Database(file());
    db.prepare(
      "INSERT INTO journal (at, person_id, action, detail) VALUES ('2099-01-01T00:00:00.000Z', 1, 'shop-settings-saved', '{}')",
    ).run();
    db.close();
    await server.up();
    expect((await page("/stores")).body).toContain("Set the clock");
  });
});

describe("two servers on one folder", () => {
  it("the second says where the first is, and starts nothing", async () => {
    const second = spawn("node", ["scripts/serve.mjs", String(server.port + 1)], {
      env: { ...process.env, ZORBEK_DATA: server.data },
      stdio: ["ignore", "ignore", "pipe"],
    });
    let said = "";
    second.stderr.on("data", (part: Buffer) => {
      said += part.toString();
    });
    const code = await new Promise<number | null>((settle) => second.once("exit", settle));
    second.kill();
    expect(code).toBe(3);
    expect(said).toContain(`works with ${server.data} already, at ${server.base}`);
  });
});

describe("a picture whose file is gone", () => {
  it("says so in its place", async () => {
    const db = new Database(join(server.data, "zorbek.db"));
    const hash = "c".repeat(64);
    db.prepare("INSERT OR IGNORE INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')").run(hash);
    db.close();
    const { status, body } = await page(`/api/photos/${hash}`);
    expect([status, body.includes("This picture's file is missing.")]).toEqual([404, true]);
    expect(existsSync(join(server.data, "photos", `${hash}.jpg`))).toBe(false);
  });
});

describe("limits that are told", () => {
  const send = async (photo: Buffer) => {
    const form = new FormData();
    form.set("pressId", randomUUID());
    form.set("jobId", "7");
    form.set("photo", new File([new Uint8Array(photo)], "reel.jpg", { type: "image/jpeg" }));
    const response = await fetch(`${server.base}/api/photos`, { method: "POST", body: form, headers: { origin: server.base } });
    return { status: response.status, message: ((await response.json()) as { message?: string }).message ?? "" };
  };
  it("are the limits: a picture of just under twelve megabytes goes, one of more is refused with the words", async () => {
    const grain = (side: number) =>
      sharp(randomBytes(side * side * 3), { raw: { width: side, height: side, channels: 3 } })
        .jpeg({ quality: 100, chromaSubsampling: "4:4:4" })
        .toBuffer();
    const large = await grain(2040);
    expect(large.length).toBeGreaterThan(11 * 1024 ** 2);
    expect(large.length).toBeLessThan(photoLimits.bytes);
    expect(await send(large)).toEqual({ status: 200, message: "" });
    const refused = await send(await grain(2150));
    expect(refused).toMatchObject({ status: 413, message: expect.stringContaining("more than 12 MB") });
  });
});

describe("what is typed with signs nobody can see", () => {
  it("is refused, and stays in its field", async () => {
    await person.go("/ledger");
    await person.press("New customer");
    await person.type("Name", "Ada");
    const field = await person.field("Name");
    await person.driver.executeScript(
      "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set; set.call(arguments[0], 'Ada\u0007'); arguments[0].dispatchEvent(new Event('input', { bubbles: true }))",
      field,
    );
    await person.press("Add the customer");
    await person.sees("The text has a hidden character");
    expect(server.value("SELECT count(*) FROM customer WHERE name LIKE 'Ada%'")).toBe(0);
  });
});
