import { beforeAll, describe, expect, it } from "vitest";
import { saying } from "@/core/account/sentences";
import type { Report } from "@/core/report/report";
import { getAccount, jobActs } from "@/data/account/job-acts";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { type TenKind, tenJobs, tenKinds } from "./ten-jobs";
import { openWorkshop, reportDates, type Workshop } from "./workshop";

let shop: Workshop;
let ids: Record<TenKind, number>;
beforeAll(() => {
  shop = openWorkshop();
  ids = tenJobs(shop);
});
const job = (kind: TenKind) => findJob(shop.db, ids[kind])!;
const report = (kind: TenKind): Report => getReport(shop.db, job(kind), reportDates);
const told = (kind: TenKind) => saying(report(kind).told, "found", "done", "seals", "oil", "checks", "watch").join("\n");

describe.each(tenKinds)("what is said of a job of the kind %s", (kind) => {
  it("is borne out by acts that are kept", () => {
    const acts = jobActs(shop.db, job(kind));
    const known = new Set(
      [
        acts.opened,
        acts.keptShut,
        acts.off,
        acts.inPlace,
        acts.oiled,
        acts.fitted,
        acts.notDrawn,
        acts.checks,
        acts.noted,
        acts.tests,
        acts.faults,
        acts.ruledOut,
        acts.looks,
      ].flatMap((rows) => rows.map(({ act }) => act)),
    );
    for (const { words, acts: bearers } of getAccount(shop.db, job(kind)).sentences) {
      expect(bearers.length, words).toBeGreaterThan(0);
      for (const act of bearers) expect(known, `${words} ${act}`).toContain(act);
    }
  });

  it("names every new part once, each with its size, and no other", () => {
    const fitted = shop.db.prepare("SELECT count(*) FROM instance WHERE fitted_job_id = ?").pluck().get(ids[kind]);
    expect(report(kind).parts).toHaveLength(fitted as number);
  });
});

describe("each of ten jobs, read as its customer", () => {
  it("quick: what was opened of it, where the oil went, nothing of a fault", () => {
    expect(told("quick")).toMatch(/^No fault found: every test was good on arrival\.$/m);
    expect(told("quick")).toMatch(/^Taken apart: handle and star; spool\.$/m);
    expect(told("quick")).toMatch(
      /^Head plate, yoke and free spool, opened in part: head plate foot screw \(2\), head plate screw \(4\) off\.$/m,
    );
    expect(told("quick")).not.toContain("for a new part");
  });

  it("full: what was bad when it came, what was dressed, renewed and is to be watched", () => {
    expect(told("full")).toContain("Faulty on arrival: Free spool (4 s). No single cause was identified.");
    expect(told("full")).toContain("Anti-reverse dog: nose filed square, put back.");
    expect(told("full")).toContain("54 parts off: 53 refitted, 1 replaced with new.");
    expect(report("full").parts.map(({ words }) => words)).toEqual([expect.stringMatching(/^Friction washer, low: .*carbon/)]);
    expect(JSON.stringify(report("full"))).not.toContain("for the bench");
    expect(report("full").watch).toEqual(["Friction washer, middle: edge a little frayed."]);
  });

  it("one assembly: the fault with the parts that are new, and what stayed shut", () => {
    expect(told("one-assembly")).toContain("Friction washers worn thin: repaired (25 min). New: friction washer (3).");
    expect(told("one-assembly")).toMatch(/^Not opened: .*tail plate and click/m);
  });

  it("outside: only where oil went and what was felt", () => {
    expect(told("outside")).toBe(
      "No fault found: every test was good on arrival.\nLight oil, 2 drops: in place: handle knob, spool bearing (tail).",
    );
  });

  it("upgrade: no complaint is given as the reason", () => expect(told("upgrade")).not.toContain("for the complaint"));

  it("check: the claims with what speaks against each and nothing that fits beside it, and what it would take", () => {
    const { check } = report("check");
    expect(check?.claims.find(({ claim }) => claim === "just serviced")).toEqual({
      claim: "just serviced",
      standing: "contradicted by",
      because: "Turning in gear: bad; Grease dark and waxy",
    });
    for (const { standing, because } of check!.claims) if (standing === "contradicted by") expect(because).not.toMatch(/good/);
    expect(told("check")).toContain("Grease hardened in the gear side. To do: strip, clean and re-grease the gear side (35 min).");
  });

  it("comeback: what it was, and that it was free", () => {
    expect(told("comeback")).toContain("Tension washers nested or flat: repaired (10 min). New: tension washer (2).");
    expect(report("comeback").price.total).toBe(0);
  });

  it("unknown: what came off went back", () => expect(told("unknown")).toContain("6 parts off: 6 refitted."));

  it("seals: each seal by name, the fluid's unit unbroken", () => {
    expect(told("seals")).toMatch(/^Seals opened and kept: .*knob O-ring/m);
  });

  it("sent back undone: what was found and not put right, no work, no price", () => {
    expect(told("sent-back")).toBe("Grease hardened in the gear side: found, not repaired.");
    expect(report("sent-back").price.total).toBe(0);
    expect(report("sent-back").tests.filter(({ before, after }) => before || after)).toHaveLength(1);
  });
});
