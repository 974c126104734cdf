import Link from "next/link";
import { notFound } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { kindWords, sizeWords } from "@/core/anatomy/shapes";
import { isLeftHand } from "@/core/anatomy/thread";
import { findBearing } from "@/core/bearings/find-bearing";
import { gradeWords } from "@/core/interchange/interchange";
import { formatMinor } from "@/core/money/money";
import { listPlaces } from "@/data/catalogue/interchange";
import { findPartByNumber, findPartCard } from "@/data/catalogue/part-types";
import { listDonorPieces } from "@/data/parts/donors";
import { findStock } from "@/data/parts/stock";
import { listOffers, listSuppliers } from "@/data/parts/suppliers";
import { getShopSettings } from "@/data/shop/settings";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Glyph } from "@/ui/glyphs/glyph";
import { PartBin, PartFacts, PartOffers } from "@/ui/library/part-card";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Part" };

/** One catalogue entry: what it is, where it sits and where else it fits, who sells it, and for a bearing its number in the standard's table. */
export default async function PartPage({ params }: { params: Promise<{ id: string }> }) {
  const db = await readPage("library");
  const card = findPartCard(db, decodeURIComponent((await params).id));
  if (!card) notFound();
  const { part } = card;
  const { places, not } = listPlaces(db, part.id);
  const stock = findStock(db, part.id);
  const donors = listDonorPieces(db, part.id);
  const next = part.supersededBy ? findPartByNumber(db, part.supersededBy) : null;
  const { currency } = getShopSettings(db);
  const standard = part.shape.kind === "bearing" ? findBearing(part.shape) : [];
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Number", value: part.number, large: true },
            { label: "Kind", value: kindWords[part.shape.kind] },
            { label: "In stock", value: stock ? `${stock.count} in ${stock.bin}` : "no bin" },
          ]}
        />
      }
    >
      <div className="grid gap-8 lg:grid-cols-[320px_1fr_1fr]">
        <div>
          <h1>{part.name}</h1>
          <Glyph type={part} widthPx={300} heightPx={150} />
          <p className="num">{sizeWords(part.shape)}</p>
          <p>
            {part.material}
            {isLeftHand(part) && <strong>, left-hand thread</strong>}
            {part.flies && <strong>, flies when freed</strong>}
          </p>
          {part.hazard && <p className="alarm my-1">{part.hazard} Makers' instructions and local rules come first.</p>}
          <p>
            <span className="num text-head">{formatMinor(part.priceMinor)}</span> {currency}
          </p>
          {card.unlisted && (
            <ActForm
              act="list-piece"
              label="Add to the catalogue"
              className="mt-2 border border-ink p-2"
              values={{ number: "" }}
              also={{ id: part.id }}
            >
              <FormText name="number" label="No number yet: give it one" />
              <FormSend>Add to the catalogue</FormSend>
            </ActForm>
          )}
          {part.supersededBy && (
            <p>
              Sold now as{" "}
              {next ? (
                <Link className="act-link num" href={`/library/part/${next.id}`}>
                  {next.number}
                </Link>
              ) : (
                <span className="num">{part.supersededBy}</span>
              )}
              .
            </p>
          )}
          {standard.map((size) => (
            <p key={size.number}>
              Bearing <strong className="num">{size.number}</strong>, the {size.width === "both" ? "one" : size.width} width (
              {size.offMm.toFixed(2)} mm off). <span className="text-note">ISO 15 / ABMA 20</span>
            </p>
          ))}
          {card.retired && <p className="mt-1 border-2 border-ink px-2 py-1">Retired: no longer ordered or offered.</p>}
          <PartFacts
            id={part.id}
            name={part.name}
            priceMinor={part.priceMinor}
            supersededBy={part.supersededBy ?? ""}
            hazard={part.hazard ?? ""}
            rowVersion={card.rowVersion}
            retired={card.retired}
          />
        </div>
        <div>
          <h2>Where it is used, and where else it fits</h2>
          {!places.length && <p>Not in any model in the library.</p>}
          <ul>
            {places.map(({ seat, grade, note, because }) => (
              <li key={`${seat.modelId} ${seat.positionId}`} className="rule-row py-1">
                <Link className="act-link" href={`/library/${seat.modelId}`} prefetch={false}>
                  {seat.model}
                </Link>{" "}
                {seat.seat}
                {grade !== "same-number" && (
                  <span className="block text-note">
                    {gradeWords[grade]}: {because}
                    {note && `; ${note}`}
                  </span>
                )}
              </li>
            ))}
            {not.map(({ model, why }) => (
              <li key={model} className="rule-row py-1">
                <strong>Not in {model}</strong>: {why}
              </li>
            ))}
          </ul>
        </div>
        <div className="flex flex-col gap-6">
          <PartBin number={part.number} bin={stock} />
          <PartOffers
            partTypeId={part.id}
            offers={listOffers(db, part.id)}
            suppliers={Object.fromEntries(
              listSuppliers(db)
                .filter(({ retired }) => !retired)
                .map(({ id, name }) => [id, name]),
            )}
            currency={currency}
          />
          {donors.length > 0 && <h2>Off donor reels</h2>}
          {donors.map((piece) => (
            <p key={piece.id} className="rule-row py-1">
              Off{" "}
              <Link className="act-link" href={`/ledger/reel/${piece.reelId}`} prefetch={false}>
                {piece.origin}
              </Link>
              , {piece.condition}, <span className="num">{formatMinor(piece.priceMinor)}</span>
              {piece.drawer && `, drawer ${piece.drawer}`}
            </p>
          ))}
        </div>
      </div>
    </Sheet>
  );
}
