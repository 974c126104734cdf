"use client";
import { useEffect, useState } from "react";
import { figureWords, lengthTools, type MeasureInput, type MeasureKind, measureInput, measureKinds, takenOf } from "@/core/measures/taken";
import { useAct } from "@/ui/act/use-act";
import { MeasureSeries } from "@/ui/charts/measure-series";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { TabRail } from "@/ui/controls/tab-rail";
import { ChoiceField, TextField } from "@/ui/controls/text-field";
import { typedMm, typedNewtons, typedNumber } from "@/ui/gauges/figures/typed";
import { PictureRuler } from "@/ui/gauges/picture-ruler";
import type { MeasureProps } from "./measure-board";

type SizeId = "size" | "worn" | "fresh";
interface Size {
  readonly text: string;
  /** From a picture, which says its own; null for a tool. */
  readonly offMm: number | null;
}
const empty: Size = { text: "", offMm: null };

const sizeWords: Record<SizeId, string> = { size: "It measures, mm", worn: "The worn one, mm", fresh: "A new one, mm" };
const sizesOf = (kind: MeasureKind): readonly SizeId[] =>
  kind === "wear" ? ["worn", "fresh"] : kind === "side-play" || kind === "lever-force" ? [] : ["size"];
const hows: Record<MeasureKind, string> = {
  "side-play": "Turn the adjuster from where the play just disappears back to where it was; you can judge an eighth of a turn by eye.",
  wear: "A tongue, a tooth, a pawl: the same place on the worn one and on a new one.",
  "stack-height": "The washers stacked clean and dry, without the springs.",
  "pinion-height": "From the rotor's face to the pinion's end. Less than before: a shim is missing or the bearing sits deep.",
  "lever-force": "The scale at the knob of the lever, pulled square to it, as it starts to move.",
  length: "Anything worth knowing at the next visit",
};

/** One measure: what of, with what, its result with how far it may be off, and how it stood at earlier visits. */
export function MeasureForm({
  jobId,
  phase,
  board,
  seat: stepSeat,
  closed,
  unkept,
}: MeasureProps & { readonly unkept?: (is: boolean) => void }) {
  const [kind, setKind] = useState<MeasureKind>(stepSeat ? "wear" : board.kinds[0]!);
  const [seat, setSeat] = useState(stepSeat ?? "");
  const [name, setName] = useState("");
  const [tool, setTool] = useState<keyof typeof lengthTools>("caliper");
  const [turns, setTurns] = useState("");
  const [pitch, setPitch] = useState(board.pitchMm === null ? "" : String(board.pitchMm));
  const [pull, setPull] = useState("");
  const [sizes, setSizes] = useState<Readonly<Partial<Record<SizeId, Size>>>>({});
  /** Which size the picture is for. */
  const [pictured, setPictured] = useState<SizeId | null>(null);
  const [tried, setTried] = useState(false);
  const [said, setSaid] = useState("");
  const freshText = board.freshMm[seat];
  const sizeOf = (id: SizeId): Size =>
    sizes[id] ?? (id === "fresh" && freshText !== undefined ? { text: String(freshText), offMm: null } : empty);
  const length = (id: SizeId) => ({ mm: typedMm(sizeOf(id).text), offMm: sizeOf(id).offMm ?? lengthTools[tool] });
  const input = ((): MeasureInput => {
    switch (kind) {
      case "side-play":
        return { kind, turns: typedNumber(turns), pitchMm: typedMm(pitch) };
      case "lever-force":
        return { kind, newtons: typedNewtons(pull) };
      case "wear":
        return { kind, worn: length("worn"), fresh: length("fresh") };
      default:
        return { kind, size: length("size") };
    }
  })();
  const ownLength = kind === "length";
  const ofSeat = kind === "wear" || ownLength;
  const parsed = measureInput.safeParse(input);
  const faults = Object.fromEntries((parsed.error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
  const nameFault = kind === "length" && !name.trim() ? "Say what it is the length of." : undefined;
  const act = useAct("measure", (taken) => {
    setSaid(`Kept: ${figureWords(taken)}${taken.says && `, ${taken.says}`}.`);
    setSizes({});
    setTurns("");
    setPull("");
    setPictured(null);
    setTried(false);
  });
  // What is wrong is said once somebody wants it kept; before that the field is only not filled yet.
  const fault = (id: string) => (tried ? faults[id] : undefined);
  const taken = parsed.success ? takenOf(parsed.data, board.washers) : null;
  const typed = turns !== "" || pull !== "" || Object.values(sizes).some((size) => size?.text);
  useEffect(() => unkept?.(typed), [typed, unkept]);
  const keep = () => {
    setTried(true);
    setSaid("");
    if (parsed.success && !nameFault) act.press({ jobId, phase, positionId: (ofSeat && seat) || null, name, input: parsed.data });
  };
  return (
    <div className="mt-2 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      {!closed && (
        <TabRail
          label="What is measured"
          tabs={board.kinds.map((id) => ({ id, name: measureKinds[id].name }))}
          chosen={kind}
          onChoose={(id) => {
            setKind(id as MeasureKind);
            setTried(false);
            setSaid("");
          }}
        >
          <form
            className="flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              keep();
            }}
          >
            <p>{hows[kind]}</p>
            {ownLength && <TextField label="Length of" value={name} error={tried ? nameFault : undefined} onType={setName} />}
            {ofSeat && board.seats.length > 0 && (
              <ChoiceField
                label="Seat"
                of={{ "": "the reel as a whole", ...Object.fromEntries(board.seats.map(({ id, name: words }) => [id, words])) }}
                value={seat}
                onChoose={setSeat}
              />
            )}
            {kind === "side-play" && (
              <div className="grid grid-cols-2 gap-3">
                <TextField label="Turns of the adjuster" value={turns} error={fault("turns")} onType={setTurns} />
                <TextField label="Its thread, mm a turn" value={pitch} error={fault("pitchMm")} onType={setPitch} />
              </div>
            )}
            {kind === "lever-force" && (
              <TextField label="Pull at the knob (N, or 3 kg, 7 lb)" value={pull} error={fault("newtons")} onType={setPull} />
            )}
            {sizesOf(kind).length > 0 && (
              <div className="grid grid-cols-2 items-end gap-3">
                {sizesOf(kind).map((id) => (
                  <div key={id} className="flex items-end gap-2">
                    <div className="min-w-0 flex-1">
                      <TextField
                        label={sizeWords[id]}
                        value={sizeOf(id).text}
                        error={fault(`${id}.mm`)}
                        onType={(text) => setSizes((sizes) => ({ ...sizes, [id]: { text, offMm: null } }))}
                      />
                    </div>
                    <button
                      type="button"
                      className="key key-small"
                      aria-pressed={pictured === id}
                      aria-label={`${sizeWords[id]}: from a picture`}
                      onClick={() => setPictured(pictured === id ? null : id)}
                    >
                      Picture
                    </button>
                  </div>
                ))}
                <ChoiceField
                  label="Typed sizes are off"
                  of={{ caliper: "a caliper: ± 0.05 mm", ruler: "a ruler: ± 0.5 mm" }}
                  value={tool}
                  onChoose={(id) => setTool(id as "caliper")}
                />
              </div>
            )}
            {pictured && (
              <PictureRuler
                key={pictured}
                heightPx={300}
                onMeasured={(measured) =>
                  measured &&
                  setSizes((sizes) => ({
                    ...sizes,
                    [pictured]: { text: measured.mm.toFixed(2), offMm: Number(measured.offMm.toFixed(3)) },
                  }))
                }
              />
            )}
            {taken && (
              <p role="status">
                <span className="num text-head">{figureWords(taken)}</span>
                {taken.says && `, ${taken.says}`}
              </p>
            )}
            <Refused of={[act]} />
            {/* Enter in a field keeps it. */}
            <button type="submit" className="hidden" aria-hidden="true" tabIndex={-1} />
            <Key className="key-main" shortcut=" " words="Save this measurement" busy={act.busy} onPress={keep}>
              Keep, {phase === "before" ? "before the work" : "after the work"}
            </Key>
            {said && <p role="status">{said}</p>}
          </form>
        </TabRail>
      )}
      <div>
        <h2>Over the visits</h2>
        {board.kept.length ? (
          <MeasureSeries measures={board.kept} />
        ) : (
          <p>Nothing measured on this reel yet. What you save here is shown at its next visit and printed in the report.</p>
        )}
      </div>
    </div>
  );
}
