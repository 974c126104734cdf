import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { Attack } from "../attack/attack";
import { Server } from "./bench";

// `npm run attack` gives its own seed, and minutes instead of rounds.
const seed = Number(process.env.ATTACK_FROM ?? 1);
const minutes = Number(process.env.ATTACK_MINUTES ?? 0);

let server: Server;
beforeAll(async () => {
  server = await Server.start(false, "127.0.0.2");
});
afterAll(async () => {
  await server?.stop();
});

const told = ({ findings }: Attack) => findings.map(({ law, words }) => `${law}: ${words}`).join("\n\n");

describe("any stranger", () => {
  it("gets nothing at any door of the build, whoever they say they are", async () => {
    const attack = new Attack(server, seed);
    expect(attack.doors.pages.length).toBeGreaterThan(35);
    expect(attack.doors.files.length).toBeGreaterThan(20);
    expect(attack.doors.uploads.length).toBeGreaterThanOrEqual(3);
    await attack.strangersAtEveryDoor();
    await attack.rolesAtEveryDoor();
    await attack.rolesAtEveryAct();
    expect(told(attack)).toBe("");
  });

  it("breaks nothing with the worst that can be sent", async () => {
    const attack = new Attack(server, seed);
    await attack.worst(minutes ? { until: Date.now() + minutes * 60_000 } : { rounds: 1200 });
    console.info(
      `attack, seed ${seed}: ${attack.requests} requests, ${attack.acts.done} acts done, ${attack.acts.refused} refused, ${attack.findings.length} findings`,
    );
    expect(told(attack)).toBe("");
  });
});
