"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { isDue, partsKeyOf, type SeatFacts, wantedSeats } from "@/core/interchange/seat-facts";
import { formatMinor } from "@/core/money/money";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Field } from "@/ui/controls/field";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { Key } from "@/ui/controls/keys";
import { MaterialField } from "@/ui/controls/material-field";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { TabRail } from "@/ui/controls/tab-rail";
import { DrawnHere } from "@/ui/glyphs/drawn-here";
import { Glyph } from "@/ui/glyphs/glyph";
import { keptPlates } from "@/ui/glyphs/kept-plates";
import { PlateView } from "@/ui/glyphs/plate";
import { PartsMainKey } from "./parts-main-key";
import { PieceForm } from "./piece-form";
import { needWords, seatWords } from "./seat-words";

interface Props {
  readonly head: BenchHead;
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly seats: readonly SeatFacts[];
  /** The customer agreed to what it costs. */
  readonly agreed: boolean;
  readonly currency: string;
  readonly kits: readonly {
    readonly id: string;
    readonly name: string;
    readonly note: string;
    readonly caution: string;
    readonly parts: number;
    readonly priceMinor: number;
    /** All of it is foreseen here already. */
    readonly wanted: boolean;
  }[];
  /** Seats that hold another part than the model says. */
  readonly overridden: readonly string[];
}

/** A hybrid: what sits in this seat of this reel is another part than its model says. It is then drawn, ordered and reported everywhere. */
function OverrideForm({ head, positionId, own, shape }: { head: BenchHead; positionId: string; own: boolean; shape: PartType["shape"] }) {
  const [number, setNumber] = useState("");
  const act = useAct("override-seat", () => setNumber(""));
  if (head.closed) return null;
  return (
    <>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          act.press({ jobId: head.jobId, positionId, number });
        }}
      >
        <Field
          label={own ? "Part number in this reel (blank = as the model)" : "Different part fitted? Its number"}
          error={act.fields.number ?? act.message ?? undefined}
          className="flex-1"
        >
          {(field) => (
            <input {...field} value={number} onChange={(event) => setNumber(event.target.value)} className="num" autoComplete="off" />
          )}
        </Field>
        <button type="submit" className="key key-small" disabled={act.busy || (!own && !number.trim())}>
          Set
        </button>
      </form>
      {!own && (
        <details>
          <summary className="act-link min-h-10">No number? Describe it</summary>
          <ActForm
            act="override-seat"
            label="A part from another maker"
            className="flex flex-col gap-2"
            values={{ name: "", size: "", material: "" }}
            also={{ jobId: head.jobId, positionId, number: "" }}
            empties
          >
            <FormText name="name" label="Describe the part fitted" />
            <MaterialField shape={shape} label="Material, if you know it" hint="Blank = not known." />
            <FormText name="size" label="Its size, if measured" hint="Blank = as on the drawing." figures />
            <FormSend>This is the part fitted</FormSend>
          </ActForm>
        </details>
      )}
    </>
  );
}

/** The model's schematic as the way to its parts: a callout gives number, size, price and stock, and is used here or ordered. */
export function PartsSheet(props: Props) {
  const { head, anatomy, partTypes, seats, currency, overridden, kits } = props;
  const facts = new Map(seats.map((seat) => [seat.positionId, seat]));
  const plates = useMemo(() => keptPlates(anatomy, new Map(Object.entries(partTypes))).slice(1), [anatomy, partTypes]);
  const wanted = wantedSeats(seats);
  const [picked, setPicked] = useState<string>(wanted[0]?.positionId ?? anatomy.positions[0]!.id);
  const plateOf = (id: string) =>
    plates.find((candidate) => candidate.callouts.some((callout) => callout.positionIds.includes(id)))?.id ?? plates[0]!.id;
  const [plateId, setPlateId] = useState(() => plateOf(picked));
  const using = useAct("use");
  const undoing = useAct("unuse");
  const ordering = useAct("need");
  const orderingAll = useAct("need-several");
  const [elsewhere, setElsewhere] = useState("");
  const changing = useAct("want-instead");
  const fromDonor = useAct("use-donor-piece");
  const router = useRouter();
  // With everything here and in, the hands go on building.
  const several = useAct("use-several", () => {
    if (key.what === "fit" && key.positionIds.length === wanted.length && wanted.every(isDue)) router.push(`/bench/${head.tag}/build`);
  });
  const converting = useAct("foresee-kit");
  const pick = (id: string) => {
    setPicked(id);
    setPlateId(plateOf(id));
    for (const act of [using, undoing, ordering, changing, fromDonor, converting, several, orderingAll]) act.clear();
    setElsewhere("");
  };
  const nameOf = (id: string) => anatomy.positions.find((p) => p.id === id)?.name ?? id;
  const key = partsKeyOf(seats, props.agreed);
  const position = anatomy.positions.find((p) => p.id === picked);
  const seat = facts.get(picked);
  const type = position && partTypes[seat?.wantedPartTypeId ?? position.partTypeId];
  const plate = plates.find((candidate) => candidate.id === plateId) ?? plates[0]!;
  const siblings = plate.callouts.find((callout) => callout.positionIds.includes(picked))?.positionIds ?? [picked];
  const press = { jobId: head.jobId, positionId: picked };
  return (
    <BenchSheet
      head={head}
      station="parts"
      act={
        key.what === "on" || head.closed ? (
          <NextLink href={`/bench/${head.tag}/build`} words="On to Build" />
        ) : (
          <>
            <PartsMainKey
              now={key}
              tag={head.tag}
              nameOf={nameOf}
              busy={several.busy || several.stale || orderingAll.busy || orderingAll.stale}
              onFit={(positionIds) => several.press({ jobId: head.jobId, positionIds })}
              onOrder={(positionIds) => orderingAll.press({ jobId: head.jobId, positionIds })}
              onElsewhere={(positionId) => {
                pick(positionId);
                setElsewhere(positionId);
              }}
            />
            <Link className="act-link self-center" href={`/bench/${head.tag}/build`}>
              On to Build
            </Link>
          </>
        )
      }
    >
      <Refused of={[several, orderingAll]} />
      <div className="grid gap-6 lg:grid-cols-[1fr_330px]">
        <div className="flex min-w-0 flex-col gap-3">
          <TabRail label="Plates of the schematic" tabs={plates} chosen={plate.id} onChoose={setPlateId}>
            <div className="h-[340px] border border-ink p-2">
              <DrawnHere>
                {() => (
                  <PlateView
                    plate={plate}
                    title={`Schematic: ${plate.name}`}
                    names={Object.fromEntries(anatomy.positions.map((p) => [p.id, partTypes[p.partTypeId]?.name ?? p.name]))}
                    states={Object.fromEntries(seats.map((s) => [s.positionId, seatWords(s)]))}
                    guessed={new Set(anatomy.positions.filter((p) => p.guessed).map((p) => p.id))}
                    pickedPositionId={picked}
                    onPick={pick}
                  />
                )}
              </DrawnHere>
            </div>
          </TabRail>
          <div>
            <h3>Needed for this job</h3>
            {!wanted.length && <p>Nothing is marked for replacement.</p>}
            <ul className="flex flex-wrap gap-2">
              {wanted.map((s) => (
                <li key={s.positionId}>
                  <button type="button" className="key key-small" aria-pressed={s.positionId === picked} onClick={() => pick(s.positionId)}>
                    {anatomy.positions.find((p) => p.id === s.positionId)?.name}{" "}
                    <span className="text-note font-normal">
                      {s.need ? needWords[s.need] : freeInBin(s.stock) > 0 ? "in the bin" : s.sold ? "short" : "no supplier has it"}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
          {kits.length > 0 && (
            <div>
              <h3>Conversions</h3>
              {kits.map((kit) => (
                <div key={kit.id} className="flex flex-wrap items-center gap-3 border border-ink p-2">
                  <span className="flex-1">
                    <strong>{kit.name}</strong>: {kit.parts} parts, <span className="num">{formatMinor(kit.priceMinor)}</span> {currency}.{" "}
                    {kit.note}
                    {kit.caution && <span className="alarm mt-1 block">{kit.caution}</span>}
                  </span>
                  <button
                    type="button"
                    className="key key-small"
                    disabled={converting.busy || kit.wanted || head.closed}
                    onClick={() => converting.press({ jobId: head.jobId, kitId: kit.id })}
                  >
                    {kit.wanted ? "In the quote" : "Add all to quote"}
                  </button>
                </div>
              ))}
              <Refused of={[converting]} />
            </div>
          )}
        </div>
        {position && seat && type && (
          <div className="flex flex-col gap-2 self-start border-2 border-ink p-3" role="status">
            <div className="flex items-start justify-between gap-2">
              <p className="num text-head font-medium">{type.number}</p>
              <Glyph type={type} turned={position.turned} widthPx={110} heightPx={90} />
            </div>
            <h2>{type.name}</h2>
            <p className="num">{sizeWords(type.shape)}</p>
            <p>{type.material}</p>
            {siblings.length > 1 ? (
              <label className="text-note">
                Which of the {siblings.length}
                <select value={picked} onChange={(event) => pick(event.target.value)}>
                  {siblings.map((id) => (
                    <option key={id} value={id}>
                      {anatomy.positions.find((p) => p.id === id)?.name}
                    </option>
                  ))}
                </select>
              </label>
            ) : (
              <p>Seat: {position.name}</p>
            )}
            <p>
              <span className="num text-head">{formatMinor(seat.priceMinor)}</span> {currency} · in stock{" "}
              <span className="num text-head">{seat.stock?.count ?? 0}</span>
            </p>
            <p className="text-note">
              {seat.stock ? `Bin ${seat.stock.bin}` : "No bin yet"}
              {seat.stock?.keptAside ? `, ${seat.stock.keptAside} set aside` : ""}
            </p>
            <p className="font-semibold">Now: {seatWords(seat)}</p>
            {seat.renewed ? (
              <Key busy={undoing.busy} disabled={seat.refitted || head.closed} onPress={() => undoing.press(press)}>
                Undo: return it to the bin
              </Key>
            ) : (
              <div className="grid grid-cols-2 gap-3">
                <Key shortcut="w" words="Fit from stock" busy={using.busy} disabled={head.closed} onPress={() => using.press(press)}>
                  Fit from stock
                </Key>
                <Key
                  shortcut="o"
                  words="Order"
                  busy={ordering.busy}
                  disabled={seat.need !== null || head.closed}
                  onPress={() => ordering.press(press)}
                >
                  Order
                </Key>
              </div>
            )}
            {seat.need && seat.need !== "arrived" && (
              <Link className="act-link" href="/stores">
                {seat.need === "open" ? "Place the order at Stores" : "Receive it at Stores"}
              </Link>
            )}
            {!seat.renewed && seat.fits.length > 0 && (
              <div>
                <h3>Also fits</h3>
                <ul>
                  {seat.fits.map((fit) => (
                    <li key={fit.partTypeId} className="rule-row flex items-center gap-2 py-1">
                      <span className="flex-1">
                        <span className="num">{fit.number}</span> {fit.name}
                        <span className="block text-note">
                          {fit.grade}
                          {fit.note && `: ${fit.note}`}; <span className="num">{fit.inBin}</span> in the bin
                        </span>
                      </span>
                      <button
                        type="button"
                        className="key key-small"
                        disabled={changing.busy || head.closed}
                        onClick={() => changing.press({ ...press, partTypeId: fit.partTypeId })}
                      >
                        Use this instead
                      </button>
                    </li>
                  ))}
                </ul>
              </div>
            )}
            {!seat.renewed && seat.donors.length > 0 && (
              <div>
                <h3>From a donor reel</h3>
                <ul>
                  {seat.donors.map((piece) => (
                    <li key={piece.id} className="rule-row flex items-center gap-2 py-1">
                      <span className="flex-1">
                        <span className="num">{piece.number}</span> {piece.condition},{" "}
                        <span className="num">{formatMinor(piece.priceMinor)}</span>
                        <span className="block text-note">
                          {piece.origin}
                          {piece.drawer && `; drawer ${piece.drawer}`}
                        </span>
                      </span>
                      <button
                        type="button"
                        className="key key-small"
                        disabled={fromDonor.busy || head.closed}
                        onClick={() => fromDonor.press({ ...press, donorPieceId: piece.id })}
                      >
                        Take it
                      </button>
                    </li>
                  ))}
                </ul>
              </div>
            )}
            {!seat.renewed && !seat.refitted && !head.closed && (
              <PieceForm
                key={`piece ${picked} ${elsewhere}`}
                open={elsewhere === picked}
                jobId={head.jobId}
                positionId={picked}
                type={type}
                inReel={!seat.inTray}
                others={Object.fromEntries(
                  anatomy.positions.flatMap((p) => {
                    const other = facts.get(p.id);
                    const kind = partTypes[other?.wantedPartTypeId ?? p.partTypeId]?.shape.kind;
                    return p.id !== picked && kind === type.shape.kind && other && !other.renewed && !other.refitted && !p.stays
                      ? [[p.id, p.name]]
                      : [];
                  }),
                )}
              />
            )}
            <OverrideForm key={picked} head={head} shape={type.shape} positionId={picked} own={overridden.includes(picked)} />
            <Refused of={[using, ordering, undoing, changing, fromDonor]} />
          </div>
        )}
      </div>
    </BenchSheet>
  );
}
