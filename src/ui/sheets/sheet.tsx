import type { ReactNode } from "react";

interface SheetProps {
  readonly children: ReactNode;
  /** The edge where the next act lives; always along the bottom, where the thumb finds it. */
  readonly act?: ReactNode;
  readonly block?: ReactNode;
  readonly top?: ReactNode;
  readonly fill?: boolean;
  readonly className?: string;
}

/** White paper on the bench. `fill` takes the height of the window, so that the edge never moves. */
export function Sheet({ children, act, block, top, fill = false, className = "" }: SheetProps) {
  return (
    <section className={`sheet ${fill ? "min-h-[calc(100dvh-88px)]" : ""} ${className}`}>
      {top}
      {act && block && <div className="block-above">{block}</div>}
      <div className="min-h-0 flex-1 p-4">{children}</div>
      {(act || block) && (
        <div className={act ? "sheet-edge" : "sheet-edge sheet-edge-quiet"}>
          {act && <div className="flex min-w-0 flex-1 flex-wrap items-stretch gap-3 p-2 lg:flex-nowrap lg:gap-2">{act}</div>}
          {block}
        </div>
      )}
    </section>
  );
}

export interface BlockCell {
  readonly label: string;
  readonly value: ReactNode;
  readonly large?: boolean;
}

/** The corner block, as a drawing has its title block: tag, reel, station, whose move, promised day. */
export function CornerBlock({ cells }: { cells: readonly BlockCell[] }) {
  return (
    <div className="corner-block">
      {cells.map((cell) => (
        <div key={cell.label}>
          <span className="text-note">{cell.label}</span>
          <span className={cell.large ? "num whitespace-nowrap text-head font-medium" : "line-clamp-2 text-text font-semibold"}>
            {cell.value}
          </span>
        </div>
      ))}
    </div>
  );
}
