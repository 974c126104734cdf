/**
 * Moves wanted places as little as possible (least squares) so that neighbours keep at least `gap` between them and the order stays.
 * Method: with y_i = x_i − i·gap the spacing becomes "not falling", which is isotonic regression; pool adjacent violators (Ayer et al.
 * 1955) solves it exactly in one pass.
 * @param wanted places in their order; @returns places in the same order, each at least `gap` after the last.
 */
export function spaceOut(wanted: readonly number[], gap: number): number[] {
  const blocks: { sum: number; count: number }[] = [];
  wanted.forEach((x, i) => {
    blocks.push({ sum: x - i * gap, count: 1 });
    while (blocks.length > 1) {
      const last = blocks[blocks.length - 1]!;
      const before = blocks[blocks.length - 2]!;
      if (before.sum / before.count <= last.sum / last.count) break;
      blocks.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count });
    }
  });
  const spaced: number[] = [];
  for (const block of blocks) for (let k = 0; k < block.count; k++) spaced.push(block.sum / block.count + spaced.length * gap);
  return spaced;
}
