import { notFound } from "next/navigation";
import { sizeWords } from "@/core/anatomy/shapes";
import { findModel, getCurrentModelVersion } from "@/data/models";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb } from "../../server";

export default async function ModelPage({ params }: { params: Promise<{ model: string }> }) {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) notFound();
  const version = getCurrentModelVersion(db, model.id);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Model", value: `${model.maker} ${model.name}`, large: true },
            { label: "Family", value: model.family },
            { label: "Version", value: String(version.number) },
          ]}
        />
      }
    >
      <h1>
        {model.maker} {model.name}
      </h1>
      {version.anatomy.assemblies.map((assembly) => (
        <section key={assembly.id} className="mt-4">
          <h2>{assembly.name}</h2>
          <table className="plain-table">
            <tbody>
              {version.anatomy.positions
                .filter((position) => position.assemblyId === assembly.id)
                .map((position) => {
                  const type = version.partTypes.get(position.partTypeId)!;
                  return (
                    <tr key={position.id}>
                      <td className="num w-36">{type.number}</td>
                      <td className="w-72 font-semibold">{position.name}</td>
                      <td className="num">{sizeWords(type.shape)}</td>
                      <td>{type.material}</td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
        </section>
      ))}
    </Sheet>
  );
}
