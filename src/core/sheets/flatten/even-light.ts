import { type GreyPage, greyAt } from "./grey";

/** A block whose paper is looked for, as a share of the page's longer edge: larger than a letter, smaller than a shadow. */
const blockShare = 1 / 40;

/**
 * A page as if it lay in even light: its paper white everywhere, ink as dark against it as it is there. What is lighter than nine tenths of a block is
 * taken for its paper; a block all ink (a filled shape) takes that of its neighbours.
 */
export function evenLight(page: GreyPage): GreyPage {
  const { data, width, height } = page;
  const side = Math.max(8, Math.round(Math.max(width, height) * blockShare));
  const [across, down] = [Math.ceil(width / side), Math.ceil(height / side)];
  const paper = new Uint8Array(across * down);
  const times = new Uint32Array(256);
  for (let by = 0; by < down; by++)
    for (let bx = 0; bx < across; bx++) {
      times.fill(0);
      const [right, bottom] = [Math.min(width, (bx + 1) * side), Math.min(height, (by + 1) * side)];
      let all = 0;
      for (let y = by * side; y < bottom; y += 2)
        for (let x = bx * side; x < right; x += 2) {
          times[data[y * width + x]!]!++;
          all++;
        }
      let above = 0;
      let grey = 255;
      while (grey > 0 && above + times[grey]! < all / 10) above += times[grey--]!;
      paper[by * across + bx] = grey;
    }
  // A block far darker than all round it is ink, not shade.
  const whole: GreyPage = { data: paper, width: across, height: down };
  const around = paper.map((own, i) => {
    const [bx, by] = [i % across, Math.floor(i / across)];
    let lightest = 0;
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) {
        const [x, y] = [bx + dx, by + dy];
        if (x >= 0 && y >= 0 && x < across && y < down) lightest = Math.max(lightest, paper[y * across + x]!);
      }
    return own < 0.6 * lightest ? lightest : own;
  });
  const shade = { ...whole, data: around };
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const white = Math.max(16, greyAt(shade, (x + 0.5) / side - 0.5, (y + 0.5) / side - 0.5));
      out[y * width + x] = Math.min(255, (255 * data[y * width + x]!) / white);
    }
  return { data: out, width, height };
}
