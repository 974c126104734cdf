"use client";
import { useMemo } from "react";
import { cleanMethods, isBath } from "@/core/cleaning/methods";
import { benchWays } from "@/core/ways/ways";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { Refused } from "@/ui/controls/refused";
import { BathForm } from "./bath-form";
import { ByHandOverview } from "./by-hand-overview";
import { CleanKeys } from "./clean-keys";
import type { CleanProps } from "./clean-props";
import { CleanRail } from "./clean-rail";
import { CleanedPart } from "./cleaned-part";
import { GroupBasket } from "./group-basket";
import { type Clean, useClean } from "./use-clean";

const dirts = (["wipe", "brush", "bath"] as const).map((id) => {
  const [words, what] = benchWays.cleaning.choices[id].split(": ");
  return { id, words, what };
});

/** The tray by method: what goes into which bath first, what the hands do while it soaks, and everything counted back into its well. */
export function CleanSheet(props: CleanProps) {
  const { head, positions, partTypes, wells, groups, soaks } = props;
  const clean = useClean(props);
  const { group, soak, key } = clean.now;
  const byId = useMemo(() => new Map(positions.map((position) => [position.id, position])), [positions]);
  const overview = key.what === "all-by-hand";
  return (
    <BenchSheet head={head} station="clean" act={<CleanKeys props={props} clean={clean} />}>
      <Refused of={Object.values(clean.acts)} beside />
      {clean.said && (
        <p role="status" className="alarm whitespace-pre-line">
          {clean.said}
        </p>
      )}
      {!groups.length && <p>Nothing in the tray to clean. Parts come off at Strip.</p>}
      {groups.length > 0 && (
        <div className="grid gap-6 lg:grid-cols-[300px_1fr_300px]">
          <Plan props={props} clean={clean} />
          {overview && (
            <ByHandOverview
              groups={groups}
              byId={byId}
              typesOf={(ids) => ids.flatMap((id) => partTypes[byId.get(id)?.partTypeId ?? ""] ?? [])}
              electric={head.electric}
              openId={clean.openId}
              open={clean.setOpenId}
            />
          )}
          {group && !overview && (
            <GroupBasket
              group={group}
              soak={soak ?? undefined}
              leftMinutes={clean.leftMinutes}
              apart={props.apart}
              wells={wells}
              byId={byId}
              partTypes={partTypes}
              electric={head.electric}
              missing={clean.missing}
              setMissing={clean.setMissing}
              openId={clean.openId}
              open={clean.setOpenId}
            />
          )}
          <div>
            {group && isBath(group.method) && group.waiting.length > 0 && !group.soaking.length && (
              <BathForm
                method={group.method}
                modelId={props.modelId}
                soaks={[...soaks, ...props.othersSoaks].filter(({ method }) => method === group.method)}
                bath={clean.bath}
                minutes={clean.minutes}
                errors={clean.acts.begin.fields}
                onChange={clean.changeBath}
              />
            )}
            <CleanedPart props={props} clean={clean} />
          </div>
        </div>
      )}
    </BenchSheet>
  );
}

/** How dirty it is, what is done in which order, and the groups of the tray. */
function Plan({ props, clean }: { props: CleanProps; clean: Clean }) {
  const { head, groups, plan, soaks } = props;
  return (
    <div>
      <fieldset className="mb-3 flex flex-col">
        <legend className="font-semibold">How dirty is it?</legend>
        {dirts.map(({ id, words, what }) => (
          <button
            key={id}
            type="button"
            className="rule-row min-h-10 text-left text-brass aria-pressed:bg-ink aria-pressed:px-2 aria-pressed:text-sheet"
            aria-pressed={props.dirt === id}
            disabled={clean.acts.dirty.busy || head.closed}
            onClick={() => clean.isDirty(id)}
          >
            <strong>{words}</strong> <span className="text-note">{what}</span>
          </button>
        ))}
      </fieldset>
      <h2>Fastest plan</h2>
      <CleanRail plan={plan} soaks={soaks} nowMs={clean.nowMs} />
      <ul className="mt-2 flex flex-col" aria-label="Groups">
        {groups.map((one) => (
          <li key={one.method} className="rule-row">
            <button
              type="button"
              className="min-h-14 w-full text-left font-semibold text-brass aria-pressed:text-ink"
              aria-pressed={one.method === clean.now.group?.method}
              onClick={() => clean.setChosen(one.method)}
            >
              {cleanMethods[one.method].name}
              <span className="block text-note font-normal text-ink">
                {[
                  one.waiting.length && `${one.waiting.length} wait`,
                  one.soaking.length && `${one.soaking.length} in the bath`,
                  one.clean.length && `${one.clean.length} clean`,
                ]
                  .filter(Boolean)
                  .join(", ")}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
