import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { By, Key, until } from "selenium-webdriver";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { addDays } from "@/core/day/day";
import { dayWords } from "@/ui/dates";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-counter-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe("the day to promise", () => {
  it("is said with its chance and why, taken by a press; what a rush would cost the others is told", async () => {
    await person.go("/counter");
    await person.type("Model", "Marrowby Skerry 30");
    await person.sees("80 % likely by");
    await person.sees("promised sooner");
    const before = await person.value("Promised");
    await person.press("Promise ");
    await person.driver.wait(async () => !/Promise (Mon|Tue|Wed|Thu|Fri|Sat|Sun)/.test(await person.read()), 10_000);
    expect(await person.value("Promised")).not.toBe(before);
    await person.sees("the chosen day is");
    await person.press("If rushed");
    await person.driver.wait(async () => /Then slips?:|No other reel's date is affected/.test(await person.read()), 15_000);
  });
});

describe("an ordinary reel of a known customer", () => {
  it("is taken in with under 60 keystrokes and no mouse, its complaint, line and limit with it", async () => {
    await person.go("/counter");
    await (await person.field("Customer")).sendKeys(""); // the page's first field has the focus
    let strokes = 0;
    const keys = async (...typed: string[]) => {
      for (const key of typed.flatMap((text) => (text.length === 1 ? [text] : [...text]))) {
        await person.driver.actions().sendKeys(key).perform();
        strokes++;
      }
    };
    const tab = (n: number) => keys(...Array.from({ length: n }, () => Key.TAB));
    // The bench's answers come late: Enter takes the first that is found for what was typed, not what lay there before.
    await person.driver.executeScript(
      "const own = window.fetch; window.fetch = async (...of) => { if (String(of[0]).includes('/api/choose')) await new Promise((wait) => setTimeout(wait, 500)); return own(...of); };",
    );
    const chosen = (label: string, name: string) =>
      person.driver
        .wait(async () => (await person.value(label)) === name, 8000)
        .catch(async () => {
          throw new Error(`${label} is not ${name} but ${await person.value(label)}. The page says:\n${await person.read()}`);
        });
    await keys("jo");
    await keys(Key.ENTER);
    await chosen("Customer", "Jory Tamsin");
    await tab(1);
    await keys("sk 30");
    await keys(Key.ENTER);
    await chosen("Model", "Marrowby Skerry 30");
    await tab(1);
    await keys("MS3061777");
    await tab(2); // hand, came with it
    await keys(Key.SPACE); // line on the spool
    await tab(5); // drag, handle hole, comes for: a repair, how deep; says the customer
    await keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.SPACE); // drag weak
    await tab(5); // their words, water, trips, life, pictures
    await tab(4); // as found, the outline, anything else; the limit
    await person.sees("% likely by");
    await keys("80");
    // The better answer has come as well: what stands there as it is sent counts.
    await person.driver.wait(until.elementLocated(By.css("[data-runs='500']")), 20_000);
    const shown = /% likely by [^;]+/.exec(await person.read())![0];
    await keys(Key.ENTER);
    await person.sees("Checked in as");
    expect(strokes).toBeLessThan(60);
    const tag = /Z-\d{5}-\d/.exec(await person.read())![0];
    const of = <T>(column: string) =>
      server.value<T>(
        `SELECT ${column} FROM job JOIN reel ON reel.id = reel_id JOIN customer ON customer.id = customer_id WHERE tag = ?`,
        tag,
      );
    expect(of("customer.name")).toBe("Jory Tamsin");
    expect(of("reel.serial")).toBe("MS3061777");
    expect(of("reel.model_id")).toBe("skerry-30");
    expect(of("intake ->> '$.complaints[0]'")).toBe("drag-weak");
    expect(of("limit_minor")).toBe(8000);
    expect(server.value("SELECT item FROM job_brought JOIN job ON job.id = job_id WHERE tag = ?", tag)).toBe("line");
    // What was said of its day is kept as it was shown, so that it can be told how often such days held.
    const kept = <T>(column: string) =>
      server.value<T>(`SELECT ${column} FROM promise_said JOIN job ON job.id = job_id WHERE tag = ? AND afterwards = 0`, tag);
    expect(shown).toContain(dayWords(addDays(kept<string>("on_day"), kept<number>("named"))));
  });
});

describe("how it came", () => {
  it("is ticked, tapped on the outline, pictured, and stands at Test and on the receipt", async () => {
    const picture = join(folder, "reel.png");
    writeFileSync(
      picture,
      await sharp({ create: { width: 60, height: 40, channels: 3, background: "#886633" } })
        .png()
        .toBuffer(),
    );
    await person.go("/counter");
    await person.type("Customer", "Maren Quist");
    await person.sees("in the shop now");
    await person.type("Model", "Marrowby Skerry 30");
    await person.press("pitting");
    await person.sees("Tap where it is: pitting.");
    await person.press("foot");
    await person.press("spool");
    await person.sees("pitting: foot, spool");
    await person.press("stiff to turn");
    await person.type("Discount", "trade");
    await person.type("Deposit", "25");
    await (await person.field("Photos as received")).sendKeys(picture);
    await person.press("Check in");
    await person.sees("Checked in as");
    const tag = /Z-\d{5}-\d/.exec(await person.read())![0];
    await person.driver.wait(() => server.value("SELECT count(*) FROM job_photo") === 1, 10_000);
    expect((await fetch(`${server.base}/bench/${tag}/receipt.pdf`)).headers.get("content-type")).toBe("application/pdf");
    await person.go(`/bench/${tag}/test`);
    await person.sees("pitting: foot, spool");
    expect(
      await person.driver.executeScript(
        "return [...document.images].every((i) => i.complete && i.naturalWidth > 0) && document.images.length",
      ),
    ).toBe(1);
    await person.go(`/bench/${tag}/quote`);
    await person.sees("Discount 15 %");
    await person.press("Return unrepaired");
    await person.type("Why it is returned", "too dear for what it is");
    await person.press("Return it");
    await person.sees("Return unrepaired: too dear for what it is");
    await person.press("On to Return");
    await person.sees("Refund due");
    await person.press("Unrepaired: ready to collect");
    await person.press("Return it");
    await person.sees("Returned");
  });
});

describe("what is not a repair", () => {
  it("writes down why a reel was sent away, and asks for the reason", async () => {
    await person.go("/counter");
    await person.type("Customer", "Odo Pellinor");
    await person.type("Model", "Marrowby Skerry 30");
    await person.type("Job", "not accepted");
    await person.press("Record that it was sent away");
    await person.sees("Why is it not accepted?");
    await person.type("Why we do not take it", "frame cracked through");
    await person.press("Record that it was sent away");
    await person.sees("Not accepted, recorded as");
    expect(server.value("SELECT declined_reason FROM job WHERE closed_at IS NOT NULL ORDER BY id DESC LIMIT 1")).toBe(
      "frame cracked through",
    );
    await person.go(`/ledger/reel/${server.value<number>("SELECT max(id) FROM reel")}`);
    await person.sees("Returned unrepaired: frame cracked through");
  });

  it("keeps a reel for its parts, which then hang nowhere and take no job", async () => {
    await person.go("/counter");
    await person.type("Customer", "Odo Pellinor");
    await person.type("Model", "Marrowby Skerry 30");
    await person.type("Serial", "MS30 90001");
    await person.type("Job", "parts only");
    await person.press("Keep for parts");
    await person.press("Choose the parts worth keeping");
    await person.press("Keep for parts");
    await person.press("Star: good");
    await person.press("Handle: worn");
    await person.type("Drawer", "D9");
    await person.press("Keep 2 parts and end this reel");
    await person.sees("Scrapped for parts");
    await person.go("/stores/bins");
    await person.sees("Marrowby Skerry 30 MS3090001");
  });
});
