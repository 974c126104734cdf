"use client";
import Link from "next/link";
import { useGoOn, useQueueState } from "@/ui/act/queue-provider";
import { wayLink } from "@/ui/controls/way-link";

/** What became of presses that are not done: nobody answers yet, or the server refused one and those behind it with it. */
export function QueueLine() {
  const { pending, stopped, waiting } = useQueueState();
  const goOn = useGoOn();
  if (stopped) {
    const [refused, ...behind] = stopped.notDone;
    const out = stopped.way ? wayLink(stopped.way) : null;
    return (
      <div role="alert" className="alarm mb-3 whitespace-pre-line text-text">
        <p>
          <strong>Not done: {refused?.words}.</strong> {stopped.message}
          {out && (
            <Link className="act-link ml-2" href={out.href}>
              {out.words}
            </Link>
          )}
        </p>
        {behind.length > 0 && <p>Not done either: {behind.map(({ words }) => words).join("; ")}.</p>}
        <button type="button" className="act-link min-h-10" onClick={goOn}>
          Go on
        </button>
      </div>
    );
  }
  if (!waiting) return null;
  return (
    <p role="status" className="alarm mb-3 text-text">
      The bench computer does not answer. {pending.length === 1 ? "1 press is" : `${pending.length} presses are`} kept here and sent as soon
      as it does; go on working.
    </p>
  );
}
