"use client";
import { useMemo, useState } from "react";
import {
  type DiscSpring,
  discFault,
  discStress,
  lawHoldsToShare,
  moduli,
  platedModulus,
  type SpringMaterial,
  snapsAbove,
  stackCurve,
  stackForce,
  stackHeight,
  stackNotes,
  stackOf,
  stackStroke,
} from "@/core/drag/disc-springs";
import type { SpringRow } from "@/core/drag/spring-row";
import { CurveChart } from "@/ui/charts/curve-chart";
import { Field } from "@/ui/controls/field";
import { ChoiceField, TextField } from "@/ui/controls/text-field";
import { Glyph } from "@/ui/glyphs/glyph";
import { ConesDrawing } from "./drawn/cones-drawing";
import { shown, typedMm } from "./figures/typed";
import { GaugeFrame, type GaugeJob } from "./gauge-frame";

interface Row {
  readonly id: number;
  readonly name: string;
  readonly lay: string;
  readonly outside: string;
  readonly inside: string;
  readonly thickness: string;
  readonly cone: string;
  readonly material: SpringMaterial;
  readonly up: boolean;
}

const sizes = [
  ["outside", "outsideMm", "Outside, mm"],
  ["inside", "insideMm", "Hole, mm"],
  ["thickness", "thicknessMm", "Thick, mm"],
  ["cone", "coneHeightMm", "Cone, mm"],
] as const;

const discOf = (row: Row): DiscSpring => ({
  outsideMm: typedMm(row.outside),
  insideMm: typedMm(row.inside),
  thicknessMm: typedMm(row.thickness),
  coneHeightMm: typedMm(row.cone),
  platedModulusMpa: platedModulus(row.material),
});

const ownDiscs: readonly SpringRow[] = [true, false].map((up, i) => ({
  name: `Washer ${i + 1}`,
  disc: { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 },
  material: "spring steel",
  up,
  lay: "",
}));

/** Tension washers as they lie: turn one over and the curve moves. Opened for a reel its own washers lie here. */
export function WashersSheet({ job, discs, pitchMm }: { job: GaugeJob | null; discs: readonly SpringRow[]; pitchMm: number }) {
  const [rows, setRows] = useState<readonly Row[]>(() =>
    (discs.length ? discs : ownDiscs).map(({ name, disc, material, up, lay }, id) => ({
      id,
      name,
      lay,
      outside: String(disc.outsideMm),
      inside: String(disc.insideMm),
      thickness: String(disc.thicknessMm),
      cone: String(disc.coneHeightMm),
      material: material in moduli ? (material as SpringMaterial) : "spring steel",
      up,
    })),
  );
  const [pitch, setPitch] = useState(String(pitchMm));
  const [at, setAt] = useState(50);
  const change = (id: number, edit: Partial<Row>) => setRows((rows) => rows.map((row) => (row.id === id ? { ...row, ...edit } : row)));
  const faults = new Map(rows.map((row) => [row.id, discFault(discOf(row))]));
  const pitchValue = typedMm(pitch);
  const pitchFault = pitchValue > 0 && pitchValue <= 5 ? undefined : "A thread's pitch is above 0 mm, at most 5.";
  const ready = rows.length > 0 && ![...faults.values()].some(Boolean) && !pitchFault;

  const computed = useMemo(() => {
    if (!ready) return null;
    const row = rows.map((one) => ({ disc: discOf(one), up: one.up }));
    const lies = stackOf(row);
    const opposed = stackOf(row.map(({ disc }, i) => ({ disc, up: i % 2 === 0 })));
    const curve = (stack: typeof lies) => stackCurve(stack, 80).map(({ strokeMm, forceN }) => ({ x: strokeMm, y: forceN }));
    const stroke = stackStroke(lies);
    return {
      lies,
      opposed,
      stroke,
      height: stackHeight(lies),
      notes: stackNotes(lies),
      nested: lies.groups.some(({ nested }) => nested > 1),
      snaps: lies.groups.some(({ disc }) => disc.coneHeightMm / disc.thicknessMm > snapsAbove),
      stress: Math.max(
        0,
        ...lies.groups
          .filter(({ disc }) => disc.coneHeightMm > 0)
          .map(({ disc }) => {
            const { iiMpa, iiiMpa } = discStress(disc, lawHoldsToShare * disc.coneHeightMm);
            return Math.max(iiMpa, iiiMpa);
          }),
      ),
      curves: [
        { name: "as they lie", points: curve(lies), line: "solid" as const },
        ...(lies.groups.length === opposed.groups.length ? [] : [{ name: "all opposed", points: curve(opposed), line: "dashed" as const }]),
      ],
      curve: curve(lies),
    };
  }, [rows, ready]);

  const strokeAt = computed ? (computed.stroke * at) / 100 : 0;
  const forceAt = computed ? stackForce(computed.lies, strokeAt) : 0;
  const small = computed ? Math.min(computed.stroke, stackStroke(computed.opposed)) * 0.05 : 0;
  const times = computed?.nested && small > 0 ? stackForce(computed.lies, small) / stackForce(computed.opposed, small) : 1;
  const words = computed
    ? [
        `Tension washers, ${rows.map(({ up }) => (up ? "up" : "down")).join(" ")}: ${shown(computed.stroke)} mm of stroke, ${shown(computed.stroke / pitchValue)} turns of the star; ${shown(forceAt)} N at ${shown(strokeAt)} mm.`,
        times > 1.5
          ? `Nested: ${shown(times, 2)} times as stiff as opposed, so the drag jumps from loose to locked. Turn them to face each other.`
          : "",
      ]
        .filter(Boolean)
        .join(" ")
    : "";
  return (
    <GaugeFrame
      gauge="washers"
      job={job}
      result={
        computed && {
          words,
          csv: ["stroke mm;force N", ...computed.curve.map(({ x, y }) => `${x.toFixed(4)};${y.toFixed(2)}`)].join("\r\n"),
          input: { row: rows.map((row) => ({ ...discOf(row), up: row.up })), pitchMm: pitchValue },
        }
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1>Tension washers as they lie, from the base up</h1>
          <ol className="flex flex-col-reverse gap-2">
            {rows.map((row) => {
              const fault = faults.get(row.id);
              return (
                <li key={row.id} className="grid grid-cols-[72px_1fr] gap-2 border border-ink p-2">
                  <div className="flex flex-col items-center gap-1">
                    {fault ? (
                      <span className="flex h-12 w-16 items-center justify-center border border-dashed border-ink text-note">?</span>
                    ) : (
                      <Glyph
                        type={{
                          id: "disc",
                          number: "–",
                          name: `${row.name}, cup ${row.up ? "up" : "down"}`,
                          role: "tension-washer",
                          material: row.material,
                          priceMinor: 0,
                          shape: {
                            kind: "cupped-washer",
                            outsideMm: discOf(row).outsideMm,
                            insideMm: discOf(row).insideMm,
                            thicknessMm: discOf(row).thicknessMm,
                            coneHeightMm: Math.max(0.01, discOf(row).coneHeightMm),
                          },
                        }}
                        turned={row.up}
                        widthPx={70}
                        heightPx={44}
                      />
                    )}
                    <button
                      type="button"
                      className="key key-small w-full"
                      aria-label={`${row.up ? "cup up" : "cup down"}, turn ${row.name} over`}
                      onClick={() => change(row.id, { up: !row.up })}
                    >
                      {row.up ? "cup up" : "cup down"}
                    </button>
                  </div>
                  <div>
                    <p className="flex items-center justify-between gap-2">
                      <strong>{row.name}</strong>
                      {row.lay && <span className="text-note">lay: {row.lay}</span>}
                      <button
                        type="button"
                        className="act-link"
                        aria-label={`take out ${row.name}`}
                        onClick={() => setRows((rows) => rows.filter((one) => one !== row))}
                      >
                        take out
                      </button>
                    </p>
                    <div className="grid grid-cols-4 gap-2">
                      {sizes.map(([key, field, label]) => (
                        <TextField
                          key={key}
                          label={label}
                          value={row[key]}
                          error={fault?.field === field ? fault.message : undefined}
                          onType={(text) => change(row.id, { [key]: text })}
                        />
                      ))}
                    </div>
                  </div>
                </li>
              );
            })}
          </ol>
          <div className="grid grid-cols-3 items-end gap-3">
            <button
              type="button"
              className="key key-small"
              disabled={rows.length >= 20}
              onClick={() => {
                const last = rows.at(-1);
                const id = Math.max(-1, ...rows.map((row) => row.id)) + 1;
                const base = last ?? {
                  ...ownDiscs[0]!.disc,
                  outside: "20",
                  inside: "10.2",
                  thickness: "0.8",
                  cone: "0.55",
                  material: "spring steel" as const,
                  up: false,
                };
                setRows((rows) => [
                  ...rows,
                  {
                    outside: base.outside,
                    inside: base.inside,
                    thickness: base.thickness,
                    cone: base.cone,
                    material: base.material,
                    up: !base.up,
                    id,
                    name: `Washer ${id + 1}`,
                    lay: "",
                  },
                ]);
              }}
            >
              One more like it
            </button>
            <ChoiceField
              label="Material"
              of={Object.fromEntries(Object.keys(moduli).map((name) => [name, name]))}
              value={rows[0]?.material ?? "spring steel"}
              onChoose={(material) => setRows((rows) => rows.map((row) => ({ ...row, material: material as SpringMaterial })))}
            />
            <TextField label="Star's thread, mm a turn" value={pitch} error={pitchFault} onType={setPitch} />
          </div>
        </div>
        <div className="flex flex-col gap-3">
          {computed ? (
            <>
              <p className="num text-measure" role="status">
                {shown(forceAt)} N
              </p>
              <ConesDrawing
                widthPx={560}
                heightPx={180}
                cones={rows.map((row) => ({ ...discOf(row), up: row.up }))}
                share={at / 100}
                set={(share) => setAt(Math.round(share * 100))}
                turn={(i) => change(rows[i]!.id, { up: !rows[i]!.up })}
              />
              <Field label={`Read at ${shown(strokeAt)} mm, ${shown(strokeAt / pitchValue)} turns of the star`}>
                {(field) => (
                  <input {...field} type="range" min={0} max={100} value={at} onChange={(event) => setAt(Number(event.target.value))} />
                )}
              </Field>
              <CurveChart
                curves={computed.curves}
                xName="stroke, mm"
                yName="force, N"
                atX={strokeAt}
                summary={`Solid: as they lie, up to ${shown(Math.max(...computed.curve.map(({ y }) => y)))} N over ${shown(computed.stroke)} mm.${computed.curves.length > 1 ? ` Dashed: all opposed, over ${shown(stackStroke(computed.opposed))} mm.` : ""}`}
              />
              {times > 1.5 && (
                <p className="alarm">
                  Nested: they lie in one another and are <strong className="num">{shown(times, 2)}</strong> times as stiff as opposed. The
                  drag jumps from loose to locked within a small turn of the star. Turn them to face each other.
                </p>
              )}
              {computed.notes.map((note) => (
                <p key={note} className="border-l-4 border-ink pl-2">
                  {note}
                </p>
              ))}
              {computed.snaps && (
                <p className="border-l-4 border-ink pl-2">
                  A cone higher than 1.41 times its thickness snaps: its force falls before it is flat, and both branches are drawn.
                </p>
              )}
              <p>
                Free height <span className="num">{shown(computed.height)}</span> mm, stroke{" "}
                <span className="num">{shown(computed.stroke)}</span> mm ={" "}
                <span className="num">{shown(computed.stroke / pitchValue)}</span> turns; largest stress at three quarters{" "}
                <span className="num">{shown(computed.stress)}</span> MPa.
              </p>
              <p className="text-note">
                Law of DIN EN 16984 without contact flats; nested ones add up without friction. Beyond three quarters of a cone the real
                force is higher. A tenth of a millimetre of cone moves the force by about a fifth: ± as you measured.
              </p>
            </>
          ) : (
            <p>{rows.length ? "Fix the sizes on the left to see the curve." : "Lay a washer in."}</p>
          )}
        </div>
      </div>
    </GaugeFrame>
  );
}
