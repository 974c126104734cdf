import { describe, expect, it } from "vitest";
import { readPullTrace } from "@/core/drag/pull-trace";
import { instruments } from "@/core/proving/read-trace";
import { simulatedInstrument } from "./instruments";
import { type PullSetting, simulatedForce } from "./pull-scale";
import { simulatedDesk, simulatedSupplierDesk } from "./supplier-desk";

const setting: PullSetting = { levelN: 30, startRatio: 1.5, ripple: 0.05 };

describe("the stand-in pull scale", () => {
  it("takes the line up, peaks at its start ratio and settles at its level", () => {
    const forces = Array.from({ length: 75 }, (_, i) => simulatedForce(setting, i));
    expect(forces[0]).toBe(0);
    expect(Math.max(...forces)).toBeGreaterThan(30 * 1.4);
    expect(Math.max(...forces)).toBeLessThan(30 * 1.6);
    const settled = forces.slice(40);
    const mean = settled.reduce((sum, force) => sum + force, 0) / settled.length;
    expect(mean).toBeGreaterThan(29);
    expect(mean).toBeLessThan(31.5);
  });

  it("repeats itself exactly, so that a test can", () => {
    expect(simulatedForce(setting, 33)).toBe(simulatedForce(setting, 33));
  });

  it("is never below nothing", () => {
    for (let i = 0; i < 200; i++) expect(simulatedForce({ levelN: 5, startRatio: 1, ripple: 2 }, i)).toBeGreaterThanOrEqual(0);
  });
});

describe("every stand-in instrument", () => {
  it.each(Object.values(instruments))("$name says that it is simulated, stops when it is told to, and keeps what came", async ({ id }) => {
    const instrument = simulatedInstrument(id);
    expect(instrument.simulated).toBe(true);
    const control = new AbortController();
    const got: number[] = [];
    for await (const sample of instrument.stream({ level: 20, sickness: 0 }, control.signal)) {
      got.push(sample.tMs);
      if (got.length === 4) control.abort();
    }
    expect(got).toHaveLength(4);
    expect([...got].sort((a, b) => a - b)).toEqual(got);
  });
});

describe("the stand-in order desk", () => {
  it("says that it is simulated and acknowledges the same order the same way", async () => {
    const order = { orderId: 12, supplierId: "quay", lines: [] };
    expect(simulatedSupplierDesk.simulated).toBe(true);
    expect(await simulatedSupplierDesk.place(order)).toEqual(await simulatedSupplierDesk.place(order));
    expect((await simulatedSupplierDesk.place(order)).reference).toMatch(/^SIM-/);
  });

  it("is late and packs wrong pieces as often as it is set to, says so, and says the same when asked again", async () => {
    const desk = simulatedDesk({ late: 20, wrong: 5 });
    const orders = await Promise.all(
      Array.from({ length: 2000 }, (_, orderId) => desk.place({ orderId, supplierId: "quay", lines: [{ number: "SK-104", quantity: 2 }] })),
    );
    const late = orders.filter(({ lateDays }) => lateDays! > 0).length;
    const wrong = orders.filter(({ note }) => note!.includes("SK-104-B")).length;
    // Binomial: within three standard deviations.
    expect(Math.abs(late - 400)).toBeLessThan(3 * Math.sqrt(2000 * 0.2 * 0.8));
    expect(Math.abs(wrong - 100)).toBeLessThan(3 * Math.sqrt(2000 * 0.05 * 0.95));
    expect(orders.filter(({ lateDays, note }) => lateDays! > 0 && !note!.includes(`${lateDays} days later`))).toEqual([]);
    expect(await desk.place({ orderId: 7, supplierId: "quay", lines: [] })).toEqual(
      await desk.place({ orderId: 7, supplierId: "quay", lines: [] }),
    );
  });
});

describe("the stand-in scale", () => {
  it("reads back what the stand-in scale was set to", () => {
    const samples = Array.from({ length: 75 }, (_, i) => ({
      tMs: i * 40,
      forceN: simulatedForce({ levelN: 32, startRatio: 1.7, ripple: 0.02 }, i),
    }));
    const read = readPullTrace(samples);
    if (!read.ok) throw new Error(read.message);
    expect(read.value.runningMeanN).toBeGreaterThan(31);
    expect(read.value.runningMeanN).toBeLessThan(33.5);
    expect(read.value.startRatio).toBeGreaterThan(1.5);
  });
});
