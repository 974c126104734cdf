"use client";
import { useRef } from "react";
import { useUpload } from "@/ui/act/use-upload";
import { Refused } from "@/ui/controls/refused";
import type { BenchHead } from "./bench-sheet";

/** The picture of the joint as it lay when this part came off: from the phone's camera or a file. It comes back at the step that closes it. */
export function PictureKey({
  head,
  place,
  photoHash,
  words = "Photo of this joint",
  edge = false,
}: {
  head: BenchHead;
  /** Neither a seat nor a well: the reel as it came. */
  place: { readonly positionId?: string; readonly well?: number };
  photoHash: string | null;
  words?: string;
  /** Along the sheet's edge of a phone, under the thumb: the key alone. */
  edge?: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const { send, busy, message } = useUpload<{ hash: string }>("/api/photos", "photo");

  return (
    <div className={edge ? "flex flex-1 lg:hidden [&>button]:flex-1" : "flex flex-col gap-2"}>
      {photoHash && !edge && (
        // A private picture from this server, of a size made at upload: the image optimiser has nothing to add.
        // biome-ignore lint/performance/noImgElement: see above
        <img src={`/api/photos/${photoHash}`} alt="The joint as it was" className="max-h-52 border border-ink object-contain" />
      )}
      <input
        ref={input}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        className="sr-only"
        aria-label={words}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void send(file, { jobId: head.jobId, ...place });
        }}
      />
      <button type="button" className="key" disabled={busy || head.closed} onClick={() => input.current?.click()}>
        {busy ? "Sending…" : edge ? words : photoHash ? "Another photo" : words}
      </button>
      <Refused message={message} />
    </div>
  );
}
