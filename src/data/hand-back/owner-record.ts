import { testOn } from "@/core/proving/protocol";
import { originWords } from "@/core/report/origin-words";
import type { OwnerRecord, PictureBytes } from "@/core/report/owner-record";
import type { Report } from "@/core/report/report";
import { modelPlates } from "@/core/schematic/assembly-plate";
import { wellVerdictWords } from "@/core/teardown/verdicts";
import { wayRound } from "@/core/teardown/way-round";
import { sayMeasure } from "@/core/units/say-measure";
import { getBuild } from "@/data/bench/build";
import { listWells } from "@/data/bench/tray";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { readPhoto } from "@/data/database/photos";
import { listObservations } from "@/data/diagnosis/observations";
import { type Job, listJobPhotos } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listPiecesOfReel } from "@/data/jobs/pieces";
import { getShopSettings } from "@/data/shop/settings";

/** Everything of a job its owner may keep, pictures included. @param dates in the shop's words. @param directory where the pictures lie. */
export function getOwnerRecord(db: Db, job: Job, report: Report, dates: (iso: string) => string, directory?: string): OwnerRecord {
  const version = machineOf(db, job);
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const nameOf = (id: string) => seats.get(id)?.name ?? id;
  const picture = (hash: string): PictureBytes => readPhoto(db, hash, directory);
  const force = getShopSettings(db).shownForce;
  const pieces = listPiecesOfReel(db, job.reel.id, job.id);
  const types = findPartTypes(db, [...pieces.map(({ partTypeId }) => partTypeId)]);
  return {
    report,
    plates: version.anatomy.positions.length ? modelPlates(version.anatomy, version.partTypes) : [],
    names: new Map([...version.partTypes].map(([id, { name }]) => [id, name])),
    asItCame: listJobPhotos(db, job.id).map(picture),
    off: listWells(db, job.id).flatMap((well) => {
      const position = seats.get(well.positionId);
      const type = position && version.partTypes.get(position.partTypeId);
      if (!position || !type) return [];
      const sentences = [
        wellVerdictWords[well.verdict],
        well.dressed,
        wayRound(position, well).turnedOver && "was upside down",
        wayRound(position, well).lay && `found: ${well.orientation}`,
        well.note,
        well.leftOutReason && `left out: ${well.leftOutReason}`,
      ].filter(Boolean);
      return [
        {
          well: well.well,
          name: position.name,
          type,
          turned: position.turned,
          said: sentences.join("; "),
          picture: well.photoHash === null ? undefined : picture(well.photoHash),
        },
      ];
    }),
    back: getBuild(db, job, version)
      .steps.filter(({ state }) => state === "done")
      .map(({ operation, position, note, at }) => ({
        words: operation.words || `Fit ${position?.name ?? "a part"}`,
        note,
        on: at ? dates(at) : "",
      })),
    readings: listObservations(db, job.id).map((one) => ({
      name: testOn(version.model.family, one.testId).name,
      when: one.phase,
      said: one.value === null ? one.verdict : `${sayMeasure(one.value, one.unit, force)}, ${one.verdict}`,
      on: dates(one.at),
      instrument: one.instrument,
      simulated: one.simulated,
      trace: one.trace,
      unit: one.unit ?? "",
    })),
    pieces: pieces.flatMap((piece) => {
      const type = types.get(piece.partTypeId);
      return type ? [{ seat: nameOf(piece.positionId), number: type.number, what: type.name, origin: originWords(piece, job.tag) }] : [];
    }),
  };
}
