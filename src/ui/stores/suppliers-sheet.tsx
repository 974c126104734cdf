"use client";
import { formatMinor } from "@/core/money/money";
import type { OrderRules } from "@/core/ordering/rules";
import { seenOrderRules } from "@/core/seen/seen";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { FormWeekdays } from "@/ui/controls/form-weekdays";
import { RetireKey } from "@/ui/controls/retire-key";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { PriceList } from "./price-list";
import { StoresPages } from "./stores-pages";

interface Supplier {
  readonly id: string;
  readonly name: string;
  readonly postageMinor: number;
  readonly leadDays: number;
  readonly freePostFromMinor: number | null;
  readonly smallestOrderMinor: number;
  readonly email: string;
  /** What was learned of its days; null before its first parcel. */
  readonly learned: { readonly days: number; readonly middle: number; readonly parcels: number };
  readonly mistakes: { readonly bad: number; readonly pieces: number; readonly percent: number };
  readonly offers: number;
  readonly retired: boolean;
  readonly rowVersion: number;
}

interface Props {
  readonly suppliers: readonly Supplier[];
  readonly currency: string;
  readonly rules: OrderRules;
  /** The simulated order desk is switched on. */
  readonly simulated: boolean;
}

const Card = ({ currency }: { currency: string }) => (
  <>
    <FormText name="name" label="Name" className="min-w-40 flex-1" />
    <FormText name="postageMinor" label={`Postage per parcel, ${currency}`} figures className="w-36" />
    <FormText name="leadDays" label="Delivery, days" figures className="w-32" />
    <FormText name="freePostFromMinor" label={`Post free from, ${currency}`} figures className="w-36" />
    <FormText name="smallestOrderMinor" label={`Smallest order, ${currency}`} figures className="w-36" />
    <FormText name="email" label="Order e-mail address" className="w-52" />
  </>
);

/** Who the shop orders from: each card is changed where it stands, and retired when it is not ordered from any more. */
export function SuppliersSheet({ suppliers, currency, rules, simulated }: Props) {
  return (
    <Sheet
      fill
      block={<CornerBlock cells={[{ label: "Suppliers", value: String(suppliers.filter((one) => !one.retired).length), large: true }]} />}
    >
      <StoresPages here="Suppliers" />
      <div className="mt-4 grid gap-10 lg:grid-cols-[1fr_320px]">
        <div>
          {!suppliers.length && <p>No supplier yet. Add the first one here; what it sells is added at the part.</p>}
          {suppliers.map((supplier) => (
            <div key={supplier.id} className="rule-row py-3">
              <div className="flex flex-wrap items-end gap-2">
                <ActForm
                  act="change-supplier"
                  label={supplier.name}
                  className="flex flex-1 flex-wrap items-end gap-2"
                  values={{
                    name: supplier.name,
                    postageMinor: formatMinor(supplier.postageMinor),
                    leadDays: String(supplier.leadDays),
                    freePostFromMinor: supplier.freePostFromMinor === null ? "" : formatMinor(supplier.freePostFromMinor),
                    smallestOrderMinor: supplier.smallestOrderMinor ? formatMinor(supplier.smallestOrderMinor) : "",
                    email: supplier.email,
                  }}
                  also={{ id: supplier.id }}
                  seen={{ rowVersion: supplier.rowVersion }}
                >
                  <Card currency={currency} />
                  <FormSend whenChanged>Save</FormSend>
                </ActForm>
                <RetireKey id={supplier.id} name={supplier.name} retired={supplier.retired} retire="retire-supplier" />
              </div>
              <p className="text-note">
                Sells {supplier.offers === 1 ? "1 part" : `${supplier.offers} parts`} of the catalogue.{" "}
                {supplier.learned.parcels === 0
                  ? `No parcel yet; we plan on ${supplier.learned.days} days.`
                  : `${supplier.learned.parcels === 1 ? "1 parcel" : `${supplier.learned.parcels} parcels`} took ${supplier.learned.middle.toFixed(1)} days on average; we plan on ${supplier.learned.days}.`}
                {supplier.mistakes.pieces > 0 &&
                  ` ${supplier.mistakes.bad} of ${supplier.mistakes.pieces} pieces wrong or broken; we plan on ${supplier.mistakes.percent.toFixed(1)} %.`}
                {supplier.retired && "; no longer used"}
              </p>
              {!supplier.retired && <PriceList supplier={supplier} />}
            </div>
          ))}
        </div>
        <div className="flex flex-col gap-8">
          <ActForm
            act="add-supplier"
            label="New supplier"
            className="flex flex-col gap-2 self-start"
            values={{ name: "", postageMinor: "", leadDays: "", freePostFromMinor: "", smallestOrderMinor: "", email: "" }}
            empties
          >
            <h2>New supplier</h2>
            <Card currency={currency} />
            <FormSend large>Add the supplier</FormSend>
          </ActForm>
          <ActForm
            act="save-order-rules"
            label="Planning assumptions"
            className="flex flex-col gap-2 self-start"
            seen={{ seen: seenOrderRules(rules) }}
            values={{
              lateShareBasisPoints: String(rules.lateShareBasisPoints / 100),
              leftOverDays: String(rules.leftOverDays),
              leadChance: String(rules.leadChance),
              runningOutChance: String(rules.runningOutChance),
              deskLate: String(rules.deskLate),
              deskWrong: String(rules.deskWrong),
              orderOn: rules.orderOn,
            }}
          >
            <h2>Planning assumptions</h2>
            <FormText name="lateShareBasisPoints" label="Cost per day late (% of labour)" figures />
            <FormText name="leftOverDays" label="Use leftovers within (days)" figures />
            <FormText name="leadChance" label="Delivery confidence (%)" figures />
            <FormText name="runningOutChance" label="Stock-out risk (%)" figures />
            {simulated && (
              <>
                <FormText name="deskLate" label="Simulated desk is late (%)" figures />
                <FormText name="deskWrong" label="Simulated desk packs a wrong part (%)" figures />
              </>
            )}
            <FormWeekdays name="orderOn" label="Days orders go out" />
            <FormSend whenChanged>Save</FormSend>
          </ActForm>
        </div>
      </div>
    </Sheet>
  );
}
