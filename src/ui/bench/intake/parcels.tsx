"use client";
import { ActForm, FormDay, FormSend, FormText } from "@/ui/controls/form";

export interface ShownParcel {
  readonly way: "in" | "out";
  readonly seen: string;
  readonly values: { readonly carrier: string; readonly number: string; readonly value: string; readonly onDay: string };
}

const wayWords = { in: "It came by parcel", out: "It goes back by parcel" } as const;

/** How a reel came and goes that nobody brings or fetches. */
export function Parcels({ jobId, parcels, currency }: { jobId: number; parcels: readonly ShownParcel[]; currency: string }) {
  return (
    <div className="mt-6 grid gap-8 lg:grid-cols-2">
      {parcels.map(({ way, seen, values }) => (
        <details key={way} open={values.carrier !== ""}>
          <summary className="act-link min-h-10">{wayWords[way]}</summary>
          <ActForm
            key={seen}
            act="save-parcel"
            label={wayWords[way]}
            className="mt-1 grid grid-cols-2 gap-2"
            values={{ ...values }}
            seen={{ seen }}
            also={{ jobId, way }}
          >
            <FormText name="carrier" label="Carrier" />
            <FormText name="number" label="Parcel number" />
            <FormText name="value" label={`Insured for, ${currency}`} figures />
            <FormDay name="onDay" label="On" />
            <FormSend whenChanged>Save</FormSend>
          </ActForm>
        </details>
      ))}
    </div>
  );
}
