import type { Assembly } from "@/core/anatomy/types";

/** The assemblies of a model side by side; the one whose plate is shown is filled. */
export function AssemblyTabs({
  assemblies,
  chosen,
  onChoose,
}: {
  assemblies: readonly Assembly[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  return (
    <div className="flex flex-wrap gap-1">
      {assemblies.map((assembly) => (
        <button
          key={assembly.id}
          type="button"
          className="key key-small"
          aria-pressed={assembly.id === chosen}
          onClick={() => onChoose(assembly.id)}
        >
          {assembly.name}
        </button>
      ))}
    </div>
  );
}
