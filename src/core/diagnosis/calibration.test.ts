import { describe, expect, it } from "vitest";
import { stream } from "#tests/random-stream";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import type { UseFactor } from "@/core/vocabulary/use";
import { useFactors } from "@/core/vocabulary/use";
import { caseNet, type Observation, weighMixture } from "./case-net";
import { diagnose } from "./diagnose";
import { commonKnowledge } from "./knowledge";
import { reliabilities } from "./look-table";
import { mayHave } from "./signs-on-reel";

const rolesOf = (family: (typeof familyIds)[number]) => new Set(families[family].parts.map((part) => part.role));

describe("what the net says", () => {
  it("comes out as often as it says, in ten thousand cases drawn from the net itself (a check of the arithmetic)", () => {
    const random = stream(20261126);
    const pick = <T>(from: readonly T[]) => from[Math.floor(random() * from.length)]!;
    const uses = Object.keys(useFactors) as UseFactor[];
    const { findings, looks } = commonKnowledge;
    const bins = Array.from({ length: 10 }, () => ({ said: 0, so: 0, count: 0 }));
    for (let n = 0; n < 10_000; n++) {
      const subject = { roles: rolesOf(pick(familyIds)), use: random() < 0.5 ? [pick(uses)] : [], observations: [] };
      const { nets } = caseNet(subject);
      // A history, the faults it brings, the signs they bring, and what somebody noticed of some of them.
      const drawn = random();
      let sum = 0;
      const { net } = nets.find(({ weight }) => {
        sum += weight;
        return drawn < sum;
      })!;
      const there = net.causes.map(({ alternatives }) => random() < alternatives[0]!.prior);
      const sign = (x: number) =>
        random() < net.leaks[x]! || net.causes.some(({ alternatives }, f) => there[f] && random() < alternatives[0]!.strengths[x]!);
      // Some signs of what is wrong and some of what is not: which are asked is no news in itself.
      const asked = new Set(Array.from({ length: 30 }, () => Math.floor(random() * findings.length)));
      const observations = [...asked].flatMap((x): Observation[] => {
        const finding = findings[x]!.id;
        const so = sign(x);
        const look = looks.get(finding);
        if (!look) return [];
        const [hit, alarm] = reliabilities[look.trust];
        return [{ by: "look", finding, so: random() < (so ? hit : alarm) }];
      });
      const noticed = caseNet({ ...subject, observations });
      const { probabilities } = weighMixture(noticed.nets, noticed.evidence, noticed.sweep);
      probabilities.forEach((p, f) => {
        const bin = bins[Math.min(9, Math.floor(p * 10))]!;
        bin.said += p;
        bin.count++;
        if (there[f]) bin.so++;
      });
    }
    for (const { said, so, count } of bins)
      if (count > 200) {
        // Two points, and what chance allows a tenth that holds few.
        const chance = (2 * Math.sqrt((said / count) * (1 - said / count))) / Math.sqrt(count);
        expect(Math.abs(said - so) / count, `${count} cases said ${(said / count).toFixed(2)}`).toBeLessThan(0.02 + chance);
      }
    expect(bins.filter(({ count }) => count > 200).length).toBe(10);
  });

  it("gives every fault at least 0.6 for its own sign alone, in every family that can have it", () => {
    for (const fault of commonKnowledge.faults) {
      const own = commonKnowledge.links
        .filter((link) => link.fault === fault.id && link.strength === "always" && commonKnowledge.looks.has(link.finding))
        .map(({ finding }) => finding);
      const able = familyIds.filter((family) => mayHave(fault, rolesOf(family)));
      const surest = own.map((finding) =>
        Math.min(
          ...able.map(
            (family) =>
              diagnose({ roles: rolesOf(family), use: [], observations: [{ by: "look", finding, so: true }] }, false).ranked.find(
                (one) => one.fault.id === fault.id,
              )!.probability,
          ),
        ),
      );
      expect(Math.max(0, ...surest), `${fault.id} by ${own.join(", ")}`).toBeGreaterThanOrEqual(0.6);
    }
  });
});
