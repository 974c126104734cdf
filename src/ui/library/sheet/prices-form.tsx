import { formatMinor } from "@/core/money/money";
import type { NewerPrices } from "@/core/sheets/newer-prices";

/** What a newer list changes in the catalogue, before it is taken. */
export function PricesForm({ prices: { changed, same, unknown, doubtful } }: { prices: NewerPrices }) {
  return (
    <div className="flex flex-col gap-1">
      <p>
        {changed.length ? `${changed.length} parts change.` : "Nothing changes."} {same > 0 && `${same} cost the same.`}{" "}
        {doubtful > 0 && `${doubtful} rows are left out until their number and price are checked.`}
      </p>
      {changed.length > 0 && (
        <ul aria-label="What changes">
          {changed.map(({ id, number, name, wasMinor, isMinor, supersededBy }) => (
            <li key={id} className="rule-row flex items-baseline gap-3">
              <span className="num">{number}</span>
              <span className="min-w-0 flex-1">
                {name}
                {supersededBy && <span className="text-note"> now sold as {supersededBy}</span>}
              </span>
              {wasMinor !== isMinor && (
                <span className="num">
                  {formatMinor(wasMinor)} → {formatMinor(isMinor)}
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      {unknown.length > 0 && (
        <p className="text-note">
          Not in the catalogue, so left out: <span className="num">{unknown.join(", ")}</span>.
        </p>
      )}
    </div>
  );
}
