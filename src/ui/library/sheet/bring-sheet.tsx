"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import type { Corners } from "@/core/sheets/flatten/homography";
import { keptRows } from "@/core/sheets/kept-sheet";
import { readList } from "@/core/sheets/read-list";
import type { WordBox } from "@/core/sheets/sheet";
import { keptWords, type OwnHeader } from "@/core/sheets/sheet-words";
import { useAct } from "@/ui/act/use-act";
import { sendFile } from "@/ui/act/use-upload";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { fileOf, frameOf } from "./grey-picture";
import { matchInWorker } from "./match-in-worker";
import { PageFrame } from "./page-frame";
import { pictureSheet, readPdf, type SheetFile } from "./read-pdf";
import { type ReadScan, readScans, type Stop, Stopped } from "./read-scan";

/** Pages that are pictures take some seconds each. */
const mostScans = 6;

/** Why no list was found, as far as the words say, and what to do. */
const noList = (words: readonly WordBox[]): string =>
  words.reduce((sum, { text, sure = 1 }) => sum + (sure > 0.6 ? (text.match(/\p{L}{3,}/gu)?.length ?? 0) : 0), 0) < 8
    ? "Hardly any text could be read. Photograph the page again from straight above, sharp and in even light. Only English is read."
    : "No parts list was found. A list has rows with a number and the name of the part. If the list is in another file, bring that one; a plain list goes to Shop, Bring in.";

const isPdf = (file: File) => file.type === "application/pdf" || file.name.toLowerCase().endsWith(".pdf");

/** A maker's sheet as a PDF or a picture: read on this device, kept row by row, then looked over. */
export function BringSheet({ headers }: { headers: readonly OwnHeader[] }) {
  const router = useRouter();
  const [doing, setDoing] = useState("");
  const [message, setMessage] = useState("");
  /** A photograph of which the page's corners are looked at before it is read. */
  const [framing, setFraming] = useState<{ readonly picture: File; readonly found: Corners | null } | null>(null);
  /** The last picture that was read and told nothing: its corners can be set by hand. */
  const [unread, setUnread] = useState<File | null>(null);
  const keeping = useAct("keep-sheet");
  const stop = useRef<Stop>({ stopped: false });

  /** Does a thing that takes its time; what goes wrong is said, and nothing of it is kept. */
  const atWork = async (words: string, run: () => Promise<void>) => {
    setMessage("");
    setUnread(null);
    setDoing(words);
    stop.current = { stopped: false };
    try {
      await run();
    } catch (error) {
      if (error instanceof Stopped) setMessage("Stopped. Nothing was saved.");
      else setMessage(`The file could not be read: ${error instanceof Error ? error.message : String(error)}. Nothing was saved.`);
    } finally {
      setDoing("");
    }
  };

  const choose = (file: File) =>
    atWork("Opening the file…", async () => {
      if (!isPdf(file)) {
        const opened = pictureSheet(file);
        if (!opened.ok) return setMessage(opened.message);
        const found = await frameOf(file);
        return found ? setFraming({ picture: file, found }) : await readPicture(opened.value, file);
      }
      const opened = await readPdf(file, (page, of) => setDoing(`Reading page ${page} of ${of}…`));
      if (!opened.ok) return setMessage(opened.message);
      const sheet = opened.value;
      try {
        if (sheet.words.length) return await keep(file, sheet, sheet);
        if (sheet.pages > mostScans)
          return setMessage(
            `All ${sheet.pages} pages are pictures, and up to ${mostScans} can be read at once. Save the pages with the drawing and the list as a file of their own.`,
          );
        const scans = await Promise.all(
          Array.from({ length: sheet.pages }, async (_, i) => ({ page: i + 1, picture: await sheet.draw(i + 1, 2400) })),
        );
        await keep(file, sheet, await readScans(scans, setDoing, stop.current));
      } finally {
        sheet.close();
      }
    });

  const readPicture = async (sheet: SheetFile, picture: File, corners?: Corners) =>
    keep(picture, sheet, await readScans([{ page: 1, picture, ...(corners ? { corners } : {}) }], setDoing, stop.current));

  /** Keeps what was read, its pages beside it, and goes to where it is looked over. */
  const keep = async (
    file: File,
    sheet: SheetFile,
    { words, sizes, flat }: Pick<ReadScan, "words" | "sizes"> & Partial<Pick<ReadScan, "flat">>,
  ) => {
    const list = readList(words, { headers: new Map(headers.map(({ words: header, field }) => [header, field])) });
    if (list.rows.length < 2) {
      if (!isPdf(file)) setUnread(file);
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
      words: keptWords(words, sizes),
    });
    if (!kept?.ok) return;
    const send = async (page: number, picture: File, as: "page" | "original") => {
      const sent = await sendFile(`/api/sheets/${kept.value.id}`, "picture", picture, { page, as });
      if (!sent.ok) setMessage(sent.message);
    };
    const shown = [...new Set([...rows.map(({ page }) => page), ...rows.flatMap(({ mark }) => mark?.page ?? [])])].sort((a, b) => a - b);
    for (const [i, page] of shown.entries()) {
      setDoing(`Saving page ${i + 1} of ${shown.length}…`);
      const grey = flat?.get(page);
      const name = `page-${page}.png`;
      await send(page, grey ? await fileOf(grey, name) : new File([await sheet.draw(page)], name, { type: "image/png" }), "page");
      if (grey && !isPdf(file)) await send(page, file, "original");
    }
    router.push(`/library/sheet/${kept.value.id}`);
  };

  return (
    <div className="flex flex-col gap-2">
      <h2>From a maker's sheet</h2>
      {(
        [
          {
            label: "PDF, scan or photograph of the drawing and its parts list",
            hint: "Up to 12 MB. It is read on this device and is not sent anywhere; a page that is a picture takes some seconds.",
            accept: "application/pdf,.pdf,image/png,image/jpeg,image/webp",
            camera: false,
          },
          { label: "Photograph it now", hint: "The whole page, from above.", accept: "image/*", camera: true },
        ] as const
      ).map(({ label, hint, accept, camera }) => (
        <div key={label} className={camera ? "pointer-fine:hidden" : ""}>
          <Field label={label} hint={hint}>
            {(field) => (
              <input
                {...field}
                type="file"
                accept={accept}
                {...(camera ? { capture: "environment" as const } : {})}
                disabled={doing !== ""}
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  event.target.value = "";
                  if (file) void choose(file);
                }}
              />
            )}
          </Field>
        </div>
      ))}
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
      {unread && (
        <button type="button" className="key self-start" onClick={() => setFraming({ picture: unread, found: null })}>
          Set the page's corners by hand
        </button>
      )}
      {framing && (
        <PageFrame
          picture={framing.picture}
          found={framing.found}
          onCancel={() => setFraming(null)}
          onRead={(corners) => {
            const { picture } = framing;
            setFraming(null);
            const opened = pictureSheet(picture);
            if (opened.ok) void atWork("Laying the page flat…", () => readPicture(opened.value, picture, corners));
          }}
        />
      )}
    </div>
  );
}
