import wavefile from "wavefile";
import type { Recording } from "@/core/listen/recording";

/** How a sample is written, by its format and bits (the formats of RIFF WAVE: 1 whole numbers, 3 floating point). */
const readers: Readonly<Record<string, (view: DataView, at: number) => number>> = {
  "1 8": (view, at) => (view.getUint8(at) - 128) / 128,
  "1 16": (view, at) => view.getInt16(at, true) / 32_768,
  "1 24": (view, at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 8_388_608,
  "1 32": (view, at) => view.getInt32(at, true) / 2_147_483_648,
  "3 32": (view, at) => view.getFloat32(at, true),
  "3 64": (view, at) => view.getFloat64(at, true),
};
/** The sample's own format stands further on. */
const extensible = 65_534;

/**
 * The sound of a WAV file, the first channel of several. @returns null where it is none, or compressed. Samples are read where they stand: through
 * the package's own conversion three minutes took half a minute.
 */
export function waveSound(bytes: Uint8Array): Recording | null {
  let file: InstanceType<typeof wavefile.WaveFile>;
  try {
    file = new wavefile.WaveFile(bytes);
  } catch {
    return null;
  }
  const {
    audioFormat,
    subformat,
    bitsPerSample,
    numChannels,
    sampleRate: rate,
  } = file.fmt as { audioFormat: number; subformat: number[]; bitsPerSample: number; numChannels: number; sampleRate: number };
  const read = readers[`${audioFormat === extensible ? subformat[0] : audioFormat} ${bitsPerSample}`];
  const { samples } = file.data as { samples: Uint8Array };
  if (!read || !(numChannels >= 1)) return null;
  const view = new DataView(samples.buffer, samples.byteOffset, samples.byteLength);
  const step = (numChannels * bitsPerSample) / 8;
  return { sound: Float64Array.from({ length: Math.floor(samples.byteLength / step) }, (_, i) => read(view, i * step)), rate };
}
