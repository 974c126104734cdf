import { cpSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { formatTag } from "@/core/tags/tag";
import { openDatabase } from "@/data/database/database";
import { indexForFind } from "@/data/database/find";
import { atTheBench, Person, Server } from "./bench";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

describe("papers", () => {
  it("an invoice is made at the return, paid in part, taken back in part, and what is too much is paid back", async () => {
    const tag = server.list<string>(
      "SELECT tag FROM job WHERE station = 'return' AND closed_at IS NULL AND declined_reason IS NULL ORDER BY id",
    )[0]!;
    await person.go(`/bench/${tag}/return`);
    for (;;) {
      const [item] = await person.driver.findElements({ xpath: "//button[contains(., 'still here')]" });
      if (!item) break;
      const here = server.list<number>("SELECT count(*) FROM job_brought WHERE given_back_at IS NULL")[0]!;
      await item.click();
      await person.driver.wait(
        () => server.list<number>("SELECT count(*) FROM job_brought WHERE given_back_at IS NULL")[0]! < here,
        15_000,
      );
      await person.go(`/bench/${tag}/return`);
    }
    await person.type("Collected by", "Odo");
    await person.type("Paid", "invoice");
    await person.press("Return it");
    const ofTag = `SELECT max(number) FROM paper_job JOIN job ON job.id = job_id WHERE tag = '${tag}'`;
    await person.driver.wait(() => server.list<number | null>(ofTag)[0] !== null, 15_000);
    const number = server.list<number>(ofTag)[0]!;
    await person.go(`/bench/${tag}/return`);
    await person.sees(`Invoice R ${String(number).padStart(6, "0")}`);
    const total = server.list<number>(`SELECT net_minor + tax_minor FROM paper WHERE number = ${number}`)[0]!;

    await person.go("/ledger/papers");
    await person.sees("not due yet");
    await person.press(`R ${String(number).padStart(6, "0")}`);
    await person.sees("Record a payment (all or part)");
    await person.type("Amount", "10");
    await person.type("How", "card");
    await person.press("Paid");
    await person.driver.wait(() => server.list("SELECT id FROM payment WHERE how = 'card' AND amount_minor = 1000").length === 1, 15_000);
    // More than is open is refused where it was typed, and stays there.
    await person.sees(((total - 1000) / 100).toFixed(2));
    await person.type("Amount", "99999");
    await person.press("Paid");
    await person.sees("is open.");
    expect(await person.value("Amount")).toBe("99999");

    await person.type("Reason (printed)", "A dull screw");
    await person.press("Create the credit note");
    await person.driver.wait(() => server.list(`SELECT number FROM paper WHERE of_number = ${number}`).length === 1, 15_000);
    await person.sees("To pay back");
    await person.press("Paid back");
    await person.driver.wait(() => server.list("SELECT id FROM payment WHERE amount_minor = -1000").length === 1, 15_000);
    await person.sees("Credited by");
    const text = await (await fetch(`${server.base}/ledger/papers/papers.csv?from=2020-01-01&to=2099-01-01`)).text();
    expect(text).toContain("credit note");
    expect((await fetch(`${server.base}/ledger/papers/${number}/paper.pdf`)).headers.get("content-type")).toBe("application/pdf");
    await person.go("/ledger");
    await person.sees("made credit note");
  });

  it("figures open down to the jobs they count, and leave as a table", async () => {
    await person.go("/ledger/figures?from=2000-01-01&to=2099-12-31");
    await person.sees("Earned per bench hour");
    await person.press("repair");
    await person.sees("Jobs behind");
    const links = await person.driver.findElements({ css: "table a[href^='/bench/']" });
    expect(links.length).toBeGreaterThan(0);
    const tag = await links[0]!.getText();
    await links[0]!.click();
    await person.driver.wait(async () => (await person.read()).includes(tag), 15_000);
    const csv = await (await fetch(`${server.base}/ledger/figures/figures.csv?from=2000-01-01&to=2099-12-31`)).text();
    expect(csv.split("\r\n")[0]).toBe("figure,of,unit,jobs,quarter,middle,three quarters");
    expect(csv).toContain("a bench hour brought,repair");
  });
});

describe("the ledger at ten years", () => {
  const data = mkdtempSync(join(tmpdir(), "zorbek-ten-years-"));
  let old: Server;
  let reader: Person;
  const reels = 9000;
  const jobs = 12_000;
  beforeAll(async () => {
    cpSync(inject("filledDemo"), data, { recursive: true });
    const db = openDatabase(data);
    db.pragma("synchronous = OFF");
    db.transaction(() => {
      const closed = db.prepare("SELECT * FROM job WHERE closed_at IS NOT NULL LIMIT 1").get() as Record<string, unknown>;
      const firstJob = (db.prepare("SELECT max(id) FROM job").pluck().get() as number) + 1;
      const firstReel = (db.prepare("SELECT max(id) FROM reel").pluck().get() as number) + 1;
      const firstPaper = (db.prepare("SELECT coalesce(max(number), 0) FROM paper").pluck().get() as number) + 1;
      const addReel = db.prepare("INSERT INTO reel (id, model_id, serial, hand, owner_id) VALUES (?, 'skerry-30', ?, 'right', ?)");
      const columns = Object.keys(closed);
      const addJob = db.prepare(`INSERT INTO job (${columns.join(", ")}) VALUES (${columns.map((name) => `@${name}`).join(", ")})`);
      const addPaper = db.prepare(
        `INSERT INTO paper (number, kind, customer_id, on_day, due_on, currency, tax_basis_points, net_minor, tax_minor, lines, at, person_id)
         VALUES (?, 'invoice', ?, ?, ?, 'EUR', 2000, 5000, 1000, '[]', ?, 1)`,
      );
      for (let i = 0; i < reels; i++) {
        addReel.run(firstReel + i, `TY ${100_000 + i}`, closed.customer_id);
        indexForFind(db, {
          kind: "reel",
          ref: String(firstReel + i),
          title: `Skerry 30, TY ${100_000 + i}`,
          words: `Skerry 30 TY ${100_000 + i}`,
        });
      }
      for (let i = 0; i < jobs; i++) {
        const at = new Date(Date.now() - (jobs - i) * 7_000_000).toISOString();
        const tag = formatTag(firstJob + i);
        addJob.run({
          ...closed,
          id: firstJob + i,
          tag,
          reel_id: firstReel + (i % reels),
          opened_at: at,
          closed_at: at,
          promised_on: at.slice(0, 10),
          comeback_of: null,
          lot_id: null,
        });
        addPaper.run(firstPaper + i, closed.customer_id, at.slice(0, 10), at.slice(0, 10), at);
      }
    })();
    db.close();
    old = await Server.on(data);
    reader = await Person.at(old);
  });
  afterAll(async () => {
    await reader?.close();
    await old?.kill();
    rmSync(data, { recursive: true, force: true });
  });

  it("finds a serial among nine thousand reels, pages through them, its papers and the jobs of a figure", async () => {
    await reader.go("/ledger");
    await reader.type("Tag, serial, owner, reel, fault or part", "TY 104321");
    await reader.press("Search");
    await reader.sees("Skerry 30, TY 104321");
    await reader.go("/ledger");
    const before = await reader.read();
    await reader.press("Next page");
    await reader.sees("Page 2");
    expect(await reader.read()).not.toBe(before);
    await reader.go("/ledger/papers?page=200");
    await reader.sees("Page 201");
    await reader.go("/ledger/papers?q=9999");
    await reader.sees("R 009999");
    await reader.go("/ledger/figures");
    await reader.sees("Month by month");
    await reader.go("/ledger/figures/jobs");
    await reader.press("Next page");
    await reader.sees("Page 2");
    expect((await reader.driver.findElements({ css: "table a[href^='/bench/']" })).length).toBe(40);
  });
});
