import type { ReactNode } from "react";

interface Props {
  /** The page that shows it. */
  readonly page: string;
  /** ISO days, both included. */
  readonly from: string;
  readonly to: string;
  readonly children?: ReactNode;
}

/** The time a page of the ledger is of. */
export function RangeForm({ page, from, to, children }: Props) {
  return (
    <form action={page} className="flex flex-wrap items-end gap-2">
      <label className="flex flex-col">
        <span className="text-note">From</span>
        <input type="date" name="from" defaultValue={from} />
      </label>
      <label className="flex flex-col">
        <span className="text-note">to</span>
        <input type="date" name="to" defaultValue={to} />
      </label>
      <button type="submit" className="key key-small">
        Show
      </button>
      {children}
    </form>
  );
}
