import { RoomPages } from "@/ui/sheets/room-pages";

const pages = [
  ["", "Schematic"],
  ["/playbook", "Playbook"],
  ["/ledgers", "Ledgers"],
  ["/editions", "Editions"],
  ["/fits", "Fits and kits"],
  ["/reels", "Reels seen"],
  ["/record", "Record"],
] as const;
export type ModelPage = (typeof pages)[number][1];

/** What there is of a model, as the leaves of its folder. */
export function ModelPages({ modelId, here }: { modelId: string; here: ModelPage }) {
  return <RoomPages label="Of this model" here={here} pages={pages.map(([path, name]) => [`/library/${modelId}${path}`, name])} />;
}
