import { type ChildProcess, spawn } from "node:child_process";
import { cpSync, mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { By, Key, type WebElement } from "selenium-webdriver";
import { afterAll, beforeAll, inject } from "vitest";
import { openBrowser } from "../../scripts/browser.mjs";
import { lanCertificate } from "../../scripts/lan.mjs";

/** Any free port; the system hands out high ones, of which browsers refuse 10080 only. */
const freePort = () =>
  new Promise<number>((settle) => {
    const server = createServer();
    server.listen(0, "127.0.0.1", () => {
      const { port } = server.address() as { port: number };
      server.close(() => settle(port));
    });
  });

const ended = (child: ChildProcess) =>
  new Promise<void>((settle) => (child.exitCode !== null || child.signalCode !== null ? settle() : child.once("exit", () => settle())));

/** The built application on its own port and data, started and killed as a power cut would. */
export class Server {
  private child: ChildProcess | null = null;
  /** What it has written where errors go, line by line. */
  readonly said: string[] = [];
  /** For other devices: where they come in, when it is asked for. */
  lan: { readonly base: string; readonly env: Record<string, string> } | null = null;
  /** What it is started with besides, such as another clock. */
  env: Record<string, string> = {};
  private constructor(
    readonly port: number,
    readonly data: string,
  ) {}

  /** @param empty a shop nobody has worked in; else a demo of its own. */
  static async start(empty = false, lanAddress = ""): Promise<Server> {
    const server = new Server(await freePort(), mkdtempSync(join(tmpdir(), "zorbek-browser-")));
    if (!empty) cpSync(inject("filledDemo"), server.data, { recursive: true });
    if (lanAddress) {
      const listen = `${lanAddress}:${await freePort()}`;
      const { key, certificate, fingerprint } = await lanCertificate(server.data, [lanAddress]);
      server.lan = {
        base: `https://${listen}`,
        env: { ZORBEK_LAN_LISTEN: listen, ZORBEK_LAN_KEY: key, ZORBEK_LAN_CERTIFICATE: certificate, ZORBEK_LAN_FINGERPRINT: fingerprint },
      };
    }
    await server.up();
    return server;
  }

  /** On a folder that is there already; whoever made it takes it away. */
  static async on(data: string): Promise<Server> {
    const server = new Server(await freePort(), data);
    await server.up();
    return server;
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** @param well whether its pages are to be those of a shop; else any answer will do. */
  async up(well = true): Promise<void> {
    this.child = spawn("node", ["scripts/serve.mjs", String(this.port)], {
      env: { ...process.env, ...this.lan?.env, ...this.env, ZORBEK_DATA: this.data, ZORBEK_NO_BACKUP: "1", NEXT_TELEMETRY_DISABLED: "1" },
      stdio: ["ignore", "ignore", "pipe"],
      detached: true, // its own group, so that the kill takes all of it
    });
    this.child.stderr!.on("data", (words: Buffer) => {
      process.stderr.write(words);
      this.said.push(...String(words).split("\n").filter(Boolean));
    });
    for (let tries = 0; tries < 240 * patience; tries++) {
      if (
        await fetch(`${this.base}/gauges`).then(
          (response) => response.ok || !well,
          () => false,
        )
      )
        return;
      await new Promise((wait) => setTimeout(wait, 125));
    }
    throw new Error("The server did not come up.");
  }

  get pid(): number {
    return this.child?.pid ?? 0;
  }

  async kill(): Promise<void> {
    if (!this.child?.pid) return;
    const gone = ended(this.child);
    process.kill(-this.child.pid, "SIGKILL");
    await gone;
    this.child = null;
  }

  /** One value of the database as it is on disk. */
  value<T>(sql: string, ...parameters: unknown[]): T {
    const db = new Database(join(this.data, "zorbek.db"), { readonly: true });
    try {
      return db
        .prepare(sql)
        .pluck()
        .get(...parameters) as T;
    } finally {
      db.close();
    }
  }

  /** One column of the database as it is on disk. */
  list<T>(sql: string): T[] {
    const db = new Database(join(this.data, "zorbek.db"), { readonly: true });
    try {
      return db.prepare(sql).pluck().all() as T[];
    } finally {
      db.close();
    }
  }

  async stop(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** A limit ends what never comes; where others use the same cores, what does come may take several times as long as on a quiet machine. */
const patience = 4;

/** Counts in the page what it has asked the server for and not heard of yet. */
const countAsked = `if (window.asked === undefined) {
  window.asked = 0;
  const plain = window.fetch;
  window.fetch = (...of) => { window.asked++; return plain(...of).finally(() => window.asked--); };
}`;

/** Quotes a text for XPath, which has no escape of its own. */
const literal = (text: string) => (text.includes('"') ? `concat("${text.split('"').join('", \'"\', "')}")` : `"${text}"`);

/** What a page says after the line of rooms, which is the same on all: a long log keeps its beginning only. */
const withoutRooms = (words: string) => words.replace(/\s*\n\s*/g, "\n").replace(/^[\s\S]*?\nKeys \?\n/, "");

/** Everybody at a screen now: a test that fails leaves what they see (on-failure.ts). */
export const peopleAtScreens = new Set<Person>();

/** A person at the screen: reads what is shown, presses keys by their words, types into fields by their labels. */
export class Person {
  private constructor(
    readonly driver: Awaited<ReturnType<typeof openBrowser>>["driver"],
    private readonly end: () => Promise<void>,
    private readonly base: () => string,
  ) {
    peopleAtScreens.add(this);
    // Looks again after 40 ms; left to itself it takes 200, some thousand times.
    const wait = driver.wait.bind(driver) as (...of: unknown[]) => unknown;
    driver.wait = ((until: unknown, forMs?: number, words?: unknown, everyMs = 40) =>
      wait(until, forMs && forMs * patience, words, everyMs)) as typeof driver.wait;
  }

  close = async (): Promise<void> => {
    peopleAtScreens.delete(this);
    await this.end();
  };

  /** The screen as it is, what its console said since the last look, and where it is; a browser that is gone leaves nothing. */
  async leftBehind(): Promise<{ picture: string; consoleLines: string[]; address: string }> {
    const picture = await this.driver.takeScreenshot().catch(() => "");
    const entries = await this.driver
      .manage()
      .logs()
      .get("browser")
      .catch(() => []);
    const address = await this.driver.getCurrentUrl().catch(() => "");
    return { picture, consoleLines: entries.map(({ level, message }) => `${level.name} ${message}`), address };
  }

  static async at(server: Server, size?: { width: number; height: number }): Promise<Person> {
    const { driver, close } = await openBrowser(size);
    return new Person(driver, close, () => server.base);
  }

  /** Somebody whose device hears a sound over and over. @param sound a WAV. */
  static async hearing(server: Server, sound: string): Promise<Person> {
    const { driver, close } = await openBrowser({ sound });
    return new Person(driver, close, () => server.base);
  }

  /** Somebody at another device, over the network. @param camera what its camera sees. */
  static async elsewhere(server: Server, size: { width: number; height: number }, camera = ""): Promise<Person> {
    const { driver, close } = await openBrowser({ ...size, camera, trusting: true });
    return new Person(driver, close, () => server.lan!.base);
  }

  async go(path: string): Promise<void> {
    await this.driver.get(this.base() + path);
    await this.driver.wait(() => this.driver.executeScript("return document.readyState === 'complete'"), 20_000);
    // The page answers to keys once React has taken over the sheet itself, which is later than the shell around it.
    const taken =
      "const sheet = document.querySelector('main section, main .sheet, main form'); return Boolean(sheet) && Object.keys(sheet).some((k) => k.startsWith('__react'))";
    await this.driver.wait(() => this.driver.executeScript(taken), 20_000);
    // Its effects, which bind the keys, run after the same commit: by when there is nothing left to do.
    await this.driver.executeAsyncScript("requestIdleCallback(() => requestIdleCallback(arguments[0]), { timeout: 2000 })");
    await this.driver.executeScript(countAsked);
  }

  /** Until the page stands still: every press is written down, nothing it asked for is on its way, and what came is drawn. */
  async settled(): Promise<void> {
    await this.driver.wait(
      () =>
        this.driver.executeAsyncScript<boolean>(
          `const end = arguments[0], still = () => !window.asked && !Object.keys(localStorage).some((key) => key.startsWith('zorbek-presses '));
          if (!still()) end(false); else setTimeout(() => requestIdleCallback(() => end(still()), { timeout: 2000 }), 60)`,
        ),
      20_000,
      "the page does not come to rest",
    );
  }

  read = (): Promise<string> => this.driver.executeScript<string>("return document.body.innerText");

  /** Waits until the page says it; fails with what it says instead. */
  async sees(words: string, timeoutMs = 15_000): Promise<void> {
    let last = "";
    await this.driver
      .wait(
        async () => {
          last = await this.read().catch(() => "");
          return last.replace(/\s+/g, " ").includes(words);
        },
        timeoutMs,
        undefined,
        60,
      )
      .catch(() => {
        throw new Error(`Waited for "${words}". The page says:\n${withoutRooms(last)}`);
      });
  }

  async seesNot(words: string): Promise<boolean> {
    return !(await this.read()).replace(/\s+/g, " ").includes(words);
  }

  private async find(xpath: string, what: string): Promise<WebElement> {
    let found: WebElement | undefined;
    await this.driver
      .wait(async () => {
        for (const element of await this.driver.findElements(By.xpath(xpath)))
          if (await element.isDisplayed().catch(() => false)) {
            found = element;
            return true;
          }
        return false;
      }, 10_000)
      .catch(async () => {
        throw new Error(`There is no ${what}. The page says:\n${await this.read()}`);
      });
    return found!;
  }

  /** Presses a key, link or button by the words on it. */
  async press(words: string): Promise<void> {
    const kinds = '*[self::button or self::a or self::label or self::summary or @role="button"][not(@disabled)]';
    const exactly = `//${kinds}[normalize-space(.) = ${literal(words)} or @aria-label = ${literal(words)}]`;
    const containing = `//${kinds}[contains(normalize-space(.), ${literal(words)})]`;
    const pick = async () => this.find((await this.driver.findElements(By.xpath(exactly))).length ? exactly : containing, `key "${words}"`);
    for (let tries = 0; ; tries++) {
      try {
        const element = await pick();
        await this.driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", element);
        await element.click();
        break;
      } catch (error) {
        // The page was drawn anew between looking and pressing: look again, as a person would.
        if (tries === 4 || !(error instanceof Error) || !/stale|intercept|not interactable/i.test(error.name + error.message)) throw error;
        await this.rest(200);
      }
    }
    await this.rest(90); // two presses within a switch's bounce would count once
  }

  field = (label: string) =>
    this.find(
      `//*[@id = //label[contains(normalize-space(.), ${literal(label)})]/@for] | //label[contains(normalize-space(.), ${literal(label)})]//input | //*[@aria-label=${literal(label)}]`,
      `field "${label}"`,
    );

  async type(label: string, text: string): Promise<void> {
    const field = await this.field(label);
    if ((await field.getTagName()) === "select") {
      await (await field.findElement(By.xpath(`.//option[contains(normalize-space(.), ${literal(text)})]`))).click();
      return;
    }
    await field.sendKeys(Key.chord(Key.CONTROL, "a"), Key.BACK_SPACE, text);
    if ((await field.getAttribute("role")) === "combobox") await this.chooseFrom(field, text);
  }

  /** Takes what a search field offers for the text; a new name, for which it offers nothing, is left standing. */
  private async chooseFrom(field: WebElement, text: string): Promise<void> {
    const option = `//*[@role="option"][contains(normalize-space(.), ${literal(text)})]`;
    const offered = () => this.driver.findElements(By.xpath(option));
    // A new name is offered nothing: nothing is on its way any more, and still nothing stands there.
    const since = Date.now();
    const answered = () => this.driver.executeScript<boolean>("return !window.asked");
    await this.driver
      .wait(async () => (await offered()).length > 0 || (Date.now() - since > 600 && (await answered())), 10_000)
      .catch(() => null);
    const [first] = await offered();
    await (first ? first.click() : field.sendKeys(Key.TAB));
  }

  async value(label: string): Promise<string> {
    return (await (await this.field(label)).getAttribute("value")) ?? "";
  }

  /** One key of the keyboard, with nothing in focus. */
  async key(key: string): Promise<void> {
    await this.driver.executeScript("document.activeElement?.blur?.()");
    await this.driver.actions().sendKeys(key).perform();
    await this.rest(90);
  }

  /** What the main key says now. */
  async mainKey(): Promise<string> {
    return this.driver.executeScript<string>("return document.querySelector('.key-main')?.innerText.replace(/\\s+/g, ' ') ?? ''");
  }

  /** The space bar, and then until the main key or the step says something else: its work is done. */
  async space(): Promise<void> {
    const said = "return (document.querySelector('.key-main')?.innerText ?? '') + '|' + (document.querySelector('h1')?.innerText ?? '')";
    const before = await this.driver.executeScript<string>(`document.activeElement?.blur?.(); ${said}`);
    const pressedAt = Date.now();
    await this.driver.actions().sendKeys(" ").perform();
    await this.driver
      .wait(async () => (await this.driver.executeScript<string>(said).catch(() => before)) !== before, 15_000, undefined, 40)
      .catch(async () => {
        throw new Error(`Nothing came of the space bar at "${before}". The page says:\n${await this.read()}`);
      });
    // Two presses within a switch's bounce would count once.
    await this.rest(Math.max(40, 90 - (Date.now() - pressedAt)));
  }

  /** Goes by the Tab key to what says these words, as one without a mouse does, and leaves the focus there. */
  async tabTo(words: string): Promise<void> {
    const here = `const at = document.activeElement; if (at === document.body) return ''; const label = at?.id ? document.querySelector('label[for="' + at.id + '"]') : null;
      return [at?.getAttribute('aria-label'), label?.innerText, at?.innerText, at?.value].filter(Boolean).join(' ').replace(/\\s+/g, ' ')`;
    for (let tabs = 0; tabs < 250; tabs++) {
      if ((await this.driver.executeScript<string>(here)).includes(words)) return;
      await this.driver.actions().sendKeys(Key.TAB).perform();
    }
    throw new Error(`The Tab key does not come to "${words}". The page says:\n${await this.read()}`);
  }

  /** Waits until a field has the focus, as eyes do before hands type: a letter before that is a key of the page. */
  async atField(): Promise<void> {
    await this.driver.wait(
      () => this.driver.executeScript<boolean>("return document.activeElement?.matches('input, textarea') ?? false"),
      10_000,
      "no field took the focus",
    );
  }

  /** Keys as typed, wherever the focus is. */
  async keys(...keys: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
    await this.rest(90);
  }

  /** A scanner: fast characters and Enter, as one burst. */
  async scan(text: string): Promise<void> {
    await this.driver.executeScript(
      "document.activeElement?.blur?.(); for (const key of [...arguments[0], 'Enter']) window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))",
      text,
    );
  }

  /** Takes the browser's network away, or gives it back. */
  async offline(away: boolean): Promise<void> {
    const driver = this.driver as unknown as { setNetworkConditions: (to: object) => Promise<void> };
    await driver.setNetworkConditions({ offline: away, latency: 0, download_throughput: -1, upload_throughput: -1 });
  }

  rest = (ms: number) => new Promise<void>((settle) => setTimeout(settle, ms));
}

/** Starts a server with a demo of its own, or an empty shop, and a person at it before a file's tests, and ends both after them. */
export function atTheBench(ready: (server: Server, person: Person) => void, { empty = false } = {}): void {
  let server: Server | null = null;
  let person: Person | null = null;
  beforeAll(async () => {
    server = await Server.start(empty);
    person = await Person.at(server);
    ready(server, person);
  });
  afterAll(async () => {
    await person?.close();
    await server?.stop();
  });
}
