import Link from "next/link";

const rooms = {
  book: ["History", "/ledger"],
  papers: ["Invoices", "/ledger/papers"],
  takings: ["Takings", "/ledger/takings"],
  figures: ["Figures", "/ledger/figures"],
} as const;

/** The ledger's own pages, side by side. */
export function LedgerRooms({ here }: { here: keyof typeof rooms }) {
  return (
    <nav aria-label="Ledger" className="mb-3 flex gap-6">
      {Object.entries(rooms).map(([id, [words, href]]) => (
        <Link
          key={id}
          href={href}
          prefetch={false}
          aria-current={id === here ? "page" : undefined}
          className={`inline-flex min-h-10 items-center ${id === here ? "border-b-2 border-current font-semibold" : "act-link"}`}
        >
          {words}
        </Link>
      ))}
    </nav>
  );
}
