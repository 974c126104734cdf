import { sizeWords } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import type { StepAtBuild } from "@/core/teardown/step";
import { nothingFound, wayRound } from "@/core/teardown/way-round";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly steps: readonly StepAtBuild[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly onAlone: (operationId: string) => void;
}

/** The steps of one act of the hands in their order: how each part lies, what goes on it, what goes wrong here. One that differs is done alone. */
export function ActRows({ steps, partTypes, onAlone }: Props) {
  return (
    <ol className="border-t border-ink" aria-label="Steps of this act">
      {steps.map(({ operation, position, well, lubricant, outcome }) => {
        const type = position && partTypes[position.partTypeId];
        const placing = operation.kind === "place" && position && type;
        return (
          <li key={operation.id} className="rule-row flex items-center gap-3 py-1">
            {placing ? (
              <Glyph type={type} turned={position.turned} widthPx={44} heightPx={36} scale={1.4} />
            ) : (
              <span className="w-11 shrink-0" />
            )}
            <div className="min-w-0 flex-1">
              <strong>{placing ? position.name : operation.words}</strong>{" "}
              {placing && <span className="num text-note">{sizeWords(type.shape)}</span>}
              {placing && (
                <span className="block">
                  {[
                    wayRound(position, well ?? nothingFound).goesBack,
                    position.hole,
                    position.tightness && `tighten ${position.tightness}`,
                    well?.renewed && "the new piece",
                  ]
                    .filter(Boolean)
                    .join("; ")}
                </span>
              )}
              {placing && outcome.product !== null && (
                <strong className="block text-note">
                  {outcome.product === "nothing" ? "left dry" : `${outcome.product} went on`}, not as the rule says
                </strong>
              )}
              {placing && outcome.product === null && lubricant && lubricant.product !== "nothing" && (
                <span className="block text-note">
                  {lubricant.product}, {lubricant.amount}
                </span>
              )}
              {placing && outcome.product === null && lubricant?.product === "nothing" && (
                <span className="block text-note">no oil or grease: {lubricant.why}</span>
              )}
              {placing && position.trap && <span className="block border-l-4 border-ink pl-2">{position.trap}</span>}
              {placing && well?.note && <span className="block text-note">Noted: {well.note}</span>}
            </div>
            {placing && steps.length > 1 && (
              <button
                type="button"
                className="act-link min-h-8"
                aria-label={`${position.name}: just this one`}
                onClick={() => onAlone(operation.id)}
              >
                just this one
              </button>
            )}
          </li>
        );
      })}
    </ol>
  );
}
