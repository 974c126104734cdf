/** How a file's letters were written down. */
export type Encoding = "UTF-8" | "UTF-16" | "Latin-1";

/**
 * A text file's letters, whatever program wrote it: by its mark where it has one, as UTF-16 where every other byte is nothing, as UTF-8 where
 * that holds, else as Latin-1 (with the signs Windows puts between, as the WHATWG Encoding Standard reads it). Marks at the beginning are dropped.
 */
export function readText(bytes: Uint8Array): { readonly text: string; readonly encoding: Encoding } {
  const [a, b] = bytes;
  const utf16 = (label: "utf-16le" | "utf-16be") => ({ text: new TextDecoder(label).decode(bytes), encoding: "UTF-16" as const });
  if (a === 0xff && b === 0xfe) return utf16("utf-16le");
  if (a === 0xfe && b === 0xff) return utf16("utf-16be");
  const some = bytes.subarray(0, 2000);
  const nothingAt = (from: number) => some.filter((byte, i) => i % 2 === from && byte === 0).length / Math.max(1, some.length / 2);
  if (bytes.length > 3 && nothingAt(1) > 0.4 && nothingAt(0) < 0.1) return utf16("utf-16le");
  if (bytes.length > 3 && nothingAt(0) > 0.4 && nothingAt(1) < 0.1) return utf16("utf-16be");
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), encoding: "UTF-8" };
  } catch {
    return { text: new TextDecoder("windows-1252").decode(bytes), encoding: "Latin-1" };
  }
}
