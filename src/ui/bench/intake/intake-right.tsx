"use client";
import { useState } from "react";
import { broughtWith, complaints, hands } from "@/core/vocabulary/counter-lists";
import { depths, jobKinds } from "@/core/vocabulary/job-kinds";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormArea, FormChoice, FormDay, FormSend, FormText, FormTicks } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

interface Values {
  readonly owner: string;
  readonly phone: string;
  readonly modelId: string;
  readonly serial: string;
  readonly hand: string;
  readonly kind: string;
  readonly depth: string;
  readonly complaints: string[];
  readonly complaint: string;
  readonly brought: string[];
  readonly limit: string;
  readonly deposit: string;
  readonly promisedOn: string;
}

interface Props {
  readonly jobId: number;
  /** Something came off it: it stays the model it is. */
  readonly begun: boolean;
  readonly seen: string;
  readonly models: Readonly<Record<string, string>>;
  readonly values: Values;
}

/** What was written at the counter, put right. */
export function IntakeRight({ jobId, begun, seen, models, values }: Props) {
  return (
    <>
      <ActForm
        act="correct-intake"
        label="Correct the intake"
        className="mt-3 grid gap-x-8 gap-y-3 lg:grid-cols-3"
        values={{ ...values }}
        seen={{ seen }}
        also={{ jobId }}
      >
        <div className="flex flex-col gap-3">
          <h2>Owner and reel</h2>
          <FormText name="owner" label="Owner" hint="A new name adds a customer." />
          <FormText name="phone" label="Phone" />
          {begun ? (
            <p>{models[values.modelId]}: work has begun, so the model stays.</p>
          ) : (
            <FormChoice name="modelId" label="Model" of={models} />
          )}
          <FormText name="serial" label="Serial, as stamped" />
          <FormChoice name="hand" label="Hand" of={hands} />
        </div>
        <div className="flex flex-col gap-3">
          <h2>What it came for</h2>
          <FormChoice name="kind" label="Kind of job" of={jobKinds} />
          <FormChoice name="depth" label="Level of service" of={{ "": "shop default", ...depths }} />
          <FormTicks name="complaints" label="Complaint" of={complaints} />
          <FormArea name="complaint" label="In the customer's words" rows={2} />
        </div>
        <div className="flex flex-col gap-3">
          <h2>With it, and how much</h2>
          <FormTicks name="brought" label="Came with it" of={broughtWith} />
          <FormText name="limit" label="Spending limit" figures />
          <FormText name="deposit" label="Deposit" figures />
          <FormDay name="promisedOn" label="Promised for" />
          <FormSend whenChanged large>
            Save the correction
          </FormSend>
        </div>
      </ActForm>
      {!begun && <Cancel jobId={jobId} />}
    </>
  );
}

/** Asked twice: a cancelled intake does not come back. */
function Cancel({ jobId }: { jobId: number }) {
  const [sure, setSure] = useState(false);
  const act = useAct("cancel-intake");
  return (
    <p className="mt-6 flex flex-wrap items-center gap-4">
      {sure ? (
        <>
          <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ jobId })}>
            Cancel this intake for good
          </button>
          <button type="button" className="act-link min-h-10" onClick={() => setSure(false)}>
            Do not cancel it
          </button>
        </>
      ) : (
        <button type="button" className="act-link min-h-10" onClick={() => setSure(true)}>
          Checked in by mistake: cancel this intake
        </button>
      )}
      <Refused of={[act]} />
    </p>
  );
}
