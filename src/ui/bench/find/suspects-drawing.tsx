import { useMemo } from "react";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { Suspect } from "@/core/diagnosis/suspect";
import { DrawnHere } from "@/ui/glyphs/drawn-here";
import { keptPlates } from "@/ui/glyphs/kept-plates";
import { PlateView, type Shade } from "@/ui/glyphs/plate";
import type { FindProps } from "./find-props";

const shadeOf = (p: number): Shade | 0 => (p >= 0.5 ? 3 : p >= 0.2 ? 2 : p >= 0.08 ? 1 : 0);

/** The whole reel, each place hatched as densely as a fault of its parts is likely; a place that is pressed opens its likeliest fault. */
export function SuspectsDrawing({
  anatomy,
  partTypes,
  suspects,
  spoken,
  onOpen,
}: Pick<FindProps, "anatomy" | "partTypes" | "suspects"> & {
  /** Those somebody speaks for, likeliest first. */
  readonly spoken: readonly Suspect[];
  readonly onOpen: (faultId: string) => void;
}) {
  const { machine, types, plate, names } = useMemo(() => {
    const machine = anatomyOfEdition(anatomy, null);
    const types = new Map(Object.entries(partTypes));
    const plate = machine.positions.length ? keptPlates(machine, types)[0]! : null;
    const assemblyAt = new Map(machine.positions.map(({ id, assemblyId }) => [id, assemblyId]));
    const nameOf = new Map(machine.assemblies.map(({ id, name }) => [id, name]));
    const names = Object.fromEntries(
      (plate?.callouts ?? []).map(({ positionIds: [first] }) => [first!, nameOf.get(assemblyAt.get(first!) ?? "") ?? ""]),
    );
    return { machine, types, plate, names };
  }, [anatomy, partTypes]);
  const roleAt = (partTypeId: string) => types.get(partTypeId)?.role ?? "";
  const likely = suspects.filter(({ spokenFor, settled }) => spokenFor && settled !== false);
  const shades = Object.fromEntries(
    machine.positions.flatMap(({ id, partTypeId }): [string, Shade][] => {
      const role = roleAt(partTypeId);
      const shade = shadeOf(
        Math.max(0, ...likely.filter(({ partRoles }) => partRoles.includes(role)).map(({ probability }) => probability)),
      );
      return shade ? [[id, shade]] : [];
    }),
  );
  if (!plate) return null;
  return (
    <div className="h-[190px] border border-ink p-2 lg:h-[clamp(170px,calc(100dvh-560px),330px)]">
      <DrawnHere>
        {() => (
          <PlateView
            plate={plate}
            title="The reel, suspect parts hatched"
            names={names}
            shades={shades}
            onPick={(seatId) => {
              const assembly = machine.positions.find(({ id }) => id === seatId)?.assemblyId;
              const roles = new Set(machine.positions.filter((one) => one.assemblyId === assembly).map((one) => roleAt(one.partTypeId)));
              const suspect = spoken.find(({ partRoles }) => partRoles.some((role) => roles.has(role)));
              if (suspect) onOpen(suspect.id);
            }}
          />
        )}
      </DrawnHere>
    </div>
  );
}
