import type { PartType, Position } from "@/core/anatomy/types";
import { cleanMethods } from "@/core/cleaning/methods";
import type { Soak, TrayGroup } from "@/core/cleaning/soak";
import { cautionsAt } from "@/core/safety/cautions";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { Cautions } from "@/ui/bench/cautions";
import { Glyph } from "@/ui/glyphs/glyph";

/** The parts that are cleaned one way: how, what else must stay out of the bath, and each to tap while they are counted back. */
export function GroupBasket({
  group,
  soak,
  leftMinutes,
  apart,
  wells,
  byId,
  partTypes,
  electric,
  missing,
  setMissing,
  openId,
  open,
}: {
  group: TrayGroup;
  soak: Soak | undefined;
  leftMinutes: number;
  apart: readonly { readonly a: CleanMethod; readonly b: CleanMethod; readonly why: string }[];
  wells: readonly Well[];
  byId: ReadonlyMap<string, Position>;
  partTypes: Readonly<Record<string, PartType>>;
  electric: boolean;
  missing: readonly string[];
  setMissing: (missing: readonly string[]) => void;
  openId: string | null;
  open: (positionId: string) => void;
}) {
  return (
    <div className="min-w-0">
      <h1>{cleanMethods[group.method].name}</h1>
      <p>{cleanMethods[group.method].how}</p>
      <p className="font-semibold">{cleanMethods[group.method].not}</p>
      {apart
        .filter(({ a, b }) => a === group.method || b === group.method)
        .map(({ a, b, why }) => (
          <p key={`${a} ${b}`} className="text-note">
            Keep apart from “{cleanMethods[a === group.method ? b : a].name}”: {why}.
          </p>
        ))}
      <Cautions
        said={cautionsAt({
          at: "clean",
          method: group.method,
          types: group.positionIds.flatMap((id) => partTypes[byId.get(id)?.partTypeId ?? ""] ?? []),
          electric,
        })}
      />
      {soak && group.soaking.length > 0 && (
        <p className="mt-2 text-head">
          {leftMinutes > 0 ? (
            <>
              Ready in <span className="num">{leftMinutes}</span> min
            </>
          ) : (
            <strong>Bath finished.</strong>
          )}
          . Count them back; tap what is missing.
          {soak.jobs.length > 1 && (
            <span className="block text-note">
              In the same basket: {soak.jobs.map(({ tag, parts, mark }) => `${tag}, ${parts}${mark ? ` (${mark})` : ""}`).join("; ")}
            </span>
          )}
        </p>
      )}
      <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] border-t border-l border-ink" aria-label="Parts">
        {group.positionIds.map((id) => {
          const position = byId.get(id)!;
          const inBath = group.soaking.includes(id);
          const gone = missing.includes(id) && inBath;
          const well = wells.find(({ positionId }) => positionId === id);
          return (
            <li key={id} className="border-r border-b border-ink">
              <button
                type="button"
                aria-pressed={inBath ? gone : openId === id}
                className={`relative flex h-24 w-full flex-col items-center justify-between p-1 ${gone ? "alarm" : openId === id ? "outline-2 -outline-offset-2 outline-ink" : ""}`}
                onClick={() => (inBath ? setMissing(gone ? missing.filter((other) => other !== id) : [...missing, id]) : open(id))}
              >
                <span className="num absolute top-0.5 left-1 text-note">{well?.well}</span>
                <span className="absolute top-0.5 right-1 text-note">
                  {gone ? "missing" : inBath ? "in the bath" : group.clean.includes(id) ? "clean" : ""}
                </span>
                <Glyph type={partTypes[position.partTypeId]!} turned={position.turned} widthPx={84} heightPx={54} scale={2.2} />
                <span className="line-clamp-2 text-note leading-[14px] text-brass">{position.name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
