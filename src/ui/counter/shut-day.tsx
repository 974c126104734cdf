import { type Opening, openDayFrom, whyShut } from "@/core/schedule/opening";
import { dayWords } from "@/ui/dates";

interface Props {
  readonly opening: Opening;
  /** The ISO day that stands in the field. */
  readonly day: string;
  readonly take: (day: string) => void;
}

/** Says when nobody is there on a promised day, and takes the next one by a press. A promise may stand all the same. */
export function ShutDay({ opening, day, take }: Props) {
  const why = /^\d{4}-\d{2}-\d{2}$/.test(day) ? whyShut(opening, day) : null;
  if (why === null) return null;
  const next = openDayFrom(opening, day);
  return (
    <>
      {dayWords(day)}: {why}.{" "}
      {next !== day && (
        <button type="button" className="act-link" onClick={() => take(next)}>
          Take {dayWords(next)}
        </button>
      )}
    </>
  );
}
