import { standsAbove } from "@/core/safety/cautions";

/** What can hurt at this step, said before the hand moves; who stands above it stands under it. */
export function Cautions({ said }: { said: readonly string[] }) {
  if (!said.length) return null;
  return (
    <div className="alarm mt-2" role="note" aria-label="Caution">
      {said.map((words) => (
        <p key={words}>{words}</p>
      ))}
      <p className="text-note">{standsAbove}</p>
    </div>
  );
}
