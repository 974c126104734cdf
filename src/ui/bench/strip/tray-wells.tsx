"use client";
import { memo, useDeferredValue, useEffect, useRef } from "react";
import type { Assembly, PartType, Position } from "@/core/anatomy/types";
import { layOut } from "@/core/teardown/lay-out";
import { wellVerdictWords } from "@/core/teardown/verdicts";
import type { Well } from "@/core/teardown/well";
import type { Choice } from "@/core/ways/ways";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly wells: readonly Well[];
  readonly positions: ReadonlyMap<string, Position>;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly assemblies: readonly Assembly[];
  readonly laying: Choice<"layingOut">;
  readonly shownId: string | null;
  readonly onShow: (positionId: string) => void;
}

const stateOf = (well: Well): string =>
  [
    well.renewed ? "new" : well.verdict === "ok" ? "" : well.dressed || wellVerdictWords[well.verdict],
    well.soakId !== null ? "in the bath" : well.cleanedAt !== null && !well.refitted ? "clean" : "",
    well.foundCount === 1 ? "" : `${well.foundCount} found here`,
  ]
    .filter(Boolean)
    .join(" · ");

/**
 * The drawn tray: each part in its well, in the orientation it lies, in the order this bench lays parts out. What came off in one act shares a
 * well. It follows a press by a moment, so that what comes next stands there at once.
 */
export function TrayWells(props: Props) {
  return <Wells {...props} wells={useDeferredValue(props.wells)} shownId={useDeferredValue(props.shownId)} />;
}

const Wells = memo(function Wells({ wells, positions, partTypes, assemblies, laying, shownId, onShow }: Props) {
  const tray = useRef<HTMLDivElement>(null);
  const filled = wells.length;
  useEffect(() => {
    // The newest well is the one the hand has just filled.
    if (tray.current && filled) tray.current.scrollTop = laying === "right" ? 0 : tray.current.scrollHeight;
  }, [filled, laying]);
  const rows = layOut(
    wells.map((well) => ({ ...well, assemblyId: positions.get(well.positionId)?.assemblyId ?? "" })),
    laying,
  );
  const together = new Map<number, number>();
  for (const { well } of wells) together.set(well, (together.get(well) ?? 0) + 1);
  const wellOf = new Map(wells.map((well) => [well.positionId, well]));
  return (
    <div ref={tray} className="mt-1 max-h-[max(212px,calc(100dvh-560px))] overflow-y-auto">
      {rows.map((row) => (
        <div key={row[0]?.positionId ?? "empty"}>
          {laying === "assembly" && row[0] && (
            <p className="text-note">{assemblies.find((assembly) => assembly.id === row[0]!.assemblyId)?.name}</p>
          )}
          <ol className="grid grid-cols-[repeat(auto-fill,minmax(96px,1fr))] border-t border-l border-ink">
            {row.map(({ positionId }) => {
              const well = wellOf.get(positionId)!;
              const position = positions.get(positionId);
              const type = position && partTypes[position.partTypeId];
              if (!position || !type) return null;
              const count = together.get(well.well) ?? 1;
              return (
                <DrawnWell
                  key={positionId}
                  well={well}
                  position={position}
                  type={type}
                  count={count}
                  shown={shownId === positionId}
                  onShow={onShow}
                />
              );
            })}
          </ol>
        </div>
      ))}
    </div>
  );
});

interface DrawnWellProps extends Pick<Props, "onShow"> {
  readonly well: Well;
  readonly position: Position;
  readonly type: PartType;
  /** Parts that share the well. */
  readonly count: number;
  readonly shown: boolean;
}

const DrawnWell = memo(function DrawnWell({ well, position, type, count, shown, onShow }: DrawnWellProps) {
  return (
    <li className="border-r border-b border-ink">
      <button
        type="button"
        className={`relative flex h-[104px] w-full flex-col items-center justify-between p-1 ${shown ? "outline-2 -outline-offset-2 outline-ink" : ""}`}
        aria-pressed={shown}
        onClick={() => onShow(well.positionId)}
      >
        <span className="num absolute top-0.5 left-1 text-note">{well.well}</span>
        <span className="absolute top-0.5 right-1 text-note">
          {[well.photoHash && "pic", count > 1 && `${well.place}/${count}`].filter(Boolean).join(" ")}
        </span>
        {well.refitted || well.verdict === "missing" ? (
          <span className="flex h-16 w-full items-center justify-center border border-dashed border-ink text-note">empty</span>
        ) : (
          <Glyph type={type} turned={position.turned} widthPx={84} heightPx={62} scale={2.4} />
        )}
        <span className="line-clamp-2 text-note leading-[14px] text-brass">
          {position.name}
          {stateOf(well) && ` · ${stateOf(well)}`}
        </span>
      </button>
    </li>
  );
});
