import { sizeWords } from "@/core/anatomy/shapes";
import { isSameSize } from "@/core/anatomy/typed-size";
import type { PartType } from "@/core/anatomy/types";
import { gradeWords } from "@/core/interchange/interchange";
import type { SeatFacts } from "@/core/interchange/seat-facts";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { mayGoOn } from "@/core/quote/consent";
import { listFitsOfModel, listKits } from "@/data/catalogue/interchange";
import type { ModelVersion } from "@/data/catalogue/models";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import type { Job } from "@/data/jobs/jobs";
import { listDonorPieces } from "@/data/parts/donors";
import { pricesInJob } from "@/data/parts/job-prices";
import { listNeeds } from "@/data/parts/needs";
import { plannedFromElsewhere } from "@/data/parts/quote-parts";
import { listStock } from "@/data/parts/stock";
import { orderableOf } from "@/data/parts/suppliers";
import { getQuote } from "@/data/quote/quotes";
import { wellsToRenew } from "./renewals";

/** The seats of a reel with what is here, wanted and to be had for each; every part they name; what its quote names, by seat; the kits of its model. */
export interface PartsOfJob {
  readonly seats: readonly SeatFacts[];
  readonly partTypes: ReadonlyMap<string, PartType>;
  readonly foreseen: ReadonlyMap<string, string>;
  readonly kits: ReturnType<typeof listKits>;
  /** The customer agreed to what it costs. */
  readonly agreed: boolean;
}

export function partsOfJob(db: Db, job: Job, version: ModelVersion): PartsOfJob {
  const wells = new Map(wellsToRenew(db, job, version).map((well) => [well.positionId, well]));
  const needs = new Map(
    listNeeds(db, { states: ["open", "ordered", "arrived"], jobId: job.id }).map((need) => [need.positionId, need.state]),
  );
  const { parts: quoted, consent } = getQuote(db, job);
  const foreseen = new Map(quoted.map((part) => [part.positionId, part.partTypeId]));
  const planned = new Set(quoted.flatMap(({ positionId }) => (plannedFromElsewhere(db, job.id, positionId) ? [positionId] : [])));
  const fits = listFitsOfModel(db, version.model.id);
  const donors = listDonorPieces(db);
  const kits = listKits(db, version.model.id);
  const wanted = (position: { id: string; partTypeId: string }) => foreseen.get(position.id) ?? position.partTypeId;
  const offeredIds = [...fits.values()].flat().map(({ partTypeId }) => partTypeId);
  const partTypes = new Map([
    ...version.partTypes,
    ...findPartTypes(db, [...foreseen.values(), ...offeredIds, ...kits.flatMap(({ seats: of }) => of.map(({ partTypeId }) => partTypeId))]),
  ]);
  const prices = pricesInJob(db, job.id, version.anatomy.positions.map(wanted));
  const orderable = orderableOf(db, version.anatomy.positions.map(wanted));
  const bins = new Map(listStock(db).map((line) => [line.partTypeId, line]));
  const stocked = findPartTypes(db, bins.keys());
  const lying = [...bins.values()].flatMap((line) => {
    const part = stocked.get(line.partTypeId);
    return part && freeInBin(line) > 0 ? [{ part, free: freeInBin(line) }] : [];
  });
  for (const { part } of lying) partTypes.set(part.id, part);
  const seats: SeatFacts[] = version.anatomy.positions.map((position) => {
    const wantedPartTypeId = wanted(position);
    const stock = bins.get(wantedPartTypeId);
    const well = wells.get(position.id);
    const offered = fits.get(position.id) ?? [];
    const type = partTypes.get(wantedPartTypeId);
    const fitting = new Set([wantedPartTypeId, position.partTypeId, ...offered.map((fit) => fit.partTypeId)]);
    return {
      positionId: position.id,
      wantedPartTypeId,
      priceMinor: prices.get(wantedPartTypeId)!,
      stock: stock ? { count: stock.count, keptAside: stock.keptAside, bin: stock.bin } : null,
      inTray: well !== undefined,
      toRenew: (well?.toRenew.length ?? 0) > 0,
      well: well?.well ?? null,
      verdict: well?.verdict ?? null,
      renewed: well?.renewed ?? false,
      refitted: well?.refitted ?? false,
      need: (needs.get(position.id) as SeatFacts["need"]) ?? null,
      sold: orderable.has(wantedPartTypeId),
      foreseen: foreseen.has(position.id),
      planned: planned.has(position.id),
      declined: well?.declined ?? false,
      unrepaired: job.kind === "purchase-check" || job.declinedReason !== null,
      fits: [
        ...offered
          .filter((fit) => fit.partTypeId !== wantedPartTypeId)
          .flatMap((fit) => {
            const type = partTypes.get(fit.partTypeId);
            if (!type) return [];
            const note = [fit.note, fit.mark && `look for ${fit.mark}`].filter(Boolean).join("; ");
            return [
              {
                partTypeId: type.id,
                number: type.number,
                name: type.name,
                grade: gradeWords[fit.grade],
                note,
                inBin: bins.get(type.id)?.count ?? 0,
              },
            ];
          }),
        // The bins know nothing of models: a piece of the right size is one that goes here, whoever it was bought for.
        ...(type && well && !well.renewed ? lying : []).flatMap(({ part, free }) =>
          fitting.has(part.id) || !isSameSize(part.shape, type!.shape)
            ? []
            : [
                {
                  partTypeId: part.id,
                  number: part.number,
                  name: part.name,
                  grade: "the same size",
                  note: [part.material !== type!.material && part.material, sizeWords(part.shape)].filter(Boolean).join(", "),
                  inBin: free,
                },
              ],
        ),
      ],
      donors: donors
        .filter((piece) => fitting.has(piece.partTypeId))
        .map(({ id, number, condition, priceMinor, drawer, origin }) => ({ id, number, condition, priceMinor, drawer, origin })),
    };
  });
  return { seats, partTypes, foreseen, kits, agreed: mayGoOn(consent) };
}
