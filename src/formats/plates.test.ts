import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { familyIds } from "@/core/vocabulary/families";
import { plateSvg } from "./plate-svg";
import { platesPdf } from "./plates-pdf";

const model = (id: (typeof familyIds)[number]) => {
  const { anatomy, parts } = families[id];
  const types = new Map(parts.map((part) => [part.id, part]));
  return { anatomy, types, plates: [overviewPlate(anatomy, types), ...modelPlates(anatomy, types)] };
};

describe("a plate as SVG", () => {
  it.each(familyIds)("is drawn by an independent renderer, for every plate of %s", async (id) => {
    for (const plate of model(id).plates) {
      const svg = plateSvg(plate, (part) => part);
      const { data, info } = await sharp(Buffer.from(svg))
        .flatten({ background: "#ffffff" })
        .greyscale()
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect(info.width, plate.name).toBeGreaterThan(20);
      const dark = data.reduce((count, value) => count + (value < 128 ? 1 : 0), 0);
      expect(dark, `${plate.name} has ink on it`).toBeGreaterThan(50);
    }
  });

  it("holds no script, style or reference, and escapes what people write", () => {
    const svg = plateSvg(model("star-drag-bridge").plates[1]!, () => '<script>"&');
    expect(svg).not.toMatch(/<script|<style|href=|url\(/i);
    expect(svg).toContain("&lt;script&gt;&quot;&amp;");
  });

  it("is to scale: one unit is one millimetre, so the gear's tip circle is module × (teeth + 2) high (ISO 53)", () => {
    const plate = model("star-drag-bridge").plates.find((candidate) => candidate.id === "stack")!;
    const gear = plate.callouts.find((callout) => callout.partTypeId === "main-gear")!;
    const box = /viewBox="([^"]+)" width="([\d.]+)mm"/.exec(plateSvg(plate, (id) => id))!;
    expect(Number(box[1]!.split(" ")[2])).toBe(Number(box[2]));
    expect(gear.glyph.up + gear.glyph.down).toBeCloseTo(0.8 * (51 + 2), 6);
  });
});

describe("the plates as PDF", () => {
  // Read by poppler's pdftotext and pdfinfo (Debian poppler-utils).
  it("has a page a plate, each with its parts by number", async () => {
    const { plates, types } = model("lever-drag");
    const folder = mkdtempSync(join(tmpdir(), "zorbek-plates-"));
    try {
      const file = join(folder, "plates.pdf");
      writeFileSync(file, await platesPdf({ title: "Maker Reel", version: 3 }, plates, types));
      expect(execFileSync("pdfinfo", [file], { encoding: "utf8" })).toMatch(new RegExp(`Pages:\\s+${plates.length}`));
      const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
      expect(text).toContain("Maker Reel: Spool and drag");
      expect(text).toContain(`version 3, plate 2 of ${plates.length}`);
      for (const part of types.values()) expect(text, part.name).toContain(part.number);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
