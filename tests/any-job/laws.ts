import { faults } from "@/core/diagnosis/fault-table";
import { findings } from "@/core/diagnosis/finding-table";
import { everyBuild } from "@/core/families/families";
import { testOn } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { testIds } from "@/core/vocabulary/tests";
import { getAccount } from "@/data/account/job-acts";
import { listWells } from "@/data/bench/tray";
import { hereFor, notReadyFor } from "@/data/hand-back/going-home";
import { getReport } from "@/data/hand-back/report";
import { machineOf } from "@/data/jobs/machine";
import { listJournalSentences } from "@/data/ledger/journal-sentences";
import { getBill, getQuote } from "@/data/quote/quotes";
import { reportDates } from "../workshop";
import type { Bench } from "./job";

/** What must hold whatever was pressed. Each gives what is broken, in words; nothing where it holds. */
type Law = (bench: Bench) => readonly string[];

const allOf = <T>(db: Bench["shop"]["db"], sql: string, ...with_: unknown[]) => db.prepare(sql).all(...with_) as T[];

/** After every act. */
export const cheapLaws: Readonly<Record<string, Law>> = {
  "a piece is in one place": ({ shop, jobId }) => {
    const seats = listWells(shop.db, jobId).map(({ positionId }) => positionId);
    return seats.filter((seat, i) => seats.indexOf(seat) !== i).map((seat) => `${seat} lies in two wells`);
  },
  "one seat holds one piece": ({ shop }) =>
    allOf<{ seat: string }>(
      shop.db,
      "SELECT position_id AS seat FROM instance WHERE removed_job_id IS NULL GROUP BY reel_id, position_id HAVING count(*) > 1",
    ).map(({ seat }) => `${seat} holds two pieces`),
  "a bin holds what went in less what came out, and not less than nothing": ({ shop }) =>
    allOf<{ id: string }>(
      shop.db,
      `SELECT part_type_id AS id FROM stock
       WHERE count < 0 OR count <> (SELECT coalesce(sum(delta), 0) FROM stock_move WHERE part_type_id = stock.part_type_id)`,
    ).map(({ id }) => `${id} is counted wrong`),
  "a piece from a bin left it": ({ shop }) => {
    const one = (sql: string) => shop.db.prepare(sql).pluck().get() as number;
    const fitted = one("SELECT count(*) FROM instance WHERE origin = 'stock' AND donor_piece_id IS NULL AND source IS NULL");
    const used = one("SELECT -coalesce(sum(delta), 0) FROM stock_move WHERE reason IN ('used', 'used-undone')");
    return fitted === used ? [] : [`${fitted} pieces of the bins are fitted, ${used} left them`];
  },
  "what is put aside is there": ({ shop }) =>
    allOf<{ id: string; aside: number; there: number }>(
      shop.db,
      `SELECT part_type_id AS id, count(*) AS aside, coalesce((SELECT count FROM stock WHERE stock.part_type_id = need.part_type_id), 0) AS there
       FROM need WHERE state = 'arrived' GROUP BY part_type_id`,
    )
      .filter(({ aside, there }) => aside > there)
      .map(({ id, aside, there }) => `${aside} of ${id} are put aside, ${there} lie there`),
  "what is ordered is still to come": ({ shop }) =>
    allOf<{ id: number; wanted: number; coming: number }>(
      shop.db,
      `SELECT order_line.id, count(*) AS wanted, quantity - received - given_up AS coming FROM need JOIN order_line ON order_line.id = order_line_id
       WHERE state = 'ordered' GROUP BY order_line.id`,
    )
      .filter(({ wanted, coming }) => wanted > coming)
      .map(({ id, wanted, coming }) => `${wanted} wait for line ${id}, of which ${coming} are to come`),
  "a paper is open for what it comes to, less what was taken back and paid": ({ shop }) =>
    allOf<{ number: number; total: number; credited: number; paid: number }>(
      shop.db,
      `SELECT number, net_minor + tax_minor AS total, (SELECT coalesce(-sum(c.net_minor + c.tax_minor), 0) FROM paper AS c WHERE c.of_number = paper.number) AS credited,
              (SELECT coalesce(sum(amount_minor), 0) FROM payment WHERE payment.number = paper.number) AS paid FROM paper WHERE kind = 'invoice'`,
    )
      .filter(({ total, credited, paid }) => credited > total || paid < 0 || (credited === 0 && paid > total))
      .map((paper) => JSON.stringify(paper)),
  "an invoice is what the job was closed for": ({ shop, job, lot }) => {
    const { closedAt, id } = job();
    if (closedAt === null || lot) return [];
    const row = shop.db
      .prepare(
        "SELECT final_total_minor AS closed, deposit_minor AS deposit, (SELECT max(net_minor + tax_minor) FROM paper JOIN paper_job USING (number) WHERE job_id = job.id AND kind = 'invoice') AS invoiced FROM job WHERE id = ?",
      )
      .get(id) as { closed: number | null; deposit: number; invoiced: number | null };
    return (row.invoiced ?? 0) === (row.closed ?? 0) ? [] : [JSON.stringify(row)];
  },
  "every row stands on one that is there": ({ shop }) =>
    (shop.db.pragma("foreign_key_check") as unknown[]).map((row) => JSON.stringify(row)),
  "times of a job are in order": ({ job }) => {
    const { openedAt, closedAt } = job();
    return closedAt !== null && closedAt < openedAt ? ["it went home before it came"] : [];
  },
  "what went home left nothing here": ({ shop, job }) => {
    const now = job();
    return now.closedAt === null || now.declinedReason !== null
      ? []
      : hereFor(shop.db, now).map((block) => `it went home with ${JSON.stringify(block)}`);
  },
};

/** Every name of a part that some reel has. */
const anyNames = new Set(
  familyIds.flatMap((id) => everyBuild(id).flatMap(({ template }) => template.anatomy.positions.map(({ name }) => name.toLowerCase()))),
);
const names = [...anyNames].filter((name) => name.includes(" ") && name.length > 10).sort((a, b) => b.length - a.length);

/** What a fault with its remedy, a sign and a test are called on every reel that can have them. */
const generalNames = [
  ...[...faults, ...findings, ...familyIds.flatMap((family) => testIds.map((id) => testOn(family, id)))].map(({ name }) => name),
  ...faults.map(({ remedy }) => remedy.words),
];

/** What no reader should meet. */
const broken = /undefined|\bNaN\b|\[object|\bnull\b| {2}|\.\.(?!\.)|,,| ,| \.(?!\d)|\(\)|: *\.|;\s*\.|\$\{|Infinity/i;

/** At the end of a station, and after one act in twenty. */
export const paperLaws: Readonly<Record<string, Law>> = {
  "the report can be read, and says nothing broken": ({ shop, job }) => {
    const report = getReport(shop.db, job(), reportDates);
    const said: string[] = [];
    const walk = (of: unknown, key: string) => {
      if (typeof of === "string") said.push(of);
      else if (Array.isArray(of)) for (const one of of) walk(one, key);
      else if (of && typeof of === "object" && key !== "drawing" && key !== "type")
        for (const [k, v] of Object.entries(of)) if (k !== "drawing" && k !== "type") walk(v, k);
    };
    walk(report, "");
    return said.filter((words) => broken.test(words)).map((words) => `"${words}"`);
  },
  "sentences name only parts that this reel has": ({ shop, job }) => {
    const own = machineOf(shop.db, job()).anatomy.positions.map(({ name }) => name.toLowerCase());
    return getAccount(shop.db, job()).sentences.flatMap(({ words }) => {
      let rest = words.toLowerCase();
      for (const name of generalNames) rest = rest.replaceAll(name.toLowerCase(), " ");
      for (const name of [...own].sort((a, b) => b.length - a.length)) rest = rest.replaceAll(name, " ");
      return names
        .filter((name) => rest.includes(name) && !own.some((one) => one.includes(name)))
        .map((name) => `"${words}" names a ${name}`);
    });
  },
  "a sentence is borne out by acts, and said once": ({ shop, job }) => {
    const { sentences } = getAccount(shop.db, job());
    const words = sentences.map((one) => one.words);
    return words.filter((one, i) => words.indexOf(one) !== i).map((one) => `said twice: "${one}"`);
  },
  "the sum is what its lines come to": ({ shop, job }) => {
    const { parts, sum } = getQuote(shop.db, job());
    const total = parts.reduce((so, { priceMinor }) => so + priceMinor, 0);
    return total === sum.partsMinor ? [] : [`parts come to ${total}, the sum says ${sum.partsMinor}`];
  },
  "what is billed for parts is the pieces in the reel, as the report has them": ({ shop, job }) => {
    const [bill, printed] = [getBill(shop.db, job()).sum.partsMinor, getReport(shop.db, job(), reportDates).parts];
    const total = printed.reduce((so, { price }) => so + price, 0);
    return bill === total ? [] : [`billed ${bill}, the report's parts come to ${total}`];
  },
  "nothing dearer than the limit goes home without a yes": ({ shop, job }) => {
    const now = job();
    if (now.closedAt === null || now.limitMinor === null || now.kind === "comeback") return [];
    const { answers, openingAgreed } = getQuote(shop.db, now);
    const { totalMinor } = getBill(shop.db, now).sum;
    const agreed = answers.filter(({ accepted }) => accepted).map((answer) => answer.totalMinor);
    const most = Math.max(now.limitMinor, ...agreed);
    return totalMinor > most && !openingAgreed ? [`billed ${totalMinor}, agreed ${most}`] : [];
  },
  "what is said to have come off lay in the tray": ({ shop, job, jobId }) => {
    const lay = new Set(listWells(shop.db, jobId).map(({ positionId }) => positionId));
    return getAccount(shop.db, job())
      .account.pieces.filter(({ positionId, became }) => became !== "served-in-place" && !lay.has(positionId))
      .map(({ positionId }) => `${positionId} never came off`);
  },
  "the journal can be read": ({ shop, jobId }) =>
    listJournalSentences(shop.db, { jobId, limit: 2000 })
      .map((line) => JSON.stringify(line))
      .filter((line) => broken.test(line.replaceAll('""', "").replaceAll(":null", "")))
      .map((line) => line.slice(0, 200)),
  "a reel in pieces is not said to be ready": ({ shop, job }) => {
    const now = job();
    return now.station === "return" && now.closedAt === null && now.declinedReason === null
      ? notReadyFor(shop.db, now)
          .filter(({ code }) => code === "left-over")
          .map((block) => `hangs ready with ${JSON.stringify(block)}`)
      : [];
  },
};
