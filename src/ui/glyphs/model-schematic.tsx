"use client";
import { useMemo, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { modelPlates } from "@/core/schematic/assembly-plate";
import { AssemblyTabs } from "./assembly-tabs";
import { Glyph } from "./glyph";
import { PlateView } from "./plate";

/** A model's schematic: a plate for each assembly, and what the touched callout is. */
export function ModelSchematic({ anatomy, partTypes }: { anatomy: Anatomy; partTypes: Readonly<Record<string, PartType>> }) {
  const plates = useMemo(() => modelPlates(anatomy, new Map(Object.entries(partTypes))), [anatomy, partTypes]);
  const [assemblyId, setAssemblyId] = useState(
    anatomy.assemblies.find((assembly) => assembly.id === "stack")?.id ?? anatomy.assemblies[0]!.id,
  );
  const [picked, setPicked] = useState<string | null>(null);
  const plate = plates.find((candidate) => candidate.assemblyId === assemblyId)!;
  const position = anatomy.positions.find((p) => p.id === picked && p.assemblyId === assemblyId);
  const type = position && partTypes[position.partTypeId];
  return (
    <div className="flex flex-col gap-3">
      <AssemblyTabs assemblies={anatomy.assemblies} chosen={assemblyId} onChoose={setAssemblyId} />
      <div className="h-[380px] border border-ink p-2">
        <PlateView
          plate={plate}
          title={`Schematic: ${anatomy.assemblies.find((assembly) => assembly.id === assemblyId)?.name}`}
          names={Object.fromEntries(anatomy.positions.map((p) => [p.id, partTypes[p.partTypeId]?.name ?? p.name]))}
          pickedPositionId={picked}
          onPick={setPicked}
        />
      </div>
      <div className="grid gap-6 lg:grid-cols-[1fr_360px]">
        <ol className="columns-2 gap-6 xl:columns-3">
          {plate.callouts.map((callout) => {
            const part = partTypes[callout.partTypeId]!;
            return (
              <li key={callout.item} className="rule-row flex break-inside-avoid gap-3 py-1">
                <span className="num w-6">{callout.item}</span>
                <span>
                  <span className="num text-note">{part.number}</span> {part.name}
                  {callout.positionIds.length > 1 && ` ×${callout.positionIds.length}`}
                </span>
              </li>
            );
          })}
        </ol>
        {position && type ? (
          <div className="border-2 border-ink p-3">
            <div className="flex justify-between">
              <h2>{position.name}</h2>
              <Glyph type={type} turned={position.turned} widthPx={100} heightPx={80} />
            </div>
            <p className="num">{sizeWords(type.shape)}</p>
            {position.orientation && <p>Lies: {position.orientation}</p>}
            {position.hole && <p>Hole: {position.hole}</p>}
            {position.lubricant && (
              <p>
                {position.lubricant.product}, {position.lubricant.amount}: {position.lubricant.why}
              </p>
            )}
            {position.trap && <p className="mt-1 border-l-4 border-ink pl-3">Trap: {position.trap}</p>}
            {position.caution && <p className="alarm mt-1">{position.caution}</p>}
          </div>
        ) : (
          <p>Touch a number on the plate: size, seat, lubricant and trap stand here.</p>
        )}
      </div>
    </div>
  );
}
