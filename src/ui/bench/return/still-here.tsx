import Link from "next/link";
import { useState } from "react";
import { leftOffReasons } from "@/core/vocabulary/build-reasons";
import { useAct } from "@/ui/act/use-act";
import { stationNames } from "@/ui/bench/stations-words";
import { ReasonChoice } from "@/ui/controls/reason-choice";
import type { LeftOff, ReturnProps } from "./return-props";
import { FaultLeaves, GoesAsItIs, WentAsItIs } from "./ways-out";

/** So many parts in the tray are told each by itself. */
const mostByThemselves = 3;

/** Where the page asks about a fault or a test. */
export const questionId = (about: string): string => `say ${about}`;

/** What keeps it here, each with its way out on the spot, and what it goes without by somebody's word. */
export function StillHere({ props }: { props: ReturnProps }) {
  const { head, blocks, together, asItIs } = props;
  // What came with it is ticked off in its own list.
  const open = blocks.filter(({ code }) => code !== "brought");
  const leftOver = blocks.flatMap(({ positionId }) => positionId ?? []);
  // A reel in pieces is one thing to say, not thirty.
  const inPieces = leftOver.length > mostByThemselves && !head.closed;
  const shown = inPieces ? open.filter(({ positionId }) => positionId === undefined) : open;
  return (
    <>
      {!head.closed && open.length > 0 && <h2>Still open</h2>}
      {inPieces && (
        <div className="alarm mt-2">
          {leftOver.length} parts are still in the tray. Fit them at Build, or leave them out with a reason.
          <Link className="act-link ml-2" href={`/bench/${head.tag}/build`}>
            Go to Build
          </Link>
          <details>
            <summary className="act-link min-h-10">Leave one of them out</summary>
            <ul>
              {open.flatMap(({ positionId, message }) =>
                positionId === undefined ? (
                  []
                ) : (
                  <li key={positionId}>
                    {message} <LeaveOut jobId={head.jobId} positionIds={[positionId]} />
                  </li>
                ),
              )}
            </ul>
          </details>
        </div>
      )}
      {!head.closed && !blocks.length && <p>{nothingOpen(props)}</p>}
      <LeftOffList
        words={head.closed ? "Returned without:" : "Will be returned without:"}
        of={together.out}
        way={head.closed ? null : { href: `/bench/${head.tag}/build`, words: "Fit it at Build" }}
      />
      <LeftOffList
        words="Not done:"
        of={together.undone}
        way={head.closed ? null : { href: `/bench/${head.tag}/build`, words: "Do it at Build" }}
      />
      {(shown.length > 0 || asItIs.length > 0) && (
        <ul className="mt-2 flex flex-col gap-2">
          {shown.map((block) => (
            <li
              key={block.message}
              id={questionId(block.fault?.id ?? block.test?.id ?? block.message)}
              tabIndex={block.fault || block.test ? -1 : undefined}
              className={block.code === "left-over" ? "alarm" : "border border-ink p-2"}
            >
              {block.message}
              {block.station && !head.closed && (
                <Link className="act-link ml-2" href={`/bench/${head.tag}/${block.station}`}>
                  Go to {stationNames[block.station]}
                </Link>
              )}
              {block.test && <GoesAsItIs jobId={head.jobId} testId={block.test.id} test={block.test.name} />}
              {block.fault && <FaultLeaves jobId={head.jobId} faultId={block.fault.id} fault={block.fault.name} />}
              {block.positionId && <LeaveOut jobId={head.jobId} positionIds={[block.positionId]} />}
            </li>
          ))}
          {asItIs.map((one) => (
            <WentAsItIs key={one.testId} jobId={head.jobId} closed={head.closed} {...one} />
          ))}
        </ul>
      )}
      {leftOver.length > 1 && !head.closed && (
        <LeaveOut jobId={head.jobId} positionIds={leftOver} words={`Leave all ${leftOver.length} out, with one reason`} />
      )}
    </>
  );
}

/** Said of a reel that nothing keeps here: only what acts bear out. */
function nothingOpen({ putRightMinor, together, brought }: ReturnProps): string {
  const ticked = brought.length > 0 && "Everything that came with it is ticked.";
  if (putRightMinor !== null) return ["Every test is answered.", ticked].filter(Boolean).join(" ");
  const { pieces, checks } = together;
  return ["Nothing is open.", pieces && backWords(pieces), checks && `${checks} ${checks === 1 ? "check" : "checks"} passed.`, ticked]
    .filter(Boolean)
    .join(" ");
}

const backWords = (pieces: number): string =>
  pieces === 1 ? "The one piece that came off is back." : `All ${pieces} pieces that came off are back.`;

/** What was left off at Build, with the word that let it go; nothing where nothing was. */
function LeftOffList({ words, of, way }: { words: string; of: readonly LeftOff[]; way: { href: string; words: string } | null }) {
  if (!of.length) return null;
  return (
    <div className="mt-2 border border-ink p-2">
      <p className="font-semibold">{words}</p>
      <ul>
        {of.map(({ id, name, why }) => (
          <li key={id}>
            {name}: {why}
            {way && (
              <Link className="act-link ml-2" href={way.href}>
                {way.words}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

interface LeaveOutProps {
  readonly jobId: number;
  readonly positionIds: readonly string[];
  readonly words?: string;
}

function LeaveOut({ jobId, positionIds, words = "Leave out, with a reason" }: LeaveOutProps) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState("");
  const act = useAct("leave-out");
  if (!open)
    return (
      <button type="button" className="act-link mt-1 block min-h-10" onClick={() => setOpen(true)}>
        {words}
      </button>
    );
  return (
    <form
      className="mt-2 flex flex-col gap-2 bg-sheet"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ jobId, positionIds, reason });
      }}
    >
      <ReasonChoice
        label="Why it is left out (printed in the report)"
        reasons={leftOffReasons}
        reason={reason}
        error={act.fields.reason ?? act.message ?? undefined}
        onReason={setReason}
      />
      <button type="submit" className="key key-small" disabled={act.busy}>
        Leave it out
      </button>
    </form>
  );
}
