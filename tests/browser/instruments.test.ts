import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Key } from "selenium-webdriver";
import { afterAll, describe, expect, it } from "vitest";
import wavefile from "wavefile";
import { addClick, background, passages } from "../made-sounds";
import { stream } from "../random-stream";
import { atTheBench, Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-instruments-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A mono 16-bit WAV: a second of a quiet room, then two of a click ten times as loud (amplitude ratio 10 is 20 dB). */
function clickWav(): string {
  const rate = 8000;
  const sound = Int16Array.from({ length: 3 * rate }, (_, i) => Math.round((i < rate ? 300 : 3000) * Math.sin(i * 1.3)));
  const head = Buffer.alloc(44);
  head.write("RIFF", 0);
  head.writeUInt32LE(36 + sound.byteLength, 4);
  head.write("WAVEfmt ", 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(rate, 24);
  head.writeUInt32LE(rate * 2, 28);
  head.writeUInt16LE(2, 32);
  head.writeUInt16LE(16, 34);
  head.write("data", 36);
  head.writeUInt32LE(sound.byteLength, 40);
  const file = join(folder, "click.wav");
  writeFileSync(file, Buffer.concat([head, Buffer.from(sound.buffer)]));
  return file;
}

/** A made recording as a WAV. */
function wavOf(name: string, sound: Float64Array, rate: number): string {
  const wav = new wavefile.WaveFile();
  wav.fromScratch(
    1,
    rate,
    "16",
    Int16Array.from(sound, (x) => Math.round(32767 * Math.max(-1, Math.min(1, x)))),
  );
  const file = join(folder, name);
  writeFileSync(file, wav.toBuffer());
  return file;
}

const stored = <T>(testId: string, column: string) =>
  server.value<T>(
    `SELECT ${column} FROM observation JOIN job ON job.id = job_id WHERE tag = 'Z-00009-2' AND test_id = ? ORDER BY observation.id DESC LIMIT 1`,
    testId,
  );
const answered = async (testId: string, before: number) => {
  await person.press("Good");
  await person.driver.wait(() => server.value<number>("SELECT count(*) FROM observation WHERE test_id = ?", testId) > before, 10_000);
};
const count = (testId: string) => server.value<number>("SELECT count(*) FROM observation WHERE test_id = ?", testId);

describe("measuring at Test", () => {
  it("streams from the stand-in that is set to a worn reel, and sets the reading beside what reels like this leave with", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.press("Turning in gear");
    await person.sees("Reels like this leave here with");
    await person.type("What the simulated instrument shows", "a worn reel");
    await person.press("Measure with the torque handle");
    await person.driver.wait(async () => (await person.mainKey()).startsWith("Stop the handle"), 5000);
    await person.sees("grit or a tight spot", 20_000);
    await person.sees("This one is above usual.");
    expect(await person.mainKey()).toMatch(/^Good/);
    const before = count("turning");
    await answered("turning", before);
    expect(stored<number>("turning", "value")).toBeGreaterThan(15);
    expect(stored("turning", "simulated")).toBe(1);
  });

  it("takes a pull from a spreadsheet, and says which row is wrong with one that cannot be read", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.press("Drag, star fully tight");
    const bad = join(folder, "bad.csv");
    writeFileSync(bad, "t_s;N\n0;0\n0,1;ten\n");
    await (await person.field("or from a file")).sendKeys(bad);
    await person.sees("Row 3 is no time and value");
    const good = join(folder, "pull.csv");
    writeFileSync(
      good,
      `t_s;N\n${Array.from({ length: 80 }, (_, i) => `${(i * 0.05).toFixed(2).replace(".", ",")};${i < 10 ? i * 5 : 50}`).join("\n")}\n`,
    );
    await (await person.field("or from a file")).sendKeys(good);
    await person.sees("running mean 50.0 N");
    await person.sees("1.20 N·m at the spool"); // 50 N at 24 mm
    await answered("drag-full", count("drag-full"));
    expect([stored("drag-full", "simulated"), stored("drag-full", "instrument")]).toEqual([0, "file pull.csv"]);
  });

  it("hears a click in a WAV, as decibels above the room", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.press("Click");
    await (await person.field("or from a file")).sendKeys(clickWav());
    await person.sees("above it. Compare only at one distance.");
    await answered("click", count("click"));
    expect(stored<number>("click", "value")).toBeGreaterThan(19);
    expect(stored<number>("click", "value")).toBeLessThan(20.5);
  });

  it("listens with the device's own microphone until it is told that was it, and keeps what it heard", async () => {
    const listener = await Person.hearing(server, clickWav());
    try {
      await listener.go("/bench/Z-00009-2/test");
      await listener.press("Click");
      await listener.press("Listen with this device");
      await listener.sees("A second of silence, then draw line.");
      await listener.sees("4 s");
      // The main key, the space bar or the foot switch, ends it: an answer now would have no reading.
      expect(await listener.mainKey()).toMatch(/^That was it/);
      await listener.key(" ");
      await listener.sees("above it. Compare only at one distance.");
      const before = count("click");
      await listener.press("Good");
      await listener.driver.wait(() => count("click") > before, 10_000);
    } finally {
      await listener.close();
    }
    expect([stored("click", "simulated"), stored("click", "instrument")]).toEqual([0, "this device's microphone"]);
    expect(stored<number>("click", "value")).toBeGreaterThan(17);
    expect(stored<number>("click", "value")).toBeLessThan(22);
  });

  it("says what to do where no microphone is given", async () => {
    await person.go("/gauges/spin");
    await person.press("Listen with this device");
    await person.sees("Allow the microphone for this page, or use a recording.");
  });

  it("reads a free run off a recording of its ticks: seconds from the standard start, and what it loses", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.press("Free spool");
    const rate = 22050;
    const random = stream(3);
    // Starts at 14 turns a second; by hand: rubbing alone of 3 rad/s² takes 2π·10/3 = 20.9 s from ten turns a second to a stop.
    const times = passages({ a: 3, b: 0, c: 0 }, 2 * Math.PI * 14, 1, 40);
    const sound = background(times.at(-1)! + 1, rate, 0.004, 0.01, random);
    for (const t of times) addClick(sound, rate, t + 0.3, 0.5);
    await (await person.field("or from a file")).sendKeys(wavOf("spin.wav", sound, rate));
    await person.sees("clicks heard", 20_000);
    await person.sees("Losses: rubbing.");
    await answered("free-spool", count("free-spool"));
    expect(Math.abs(stored<number>("free-spool", "value") - 20.9)).toBeLessThan(1);
    expect(stored("free-spool", "instrument")).toBe("file spin.wav");
  });

  it("hears a gear's broken tooth in a recording of it turning", async () => {
    const rate = 22050;
    const random = stream(4);
    const sound = background(12, rate, 0.004, 0.002, random);
    for (let turn = 0; turn < 12; turn++) addClick(sound, rate, turn + 0.2 + 0.01 * random(), 0.4);
    await person.go("/gauges/gearing");
    await (await person.field("A recording of it turning (WAV)")).sendKeys(wavOf("gear.wav", sound, rate));
    await person.sees("one tick a turn of the handle: one tooth of the gear", 20_000);
    await person.sees("Heard as it turns");
  });

  it("takes a caliper's sizes at a step of the build, keeps them with reel and visit, and says them in the report", async () => {
    await person.go("/bench/Z-00004-5/build");
    await person.press("Measure");
    await person.press("Side play");
    await person.type("Turns of the adjuster", "0,25");
    await person.press("Keep, after the work");
    await person.sees("Millimetres a turn, as a number.");
    await person.type("Its thread, mm a turn", "0.75");
    await person.keys(Key.ENTER);
    await person.sees("Kept: 0.188 ± 0.045 mm.");
    await person.press("Wear");
    await person.type("The worn one, mm", "4.2");
    await person.type("A new one, mm", "4.6");
    await person.press("Keep, after the work");
    await person.sees("Kept: 0.4 ± 0.071 mm, worn.");
    expect(server.value<number>("SELECT count(*) FROM measure WHERE position_id <> ''")).toBe(1);
    // The next reel of the model knows what a new one measures.
    // The page under it rests: no letter of it undoes a step there, and the space bar keeps the measure.
    const done = server.value<number>("SELECT count(*) FROM build_step WHERE state = 'done'");
    await person.key("u");
    await person.key(" ");
    await person.sees("Type millimetres as a number.");
    expect(server.value<number>("SELECT count(*) FROM build_step WHERE state = 'done'")).toBe(done);
    await person.keys(Key.ESCAPE);
    await person.go("/bench/Z-00004-5/build");
    await person.press("Measure");
    await person.press("Wear");
    expect(await (await person.field("A new one, mm")).getAttribute("value")).toBe("4.6");
    const reel = server.value<number>("SELECT reel_id FROM job WHERE tag = 'Z-00004-5'");
    await person.go(`/ledger/reel/${reel}`);
    await person.sees("Measured over the visits");
    await person.sees("Side play: 0.188 ± 0.045 mm.");
  });

  it("leaves a test out by one press, its reason after, and makes another that nothing waits for", async () => {
    await person.go("/bench/Z-00009-2/test");
    await person.press("Anti-reverse");
    await person.key("n");
    await person.driver.wait(() => server.list("SELECT reason FROM skipped_test WHERE test_id = 'anti-reverse'").length === 1, 10_000);
    await person.type("Why it was left out", "a part is missing");
    await person.driver.wait(() => server.value("SELECT reason FROM skipped_test") === "a part is missing", 10_000);
    await person.press("Side play");
    await person.type("Reading, if you took one (mm)", "0,4");
    await person.key("d");
    await person.driver.wait(() => count("side-play") === 1, 10_000);
    expect(stored("side-play", "value")).toBe(0.4);
  });
});
