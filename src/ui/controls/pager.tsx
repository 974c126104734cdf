import Link from "next/link";

interface Props {
  /** From 0. */
  readonly page: number;
  readonly more: boolean;
  readonly href: (page: number) => string;
}

/** The way between the pages of a list; nothing where there is one alone. */
export function Pager({ page, more, href }: Props) {
  if (page === 0 && !more) return null;
  return (
    <p className="mt-2 flex gap-6">
      {page > 0 && (
        <Link className="act-link" href={href(page - 1)} prefetch={false}>
          Page before
        </Link>
      )}
      <span className="num text-note">Page {page + 1}</span>
      {more && (
        <Link className="act-link" href={href(page + 1)} prefetch={false}>
          Next page
        </Link>
      )}
    </p>
  );
}
