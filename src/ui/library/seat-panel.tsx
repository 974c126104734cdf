"use client";
import Link from "next/link";
import { useState } from "react";
import type { SeatChange } from "@/core/anatomy/draft";
import { type PartShape, shapeSchema, sizeLabel, wordSizes } from "@/core/anatomy/shapes";
import { hasTwoSides } from "@/core/anatomy/two-sides";
import {
  type Anatomy,
  members,
  type PartType,
  type Position,
  partTypeSchema,
  positionSchema,
  tightnessClasses,
  verifiable,
} from "@/core/anatomy/types";
import { typedSetFirst } from "@/core/hands/set-first";
import { judgeProduct } from "@/core/lubrication/judge-product";
import { readLiningMaterial } from "@/core/safety/linings";
import { liningMaterialIds } from "@/core/vocabulary/lining-materials";
import { Field } from "@/ui/controls/field";
import { LeaveField, typedNumber } from "@/ui/controls/leave-field";
import { PickMany } from "@/ui/controls/pick-many";
import { TabRail } from "@/ui/controls/tab-rail";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly anatomy: Anatomy;
  readonly position: Position;
  readonly type: PartType;
  readonly onSeat: (change: SeatChange) => void;
  readonly onPart: (change: Partial<PartType>) => void;
  readonly leaf: SeatLeafName;
  readonly onLeaf: (leaf: SeatLeafName) => void;
}

export type SeatLeafName = (typeof leaves)[number];
const leaves = ["Part", "Seat", "Order", "Care"] as const;

/** Sizes a part may have or not, by its kind. */
const optionalSizes: Partial<Record<PartShape["kind"], readonly string[]>> = {
  gear: ["cupMm", "floorMm"],
  sleeve: ["flangeMm", "acrossFlatsMm"],
  shaft: ["flatMm", "acrossFlatsMm"],
  plate: ["lowMm"],
  frame: ["lowMm"],
};

/** One seat and the part in it, on four leaves. What is changed is drawn at once. */
export function SeatPanel({ anatomy, position, type, onSeat, onPart, leaf, onLeaf }: Props) {
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-center gap-3">
        <Glyph type={type} turned={position.turned} widthPx={96} heightPx={64} />
        <div className="min-w-0">
          <h2>{position.name}</h2>
          {type.id.startsWith("draft--") ? (
            <span className="num">{type.number}</span>
          ) : (
            <Link className="act-link num" href={`/library/part/${type.id}`}>
              {type.number}
            </Link>
          )}{" "}
          {type.name}
          {position.guessed && <span className="ml-2 border border-dashed border-ink px-1 text-note">guessed</span>}
        </div>
      </div>
      <TabRail
        label="What to change"
        tabs={leaves.map((name) => ({ id: name, name }))}
        chosen={leaf}
        onChoose={(name) => onLeaf(name as SeatLeafName)}
      >
        {leaf === "Part" && <PartLeaf type={type} onPart={onPart} />}
        {leaf === "Seat" && <SeatLeaf anatomy={anatomy} position={position} type={type} onSeat={onSeat} />}
        {leaf === "Order" && <OrderLeaf anatomy={anatomy} position={position} onSeat={onSeat} />}
        {leaf === "Care" && <CareLeaf position={position} onSeat={onSeat} type={type} />}
      </TabRail>
    </div>
  );
}

function PartLeaf({ type, onPart }: Pick<Props, "type" | "onPart">) {
  const { shape } = type;
  const take = (change: Partial<PartType>): string | null => {
    const checked = partTypeSchema.safeParse({ ...type, ...change, id: "checked" });
    if (!checked.success) return checked.error.issues[0]?.message ?? "This does not fit.";
    onPart(change);
    return null;
  };
  const size = (key: string, text: string, optional: boolean): string | null => {
    const value = typedNumber(text);
    const { [key as keyof PartShape]: _, ...rest } = shape;
    if (value === undefined && optional) return take({ shape: rest as PartShape });
    const changed = shapeSchema.safeParse({ ...shape, [key]: value });
    return changed.success
      ? take({ shape: changed.data })
      : `${text || "Nothing"} cannot be drawn: a size is above 0 and up to 400 mm, a count a whole number.`;
  };
  const optional = optionalSizes[shape.kind] ?? [];
  const numbers = Object.entries(shape).filter((entry): entry is [string, number] => typeof entry[1] === "number");
  const absent = optional.filter((key) => !(key in shape));
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1">
      {numbers.map(([key, value]) => (
        <LeaveField
          key={key}
          label={sizeLabel(key)}
          value={String(value)}
          decimal
          onLeave={(text) => size(key, text, optional.includes(key))}
        />
      ))}
      {absent.map((key) => (
        <LeaveField
          key={key}
          label={`${sizeLabel(key)} (if any)`}
          value=""
          decimal
          onLeave={(text) => (text ? size(key, text, true) : null)}
        />
      ))}
      {Object.entries(wordSizes).map(
        ([key, words]) =>
          key in shape && (
            <Field key={key} label={sizeLabel(key)}>
              {(field) => (
                <select
                  {...field}
                  value={String(shape[key as keyof PartShape])}
                  onChange={(event) => take({ shape: { ...shape, [key]: event.target.value } as PartShape })}
                >
                  {words.map((word) => (
                    <option key={word}>{word}</option>
                  ))}
                </select>
              )}
            </Field>
          ),
      )}
      <LeaveField label="Part number" value={type.number} onLeave={(text) => take({ number: text })} />
      <LeaveField label="Name of the part" value={type.name} onLeave={(text) => take({ name: text })} />
      {shape.kind === "friction-washer" ? (
        <Field label="Material">
          {(field) => (
            <select {...field} value={readLiningMaterial(type.material)} onChange={(event) => take({ material: event.target.value })}>
              {liningMaterialIds.map((material) => (
                <option key={material}>{material}</option>
              ))}
            </select>
          )}
        </Field>
      ) : (
        <LeaveField label="Material" value={type.material} onLeave={(text) => take({ material: text })} />
      )}
      <LeaveField label="Role" value={type.role} onLeave={(text) => take({ role: text })} />
      <LeaveField
        label="Superseded by number"
        value={type.supersededBy ?? ""}
        onLeave={(text) => take({ supersededBy: text || undefined })}
      />
      <LeaveField label="Hazard in handling it" value={type.hazard ?? ""} onLeave={(text) => take({ hazard: text || undefined })} />
      <Field label="Thread">
        {(field) => (
          <select
            {...field}
            value={type.thread ?? ""}
            onChange={(event) => take({ thread: (event.target.value || undefined) as PartType["thread"] })}
          >
            <option value="">none or right-hand</option>
            <option value="left">left-hand</option>
            <option value="right">right-hand</option>
          </select>
        )}
      </Field>
      <Tick label="Flies when freed" on={type.flies ?? false} onChange={(flies) => take({ flies: flies || undefined })} />
    </div>
  );
}

function Tick({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex min-h-10 items-center gap-2 self-end font-semibold">
      <input type="checkbox" checked={on} onChange={(event) => onChange(event.target.checked)} className="h-5 min-h-0 w-5 accent-ink" />
      {label}
    </label>
  );
}

/** Takes a change of a seat when the seat it makes is one. */
const seatTaker =
  (position: Position, onSeat: Props["onSeat"]) =>
  (change: SeatChange): string | null => {
    const kept = Object.fromEntries(Object.entries({ ...position, ...change }).filter(([, value]) => value !== undefined && value !== ""));
    const checked = positionSchema.safeParse({ ...kept, partTypeId: "checked" });
    if (!checked.success) return checked.error.issues[0]?.message ?? "This does not fit.";
    onSeat(change);
    return null;
  };

function NumberField({
  label,
  value,
  onLeave,
}: {
  label: string;
  value: number | undefined;
  onLeave: (value: number | undefined) => string | null;
}) {
  return (
    <LeaveField
      label={label}
      value={value === undefined ? "" : String(value)}
      decimal
      onLeave={(text) => {
        const typed = typedNumber(text);
        return typed === null ? `${text} is no number.` : onLeave(typed);
      }}
    />
  );
}

type LeafProps = Pick<Props, "anatomy" | "position" | "onSeat">;

function SeatLeaf({ anatomy, position, type, onSeat }: LeafProps & Pick<Props, "type">) {
  const take = seatTaker(position, onSeat);
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1">
      <LeaveField label="Name of the seat" value={position.name} onLeave={(name) => take({ name })} />
      <LeaveField label="Orientation" value={position.orientation ?? ""} onLeave={(orientation) => take({ orientation })} />
      <LeaveField
        label="Set before it comes off"
        value={position.setFirst.map(({ words }) => words).join("; ")}
        onLeave={(text) => take({ setFirst: typedSetFirst(text, position.setFirst) })}
      />
      <NumberField label="Beside the axis, mm" value={position.acrossMm} onLeave={(acrossMm) => take({ acrossMm: acrossMm ?? 0 })} />
      <NumberField label="Along it from the base, mm" value={position.alongMm} onLeave={(alongMm) => take({ alongMm })} />
      <Field label="Turns with">
        {(field) => (
          <select
            {...field}
            value={position.turnsWith}
            onChange={(event) => take({ turnsWith: event.target.value as Position["turnsWith"] })}
          >
            {members.map((member) => (
              <option key={member}>{member}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Tightness">
        {(field) => (
          <select
            {...field}
            value={position.tightness ?? ""}
            onChange={(event) => take({ tightness: (event.target.value || undefined) as Position["tightness"] })}
          >
            <option value="">–</option>
            {tightnessClasses.map((tightness) => (
              <option key={tightness}>{tightness}</option>
            ))}
          </select>
        )}
      </Field>
      <LeaveField label="Hole" value={position.hole ?? ""} onLeave={(hole) => take({ hole })} />
      <NumberField label="Depth of the hole, mm" value={position.holeDepthMm} onLeave={(holeDepthMm) => take({ holeDepthMm })} />
      <NumberField label="Start order" value={position.startOrder} onLeave={(startOrder) => take({ startOrder })} />
      <NumberField label="Catches every, degrees" value={position.indexDeg} onLeave={(indexDeg) => take({ indexDeg })} />
      <Tick label="Lies as found" on={position.asFound ?? false} onChange={(asFound) => take({ asFound })} />
      <Tick label="Two unlike sides" on={hasTwoSides(position, type)} onChange={(twoSided) => take({ twoSided })} />
      <Tick label="Passes through" on={position.through ?? false} onChange={(on) => take({ through: on || undefined })} />
      <Tick label="Strips easily" on={position.stripsEasily ?? false} onChange={(on) => take({ stripsEasily: on || undefined })} />
      <Tick label="Hides or clings" on={position.hides} onChange={(hides) => take({ hides })} />
      <Tick label="Served in place only" on={position.inPlace ?? false} onChange={(on) => take({ inPlace: on || undefined })} />
      <LeaveField label="Any order within group" value={position.freeOrder ?? ""} onLeave={(freeOrder) => take({ freeOrder })} />
      <div className="col-span-2">
        <PickMany
          label="To be verified at the next teardown"
          options={Object.fromEntries(verifiable.map((what) => [what, what]))}
          chosen={position.verify}
          onChange={(verify) => take({ verify: verify as Position["verify"] })}
        />
      </div>
      {anatomy.editions.length > 0 && (
        <div className="col-span-2">
          <PickMany
            label="Only in these editions"
            options={Object.fromEntries(anatomy.editions.map((edition) => [edition.id, edition.name]))}
            chosen={position.editions}
            onChange={(editions) => take({ editions })}
          />
        </div>
      )}
    </div>
  );
}

function OrderLeaf({ anatomy, position, onSeat }: LeafProps) {
  const others = Object.fromEntries(anatomy.positions.filter((other) => other.id !== position.id).map((other) => [other.id, other.name]));
  const seatChoice = (label: string, key: "ridesOn" | "insideOf") => (
    <Field label={label}>
      {(field) => (
        <select {...field} value={position[key] ?? ""} onChange={(event) => onSeat({ [key]: event.target.value || undefined })}>
          <option value="">nothing</option>
          {Object.entries(others).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  const many = (label: string, key: "restsOn" | "passesThrough" | "heldBy") => (
    <PickMany label={label} options={others} chosen={position[key]} onChange={(chosen) => onSeat({ [key]: chosen })} />
  );
  return (
    <div className="flex flex-col gap-2">
      {many("Rests on", "restsOn")}
      {seatChoice("Goes over", "ridesOn")}
      {seatChoice("Lies inside", "insideOf")}
      {many("Passes through", "passesThrough")}
      {many("Is held by", "heldBy")}
    </div>
  );
}

function CareLeaf({ position, type, onSeat }: Omit<LeafProps, "anatomy"> & { readonly type: PartType }) {
  const take = seatTaker(position, onSeat);
  const care = position.lubricant ?? { product: "", amount: "", why: "" };
  const [typed, setTyped] = useState<typeof care>(care);
  const lubricate = (change: Partial<typeof care>): string | null => {
    const next = Object.fromEntries(Object.entries({ ...typed, ...change }).filter(([, value]) => value !== undefined)) as typeof care;
    setTyped(next);
    if (!next.product && !next.amount && !next.why) return take({ lubricant: undefined });
    // Half a line is kept in the fields and counts once all three are there.
    return next.product && next.amount && next.why ? take({ lubricant: next }) : null;
  };
  const doubt = judgeProduct(type, typed.product);
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1">
      <LeaveField
        className="col-span-2"
        label="Caution before the step"
        value={position.caution ?? ""}
        onLeave={(caution) => take({ caution })}
      />
      <LeaveField className="col-span-2" label="Trap when it goes back" value={position.trap ?? ""} onLeave={(trap) => take({ trap })} />
      <LeaveField label="Lubricant" value={care.product} onLeave={(product) => lubricate({ product })} />
      <LeaveField label="How much" value={care.amount} onLeave={(amount) => lubricate({ amount })} />
      <LeaveField label="Why" value={care.why} onLeave={(why) => lubricate({ why })} />
      <NumberField label="Drops, if counted" value={care.drops} onLeave={(drops) => lubricate({ drops })} />
      {typed.product && (!typed.amount || !typed.why) && <p className="col-span-2">Add how much and why for a lubricant.</p>}
      {doubt && (
        <p className="col-span-2 border-l-4 border-ink pl-2 font-semibold" role="note">
          {doubt} Saved as you wrote it; change it unless you are sure.
        </p>
      )}
    </div>
  );
}
