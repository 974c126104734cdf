import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import type { PartType } from "@/core/anatomy/types";
import { kitFaults } from "@/core/interchange/kit";
import { listFits, listInterchangeSets, listKits } from "@/data/catalogue/interchange";
import { modelNames } from "@/data/catalogue/model-list";
import { findPartType } from "@/data/catalogue/part-types";
import { findStock } from "@/data/parts/stock";
import { FitsSheet } from "@/ui/library/fits-sheet";

export const metadata = { title: "Fits and kits" };

export default async function FitsPage({ params, searchParams }: ModelPageProps & { searchParams: Promise<{ seat?: string }> }) {
  const { db, model, version, leaf } = await loadModel({ params });
  const { positions } = version.anatomy;
  const wanted = (await searchParams).seat;
  const seatId = positions.find((position) => position.id === wanted)?.id ?? positions[0]?.id ?? "";
  const known = new Map<string, PartType | null>();
  const part = (id: string) => {
    if (!known.has(id)) known.set(id, findPartType(db, id));
    return known.get(id) ?? null;
  };
  const sets = listInterchangeSets(db).filter(
    (set) => set.members.some((m) => m.modelId === model.id) || set.exclusions.some((out) => out.modelId === model.id),
  );
  const single = sets.flatMap((set) => set.members.flatMap(({ partTypeId }) => (partTypeId === undefined ? [] : [partTypeId])));
  return (
    <FitsSheet
      {...leaf}
      positions={positions}
      roles={[...new Set([...version.partTypes.values()].map((type) => type.role))].sort()}
      models={modelNames(db, [
        model.id,
        ...sets.flatMap((set) => [...set.members, ...set.exclusions].flatMap(({ modelId }) => modelId ?? [])),
      ])}
      sets={sets}
      kits={listKits(db, model.id).map((kit) => ({
        kit,
        parts: kit.seats.flatMap(({ positionId, partTypeId }) => {
          const type = part(partTypeId);
          return type ? [{ seat: positions.find((position) => position.id === positionId)?.name ?? positionId, part: type }] : [];
        }),
      }))}
      numbers={Object.fromEntries(single.flatMap((id) => (part(id) ? [[id, part(id)!.number]] : [])))}
      seatId={seatId}
      fits={listFits(db, model.id, seatId).flatMap((fit) => {
        const type = part(fit.partTypeId);
        if (!type) return [];
        const types = new Map(version.partTypes).set(type.id, type);
        const but = kitFaults(version.anatomy, types, { seats: [{ positionId: seatId, partTypeId: type.id }] });
        return [{ ...fit, part: type, inBin: findStock(db, type.id)?.count ?? 0, but }];
      })}
    />
  );
}
