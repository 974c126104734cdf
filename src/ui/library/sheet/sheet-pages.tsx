"use client";
import { useEffect, useState } from "react";
import { isOpen, type SheetRow } from "@/core/sheets/kept-sheet";

export interface PageShown {
  readonly page: number;
  readonly photoHash: string;
  readonly width: number;
  readonly height: number;
  readonly originalHash: string | null;
}
interface Props {
  readonly pages: readonly PageShown[];
  readonly rows: readonly SheetRow[];
  readonly here: number;
  readonly onPick: (row: number) => void;
}

/** The page of the row that is looked at, the row marked on it; its numerals can be pressed. */
export function SheetPages({ pages, rows, here, onPick }: Props) {
  const own = rows[here]?.page ?? 1;
  const [page, setPage] = useState(own);
  useEffect(() => setPage(own), [own]);
  const shown = pages.find((one) => one.page === page) ?? pages[0];
  if (!shown) return <p className="mt-2">No picture of its pages was saved; the rows are beside.</p>;
  const { width, height } = shown;
  const row = rows[here];
  return (
    <div className="mt-2">
      {pages.length > 1 && (
        <div className="flex flex-wrap gap-2">
          {pages.map((one) => (
            <button
              key={one.page}
              type="button"
              className="key key-small"
              aria-pressed={one.page === shown.page}
              onClick={() => setPage(one.page)}
            >
              Page {one.page}
            </button>
          ))}
        </div>
      )}
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="mt-2 max-h-[calc(100dvh-250px)] w-full border border-ink"
        role="group"
        aria-label={`Page ${shown.page} of the sheet`}
      >
        <image href={`/api/photos/${shown.photoHash}`} width={width} height={height} />
        {row?.box && row.page === shown.page && (
          <rect
            x={row.box.x * width - 6}
            y={row.box.y * height - 5}
            width={row.box.w * width + 12}
            height={row.box.h * height + 10}
            fill="none"
            className="ln-outline"
            strokeWidth={width / 400}
          />
        )}
        {rows.map(
          ({ mark, callout }, at) =>
            mark?.page === shown.page && (
              // biome-ignore lint/a11y/useSemanticElements: a key inside a drawing
              <g
                key={`${callout} ${mark.x} ${mark.y}`}
                role="button"
                tabIndex={0}
                aria-label={`Numeral ${callout}`}
                aria-pressed={at === here}
                className="cursor-pointer"
                onClick={() => onPick(at)}
                onKeyDown={(event) => event.key === "Enter" && onPick(at)}
              >
                <circle
                  cx={mark.x * width}
                  cy={mark.y * height}
                  r={width / (at === here ? 42 : 60)}
                  fill="transparent"
                  className={isOpen(rows[at]!) ? "ln-leader" : "ln-outline"}
                  strokeWidth={at === here ? width / 300 : width / 800}
                />
              </g>
            ),
        )}
      </svg>
      {shown.originalHash && (
        <a className="act-link inline-block min-h-11" href={`/api/photos/${shown.originalHash}`} target="_blank" rel="noreferrer">
          The photograph as it was taken
        </a>
      )}
    </div>
  );
}
