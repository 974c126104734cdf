"use client";
import { memo, useDeferredValue, useMemo } from "react";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { cutaway } from "@/core/schematic/cutaway";
import { wholeReel } from "@/core/schematic/whole-reel";
import { CutawayView } from "./cutaway-view";
import { GlyphLines } from "./glyph";

interface Props {
  readonly anatomy: Anatomy;
  readonly partTypes: ReadonlyMap<string, PartType>;
  /** Seats that are filled now. */
  readonly seated: ReadonlySet<string>;
  /** The assembly under the hand; null where none is. */
  readonly assemblyId: string | null;
  /** The part that goes in or comes off now. */
  readonly nextId: string | null;
  /** What the drawing shows of it: "as it should look now". */
  readonly words: string;
  /** The joint as it was photographed. */
  readonly photoHash?: string | null;
}

/**
 * The reel as it stands at this moment, at Strip and at Build: the whole of it, what is in it full and what is out pale, and beside it, large, the
 * assembly under the hand with the part that moves now over its seat. It follows a press by a moment.
 */
export function ReelDrawing(props: Props) {
  return (
    <Drawing
      {...props}
      seated={useDeferredValue(props.seated)}
      assemblyId={useDeferredValue(props.assemblyId)}
      nextId={useDeferredValue(props.nextId)}
    />
  );
}

const Drawing = memo(function Drawing({ anatomy, partTypes, seated, assemblyId, nextId, words, photoHash = null }: Props) {
  const reel = useMemo(() => wholeReel(anatomy, partTypes), [anatomy, partTypes]);
  const name = anatomy.assemblies.find(({ id }) => id === assemblyId)?.name;
  const view = useMemo(
    () => (assemblyId === null ? null : cutaway(anatomy, partTypes, assemblyId, seated, nextId)),
    [anatomy, partTypes, assemblyId, seated, nextId],
  );
  const { viewBox: box } = reel;
  return (
    <div className="flex h-[210px] border border-ink lg:h-[clamp(170px,calc(100dvh-530px),360px)]">
      {reel.assemblies.length > 1 && (
        <svg
          viewBox={`${box.x} ${box.y} ${box.width} ${box.height + 6}`}
          className={view ? "hidden h-full w-[36%] shrink-0 border-r border-ink p-2 lg:block" : "h-full w-full p-2"}
          role="img"
          aria-label={`The whole reel, ${words}`}
        >
          <line x1={box.x} x2={box.x + box.width} y1={0} y2={0} className="ln-axis" />
          {reel.assemblies.map((assembly) => (
            <g key={assembly.assemblyId}>
              {assembly.parts.map((part) => (
                <g
                  key={part.positionId}
                  transform={`translate(${part.x} ${part.y})`}
                  className={seated.has(part.positionId) ? "ln-fine" : "ln-fine ln-out"}
                >
                  <GlyphLines paths={part.glyph.paths} />
                </g>
              ))}
              {assembly.assemblyId === assemblyId && (
                <path d={`M${assembly.from} ${box.y + box.height + 2}v2H${assembly.to}v-2`} className="ln-outline fl-none" />
              )}
            </g>
          ))}
        </svg>
      )}
      {view && name && (
        <div className="relative flex min-w-0 flex-1 flex-col">
          <p className="shrink-0 px-2 text-note">
            {name}, {words}
          </p>
          <div className="min-h-0 flex-1">
            <CutawayView drawing={view} title={`${name} ${words}${view.next ? `, ${view.next.name} over its seat` : ""}`} />
          </div>
          {photoHash && (
            // biome-ignore lint/performance/noImgElement: a private picture of this server, sized at upload
            <img
              src={`/api/photos/${photoHash}`}
              alt="The joint as it was opened"
              className="absolute top-0 right-0 h-full max-w-[48%] border-l border-ink bg-sheet object-contain"
            />
          )}
        </div>
      )}
    </div>
  );
});
