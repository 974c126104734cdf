"use client";
import Link from "next/link";
import { troubleOfDigest } from "@/data/database/trouble";
import { Sheet } from "@/ui/sheets/sheet";

/** Something in the program failed while this page was made. What was confirmed before is on disk. */
export default function Failed({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const trouble = troubleOfDigest(error.digest);
  if (trouble)
    return (
      <Sheet>
        <h1>{trouble.message}</h1>
        <p className="mt-2 font-semibold">{trouble.remedy}</p>
        <p className="mt-2">Nothing you confirmed is lost, and presses that were not answered are kept and sent again.</p>
        <p className="mt-4">
          <button type="button" className="key" onClick={reset}>
            Try again
          </button>
        </p>
      </Sheet>
    );
  return (
    <Sheet>
      <h1>This page could not be shown</h1>
      <p className="mt-2">
        Nothing you confirmed is lost. Try again; if it happens again, quote the reference{" "}
        <span className="num">{error.digest ?? "none"}</span>.
      </p>
      <p className="mt-4 flex gap-3">
        <button type="button" className="key" onClick={reset}>
          Try again
        </button>
        <Link className="key" href="/">
          Go to the Rack
        </Link>
      </p>
    </Sheet>
  );
}
