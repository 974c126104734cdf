import { spawnSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import PDFDocument from "pdfkit";
import { By, Key } from "selenium-webdriver";
import { describe, expect, it } from "vitest";
import type { SheetRow } from "@/core/sheets/kept-sheet";
import { drawSheet, sheetStyles } from "../sheets/draw-sheet";
import { pdfOf } from "../sheets/pdf-sheet";
import { jpegOf, photographed, printed, shots } from "../sheets/photograph";
import { writtenSheets } from "../sheets/written-sheets";
import { atTheBench, Person, type Server } from "./bench";
import { seriousFaults } from "./serious";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

const bring = async (name: string, file: Buffer, who = person) => {
  const path = join(server.data, name);
  writeFileSync(path, file);
  await who.go("/library");
  await (await who.driver.findElement(By.css('input[type="file"][accept*="pdf"]'))).sendKeys(path);
};
/** A PDF of these lines. @param locked with a password. */
const pdf = (lines: readonly string[], { pages = 1, locked = false } = {}): Promise<Buffer> => {
  const made = new PDFDocument({ autoFirstPage: false, ...(locked ? { userPassword: "ferrule", pdfVersion: "1.7" as const } : {}) });
  const parts: Buffer[] = [];
  made.on("data", (part: Buffer) => parts.push(part));
  for (let page = 0; page < pages; page++) {
    made.addPage();
    for (const line of lines) made.text(line);
  }
  made.end();
  return new Promise((settle) => made.on("end", () => settle(Buffer.concat(parts))));
};

/** A PDF of a table: its columns begin at these places, in points. */
const table = async (columns: readonly number[], rows: readonly (readonly string[])[]): Promise<Buffer> => {
  const made = new PDFDocument({ size: "A4", margin: 40 });
  const parts: Buffer[] = [];
  made.on("data", (part: Buffer) => parts.push(part));
  for (const [line, texts] of rows.entries())
    for (const [i, text] of texts.entries()) made.text(text, columns[i]!, 80 + line * 22, { lineBreak: false });
  made.end();
  await new Promise((settle) => made.on("end", settle));
  return Buffer.concat(parts);
};

describe("a maker's sheet", () => {
  it("comes in as a PDF, is looked over by the space bar, corrected at one row, and becomes a model whose picture can be pressed", async () => {
    const sheet = writtenSheets.find(({ family }) => family === "star-drag-bridge")!;
    await bring("heron.pdf", await pdfOf(drawSheet(sheet, sheetStyles[4]!, 5)));
    await person.sees("sure rows", 60_000);
    await person.sees("Seats found");
    expect(await seriousFaults(person)).toEqual([]);
    let presses = 1;
    // Restarted in between: what was read waits.
    const address = new URL(await person.driver.getCurrentUrl()).pathname;
    await server.kill();
    await server.up();
    await person.go(address);
    const open = async () =>
      server.value<number>("SELECT count(*) FROM sheet, json_each(rows) AS row WHERE json_extract(row.value, '$.confirmed') = 0");
    await person.space();
    presses++;
    // One is corrected: the second tension washer is in the seat of a spacer.
    await person.type("What it is", "Belleville washer");
    await person.press("Save row 7");
    presses += 2;
    await person.settled();
    while ((await open()) > 0) {
      await person.space();
      await person.settled();
      presses++;
      if (presses > 30) break;
    }
    await person.sees("Make the model");
    await person.type("Maker", "Heronwater");
    await person.type("Model", "Ladle 4");
    await person.type("Prefix for parts not on the sheet", "HL");
    await person.key(" ");
    presses++;
    await person.sees("Heronwater Ladle 4", 30_000);
    console.info(`presses from file to model: ${presses}, with one row corrected`);
    expect(presses).toBeLessThanOrEqual(15);
    const number = server.value<string>(
      "SELECT part_type.number FROM position JOIN part_type ON part_type.id = part_type_id JOIN model_version ON model_version.id = model_version_id WHERE model_id = 'hl' AND position.id = 'star'",
    );
    expect(number).toMatch(/^KR-\d+$/);
    await person.press("Picture");
    await person.driver.executeScript(
      "document.querySelector('[data-picture] [aria-label=\"Star\"]').dispatchEvent(new MouseEvent('click', { bubbles: true }))",
    );
    await person.sees(number);
  });

  it("of another year becomes an edition of that model, its part ordered by the sheet's number", async () => {
    const sheet = writtenSheets.find(({ family }) => family === "star-drag-bridge")!;
    const style = sheetStyles[4]!;
    const star = sheet.rows.findIndex(([, , ...seats]) => (seats as readonly string[]).includes("star"));
    const later = { ...style, number: (at: number) => (at === star ? "KR-9001" : style.number(at)) };
    await bring("heron-late.pdf", await pdfOf(drawSheet(sheet, later, 5)));
    await person.sees("sure rows", 60_000);
    const rows = async () =>
      server.value<number>(
        "SELECT count(*) FROM sheet, json_each(rows) AS row WHERE name = 'heron-late.pdf' AND json_extract(row.value, '$.confirmed') = 0",
      );
    for (let presses = 0; (await rows()) > 0 && presses < 30; presses++) {
      await person.space();
      await person.settled();
    }
    await person.sees("Make the model");
    await person.driver.findElement(By.xpath("//option[normalize-space() = 'Heronwater Ladle 4']")).click();
    await person.sees("from the model");
    await person.sees("KR-9001");
    await person.type("Name of this edition", "1985 on");
    await person.key(" ");
    await person.sees("Editions", 30_000);
    await person.driver.wait(async () => (await person.driver.getCurrentUrl()).endsWith("/library/hl/editions"), 15_000);
    const version = server.value<number>("SELECT max(id) FROM model_version WHERE model_id = 'hl'");
    expect(server.value<string>(`SELECT json_extract(editions, '$[1].name') FROM model_version WHERE id = ${version}`)).toBe("1985 on");
    const other = server.value<string>(
      `SELECT json_extract(seat, '$.partIn."1985-on"') FROM position WHERE model_version_id = ${version} AND id = 'star'`,
    );
    expect(server.value<string>(`SELECT number FROM part_type WHERE id = '${other}'`)).toBe("KR-9001");
  });

  it("has its columns set where they were read wrong: named, an edge moved, the list read again by them; the next sheet knows the header", async () => {
    const rows = ["Handle nut", "Handle arm", "Drag star", "Tension washer", "Main gear", "Pinion gear", "Bridge plate", "Head plate"];
    // The shop's shelf stands before the maker's number, and looks like one.
    const file = await table(
      [60, 100, 190, 290, 470],
      [["Lfd", "Fach", "Bestellnr", "Bezeichnung", "Stk"], ...rows.map((text, i) => [String(i + 1), `LA-40${i}`, `HW-71${i}0`, text, "1"])],
    );
    const numbers = () =>
      server.value<string>(
        "SELECT group_concat(json_extract(row.value, '$.number')) FROM sheet, json_each(rows) AS row WHERE model_id IS NULL AND sheet.id = (SELECT max(id) FROM sheet)",
      );
    await bring("shelves.pdf", file);
    await person.sees("Seats found", 60_000);
    await person.press("What it becomes");
    await person.press("Columns read wrong? Set them");
    await person.sees("What stands in each column?");
    await person.type("Column 2, Fach", "not read");
    await person.type("Column 3, Bestellnr", "part number");
    const edge = await person.driver.findElement(By.css('[aria-label="Column 3: left edge"]'));
    const before = await edge.getAttribute("aria-valuenow");
    await person.driver.executeScript("arguments[0].focus()", edge);
    for (let i = 0; i < 4; i++) await person.driver.actions().sendKeys(Key.ARROW_LEFT).perform();
    expect(Number(await edge.getAttribute("aria-valuenow"))).toBeLessThan(Number(before));
    expect(await seriousFaults(person)).toEqual([]);
    await person.press("Read the list again");
    await person.driver.wait(() => person.seesNot("What stands in each column?"), 30_000);
    expect(numbers()).toBe(rows.map((_, i) => `HW-71${i}0`).join());
    // The same maker's next sheet needs no word.
    await bring("shelves-again.pdf", file);
    await person.sees("Seats found", 60_000);
    expect(numbers()).toBe(rows.map((_, i) => `HW-71${i}0`).join());
    for (let left = server.value<number>("SELECT count(*) FROM sheet WHERE model_id IS NULL"); left > 0; left--) {
      await person.go(`/library/sheet/${server.value<number>("SELECT max(id) FROM sheet WHERE model_id IS NULL")}`);
      await person.press("What it becomes");
      await person.press("Delete this sheet");
      await person.sees("From a maker's sheet");
    }
  });

  it("as a newer price list changes the catalogue's prices and superseded numbers, and nothing else", async () => {
    const known = ["nut", "star", "pinion", "yoke"].map((_, i) =>
      server.value<string>(`SELECT number FROM part_type WHERE unlisted = 0 AND superseded_by IS NULL ORDER BY id LIMIT 1 OFFSET ${i}`),
    );
    const rows = known.map((number, i) => [
      String(i + 1),
      number,
      "Part of the works",
      `${i + 1}7.35`,
      i === 0 ? `superseded by ${known[1]}` : "",
    ]);
    const parts = server.value<number>("SELECT count(*) FROM part_type");
    await bring(
      "prices.pdf",
      await table(
        [50, 90, 200, 330, 400],
        [["No.", "Part No.", "Description", "Price", "Remarks"], ...rows, ["5", "QQ-4040", "Never seen here", "1.00", ""]],
      ),
    );
    await person.sees("What it becomes", 60_000);
    await person.press("What it becomes");
    await person.type("A new model, another year of one, or newer prices", "only its prices");
    await person.sees("4 parts change.");
    await person.sees("Not in the catalogue, so left out: QQ-4040.");
    expect(await seriousFaults(person)).toEqual([]);
    await person.space();
    await person.sees("From a maker's sheet");
    const price = (number: string) => server.value<number>(`SELECT price_minor FROM part_type WHERE number = '${number}'`);
    expect(known.map(price)).toEqual([1735, 2735, 3735, 4735]);
    expect(server.value<string>(`SELECT superseded_by FROM part_type WHERE number = '${known[0]}'`)).toBe(known[1]);
    expect(server.value<number>("SELECT count(*) FROM part_type")).toBe(parts);
  });

  it("comes in on a phone: nothing is cut at its side, every key is a thumb wide, a row and the columns are set", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      const rows = ["Handle nut", "Handle arm", "Drag star", "Tension washer", "Main gear", "Pinion gear"];
      await bring(
        "pocket.pdf",
        await table(
          [60, 110, 220, 420],
          [["No.", "Part No.", "Description", "Qty"], ...rows.map((text, i) => [String(i + 1), `PK-50${i}`, text, "1"])],
        ),
        phone,
      );
      await phone.sees("Seats found", 60_000);
      const fits = async () => {
        const [wide, small] = await phone.driver.executeScript<[number, string[]]>(
          `const keys = [...document.querySelectorAll('main button, main select, main summary, [role="dialog"] button, [role="dialog"] select')].filter((one) => one.offsetParent !== null);
           return [document.documentElement.scrollWidth - document.documentElement.clientWidth,
             keys.filter((one) => one.getBoundingClientRect().height < 43.5).map((one) => one.innerText || one.getAttribute('aria-label'))];`,
        );
        expect([wide, small]).toEqual([0, []]);
      };
      await fits();
      expect(await seriousFaults(phone)).toEqual([]);
      await phone.press("What it becomes");
      await phone.press("Columns read wrong? Set them");
      await phone.sees("What stands in each column?");
      await fits();
      await phone.type("Column 4, Qty", "not read");
      await phone.press("Read the list again");
      await phone.driver.wait(() => phone.seesNot("What stands in each column?"), 30_000);
      await phone.press("Delete this sheet");
      await phone.sees("From a maker's sheet");
    } finally {
      await phone.close();
    }
  });

  it("comes in as a scan: a page that is a picture, at 150 dpi", async () => {
    const sheet = writtenSheets.find(({ family }) => family === "lever-drag")!;
    const drawn = drawSheet(sheet, sheetStyles[0]!, 5);
    const path = join(server.data, "scan");
    writeFileSync(`${path}.pdf`, await pdfOf(drawn));
    spawnSync("pdftoppm", ["-r", "150", "-png", "-singlefile", `${path}.pdf`, path]);
    await bring("scan.png", readFileSync(`${path}.png`));
    await person.sees("sure rows", 120_000);
    const rows = JSON.parse(server.value<string>("SELECT rows FROM sheet WHERE name = 'scan.png'")) as SheetRow[];
    const cells = drawn.rows.flatMap((row, at) =>
      (["callout", "number", "description", "quantity"] as const).map((field) => String(rows[at]?.[field]) === row[field]),
    );
    expect(cells.filter(Boolean).length / cells.length).toBeGreaterThan(0.9);
    expect(rows.filter(({ mark }) => mark).length / rows.length).toBeGreaterThan(0.75);
    await person.press("What it becomes");
    await person.press("Delete this sheet");
    await person.sees("From a maker's sheet");
  });

  it("comes in as a photograph taken at a slant in the shade: its page is found, laid flat and read; the photograph is kept beside it", async () => {
    const sheet = writtenSheets.find(({ family }) => family === "lever-drag")!;
    const drawn = drawSheet(sheet, sheetStyles[0]!, 5);
    const { picture } = photographed(await printed(drawn, 220), shots[1]!, 5);
    await bring("bench.jpg", await jpegOf(picture));
    await person.sees("Where is the page?", 30_000);
    expect(await seriousFaults(person)).toEqual([]);
    // A corner is moved by hand and brought back.
    const corner = await person.driver.findElement(By.css('[aria-label^="Top left corner"]'));
    await corner.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await person.press("Undo");
    await person.press("Undo");
    await person.space();
    await person.sees("sure rows", 120_000);
    const rows = JSON.parse(server.value<string>("SELECT rows FROM sheet WHERE name = 'bench.jpg'")) as SheetRow[];
    const cells = drawn.rows.flatMap((row, at) =>
      (["callout", "number", "description", "quantity"] as const).map((field) => String(rows[at]?.[field]) === row[field]),
    );
    expect(cells.filter(Boolean).length / cells.length).toBeGreaterThan(0.9);
    expect(rows.filter(({ mark }) => mark).length / rows.length).toBeGreaterThan(0.75);
    await person.sees("The photograph as it was taken");
    await person.press("What it becomes");
    await person.press("Delete this sheet");
    await person.sees("From a maker's sheet");
    // A photograph of no list: its corners can be set by hand, on the same screen.
    const cat = {
      data: new Uint8Array(640 * 480).map((_, i) => 90 + 60 * Math.sin((i % 640) / 90) * Math.cos(i / 640 / 70)),
      width: 640,
      height: 480,
    };
    await bring("cat.jpg", await jpegOf(cat));
    await person.sees("Hardly any text could be read", 120_000);
    await person.press("Set the page's corners by hand");
    await person.sees("Where is the page?");
    await person.press("Cancel");
  });

  it("says what it cannot read, and what to do", async () => {
    await bring("nothing.pdf", await pdf([]));
    await person.sees("Hardly any text could be read", 60_000);
    await bring(
      "letter.pdf",
      await pdf(["Dear customer,", "your reel is ready since Tuesday.", "Please fetch it when you pass by.", "Yours, the bench"]),
    );
    await person.sees("No parts list was found", 30_000);
    await bring("locked.pdf", await pdf(["1 KR-1 Handle"], { locked: true }));
    await person.sees("This PDF has a password", 30_000);
    await bring("book.pdf", await pdf(["A catalogue"], { pages: 60 }));
    await person.sees("It has 60 pages", 30_000);
    await bring("cat.pdf", Buffer.from("not a PDF at all"));
    await person.sees("This PDF cannot be read", 30_000);
    expect(server.value("SELECT count(*) FROM sheet WHERE model_id IS NULL")).toBe(0);
  });
});
