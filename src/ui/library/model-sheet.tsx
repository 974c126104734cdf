"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { type PartShape, shapeSchema, sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { Glyph } from "@/ui/glyphs/glyph";
import { PlateView } from "@/ui/glyphs/plate";
import { PlateTabs } from "@/ui/glyphs/plate-tabs";
import { type BlockCell, CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { PictureSchematic, type ShownPicture } from "./picture-schematic";
import { SeatForm } from "./seat-form";

interface Props {
  readonly modelId: string;
  readonly versionNumber: number;
  readonly cells: readonly BlockCell[];
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly save: Action<{ number: number }>;
  readonly picture: ShownPicture | null;
  readonly mark: Action<void>;
}

/** What was edited of one seat since the last save. */
export interface SeatEdit {
  readonly name?: string;
  readonly ordinal?: number;
  readonly turned?: boolean;
  readonly guessed?: boolean;
  readonly orientation?: string;
  readonly caution?: string;
  readonly shape?: PartShape;
}
type Edits = Readonly<Record<string, SeatEdit>>;

/**
 * A model's schematic, and the machine edited in place: a seat is renamed, measured, turned over, moved along its axis or confirmed, and the
 * plate is drawn anew at once. Saving makes the next version; jobs keep the one they were opened with.
 */
export function ModelSheet({ modelId, versionNumber, cells, anatomy, partTypes, save, picture, mark }: Props) {
  const [history, setHistory] = useState<readonly Edits[]>([{}]);
  const edits = history.at(-1)!;
  const act = useAct(save, () => setHistory([{}]));
  const [plateId, setPlateId] = useState("overview");
  const [picked, setPicked] = useState<string | null>(null);

  const edited = useMemo(() => {
    const types = new Map(Object.entries(partTypes));
    const positions = anatomy.positions.map((position): Position => {
      const edit = edits[position.id];
      if (!edit) return position;
      const { shape, ...seat } = edit;
      const type = types.get(position.partTypeId)!;
      if (!shape) return { ...position, ...seat };
      const id = `${type.id}*${position.id}`;
      types.set(id, { ...type, id, shape });
      return { ...position, ...seat, partTypeId: id };
    });
    return { anatomy: { ...anatomy, positions }, types };
  }, [anatomy, partTypes, edits]);

  const plates = useMemo(() => [overviewPlate(edited.anatomy, edited.types), ...modelPlates(edited.anatomy, edited.types)], [edited]);
  const plate = plates.find((candidate) => candidate.id === plateId) ?? plates[0]!;
  const onPicture = plateId === "picture";
  const row = edited.anatomy.positions.filter((p) => p.assemblyId === plate.assemblyId).sort((a, b) => a.ordinal - b.ordinal);
  const position = row.find((p) => p.id === picked);
  const type = position && edited.types.get(position.partTypeId);
  const assemblyOf = (seatId: string) =>
    anatomy.assemblies.find((assembly) => assembly.id === anatomy.positions.find((p) => p.id === seatId)?.assemblyId)?.name ?? "";
  const change = (changes: Edits) =>
    setHistory([
      ...history,
      { ...edits, ...Object.fromEntries(Object.entries(changes).map(([id, edit]) => [id, { ...edits[id], ...edit }])) },
    ]);

  /** Swaps the seat with its neighbour along the axis. */
  const move = (by: 1 | -1) => {
    if (!position) return;
    const at = row.findIndex((p) => p.id === position.id);
    const other = row[at + by];
    if (other) change({ [position.id]: { ordinal: other.ordinal }, [other.id]: { ordinal: position.ordinal } });
  };

  const saveAll = () =>
    act.press({
      modelId,
      baseNumber: versionNumber,
      seats: Object.keys(edits).map((id) => {
        const { name, ordinal, turned, guessed, orientation, caution } = edited.anatomy.positions.find((p) => p.id === id)!;
        return { id, name, ordinal, turned, guessed, orientation, caution, shape: edits[id]!.shape };
      }),
    });
  const count = Object.keys(edits).length;
  const guesses = anatomy.positions.filter((p) => p.guessed).length;

  return (
    <Sheet
      fill
      act={
        <>
          <MainKey disabled={!count} busy={act.busy} words="Save the next version" onPress={saveAll}>
            {count ? `Save version ${versionNumber + 1}: ${count} ${count === 1 ? "seat" : "seats"}` : "Touch a number to look or edit"}
          </MainKey>
          <Key shortcut="u" words="Undo the last edit" disabled={history.length < 2} onPress={() => setHistory(history.slice(0, -1))}>
            Undo
          </Key>
        </>
      }
      block={<CornerBlock cells={cells} />}
    >
      <div className="flex flex-col gap-3">
        <Refused message={act.message} />
        {!anatomy.positions.length && <p>No schematic yet: the first teardown of such a reel makes one.</p>}
        {guesses > 0 && <p>{guesses} seats are guessed from a teardown; their numbers are dashed until somebody confirms them.</p>}
        <div className="flex flex-wrap gap-1">
          <PlateTabs plates={plates} chosen={onPicture ? "" : plate.id} onChoose={setPlateId} />
          <button type="button" className="key key-small" aria-pressed={onPicture} onClick={() => setPlateId("picture")}>
            Picture
          </button>
          <span className="ml-auto flex items-center gap-4">
            <a className="act-link" href={`/library/${modelId}/plate.svg?plate=${plate.id}`} download>
              SVG of this plate
            </a>
            <a className="act-link" href={`/library/${modelId}/plates.pdf`} target="_blank" rel="noreferrer">
              PDF
            </a>
            <a className="act-link" href={`/library/${modelId}/model.json`} download>
              JSON
            </a>
          </span>
        </div>
        {onPicture && <PictureSchematic modelId={modelId} positions={anatomy.positions} picture={picture} mark={mark} />}
        <div className={onPicture ? "hidden" : "h-[330px] border border-ink p-2"}>
          <PlateView
            plate={plate}
            title={`Schematic: ${plate.name}`}
            names={
              plate.assemblyId === null
                ? Object.fromEntries(plate.callouts.map((callout) => [callout.positionIds[0]!, assemblyOf(callout.positionIds[0]!)]))
                : Object.fromEntries(edited.anatomy.positions.map((p) => [p.id, p.name]))
            }
            guessed={new Set(edited.anatomy.positions.filter((p) => p.guessed).map((p) => p.id))}
            pickedPositionId={picked}
            onPick={(id) => {
              if (plate.assemblyId === null)
                setPlateId(
                  plates.find((other) => other.callouts.some((callout) => other.assemblyId !== null && callout.positionIds.includes(id)))
                    ?.id ?? "overview",
                );
              else setPicked(id);
            }}
          />
        </div>
        {onPicture ? null : position && type ? (
          <div className="grid gap-6 lg:grid-cols-[auto_1fr_300px]">
            <Glyph type={type} turned={position.turned} widthPx={150} heightPx={120} />
            <SeatForm
              key={`${position.id} ${history.length}`}
              position={position}
              shape={type.shape}
              onChange={(edit) => {
                if (edit.shape && !shapeSchema.safeParse(edit.shape).success) return false;
                change({ [position.id]: edit });
                return true;
              }}
              onMove={move}
            />
            <div>
              <p>
                <Link className="act-link num" href={`/library/part/${position.partTypeId.split("*")[0]}`}>
                  {type.number}
                </Link>{" "}
                {type.name}, {type.material}
              </p>
              {position.hole && <p>Hole: {position.hole}</p>}
              {position.lubricant && (
                <p>
                  {position.lubricant.product}, {position.lubricant.amount}: {position.lubricant.why}
                </p>
              )}
              {position.trap && <p className="mt-1 border-l-4 border-ink pl-3">Trap: {position.trap}</p>}
              {position.caution && <p className="alarm mt-1">{position.caution}</p>}
            </div>
          </div>
        ) : (
          <ol className="columns-2 gap-6 xl:columns-3">
            {plate.callouts.map((callout) => {
              const part = edited.types.get(callout.partTypeId);
              if (plate.assemblyId === null || !part)
                return (
                  <li key={callout.item} className="rule-row flex break-inside-avoid gap-3 py-1">
                    <span className="num w-6">{callout.item}</span>
                    {assemblyOf(callout.positionIds[0] ?? "")} <span className="text-note">{callout.positionIds.length} seats</span>
                  </li>
                );
              return (
                <li key={callout.item} className="rule-row flex break-inside-avoid gap-3 py-1">
                  <span className="num w-6">{callout.item}</span>
                  <span>
                    <span className="num text-note">{part.number}</span> {part.name}
                    {callout.positionIds.length > 1 && ` ×${callout.positionIds.length}`}{" "}
                    <span className="num text-note">{sizeWords(part.shape)}</span>
                  </span>
                </li>
              );
            })}
          </ol>
        )}
      </div>
    </Sheet>
  );
}
