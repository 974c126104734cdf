/** The rooms, in the order of the rail, each with its key. */
export const rooms = [
  { href: "/", name: "Rack", key: "r" },
  { href: "/counter", name: "Counter", key: "c" },
  { href: "/bench", name: "Bench", key: "b" },
  { href: "/stores", name: "Stores", key: "s" },
  { href: "/library", name: "Library", key: "l" },
  { href: "/gauges", name: "Gauges", key: "g" },
  { href: "/ledger", name: "Ledger", key: "e" },
  { href: "/shop", name: "Shop", key: "h" },
] as const;

export const keyWords: Record<string, string> = { " ": "space", Escape: "esc", Backspace: "backspace", ArrowLeft: "←", ArrowRight: "→" };
