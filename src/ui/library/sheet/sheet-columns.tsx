"use client";
import { Dialog } from "radix-ui";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { keptRows } from "@/core/sheets/kept-sheet";
import { fieldOfHeader, plainHeader } from "@/core/sheets/list-fields";
import { readList } from "@/core/sheets/read-list";
import type { ListColumn, ListField, ListRow, UnreadColumn } from "@/core/sheets/sheet";
import { type OwnHeader, sheetWordsSchema, wordsOf } from "@/core/sheets/sheet-words";
import type { FamilyId } from "@/core/vocabulary/families";
import { useAct } from "@/ui/act/use-act";
import { MainKey } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { matchInWorker } from "./match-in-worker";
import type { PageShown } from "./sheet-pages";

type Column = ListColumn | UnreadColumn;
type Read = ReturnType<typeof wordsOf> & { readonly areas: ReturnType<typeof areasOf> };

/** Between which heights the list stands on each page, the line above it as well. */
const areasOf = (rows: readonly ListRow[]): ReadonlyMap<number, { readonly top: number; readonly bottom: number }> => {
  const areas = new Map<number, { top: number; bottom: number }>();
  for (const { page, boxes } of rows)
    for (const { y, h } of Object.values(boxes)) {
      const { top, bottom } = areas.get(page) ?? { top: y, bottom: y };
      areas.set(page, { top: Math.min(top, y - 4 * h), bottom: Math.max(bottom, y + 2 * h) });
    }
  return areas;
};

/** What a column can hold, in the words of the key that says so. */
const fieldNames: Readonly<Record<ListField, string>> = {
  callout: "number on the drawing",
  number: "part number",
  description: "description",
  quantity: "quantity",
  price: "price",
  remarks: "remarks",
};
/** An edge moves so far by an arrow key, as a share of the page's width. */
const step = 0.004;

interface Props {
  readonly sheet: { readonly sheetId: number; readonly seen: number };
  readonly family: FamilyId;
  readonly pages: readonly PageShown[];
  readonly headers: readonly OwnHeader[];
  /** Rows somebody has looked over: read again they are others. */
  readonly checked: number;
}

/** The columns of a sheet's list, to be named and their edges dragged where they were read wrong; the list is read again by them. */
export function SheetColumns({ sheet, family, pages, headers, checked }: Props) {
  const [read, setRead] = useState<Read | null>(null);
  const [columns, setColumns] = useState<readonly Column[]>([]);
  const [message, setMessage] = useState("");
  const [busy, setBusy] = useState(false);
  const known = new Map(headers.map(({ words, field }) => [words, field]));
  const saving = useAct("sheet-columns", () => setRead(null));

  const open = async () => {
    setMessage("");
    const answer = await fetch(`/api/sheets/${sheet.sheetId}/words`).catch(() => null);
    if (!answer) return setMessage("The shop's computer did not answer. Press again when it is back.");
    if (!answer.ok) return setMessage("This sheet was kept without its words, so its columns cannot be set. Bring the file in again.");
    const kept = wordsOf(sheetWordsSchema.parse(await answer.json()));
    const found = readList(kept.words, { headers: known });
    setColumns([...found.columns, ...found.others].sort((a, b) => a.page - b.page || a.from - b.from));
    setRead({ ...kept, areas: areasOf(found.rows) });
  };

  const readAgain = async () => {
    if (!read) return;
    const list = readList(read.words, { columns });
    if (list.rows.length < 2)
      return setMessage(
        "With these columns no rows are found. A list needs a column of descriptions or of part numbers, and one of numbers.",
      );
    setMessage("");
    setBusy(true);
    try {
      const found = await matchInWorker(
        list.rows.map(({ cells, quantity }) => ({ description: cells.description ?? "", quantity: quantity ?? undefined })),
        family,
      );
      // Only what was not known so is worth remembering.
      const named = list.columns.flatMap(({ header, field }) => {
        const words = plainHeader(header).slice(0, 60);
        return words && fieldOfHeader(words, known) !== field ? [{ words, field }] : [];
      });
      await saving.press({
        ...sheet,
        family,
        chosen: found.chosen,
        rows: keptRows(list, found, read.sizes),
        doubts: list.doubts.slice(0, 20),
        headers: [...new Map(named.map((one) => [one.words, one])).values()].slice(0, 24),
      });
    } catch (error) {
      setMessage(`The rows could not be matched: ${error instanceof Error ? error.message : String(error)}. Press again.`);
    } finally {
      setBusy(false);
    }
  };

  return (
    <>
      <button type="button" className="act-link min-h-11 self-start" onClick={() => void open()}>
        Columns read wrong? Set them
      </button>
      {!read && <Refused message={message} />}
      {read && (
        <Dialog.Root open onOpenChange={(stays) => !stays && setRead(null)}>
          <Dialog.Portal>
            <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
            <Dialog.Content
              className="sheet fixed top-2 left-1/2 z-20 flex max-h-[calc(100dvh-16px)] w-[min(1100px,97vw)] -translate-x-1/2 flex-col gap-3 overflow-auto p-4"
              aria-describedby={undefined}
            >
              <Dialog.Title>What stands in each column?</Dialog.Title>
              <p>
                Drag an edge where a column begins or ends elsewhere. What the columns are called is remembered for the next sheet.
                {checked > 0 && ` The ${checked} rows checked so far are asked again.`}
              </p>
              <ColumnsOnPages columns={columns} pages={pages} read={read} onChange={setColumns} />
              <Refused message={message} of={[saving]} />
              <div className="flex flex-wrap items-center gap-3">
                <MainKey words="Read the list again" busy={busy || saving.busy} onPress={() => void readAgain()}>
                  Read the list again
                </MainKey>
                <Dialog.Close className="act-link min-h-11">Cancel</Dialog.Close>
              </div>
            </Dialog.Content>
          </Dialog.Portal>
        </Dialog.Root>
      )}
    </>
  );
}

/** Each page that has a list, its columns over it, and what each is. */
function ColumnsOnPages({
  columns,
  pages,
  read,
  onChange,
}: {
  columns: readonly Column[];
  pages: readonly PageShown[];
  read: Read;
  onChange: (change: (now: readonly Column[]) => readonly Column[]) => void;
}) {
  const change = (at: number, to: Partial<Column>) =>
    onChange((now) => now.map((column, i) => (i === at ? ({ ...column, ...to } as Column) : column)));
  return [...new Set(columns.map(({ page }) => page))].map((page) => {
    const size = read.sizes[page];
    const of = columns.flatMap((column, at) => (column.page === page ? [{ column, at }] : []));
    if (!size) return null;
    return (
      <section key={page} aria-label={`Page ${page}`} className="flex flex-col gap-2">
        <Bands
          size={size}
          area={read.areas.get(page) ?? { top: 0, bottom: size.height }}
          photo={pages.find((one) => one.page === page) ?? null}
          of={of}
          onChange={change}
        />
        <ol className="grid gap-2 sm:grid-cols-3 lg:grid-cols-5">
          {of.map(({ column, at }, i) => (
            <li key={`${page} ${at}`}>
              <label className="flex flex-col">
                <span className="truncate">
                  <span className="num">{i + 1}</span> {column.header}
                </span>
                <select
                  aria-label={`Column ${i + 1}${column.header ? `, ${column.header}` : ""}`}
                  value={column.field ?? ""}
                  onChange={({ target: { value } }) => change(at, { field: (value || null) as ListField | null })}
                >
                  <option value="">not read</option>
                  {Object.entries(fieldNames).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
              </label>
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="act-link min-h-11 self-start"
          onClick={() =>
            onChange((now) => {
              // The widest is parted in the middle: there two columns were read as one.
              const own = now.filter((column) => column.page === page);
              const widest = own.reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a));
              const middle = (widest.from + widest.to) / 2;
              return now.flatMap((column) =>
                column === widest
                  ? [
                      { ...column, to: middle },
                      { ...column, from: middle, field: null, header: "" },
                    ]
                  : [column],
              );
            })
          }
        >
          Split the widest column in two
        </button>
      </section>
    );
  });
}

/** A page with bands over its columns; an edge is dragged, or moved by the arrow keys. */
function Bands({
  size: { width, height },
  area: { top, bottom },
  photo,
  of,
  onChange,
}: {
  size: { readonly width: number; readonly height: number };
  area: { readonly top: number; readonly bottom: number };
  photo: PageShown | null;
  of: readonly { readonly column: Column; readonly at: number }[];
  onChange: (at: number, to: Partial<Column>) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const move = (at: number, edge: "from" | "to", x: number) => {
    const { from, to } = of.find((one) => one.at === at)!.column;
    const least = step * width;
    onChange(at, edge === "from" ? { from: Math.min(x, to - least) } : { to: Math.max(x, from + least) });
  };
  const dragged = (at: number, edge: "from" | "to") => (event: PointerEvent<SVGGElement>) => {
    if (event.buttons === 0) return;
    const box = svg.current!.getBoundingClientRect();
    move(at, edge, ((event.clientX - box.left) / box.width) * width);
  };
  const stepped = (at: number, edge: "from" | "to", x: number) => (event: KeyboardEvent) => {
    const by = event.key === "ArrowLeft" ? -step : event.key === "ArrowRight" ? step : 0;
    if (by === 0) return;
    event.preventDefault();
    move(at, edge, x + by * width);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 ${top} ${width} ${bottom - top}`}
      className="mx-auto max-h-[calc(100dvh-340px)] max-w-full touch-none border border-ink"
      style={{ aspectRatio: `${width} / ${bottom - top}` }}
      role="group"
      aria-label="The page with its columns"
    >
      {photo && <image href={`/api/photos/${photo.photoHash}`} width={width} height={height} preserveAspectRatio="none" />}
      {of.map(({ column: { from, to, field }, at }, i) => (
        <g key={at}>
          <rect x={from} y={0} width={to - from} height={height} className={field ? "fill-brass/15" : "fill-bench/25"} />
          <text x={(from + to) / 2} y={top + width * 0.025} textAnchor="middle" fontSize={width * 0.022} className="num" fontWeight="bold">
            {i + 1}
          </text>
          {(["from", "to"] as const).map((edge) => {
            const x = edge === "from" ? from : to;
            return (
              <g
                key={edge}
                role="slider"
                tabIndex={0}
                aria-label={`Column ${i + 1}: ${edge === "from" ? "left" : "right"} edge`}
                aria-valuenow={Math.round((x / width) * 100)}
                aria-valuemin={0}
                aria-valuemax={100}
                className="cursor-ew-resize"
                onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                onPointerMove={dragged(at, edge)}
                onKeyDown={stepped(at, edge, x)}
              >
                <line x1={x} y1={0} x2={x} y2={height} stroke="transparent" strokeWidth={width * 0.02} />
                <line x1={x} y1={0} x2={x} y2={height} className="ln-edge" strokeWidth={width / 300} />
              </g>
            );
          })}
        </g>
      ))}
    </svg>
  );
}
