import { z } from "zod";
import type { UseFactor } from "@/core/vocabulary/use";
import type { Fault } from "./fault";
import { faults as commonFaults } from "./fault-table";
import { findings as commonFindings, type FindingId, type FindingSpec, findingAreas } from "./finding-table";
import type { HistoryId } from "./histories";
import { reelSections } from "./isolation";
import { looks as commonLooks, type Look, type Opening, openings } from "./look-table";
import { type Commonness, commonness, hasPrior, priorGiven, priorOf } from "./prior-table";
import { links as commonLinks, type Link, type Strength, strengths } from "./strength-table";

/** Everything the diagnosis reasons from. */
export interface Knowledge {
  readonly faults: readonly Fault[];
  readonly findings: readonly FindingSpec[];
  readonly looks: ReadonlyMap<FindingId, Look>;
  readonly links: readonly Link[];
  readonly priorOf: (faultId: string, use: readonly UseFactor[]) => number;
  /** The same where it is known what the reel has been through. */
  readonly priorGiven: (faultId: string, use: readonly UseFactor[], there: ReadonlySet<HistoryId>) => number;
  readonly hasPrior: (faultId: string) => boolean;
}

export const commonKnowledge: Knowledge = {
  faults: commonFaults,
  findings: commonFindings,
  looks: commonLooks,
  links: commonLinks,
  priorOf,
  priorGiven,
  hasPrior,
};

const words = (most: number, ask: string) => z.string().trim().min(3, ask).max(most, `At most ${most} letters.`);
const keysOf = <T extends object>(of: T) => Object.keys(of) as [keyof T & string, ...(keyof T & string)[]];

/** A fault a shop adds: what this bench meets and the tables do not know. */
export const shopFaultSchema = z.object({
  name: words(80, "What is wrong, in a few words."),
  section: z.enum(reelSections),
  commonness: z.enum(keysOf(commonness)),
  tellBy: words(200, "How do you tell it apart?"),
  remedy: words(200, "What is the remedy?"),
  minutes: z.number("Minutes of the remedy.").int().min(0).max(600, "At most ten hours."),
});
export type ShopFault = z.infer<typeof shopFaultSchema>;

/** A sign a shop adds, with the way to look at it. */
export const shopFindingSchema = z.object({
  name: words(80, "What is seen or felt, in a few words."),
  area: z.enum(findingAreas),
  how: words(200, "How do you check it?"),
  minutes: z.number("Minutes for the check.").min(0.5, "Half a minute at least.").max(60, "At most an hour."),
  open: z.enum(keysOf(openings)),
});
export type ShopFinding = z.infer<typeof shopFindingSchema>;

/** How often a fault brings a sign about; null strikes what the tables say of the pair. */
export interface ShopStrength {
  readonly fault: string;
  readonly finding: FindingId;
  readonly strength: Strength | null;
  readonly note: string;
}
export const strengthIds = keysOf(strengths);

export interface ShopKnowledge {
  readonly faults: readonly (ShopFault & { readonly id: string })[];
  readonly findings: readonly (ShopFinding & { readonly id: `shop-${string}` })[];
  readonly strengths: readonly ShopStrength[];
}

/** How often a shop's own sign is there though nothing the shop knows of brings it about (rule of thumb). */
const ownLeak = 0.01;

/** The common knowledge with a shop's own on top: its faults and signs added, its strengths instead of the tables'. */
export function withShop(shop: ShopKnowledge): Knowledge {
  if (!shop.faults.length && !shop.findings.length && !shop.strengths.length) return commonKnowledge;
  const own = new Map(shop.faults.map(({ id, commonness: how }) => [id, how]));
  const ruled = new Set(shop.strengths.map(({ fault, finding }) => `${fault} ${finding}`));
  const odds = (how: Commonness) => commonness[how];
  return {
    faults: [
      ...commonFaults,
      ...shop.faults.map(
        ({ id, name, section, tellBy, remedy, minutes }): Fault => ({
          id,
          name,
          section,
          feltAs: "",
          tellBy,
          remedy: { words: remedy, minutes, partRoles: [] },
        }),
      ),
    ],
    findings: [...commonFindings, ...shop.findings.map(({ id, name, area }): FindingSpec => ({ id, name, area, leak: ownLeak }))],
    looks: new Map<FindingId, Look>([
      ...commonLooks,
      ...shop.findings.map(
        ({ id, how, minutes, open }) => [id, { finding: id, how, minutes, open: open as Opening, trust: "seen" }] as [FindingId, Look],
      ),
    ]),
    links: [
      ...commonLinks.filter(({ fault, finding }) => !ruled.has(`${fault} ${finding}`)),
      ...shop.strengths.flatMap(({ fault, finding, strength, note }) => (strength ? [{ fault, finding, strength, note }] : [])),
    ],
    // How use moves a shop's own fault nobody has said: it stands at its class until the shop has counted.
    priorOf: (id, use) => (own.has(id) ? odds(own.get(id)!) : priorOf(id, use)),
    priorGiven: (id, use, there) => (own.has(id) ? odds(own.get(id)!) : priorGiven(id, use, there)),
    hasPrior: (id) => own.has(id) || hasPrior(id),
  };
}
