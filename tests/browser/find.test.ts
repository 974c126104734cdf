import { describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

/** How likely a suspect is said to be, of a hundred. */
const likelihood = async (name: string): Promise<number> => {
  const line = (await person.read()).replace(/\s+/g, " ");
  const said = new RegExp(`${name} (?:(\\d+)%|sure)`).exec(line);
  return said ? Number(said[1] ?? 100) : Number.NaN;
};

const takeIn = async (serial: string): Promise<string> => {
  await person.go("/counter");
  await person.type("Customer", "Brindle Okafor");
  await person.type("Model", "Marrowby Skerry 30");
  await person.type("Serial", serial);
  await person.press("drag weak");
  await person.press("hire or charter");
  await person.type("Spending limit", "200");
  await person.press("Check in");
  await person.sees("Checked in as");
  return /Z-\d{5}-\d/.exec(await person.read())![0];
};

describe("a diagnosis at the bench", () => {
  let tag = "";
  let before = 0;

  it("begins with the complaint and the life the counter wrote down", async () => {
    tag = await takeIn("MS30 77001");
    await person.go(`/bench/${tag}/find`);
    await person.sees("hire or charter fleet");
    await person.sees("Friction washers worn thin");
    before = await likelihood("Friction washers worn thin");
    expect(before).toBeGreaterThan(20);
    // One question stands large; the others are folded.
    await person.press("Other checks");
    await person.sees("Caliper on each washer");
  });

  it("moves with each look, says why, and takes an answer back", async () => {
    await person.press("Friction washers thinner than their size: yes").catch(() => person.key("y"));
    await person.sees("Checked");
    expect(await likelihood("Friction washers worn thin")).toBeGreaterThan(before);
    await person.press("Friction washers worn thin");
    await person.sees("+ Friction washers thinner than their size");
    await person.press("Friction washers thinner than their size ✕");
    await person.driver.wait(
      () => server.value("SELECT count(*) FROM look JOIN job ON job.id = look.job_id WHERE job.tag = ?", tag) === 0,
      10_000,
    );
    await person.driver.wait(() => person.seesNot("✕"), 10_000);
    await person.key("n"); // the first look: it is not
    await person.driver.wait(
      () => server.value("SELECT count(*) FROM look JOIN job ON job.id = look.job_id WHERE job.tag = ?", tag) === 1,
      10_000,
    );
  });

  it("becomes a task with its parts, and the next such reel begins from what was proved", async () => {
    await person.go(`/bench/${tag}/find`);
    await person.press("All faults possible in this reel");
    await person.press("Oil on washers meant to be dry");
    await person.press("Proved");
    await person.sees("1 found: on to Quote");
    await person.press("Friction washers worn thin");
    await person.press("Ruled out");
    await person.sees("ruled out");
    await person.press("on to Quote");
    await person.sees("Degrease or renew the washers");
    const next = await takeIn("MS30 77002");
    await person.go(`/bench/${next}/find`);
    const [thin, oiled] = [await likelihood("Friction washers worn thin"), await likelihood("Oil on washers meant to be dry")];
    expect(thin).toBeLessThan(before);
    expect(oiled).toBeGreaterThan(0);
  });
});

describe("a capture that is stopped half-way", () => {
  it("keeps what came, and says when it is too little to read", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.sees("Draw line straight off the spool");
    // Stopped at the forty-eighth of its readings, however long a busy machine takes over them.
    await person.driver.executeScript(
      `const press = (words) => [...document.querySelectorAll("button")].find((key) => key.textContent.includes(words)).click();
       const Stream = window.EventSource;
       let heard = 0;
       window.EventSource = class extends Stream {
         constructor(from) { super(from); this.addEventListener("message", () => { if (++heard === 48) press("Stop the scale"); }); }
       };
       press("Pull with the scale");
       window.EventSource = Stream;`,
    );
    await person.sees("running mean");
    await person.press("Doubtful");
    const trace = () =>
      server.value<number>(
        "SELECT json_array_length(trace) FROM observation JOIN job ON job.id = observation.job_id WHERE job.tag = 'Z-00009-2' AND trace IS NOT NULL",
      );
    await person.driver.wait(() => trace() > 0, 10_000);
    expect(trace()).toBeGreaterThan(20);
    expect(trace()).toBeLessThan(75);
    expect(server.value("SELECT simulated FROM observation WHERE trace IS NOT NULL ORDER BY id DESC LIMIT 1")).toBe(1);
    // Started and stopped in the page itself: how long a driver takes to press twice must not matter.
    await person.driver.executeScript(
      `const press = (words) => [...document.querySelectorAll("button")].find((key) => key.textContent.includes(words)).click();
       press("Pull with the scale"); setTimeout(() => press("Stop the scale"), 300);`,
    );
    await person.sees("too short to read");
  });
});

describe("what the shop knows better", () => {
  it("is a fault and a sign of its own, tied together, suspected at the bench from then on", async () => {
    await person.go("/shop/knowledge");
    await person.type("What is wrong", "Salt crust under the foot");
    await person.type("How to tell it apart", "Foot off: a white line");
    await person.type("Remedy", "Warm water, dry, a film of oil");
    await person.press("Add the fault");
    await person.sees("“Salt crust under the foot” causes nothing");
    await person.type("What is seen or felt", "White line round the foot");
    await person.type("How to check", "Foot off the rod, look under it");
    await person.press("Add the sign");
    await person.sees("Nothing causes “White line round the foot”");
    await person.type("Also causes", "White line round the foot");
    await person.type("How often", "always");
    await person.type("Mechanism", "it is the crust");
    await person.press("Link sign");
    await person.driver.wait(() => person.seesNot("Inconsistencies"), 10_000);
    await person.go("/bench/Z-00006-8/find");
    await person.press("All faults possible in this reel");
    await person.press("Salt crust under the foot");
    await person.sees("Foot off: a white line");
  });
});

describe("a case with much to weigh", () => {
  it("is answered from everything told, press after press", async () => {
    await person.go("/counter");
    await person.type("Customer", "Brindle Okafor");
    await person.type("Model", "Marrowby Skerry 30");
    for (const complaint of [
      "stiff to turn",
      "gritty or grinding",
      "spins short",
      "drag jerks",
      "drag weak",
      "slips backwards",
      "click weak",
    ])
      await person.press(complaint);
    await person.press("Check in");
    await person.sees("Checked in as");
    const tag = /Z-\d{5}-\d/.exec(await person.read())![0];
    await person.go(`/bench/${tag}/find`);
    const looks = () => server.value<number>("SELECT count(*) FROM look JOIN job ON job.id = look.job_id WHERE job.tag = ?", tag);
    for (let i = 1; i <= 5; i++) {
      await person.key("n");
      await person.driver.wait(() => looks() === i, 20_000);
      // Until the answer is on the page: a key pressed before that counts for nothing.
      await person.driver.wait(async () => (await person.read()).split("✕").length - 1 === i, 20_000);
    }
    expect(await person.read()).not.toContain("left out");
  });
});
