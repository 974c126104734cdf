import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { askForPart } from "@/data/bench/fit-part";
import { openLot } from "@/data/counter/lots";
import { findJobByTag } from "@/data/jobs/jobs";
import { countBin, setBin } from "@/data/parts/stock";
import { addSupplier, setOffer } from "@/data/parts/suppliers";
import { atTheBench, Person, type Server } from "./bench";
import { onTheData, stripAll } from "./stations";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-stores-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const reels = 34;

describe("a lot of thirty-four with one piece missing", () => {
  let tags: readonly string[] = [];
  const received = () => server.value<number>("SELECT sum(received) FROM order_line WHERE part_type_id = 'sk-star'");
  const arrived = () => server.value<number>("SELECT count(*) FROM need WHERE part_type_id = 'sk-star' AND state = 'arrived'");

  it("is planned over three suppliers, packs and a price break, and ordered by one press", async () => {
    tags = onTheData(server, (ctx) => {
      const opened = openLot(ctx, {
        name: "Lake ferry, spring",
        customer: { id: 1 },
        modelId: "skerry-30",
        water: "fresh",
        tripsPerYear: 60,
        life: ["fleet"],
        dragWish: "shop",
        limitMinor: 100_000,
        promisedOn: new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10),
        rows: Array.from({ length: reels }, (_, i) => ({
          serial: `LF ${700 + i}`,
          mark: `star ${i + 1}`,
          complaint: "",
          condition: "",
          depth: "",
          drag: "",
        })),
      });
      if ("faults" in opened) throw new Error(JSON.stringify(opened.faults));
      ctx.db.prepare("DELETE FROM offer WHERE part_type_id = 'sk-star'").run();
      countBin(ctx, "sk-star", 0);
      setBin(ctx, "sk-star", "C9", 0, 0);
      // Singles nearby, tens cheaper from three on, and a third that is dear.
      addSupplier(ctx, { id: "reedmace", name: "Reedmace Stars", postageMinor: 500, leadDays: 5, freePostFromMinor: 20_000 });
      setOffer(ctx, { supplierId: "quayside", partTypeId: "sk-star", priceMinor: 420 });
      setOffer(ctx, {
        supplierId: "reedmace",
        partTypeId: "sk-star",
        priceMinor: 3600,
        pack: 10,
        breaks: [{ fromPacks: 3, priceMinor: 3000 }],
      });
      setOffer(ctx, { supplierId: "fellgate", partTypeId: "sk-star", priceMinor: 600 });
      for (const tag of opened.tags) {
        const found = findJobByTag(ctx.db, tag);
        if ("job" in found) askForPart(ctx, found.job.id, "star");
      }
      return opened.tags;
    });
    await person.go("/stores");
    await person.sees("Reedmace Stars");
    await person.sees("proven");
    const page = await person.read();
    // Three packs of ten at the lower price, and four singles that ride with another parcel.
    expect(page).toContain("3 × pack of 10");
    expect(page).toContain("×30");
    await person.sees("Alternatives");
    await person.sees("All from ");
    await person.press("Order ");
    const inOrder = () => server.value("SELECT count(*) FROM need WHERE part_type_id = 'sk-star' AND state = 'ordered'") === reels;
    await person.driver.wait(inOrder, 15_000);
    await person.sees("0 of ");
    const ordered = server.value<number>("SELECT sum(quantity) FROM order_line WHERE part_type_id = 'sk-star'");
    expect(ordered).toBeGreaterThanOrEqual(reels);
  });

  it("comes in three parts, with one wrong and one broken that go back; one is replaced, one credited and wanted again", async () => {
    const how = "How many Star, five arms received";
    await person.type(how, "12");
    await person.press("Receive");
    await person.sees("Set aside for ");
    expect([received(), arrived()]).toEqual([12, 12]);
    await person.rest(320);
    await person.type(how, "1");
    await person.press("Not as ordered: Star, five arms");
    await person.press("1 wrong");
    await person.sees("1 wrong, lies apart");
    await person.rest(320);
    await person.press("Not as ordered: Star, five arms");
    await person.press("1 broken");
    await person.sees("1 broken, lies apart");
    expect(received()).toBe(12);
    await person.press("Sent back");
    await person.sees("sent back");
    await person.rest(320);
    await person.press("Replacement coming");
    await person.sees("1 wrong: another");
    await person.rest(320);
    await person.press("Credited");
    await person.sees("1 broken: credited");
    await person.rest(320);
    await person.type(how, "10");
    await person.press("Receive");
    await person.driver.wait(() => received() === 22, 10_000);
    await person.rest(320);
    // Thirty were ordered there, one of them is not awaited any more.
    await person.type(how, "7");
    await person.press("Receive");
    await person.driver.wait(() => received() === 29, 10_000);
    expect(arrived()).toBe(29);
    expect(server.value("SELECT count(*) FROM need WHERE part_type_id = 'sk-star' AND state = 'open'")).toBe(1);
    expect(server.value("SELECT group_concat(state) FROM bad_piece")).toBe("replaced,credited");
    expect(server.value("SELECT credit_minor FROM bad_piece WHERE state = 'credited'")).toBeGreaterThan(0);
    await person.go("/stores/suppliers");
    await person.sees("2 of ");
    await person.sees("wrong or broken");
  });

  it("rings at the bench, and is fitted", async () => {
    const tag = server.value<string>(
      "SELECT job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.state = 'arrived' AND need.part_type_id = 'sk-star' ORDER BY need.id",
    );
    expect(tags).toContain(tag);
    await person.go("/");
    await person.sees("All pieces are here.");
    await person.go(`/bench/${tag}/strip`);
    await stripAll(person);
    await person.go(`/bench/${tag}/parts`);
    await person.press("Star arrived");
    await person.press("Fit from stock");
    await person.sees("Now: new piece in well");
    expect(server.value("SELECT count(*) FROM need WHERE part_type_id = 'sk-star' AND state = 'used'")).toBe(1);
  });
});

describe("the counting walk", () => {
  it("goes from bin to bin on a phone: a label scanned, right by one press, a difference with its reason", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      await phone.go("/stores/walk");
      await phone.sees("SK-101");
      const since = new Date().toISOString();
      const counted = () => server.list<string>(`SELECT bin FROM stock WHERE counted_at >= '${since}' ORDER BY bin`);
      // A switch that bounces counts one bin, not the next one as well.
      await phone.driver.executeScript("const key = () => document.querySelector('.key-main'); key().click(); key().click();");
      await phone.sees("1 of ");
      await phone.driver.wait(() => counted().length > 0, 10_000);
      await phone.settled();
      expect(counted()).toEqual(["A1"]);
      await phone.sees("1 of ");
      await phone.scan("BIN:SK-250");
      await phone.sees("SK-250");
      await phone.rest(320);
      const stars = server.value<number>("SELECT count FROM stock WHERE part_type_id = 'sk-star'");
      await phone.press("+ one more");
      await phone.press("found again");
      await phone.press(`Count is ${stars + 1}`);
      await phone.sees("the record said");
      const why = "SELECT why FROM stock_move WHERE part_type_id = 'sk-star' ORDER BY id DESC LIMIT 1";
      await phone.driver.wait(() => server.value(why) === "found", 10_000);
      expect(await phone.driver.executeScript("return document.documentElement.scrollWidth <= 390")).toBe(true);
    } finally {
      await phone.close();
    }
  });

  it("has labels that another program reads", async () => {
    const path = join(folder, "labels.pdf");
    writeFileSync(path, Buffer.from(await (await fetch(`${server.base}/stores/bin-labels.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
    for (const words of ["A1", "SK-101", "C9", "SK-250"]) expect(text).toContain(words);
  });
});

describe("a supplier's price list", () => {
  it("is looked at first: jumps, old numbers, strange ones and what cannot be read are told; then taken over", async () => {
    onTheData(server, (ctx) => {
      setOffer(ctx, { supplierId: "fellgate", partTypeId: "sk-star", priceMinor: 600, pack: 1, breaks: [] });
      setOffer(ctx, { supplierId: "fellgate", partTypeId: "sk-handle", priceMinor: 1000, pack: 1, breaks: [] });
    });
    const path = join(folder, "fellgate.csv");
    writeFileSync(
      path,
      "Part no;Name;Price EUR\nsk 250;Star;7,00\nSK-260;Handle;10,50\nZZ-9;Unknown thing;1,00\nSK-101;Frame;on request\n",
    );
    await person.go("/stores/suppliers");
    await person.press("Price list of Fellgate Small Parts");
    await (await person.field("Price list of Fellgate Small Parts (CSV)")).sendKeys(path);
    await person.sees("2 of 4 rows match parts in the catalogue.");
    await person.sees("6.00 a piece until now, 7.00 in the list (+17 %)");
    await person.sees("row 3: ZZ-9");
    await person.sees('"on request" is no price.');
    await person.press("Take over 2 prices");
    await person.sees("2 prices taken over.");
    const price = (part: string) => server.value("SELECT price_minor FROM offer WHERE supplier_id = 'fellgate' AND part_type_id = ?", part);
    expect([price("sk-star"), price("sk-handle")]).toEqual([700, 1050]);
  });
});
