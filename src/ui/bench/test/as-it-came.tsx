import Link from "next/link";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { PictureKey } from "@/ui/bench/picture-key";

interface Props {
  readonly head: BenchHead;
  /** Marks and the counter's words, in one line. */
  readonly words: string;
  readonly photos: readonly string[];
}

/** The reel as the counter saw it: what was marked, and its pictures. More can be taken before it is opened. */
export function AsItCame({ head, words, photos }: Props) {
  return (
    <section aria-label="As received" className="mt-4">
      <h2>As received</h2>
      <p>
        {words || "No marks recorded."}{" "}
        <Link className="act-link ml-2 inline-flex min-h-10 items-center" href={`/bench/${head.tag}/intake`} prefetch={false}>
          Correct the intake, or reprint the tag
        </Link>
      </p>
      <div className="mt-2 flex flex-wrap items-start gap-3">
        {photos.map((hash, i) => (
          <a key={hash} href={`/api/photos/${hash}`} target="_blank" rel="noreferrer">
            {/* biome-ignore lint/performance/noImgElement: a private picture of a size made at upload; the optimiser has nothing to add. */}
            <img src={`/api/photos/${hash}`} alt={`The reel as received, ${i + 1}`} className="max-h-32 border border-ink object-contain" />
          </a>
        ))}
        <PictureKey head={head} place={{}} photoHash={null} words="Photo of the reel" />
      </div>
    </section>
  );
}
