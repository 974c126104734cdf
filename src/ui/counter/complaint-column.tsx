import { comesFor, depthChoices, type IntakeForm, paysChoices } from "@/core/acts/counter/intake-form";
import { claims } from "@/core/diagnosis/purchase-check";
import { complaintsOn } from "@/core/intake/complaints-on";
import { lives } from "@/core/vocabulary/counter-lists";
import { waterWords } from "@/core/vocabulary/use";
import { Field } from "@/ui/controls/field";
import { SelectField } from "@/ui/controls/select-field";
import { Ticks } from "@/ui/controls/ticks";
import type { Intake } from "./use-intake";

const complaintLabels: Partial<Record<IntakeForm["kind"], string>> = {
  "purchase-check": "Buyer's question",
  declined: "Why we do not take it",
};

/** What it came for, what is reported of it, and how it is used. */
export function ComplaintColumn({ intake, currency }: { readonly intake: Intake; readonly currency: string }) {
  const { error, family, kind, known, modelId, pickReel, pictures, register, setPictures, taken, theirs, watch } = intake;
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="text-head font-semibold">Complaint and use</legend>
      <div className="grid grid-cols-2 gap-2">
        <SelectField label="Job" options={comesFor} register={register("kind")} error={error("kind")} />
        <SelectField label="Level of service" options={depthChoices} register={register("depth")} error={error("depth")} />
      </div>
      {watch("depth") === "opening" && (
        <Field
          label={`Opening it may cost up to (${currency}, tax included)`}
          hint="Leave blank for its list price. We ask about everything else."
          error={error("openingLimit")}
        >
          {(field) => <input {...field} {...register("openingLimit")} inputMode="decimal" autoComplete="off" />}
        </Field>
      )}
      {kind === "comeback" && (
        <div className="grid grid-cols-2 gap-2">
          <SelectField label="Who pays" options={paysChoices} register={register("pays")} error={error("pays")} />
          {!known?.reel || watch("reelId") ? (
            <Field
              label="Which of their reels"
              hint={theirs.length ? undefined : "By its serial, or choose the customer."}
              error={error("reelId")}
            >
              {(field) => (
                <select {...field} value={watch("reelId")} onChange={(event) => void pickReel(event.target.value)}>
                  <option value="">by its serial</option>
                  {theirs.map(({ id, words }) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          ) : null}
        </div>
      )}
      {kind === "purchase-check" ? (
        <Ticks legend="Seller says" options={claims} register={register("claims")} error={error("claims")} />
      ) : (
        <Ticks
          legend="Customer reports"
          options={complaintsOn(modelId ? family : null, watch("complaints"))}
          register={register("complaints")}
          error={undefined}
        />
      )}
      <Field label={complaintLabels[kind] ?? "In their words"} error={error("complaint")}>
        {(field) => <textarea {...field} {...register("complaint")} rows={2} />}
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <SelectField label="Water" options={waterWords} register={register("water")} error={error("water")} />
        <Field label="Trips a year" error={error("tripsPerYear")}>
          {(field) => <input {...field} {...register("tripsPerYear")} inputMode="numeric" className="num" />}
        </Field>
      </div>
      <Ticks legend="History" options={lives} register={register("life")} error={undefined} />
      <Field label="Photos as received" hint={pictures.length ? `${pictures.length} ready to save at check-in.` : undefined}>
        {(field) => (
          <input
            {...field}
            key={taken?.reelId ?? "first"}
            type="file"
            multiple
            accept="image/jpeg,image/png,image/webp"
            onChange={(event) => setPictures([...(event.target.files ?? [])])}
          />
        )}
      </Field>
    </fieldset>
  );
}
