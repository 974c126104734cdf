import Link from "next/link";

interface Props {
  readonly label: string;
  /** Each page by its address and what it is called. */
  readonly pages: readonly (readonly [href: string, name: string])[];
  readonly here: string;
}

/** The pages of a room, or the leaves of a folder, side by side: the one that is open stands large. */
export function RoomPages({ label, pages, here }: Props) {
  return (
    <nav aria-label={label} className="flex flex-wrap gap-x-5 gap-y-1">
      {pages.map(([href, name]) => (
        <Link
          key={href}
          href={href}
          prefetch={false}
          aria-current={name === here ? "page" : undefined}
          className={name === here ? "text-head font-semibold" : "act-link self-end"}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
