import type { Anatomy, PartType } from "@/core/anatomy/types";
import { beforeBuried, type SeatState } from "@/core/teardown/before-buried";
import { buildOrder } from "@/core/teardown/build-order";
import { missingBefore } from "@/core/teardown/left-over";
import { removalOrder } from "@/core/teardown/removal-order";

/** Every complaint a build would raise on its way, from the first step of the given order to the last, and how often each seat was looked over. */
export function givenOrder(anatomy: Anatomy, parts: readonly PartType[], off: ReadonlySet<string>) {
  const types = new Map(parts.map((part) => [part.id, part]));
  const built = buildOrder(
    anatomy,
    removalOrder(anatomy).filter((id) => off.has(id)),
  );
  if (!built.ok) return { alarms: [built.message], looked: new Map<string, number>() };
  const done = new Set<string>();
  const states = new Map<string, SeatState>(
    [...off].map((id) => [
      id,
      {
        seated: false,
        verdict: "ok",
        renewed: false,
        declined: false,
        unrepaired: false,
        found: { orientation: "", lies: null },
        foundCount: 1,
      },
    ]),
  );
  const alarms: string[] = [];
  const looked = new Map<string, number>();
  for (const { operation, position, needs } of built.value.steps) {
    for (const id of missingBefore(needs, done)) alarms.push(`${operation.words}: first ${id}`);
    if (operation.kind === "place" && position) {
      const look = beforeBuried(anatomy, types, position.id, states);
      for (const words of [...(look?.faults ?? []), ...(look?.doubts ?? [])]) alarms.push(`${operation.words}: ${words}`);
      for (const row of look?.rows ?? []) looked.set(row.positionId, (looked.get(row.positionId) ?? 0) + 1);
      states.set(position.id, { ...states.get(position.id)!, seated: true });
    }
    done.add(operation.id);
  }
  return { alarms, looked };
}
