import type { PartShape } from "@/core/anatomy/shapes";

const number = String.raw`(\d{1,3}(?:[.,]\d{1,2})?)`;
const by = String.raw`\s*[x×*]\s*`;
const three = new RegExp(`${number}${by}${number}${by}${number}`, "i");
const two = new RegExp(`${number}${by}${number}`, "i");
const mm = (text: string | undefined) => Number((text ?? "").replace(",", "."));

/** A shape with the size that stands in a part's words, such as 5×11×4 or M2.6×6; null where none stands there that its kind could have. */
export function shapeFromSize(usual: PartShape, words: string): PartShape | null {
  const of3 = three.exec(words)?.slice(1).map(mm);
  const of2 = two.exec(words)?.slice(1).map(mm);
  switch (usual.kind) {
    case "bearing": {
      if (!of3) return null;
      // Bore, outside and width are written in any order of bore and outside; the outside is the larger.
      const [a, b, widthMm] = of3 as [number, number, number];
      const [boreMm, outsideMm] = [Math.min(a, b), Math.max(a, b)];
      return boreMm > 0 && outsideMm > boreMm && widthMm > 0 ? { ...usual, boreMm, outsideMm, widthMm } : null;
    }
    case "screw": {
      if (!of2) return null;
      const [threadMm, lengthMm] = of2 as [number, number];
      return threadMm > 0 && threadMm <= 12 && lengthMm > 0
        ? { ...usual, threadMm, lengthMm, threadedMm: lengthMm, headMm: threadMm * 1.9, headHeightMm: threadMm * 0.6 }
        : null;
    }
    case "washer":
    case "friction-washer": {
      if (!of3) return null;
      const [a, b, thicknessMm] = of3 as [number, number, number];
      const [insideMm, outsideMm] = [Math.min(a, b), Math.max(a, b)];
      return insideMm > 0 && outsideMm > insideMm && thicknessMm > 0 ? { ...usual, outsideMm, insideMm, thicknessMm } : null;
    }
    case "o-ring": {
      if (!of2) return null;
      const [outsideMm, sectionMm] = of2 as [number, number];
      return outsideMm > sectionMm && sectionMm > 0 ? { ...usual, outsideMm, sectionMm } : null;
    }
    case "pin": {
      if (!of2) return null;
      const [diameterMm, lengthMm] = of2 as [number, number];
      return diameterMm > 0 && lengthMm > 0 ? { ...usual, diameterMm, lengthMm } : null;
    }
    default:
      return null;
  }
}
