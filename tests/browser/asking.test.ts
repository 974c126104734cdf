import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { By } from "selenium-webdriver";
import { afterAll, describe, expect, it } from "vitest";
import { setForeseen } from "@/data/parts/quote-parts";
import { atTheBench, type Person, type Server } from "./bench";
import { onTheData } from "./stations";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-asking-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe("a quote that is asked about by letter", () => {
  let tag = "";
  let link = "";
  const job = () => server.value<number>("SELECT id FROM job WHERE tag = ?", tag);
  const seats = () => server.value<string>("SELECT group_concat(position_id) FROM quote_part WHERE job_id = ?", job());

  it("is made by one press: printed with a code a line, mailed by the simulated desk", async () => {
    tag = onTheData(server, (ctx) => {
      const id = server.value<number>("SELECT id FROM job WHERE closed_at IS NULL AND lot_id IS NULL AND station = 'test' ORDER BY id");
      ctx.db.prepare("UPDATE job SET limit_minor = 100 WHERE id = ?").run(id);
      ctx.db.prepare("UPDATE customer SET email = 'reel@example.org' WHERE id = (SELECT customer_id FROM job WHERE id = ?)").run(id);
      for (const seat of ["star", "handle", "lock-screw"]) setForeseen(ctx, id, seat, true);
      return server.value<string>("SELECT tag FROM job WHERE id = ?", id);
    });
    await person.go(`/bench/${tag}/quote`);
    await person.press("Create the letter");
    await person.sees("valid until");
    await person.press("Mail it to reel@example.org");
    await person.sees("this desk is simulated and sends nothing");
    expect(server.value("SELECT to_address || text FROM outbox ORDER BY id DESC")).toBe("");
    link = (await (await person.driver.findElement(By.xpath('//a[contains(., "Print it")]'))).getAttribute("href"))!.split("link=")[1]!;
    const path = join(folder, "letter.pdf");
    writeFileSync(path, Buffer.from(await (await fetch(`${server.base}/bench/${tag}/quote.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
    expect(text).toContain("New star");
    expect(text).toMatch(/[BCDFHJKLMNPRTWX3479]{3} +New handle/);
  });

  it("is answered by its link, line by line, and the link is shut then", async () => {
    await person.driver.get(`${server.base}/q/${link}`);
    const page = await person.driver.findElement(By.css("main")).getText();
    expect(page).toContain("New star");
    // Nothing of the shop but this quote.
    expect(await person.driver.findElements(By.css("nav, a"))).toHaveLength(0);
    await person.driver.findElement(By.css('input[name="option"][value="quoted"]')).click();
    await person.driver.findElement(By.css('input[name="line"][value="handle"]')).click();
    await person.driver.findElement(By.css("textarea")).sendKeys("The old handle will do.");
    await person.driver.findElement(By.css("button")).click();
    await person.driver.wait(async () => (await person.driver.getPageSource()).includes("The shop has your answer"), 10_000);
    expect(seats().split(",").sort()).toEqual(["lock-screw", "star"]);
    expect(server.value("SELECT words FROM answer WHERE job_id = ? ORDER BY id DESC", job())).toBe("The old handle will do.");
    expect((await fetch(`${server.base}/q/${link}`)).status).toBe(410);
    await person.go(`/bench/${tag}/quote`);
    await person.sees("The customer agreed to this sum.");
  });

  it("or by the codes the customer names at the counter; a slip is told at its field", async () => {
    onTheData(server, (ctx) => setForeseen(ctx, job(), "handle", true));
    await person.go(`/bench/${tag}/quote`);
    await person.press("Create the letter");
    await person.sees("Codes the customer gives");
    const asked = JSON.parse(server.value<string>("SELECT asked FROM asking WHERE answered_at IS NULL AND revoked_at IS NULL")) as {
      lines: { code: string; ref: string }[];
    };
    const code = (ref: string) => asked.lines.find((line) => line.ref === ref)!.code;
    await person.type("Codes the customer gives", "BBB");
    await person.press("Record the answer");
    await person.sees("is not a code in this letter");
    await person.rest(320);
    await person.type("Codes the customer gives", `${code("star").toLowerCase()}, ${code("handle")}`);
    await person.press("Record the answer");
    await person.driver.wait(() => seats().split(",").sort().join() === "handle,star", 10_000);
    await person.sees("The customer agreed to this sum.");
  });
});
