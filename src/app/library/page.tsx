import Link from "next/link";
import { familyWords } from "@/core/families/family-ids";
import { getCurrentModelVersion, listModels } from "@/data/models";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb } from "../server";

export const metadata = { title: "Library" };

export default function LibraryPage() {
  const db = getDb();
  const models = listModels(db).map((model) => ({ ...model, version: getCurrentModelVersion(db, model.id) }));
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Models", value: String(models.length), large: true }]} />}>
      <h1>Models</h1>
      <table className="plain-table mt-2">
        <thead>
          <tr>
            <th>Model</th>
            <th>Family</th>
            <th className="text-right">Assemblies</th>
            <th className="text-right">Seats</th>
            <th className="text-right">Version</th>
          </tr>
        </thead>
        <tbody>
          {models.map((model) => (
            <tr key={model.id}>
              <td>
                <Link className="act-link" href={`/library/${model.id}`}>
                  {model.maker} {model.name}
                </Link>
              </td>
              <td>{familyWords[model.family]}</td>
              <td className="num text-right">{model.version.anatomy.assemblies.length}</td>
              <td className="num text-right">{model.version.anatomy.positions.length}</td>
              <td className="num text-right">{model.version.number}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {!models.length && <p>No model yet.</p>}
    </Sheet>
  );
}
