import type { AddressInfo } from "node:net";
import { SMTPServer } from "smtp-server";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { simulatedMailDesk, smtpMailDesk } from "./mail-desk";

// An independent server that speaks SMTP (RFC 5321), on this machine alone.
const taken: { from: string; to: string[]; text: string }[] = [];
const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ["STARTTLS"],
  onData(stream, session, done) {
    const chunks: Buffer[] = [];
    stream.on("data", (chunk: Buffer) => chunks.push(chunk));
    stream.on("end", () => {
      const { mailFrom, rcptTo } = session.envelope;
      taken.push({
        from: mailFrom ? mailFrom.address : "",
        to: rcptTo.map(({ address }) => address),
        text: Buffer.concat(chunks).toString("utf8"),
      });
      done();
    });
  },
});
beforeAll(() => new Promise<void>((ready) => void server.listen(0, "127.0.0.1", ready)));
afterAll(() => new Promise<void>((ended) => server.close(() => ended())));

const mail = {
  from: "bench@example.org",
  to: "ada@example.org",
  subject: "Quote for your reel: Größe",
  text: "K4C   As quoted: 84.20 EUR\n",
  attachments: [{ filename: "quote.pdf", content: Buffer.from("%PDF-1.4 not really"), contentType: "application/pdf" }],
};

describe("the shop's mail", () => {
  it("reaches a mail server as it was written, its letter with it", async () => {
    const { port } = server.server.address() as AddressInfo;
    const { reference } = await smtpMailDesk(`smtp://127.0.0.1:${port}`).send(mail);
    expect(reference).toContain("@");
    expect(taken).toHaveLength(1);
    expect(taken[0]).toMatchObject({ from: "bench@example.org", to: ["ada@example.org"] });
    expect(taken[0]!.text).toContain("K4C");
    expect(taken[0]!.text).toMatch(/filename=quote\.pdf/);
    expect(taken[0]!.text).toContain(mail.attachments[0]!.content.toString("base64"));
  });

  it("goes nowhere from the desk that ships, and says so; a server that is not there is told", async () => {
    expect(simulatedMailDesk.simulated).toBe(true);
    expect((await simulatedMailDesk.send(mail)).reference).toMatch(/^SIM-MAIL-/);
    expect(taken).toHaveLength(1);
    await expect(smtpMailDesk("smtp://127.0.0.1:1").send(mail)).rejects.toThrow();
  });
});
