"use client";
import { useState } from "react";
import { gearFromSound } from "@/core/listen/gear-sound";
import type { Recording } from "@/core/listen/recording";
import { spinFromSound } from "@/core/listen/spin-sound";
import type { Result } from "@/core/result";
import { Field } from "@/ui/controls/field";
import { TextField } from "@/ui/controls/text-field";
import { decodeSound, unreadableSound } from "./decode-sound";
import { typedNumber } from "./figures/typed";
import { ListenHere } from "./listen-here";

/**
 * A recording of this device's microphone or from a file, read in the browser; nothing is sent. @param does what the hands do while it listens.
 * @param read gives the words under it.
 */
function RecordingField({ label, does, read }: { label: string; does: string; read: (recording: Recording) => Result<string> }) {
  const [message, setMessage] = useState<string>();
  const [said, setSaid] = useState("");
  const take = (recording: Recording | null) => {
    setMessage(undefined);
    setSaid("");
    if (!recording) return setMessage(unreadableSound);
    const heard = read(recording);
    if (heard.ok) setSaid(heard.value);
    else setMessage(heard.message);
  };
  return (
    <>
      <Field label={label} error={message}>
        {(field) => (
          <input
            {...field}
            type="file"
            accept=".wav,audio/*"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) void decodeSound(file).then(take);
            }}
          />
        )}
      </Field>
      <ListenHere does={does} onRecording={take} />
      {said && <p role="status">{said}</p>}
    </>
  );
}

/** A recording of the spool's tick or of a marked flange: its clicks are the pulses. */
export function SoundField({ marksPerTurn, onTimes }: { marksPerTurn: number; onTimes: (times: string) => void }) {
  return (
    <RecordingField
      label="Or a recording of its clicks (WAV)"
      does="Spin it and let it run down until it stops."
      read={(recording) => {
        const heard = spinFromSound(recording, marksPerTurn);
        if (!heard.ok) return heard;
        const { pulses, fitted, heardShare } = heard.value;
        // A pulse that was missed stands as a gap: its number goes with its time.
        const gaps = fitted.places.at(-1) !== fitted.places.length - 1;
        onTimes(fitted.times.map((time, i) => `${time.toFixed(5)}${gaps ? `@${fitted.places[i]}` : ""}`).join(" "));
        const rest = `${pulses.missed ? `, ${pulses.missed} missed` : ""}${pulses.others ? `, ${pulses.others} other sounds left out` : ""}`;
        return { ok: true, value: `${pulses.times.length} clicks heard${rest}: ${Math.round(heardShare * 100)} %.` };
      }}
    />
  );
}

/** A recording of the handle being turned evenly: the chatter by orders of the handle says which tooth it is. */
export function GearSoundField({
  ratio,
  gearTeeth,
  onHeard,
}: {
  ratio: number;
  gearTeeth: number | null;
  onHeard: (words: string) => void;
}) {
  const [turns, setTurns] = useState("12");
  return (
    <div className="grid grid-cols-2 gap-3">
      <TextField label="Handle turns in the recording, counted" value={turns} onType={setTurns} />
      <div>
        <RecordingField
          label="A recording of it turning (WAV)"
          does="Turn the handle evenly and count the turns, still before and after."
          read={(recording) => {
            const heard = gearFromSound(recording, typedNumber(turns), ratio, gearTeeth);
            if (!heard.ok) {
              onHeard("");
              return heard;
            }
            const { lines, sure } = heard.value;
            onHeard(lines.map(({ order, says }) => `${Number(order.toFixed(2))} a turn of the handle: ${says}`).join("; "));
            return { ok: true, value: `${lines[0]!.says} (${sure}).` };
          }}
        />
      </div>
    </div>
  );
}
