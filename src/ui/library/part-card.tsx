"use client";
import { formatMinor } from "@/core/money/money";
import { seenBin, seenOffer } from "@/core/seen/seen";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import { RetireKey } from "@/ui/controls/retire-key";

interface FactsProps {
  readonly id: string;
  readonly name: string;
  readonly priceMinor: number;
  readonly supersededBy: string;
  readonly hazard: string;
  readonly rowVersion: number;
  readonly retired: boolean;
}

/** What of a part may change without its being another part. Its sizes are changed at a schematic, where they become a new entry. */
export function PartFacts({ id, rowVersion, retired, ...part }: FactsProps) {
  return (
    <div id="facts" className="mt-3 flex flex-col gap-2">
      <ActForm
        act="part-facts"
        label="Facts of the part"
        className="flex flex-col gap-2"
        values={{ name: part.name, priceMinor: formatMinor(part.priceMinor), supersededBy: part.supersededBy, hazard: part.hazard }}
        also={{ id }}
        seen={{ rowVersion }}
      >
        <FormText name="name" label="Name" />
        <FormText name="priceMinor" label="Price, for jobs opened from now on" figures />
        <FormText name="supersededBy" label="Superseded by number" />
        <FormText name="hazard" label="Hazard in handling it" />
        <div className="flex gap-2">
          <FormSend whenChanged>Save</FormSend>
          <RetireKey id={id} name={part.name} retired={retired} retire="retire-part" />
        </div>
      </ActForm>
    </div>
  );
}

interface OffersProps {
  readonly partTypeId: string;
  readonly offers: readonly {
    readonly supplierId: string;
    readonly supplierName: string;
    readonly priceMinor: number;
    readonly pack: number;
    readonly breaks: readonly { readonly fromPacks: number; readonly priceMinor: number }[];
    readonly postageMinor: number;
    readonly leadDays: number;
  }[];
  /** Suppliers in use, by id. */
  readonly suppliers: Readonly<Record<string, string>>;
  readonly currency: string;
}

/** Who sells a part at what price; the first supplier of a new shop is written into the book here as well. */
export function PartOffers({ partTypeId, offers, suppliers, currency }: OffersProps) {
  const removing = useAct("remove-offer");
  const known = Object.keys(suppliers).length > 0;
  return (
    <div id="offers" className="flex flex-col gap-2">
      <h2>Who sells it</h2>
      {!offers.length && <p>No supplier yet.</p>}
      {offers.map((offer) => (
        <div key={offer.supplierId} className="rule-row flex items-center gap-2 py-1">
          <span className="flex-1">
            {offer.supplierName} <span className="num">{formatMinor(offer.priceMinor)}</span>
            {offer.pack > 1 && ` for ${offer.pack}`}
            {offer.breaks.map(({ fromPacks, priceMinor }) => ` (${formatMinor(priceMinor)} from ${fromPacks})`)}, postage{" "}
            <span className="num">{formatMinor(offer.postageMinor)}</span>, {offer.leadDays} {offer.leadDays === 1 ? "day" : "days"}
          </span>
          <button
            type="button"
            className="act-link min-h-10"
            disabled={removing.busy}
            aria-label={`Remove the offer of ${offer.supplierName}`}
            onClick={() => removing.press({ partTypeId, supplierId: offer.supplierId })}
          >
            Remove
          </button>
        </div>
      ))}
      <Refused of={[removing]} />
      {known && (
        <ActForm
          act="set-offer"
          label="Add or change an offer"
          className="flex flex-wrap items-end gap-2"
          values={{ supplierId: Object.keys(suppliers)[0] ?? "", priceMinor: "", pack: "1", breakFrom: "", breakPriceMinor: "" }}
          also={{ partTypeId, seen: Object.fromEntries(offers.map((offer) => [offer.supplierId, seenOffer(offer)])) }}
          empties
        >
          <FormChoice name="supplierId" label="Supplier" of={suppliers} className="min-w-32 flex-1" />
          <FormText name="priceMinor" label={`Price, ${currency}`} figures className="w-24" />
          <FormText name="pack" label="for pieces" figures className="w-20" />
          <FormText name="breakFrom" label="From packs" figures className="w-24" />
          <FormText name="breakPriceMinor" label="then each" figures className="w-24" />
          <FormSend>Save the offer</FormSend>
        </ActForm>
      )}
      <details open={!known}>
        <summary className="min-h-10 cursor-pointer font-semibold text-brass">New supplier</summary>
        <ActForm
          act="add-supplier"
          label="New supplier"
          className="flex flex-wrap items-end gap-2"
          values={{ name: "", postageMinor: "", leadDays: "" }}
          empties
        >
          <FormText name="name" label="Name" className="min-w-32 flex-1" />
          <FormText name="postageMinor" label={`Postage, ${currency}`} figures className="w-24" />
          <FormText name="leadDays" label="Days" figures className="w-20" />
          <FormSend>Add the supplier</FormSend>
        </ActForm>
      </details>
    </div>
  );
}

interface BinProps {
  readonly number: string;
  readonly bin: { readonly bin: string; readonly count: number; readonly minimum: number; readonly keptAside: number } | null;
}

/** Where it lies here, and how many. */
export function PartBin({ number, bin }: BinProps) {
  return (
    <div id="bin" className="flex flex-col gap-2">
      <h2>In stock</h2>
      <p>
        {bin ? (
          <>
            <span className="num text-head">{bin.count}</span> in bin <span className="num">{bin.bin}</span>
            {bin.keptAside > 0 && `, ${bin.keptAside} set aside`}
          </>
        ) : (
          "It has no bin yet."
        )}
      </p>
      <ActForm
        act="set-bin"
        label="Bin of this part"
        className="flex flex-wrap items-end gap-2"
        values={{ bin: bin?.bin ?? "", count: String(bin?.count ?? ""), minimum: String(bin?.minimum ?? 0) }}
        also={{ number }}
        seen={{ seen: seenBin(bin), countSeen: bin?.count ?? null }}
      >
        <FormText name="bin" label="Bin" className="w-24" />
        <FormText name="count" label="In stock" figures className="w-24" />
        <FormText name="minimum" label="Minimum" figures className="w-24" />
        <FormSend whenChanged>{bin ? "Save" : "Give it a bin"}</FormSend>
      </ActForm>
    </div>
  );
}
