import { checkKnowledge } from "@/core/diagnosis/check-knowledge";
import type { Fault } from "@/core/diagnosis/fault";
import type { FindingId } from "@/core/diagnosis/finding-table";
import { isShopsOwn } from "@/core/diagnosis/finding-table";
import {
  commonKnowledge,
  type Knowledge,
  type ShopFault,
  type ShopFinding,
  type ShopStrength,
  shopFaultSchema,
  shopFindingSchema,
  withShop,
} from "@/core/diagnosis/knowledge";
import type { Strength } from "@/core/diagnosis/strength-table";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer, lastActOfShop } from "@/data/database/kept-answers";

type Row = { id: string; json: string };
const rowsOf = (db: Db, table: "shop_fault" | "shop_finding", column: string) =>
  db.prepare(`SELECT id, ${column} AS json FROM ${table} ORDER BY id`).all() as Row[];

/** What this bench reasons from: the common tables, and what the shop added or said otherwise. */
export function knowledgeOf(db: Db): Knowledge {
  return keptAnswer(db, "knowledge", lastActOfShop(db), () => readKnowledge(db));
}

function readKnowledge(db: Db): Knowledge {
  return withShop({
    faults: rowsOf(db, "shop_fault", "fault").map(({ id, json }) => ({ ...shopFaultSchema.parse(JSON.parse(json)), id })),
    findings: rowsOf(db, "shop_finding", "finding").map(({ id, json }) => ({
      ...shopFindingSchema.parse(JSON.parse(json)),
      id: id as `shop-${string}`,
    })),
    strengths: listStrengths(db),
  });
}

export const listStrengths = (db: Db): ShopStrength[] =>
  db
    .prepare("SELECT fault_id AS fault, finding_id AS finding, strength, note FROM shop_strength ORDER BY fault_id, finding_id")
    .all() as ShopStrength[];

/** Gives faults by id, common or the shop's own; null for one that neither holds any more. The shop's are read once, when the first is asked for. */
export function faultNamer(db: Db): (id: string) => Fault | null {
  let own: ReadonlyMap<string, Fault> | null = null;
  return (id) => {
    const known = commonById.get(id);
    if (known || !isShopsOwn(id)) return known ?? null;
    own ??= new Map(knowledgeOf(db).faults.map((fault) => [fault.id, fault]));
    return own.get(id) ?? null;
  };
}

/** The fault of an id. */
export const faultOf = (db: Db, id: string): Fault | null => faultNamer(db)(id);
const commonById = new Map(commonKnowledge.faults.map((fault) => [fault.id, fault]));

/** What does not hang together: orphans, and faults that no look can part, with names for ids. */
export function knowledgeFaults(db: Db): string[] {
  const knowledge = knowledgeOf(db);
  const names = new Map<string, string>([...knowledge.faults, ...knowledge.findings].map(({ id, name }) => [id, `“${name}”`]));
  return checkKnowledge(knowledge).map((said) => said.replace(/\bshop-[a-z]+-\d+\b/g, (id) => names.get(id) ?? id));
}

/** The next free id of a kind; `f` for faults and `s` for signs, so that neither is taken for the other. */
function nextId(db: Db, table: "shop_fault" | "shop_finding"): string {
  const numbers = rowsOf(db, table, "id").map(({ id }) => Number(id.split("-").at(-1)));
  return `shop-${table === "shop_fault" ? "fault" : "sign"}-${Math.max(0, ...numbers) + 1}`;
}

function refuseTwin(names: readonly { readonly name: string }[], name: string): void {
  const twin = names.find((one) => one.name.toLowerCase() === name.toLowerCase());
  if (twin) throw new Refusal("twin", `“${twin.name}” already exists.`, "name");
}

export function addShopFault(ctx: Context, fault: ShopFault): string {
  refuseTwin(knowledgeOf(ctx.db).faults, fault.name);
  const id = nextId(ctx.db, "shop_fault");
  ctx.db.prepare("INSERT INTO shop_fault (id, fault, at) VALUES (?, ?, ?)").run(id, JSON.stringify(fault), ctx.now);
  writeJournal(ctx, "fault-learned", {}, { fault: id });
  return id;
}

export function addShopFinding(ctx: Context, finding: ShopFinding): string {
  refuseTwin(knowledgeOf(ctx.db).findings, finding.name);
  const id = nextId(ctx.db, "shop_finding");
  ctx.db.prepare("INSERT INTO shop_finding (id, finding, at) VALUES (?, ?, ?)").run(id, JSON.stringify(finding), ctx.now);
  writeJournal(ctx, "sign-learned", {}, { finding: id });
  return id;
}

/**
 * Says how often a fault brings a sign about; null strikes the pair, "as common" takes the shop's own word back.
 * @param note null where only the strength is said: the note that stands is kept.
 */
export function setStrength(
  ctx: Context,
  fault: string,
  finding: string,
  strength: Strength | "as-common" | null,
  note: string | null,
): void {
  const { db } = ctx;
  const knowledge = knowledgeOf(db);
  if (!knowledge.faults.some(({ id }) => id === fault)) throw new Refusal("no-fault", "This fault no longer exists.", "faultId");
  if (!knowledge.findings.some(({ id }) => id === finding)) throw new Refusal("no-finding", "Choose a sign from the list.", "findingId");
  if (strength === "as-common") db.prepare("DELETE FROM shop_strength WHERE fault_id = ? AND finding_id = ?").run(fault, finding);
  else
    db.prepare(
      `INSERT INTO shop_strength (fault_id, finding_id, strength, note) VALUES (?, ?, ?, ?)
       ON CONFLICT DO UPDATE SET strength = excluded.strength, note = excluded.note`,
    ).run(
      fault,
      finding as FindingId,
      strength,
      note ?? knowledge.links.find((link) => link.fault === fault && link.finding === finding)?.note ?? "",
    );
  writeJournal(ctx, "strength-said", {}, { fault, finding, strength });
}
