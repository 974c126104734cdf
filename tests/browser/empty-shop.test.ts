import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import JSZip from "jszip";
import { By } from "selenium-webdriver";
import { describe, expect, it } from "vitest";
import type { WayOut } from "@/core/vocabulary/way-out";
import { bringInArchive, canonicalHash } from "@/data/database/archive";
import { wayLink } from "@/ui/controls/way-link";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
atTheBench(
  (startedServer, startedPerson) => {
    server = startedServer;
    person = startedPerson;
  },
  { empty: true },
);

const choose = async (label: string, words: string) => {
  const field = await person.field(label);
  await field.findElement(By.xpath(`.//option[contains(normalize-space(.), "${words}")]`)).then((option) => option.click());
};

/** Touches a callout of the schematic by its words. */
const touch = async (words: string) => {
  await person.press("Handle and star");
  const callout = await person.driver.findElement(By.css(`svg [role="button"][aria-label*="${words}"]`));
  await person.driver.executeScript("arguments[0].dispatchEvent(new MouseEvent('click', { bubbles: true }))", callout);
  await person.sees(`Seat: ${words}`);
};

describe("a shop that starts with nothing", () => {
  let tag = "";

  it("is asked six things wherever it is opened, says what is wrong at its field, and shows the doors then", async () => {
    await person.go("/counter");
    await person.sees("Set up your shop");
    await person.sees(server.data);
    await person.type("Name of the shop, as on the tags", "The Sail Loft");
    await person.type("Currency", "pounds");
    await person.press("Create the shop");
    await person.sees("Enter your name. It is recorded with everything you do.");
    await person.sees("Three capital letters");
    await person.type("Your name", "Ola Quist");
    await person.type("Currency", "EUR");
    await person.press("Create the shop");
    await person.sees("The Sail Loft: where to begin");
    await person.sees("Try the demo shop");
    expect(server.value("SELECT name FROM person")).toBe("Ola Quist");
    await person.go("/first");
    await person.sees("where to begin");
  });

  it("makes its first model from a family and takes in the first reel", async () => {
    await person.press("Make a model first");
    await person.sees("No model yet.");
    await choose("Family", "conventional, star drag on a bridge");
    await person.press("Create the model");
    await person.sees("What is it called?"); // said at the field, with nothing lost
    await person.type("Maker", "Osier");
    await person.type("Model", "Tern 20");
    await person.type("Part numbers begin with", "OT");
    await person.press("Create the model");
    await person.sees("Osier Tern 20");
    await person.go("/counter");
    await person.type("Customer", "Ola Marsh");
    await person.type("Model", "Osier Tern 20");
    await person.press("gritty or grinding");
    await person.type("Spending limit", "400");
    await person.press("Check in");
    await person.sees("Checked in as");
    tag = /Z-\d{5}-\d/.exec(await person.read())![0];
  });

  it("is sent from Parts to the part, where supplier and offer are written down, and can order then", async () => {
    await person.go(`/bench/${tag}/parts`);
    await touch("Handle lock screw");
    await person.press("Order");
    await person.sees("No supplier sells");
    await person.press("Add an offer");
    await person.sees("No supplier yet.");
    await person.press("Add the supplier");
    await person.sees("Enter the supplier's name.");
    const form = 'form[aria-label="New supplier"] ';
    for (const [name, text] of [
      ["name", "Ferry Lane Spares"],
      ["postageMinor", "4,50"],
      ["leadDays", "6"],
    ] as const)
      await person.driver.findElement(By.css(`${form}[name="${name}"]`)).then((field) => field.sendKeys(text));
    await person.press("Add the supplier");
    await person.sees("Save the offer");
    await person.type("Price, EUR", "1,20");
    await person.press("Save the offer");
    await person.sees("Ferry Lane Spares 1.20, postage 4.50, 6 days");
    await person.go(`/bench/${tag}/parts`);
    await touch("Handle lock screw");
    await person.press("Order");
    await person.sees("Now: on the needs list");
    await person.press("Place the order at Stores");
    await person.press("Order 1 from Ferry Lane Spares");
    await person.sees("0 of 1 received");
    await person.press("Receive");
    await person.sees("1 of 1 received");
  });

  it("fits the piece once the old one is off: the refusal leads to Strip", async () => {
    await person.go(`/bench/${tag}/parts`);
    await person.press("Fit from stock");
    await person.sees("still in the reel");
    await person.press("Go to Strip");
    await person.sees("into well 1");
    await person.space();
    await person.go(`/bench/${tag}/parts`);
    await person.press("arrived");
    await person.press("Fit from stock");
    await person.sees("Now: new piece in well");
    expect(server.value("SELECT state || ' ' || position_id FROM need")).toBe("used lock-screw");
  });

  it("adds a part by hand, gives it a bin, changes its price and retires it; a customer and a supplier as well", async () => {
    await person.go("/library/new-part?number=OT-X1");
    await choose("Kind", "ball bearing");
    await person.type("Name", "Spool bearing, spare");
    await person.type("Material", "stainless steel");
    await person.type("Price", "8.90");
    await person.type("bore, mm", "0");
    await person.press("Add the part");
    await person.sees("a size is above 0");
    await person.type("bore, mm", "5");
    await person.type("outside, mm", "11");
    await person.type("width, mm", "4");
    await person.press("Add the part");
    await person.sees("Where it is used, and where else it fits");
    await person.type("Bin", "A1");
    await person.type("In stock", "3");
    await person.press("Give it a bin");
    await person.sees("3 in bin A1");
    await person.type("Price, for jobs opened from now on", "9.50");
    await person.press("Save");
    await person.sees("9.50 EUR");
    await person.press("Retire Spool bearing, spare");
    await person.sees("Retired: no longer ordered or offered.");
    await person.go("/stores/suppliers");
    await person.press("Retire Ferry Lane Spares");
    await person.sees("no longer used");
    await person.go("/ledger");
    await person.press("New customer");
    await person.type("Name", "Ben Rowe");
    await person.press("Add the customer");
    await person.driver.wait(() => server.value("SELECT count(*) FROM customer") === 2, 10_000);
  });

  /** Every way a refusal can point, followed: the page is there, and on it the place that was named. */
  const ways: { readonly [To in WayOut["to"]]: (() => Extract<WayOut, { to: To }>)[] } = {
    station: [() => ({ to: "station", tag, station: "clean" }), () => ({ to: "station", tag, station: "quote" })],
    "ask-for": [() => ({ to: "ask-for", tag, positionId: "lock-screw" })],
    "open-again": [() => ({ to: "open-again", tag, operationId: "place-lock-screw" })],
    part: (["offers", "bin", "facts"] as const).map((at) => () => ({ to: "part", partTypeId: "ot-x1", at })),
    "new-part": [() => ({ to: "new-part", number: "OT-77" })],
    suppliers: [() => ({ to: "suppliers" })],
    bins: [() => ({ to: "bins", partTypeId: "ot-x1" })],
    customer: [() => ({ to: "customer", customerId: server.value<number>("SELECT min(id) FROM customer") })],
    "new-model": [() => ({ to: "new-model" })],
    reel: [() => ({ to: "reel", reelId: server.value<number>("SELECT min(id) FROM reel") })],
    people: [() => ({ to: "people" })],
    "sign-in": [() => ({ to: "sign-in" })],
    rack: [() => ({ to: "rack" })],
    counter: [() => ({ to: "counter" })],
    model: (["", "playbook"] as const).map((page) => () => ({
      to: "model",
      modelId: server.value<string>("SELECT min(id) FROM model"),
      page,
    })),
  };
  it.each(Object.entries(ways))("finds what a refusal points to: %s", async (_, some) => {
    for (const way of some) {
      const { href } = wayLink(way());
      const response = await fetch(server.base + href);
      expect(response.status, href).toBe(200);
      const [, place] = href.split("#");
      if (place) expect(await response.text(), href).toContain(`id="${place}"`);
    }
  });

  it("moves in: a spreadsheet in old letters, its columns named by hand, what is wrong said by row, all in by one press and out by another", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zorbek-moves-in-"));
    const file = (name: string, text: string) => {
      const path = join(folder, name);
      writeFileSync(path, Buffer.from(text, "latin1"));
      return path;
    };
    const takeBack = async (what: string) =>
      (await person.driver.findElement(By.css(`button[aria-label^="Undo this import: ${what}"]`))).click();
    await person.go("/shop/bring-in");
    // Semicolons, Latin-1, a heading nobody would guess, and a row without a name.
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(
      file("book.csv", "Wer;Telephone\r\nJ\u00f6rn M\u00fc\u00dfe;0555 1\r\n;0555 2\r\n"),
    );
    await person.sees("2 rows, Latin-1, separated by semicolons.");
    await person.sees("Say which column is the name.");
    await choose("name", "Wer");
    await person.sees("J\u00f6rn M\u00fc\u00dfe");
    await person.sees('Line 3, column "Wer": No name here.');
    const before = server.value<number>("SELECT count(*) FROM customer");
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(
      file("mended.csv", "Name;Telephone\r\nJ\u00f6rn M\u00fc\u00dfe;0555 1\r\nIda Marl;0555 2\r\n"),
    );
    await person.press("Bring in 2 rows");
    await person.sees("Brought in: 2 rows of mended.csv.");
    expect(server.value("SELECT name FROM customer ORDER BY id DESC LIMIT 1")).toBe("Ida Marl");
    await person.press("Reels, with an earlier visit");
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(
      file("reels.csv", "Owner,Model,Serial,Serviced on,Work\nIda Marl,Tern 20,OT 311,31.5.2023,full service\nNobody,Tern 20,OT 312,,\n"),
    );
    await person.press("Bring in 2 rows");
    await person.sees('Line 3, column "Owner": Nobody is not among the customers: bring the customers in first.');
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(
      file("reels2.csv", "Owner,Model,Serial,Serviced on,Work\nIda Marl,Tern 20,OT 311,31.5.2023,full service\n"),
    );
    await person.press("Bring in 1 row");
    await person.sees("Brought in: 1 row of reels2.csv.");
    await person.go(`/ledger/reel/${server.value<number>("SELECT max(id) FROM reel")}`);
    await person.sees("31 May 2023, full service");
    // A list of three hundred parts that no model knows, ten of them bad: the others come in, the ten come back with their reasons.
    await person.go("/shop/bring-in");
    await person.press("Parts, prices and shelves");
    const line = (n: number) => (n % 30 === 7 ? `PL-${n};Handle screw;dear;1;A1` : `PL-${n};Handle screw M3x${n % 9};1,20;2;A${n}`);
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(
      file("parts.csv", `number;description;price;qty;shelf\r\n\r\n${Array.from({ length: 300 }, (_, n) => line(n)).join("\r\n")}`),
    );
    await person.sees('Line 10, column "price": An amount such as 12.50.');
    await person.press("Bring in 290, leave 10 out");
    await person.sees("Brought in: 290 rows of parts.csv.", 30_000);
    await person.sees("The 10 left out, each with its reason");
    const left = await person.driver.executeScript<string>(
      "return decodeURIComponent(document.querySelector('a[download=\"left-out.csv\"]').href)",
    );
    expect(left.split(/\r?\n/).filter(Boolean)).toHaveLength(11);
    expect(left).toContain("An amount such as 12.50.");
    expect(server.value("SELECT count(*) FROM part_type WHERE number LIKE 'PL-%'")).toBe(290);
    // A workbook is read as well.
    await (await person.field("A spreadsheet's file (CSV or XLSX)")).sendKeys(await workbook(join(folder, "more.xlsx")));
    await person.sees("1 row, XLSX");
    await person.press("Bring in 1 row");
    await person.sees("Brought in: 1 row of more.xlsx.");
    expect(server.value("SELECT name || ' ' || price_minor FROM part_type WHERE number = 'XL-1'")).toBe("Side plate screw 250");
    await takeBack("Parts, prices and shelves");
    await person.sees("Import undone.");
    // The customers are in use by now: they stay. The reels go, then the customers.
    await person.go("/shop/bring-in");
    await takeBack("Customers");
    await person.sees("is already in use");
    await takeBack("Reels");
    await person.sees("Import undone.");
    await takeBack("Customers");
    await person.driver.wait(() => server.value<number>("SELECT count(*) FROM customer") === before, 10_000);
    rmSync(folder, { recursive: true });
  });

  it("leaves as one file, and begins anew in another folder, equal by hash", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zorbek-leaves-"));
    await person.go("/shop");
    await person.sees("Take everything out, as one file");
    const file = join(folder, "shop.zip");
    writeFileSync(file, Buffer.from(await (await fetch(`${server.base}/shop/shop.zip`)).arrayBuffer()));
    const { manifest } = await bringInArchive(file, join(folder, "new"));
    const copy = new Database(join(folder, "new", "zorbek.db"), { readonly: true });
    expect(canonicalHash(copy)).toBe(manifest.hash);
    expect(copy.prepare("SELECT count(*) FROM job").pluck().get()).toBe(server.value("SELECT count(*) FROM job"));
    copy.close();
    rmSync(folder, { recursive: true });
  });

  it("is copied by one press, changed, and put back as it was by two", async () => {
    await person.go("/shop");
    // What was brought in had a copy made before it.
    await person.sees("The newest is from");
    await person.press("Back up now");
    await person.sees("Backed up and checked.", 30_000);
    const jobs = server.value<number>("SELECT count(*) FROM job");
    await person.type("Name of the shop, as on the tags", "Another Loft");
    await person.press("Save");
    await person.driver.wait(
      () => server.value("SELECT json_extract(value, '$.shopName') FROM setting WHERE key = 'shop'") === "Another Loft",
      10_000,
    );
    await person.go("/shop");
    await person.sees("The newest is from");
    await person.type("Go back to", " MB");
    await person.press("Restore this backup");
    await person.sees("The shop is restored.");
    await person.go("/shop");
    expect(await person.value("Name of the shop, as on the tags")).toBe("The Sail Loft");
    expect(server.value<number>("SELECT count(*) FROM job")).toBe(jobs);
    // What was there before the restore is a copy too.
    expect(await (await person.field("Go back to")).getText()).toMatch(/(MB[\s\S]*){2}/);
  });
});

/** The least workbook: one sheet, written as the open standard has it (ECMA-376). */
async function workbook(path: string): Promise<string> {
  const zip = new JSZip();
  const main = "http://schemas.openxmlformats.org";
  zip.file(
    "[Content_Types].xml",
    `<Types xmlns="${main}/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>`,
  );
  zip.file(
    "_rels/.rels",
    `<Relationships xmlns="${main}/package/2006/relationships"><Relationship Id="r1" Type="${main}/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  );
  zip.file(
    "xl/workbook.xml",
    `<workbook xmlns="${main}/spreadsheetml/2006/main" xmlns:r="${main}/officeDocument/2006/relationships"><sheets><sheet name="List" sheetId="1" r:id="r1"/></sheets></workbook>`,
  );
  zip.file(
    "xl/_rels/workbook.xml.rels",
    `<Relationships xmlns="${main}/package/2006/relationships"><Relationship Id="r1" Type="${main}/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
  );
  const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
  zip.file(
    "xl/worksheets/sheet1.xml",
    `<worksheet xmlns="${main}/spreadsheetml/2006/main"><sheetData><row r="1">${cell("A1", "Part no")}${cell("B1", "Description")}${cell("C1", "Price")}</row><row r="2">${cell("A2", "XL-1")}${cell("B2", "Side plate screw")}<c r="C2"><v>2.5</v></c></row></sheetData></worksheet>`,
  );
  writeFileSync(path, await zip.generateAsync({ type: "nodebuffer" }));
  return path;
}
