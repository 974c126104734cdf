"use client";
import { useState } from "react";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import { actWords, editOperation, freeOperationId, removeOperation } from "@/core/anatomy/draft";
import { type Anatomy, type Operation, operationKinds, operationSchema, type PartType } from "@/core/anatomy/types";
import { buildOrder } from "@/core/teardown/build-order";
import type { LearnedMinutes } from "@/core/teardown/learned-minutes";
import { removalOrder } from "@/core/teardown/removal-order";
import type { Station } from "@/core/vocabulary/job-kinds";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { stationNames } from "@/ui/bench/stations-words";
import { Field, Refused } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { LeaveField, typedNumber } from "@/ui/controls/leave-field";
import { PickMany } from "@/ui/controls/pick-many";
import { Glyph } from "@/ui/glyphs/glyph";
import { ModelLeaf, type ModelProps } from "./model-leaf";
import { useDraft } from "./use-draft";

interface Props extends ModelProps {
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly learned: readonly LearnedMinutes[];
  /** What the stations usually take with this model here. */
  readonly stations: readonly { readonly station: Station; readonly minutes: number; readonly jobs: number }[];
  readonly save: Action<{ number: number }>;
  readonly putIn: Action<{ number: number }>;
}

const kindWordsOfActs: Record<Operation["kind"], string> = {
  place: "fit",
  start: "start",
  "turn-home": "turn home",
  tighten: "tighten",
  press: "press",
  "set-state": "set first",
  lubricate: "lubricate",
  gate: "check",
  release: "release",
};

/** How this shop rebuilds the model: every act in its computed order with its cautions, traps, tools and minutes. */
export function PlaybookSheet({ modelId, versionNumber, cells, anatomy, partTypes, learned, stations, save, putIn }: Props) {
  const drafting = useDraft({ id: modelId, versionNumber, anatomy, partTypes }, save);
  const { draft, types, change } = drafting;
  const [editionId, setEditionId] = useState(anatomy.editions[0]?.id ?? null);
  const [open, setOpen] = useState<string | null>(null);
  const taking = useAct(putIn);
  const machine = anatomyOfEdition(draft.anatomy, editionId);
  const order = machine.positions.length ? buildOrder(machine, removalOrder(machine)) : null;
  const seen = new Map(learned.map((one) => [one.operationId, one]));
  const minutesOf = (id: string) => draft.anatomy.operations.find((operation) => operation.id === id)?.minutes;
  const known = order?.ok ? order.value.steps.reduce((sum, step) => sum + (minutesOf(step.operation.id) ?? 0), 0) : 0;
  const addAct = () => {
    const id = freeOperationId(draft.anatomy, "gate");
    change(editOperation(draft, operationSchema.parse({ id, kind: "gate", words: "Look whether …" })));
    setOpen(id);
  };
  const fresh = learned.filter((one) => minutesOf(one.operationId) !== one.median);
  return (
    <ModelLeaf {...{ modelId, versionNumber, cells, drafting }} here="Playbook" idle="Open a step to change it">
      <div className="flex flex-wrap items-end gap-3">
        {anatomy.editions.length > 0 && (
          <Field label="Edition" className="w-64">
            {(field) => (
              <select {...field} value={editionId ?? ""} onChange={(event) => setEditionId(event.target.value)}>
                {anatomy.editions.map((edition) => (
                  <option key={edition.id} value={edition.id}>
                    {edition.name}
                  </option>
                ))}
              </select>
            )}
          </Field>
        )}
        <Key className="key-small" shortcut="a" words="Add a step" onPress={addAct}>
          Add a step
        </Key>
        {fresh.length > 0 && (
          <Key
            className="key-small"
            shortcut="y"
            words="Use measured times"
            busy={taking.busy}
            disabled={drafting.changes > 0}
            onPress={() => taking.press({ modelId, baseNumber: versionNumber })}
          >
            Put in the minutes of {fresh.length} acts timed here
          </Key>
        )}
        <span>
          {known > 0 && (
            <>
              <span className="num">{Math.round(known)}</span> min for the steps with known times.
            </>
          )}
          {stations.length > 0 &&
            ` Usual here: ${stations.map(({ station, minutes, jobs }) => `${stationNames[station]} ${Math.round(minutes)} min (${jobs} jobs)`).join(", ")}.`}
        </span>
      </div>
      <Refused of={[taking]} />
      {order && !order.ok && <p className="alarm">{order.message}</p>}
      <table className="plain-table">
        <thead>
          <tr>
            <th />
            <th>Act</th>
            <th>Caution, trap, proof</th>
            <th>Tool</th>
            <th className="text-right">Minutes</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {order?.ok &&
            order.value.steps.map((step, i) => {
              const { operation, position } = step;
              const part = position ? types.get(position.partTypeId) : undefined;
              const own = draft.anatomy.operations.find((one) => one.id === operation.id);
              const timed = seen.get(operation.id);
              return (
                <tr key={operation.id}>
                  <td className="num w-20 whitespace-nowrap">
                    {i + 1}
                    {part && <Glyph type={part} turned={position?.turned ?? false} widthPx={44} heightPx={26} />}
                  </td>
                  <td>
                    {operation.kind !== "place" && <span className="text-note">{kindWordsOfActs[operation.kind]}</span>}
                    <span className={`block ${operation.kind === "gate" ? "font-semibold" : ""}`}>{operation.words}</span>
                    {position?.orientation && <span className="block text-note">{position.orientation}</span>}
                  </td>
                  <td className="w-2/5">
                    {(own?.caution ?? position?.caution) && <p className="alarm">{own?.caution ?? position?.caution}</p>}
                    {position?.trap && <p>Trap: {position.trap}</p>}
                    {own && own.lookAt.length > 0 && <p className="text-note">If not: {own.lookAt.join("; ")}</p>}
                  </td>
                  <td>{own?.tool ?? "–"}</td>
                  <td className="num text-right">
                    {own?.minutes ?? "–"}
                    {timed && (
                      <span className="block text-note">
                        {timed.median} of {timed.seen}
                      </span>
                    )}
                  </td>
                  <td>
                    <button
                      type="button"
                      className="key key-small"
                      aria-label={`Change: ${operation.words}`}
                      aria-expanded={open === operation.id}
                      onClick={() => setOpen(open === operation.id ? null : operation.id)}
                    >
                      Change
                    </button>
                    {open === operation.id && (
                      <ActForm
                        key={drafting.turn}
                        operation={own ?? operation}
                        anatomy={draft.anatomy}
                        onChange={(next) => change(editOperation(draft, next))}
                        onRemove={
                          own
                            ? () => {
                                change(removeOperation(draft, own.id));
                                setOpen(null);
                              }
                            : null
                        }
                      />
                    )}
                  </td>
                </tr>
              );
            })}
        </tbody>
      </table>
      {!draft.anatomy.positions.length && <p>No schematic yet, so no steps.</p>}
      <p className="text-note">The small number under the minutes is the median measured at this bench, and how often.</p>
    </ModelLeaf>
  );
}

function ActForm({
  operation,
  anatomy,
  onChange,
  onRemove,
}: {
  operation: Operation;
  anatomy: Anatomy;
  onChange: (operation: Operation) => void;
  onRemove: (() => void) | null;
}) {
  const take = (change: Partial<Operation>): string | null => {
    const kept = Object.fromEntries(Object.entries({ ...operation, ...change }).filter(([, value]) => value !== undefined && value !== ""));
    const checked = operationSchema.safeParse(kept);
    if (!checked.success) return checked.error.issues[0]?.message ?? "This does not fit.";
    onChange(checked.data);
    return null;
  };
  const acts = actWords(anatomy);
  delete acts[operation.id];
  return (
    <div className="mt-2 flex w-72 flex-col gap-1 border-2 border-ink p-2">
      <LeaveField label="Act" value={operation.words} onLeave={(words) => take({ words })} />
      {operation.kind !== "place" && (
        <Field label="Kind">
          {(field) => (
            <select {...field} value={operation.kind} onChange={(event) => take({ kind: event.target.value as Operation["kind"] })}>
              {operationKinds
                .filter((kind) => kind !== "place")
                .map((kind) => (
                  <option key={kind} value={kind}>
                    {kindWordsOfActs[kind]}
                  </option>
                ))}
            </select>
          )}
        </Field>
      )}
      <LeaveField label="Caution before it" value={operation.caution ?? ""} onLeave={(caution) => take({ caution })} />
      <LeaveField label="Tool with its size" value={operation.tool ?? ""} onLeave={(tool) => take({ tool })} />
      <LeaveField
        label="Minutes"
        value={operation.minutes === undefined ? "" : String(operation.minutes)}
        decimal
        onLeave={(text) => {
          const minutes = typedNumber(text);
          return minutes === null ? `${text} is no number of minutes.` : take({ minutes });
        }}
      />
      <PickMany label="After" options={acts} chosen={operation.after} onChange={(after) => take({ after })} />
      <PickMany label="Before" options={acts} chosen={operation.before} onChange={(before) => take({ before })} />
      <LeaveField
        label="If it fails, look at (separate with ;)"
        value={operation.lookAt.join("; ")}
        onLeave={(text) =>
          take({
            lookAt: text
              .split(";")
              .map((one) => one.trim())
              .filter(Boolean),
          })
        }
      />
      {anatomy.editions.length > 0 && (
        <PickMany
          label="Only in these editions"
          options={Object.fromEntries(anatomy.editions.map((e) => [e.id, e.name]))}
          chosen={operation.editions}
          onChange={(editions) => take({ editions })}
        />
      )}
      {onRemove && (
        <button type="button" className="key key-small" onClick={onRemove}>
          {operation.kind === "place" ? "No type" : "Remove this step"}
        </button>
      )}
    </div>
  );
}
