import { sizeWords } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import type { Plate } from "@/core/schematic/assembly-plate";
import { drawGlyphPaths, ink, makePdf, pointsPerMm as mm, type Pdf } from "./pdf";

const left = 14 * mm;
const width = 269 * mm;
const plateHeight = 105 * mm;

/** A model's plates, one a page, A4 lying, each with its parts list below. */
export const platesPdf = (
  model: { title: string; version: number },
  plates: readonly Plate[],
  partTypes: ReadonlyMap<string, PartType>,
): Promise<Buffer> =>
  makePdf({ widthMm: 297, heightMm: 210, title: `Schematic ${model.title}` }, (doc) => {
    plates.forEach((plate, i) => {
      if (i) doc.addPage();
      doc
        .font("bold")
        .fontSize(16)
        .text(`${model.title}: ${plate.name}`, left, 10 * mm, { lineBreak: false });
      doc
        .font("sans")
        .fontSize(9)
        .text(`version ${model.version}, plate ${i + 1} of ${plates.length}`, left, 17 * mm, { lineBreak: false });
      drawPlate(doc, plate);
      listParts(doc, plate, partTypes);
    });
  });

function drawPlate(doc: Pdf, plate: Plate): void {
  const { viewBox: box } = plate;
  const scale = Math.min(width / box.width, plateHeight / box.height);
  const [x0, y0] = [left + (width - box.width * scale) / 2 - box.x * scale, 22 * mm - box.y * scale];
  const at = (x: number, y: number): [number, number] => [x0 + x * scale, y0 + y * scale];
  doc
    .save()
    .lineWidth(0.4)
    .dash(6, { space: 2 })
    .moveTo(...at(plate.axis.from, 0))
    .lineTo(...at(plate.axis.to, 0))
    .stroke(ink)
    .restore();
  for (const callout of plate.callouts) drawGlyphPaths(doc, callout.glyph.paths, ...at(callout.x, 0), scale);
  const [w, h] = [plate.labelWidth * scale, plate.labelHeight * scale];
  for (const callout of plate.callouts) {
    doc.lineWidth(0.4);
    callout.leader.forEach((point, i) => {
      if (i) doc.lineTo(...at(point[0], point[1]));
      else doc.moveTo(...at(point[0], point[1]));
    });
    doc.stroke(ink);
    const [x, y] = at(...callout.label);
    doc.rect(x - w / 2, y - h, w, h).fillAndStroke("#FFFFFF", ink);
    doc
      .fillColor(ink)
      .font("mono")
      .fontSize(h * 0.5)
      .text(String(callout.item), x - w / 2, y - h * 0.78, { width: w, align: "center", lineBreak: false });
  }
}

/** Three columns of item, number, name and size. */
function listParts(doc: Pdf, plate: Plate, partTypes: ReadonlyMap<string, PartType>): void {
  const rows = Math.ceil(plate.callouts.length / 3);
  plate.callouts.forEach((callout, i) => {
    const part = partTypes.get(callout.partTypeId);
    if (!part || plate.assemblyId === null) return;
    const x = left + Math.floor(i / rows) * (width / 3);
    const y = 134 * mm + (i % rows) * 5 * mm;
    const count = callout.positionIds.length > 1 ? ` ×${callout.positionIds.length}` : "";
    doc
      .font("mono")
      .fontSize(8)
      .text(String(callout.item), x, y, { width: 8 * mm, lineBreak: false });
    doc
      .font("mono")
      .fontSize(8)
      .text(part.number, x + 8 * mm, y, { width: 20 * mm, lineBreak: false });
    doc
      .font("sans")
      .fontSize(9)
      .text(`${part.name}${count}, ${sizeWords(part.shape)}`, x + 28 * mm, y - 1, {
        width: 60 * mm,
        height: 12,
        ellipsis: true,
        lineBreak: false,
      });
  });
}
