"use client";
import { useState } from "react";
import { spinFromSound } from "@/core/listen/spin-sound";
import { Field } from "@/ui/controls/field";

/** A recording of the spool's tick or of a marked flange: its clicks are the pulses. Decoded and read in the browser; nothing is sent. */
export function SoundField({ marksPerTurn, onTimes }: { marksPerTurn: number; onTimes: (times: string) => void }) {
  const [message, setMessage] = useState<string>();
  const [said, setSaid] = useState("");
  const read = async (file: File) => {
    setMessage(undefined);
    setSaid("");
    const audio = new AudioContext();
    try {
      const sound = await audio.decodeAudioData(await file.arrayBuffer());
      const heard = spinFromSound({ sound: sound.getChannelData(0), rate: sound.sampleRate }, marksPerTurn);
      if (!heard.ok) return setMessage(heard.message);
      const { pulses, heardShare } = heard.value;
      // A pulse that was missed stands as a gap: its number goes with its time.
      onTimes(pulses.times.map((time, i) => `${time.toFixed(5)}${pulses.missed ? `@${pulses.places[i]}` : ""}`).join(" "));
      setSaid(
        `${pulses.times.length} clicks heard${pulses.missed ? `, ${pulses.missed} missed` : ""}${pulses.others ? `, ${pulses.others} other sounds left out` : ""}: ${Math.round(heardShare * 100)} in 100.`,
      );
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
