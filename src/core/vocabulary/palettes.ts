/** How bright the pages are: as the device has it, or one of the two always. */
export const palettes = ["device", "light", "dim"] as const;
export type Palette = (typeof palettes)[number];
export const paletteOf = (text: string | undefined): Palette => palettes.find((one) => one === text) ?? "device";
