import Link from "next/link";
import { readPage } from "@/app/server/reading";
import { findBySize } from "@/core/anatomy/find-by-size";
import { kindWords, sizeWords } from "@/core/anatomy/shapes";
import { familyWords } from "@/core/vocabulary/families";
import { countModels, findModelsAndParts, listModelsWithCounts } from "@/data/catalogue/model-list";
import { listPartTypes } from "@/data/catalogue/part-types";
import { listWaitingSheets, ownHeaders } from "@/data/catalogue/sheets";
import { columnMeanings } from "@/formats/parts-csv";
import { dateWords } from "@/ui/dates";
import { Glyph } from "@/ui/glyphs/glyph";
import { BringModel } from "@/ui/library/bring-model";
import { BringParts } from "@/ui/library/bring-parts";
import { BringSheet } from "@/ui/library/sheet/bring-sheet";
import { StartModel } from "@/ui/library/start-model";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Library" };

const aPage = 50;

/** Every model, a page at a time; or what is looked for by name, number, maker or a measured size. */
export default async function LibraryPage({ searchParams }: { searchParams: Promise<{ q?: string; page?: string }> }) {
  const db = await readPage("library");
  const { q = "", page: asked = "1" } = await searchParams;
  const sought = q.trim().slice(0, 100);
  const found = sought ? findModelsAndParts(db, sought) : null;
  const all = found ? found.modelIds.length : countModels(db);
  const pages = Math.max(1, Math.ceil(all / aPage));
  const page = Math.min(pages, Math.max(1, Number(asked) || 1));
  const models = listModelsWithCounts(db, { limit: aPage, offset: (page - 1) * aPage, only: found?.modelIds });
  const bySize = sought ? findBySize(listPartTypes(db), sought).map(({ part }) => part) : [];
  const parts = [...new Map([...bySize, ...(found?.parts ?? [])].map((part) => [part.id, part])).values()].slice(0, 40);
  const waiting = listWaitingSheets(db);
  const turn = (to: number) => `/library?${new URLSearchParams({ ...(sought ? { q: sought } : {}), page: String(to) })}`;
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Models", value: String(all), large: true }]} />}>
      <div className="grid gap-10 lg:grid-cols-[1fr_360px]">
        <div>
          <h1>Models</h1>
          <form action="/library" className="mt-2 flex items-end gap-2">
            <label className="flex-1">
              <span className="block text-note">A model, maker, part number or size, such as: washer 20 × 8 × 1</span>
              <input type="search" name="q" defaultValue={sought} autoComplete="off" />
            </label>
            <button type="submit" className="key key-small">
              Search
            </button>
          </form>
          {models.length > 0 && (
            <ul className="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
              {models.map((model) => (
                <ModelCard key={model.id} model={model} />
              ))}
            </ul>
          )}
          {!models.length && <p className="mt-2">{sought ? "No model matches." : "No model yet."}</p>}
          {pages > 1 && (
            <nav aria-label="Pages" className="mt-2 flex items-center gap-4">
              {page > 1 && (
                <Link className="act-link" href={turn(page - 1)}>
                  Before
                </Link>
              )}
              <span>
                <span className="num">{page}</span> of <span className="num">{pages}</span>
              </span>
              {page < pages && (
                <Link className="act-link" href={turn(page + 1)}>
                  After
                </Link>
              )}
            </nav>
          )}
          {sought && (
            <>
              <h2 className="mt-6">Parts</h2>
              {!parts.length && <p>No part matches (sizes to 0.1 mm).</p>}
              <ul className="grid gap-x-6 lg:grid-cols-2">
                {parts.map((part) => (
                  <li key={part.id} className="rule-row flex items-center gap-3 py-1">
                    <Glyph type={part} widthPx={56} heightPx={44} />
                    <span>
                      <Link className="act-link num" href={`/library/part/${part.id}`} prefetch={false}>
                        {part.number}
                      </Link>{" "}
                      {part.name}
                      <span className="block text-note">
                        {kindWords[part.shape.kind]}, <span className="num">{sizeWords(part.shape)}</span>
                      </span>
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
        <div className="flex flex-col gap-8">
          <div className="flex flex-col gap-2">
            <BringSheet headers={ownHeaders(db)} />
            {waiting.map(({ id, name, at }) => (
              <p key={id}>
                <Link className="act-link" href={`/library/sheet/${id}`} prefetch={false}>
                  {name}
                </Link>{" "}
                <span className="text-note">read {dateWords(at)}, not a model yet</span>
              </p>
            ))}
          </div>
          <StartModel />
          <div>
            <h2>A part by hand</h2>
            <Link className="act-link" href="/library/new-part" prefetch={false}>
              Add a part to the catalogue
            </Link>
          </div>
          <BringModel />
          <BringParts meanings={columnMeanings} />
        </div>
      </div>
    </Sheet>
  );
}

/** A model by its picture: the whole reel drawn, its name, and what is not as it should be. */
function ModelCard({ model }: { model: ReturnType<typeof listModelsWithCounts>[number] }) {
  const told = [
    model.seats ? `${model.seats} seats` : "no schematic",
    model.reels > 0 && `${model.reels} ${model.reels === 1 ? "reel" : "reels"} seen`,
    model.editions > 0 && `${model.editions} editions`,
    model.number > 1 && `version ${model.number}`,
  ].filter(Boolean);
  const open = [model.seats > 0 && !model.verified && "not verified", model.guessed > 0 && `${model.guessed} guessed`].filter(Boolean);
  return (
    <li className="border border-ink">
      <Link className="flex h-full flex-col p-2" href={`/library/${model.id}`} prefetch={false}>
        <span className="flex h-24 items-center justify-center">
          {model.seats > 0 && (
            // biome-ignore lint/performance/noImgElement: drawn by this shop itself, once it is scrolled to
            <img
              src={`/library/${model.id}/plate.svg?small`}
              alt=""
              loading="lazy"
              width={220}
              height={92}
              className="on-paper h-23 w-full object-contain"
            />
          )}
        </span>
        <span className="act-link self-start">
          {model.maker} {model.name}
        </span>
        <span>{familyWords[model.family]}</span>
        <span className="text-note">{told.join(", ")}</span>
        {open.length > 0 && <strong className="text-note">{open.join(", ")}</strong>}
      </Link>
    </li>
  );
}
