import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { parse } from "parse5";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { pages } from "../../scripts/page-statements";
import { Server } from "./bench";

let server: Server;
const folder = mkdtempSync(join(tmpdir(), "zorbek-words-"));
beforeAll(async () => {
  server = await Server.start();
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

interface Node {
  readonly nodeName: string;
  readonly value?: string;
  readonly childNodes?: readonly Node[];
  readonly attrs?: readonly { name: string; value: string }[];
}

/** What a page says to a reader: its text, and the words of labels and placeholders. */
function said(html: string): string[] {
  const words: string[] = [];
  const walk = (node: Node) => {
    if (["script", "style", "template", "head"].includes(node.nodeName)) return;
    if (node.nodeName === "#text" && node.value?.trim()) words.push(node.value.trim());
    for (const { name, value } of node.attrs ?? [])
      if ((name === "aria-label" || name === "placeholder" || name === "title") && value) words.push(value);
    for (const child of node.childNodes ?? []) walk(child);
  };
  walk(parse(html) as unknown as Node);
  return words;
}

const ids = () =>
  new Set(
    ["fault_id FROM job_fault", "id FROM part_type", "id FROM position", "id FROM operation", "id FROM model"].flatMap((what) =>
      server.list<string>(`SELECT DISTINCT ${what}`).filter((id) => /[a-z]-[a-z]/.test(id)),
    ),
  );

/** Words no technician should have to stop at, and what stands in their place. */
const offenders: readonly (readonly [RegExp, string])[] = [
  [/\b(Lies|Least|Counted|Came off|Came in)\b(?=$)/, "In stock, Minimum, Count, From reel, Receive"],
  [/\bSays the customer\b|\bIts life\b|\bTake it in\b|\bWhose, which reel\b/, "Customer reports, History, Check in"],
  [/\bIt is so\b|\bNot so\b|\bWill not come\b|\bnot fetched\b/i, "Yes, No, Stuck, not collected"],
  [/\bschools?\b of working|\bthe estimate\b/i, "way of working, quote"],
  [/\bGate:|\bgates?\b/, "check"],
  [/\bForesee\b|\bStrike \w+ at\b/, "Add to quote, Remove"],
  [/\bhands? (?:it )?back\b|\bhanded back\b/i, "return"],
  [/\b\d+\.\d+ bit\b/, "numbers that show off fold away"],
  [/\b1 (?:films|dabs|drops|parts|reels|steps|pieces|days|hours|minutes|checks|times|turns|places|seats|models)\b/, "a plural that agrees"],
  [/\b(?:[2-9]|\d\d+) (?:film|dab|drop|reel|step|piece|day|hour|seat|model)\b(?! )/, "a plural that agrees"],
  // More figures than anybody reads off: seven and above that count.
  [/(?<![\d.])(?:[1-9]\d{2,}\.\d{4,}|[1-9]\d?\.\d{6,}|0?\.0*[1-9]\d{6,})/, "a number rounded for reading"],
  [/\bundefined\b|\bNaN\b|\[object /, "words"],
];

/** What is wrong with a text, in words; nothing for a good one. */
function wrong(text: string, known: ReadonlySet<string>): string[] {
  const found = offenders.flatMap(([pattern, better]) => (pattern.test(text) ? [`“${text}” (${better})`] : []));
  const id = text.match(/\b[a-z]+(?:-[a-z0-9]+)+\b/g)?.find((word) => known.has(word) && !ordinary.has(word));
  return id ? [...found, `“${text}” shows the id ${id}`] : found;
}
/** Ids that are plain English as they stand. */
const ordinary = new Set(["side-play", "free-spool", "anti-reverse", "line-roller", "main-gear"]);

describe("every page and paper", () => {
  it.each(pages)("%s speaks plain workshop English", async (path) => {
    const known = ids();
    const response = await fetch(server.base + path);
    expect(response.ok).toBe(true);
    expect(said(await response.text()).flatMap((text) => wrong(text, known))).toEqual([]);
  });

  const papers = [
    ...["report.pdf", "short.pdf", "receipt.pdf", "label.pdf"].map((paper) => `/bench/Z-00008-4/${paper}`),
    ...["/bench/lot/1/report.pdf", "/bench/lot/1/labels.pdf", "/ledger/reel/2/history.pdf", "/library/skerry-30/plates.pdf"],
  ];
  it.each(papers)("%s does so on paper", async (path) => {
    const response = await fetch(server.base + path);
    expect(response.headers.get("content-type")).toBe("application/pdf");
    const file = join(folder, "paper.pdf");
    writeFileSync(file, Buffer.from(await response.arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    const known = ids();
    expect(
      text
        .split("\n")
        .flatMap((line) => line.split(/ {3,}/))
        .flatMap((line) => wrong(line.trim(), known)),
    ).toEqual([]);
  });
});
