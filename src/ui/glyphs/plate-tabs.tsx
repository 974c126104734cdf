import type { Plate } from "@/core/schematic/assembly-plate";

/** The plates of a model side by side; the one that is shown is filled. */
export function PlateTabs({ plates, chosen, onChoose }: { plates: readonly Plate[]; chosen: string; onChoose: (id: string) => void }) {
  return (
    <div className="flex flex-wrap gap-1">
      {plates.map((plate) => (
        <button
          key={plate.id}
          type="button"
          className="key key-small"
          aria-pressed={plate.id === chosen}
          onClick={() => onChoose(plate.id)}
        >
          {plate.name}
        </button>
      ))}
    </div>
  );
}
