"use client";
import Link from "next/link";
import { useState } from "react";
import type { PartType, Position } from "@/core/anatomy/types";
import type { ModelPicture } from "@/core/schematic/model-picture";
import { useAct } from "@/ui/act/use-act";
import { useUpload } from "@/ui/act/use-upload";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly modelId: string;
  readonly positions: readonly Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** What lies in the bins, by part. */
  readonly stock: Readonly<Record<string, { readonly count: number }>>;
  readonly picture: ModelPicture | null;
}

const within = (share: number): number => Math.min(1, Math.max(0, share));
/** The arrow keys move the cross by a fiftieth of the picture; Enter places the seat there. */
const arrowSteps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-0.02, 0],
  ArrowRight: [0.02, 0],
  ArrowUp: [0, -0.02],
  ArrowDown: [0, 0.02],
};

/** A printed schematic as a picture, with this model's seats placed on it by touch. */
export function PictureSchematic({ modelId, positions, partTypes, stock, picture }: Props) {
  const [said, setSaid] = useState("");
  const marked = new Set(picture?.marks.map((place) => place.positionId));
  const [seat, setSeat] = useState(positions.find((position) => !marked.has(position.id))?.id ?? "");
  const marking = useAct("mark-picture", () =>
    setSeat(positions.find((position) => !marked.has(position.id) && position.id !== seat)?.id ?? seat),
  );

  /** The mark that was pressed: what it is stands beside. */
  const [shown, setShown] = useState<string | null>(null);
  const nameOf = (id: string) => positions.find((position) => position.id === id)?.name ?? id;
  const part = partTypes[positions.find(({ id }) => id === shown)?.partTypeId ?? ""];
  const [cross, setCross] = useState({ x: 0.5, y: 0.5 });
  const place = (x: number, y: number) => {
    setCross({ x: within(x), y: within(y) });
    if (seat) marking.press({ modelId, positionId: seat, x: within(x), y: within(y) });
  };

  const upload = useUpload<{ cleaned: string[] }>(`/api/models/${modelId}/picture`, "picture");
  const send = async (file: File) => {
    setSaid("");
    const kept = await upload.send(file);
    if (kept) setSaid(kept.cleaned.length ? `Only the drawing was saved; left out: ${kept.cleaned.join(", ")}.` : "The picture is saved.");
  };

  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_300px]">
      <div className="border border-ink p-2">
        {picture ? (
          <svg
            viewBox={`0 0 ${picture.width} ${picture.height}`}
            className="max-h-[420px] w-full cursor-crosshair"
            data-picture="schematic"
            role="application"
            aria-label="Printed schematic: arrow keys move the cross, Enter places the seat"
            // biome-ignore lint/a11y/noNoninteractiveTabindex: it has a role and its keys; the rule knows HTML only
            tabIndex={0}
            onClick={(event) => {
              const matrix = event.currentTarget.getScreenCTM();
              if (!matrix) return;
              const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
              place(point.x / picture.width, point.y / picture.height);
            }}
            onKeyDown={(event) => {
              const step = arrowSteps[event.key];
              if (step) setCross({ x: within(cross.x + step[0]), y: within(cross.y + step[1]) });
              else if (event.key === "Enter") place(cross.x, cross.y);
              else return;
              event.preventDefault();
            }}
          >
            <image href={`/api/photos/${picture.photoHash}`} width={picture.width} height={picture.height} />
            <path
              d={`M${cross.x * picture.width - 12} ${cross.y * picture.height}h24M${cross.x * picture.width} ${cross.y * picture.height - 12}v24`}
              className="ln-leader"
            />
            {picture.marks.map((place) => (
              // biome-ignore lint/a11y/useSemanticElements: a key inside a drawing
              <g
                key={place.positionId}
                transform={`translate(${place.x * picture.width} ${place.y * picture.height})`}
                role="button"
                tabIndex={0}
                className="cursor-pointer"
                aria-label={nameOf(place.positionId)}
                aria-pressed={place.positionId === shown}
                onClick={(event) => {
                  event.stopPropagation();
                  setShown(place.positionId);
                }}
                onKeyDown={(event) => {
                  event.stopPropagation();
                  if (event.key === "Enter") setShown(place.positionId);
                }}
              >
                <circle
                  r={picture.width / (place.positionId === shown ? 45 : 65)}
                  fill="transparent"
                  className="ln-outline"
                  strokeWidth={picture.width / (place.positionId === shown ? 250 : 700)}
                />
                {place.positionId === shown && (
                  <text y={-picture.width / 40} textAnchor="middle" fontSize={picture.width / 45}>
                    {nameOf(place.positionId)}
                  </text>
                )}
              </g>
            ))}
          </svg>
        ) : (
          <p className="p-4">No printed schematic yet. PNG, JPEG, WebP or SVG; of an SVG only the drawing is kept.</p>
        )}
      </div>
      <div className="flex flex-col gap-3">
        <Field label="Picture of the printed schematic">
          {(field) => (
            <input
              {...field}
              type="file"
              accept="image/png,image/jpeg,image/webp,image/svg+xml"
              onChange={(event) => {
                const file = event.target.files?.[0];
                event.target.value = "";
                if (file) void send(file);
              }}
            />
          )}
        </Field>
        <Refused message={upload.message} of={[marking]} />
        {said && <p role="status">{said}</p>}
        {shown && (
          <section aria-label="The part that was pressed" className="border-2 border-ink p-3">
            <h2>{nameOf(shown)}</h2>
            {part && (
              <p>
                <Link className="act-link num" href={`/library/part/${part.id}`} prefetch={false}>
                  {part.number}
                </Link>{" "}
                {part.name}, <span className="num">{stock[part.id]?.count ?? 0}</span> in the bins
              </p>
            )}
          </section>
        )}
        {picture && (
          <>
            <Field
              label="Seat to place"
              hint="Choose a seat, then touch its place on the picture, or move the cross with the arrow keys and press Enter."
            >
              {(field) => (
                <select {...field} value={seat} onChange={(event) => setSeat(event.target.value)}>
                  {positions.map((position) => (
                    <option key={position.id} value={position.id}>
                      {position.name}
                      {marked.has(position.id) ? " (placed)" : ""}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <p>
              <span className="num">{picture.marks.length}</span> of <span className="num">{positions.length}</span> seats placed
            </p>
          </>
        )}
      </div>
    </div>
  );
}
