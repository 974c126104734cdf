import { createHash } from "node:crypto";
import { saying } from "@/core/account/sentences";
import { drawGlyph } from "@/core/glyphs/draw-glyph";
import { formatMinor } from "@/core/money/money";
import type { OwnerRecord, PictureBytes, RecordedReading } from "@/core/report/owner-record";
import { minutesLine } from "@/core/report/price-lines";
import type { Report } from "@/core/report/report";
import { escapeXml as esc, glyphSvg, plateSvg } from "./plate-svg";

const css = `body{font:16px/1.45 system-ui,sans-serif;color:#1B1F1E;background:#FCFCFA;max-width:60rem;margin:0 auto;padding:1rem}
h1{font-size:1.7rem;margin:0}h2{font-size:1.15rem;border-top:2px solid #1B1F1E;margin:1.6rem 0 .4rem;padding-top:.4rem}
table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.25rem .6rem .25rem 0;border-bottom:1px solid #C8CBC8;vertical-align:top}
img{max-width:100%;height:auto;border:1px solid #1B1F1E}figure{display:inline-block;margin:.3rem .6rem .3rem 0;max-width:28rem}
figcaption{font-size:.9rem}svg{max-width:100%;height:auto}.n{font-family:ui-monospace,monospace}.note{font-size:.9rem}
@media print{body{max-width:none}}`;

const para = (text: string) => (text ? `<p>${esc(text)}</p>` : "");
const list = (lines: readonly string[]) => (lines.length ? `<ul>${lines.map((line) => `<li>${esc(line)}</li>`).join("")}</ul>` : "");
const section = (title: string, body: string) => (body ? `<section><h2>${esc(title)}</h2>${body}</section>` : "");
const image = (bytes: PictureBytes | undefined, words: string): string => {
  if (bytes === undefined) return "";
  return bytes === null
    ? `<p class="note">The picture is missing: ${esc(words)}</p>`
    : `<figure><img alt="${esc(words)}" src="data:image/jpeg;base64,${Buffer.from(bytes).toString("base64")}"><figcaption>${esc(words)}</figcaption></figure>`;
};
const table = (heads: readonly string[], rows: readonly (readonly string[])[]) =>
  rows.length
    ? `<table><thead><tr>${heads.map((head) => `<th>${esc(head)}</th>`).join("")}</tr></thead><tbody>${rows
        .map((row) => `<tr>${row.map((cell) => `<td>${cell}</td>`).join("")}</tr>`)
        .join("")}</tbody></table>`
    : "";

/** What an instrument gave over time, as a line. */
function traceSvg({ trace, name, unit }: RecordedReading): string {
  if (!trace || trace.length < 2) return "";
  const [width, height] = [600, 120];
  const times = trace.map(({ tMs }) => tMs);
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const most = Math.max(...trace.map(({ value }) => value), 1e-9);
  const points = trace
    .map(
      ({ tMs, value }) =>
        `${(((tMs - from) / Math.max(to - from, 1)) * width).toFixed(1)},${(height - (Math.max(value, 0) / most) * height).toFixed(1)}`,
    )
    .join(" ");
  return `<figure><svg viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" role="img" aria-label="${esc(name)} over time"><polyline points="${points}" fill="none" stroke="#1B1F1E" stroke-width="1.5"/><path d="M0 ${height}H${width}" stroke="#1B1F1E"/></svg><figcaption class="note">${esc(name)}, ${((to - from) / 1000).toFixed(1)} s, at most ${most.toPrecision(3)} ${esc(unit)}</figcaption></figure>`;
}

function priceRows({ price }: Report): string[][] {
  const amount = (minor: number) => `<span class="n">${formatMinor(minor)}</span>`;
  return [
    ...price.workLines.map((work) => [esc(minutesLine(work, formatMinor)), ""]),
    ["Work", amount(price.labour)],
    ...(price.parts ? [["Parts", amount(price.parts)]] : []),
    ...price.extras.map(({ words, price: extra }) => [esc(words), amount(extra)]),
    ...(price.discount ? [["Discount", amount(-price.discount)]] : []),
    [`Tax ${price.taxPercent} %`, amount(price.tax)],
    [`<strong>Total, ${esc(price.currency)}</strong>`, `<strong>${amount(price.total)}</strong>`],
  ];
}

/**
 * A whole job as one file that needs nothing: HTML 5 with its drawings (SVG) and pictures (JPEG) inside, no script, no address outside, so that any
 * browser shows it in twenty years. The same record gives the same bytes.
 */
export function ownerFile(record: OwnerRecord): string {
  const { report } = record;
  const title = `${report.check ? "Purchase check" : "Service record"} ${report.tag}`;
  const body = [
    `<header><h1>${esc(title)}</h1><p>${esc(report.shopName)}</p><p><strong>${esc(report.reel)}</strong>, ${esc(report.hand)}, ${report.serial ? `serial <span class="n">${esc(report.serial)}</span>` : "no serial"}. For ${esc(report.owner)}. Received ${esc(report.openedOn)}${report.closedOn ? `, returned ${esc(report.closedOn)}` : ", not returned yet"}.</p></header>`,
    section(
      "You reported",
      para(report.complaint || "Nothing in particular.") +
        list([...report.answers, report.answer, report.ourMistake && `Our own mistake: ${report.ourMistake}`].filter(Boolean)) +
        para(report.asFound && `As received: ${report.asFound}.`),
    ),
    section("Returned unrepaired", para(report.declined ?? "")),
    section("As it came", record.asItCame.map((bytes, i) => image(bytes, `Picture ${i + 1}`)).join("")),
    section("Found and done", list(saying(report.told, "found", "done", "seals", "checks"))),
    section(
      "Taken off, piece by piece",
      table(
        ["Well", "", "Piece", "Looked at", ""],
        record.off.map(({ well, name, type, turned, said, picture }) => [
          `<span class="n">${well}</span>`,
          glyphSvg(drawGlyph(type.shape, { turned, material: type.material, leastThicknessMm: 1.2 }), 96),
          esc(name),
          esc(said),
          image(picture, name),
        ]),
      ),
    ),
    section(
      "Put back, step by step",
      record.back.length
        ? `<ol>${record.back.map(({ words, note, on }) => `<li>${esc(words)}${note ? `: ${esc(note)}` : ""} <span class="note">${esc(on)}</span></li>`).join("")}</ol>`
        : "",
    ),
    section(
      "Pieces and where they come from",
      table(
        ["Seat", "Number", "Piece", "Origin"],
        record.pieces.map(({ seat, number, what, origin }) => [esc(seat), `<span class="n">${esc(number)}</span>`, esc(what), esc(origin)]),
      ),
    ),
    section("Oil and grease", list(saying(report.told, "oil"))),
    section("Measured and calculated", list(report.computed)),
    section(
      "Readings",
      table(
        ["Test", "When", "Reading", "On", "By"],
        record.readings.map((one) => [
          esc(one.name),
          one.when,
          esc(one.said),
          esc(one.on),
          esc(`${one.instrument}${one.simulated ? " (simulated)" : ""}`),
        ]),
      ) + record.readings.map(traceSvg).join(""),
    ),
    section("Take care", list(report.cautions)),
    section("Left out on purpose", list(report.leftOut.map(({ name, reason }) => `${name}: ${reason}`))),
    section("Watch next time", list(report.watch)),
    section(
      "Care and next service",
      list([
        ...report.advice,
        ...[report.warranty].filter(Boolean),
        `Next service: ${report.nextService}`,
        ...report.due.filter(({ id }) => id !== "whole").map(({ component, what, on }) => `${component}: ${what}, by ${on}`),
      ]),
    ),
    section("Price", table(["", ""], priceRows(report))),
    section(
      "Added after the return",
      list(
        report.corrections.map(
          ({ on, words, amount }) =>
            `${on}: ${words}${amount ? ` (${amount > 0 ? "paid" : "given back"} ${formatMinor(Math.abs(amount))} ${report.price.currency})` : ""}`,
        ),
      ),
    ),
    section(
      "Drawings",
      record.plates
        .map(
          (plate) =>
            `<figure>${plateSvg(plate, (id) => record.names.get(id) ?? id).replace(/^<\?xml[^>]*>\s*/, "")}<figcaption>${esc(plate.name)}</figcaption></figure>`,
        )
        .join(""),
    ),
    `<footer><p class="note">Makers' instructions and local rules come before anything advised here. The report on paper prints this file's SHA-256: whoever has both can tell that nothing was changed.</p></footer>`,
  ];
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'"><title>${esc(title)}</title><style>${css}</style></head>
<body>
${body.filter(Boolean).join("\n")}
</body></html>
`;
}

/** SHA-256 of a file's bytes, as sha256sum prints it. */
export const fileHash = (file: string): string => createHash("sha256").update(file, "utf8").digest("hex");
