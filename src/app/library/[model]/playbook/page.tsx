import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { listLearnedMinutes, listTaughtBatches } from "@/data/bench/playbook";
import { usualStationMinutes } from "@/data/jobs/station-time";
import { PlaybookSheet } from "@/ui/library/playbook-sheet";
import { putLearnedMinutesIn, saveModelVersion } from "../../actions";

export const metadata = { title: "Playbook" };

export default async function PlaybookPage(props: ModelPageProps) {
  const { db, model, version, leaf } = await loadModel(props);
  return (
    <PlaybookSheet
      key={version.number}
      {...leaf}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      stations={usualStationMinutes(db, model.id)}
      learned={listLearnedMinutes(db, model.id)}
      taught={listTaughtBatches(db, model.id, version.anatomy)}
      save={saveModelVersion}
      putIn={putLearnedMinutesIn}
    />
  );
}
