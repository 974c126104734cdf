import { By, type WebElement } from "selenium-webdriver";
import { describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

const column = (words: string) => person.driver.findElement(By.xpath(`//ol/li[.//span[normalize-space()='${words}']]`));
const textsOf = (elements: readonly WebElement[]) => Promise.all(elements.map((element) => element.getText()));
const dayOf = (tag: string) => server.list<string>(`SELECT promised_on FROM job WHERE tag = '${tag}'`)[0]!;

describe("the rack", () => {
  it("says how likely each day holds, and shows what a tag does on another day before it is let go there", async () => {
    await person.go("/");
    await person.sees("Number: chance of keeping the date");
    const hanging = () => person.driver.findElements(By.css("ol ul li"));
    const numbered = /^(Z-\d{5}-\d)\s+\d+/;
    await person.driver.wait(async () => (await textsOf(await hanging())).filter((text) => numbered.test(text)).length > 10, 15_000);
    // The first tag that is neither on the shelf nor a lot.
    const texts = await textsOf(await hanging());
    const first = texts.findIndex((text) => numbered.test(text));
    const tag = numbered.exec(texts[first]!)![1]!;
    const from = (await hanging())[first]!;
    const before = dayOf(tag);
    const days = await person.driver.findElements(By.css("ol > li"));
    // Two columns further on.
    let at = -1;
    for (const [i, day] of days.entries()) if ((await day.getText()).includes(tag)) at = i;
    const target = days[(at + 2) % Math.min(7, days.length)]!;
    await person.driver
      .actions({ async: true })
      .move({ origin: from })
      .press()
      .move({ origin: from, x: 14, y: 4 })
      .move({ origin: target, duration: 200 })
      .perform();
    await person.sees("was");
    await person.driver.wait(async () => /Then slips?:|No other reel's date is affected/.test(await person.read()), 15_000);
    expect(dayOf(tag)).toBe(before);
    await person.driver.actions({ async: true }).release().perform();
    await person.sees(`${tag} is promised for`);
    expect(dayOf(tag)).not.toBe(before);
    await person.press("Undo");
    await person.driver.wait(() => dayOf(tag) === before, 10_000);
    expect(await column("Today").isDisplayed()).toBe(true);
  });

  it("leaves every tag in sight and within reach, also on a day that holds too much", async () => {
    await person.go("/");
    await person.sees("over by");
    const covered = await person.driver.executeScript<string[]>(
      `return [...document.querySelectorAll("ol ul li")].filter((tag) => {
        const { left, top } = tag.getBoundingClientRect();
        return !tag.contains(document.elementFromPoint(left + 40, top + 20));
      }).map((tag) => tag.innerText)`,
    );
    expect(covered).toEqual([]);
  });

  it("promises another day without dragging, and the journal says so", async () => {
    await person.go("/");
    await person.driver.findElement(By.xpath("//summary[contains(., 'Change a promised date')]")).click();
    const tag = server.list<string>("SELECT tag FROM job WHERE closed_at IS NULL AND lot_id IS NULL AND station = 'test' ORDER BY id")[0]!;
    await person.type("Tag", tag);
    const later = new Date(Date.now() + 12 * 86_400_000).toLocaleDateString("sv-SE");
    await person.driver.executeScript(
      "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set; set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event('input', { bubbles: true }));",
      await person.field("New day"),
      later,
    );
    await person.sees("likely to be kept, was");
    await person.press("Promise this day");
    await person.driver.wait(() => dayOf(tag) === later, 10_000);
    await person.go("/ledger");
    await person.sees("moved the promised day");
  });

  it("knows people one by one: their hours, and what a day off costs before it is given", async () => {
    await person.go("/rack/hours");
    await person.press("What these days off change");
    await person.driver.wait(async () => /Then slips?:|No other reel's date is affected/.test(await person.read()), 15_000);
    for (const day of ["Mon", "Tue", "Wed", "Thu", "Fri"]) await person.type(day, "5");
    await person.press("Save week");
    await person.driver.wait(() => server.list("SELECT minutes FROM person_hours").join() === "300,300,300,300,300", 10_000);
    await person.press("Add time off");
    await person.driver.wait(() => server.list("SELECT id FROM person_off WHERE removed_at IS NULL").length === 1, 10_000);
    await person.sees("Away ");
  });

  it("shows the year ahead", async () => {
    await person.go("/rack/season");
    await person.sees("The year ahead");
    await person.sees("Invite before the rush");
  });
});
