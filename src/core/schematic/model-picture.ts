/** A printed schematic as a picture, with seats placed on it as shares of its width and height. */
export interface ModelPicture {
  readonly photoHash: string;
  readonly width: number;
  readonly height: number;
  readonly marks: readonly { readonly positionId: string; readonly x: number; readonly y: number }[];
}
