"use client";
import { useState } from "react";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import { actWords, editOperation, freeOperationId, removeOperation, setBatches } from "@/core/anatomy/draft";
import { type Anatomy, type Batch, type Operation, operationKinds, operationSchema, type PartType } from "@/core/anatomy/types";
import type { TaughtBatch } from "@/core/hands/taught-batches";
import { buildOrder } from "@/core/teardown/build-order";
import type { LearnedMinutes } from "@/core/teardown/learned-minutes";
import { removalOrder } from "@/core/teardown/removal-order";
import type { Station } from "@/core/vocabulary/job-kinds";
import { useAct } from "@/ui/act/use-act";
import { stationNames } from "@/ui/bench/stations-words";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { LeaveField, typedNumber } from "@/ui/controls/leave-field";
import { PickMany } from "@/ui/controls/pick-many";
import { Refused } from "@/ui/controls/refused";
import { Glyph } from "@/ui/glyphs/glyph";
import { BlindSpotsPanel, type BlindSpotsProps } from "./blind-spots-panel";
import { LooksForm } from "./looks-form";
import { ModelLeaf, type ModelProps } from "./model-leaf";
import { useDraft } from "./use-draft";

interface Props extends ModelProps {
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly learned: readonly LearnedMinutes[];
  /** What the stations usually take with this model here. */
  readonly stations: readonly { readonly station: Station; readonly minutes: number; readonly jobs: number }[];
  /** What hands took off one right after the other, again and again. */
  readonly taught: readonly TaughtBatch[];
  /** What its checks do not see; null for a model without seats. */
  readonly blind: Omit<BlindSpotsProps, "modelId" | "versionNumber"> | null;
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
export function PlaybookSheet({ modelId, versionNumber, cells, anatomy, partTypes, learned, stations, taught, blind }: Props) {
  const drafting = useDraft({ id: modelId, versionNumber, anatomy, partTypes });
  const { draft, types, change } = drafting;
  const [editionId, setEditionId] = useState(anatomy.editions[0]?.id ?? null);
  const [open, setOpen] = useState<string | null>(null);
  const taking = useAct("put-minutes-in");
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
                    {own && own.lookAt.length > 0 && (
                      <p className="text-note">If not: {own.lookAt.map(({ words }) => words.replace(/\?$/, "")).join("; ")}</p>
                    )}
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
      {draft.anatomy.positions.length > 0 && (
        <Handfuls anatomy={draft.anatomy} taught={taught} onChange={(batches) => change(setBatches(draft, batches))} />
      )}
      {!draft.anatomy.positions.length && <p>No schematic yet, so no steps.</p>}
      <p className="text-note">Small figures: median minutes measured at this bench, and number of jobs.</p>
      {blind && drafting.changes === 0 && <BlindSpotsPanel {...blind} {...{ modelId, versionNumber }} />}
    </ModelLeaf>
  );
}

/** Done as one act: named, changed, taken apart again; what the bench has seen is offered. */
function Handfuls({
  anatomy,
  taught,
  onChange,
}: {
  readonly anatomy: Anatomy;
  readonly taught: readonly TaughtBatch[];
  readonly onChange: (batches: readonly Batch[]) => void;
}) {
  const names = Object.fromEntries(anatomy.positions.map(({ id, name }) => [id, name]));
  const { batches } = anatomy;
  const inOne = new Set(batches.flatMap(({ positionIds }) => positionIds));
  const free = Object.fromEntries(Object.entries(names).filter(([id]) => !inOne.has(id)));
  const add = (positionIds: readonly string[]) => {
    const [first] = positionIds;
    const used = new Set(batches.map(({ id }) => id));
    let number = batches.length + 1;
    while (used.has(`handful-${number}`)) number++;
    onChange([...batches, { id: `handful-${number}`, name: `${names[first!]} and what comes with it`, positionIds: [...positionIds] }]);
  };
  const set = (id: string, changed: Partial<Batch>) =>
    onChange(batches.map((batch) => (batch.id === id ? { ...batch, ...changed } : batch)));
  const offered = taught.filter(({ positionIds }) => positionIds.every((id) => id in free));
  const [fresh, setFresh] = useState<string[]>([]);
  return (
    <section className="mt-4" aria-label="Done as one act">
      <h2>Done as one act</h2>
      {offered.map(({ positionIds, times }) => (
        <p key={positionIds.join(" ")} className="rule-row flex items-center gap-3">
          <span className="flex-1">
            Taken off one after another in {times} jobs: {positionIds.map((id) => names[id]).join(", ")}.
          </span>
          <Key className="key-small" onPress={() => add(positionIds)}>
            Make it one act
          </Key>
        </p>
      ))}
      <ul className="grid gap-2 lg:grid-cols-2">
        {batches.map((batch) => (
          <li key={batch.id} className="border border-ink p-2">
            <LeaveField
              label="Called"
              value={batch.name}
              onLeave={(name) => {
                if (!name.trim()) return "It needs a name.";
                set(batch.id, { name: name.trim().slice(0, 60) });
                return null;
              }}
            />
            <PickMany
              label={`Parts of ${batch.name}`}
              options={{ ...free, ...Object.fromEntries(batch.positionIds.map((id) => [id, names[id] ?? id])) }}
              chosen={batch.positionIds}
              onChange={(positionIds) => set(batch.id, { positionIds })}
            />
          </li>
        ))}
      </ul>
      <div className="mt-2 border border-ink p-2">
        <PickMany label="A new group of" options={free} chosen={fresh} onChange={setFresh} />
        <Key
          className="key-small mt-1"
          disabled={fresh.length < 2}
          onPress={() => {
            add(fresh);
            setFresh([]);
          }}
        >
          Make these one act
        </Key>
      </div>
    </section>
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
      {operation.kind === "gate" && (
        <label className="flex min-h-10 items-center gap-3">
          <input
            type="checkbox"
            className="h-5 min-h-0 w-5 accent-ink"
            checked={operation.pullsLine === true}
            onChange={(event) => take({ pullsLine: event.target.checked ? true : undefined })}
          />
          A line is pulled under load
        </label>
      )}
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
      {operation.kind === "gate" && (
        <LooksForm
          looks={operation.lookAt}
          seatNames={Object.fromEntries(anatomy.positions.map(({ id, name }) => [id, name]))}
          take={(lookAt) => take({ lookAt })}
        />
      )}
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
