"use client";
import { Dialog } from "radix-ui";
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from "react";
import { type Corners, canBePage, type Point, turned } from "@/core/sheets/flatten/homography";
import { wholeOf } from "@/core/sheets/read-page";
import { Key, MainKey } from "@/ui/controls/keys";

const named = ["Top left", "Top right", "Bottom right", "Bottom left"] as const;
/** The picture is drawn so wide; a handle is a thumb's width at any size of glass. */
const drawn = 1000;
const step: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -0.004, y: 0 },
  ArrowRight: { x: 0.004, y: 0 },
  ArrowUp: { x: 0, y: -0.004 },
  ArrowDown: { x: 0, y: 0.004 },
};
const within = (share: number) => Math.min(1, Math.max(0, share));
export const wholePicture = wholeOf({ width: 1, height: 1 });

interface Props {
  readonly picture: File;
  /** Where its page was found, as shares of the picture. */
  readonly found: Corners | null;
  readonly onRead: (corners: Corners) => void;
  readonly onCancel: () => void;
}

/** Where the page is in a photograph of it: its corners can be dragged, or moved by the arrow keys; which of its edges is the top is turned. */
export function PageFrame({ picture, found, onRead, onCancel }: Props) {
  const [corners, setCorners] = useState<Corners>(found ?? wholePicture);
  const [past, setPast] = useState<readonly Corners[]>([]);
  const [url, setUrl] = useState("");
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const made = URL.createObjectURL(picture);
    setUrl(made);
    const image = new Image();
    image.onload = () => setSize({ width: image.naturalWidth, height: image.naturalHeight });
    image.src = made;
    return () => URL.revokeObjectURL(made);
  }, [picture]);
  if (!size) return null;
  const high = (drawn * size.height) / size.width;
  const moved = (at: number, to: Point): Corners =>
    corners.map((corner, i) => (i === at ? { x: within(to.x), y: within(to.y) } : corner)) as unknown as Corners;
  const keep = (now: Corners) => {
    setPast((before) => before.concat([corners]));
    setCorners(now);
  };
  const dragged = (at: number) => (event: PointerEvent<SVGGElement>) => {
    if (event.buttons === 0) return;
    const box = svg.current!.getBoundingClientRect();
    setCorners(moved(at, { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }));
  };
  const stepped = (at: number) => (event: KeyboardEvent) => {
    const by = step[event.key];
    if (!by) return;
    event.preventDefault();
    keep(moved(at, { x: corners[at]!.x + by.x, y: corners[at]!.y + by.y }));
  };
  const onPicture = corners.map(({ x, y }) => ({ x: x * drawn, y: y * high }));
  const fits = canBePage(onPicture as unknown as Corners);
  const top = { x: (onPicture[0]!.x + onPicture[1]!.x) / 2, y: (onPicture[0]!.y + onPicture[1]!.y) / 2 };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onCancel()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
        <Dialog.Content
          className="sheet fixed top-2 left-1/2 z-20 flex max-h-[calc(100dvh-16px)] w-[min(1100px,97vw)] -translate-x-1/2 flex-col gap-3 overflow-auto p-4"
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => event.preventDefault()}
        >
          <Dialog.Title>Where is the page?</Dialog.Title>
          <p>
            {found
              ? "The page was found in the photograph. Drag a corner if it is off."
              : "No edge of a page was found. Drag the corners to the page's, or read the whole picture."}
          </p>
          <svg
            ref={svg}
            viewBox={`0 0 ${drawn} ${high}`}
            className="mx-auto max-h-[calc(100dvh-250px)] max-w-full touch-none"
            style={{ aspectRatio: `${size.width} / ${size.height}` }}
            role="group"
            aria-label="The photograph with the page's corners"
          >
            <image href={url} width={drawn} height={high} />
            <path
              d={`M0 0H${drawn}V${high}H0Z M${onPicture.map(({ x, y }) => `${x} ${y}`).join("L")}Z`}
              fillRule="evenodd"
              className="fill-bench/50"
            />
            <polygon points={onPicture.map(({ x, y }) => `${x},${y}`).join(" ")} fill="none" className="ln-edge" strokeWidth={4} />
            <text
              x={top.x}
              y={Math.max(34, top.y - 12)}
              textAnchor="middle"
              fontSize={30}
              className="fill-brass"
              paintOrder="stroke"
              stroke="white"
              strokeWidth={8}
            >
              top
            </text>
            {onPicture.map(({ x, y }, at) => (
              // biome-ignore lint/a11y/useSemanticElements: a handle inside a drawing
              <g
                key={named[at]}
                role="button"
                tabIndex={0}
                aria-label={`${named[at]} corner: drag it, or use the arrow keys`}
                className="cursor-move"
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId);
                  setPast((before) => before.concat([corners]));
                }}
                onPointerMove={dragged(at)}
                onKeyDown={stepped(at)}
              >
                <circle cx={x} cy={y} r={44} fill="transparent" />
                <circle cx={x} cy={y} r={16} className="fill-sheet ln-edge" strokeWidth={5} />
              </g>
            ))}
          </svg>
          {!fits && (
            <p className="alarm" role="alert">
              These corners do not make a page. Put them back in order.
            </p>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <MainKey words="Read this page" disabled={!fits} onPress={() => onRead(corners)}>
              Read this page
            </MainKey>
            <Key onPress={() => keep(turned(corners))}>Turn by a quarter</Key>
            <Key onPress={() => keep(wholePicture)}>Whole picture</Key>
            {past.length > 0 && (
              <Key
                onPress={() => {
                  setCorners(past.at(-1)!);
                  setPast((before) => before.slice(0, -1));
                }}
              >
                Undo
              </Key>
            )}
            <Dialog.Close className="act-link min-h-11">Cancel</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
