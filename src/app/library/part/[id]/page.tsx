import Link from "next/link";
import { notFound } from "next/navigation";
import { kindWords, sizeWords } from "@/core/anatomy/shapes";
import { findBearing } from "@/core/bearings/find-bearing";
import { formatMinor } from "@/core/money/money";
import { findPartType, listSeatsOfPart } from "@/data/models";
import { listOffers } from "@/data/orders";
import { getShopSettings } from "@/data/settings";
import { findStock } from "@/data/stock";
import { Glyph } from "@/ui/glyphs/glyph";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb } from "../../../server";

export const metadata = { title: "Part" };

/** One catalogue entry: what it is, where it sits, who sells it, and for a bearing its number in the standard's table. */
export default async function PartPage({ params }: { params: Promise<{ id: string }> }) {
  const db = getDb();
  const part = findPartType(db, decodeURIComponent((await params).id));
  if (!part) notFound();
  const seats = listSeatsOfPart(db, part.id);
  const stock = findStock(db, part.id);
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
            { label: "Lies", value: stock ? `${stock.count} in ${stock.bin}` : "no bin" },
          ]}
        />
      }
    >
      <div className="grid gap-8 lg:grid-cols-[320px_1fr_1fr]">
        <div>
          <h1>{part.name}</h1>
          <Glyph type={part} widthPx={300} heightPx={220} />
          <p className="num">{sizeWords(part.shape)}</p>
          <p>{part.material}</p>
          <p>
            <span className="num text-head">{formatMinor(part.priceMinor)}</span> {currency}
          </p>
          {standard.map((size) => (
            <p key={size.number}>
              Bearing <strong className="num">{size.number}</strong>, the {size.width === "both" ? "one" : size.width} width (
              {size.offMm.toFixed(2)} mm off). <span className="text-note">ISO 15 / ABMA 20</span>
            </p>
          ))}
        </div>
        <div>
          <h2>Where it sits</h2>
          {!seats.length && <p>In no model of the library.</p>}
          <ul>
            {seats.map((seat) => (
              <li key={`${seat.modelId} ${seat.assembly} ${seat.seat}`} className="rule-row py-1">
                <Link className="act-link" href={`/library/${seat.modelId}`}>
                  {seat.model}
                </Link>{" "}
                {seat.seat} <span className="text-note">{seat.assembly}</span>
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2>Who sells it</h2>
          {listOffers(db, part.id).map((offer) => (
            <p key={offer.supplierId} className="rule-row py-1">
              {offer.supplierName} <span className="num">{formatMinor(offer.priceMinor)}</span>, post{" "}
              <span className="num">{formatMinor(offer.postageMinor)}</span>, {offer.leadDays} days
            </p>
          ))}
          <Link className="act-link" href={`/stores?part=${part.id}`}>
            Its bin at Stores
          </Link>
        </div>
      </div>
    </Sheet>
  );
}
