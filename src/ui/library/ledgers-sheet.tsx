"use client";
import Link from "next/link";
import type { ReactNode } from "react";
import { editSeat } from "@/core/anatomy/draft";
import { holeSpareMm, ledgersOf, lubricantTotals } from "@/core/anatomy/ledgers";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { findBearing } from "@/core/bearings/find-bearing";
import { Glyph } from "@/ui/glyphs/glyph";
import { ModelLeaf, type ModelProps } from "./model-leaf";
import { useDraft } from "./use-draft";

interface Props extends ModelProps {
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly stock: Readonly<Record<string, { readonly count: number }>>;
}

/** The machine by what one looks for in it: its screws, bearings, seals and the places that want oil or grease, seat by seat. */
export function LedgersSheet({ modelId, versionNumber, cells, anatomy, partTypes, stock }: Props) {
  const drafting = useDraft({ id: modelId, versionNumber, anatomy, partTypes });
  const { draft, types, change } = drafting;
  const { screws, bearings, seals, lubrication } = ledgersOf(draft.anatomy, types);
  const verify = (position: Position) =>
    position.verify.length || position.guessed ? (
      <button
        type="button"
        className="key key-small border-dashed"
        onClick={() => change(editSeat(draft, position.id, { verify: [], guessed: false }))}
      >
        {position.guessed ? "guessed" : `verify ${position.verify.join(", ")}`}: confirm
      </button>
    ) : (
      <span className="text-note">seen</span>
    );
  const bin = (part: PartType) => (stock[part.id] ? <span className="num">{stock[part.id]!.count}</span> : "–");
  const number = (part: PartType) => (
    <Link className="act-link num" href={`/library/part/${part.id}`}>
      {part.number}
    </Link>
  );
  return (
    <ModelLeaf {...{ modelId, versionNumber, cells, drafting }} here="Ledgers" idle="Nothing to save: confirm what a teardown showed">
      <div className="flex flex-col gap-6">
        <Ledger
          title={`Screws and nuts: ${screws.length}`}
          heads={["", "Seat", "Number", "Size", "Hole", "Clearance below", "Start", "Tighten to", "Verified"]}
        >
          {screws.map((row) => {
            const { position, part } = row;
            const spare = holeSpareMm(row);
            return (
              <tr key={position.id}>
                <td>
                  <Glyph type={part} widthPx={56} heightPx={24} />
                </td>
                <td>
                  {position.name}
                  {position.hole && <span className="block text-note">{position.hole}</span>}
                </td>
                <td>{number(part)}</td>
                <td className="num">{sizeWords(part.shape)}</td>
                <td className="num">
                  {position.through ? "through" : position.holeDepthMm === undefined ? "–" : `${position.holeDepthMm} mm`}
                </td>
                <td className="num">{spare === null ? "–" : `${spare.toFixed(1)} mm`}</td>
                <td className="num">{position.startOrder ?? "–"}</td>
                <td>
                  {position.tightness ?? "–"}
                  {position.indexDeg ? (
                    <span className="text-note">
                      , catches every <span className="num">{position.indexDeg}°</span>
                    </span>
                  ) : null}
                  {position.stripsEasily && <strong className="block text-note">strips easily</strong>}
                </td>
                <td>{verify(position)}</td>
              </tr>
            );
          })}
        </Ledger>
        <Ledger
          title={`Bearings: ${bearings.length}`}
          heads={["", "Seat", "Number", "Size", "By the table", "Served", "In the bin", "Verified"]}
        >
          {bearings.map(({ position, part }) => (
            <tr key={position.id}>
              <td>
                <Glyph type={part} widthPx={40} heightPx={32} />
              </td>
              <td>{position.name}</td>
              <td>{number(part)}</td>
              <td className="num">{sizeWords(part.shape)}</td>
              <td className="num">
                {findBearing(part.shape)
                  .map((size) => size.number)
                  .join(", ") || "its own size"}
              </td>
              <td>{position.inPlace ? "in place: oil it there, prove that it turns" : "drawn"}</td>
              <td>{bin(part)}</td>
              <td>{verify(position)}</td>
            </tr>
          ))}
        </Ledger>
        {seals.length > 0 && (
          <Ledger title={`Seals: ${seals.length}`} heads={["", "Seat", "Number", "Size", "Orientation", "In the bin", "Verified"]}>
            {seals.map(({ position, part }) => (
              <tr key={position.id}>
                <td>
                  <Glyph type={part} widthPx={40} heightPx={32} />
                </td>
                <td>{position.name}</td>
                <td>{number(part)}</td>
                <td className="num">{sizeWords(part.shape)}</td>
                <td>{position.orientation ?? "–"}</td>
                <td>{bin(part)}</td>
                <td>{verify(position)}</td>
              </tr>
            ))}
          </Ledger>
        )}
        <Ledger title={`Places to lubricate: ${lubrication.length}`} heads={["", "Seat", "Product", "How much", "Drops", "Why"]}>
          {lubrication.map(({ position, part, lubricant }) => (
            <tr key={position.id}>
              <td>
                <Glyph type={part} widthPx={40} heightPx={32} />
              </td>
              <td>{position.name}</td>
              <td>{lubricant.product}</td>
              <td>{lubricant.amount}</td>
              <td className="num">{lubricant.drops ?? "–"}</td>
              <td>{lubricant.why}</td>
            </tr>
          ))}
        </Ledger>
        <p>
          One full service takes{" "}
          {lubricantTotals(lubrication)
            .map(
              ({ product, places, drops, inWords }) =>
                `${product} at ${places} ${places === 1 ? "place" : "places"} (${[...(drops ? [`${drops} drops`] : []), ...(inWords ? [`${inWords} by eye`] : [])].join(", ")})`,
            )
            .join("; ")}
          .
        </p>
      </div>
    </ModelLeaf>
  );
}

function Ledger({ title, heads, children }: { title: string; heads: readonly string[]; children: ReactNode }) {
  return (
    <div>
      <h2>{title}</h2>
      <table className="plain-table">
        <thead>
          <tr>
            {heads.map((head) => (
              <th key={head}>{head}</th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}
