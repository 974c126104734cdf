import Link from "next/link";
import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { listReelsOfModel } from "@/data/catalogue/editions";
import { dayWords } from "@/ui/dates";
import { ModelPages } from "@/ui/library/model-pages";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Reels of a model" };

const sourceWords = { chosen: "seen on it", serial: "by its serial", year: "by its year", assumed: "assumed" } as const;

export default async function ReelsOfModelPage(props: ModelPageProps) {
  const { db, version, leaf } = await loadModel(props);
  const reels = listReelsOfModel(db, version);
  return (
    <Sheet fill block={<CornerBlock cells={leaf.cells} />}>
      <ModelPages modelId={leaf.modelId} here="Reels seen" />
      <table className="plain-table mt-2">
        <thead>
          <tr>
            <th>Serial</th>
            <th>Made</th>
            <th>Edition</th>
            <th className="text-right">Visits</th>
            <th className="text-right">Own parts</th>
            <th>Last here</th>
          </tr>
        </thead>
        <tbody>
          {reels.map((reel) => (
            <tr key={reel.id}>
              <td>
                <Link className="act-link num" href={`/ledger/reel/${reel.id}`} prefetch={false}>
                  {reel.serial || "no serial"}
                </Link>
                {reel.scrappedAt && <span className="text-note"> scrapped for parts</span>}
              </td>
              <td className="num">{reel.known?.year ?? reel.year ?? "–"}</td>
              <td>
                {reel.known ? (
                  <>
                    {reel.known.edition.name}{" "}
                    <span className={reel.known.source === "assumed" ? "border border-dashed border-ink px-1 text-note" : "text-note"}>
                      {sourceWords[reel.known.source]}
                    </span>
                  </>
                ) : (
                  "–"
                )}
              </td>
              <td className="num text-right">{reel.visits}</td>
              <td className="num text-right">{reel.ownParts || "–"}</td>
              <td>{reel.lastAt ? dayWords(reel.lastAt.slice(0, 10)) : "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {!reels.length && <p className="mt-2">None of this model has been here yet.</p>}
    </Sheet>
  );
}
