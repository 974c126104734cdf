import type { PartType, Position } from "@/core/anatomy/types";
import { cleanMethods } from "@/core/cleaning/methods";
import type { TrayGroup } from "@/core/cleaning/soak";
import { cautionsAt } from "@/core/safety/cautions";
import { Cautions } from "@/ui/bench/cautions";

/** A tray of which nothing goes into a bath: each way of the hands with its parts, one act for all. */
export function ByHandOverview({
  groups,
  byId,
  typesOf,
  electric,
  openId,
  open,
}: {
  groups: readonly TrayGroup[];
  byId: ReadonlyMap<string, Position>;
  typesOf: (ids: readonly string[]) => PartType[];
  electric: boolean;
  openId: string | null;
  open: (positionId: string) => void;
}) {
  return (
    <div className="min-w-0">
      <h1>Cleaned by hand</h1>
      <Cautions
        said={[
          ...new Set(
            groups.flatMap((one) =>
              one.waiting.length ? cautionsAt({ at: "clean", method: one.method, types: typesOf(one.waiting), electric }) : [],
            ),
          ),
        ]}
      />
      {groups.map((one) => (
        <section key={one.method} className="border-t border-ink py-2">
          <h3>
            {cleanMethods[one.method].name} <span className="num">{one.positionIds.length}</span>
          </h3>
          <p className="text-note">
            {cleanMethods[one.method].how} <strong>{cleanMethods[one.method].not}</strong>
          </p>
          <p>
            {one.positionIds.map((id, i) => (
              <span key={id}>
                {i > 0 && ", "}
                <button type="button" className="act-link aria-pressed:text-ink" aria-pressed={openId === id} onClick={() => open(id)}>
                  {byId.get(id)?.name}
                </button>
              </span>
            ))}
          </p>
        </section>
      ))}
    </div>
  );
}
