"use client";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormArea, FormSend } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

export interface ReportAsks {
  /** What the customer said in their own words; empty where nothing. */
  readonly asked: string;
  readonly answer: string;
  readonly ourMistake: string;
  readonly seen: string;
  /** It came back to us: what we did wrong is asked for. */
  readonly comeback: boolean;
  readonly pictures: readonly { readonly hash: string; readonly shows: string; readonly onReport: boolean }[];
}

/** Answer in the report beside what its acts tell: the customer's own question, our own mistake, pictures to show. */
export function ReportWords({ jobId, closed, asks }: { jobId: number; closed: boolean; asks: ReportAsks }) {
  const choosing = useAct("report-photo");
  const { asked, answer, ourMistake, seen, comeback, pictures } = asks;
  const asksWords = asked !== "" || comeback || answer !== "" || ourMistake !== "";
  if (closed || (!asksWords && !pictures.length)) return null;
  return (
    <section aria-label="Answer in the report" className="mt-4">
      <h2>Answer in the report</h2>
      {asked && <p className="mt-1">“{asked}”</p>}
      {asksWords && (
        <ActForm
          act="report-words"
          label="Answer in the report"
          className="mt-2 flex flex-col gap-2"
          keepsTyped
          values={{ answer, ourMistake }}
          seen={{ seen }}
          also={{ jobId }}
        >
          <FormArea name="answer" label="Answer to the customer" rows={2} />
          {comeback && <FormArea name="ourMistake" label="Our own mistake, in plain words" rows={2} />}
          <FormSend whenChanged>Save</FormSend>
        </ActForm>
      )}
      {pictures.length > 0 && (
        <fieldset className="mt-2 flex flex-wrap gap-2">
          <legend className="text-note font-normal">Pictures on the report</legend>
          {pictures.map(({ hash, shows, onReport }) => (
            <button
              key={hash}
              type="button"
              aria-pressed={onReport}
              aria-label={`${shows}, on the report`}
              className="flex w-28 flex-col border border-brass p-1 text-note aria-pressed:border-4 aria-pressed:border-ink"
              onClick={() => choosing.press({ jobId, hash, on: !onReport })}
            >
              {/* biome-ignore lint/performance/noImgElement: a private picture of a size made at upload; the optimiser has nothing to add. */}
              <img src={`/api/photos/${hash}`} alt="" className="h-20 w-full object-cover" />
              {shows}
              <span>{onReport ? "on the report ✓" : "not on the report"}</span>
            </button>
          ))}
        </fieldset>
      )}
      <Refused of={[choosing]} />
    </section>
  );
}
