"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { addAssembly, addSeat, alongAxis, buildBeside, editPart, editSeat, moveSeat, removeSeat } from "@/core/anatomy/draft";
import { findSeats } from "@/core/anatomy/find-seats";
import { kindWords, type PartKind, sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { ModelPicture } from "@/core/schematic/model-picture";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { TabRail } from "@/ui/controls/tab-rail";
import { DrawnHere } from "@/ui/glyphs/drawn-here";
import { keptPlates } from "@/ui/glyphs/kept-plates";
import { PlateView, type Shade } from "@/ui/glyphs/plate";
import { AxisList } from "./axis-list";
import { ModelLeaf, type ModelProps } from "./model-leaf";
import { NewAssembly } from "./new-assembly";
import { PictureSchematic } from "./picture-schematic";
import { type SeatLeafName, SeatPanel } from "./seat-panel";
import { useDraft } from "./use-draft";

export interface SeatWear {
  /** Teardowns of this model that had this seat in the tray. */
  readonly seen: number;
  readonly worn: number;
}

interface Props extends ModelProps {
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly wear: Readonly<Record<string, SeatWear>>;
  readonly stock: Readonly<Record<string, { readonly count: number; readonly minimum: number }>>;
  readonly picture: ModelPicture | null;
}

const kinds = (Object.entries(kindWords) as [PartKind, string][]).sort((a, b) => (a[1] < b[1] ? -1 : 1));

/** A model's schematic, and the machine edited in place: every change is drawn at once, undone by one key, and saved as the next version. */
export function ModelSheet({ modelId, versionNumber, cells, anatomy, partTypes, wear, stock, picture }: Props) {
  const drafting = useDraft({ id: modelId, versionNumber, anatomy, partTypes });
  const { draft, types, change } = drafting;
  const [plateId, setPlateId] = useState("overview");
  const [picked, setPicked] = useState<string | null>(null);
  const [highlight, setHighlight] = useState("");
  const [sought, setSought] = useState("");
  const [adding, setAdding] = useState(false);
  const [leaf, setLeaf] = useState<SeatLeafName>("Part");

  const [editionId, setEditionId] = useState("");
  const shown = useMemo(() => anatomyOfEdition(draft.anatomy, editionId || null), [draft.anatomy, editionId]);
  const plates = useMemo(() => keptPlates(shown, types), [shown, types]);
  const faults = useMemo(() => checkAnatomy(draft.anatomy, [...types.values()]), [draft.anatomy, types]);
  const plate = plates.find((candidate) => candidate.id === plateId) ?? plates[0]!;
  const onPicture = plateId === "picture";
  const row = plate.assemblyId === null ? [] : alongAxis(shown, plate.assemblyId);
  const position = row.find((p) => p.id === picked);
  const type = position && types.get(position.partTypeId);
  const found = findSeats(shown, types, sought).slice(0, 12);
  const names = Object.fromEntries(draft.anatomy.positions.map((p) => [p.id, p.name]));
  const shownAssembly = draft.anatomy.assemblies.find((assembly) => assembly.id === plate.assemblyId);
  const assemblyName = (seatId: string) =>
    draft.anatomy.assemblies.find((assembly) => assembly.id === draft.anatomy.positions.find((p) => p.id === seatId)?.assemblyId)?.name ??
    "";
  const plateOf = (seatId: string) =>
    plates.find((other) => other.assemblyId !== null && other.callouts.some((callout) => callout.positionIds.includes(seatId)))?.id;
  /** Moves a seat to the place of the one that stands there now, which with one edition shown is not its place among all. */
  const moveTo = (seatId: string, to: number) => {
    const target = row[Math.max(0, Math.min(row.length - 1, to))];
    const all = alongAxis(draft.anatomy, plate.assemblyId ?? "").map((p) => p.id);
    if (target) change(moveSeat(draft, seatId, all.indexOf(target.id)));
  };
  const goTo = (seatId: string) => {
    setPlateId(plateOf(seatId) ?? "overview");
    setPicked(seatId);
    setAdding(false);
  };
  const choosePlate = (id: string) => {
    setPlateId(id);
    setPicked(null);
    setAdding(false);
  };

  const roles = [...new Set(draft.anatomy.positions.map((p) => types.get(p.partTypeId)?.role ?? ""))].filter(Boolean).sort();
  const shades = useMemo(() => {
    const shadeOf = (seatId: string, partTypeId: string): Shade | 0 => {
      if (highlight.startsWith("role ")) return types.get(partTypeId)?.role === highlight.slice(5) ? 2 : 0;
      if (highlight === "wear") {
        const of = wear[seatId];
        return !of?.worn ? 0 : of.worn / of.seen >= 0.5 ? 3 : of.worn / of.seen >= 0.2 ? 2 : 1;
      }
      if (highlight === "stock") {
        const bin = stock[partTypeId];
        return !bin?.count ? 3 : bin.count < bin.minimum ? 2 : 0;
      }
      return 0;
    };
    return Object.fromEntries(
      draft.anatomy.positions.flatMap((p) => {
        const shade = shadeOf(p.id, p.partTypeId);
        return shade ? [[p.id, shade]] : [];
      }),
    );
  }, [highlight, draft.anatomy, types, wear, stock]);
  const states = Object.fromEntries(
    draft.anatomy.positions.flatMap((p) => {
      const of = wear[p.id];
      if (highlight === "wear" && of?.worn) return [[p.id, `worn in ${of.worn} of ${of.seen}`]];
      if (highlight === "stock") return [[p.id, `${stock[p.partTypeId]?.count ?? 0} in the bin`]];
      return [];
    }),
  );

  const add = (kind: PartKind) => {
    const assemblyId = plate.assemblyId ?? draft.anatomy.assemblies[0]!.id;
    const { draft: next, seatId } = addSeat(draft, { assemblyId, afterSeatId: position?.id ?? row.at(-1)?.id ?? null }, kind, modelId);
    change(next);
    setPlateId(plate.assemblyId === null ? assemblyId : plate.id);
    setPicked(seatId);
    setAdding(false);
  };
  const guesses = draft.anatomy.positions.filter((p) => p.guessed).length;

  return (
    <ModelLeaf
      modelId={modelId}
      versionNumber={versionNumber}
      cells={cells}
      here="Schematic"
      drafting={drafting}
      idle="Tap a number to view or edit"
      links={
        <>
          <a className="act-link" href={`/library/${modelId}/plate.svg?plate=${plate.id}`} download>
            SVG of this plate
          </a>
          <a className="act-link" href={`/library/${modelId}/plates.pdf`} target="_blank" rel="noreferrer">
            PDF
          </a>
          <a className="act-link" href={`/library/${modelId}/model.json`} download>
            JSON
          </a>
        </>
      }
    >
      {!draft.anatomy.positions.length && <p>No schematic yet. Stripping the first one makes it, or add its parts here.</p>}
      {faults.length > 0 && draft.anatomy.positions.length > 0 && (
        <ul className="alarm" aria-label="Problems">
          {faults.slice(0, 4).map((fault) => (
            <li key={fault.message}>{fault.message}</li>
          ))}
          {faults.length > 4 && <li>and {faults.length - 4} more.</li>}
        </ul>
      )}
      {guesses > 0 && <p>{guesses} part positions are estimates; dashed until confirmed.</p>}
      <TabRail
        label="Plates of the schematic"
        tabs={[...plates, { id: "picture", name: "Picture" }]}
        chosen={onPicture ? "picture" : plate.id}
        onChoose={choosePlate}
      >
        {onPicture ? (
          <PictureSchematic modelId={modelId} positions={anatomy.positions} partTypes={partTypes} stock={stock} picture={picture} />
        ) : (
          <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_350px]">
            <div className="flex min-w-0 flex-col gap-2">
              <div className="flex flex-wrap items-start gap-2">
                <Field label="Find a name, number or size on the schematic" className="w-64">
                  {(field) => (
                    <input
                      {...field}
                      type="search"
                      value={sought}
                      onChange={(event) => setSought(event.target.value)}
                      autoComplete="off"
                      placeholder="washer 20 × 8 × 1"
                    />
                  )}
                </Field>
                <Field label="Highlight" className="w-52">
                  {(field) => (
                    <select {...field} value={highlight} onChange={(event) => setHighlight(event.target.value)}>
                      <option value="">nothing</option>
                      <option value="wear">what wears here</option>
                      <option value="stock">out of stock</option>
                      {roles.map((role) => (
                        <option key={role} value={`role ${role}`}>
                          {role.replaceAll("-", " ")}
                        </option>
                      ))}
                    </select>
                  )}
                </Field>
                {draft.anatomy.editions.length > 0 && (
                  <Field label="Edition" className="w-44">
                    {(field) => (
                      <select {...field} value={editionId} onChange={(event) => setEditionId(event.target.value)}>
                        <option value="">every edition</option>
                        {draft.anatomy.editions.map((edition) => (
                          <option key={edition.id} value={edition.id}>
                            {edition.name}
                          </option>
                        ))}
                      </select>
                    )}
                  </Field>
                )}
                {sought.trim() && (
                  <ul className="flex flex-1 flex-wrap gap-1 pt-4" aria-label="Found">
                    {found.map((seat) => (
                      <li key={seat.id}>
                        <button type="button" className="key key-small" onClick={() => goTo(seat.id)}>
                          {seat.name}
                        </button>
                      </li>
                    ))}
                    {!found.length && <li>No match.</li>}
                  </ul>
                )}
              </div>
              <div className="h-[345px] border border-ink p-2">
                <DrawnHere>
                  {() => (
                    <PlateView
                      plate={plate}
                      title={`Schematic: ${plate.name}`}
                      names={
                        plate.assemblyId === null
                          ? Object.fromEntries(plate.callouts.map((c) => [c.positionIds[0]!, assemblyName(c.positionIds[0]!)]))
                          : names
                      }
                      guessed={new Set(draft.anatomy.positions.filter((p) => p.guessed).map((p) => p.id))}
                      shades={shades}
                      states={states}
                      pickedPositionId={picked}
                      onPick={(id) => (plate.assemblyId === null ? choosePlate(plateOf(id) ?? "overview") : goTo(id))}
                    />
                  )}
                </DrawnHere>
              </div>
              {row.length > 0 && <AxisList row={row} types={types} picked={picked} onPick={goTo} onMove={moveTo} />}
            </div>
            <div className="flex min-w-0 flex-col gap-3 lg:max-h-[560px] lg:overflow-y-auto lg:pr-1">
              {position && type && (
                <>
                  <SeatPanel
                    key={`${position.id} ${drafting.turn}`}
                    anatomy={draft.anatomy}
                    position={position}
                    type={type}
                    onSeat={(edit) => change(editSeat(draft, position.id, edit))}
                    onPart={(edit) => change(editPart(draft, position.id, edit, types))}
                    leaf={leaf}
                    onLeaf={setLeaf}
                  />
                  <div className="flex flex-wrap gap-2">
                    <Key
                      className="key-small"
                      shortcut="ArrowLeft"
                      words="Move toward the base"
                      onPress={() => moveTo(position.id, row.indexOf(position) - 1)}
                    >
                      ◂ Base
                    </Key>
                    <Key
                      className="key-small"
                      shortcut="ArrowRight"
                      words="Move outward"
                      onPress={() => moveTo(position.id, row.indexOf(position) + 1)}
                    >
                      Outward ▸
                    </Key>
                    <Key
                      className="key-small"
                      shortcut="t"
                      words="Turn over"
                      onPress={() => change(editSeat(draft, position.id, { turned: !position.turned }))}
                    >
                      Turn over
                    </Key>
                    {(position.guessed || position.verify.length > 0) && (
                      <Key
                        className="key-small"
                        shortcut="y"
                        words="Confirm this seat"
                        onPress={() => change(editSeat(draft, position.id, { guessed: false, verify: [] }))}
                      >
                        Confirm
                      </Key>
                    )}
                    <Key
                      className="key-small"
                      disabled={draft.anatomy.positions.length < 2}
                      onPress={() => {
                        change(removeSeat(draft, position.id));
                        setPicked(null);
                      }}
                    >
                      Remove
                    </Key>
                  </div>
                </>
              )}
              <div className="flex flex-wrap gap-2">
                <Key className="key-small" shortcut="a" words="Add a part" pressed={adding} onPress={() => setAdding(!adding)}>
                  {position ? "Add a part after this one" : "Add a part"}
                </Key>
                {shownAssembly && (
                  <Key
                    className="key-small"
                    pressed={shownAssembly.beside === true}
                    onPress={() => change(buildBeside(draft, shownAssembly.id, !shownAssembly.beside))}
                  >
                    Sub-assembly, fitted as one
                  </Key>
                )}
                {plate.assemblyId === null && (
                  <NewAssembly
                    onAdd={(name, side) => {
                      const { draft: next, assemblyId } = addAssembly(draft, { name, side });
                      change(next);
                      setPlateId(assemblyId);
                    }}
                  />
                )}
              </div>
              {adding && (
                <ul className="flex flex-wrap gap-1" aria-label="Kinds of part">
                  {kinds.map(([kind, words]) => (
                    <li key={kind}>
                      <button type="button" className="key key-small" onClick={() => add(kind)}>
                        {words}
                      </button>
                    </li>
                  ))}
                </ul>
              )}
              {!position && (
                <ol>
                  {plate.callouts.map((callout) => {
                    const id = callout.positionIds[0];
                    const part = types.get(callout.partTypeId);
                    if (!id) return null;
                    return (
                      <li key={callout.item} className="rule-row flex items-baseline gap-2 py-1">
                        <span className="num w-6 shrink-0">{callout.item}</span>
                        {plate.assemblyId === null || !part ? (
                          <button type="button" className="act-link text-left" onClick={() => choosePlate(plateOf(id) ?? "overview")}>
                            {assemblyName(id)} <span className="font-normal text-ink text-note">{callout.positionIds.length} seats</span>
                          </button>
                        ) : (
                          <span>
                            <Link className="act-link num" href={`/library/part/${part.id}`}>
                              {part.number}
                            </Link>{" "}
                            {part.name}
                            {callout.positionIds.length > 1 && ` ×${callout.positionIds.length}`}{" "}
                            <span className="num text-note">{sizeWords(part.shape)}</span>
                          </span>
                        )}
                      </li>
                    );
                  })}
                </ol>
              )}
            </div>
          </div>
        )}
      </TabRail>
    </ModelLeaf>
  );
}
