import Link from "next/link";
import { familyWords } from "@/core/families/family-ids";
import { listModelsWithCounts } from "@/data/models";
import { BringModel } from "@/ui/library/bring-model";
import { BringParts } from "@/ui/library/bring-parts";
import { StartModel } from "@/ui/library/start-model";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb } from "../server";
import { bringModel, previewModel, startModel } from "./actions";
import { bringParts, previewParts } from "./parts-actions";

export const metadata = { title: "Library" };

export default function LibraryPage() {
  const models = listModelsWithCounts(getDb());
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Models", value: String(models.length), large: true }]} />}>
      <div className="grid gap-10 lg:grid-cols-[1fr_360px]">
        <div>
          <h1>Models</h1>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th>Model</th>
                <th>Family</th>
                <th className="text-right">Seats</th>
                <th className="text-right">Guessed</th>
                <th className="text-right">Reels seen</th>
                <th className="text-right">Version</th>
              </tr>
            </thead>
            <tbody>
              {models.map((model) => (
                <tr key={model.id}>
                  <td>
                    <Link className="act-link" href={`/library/${model.id}`} prefetch={false}>
                      {model.maker} {model.name}
                    </Link>
                  </td>
                  <td>{familyWords[model.family]}</td>
                  <td className="num text-right">{model.seats || "no schematic"}</td>
                  <td className="num text-right">{model.guessed || "–"}</td>
                  <td className="num text-right">{model.reels || "–"}</td>
                  <td className="num text-right">{model.number}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {!models.length && <p>No model yet.</p>}
        </div>
        <div className="flex flex-col gap-8">
          <StartModel start={startModel} />
          <BringModel look={previewModel} bring={bringModel} />
          <BringParts look={previewParts} bring={bringParts} />
        </div>
      </div>
    </Sheet>
  );
}
