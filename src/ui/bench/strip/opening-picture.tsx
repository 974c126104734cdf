"use client";
import { useMemo, useState } from "react";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { assemblyPlates, overviewPlate, type Plate } from "@/core/schematic/assembly-plate";
import { TabRail } from "@/ui/controls/tab-rail";
import { PlateView, type Shade } from "@/ui/glyphs/plate";
import { type AssemblyDepth, openedWords } from "./opened-words";

interface Props {
  readonly assemblies: Anatomy["assemblies"];
  readonly positions: readonly Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly depth: readonly AssemblyDepth[];
  /** Seats still expected off; those left in by choice; those in the tray. */
  readonly expected: ReadonlySet<string>;
  readonly leftIn: ReadonlySet<string>;
  readonly off: ReadonlySet<string>;
  readonly closed: boolean;
  readonly onOpened: (assembly: AssemblyDepth, opened: boolean | null) => void;
  readonly onLeaveIn: (positionId: string, stays: boolean) => void;
  readonly onTake: (positionId: string) => void;
}

/** Hatched where it is opened, more densely the more of it comes off. */
function shadeOf({ open, some, inTheWayOf }: AssemblyDepth): Shade | null {
  if (open) return some === null ? 3 : 2;
  return inTheWayOf.length ? 1 : null;
}

/** The whole reel with the places lit that are opened: an assembly is pressed and opened or left shut, a part of it and left in. */
export function OpeningPicture(props: Props) {
  const { assemblies, positions, partTypes, depth, expected, leftIn, off, closed, onOpened, onLeaveIn, onTake } = props;
  const [assemblyId, setAssemblyId] = useState<string | null>(null);
  const [partId, setPartId] = useState<string | null>(null);
  const [plateId, setPlateId] = useState<string | null>(null);
  const plates = useMemo(() => {
    const anatomy = { assemblies, positions: [...positions], operations: [], editions: [], gearPairs: [], batches: [] };
    const types = new Map(Object.entries(partTypes));
    return assemblyId === null ? [overviewPlate(anatomy, types)] : assemblyPlates(anatomy, types, assemblyId);
  }, [assemblies, positions, partTypes, assemblyId]);
  const plate = plates.find(({ id }) => id === plateId) ?? plates[0];
  const byId = new Map(positions.map((position) => [position.id, position]));
  const picked = depth.find(({ id }) => id === assemblyId);
  const part = partId === null ? undefined : byId.get(partId);
  const depthOf = new Map(depth.map((one) => [one.id, one]));
  const shades = Object.fromEntries(
    positions.flatMap(({ id, assemblyId: of }): [string, Shade][] => {
      if (assemblyId !== null) return expected.has(id) || off.has(id) ? [[id, 3]] : leftIn.has(id) ? [[id, 1]] : [];
      const shade = depthOf.has(of) ? shadeOf(depthOf.get(of)!) : null;
      return shade === null ? [] : [[id, shade]];
    }),
  );
  const stateOf = (id: string) => (off.has(id) ? "in the tray" : leftIn.has(id) ? "left in" : expected.has(id) ? "comes off" : "stays");
  const names = Object.fromEntries(
    positions.map(({ id, name, assemblyId: of }) => [id, assemblyId === null ? (depthOf.get(of)?.name ?? name) : name]),
  );
  const states = Object.fromEntries(
    positions.map(({ id, assemblyId: of }) => [
      id,
      assemblyId === null ? (depthOf.has(of) ? openedWords(depthOf.get(of)!) : "stays as it is") : stateOf(id),
    ]),
  );
  const drawn = (plate: Plate) => (
    <div className="h-56 border border-ink p-1">
      <PlateView
        plate={plate}
        title={assemblyId === null ? "The whole reel: hatched is what is opened" : `${picked?.name ?? ""}: hatched is what comes off`}
        names={names}
        states={states}
        shades={shades}
        pickedPositionId={partId}
        onPick={(id) => {
          if (assemblyId === null) setAssemblyId(byId.get(id)?.assemblyId ?? null);
          else setPartId(id === partId ? null : id);
        }}
      />
    </div>
  );
  return (
    <div className="mb-2">
      {plate && plates.length > 1 ? (
        <TabRail label="Plates of this assembly" tabs={plates} chosen={plate.id} onChoose={setPlateId}>
          {drawn(plate)}
        </TabRail>
      ) : (
        plate && drawn(plate)
      )}
      {assemblyId !== null && (
        <div className="mt-1 flex flex-wrap items-center gap-x-4">
          <button
            type="button"
            className="act-link min-h-10"
            onClick={() => {
              setAssemblyId(null);
              setPartId(null);
              setPlateId(null);
            }}
          >
            Back to the whole reel
          </button>
          {picked && (
            <span>
              <strong>{picked.name}</strong> <span className="text-note">{openedWords(picked)}</span>
            </span>
          )}
          {picked && !closed && (
            <>
              {(!picked.open || picked.some !== null) && (
                <button type="button" className="key key-small" onClick={() => onOpened(picked, true)}>
                  {picked.open ? "Open everything" : "Open it"}
                </button>
              )}
              {picked.open && (
                <button type="button" className="key key-small" onClick={() => onOpened(picked, false)}>
                  Leave it shut
                </button>
              )}
              {picked.said && (
                <button type="button" className="act-link min-h-10" onClick={() => onOpened(picked, null)}>
                  As the job says
                </button>
              )}
            </>
          )}
          {part && (
            <span className="flex basis-full flex-wrap items-center gap-x-4">
              <strong>{part.name}</strong> <span className="text-note">{stateOf(part.id)}</span>
              {!closed && !off.has(part.id) && (
                <>
                  {leftIn.has(part.id) ? (
                    <button type="button" className="key key-small" onClick={() => onLeaveIn(part.id, false)}>
                      It comes off after all
                    </button>
                  ) : (
                    expected.has(part.id) && (
                      <button type="button" className="key key-small" onClick={() => onLeaveIn(part.id, true)}>
                        Leave it in
                      </button>
                    )
                  )}
                  <button type="button" className="key key-small" onClick={() => onTake(part.id)}>
                    It comes off next
                  </button>
                </>
              )}
            </span>
          )}
        </div>
      )}
    </div>
  );
}
