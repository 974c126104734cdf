import Link from "next/link";
import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { shownVariants } from "@/app/server/variants";
import { formatMinor } from "@/core/money/money";
import { seenValue } from "@/core/seen/seen";
import { extrasOfModel } from "@/data/bench/extra-pieces";
import { builtOf, lackingOf } from "@/data/catalogue/built";
import { listReelsOfModel } from "@/data/catalogue/editions";
import { modelWorth, seenModelName } from "@/data/catalogue/write-model";
import { getShopSettings } from "@/data/shop/settings";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Pager } from "@/ui/controls/pager";
import { dayWords } from "@/ui/dates";
import { BuiltSo } from "@/ui/library/built-so";
import { ModelPages } from "@/ui/library/model-pages";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Reels of a model" };

/** Reels on one page. */
const pageOf = 40;
const sourceWords = { chosen: "seen on it", serial: "by its serial", year: "by its year", assumed: "assumed" } as const;

export default async function ReelsOfModelPage(props: ModelPageProps & { searchParams: Promise<{ page?: string }> }) {
  const { db, model, version, leaf } = await loadModel(props);
  const page = Math.min(1000, Number(/^\d{1,4}$/.exec((await props.searchParams)?.page ?? "")?.[0] ?? 0));
  // One more than is shown tells whether there is another page.
  const found = listReelsOfModel(db, version, { limit: pageOf + 1, offset: page * pageOf });
  const reels = found.slice(0, pageOf);
  const worth = modelWorth(db, model.id);
  const built = builtOf(db, model.id);
  const extras = extrasOfModel(db, model.id);
  return (
    <Sheet fill block={<CornerBlock cells={leaf.cells} />}>
      <ModelPages modelId={leaf.modelId} here="Reels seen" />
      <div className="mt-2 grid gap-6 lg:grid-cols-2">
        <ActForm
          act="model-worth"
          label="Value"
          className="flex items-end gap-2"
          values={{ value: worth === null ? "" : formatMinor(worth) }}
          also={{ modelId: model.id }}
          seen={{ seen: seenValue(worth) }}
        >
          <FormText
            name="value"
            label={`Typical value, ${getShopSettings(db).currency}`}
            hint="Quotes above this value are marked “not recommended”. A value typed at the Counter overrides it."
            figures
          />
          <FormSend whenChanged>Save</FormSend>
        </ActForm>
        <ActForm
          act="name-model"
          label="Name"
          className="flex flex-wrap items-end gap-2"
          values={{ maker: model.maker, name: model.name }}
          also={{ modelId: model.id }}
          seen={{ seen: seenModelName(model) }}
        >
          <FormText name="maker" label="Maker" className="w-40" />
          <FormText name="name" label="Model" className="flex-1" />
          <FormSend whenChanged>Rename</FormSend>
        </ActForm>
        {built && (
          <BuiltSo
            modelId={model.id}
            versionNumber={version.number}
            lacking={lackingOf(db, model)}
            variants={shownVariants[model.family]}
            chosen={built.chosen}
          />
        )}
        {extras.length > 0 && (
          <section>
            <h2>Found in these reels, not on the drawing</h2>
            <ul>
              {extras.map(({ words, tags }) => (
                <li key={words} className="rule-row py-1">
                  {words} <span className="text-note">{tags.join(", ")}</span>
                </li>
              ))}
            </ul>
            <Link className="act-link inline-flex min-h-10 items-center" href={`/library/${model.id}`}>
              Open the drawing to add it
            </Link>
          </section>
        )}
      </div>
      <table className="plain-table mt-2">
        <thead>
          <tr>
            <th>Serial</th>
            <th>Made</th>
            <th>Edition</th>
            <th className="text-right">Visits</th>
            <th className="text-right">Own parts</th>
            <th>Last visit</th>
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
      <Pager page={page} more={found.length > pageOf} href={(to) => `/library/${model.id}/reels?page=${to}`} />
      {!reels.length && <p className="mt-2">No reel of this model has been here yet.</p>}
    </Sheet>
  );
}
