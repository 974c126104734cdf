"use client";
import Link from "next/link";
import { useEffect, useRef, useState } from "react";

interface Bath {
  readonly id: number;
  readonly name: string;
  readonly dueMs: number;
  readonly tags: readonly { readonly tag: string; readonly parts: number }[];
}

/** A reel that has every piece it waited for. */
interface Here {
  readonly tag: string;
  readonly pieces: number;
}
/** So many are named; the rest is counted. */
const namedHere = 4;

const askEveryMs = 15_000;

/** Three short tones; silent where the browser allows no sound before the first touch, and then the line alone tells it. */
function ring(): void {
  try {
    const audio = new AudioContext();
    for (const [at, hertz] of [
      [0, 880],
      [0.25, 880],
      [0.5, 1175],
    ] as const) {
      const tone = audio.createOscillator();
      const level = audio.createGain();
      level.gain.setValueAtTime(0.2, audio.currentTime + at);
      level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.2);
      tone.frequency.value = hertz;
      tone.connect(level).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.2);
    }
  } catch {
    // No sound here.
  }
}

/**
 * A bath that is up rings on whatever page is open, and stays in a line under the rooms until its parts are counted back; so does a reel whose
 * last missing piece came in today.
 */
export function SoakBell() {
  const [baths, setBaths] = useState<readonly Bath[]>([]);
  const [here, setHere] = useState<readonly Here[]>([]);
  const [, setTick] = useState(0);
  /** How far this device's clock stands from the server's. */
  const offsetMs = useRef(0);
  const rung = useRef(new Set<number>());
  const rungFor = useRef(new Set<string>());
  useEffect(() => {
    let over = false;
    const ask = async () => {
      const answer = await fetch("/api/soaks").catch(() => null);
      if (!answer?.ok || over) return;
      const bell = (await answer.json()) as { now: number; soaks: Bath[]; here: Here[] };
      offsetMs.current = bell.now - Date.now();
      setBaths(bell.soaks);
      setHere(bell.here);
    };
    void ask();
    const asking = setInterval(ask, askEveryMs);
    // A press on the page may have begun or emptied a bath.
    const onBath = () => void ask();
    window.addEventListener("zorbek-bath", onBath);
    const ticking = setInterval(() => setTick((n) => n + 1), 1000);
    return () => {
      over = true;
      clearInterval(asking);
      clearInterval(ticking);
      window.removeEventListener("zorbek-bath", onBath);
    };
  }, []);
  const due = baths.filter(({ dueMs }) => dueMs <= Date.now() + offsetMs.current);
  const newlyDue = due.filter(({ id }) => !rung.current.has(id)).map(({ id }) => id);
  const newlyHere = here.filter(({ tag }) => !rungFor.current.has(tag)).map(({ tag }) => tag);
  const key = newlyDue.join(" ");
  const hereKey = newlyHere.join(" ");
  useEffect(() => {
    if (!key) return;
    for (const id of key.split(" ")) rung.current.add(Number(id));
    ring();
  }, [key]);
  const asked = useRef(false);
  useEffect(() => {
    if (!hereKey) return;
    for (const tag of hereKey.split(" ")) rungFor.current.add(tag);
    // What came before this page was opened is told in its line, without a sound.
    if (asked.current) ring();
    asked.current = true;
  }, [hereKey]);
  if (!due.length && !here.length) return null;
  return (
    <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-sheet px-4 py-2">
      {due.map((bath) => (
        <p key={bath.id}>
          <strong>Bath finished: take it out.</strong> {bath.name}:{" "}
          {bath.tags.map(({ tag, parts }) => (
            <Link key={tag} href={`/bench/${tag}/clean`} className="act-link mr-3 inline-flex min-h-10 items-center">
              {tag}, {parts} part{parts === 1 ? "" : "s"}
            </Link>
          ))}
        </p>
      ))}
      {here.length > 0 && (
        <p>
          <strong>All pieces are here.</strong>{" "}
          {here.slice(0, namedHere).map(({ tag, pieces }) => (
            <Link key={tag} href={`/bench/${tag}/parts`} className="act-link mr-3 inline-flex min-h-10 items-center">
              {tag}, {pieces} {pieces === 1 ? "piece" : "pieces"}
            </Link>
          ))}
          {here.length > namedHere && `and ${here.length - namedHere} more`}
        </p>
      )}
    </div>
  );
}
