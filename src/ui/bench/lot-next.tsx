"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import { useShortcut } from "@/ui/keys/keys";

export interface LotPlace {
  readonly id: number;
  readonly name: string;
  readonly reels: readonly { readonly tag: string; readonly mark: string; readonly station: Station | "closed" }[];
}

/** The next reel of a lot that has not passed a station: the one after this in the lot's order, and round again. Null when all have. */
export function nextOfLot(reels: LotPlace["reels"], here: string, station: Station): LotPlace["reels"][number] | null {
  const at = reels.findIndex(({ tag }) => tag === here);
  const round = [...reels.slice(at + 1), ...reels.slice(0, Math.max(0, at))];
  return round.find((reel) => reel.station !== "closed" && stations.indexOf(reel.station) <= stations.indexOf(station)) ?? null;
}

/** One after another: the same station of the next reel of the lot, a press away. */
export function LotNext({ lot, tag, station }: { lot: LotPlace; tag: string; station: Station }) {
  const router = useRouter();
  const next = nextOfLot(lot.reels, tag, station);
  const href = next ? `/bench/${next.tag}/${station}` : `/bench/lot/${lot.id}`;
  const words = next ? `Next of the lot: ${next.mark || next.tag}` : "Back to the lot";
  useShortcut("j", words, "This page", () => router.push(href));
  return (
    <Link href={href} className="key" prefetch={false}>
      {words}
      <span className="cap" aria-hidden="true">
        J
      </span>
    </Link>
  );
}
