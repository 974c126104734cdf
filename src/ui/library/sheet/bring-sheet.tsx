"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { keptRows } from "@/core/sheets/kept-sheet";
import { readList } from "@/core/sheets/read-list";
import { useAct } from "@/ui/act/use-act";
import { sendFile } from "@/ui/act/use-upload";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { matchInWorker } from "./match-in-worker";
import { readPdf } from "./read-pdf";

/** A maker's sheet as a PDF: read on this device, kept row by row, then looked over. */
export function BringSheet() {
  const router = useRouter();
  const [doing, setDoing] = useState("");
  const [message, setMessage] = useState("");
  const keeping = useAct("keep-sheet");

  const read = async (file: File) => {
    setMessage("");
    setDoing("Opening the file…");
    try {
      const pdf = await readPdf(file, (page, of) => setDoing(`Reading page ${page} of ${of}…`));
      if (!pdf.ok) return setMessage(pdf.message);
      const { words, sizes, draw, close } = pdf.value;
      const list = readList(words);
      if (list.rows.length < 2) {
        close();
        return setMessage(
          "No parts list was found in it. A list has rows with a number and what the part is; if it stands in another file, bring that one. A plain list comes in at Shop, Bring in.",
        );
      }
      setDoing(`${list.rows.length} rows. Finding their seats…`);
      const found = await matchInWorker(
        list.rows.map(({ cells, quantity }) => ({ description: cells.description ?? "", quantity: quantity ?? undefined })),
        null,
      );
      const rows = keptRows(list, found, sizes);
      const kept = await keeping.press({
        name: file.name.slice(0, 120),
        family: found.family,
        chosen: found.chosen,
        rows,
        doubts: list.doubts.slice(0, 20),
      });
      if (!kept?.ok) return close();
      const shown = [...new Set([...rows.map(({ page }) => page), ...rows.flatMap(({ mark }) => mark?.page ?? [])])].sort((a, b) => a - b);
      for (const [i, page] of shown.entries()) {
        setDoing(`Keeping page ${i + 1} of ${shown.length}…`);
        const sent = await sendFile(
          `/api/sheets/${kept.value.id}`,
          "picture",
          new File([await draw(page)], `page-${page}.png`, { type: "image/png" }),
          { page },
        );
        if (!sent.ok) setMessage(sent.message);
      }
      close();
      router.push(`/library/sheet/${kept.value.id}`);
    } catch (error) {
      setMessage(`It could not be read: ${error instanceof Error ? error.message : String(error)}. Nothing was kept.`);
    } finally {
      setDoing("");
    }
  };

  return (
    <div className="flex flex-col gap-2">
      <h2>From a maker's sheet</h2>
      <Field
        label="PDF with a drawing and a parts list"
        hint="Up to 12 MB and 40 pages, with text that can be marked. It is read on this device."
      >
        {(field) => (
          <input
            {...field}
            type="file"
            accept="application/pdf,.pdf"
            disabled={doing !== ""}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) void read(file);
            }}
          />
        )}
      </Field>
      {doing && <p role="status">{doing}</p>}
      <Refused message={message} of={[keeping]} />
    </div>
  );
}
