"use client";
import { useState } from "react";
import { onsetsOfSound } from "@/core/spin/onsets";
import { Field } from "@/ui/controls/field";

/** A recording of the spool's tick or of a marked flange: its clicks are the pulses. Decoded and read in the browser; nothing is sent. */
export function SoundField({ onTimes }: { onTimes: (times: string) => void }) {
  const [message, setMessage] = useState<string>();
  const [said, setSaid] = useState("");
  const read = async (file: File) => {
    setMessage(undefined);
    setSaid("");
    const audio = new AudioContext();
    try {
      const sound = await audio.decodeAudioData(await file.arrayBuffer());
      const onsets = onsetsOfSound(sound.getChannelData(0), sound.sampleRate);
      if (onsets.length < 8)
        return setMessage(`Only ${onsets.length} clicks stand out of this sound: hold the microphone closer, or mark the flange.`);
      onTimes(onsets.map((time) => time.toFixed(5)).join(" "));
      setSaid(`${onsets.length} clicks heard.`);
    } catch {
      setMessage("This sound cannot be read. Save it as an ordinary WAV and choose that.");
    } finally {
      await audio.close();
    }
  };
  return (
    <>
      <Field label="Or a recording of its clicks (WAV)" error={message}>
        {(field) => (
          <input
            {...field}
            type="file"
            accept=".wav,audio/*"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void read(file);
            }}
          />
        )}
      </Field>
      {said && <p role="status">{said}</p>}
    </>
  );
}
