import type { WordBox } from "@/core/sheets/sheet";
import { chanceOf } from "../any-job/chance";
import type { WrittenSheet } from "./written-sheets";

/** How a sheet is set: what stands in its list, in which order, how wide, with which header; and its drawing. */
export interface SheetStyle {
  readonly name: string;
  readonly fields: readonly ("callout" | "number" | "description" | "quantity" | "price" | "remarks")[];
  readonly header: Readonly<Partial<Record<string, string>>> | null;
  /** Lists beside each other. */
  readonly blocks: number;
  /** One word's space and the gap between columns, in heights of a letter. */
  readonly gap: number;
  readonly number: (at: number) => string;
  readonly price: (minor: number) => string;
  /** Where the drawing's numerals are: above the list, beside it, on a page of their own. */
  readonly drawing: "above" | "beside" | "own-page";
  /** Letters in a description's line before it goes on in the next. */
  readonly wraps: number;
  readonly rightAligned: readonly string[];
  readonly sub: boolean;
}

const dot = (minor: number) => (minor / 100).toFixed(2);
const comma = (minor: number) => `${(minor / 100).toFixed(2).replace(".", ",")} €`;
const plain = {
  ...{ blocks: 1, gap: 1.6, number: (at: number) => `KR-${1200 + at * 7}`, price: dot, drawing: "above" as const, wraps: 60 },
  ...{ rightAligned: [] as string[], sub: false },
};

/** Ten styles; the last four are only counted. */
export const sheetStyles: readonly SheetStyle[] = [
  {
    ...plain,
    name: "plain",
    fields: ["callout", "number", "description", "quantity", "price"],
    header: { callout: "No.", number: "Part No.", description: "Description", quantity: "Qty", price: "Price" },
  },
  { ...plain, name: "no header", fields: ["callout", "number", "description"], header: null, number: (at) => `${71000 + at * 13}` },
  {
    ...plain,
    name: "two lists",
    fields: ["callout", "number", "description", "quantity"],
    header: { callout: "KEY", number: "PART #", description: "DESCRIPTION", quantity: "QTY" },
    blocks: 2,
    drawing: "own-page",
  },
  {
    ...plain,
    name: "three lists without a header",
    fields: ["callout", "number", "description"],
    header: null,
    blocks: 3,
    gap: 1,
    number: (at) => `B${String(100 + at)}A`,
  },
  {
    ...plain,
    name: "words first",
    fields: ["description", "number", "quantity", "callout"],
    header: { description: "Designation", number: "Article", quantity: "pcs.", callout: "Pos." },
    drawing: "beside",
  },
  {
    ...plain,
    name: "cells over two lines",
    fields: ["callout", "number", "description", "price", "remarks"],
    header: { callout: "Item", number: "Code", description: "Name", price: "Each", remarks: "Remarks" },
    wraps: 14,
    price: comma,
    sub: true,
  },
  {
    ...plain,
    name: "right-aligned, narrow",
    fields: ["callout", "number", "description", "quantity", "price"],
    header: null,
    rightAligned: ["callout", "price", "quantity"],
    gap: 0.9,
    price: comma,
    number: (at) => `0${450 + at}-${at % 4}`,
  },
  {
    ...plain,
    name: "no part numbers",
    fields: ["callout", "description", "quantity"],
    header: { callout: "Ref", description: "Part name", quantity: "Q'ty" },
    drawing: "beside",
  },
  {
    ...plain,
    name: "four columns of two lists",
    fields: ["callout", "number", "description"],
    header: { callout: "NO.", number: "PARTS NO.", description: "PARTS NAME" },
    blocks: 2,
    gap: 0.9,
    sub: true,
    number: (at) => `RD ${10300 + at}`,
  },
  {
    ...plain,
    name: "price list",
    fields: ["number", "description", "price"],
    header: { number: "Stock no", description: "Nomenclature", price: "Retail" },
    price: comma,
    drawing: "own-page",
  },
];

export interface DrawnSheet {
  readonly words: readonly WordBox[];
  /** What its list says, as it should be read. */
  readonly rows: readonly Readonly<Record<string, string>>[];
  readonly callouts: readonly { readonly text: string; readonly x: number; readonly y: number; readonly page: number }[];
}

/** Draws a written sheet in a style as words with boxes, 1 being a letter's height of 10. @param jitter how far words stray, in letters' heights. */
export function drawSheet(sheet: WrittenSheet, style: SheetStyle, seed: number, jitter = 0.03): DrawnSheet {
  const { number: draw, yes, one } = chanceOf(seed);
  const h = 10;
  const wide = (text: string) => text.length * 5.4 + 2;
  const words: WordBox[] = [];
  const stray = () => (draw() - 0.5) * 2 * jitter * h;
  const put = (text: string, x: number, y: number, page: number) => {
    let at = x;
    for (const word of text.split(" ")) {
      words.push({ text: word, x: at + stray(), y: y + stray(), w: wide(word), h, page });
      at += wide(word) + 3.2;
    }
  };
  const ends = (text: string) => text.split(" ").reduce((sum, word) => sum + wide(word) + 3.2, -3.2);
  let callout = 0;
  const rows = sheet.rows.map(([description, quantity], at) => {
    const isSub = style.sub && at > 3 && at % 11 === 0;
    if (!isSub) callout++;
    const all: Record<string, string> = {
      callout: isSub ? `${callout}A` : `${callout}`,
      number: style.number(at),
      description,
      quantity: `${quantity}`,
      price: style.price(90 + ((at * 137) % 4000)),
      remarks: at % 6 === 2 ? one(["as required", "from serial 4000", "not sold alone"]) : "",
    };
    return Object.fromEntries(style.fields.map((field) => [field, all[field]!]));
  });
  const each = Math.ceil(rows.length / style.blocks);
  // A line is broken at a space.
  const broken = (text: string): string[] =>
    text.split(" ").reduce<string[]>((lines, word) => {
      const last = lines.at(-1);
      if (last !== undefined && last.length + 1 + word.length <= style.wraps) lines[lines.length - 1] = `${last} ${word}`;
      else lines.push(word);
      return lines;
    }, []);
  const widths = style.fields.map((field) =>
    Math.max(
      style.header?.[field] ? ends(style.header[field]!) : 0,
      ...rows.flatMap((row) => (field === "description" ? broken(row[field]!) : [row[field]!]).map(ends)),
    ),
  );
  const list = style.drawing === "above" ? 420 : 60;
  const page = 1;
  let x = 40;
  for (let block = 0; block < style.blocks; block++) {
    let y = list;
    const lefts = widths.map((_, i) => x + widths.slice(0, i).reduce((sum, w) => sum + w + style.gap * h, 0));
    const at = (i: number, text: string) =>
      style.rightAligned.includes(style.fields[i]!) ? lefts[i]! + widths[i]! - ends(text) : lefts[i]!;
    if (style.header) for (const [i, field] of style.fields.entries()) put(style.header[field]!, at(i, style.header[field]!), y, page);
    y += 1.8 * h;
    for (const row of rows.slice(block * each, (block + 1) * each)) {
      const lines = Math.max(...style.fields.map((field) => (field === "description" ? broken(row[field]!).length : 1)));
      for (const [i, field] of style.fields.entries())
        if (row[field])
          for (const [n, text] of (field === "description" ? broken(row[field]!) : [row[field]!]).entries())
            put(text, at(i, text), y + n * 1.15 * h, page);
      y += lines * 1.15 * h + 0.3 * h;
    }
    x += widths.reduce((sum, w) => sum + w + style.gap * h, 0) + 2.2 * h;
  }
  put("EXPLODED VIEW", 40, 10, style.drawing === "own-page" ? 2 : page);
  put("Sheet 1 of 1, drawn for the workshop", 40, 30, page);
  const callouts: { text: string; x: number; y: number; page: number }[] = [];
  const area = style.drawing === "beside" ? { x: x + 60, y: 60, w: 500, h: 700 } : { x: 60, y: 60, w: 700, h: 330 };
  const numerals = style.fields.includes("callout") ? rows.map((row) => row.callout!) : rows.map((_, i) => `${i + 1}`);
  for (const text of numerals)
    for (let tries = 0; tries < 60; tries++) {
      const [px, py] = [area.x + draw() * area.w, area.y + draw() * area.h];
      if (callouts.some((other) => Math.abs(other.x - px) < 28 && Math.abs(other.y - py) < 16)) continue;
      callouts.push({ text, x: px, y: py, page: style.drawing === "own-page" ? 2 : 1 });
      words.push({ text, x: px, y: py, w: wide(text), h, page: style.drawing === "own-page" ? 2 : 1, turned: yes(0.05) ? 90 : 0 });
      break;
    }
  return { words: words.sort(() => draw() - 0.5), rows, callouts };
}
