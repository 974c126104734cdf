import { request } from "node:http";
import { describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

/** A request with any headers at all: fetch would not let a test lie about Host and Origin. */
const send = (path: string, headers: Record<string, string>, method = "GET", body?: Buffer) =>
  new Promise<{ status: number; text: string; headers: Record<string, unknown> }>((settle, fail) => {
    const call = request(
      {
        host: "127.0.0.1",
        port: server.port,
        path,
        method,
        headers: { ...headers, ...(body ? { "content-length": String(body.length) } : {}) },
      },
      (answer) => {
        const chunks: Buffer[] = [];
        answer.on("data", (chunk: Buffer) => chunks.push(chunk));
        answer.on("end", () => settle({ status: answer.statusCode ?? 0, text: Buffer.concat(chunks).toString(), headers: answer.headers }));
      },
    );
    call.on("error", fail);
    call.end(body);
  });

const upload = (file: Buffer, jobId = "5", positionId = "star") => {
  const edge = "----zorbektest";
  const part = (name: string, value: string) => `--${edge}\r\ncontent-disposition: form-data; name="${name}"\r\n\r\n${value}\r\n`;
  const body = Buffer.concat([
    Buffer.from(
      `${part("pressId", `upload-${Math.random()}`)}${part("jobId", jobId)}${part("positionId", positionId)}--${edge}\r\ncontent-disposition: form-data; name="photo"; filename="a.jpg"\r\ncontent-type: image/jpeg\r\n\r\n`,
    ),
    file,
    Buffer.from(`\r\n--${edge}--\r\n`),
  ]);
  const host = `127.0.0.1:${server.port}`;
  return send("/api/photos", { host, origin: `http://${host}`, "content-type": `multipart/form-data; boundary=${edge}` }, "POST", body);
};

describe("who may ask", () => {
  it("answers to its own names only", async () => {
    expect((await send("/", { host: "reels.example" })).status).toBe(403);
    expect((await send("/", { host: `127.0.0.1:${server.port}` })).status).toBe(200);
    expect((await send("/", { host: `localhost:${server.port}` })).status).toBe(200);
  });

  it("makes no change that another page sends, or that says not where it comes from", async () => {
    const host = `127.0.0.1:${server.port}`;
    for (const headers of [{ host, origin: "http://evil.example" }, { host }, { host, origin: "null" }] as Record<string, string>[]) {
      const answer = await send("/bench/Z-00007-6/strip", { ...headers, "next-action": "00" }, "POST", Buffer.from("[]"));
      expect(answer.status, JSON.stringify(headers)).toBe(403);
      expect(answer.text).toContain("was not made");
    }
  });

  it("sends a strict policy: no inline script, no foreign source, no framing", async () => {
    const { headers } = await send("/", { host: `127.0.0.1:${server.port}` });
    const policy = String(headers["content-security-policy"]);
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'(;|$)/);
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(policy).toContain("object-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers["x-content-type-options"]).toBe("nosniff");
  });
});

describe("pictures that are none", () => {
  it("are refused in plain words", async () => {
    expect(await upload(Buffer.from("<html>not a picture</html>"))).toMatchObject({
      status: 422,
      text: expect.stringContaining("not a picture"),
    });
    expect(await upload(Buffer.alloc(12 * 1024 * 1024 + 200_000))).toMatchObject({ status: 413, text: expect.stringContaining("12 MB") });
    expect((await send("/api/photos/..%2fzorbek.db", { host: `127.0.0.1:${server.port}` })).status).toBe(400);
    expect(server.value("SELECT count(*) FROM photo")).toBe(0);
  });
});

describe("what is typed wrong", () => {
  it("says which: an unknown tag, a wrong check digit, no tag at all", async () => {
    await person.go("/bench");
    for (const [typed, words] of [
      ["Z-00999-9", "check digit"],
      ["Z-00998-1", "No reel in the shop"],
      ["hello", "A tag reads Z"],
    ] as const) {
      const { formatTag } = await import("@/core/tags/tag");
      await person.type("Scan or type the tag", typed === "Z-00998-1" ? formatTag(998) : typed);
      await person.press("Open");
      await person.sees(words);
      expect(await person.value("Scan or type the tag")).not.toBe("");
    }
    await person.go("/bench/Z-00998-1");
    await person.sees("No reel in the shop has that tag");
  });

  it("never lets a bin go below nothing, at the bin", async () => {
    await person.go("/stores/bins");
    await person.type("Counted SK-250", "-3");
    await (await person.field("Counted SK-250")).sendKeys("\n");
    await person.sees("A bin cannot hold less than nothing.");
    expect(await person.value("Counted SK-250")).toBe("-3");
    await person.rest(320); // a second press within 300 ms counts as the glove's
    await person.type("Counted SK-250", "4");
    await (await person.field("Counted SK-250")).sendKeys("\n");
    await person.driver.wait(() => server.value("SELECT count FROM stock WHERE part_type_id = 'sk-star'") === 4, 10_000);
  });

  it("receives no more than was ordered, and says what is outstanding", async () => {
    await person.go("/stores");
    await person.type("How many Main gear, 51 teeth received", "5");
    await person.press("Receive");
    await person.sees("Only 1 of this line are outstanding");
  });

  it("keeps the shop's rules at their fields", async () => {
    await person.go("/shop");
    await person.type("Currency", "euro");
    await person.type("Bench hours a day", "0");
    await person.press("Save");
    await person.sees("Three capital letters");
    await person.sees("Hours such as 6 or 5.5");
    expect(await person.value("Currency")).toBe("euro");
  });

  it("does not let the counter's person work on the tray", async () => {
    await person.go("/shop");
    await person.press("Tobin Marsh counter");
    await person.sees("Role counter");
    await person.go("/bench/Z-00007-6/test");
    await person.press("Free spool");
    await person.press("Good");
    await person.sees("Tobin Marsh may not do this");
    await person.go("/shop");
    await person.press("Ilse Varn owner");
    await person.sees("Role owner");
  });
});
