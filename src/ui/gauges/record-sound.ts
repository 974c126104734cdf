import type { Recording } from "@/core/listen/recording";

export interface Recorder {
  /** Loudest sample since it was asked last, 0 to 1. */
  readonly peak: () => number;
  /** Ends it. @returns what was heard. */
  readonly stop: () => Recording;
}

/**
 * Begins to keep what this device's microphone hears, as it is: nothing of what a browser does to a voice is done to it, and nothing is sent.
 * @throws DOMException where the microphone is not given.
 */
export async function recordSound(): Promise<Recorder> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });
  const audio = new AudioContext();
  const blocks: Float32Array[] = [];
  let loudest = 0;
  const end = () => {
    for (const track of stream.getTracks()) track.stop();
    void audio.close();
  };
  try {
    await audio.audioWorklet.addModule(new URL("./sound-keeper.js", import.meta.url));
    const keeper = new AudioWorkletNode(audio, "sound-keeper");
    keeper.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
      blocks.push(data);
      for (const x of data) loudest = Math.max(loudest, Math.abs(x));
    };
    audio.createMediaStreamSource(stream).connect(keeper);
    // Drawn through to the end, silent: a node that leads nowhere need not be run.
    keeper.connect(audio.destination);
    // Some browsers let no sound run before they are asked.
    await audio.resume();
  } catch (error) {
    end();
    throw error;
  }
  return {
    peak: () => {
      const was = loudest;
      loudest = 0;
      return was;
    },
    stop: () => {
      end();
      const sound = new Float32Array(blocks.reduce((sum, block) => sum + block.length, 0));
      let at = 0;
      for (const block of blocks) {
        sound.set(block, at);
        at += block.length;
      }
      return { sound, rate: audio.sampleRate };
    },
  };
}
