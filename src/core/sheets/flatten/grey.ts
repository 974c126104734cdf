/** A page in grey, row by row: 0 is black, 255 white. */
export interface GreyPage {
  readonly data: Uint8Array | Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A page no larger than this along its longer edge, each px the mean of those it stands for. */
export function reduced(page: GreyPage, edgePx: number): GreyPage {
  const times = Math.ceil(Math.max(page.width, page.height) / edgePx);
  if (times <= 1) return page;
  const [width, height] = [Math.floor(page.width / times), Math.floor(page.height / times)];
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let dy = 0; dy < times; dy++) {
        const row = (y * times + dy) * page.width + x * times;
        for (let dx = 0; dx < times; dx++) sum += page.data[row + dx]!;
      }
      data[y * width + x] = sum / (times * times);
    }
  return { data, width, height };
}

/** The grey at a place between px, from the four around it; beyond the edge the edge goes on. */
export function greyAt({ data, width, height }: GreyPage, x: number, y: number): number {
  const [cx, cy] = [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))];
  const [left, top] = [Math.floor(cx), Math.floor(cy)];
  const [right, bottom] = [Math.min(width - 1, left + 1), Math.min(height - 1, top + 1)];
  const [fx, fy] = [cx - left, cy - top];
  const above = data[top * width + left]! * (1 - fx) + data[top * width + right]! * fx;
  const below = data[bottom * width + left]! * (1 - fx) + data[bottom * width + right]! * fx;
  return above * (1 - fy) + below * fy;
}
