"use client";
import { useEffect, useRef, useState } from "react";
import type { Recording } from "@/core/listen/recording";
import { Key } from "@/ui/controls/keys";
import { type Recorder, recordSound } from "./record-sound";

/** A recording goes on no longer than this by itself, s. */
const mostS = 120;
const lookMs = 200;
/** What ends it. */
export const thatWasIt = "That was it";

/**
 * Listens with this device's own microphone until it is pressed again. @param does what the hands do meanwhile, said while it listens.
 * @param onRecording what was heard. @param onListening told how it is ended while it listens, and null when it does no more.
 */
export function ListenHere({
  does,
  onRecording,
  onListening,
}: {
  does: string;
  onRecording: (recording: Recording) => void;
  onListening?: (stop: (() => void) | null) => void;
}) {
  const recorder = useRef<Recorder | null>(null);
  const gone = useRef(false);
  const ended = useRef(() => {});
  const [state, setState] = useState<"still" | "asking" | "listening">("still");
  const [seconds, setSeconds] = useState(0);
  const [peak, setPeak] = useState(0);
  const [message, setMessage] = useState("");

  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
      recorder.current?.stop();
      recorder.current = null;
    };
  }, []);
  const stop = () => {
    const heard = recorder.current?.stop();
    recorder.current = null;
    setState("still");
    onListening?.(null);
    if (heard) onRecording(heard);
  };
  const start = async () => {
    setMessage("");
    if (!navigator.mediaDevices) return setMessage("This browser gives this page no microphone. Use a recording instead.");
    setState("asking");
    try {
      const given = await recordSound();
      if (gone.current) {
        given.stop();
        return;
      }
      recorder.current = given;
      setSeconds(0);
      setState("listening");
      onListening?.(() => ended.current());
    } catch {
      setState("still");
      setMessage("No microphone access. Allow the microphone for this page, or use a recording.");
    }
  };
  ended.current = stop;
  useEffect(() => {
    if (state !== "listening") return;
    const began = Date.now();
    const looking = setInterval(() => {
      const past = (Date.now() - began) / 1000;
      setSeconds(past);
      setPeak(recorder.current?.peak() ?? 0);
      if (past > mostS) ended.current();
    }, lookMs);
    return () => clearInterval(looking);
  }, [state]);

  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <Key className="key-small" busy={state === "asking"} onPress={state === "listening" ? stop : () => void start()}>
        {state === "listening" ? thatWasIt : "Listen with this device"}
      </Key>
      {state === "listening" && (
        <p className="min-w-40 flex-1">
          <span className="num whitespace-nowrap">{seconds.toFixed(0)} s</span>{" "}
          <span
            role="meter"
            aria-label="How loud it is"
            aria-valuemin={0}
            aria-valuemax={1}
            aria-valuenow={Math.min(1, peak)}
            className="inline-block h-3 w-20 border border-ink"
          >
            <span className="block h-full bg-ink" style={{ width: `${100 * Math.min(1, peak)}%` }} />
          </span>{" "}
          {does}
          {peak > 0.98 ? " Too close: the sound is distorted." : ""}
        </p>
      )}
      {message && <p role="alert">{message}</p>}
    </div>
  );
}
