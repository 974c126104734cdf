import type { Recording } from "@/core/listen/recording";

/** A sound file's first channel, decoded by the browser itself; null where it cannot be read. */
export async function decodeSound(file: File): Promise<Recording | null> {
  const audio = new AudioContext();
  try {
    const sound = await audio.decodeAudioData(await file.arrayBuffer());
    return { sound: sound.getChannelData(0), rate: sound.sampleRate };
  } catch {
    return null;
  } finally {
    await audio.close();
  }
}

export const unreadableSound = "This sound cannot be read. Save it as an ordinary WAV and choose that.";
