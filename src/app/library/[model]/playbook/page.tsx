import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { keptSolver } from "@/app/server/solver";
import { blindSpots } from "@/core/blind-spots/blind-spots";
import { listLearnedMinutes, listTaughtBatches } from "@/data/bench/playbook";
import { usualStationMinutes } from "@/data/jobs/station-time";
import { PlaybookSheet } from "@/ui/library/playbook-sheet";

export const metadata = { title: "Playbook" };

export default async function PlaybookPage(props: ModelPageProps) {
  const { db, model, version, leaf } = await loadModel(props);
  const spots = version.anatomy.positions.length ? blindSpots(await keptSolver(), version.anatomy, version.partTypes) : null;
  return (
    <PlaybookSheet
      key={version.number}
      {...leaf}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      stations={usualStationMinutes(db, model.id)}
      learned={listLearnedMinutes(db, model.id)}
      taught={listTaughtBatches(db, model.id, version.anatomy)}
      blind={
        spots && {
          mistakes: spots.mistakes.length,
          passing: spots.passing.map(({ words }) => words),
          offers: spots.offers.map(({ id, words, minutes, shows }) => ({ id, words, minutes, shows: shows.length })),
          cover: spots.cover.checks.map(({ words }) => words),
          coverMinutes: spots.cover.minutes,
          proven: spots.cover.proven,
        }
      }
    />
  );
}
