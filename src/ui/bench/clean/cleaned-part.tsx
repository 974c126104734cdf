import { cleanMethods, cleanMethodsFor } from "@/core/cleaning/methods";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { WellForm } from "@/ui/bench/strip/well-form";
import { CleanOutcomeChoice } from "./clean-outcome";
import type { CleanProps } from "./clean-props";
import type { Clean } from "./use-clean";

/** The part that is looked at: how it is cleaned, how it came out, what it is worth. */
export function CleanedPart({ props, clean }: { props: CleanProps; clean: Clean }) {
  const { head, wells, positions, partTypes, carrying } = props;
  const shown = wells.find(({ positionId }) => positionId === clean.openId);
  const seat = shown && positions.find(({ id }) => id === shown.positionId);
  if (!shown || !seat) return <p className="mt-2 text-note">Tap a part to see its signs of wear and give your verdict.</p>;
  const type = partTypes[seat.partTypeId]!;
  const carries = carrying.includes(seat.id);
  return (
    <>
      <label className="mb-3 flex flex-col">
        How {seat.name} is cleaned
        {carries && <span className="text-note">by cloth: what is still in it stands no bath</span>}
        <select
          value={shown.cleanedHow ?? shown.cleanAs ?? ""}
          disabled={head.closed || clean.acts.cleanAs.busy || shown.soakId !== null}
          onChange={(event) => clean.cleanPartAs(shown.positionId, (event.target.value as CleanMethod) || null)}
        >
          <option value="">same as others of its kind</option>
          {cleanMethodsFor(type, carries).map((method) => (
            <option key={method} value={method}>
              {cleanMethods[method].name}
            </option>
          ))}
        </select>
      </label>
      {shown.cleanedHow !== null && (
        <CleanOutcomeChoice
          key={`out ${shown.positionId}`}
          jobId={head.jobId}
          positionId={shown.positionId}
          name={seat.name.toLowerCase()}
          type={type}
          outcome={props.outcomes[shown.positionId] ?? null}
          closed={head.closed}
        />
      )}
      <WellForm key={shown.positionId} head={head} shown={shown} position={seat} type={type} at="clean" bearings={props.bearings} />
    </>
  );
}
