import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { orderText, sumOfOrder } from "@/core/ordering/order-paper";
import { orderCsv } from "./order-csv";
import { orderPdf } from "./order-pdf";

const paper = {
  id: 12,
  supplier: "Quayside Spares",
  placedOn: "2026-03-02",
  expectedOn: "2026-03-08",
  lines: [
    { number: "SK-104", name: "Washer, large", packs: 3, pack: 10, priceMinor: 250 },
    { number: "=1+1", name: 'Screw "long"', packs: 1, pack: 1, priceMinor: 90 },
  ],
};

describe("an order's papers", () => {
  it("are a table that another program reads, with nothing a spreadsheet would run", () => {
    // Python's own reader of RFC 4180 tables.
    const read = execFileSync("python3", ["-c", "import csv,json,sys; print(json.dumps(list(csv.reader(sys.stdin))))"], {
      input: orderCsv(paper),
      encoding: "utf8",
    });
    const rows = JSON.parse(read) as string[][];
    expect(rows[1]).toEqual(["12", "2026-03-02", "SK-104", "Washer, large", "3", "10", "2.50"]);
    expect(rows[2]![3]).toBe('Screw "long"');
    expect(rows[2]![2]).toBe("'=1+1");
  });

  it("are a sheet of paper with every line and the sum", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zorbek-order-"));
    try {
      const path = join(folder, "order.pdf");
      writeFileSync(path, await orderPdf("The bench", "3 Rope Walk, Saltmere", "EUR", paper));
      const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
      expect(text).toMatch(/3 x SK-104 +Washer, large \(pack of 10\) +7\.50/);
      expect(text).toMatch(/Together, post apart +8\.40/);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
    expect(sumOfOrder(paper)).toBe(840);
    expect(orderText("The bench", paper)).toContain("3 x SK-104  Washer, large (pack of 10), 2.50 each");
  });
});
