import Link from "next/link";
import { useState } from "react";
import type { TakenIn } from "@/core/acts/counter/intake";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

/** What became of the reel that was just written down: hanging here, kept for its parts, or sent away. */
export function TakenNote({
  taken,
  again,
  mine,
}: {
  taken: TakenIn & { readonly name: string };
  again: () => void;
  /** Tags that were given at this page. */
  mine: readonly string[];
}) {
  const [same, setSame] = useState<string | null>(null);
  const act = useAct("taken-in-twice", setSame);
  const twin = taken.twin && !mine.includes(taken.twin) ? taken.twin : null;
  if (same)
    return (
      <p role="status" className="mb-3 border-2 border-ink p-2">
        It is here as{" "}
        <Link className="act-link num" href={`/bench/${same}`}>
          {same}
        </Link>
        ; {taken.job?.tag} is closed.
      </p>
    );
  return (
    <div role="status" className="mb-3 border-2 border-ink p-2">
      {!taken.job ? (
        <>
          Kept for its parts.{" "}
          <Link className="act-link" href={`/ledger/reel/${taken.reelId}`}>
            Choose the parts worth keeping
          </Link>
        </>
      ) : (
        <>
          {taken.declined ? "Not accepted, recorded as " : "Checked in as "}
          <Link className="act-link num" href={taken.declined ? `/ledger/reel/${taken.reelId}` : `/bench/${taken.job.tag}`}>
            {taken.job.tag}
          </Link>{" "}
          for {taken.name}. {!taken.declined && "Tie the tag on and band the line. "}The form is ready for the next reel.{" "}
          {!taken.declined && (
            <button type="button" className="act-link" onClick={again}>
              Another reel of theirs
            </button>
          )}
        </>
      )}
      {twin && taken.job && (
        <div className="mt-1">
          <strong>
            A moment ago another of their reels of this model was checked in as{" "}
            <Link className="act-link num" href={`/bench/${twin}`}>
              {twin}
            </Link>
            , without a serial.
          </strong>{" "}
          <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ jobId: taken.job!.id })}>
            Same reel: close {taken.job.tag}
          </button>
          <Refused of={[act]} />
        </div>
      )}
    </div>
  );
}
