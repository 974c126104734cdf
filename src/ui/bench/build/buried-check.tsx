import type { PartType, Position } from "@/core/anatomy/types";
import type { BeforeBuried } from "@/core/teardown/before-buried";
import { closeOverReasons } from "@/core/vocabulary/build-reasons";
import { ReasonChoice } from "@/ui/controls/reason-choice";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly buries: BeforeBuried;
  readonly positions: ReadonlyMap<string, Position>;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly reason: string;
  readonly error: string | undefined;
  readonly onReason: (reason: string) => void;
}

/** The last look at a stack before it is covered: drawn in its order from the base up, counted, with what is wrong and what is doubtful. */
export function BuriedCheck({ buries, positions, partTypes, reason, error, onReason }: Props) {
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Before it is covered">
      <h3>
        Check these once more before they are covered: <span className="num">{buries.rows.length}</span> from the base up
        {buries.gaps && (
          <>
            , slipping in <span className="num">{buries.gaps.now}</span> place{buries.gaps.now === 1 ? "" : "s"}
          </>
        )}
      </h3>
      <ol className="flex flex-wrap gap-1">
        {buries.rows.map((row) => {
          const position = positions.get(row.positionId);
          const type = position && partTypes[position.partTypeId];
          return (
            <li key={row.positionId} className="w-24 text-center text-note leading-[14px]">
              {type && row.seated ? (
                <Glyph type={type} turned={position.turned} widthPx={88} heightPx={34} scale={2.2} />
              ) : (
                <span className="flex h-[34px] items-center justify-center border border-dashed border-ink">not in</span>
              )}
              {row.name}
              {row.lies && <span className="block">{row.lies}</span>}
            </li>
          );
        })}
      </ol>
      {buries.doubts.map((doubt) => (
        <p key={doubt} className="border-l-4 border-ink pl-2">
          {doubt}
        </p>
      ))}
      {buries.faults.length > 0 && (
        <div className="alarm mt-1">
          {buries.faults.map((fault) => (
            <p key={fault}>{fault}</p>
          ))}
          <ReasonChoice
            label="Fix it first, or note why you are closing it anyway (kept in the journal)"
            reasons={closeOverReasons}
            reason={reason}
            error={error}
            onReason={onReason}
          />
        </div>
      )}
    </section>
  );
}
