import Link from "next/link";

interface Act {
  readonly name: string;
  readonly count: number;
  /** What it is about today, in a few words. */
  readonly words: string;
  readonly href: string;
}

/** Today's acts of the stores, each with its number: what goes out, what comes in, what is taken from the bins. */
export function TodayActs({ acts }: { acts: readonly Act[] }) {
  return (
    <nav aria-label="Today" className="mt-3 grid gap-2 sm:grid-cols-3">
      {acts.map(({ name, count, words, href }) => (
        <Link key={name} href={href} className="key justify-start gap-4 py-1 text-left" prefetch={false}>
          <span className="num text-head">{count}</span>
          <span>
            {name}
            <span className="block font-normal text-note text-ink">{words}</span>
          </span>
        </Link>
      ))}
    </nav>
  );
}
