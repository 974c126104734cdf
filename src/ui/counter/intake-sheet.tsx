"use client";
import type { IntakeForm } from "@/core/acts/counter/intake-form";
import type { Opening } from "@/core/schedule/opening";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { ComplaintColumn } from "./complaint-column";
import { ConditionColumn } from "./condition-column";
import { OwnerColumn } from "./owner-column";
import { TakenNote } from "./taken-note";
import { useIntake } from "./use-intake";

interface Props {
  readonly currency: string;
  /** The shop's terms; empty where it has none. */
  readonly terms: string;
  readonly today: string;
  readonly promise: string;
  readonly opening: Opening;
}

const actWords: Partial<Record<IntakeForm["kind"], string>> = { donor: "Keep for parts", declined: "Record that it was sent away" };

/** One page, keyboard first: who, which reel, what is wrong, how it is used, what came with it, how far to go, until when. */
export function IntakeSheet({ currency, terms, today, promise, opening }: Props) {
  const intake = useIntake(promise);
  const { act, again, kind, mine, pictureMessage, send, taken } = intake;
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <Sheet
        fill
        act={
          <>
            <button type="submit" className="key key-main" disabled={act.busy}>
              {act.busy ? "Saving…" : (actWords[kind] ?? "Check in")}
              <span className="cap">enter</span>
            </button>
            {taken?.job && !taken.declined && (
              <>
                <a className="key" href={`/bench/${taken.job.tag}/label.pdf`} target="_blank" rel="noreferrer">
                  Print tag {taken.job.tag}
                </a>
                <a className="key" href={`/bench/${taken.job.tag}/receipt.pdf`} target="_blank" rel="noreferrer">
                  Receipt
                </a>
              </>
            )}
          </>
        }
        block={
          <CornerBlock
            cells={[
              { label: "Tag", value: taken?.job?.tag ?? "next free", large: true },
              { label: "Station", value: "Counter" },
              { label: "Day", value: today },
            ]}
          />
        }
      >
        {taken && <TakenNote key={taken.job?.tag} taken={taken} again={() => void again(taken)} mine={mine} />}
        <Refused of={[act]} beside />
        <Refused message={pictureMessage} />
        <div className="grid gap-x-6 gap-y-3 lg:grid-cols-3">
          <OwnerColumn intake={intake} />
          <ComplaintColumn intake={intake} currency={currency} />
          <ConditionColumn intake={intake} currency={currency} terms={terms} opening={opening} />
        </div>
      </Sheet>
    </form>
  );
}
