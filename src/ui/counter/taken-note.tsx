import Link from "next/link";

/** What became of a reel at the counter. */
export interface TakenIn {
  /** Null for a reel kept for its parts: it hangs nowhere. */
  readonly job: { readonly id: number; readonly tag: string } | null;
  readonly reelId: number;
  readonly declined: boolean;
}

/** What became of the reel that was just written down: hanging here, kept for its parts, or sent away. */
export function TakenNote({ taken, again }: { taken: TakenIn & { readonly name: string }; again: () => void }) {
  return (
    <p role="status" className="mb-3 border-2 border-ink p-2">
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
          for {taken.name}. {!taken.declined && "Tie on the tag and band the line. "}The page is clear for the next reel.{" "}
          {!taken.declined && (
            <button type="button" className="act-link" onClick={again}>
              Another reel of theirs
            </button>
          )}
        </>
      )}
    </p>
  );
}
