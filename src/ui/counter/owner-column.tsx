import Link from "next/link";
import { notInLibrary } from "@/core/acts/counter/intake-form";
import { broughtWith, dragWishes, handleHoles, hands } from "@/core/vocabulary/counter-lists";
import { familyWords, hasCastBrakes } from "@/core/vocabulary/families";
import { Field } from "@/ui/controls/field";
import { SearchField } from "@/ui/controls/search-field";
import { SelectField } from "@/ui/controls/select-field";
import { Ticks } from "@/ui/controls/ticks";
import { KnownReel, type ModelChoice } from "./known-reel";
import type { Intake } from "./use-intake";

const unknownModel: ModelChoice = { id: notInLibrary, name: "Not in the library (no schematic)", family: "star-drag-bridge" };

/** Whose reel, which it is, and what came with it. */
export function OwnerColumn({ intake }: { readonly intake: Intake }) {
  const {
    chooseCustomer,
    chooseModel,
    customer,
    error,
    family,
    kind,
    known,
    lookUp,
    model,
    modelId,
    name,
    pickReel,
    register,
    setValue,
    taken,
    turn,
  } = intake;
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="flex w-full justify-between text-head font-semibold">
        Owner and reel
        <Link className="act-link text-text" href="/counter/lot">
          Several reels of one model
        </Link>
      </legend>
      <SearchField
        key={`customer ${turn}`}
        label="Customer"
        from="/api/choose/customers"
        chosen={customer}
        onChoose={chooseCustomer}
        free
        error={error("customerId") ?? error("name")}
        hint={customer ? customer.glance : name ? "New customer." : "Name or phone; a new name adds a customer."}
      />
      {!customer && name && (
        <div className="grid grid-cols-2 gap-2">
          <Field label="Phone" error={error("phone")}>
            {(field) => <input {...field} {...register("phone")} inputMode="tel" autoComplete="off" />}
          </Field>
          <Field label="E-mail" error={error("email")}>
            {(field) => <input {...field} {...register("email")} inputMode="email" autoComplete="off" />}
          </Field>
          <Field label="Address, if an invoice wants it" error={error("address")} className="col-span-2">
            {(field) => <input {...field} {...register("address")} autoComplete="off" />}
          </Field>
        </div>
      )}
      <SearchField
        key={`model ${taken?.reelId ?? ""}`}
        label="Model"
        from="/api/choose/models"
        chosen={model}
        onChoose={chooseModel}
        always={[unknownModel]}
        error={error("modelId")}
      />
      {modelId === notInLibrary && (
        <div className="grid grid-cols-2 gap-2">
          <Field label="Name, markings or description" error={error("unknownName")}>
            {(field) => <input {...field} {...register("unknownName")} autoComplete="off" />}
          </Field>
          <SelectField
            label="Family, as close as you can tell"
            options={familyWords}
            register={register("family")}
            error={error("family")}
          />
        </div>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Field label="Serial, as stamped" error={error("serial")}>
          {(field) => <input {...field} {...register("serial", { onBlur: () => void lookUp() })} className="num" autoComplete="off" />}
        </Field>
        <SelectField label="Hand" options={hands} register={register("hand")} error={error("hand")} />
      </div>
      {known?.alike && known.alike.length > 0 && (
        <Field label="One of these? Similar serials" error={error("reelId")}>
          {(field) => (
            <select {...field} defaultValue="" onChange={(event) => void pickReel(event.target.value)}>
              <option value="">none of them: a new reel</option>
              {known.alike!.map(({ id, words }) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {known?.reel && <KnownReel known={known} onComeback={kind === "comeback" ? null : () => setValue("kind", "comeback")} />}
      <Ticks legend="Came with it" options={broughtWith} register={register("brought")} error={undefined} />
      <div className="grid grid-cols-2 gap-2">
        <SelectField label="Drag" options={dragWishes} register={register("dragWish")} error={error("dragWish")} />
        <SelectField label="Handle hole" options={handleHoles} register={register("handleHole")} error={error("handleHole")} />
      </div>
      {hasCastBrakes(family) && (
        <Field label="Brake setting as found (set back the same)" error={error("brakes")}>
          {(field) => <input {...field} {...register("brakes")} placeholder="blocks in, dial" autoComplete="off" />}
        </Field>
      )}
    </fieldset>
  );
}
