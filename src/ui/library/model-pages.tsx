import Link from "next/link";

const pages = [
  ["", "Schematic"],
  ["/playbook", "Playbook"],
  ["/ledgers", "Ledgers"],
  ["/editions", "Editions"],
  ["/fits", "Fits and kits"],
  ["/reels", "Reels seen"],
] as const;
export type ModelPage = (typeof pages)[number][1];

/** What there is of a model, as the leaves of its folder. */
export function ModelPages({ modelId, here }: { modelId: string; here: ModelPage }) {
  return (
    <nav aria-label="Of this model" className="flex flex-wrap gap-x-5 gap-y-1">
      {pages.map(([path, name]) => (
        <Link
          key={name}
          href={`/library/${modelId}${path}`}
          aria-current={name === here ? "page" : undefined}
          className={name === here ? "text-head font-semibold" : "act-link self-end"}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
