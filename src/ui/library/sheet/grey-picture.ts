import type { GreyPage } from "@/core/sheets/flatten/grey";
import type { Corners } from "@/core/sheets/flatten/homography";
import { pageCorners } from "@/core/sheets/flatten/page-corners";

/** A picture is taken no larger than this, px along its longer edge: more shows no more letters. */
const mostPx = 4200;

/** The corners of a page that was photographed on a bench, as shares of the picture; null where the picture is the page. */
export const frameOf = async (picture: Blob): Promise<Corners | null> => pageCorners(await greyOf(picture, 1280));

/** A picture in grey, as the camera held it (its turn in the file is heeded). @throws Error for a file that is no picture. */
export async function greyOf(picture: Blob, edgePx = mostPx): Promise<GreyPage> {
  const image = await createImageBitmap(picture);
  const times = Math.min(1, edgePx / Math.max(image.width, image.height));
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [Math.round(image.width * times), Math.round(image.height * times)];
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  // What lets through is paper.
  context.fillStyle = "#fff";
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.filter = "grayscale(1)";
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  const { data: rgba, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++) data[i] = rgba[4 * i]!;
  return { data, width, height };
}

/** A grey page as a picture that can be read, shown and sent. */
export function pictureOf({ data, width, height }: GreyPage): HTMLCanvasElement {
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext("2d")!;
  const image = context.createImageData(width, height);
  for (let i = 0; i < data.length; i++) {
    image.data[4 * i] = image.data[4 * i + 1] = image.data[4 * i + 2] = data[i]!;
    image.data[4 * i + 3] = 255;
  }
  context.putImageData(image, 0, 0);
  return canvas;
}

/** A grey page as a file, no larger than a page is kept. */
export function fileOf(page: GreyPage, name: string): Promise<File> {
  return new Promise((settle, refuse) =>
    pictureOf(page).toBlob(
      (blob) => (blob ? settle(new File([blob], name, { type: "image/png" })) : refuse(new Error("the page could not be drawn"))),
      "image/png",
    ),
  );
}
