import { describe, expect, it } from "vitest";
import { type KitPart, pieceLines } from "./kit-lines";

const piece = (positionId: string, priceMinor: number, kit: string | null = null): KitPart => ({
  positionId,
  words: positionId,
  priceMinor,
  kit: kit === null ? null : { id: kit, name: `Kit ${kit}` },
});

describe("the new pieces of a quote as lines", () => {
  it("are one line for a kit, with its sum, where its first piece stands", () => {
    const lines = pieceLines([piece("gear", 900), piece("washer-a", 200, "carbon"), piece("spring", 50), piece("washer-b", 300, "carbon")]);
    expect(lines.map(({ words, priceMinor, kitId }) => [words, priceMinor, kitId])).toEqual([
      ["gear", 900, null],
      ["Kit carbon, 2 parts", 500, "carbon"],
      ["spring", 50, null],
    ]);
    expect(lines[1]!.positionIds).toEqual(["washer-a", "washer-b"]);
  });

  it("keep the sum whatever is in a kit, and call the last piece of one by its own name", () => {
    const parts = [piece("a", 1, "x"), piece("b", 2, "y"), piece("c", 4, "x"), piece("d", 8)];
    expect(pieceLines(parts).reduce((sum, { priceMinor }) => sum + priceMinor, 0)).toBe(15);
    expect(pieceLines([piece("b", 2, "y")])[0]).toMatchObject({ words: "b", kitId: null });
  });
});
