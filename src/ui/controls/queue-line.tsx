"use client";
import { useGoOn, useQueueState } from "@/ui/act/queue-provider";
import { LeadsTo } from "@/ui/controls/leads-to";

/** What became of presses that are not done: nobody answers yet, or the server refused one and those behind it with it. */
export function QueueLine() {
  const { pending, stopped, waiting, signedOut, notNow } = useQueueState();
  const goOn = useGoOn();
  const presses = pending.length === 1 ? "1 press is" : `${pending.length} presses are`;
  if (stopped) {
    const [refused, ...behind] = stopped.notDone;
    return (
      <div role="alert" className="alarm mb-3 whitespace-pre-line text-text">
        <p>
          <strong>Not done: {refused?.words}.</strong> {stopped.message}
          <LeadsTo way={stopped.way} code={stopped.code} />
        </p>
        {behind.length > 0 && <p>Not done either: {behind.map(({ words }) => words).join("; ")}.</p>}
        <button type="button" className="act-link min-h-10" onClick={goOn}>
          Go on
        </button>
      </div>
    );
  }
  if (signedOut)
    return (
      <p role="alert" className="alarm mb-3 text-text">
        You have been signed out. {presses} kept and sent once you are in.{" "}
        <a className="act-link" href={`/sign-in?then=${encodeURIComponent(window.location.pathname)}`}>
          Sign in
        </a>
      </p>
    );
  if (notNow)
    return (
      <p role="alert" className="alarm mb-3 text-text">
        {notNow} {presses} kept and sent again by itself.
      </p>
    );
  if (!waiting) return null;
  return (
    <p role="status" className="alarm mb-3 text-text">
      The bench computer does not answer. {presses} kept here and sent as soon as it does; go on working.
    </p>
  );
}
