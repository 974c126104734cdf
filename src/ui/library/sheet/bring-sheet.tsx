"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { keptRows } from "@/core/sheets/kept-sheet";
import { readList } from "@/core/sheets/read-list";
import type { WordBox } from "@/core/sheets/sheet";
import { useAct } from "@/ui/act/use-act";
import { sendFile } from "@/ui/act/use-upload";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { matchInWorker } from "./match-in-worker";
import { pictureSheet, readPdf } from "./read-pdf";
import { readScans, type Stop, Stopped } from "./read-scan";

/** Pages that are pictures take some seconds each. */
const mostScans = 6;

/** Why no list was found, as far as the words say, and what to do. */
const noList = (words: readonly WordBox[]): string =>
  words.reduce((sum, { text, sure = 1 }) => sum + (sure > 0.6 ? (text.match(/\p{L}{3,}/gu)?.length ?? 0) : 0), 0) < 8
    ? "Hardly a word could be read in it. Is it upright, sharp and in English? Turn the page or photograph it again from straight above, in even light."
    : "No parts list was found in it. A list has rows with a number and what the part is; if it stands in another file, bring that one. A plain list comes in at Shop, Bring in.";

/** A maker's sheet as a PDF or a picture: read on this device, kept row by row, then looked over. */
export function BringSheet() {
  const router = useRouter();
  const [doing, setDoing] = useState("");
  const [message, setMessage] = useState("");
  const keeping = useAct("keep-sheet");

  const stop = useRef<Stop>({ stopped: false });

  const read = async (file: File) => {
    setMessage("");
    setDoing("Opening the file…");
    stop.current = { stopped: false };
    try {
      const isPdf = file.type === "application/pdf" || file.name.toLowerCase().endsWith(".pdf");
      const opened = isPdf ? await readPdf(file, (page, of) => setDoing(`Reading page ${page} of ${of}…`)) : pictureSheet(file);
      if (!opened.ok) return setMessage(opened.message);
      const { draw, close, pages } = opened.value;
      let { words, sizes } = opened.value;
      if (!words.length) {
        if (pages > mostScans) {
          close();
          return setMessage(
            `Its ${pages} pages are pictures, and ${mostScans} are read at once. Save the pages with the drawing and the list as a file of their own.`,
          );
        }
        const scans = await Promise.all(Array.from({ length: pages }, async (_, i) => ({ page: i + 1, picture: await draw(i + 1, 2400) })));
        ({ words, sizes } = await readScans(scans, setDoing, stop.current));
      }
      const list = readList(words);
      if (list.rows.length < 2) {
        close();
        return setMessage(noList(words));
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
      if (error instanceof Stopped) setMessage("Stopped. Nothing was kept.");
      else setMessage(`It could not be read: ${error instanceof Error ? error.message : String(error)}. Nothing was kept.`);
    } finally {
      setDoing("");
    }
  };

  return (
    <div className="flex flex-col gap-2">
      <h2>From a maker's sheet</h2>
      <Field
        label="PDF, scan or photograph of the drawing and its parts list"
        hint="Up to 12 MB. It is read on this device; a page that is a picture takes some seconds."
      >
        {(field) => (
          <input
            {...field}
            type="file"
            accept="application/pdf,.pdf,image/png,image/jpeg,image/webp"
            disabled={doing !== ""}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) void read(file);
            }}
          />
        )}
      </Field>
      {doing && (
        <p role="status" className="flex items-center gap-4">
          {doing}
          <button
            type="button"
            className="act-link min-h-11"
            onClick={() => {
              stop.current.stopped = true;
            }}
          >
            Stop
          </button>
        </p>
      )}
      <Refused message={message} of={[keeping]} />
    </div>
  );
}
