"use client";
import { useState } from "react";
import { editEdition, idFor, removeEdition } from "@/core/anatomy/draft";
import { type Edition, editionOf, editionSchema } from "@/core/anatomy/edition";
import { decodeSerial, patternFault, type SerialRule } from "@/core/anatomy/serial";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { seenSerialRules } from "@/core/seen/seen";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { LeaveField, typedNumber } from "@/ui/controls/leave-field";
import { Refused } from "@/ui/controls/refused";
import { ModelLeaf, type ModelProps } from "./model-leaf";
import { useDraft } from "./use-draft";

type Rule = SerialRule & { readonly modelId: string | null };

interface Props extends ModelProps {
  readonly maker: string;
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly rules: readonly Rule[];
}

const sourceWords = {
  chosen: "chosen",
  serial: "from the serial",
  year: "from the year",
  assumed: "assumed: the first on the list",
} as const;

/** The ways a model was built, how to tell them apart, and how its maker wrote serials; a serial can be tried at once. */
export function EditionsSheet({ modelId, versionNumber, cells, maker, anatomy, partTypes, rules }: Props) {
  const drafting = useDraft({ id: modelId, versionNumber, anatomy, partTypes });
  const { draft, change } = drafting;
  const { editions } = draft.anatomy;
  const [shownRules, setShownRules] = useState<readonly Rule[]>(rules);
  const [seen, setSeen] = useState(seenSerialRules(rules));
  const savingRules = useAct("save-serial-rules", () => setSeen(seenSerialRules(shownRules)));
  const [serial, setSerial] = useState("");
  const fitting = shownRules.filter((rule) => rule.modelId === null || rule.modelId === modelId);
  const decoded = serial.trim() ? decodeSerial(fitting, serial) : null;
  const byRule = editions.find((edition) => edition.id === decoded?.rule.edition);
  const known = byRule ? { edition: byRule, source: "serial" as const } : editionOf(editions, { serial, year: decoded?.year ?? null });

  const edit = (edition: Edition, part: Partial<Edition>): string | null => {
    const kept = Object.fromEntries(Object.entries({ ...edition, ...part }).filter(([, value]) => value !== undefined && value !== ""));
    const checked = editionSchema.safeParse(kept);
    if (!checked.success) return checked.error.issues[0]?.message ?? "This does not fit.";
    if (checked.data.serialPattern) {
      const fault = patternFault(checked.data.serialPattern);
      if (fault) return fault;
    }
    change(editEdition(draft, checked.data));
    return null;
  };
  const year = (edition: Edition, key: "fromYear" | "toYear", label: string) => (
    <LeaveField
      label={label}
      value={edition[key] === undefined ? "" : String(edition[key])}
      decimal
      className="w-24"
      onLeave={(text) => {
        const typed = typedNumber(text);
        return typed === null ? `${text} is no year.` : edit(edition, { [key]: typed });
      }}
    />
  );
  const seatsOnlyIn = (id: string) => draft.anatomy.positions.filter((position) => position.editions.includes(id));
  const setRule = (index: number, part: Partial<Rule>) =>
    setShownRules((shownRules) => shownRules.map((rule, i) => (i === index ? { ...rule, ...part } : rule)));
  const ruleYear = (index: number, key: "fromYear" | "toYear" | "letterYear", label: string) => (
    <LeaveField
      label={label}
      value={shownRules[index]?.[key] === undefined ? "" : String(shownRules[index]?.[key])}
      decimal
      className="w-24"
      onLeave={(text) => {
        const typed = typedNumber(text);
        if (typed === null || (typed === undefined && key !== "letterYear")) return "A year, such as 1962.";
        setRule(index, { [key]: typed });
        return null;
      }}
    />
  );
  return (
    <ModelLeaf {...{ modelId, versionNumber, cells, drafting }} here="Editions" idle="Change an edition, or try a serial">
      <div className="grid gap-8 lg:grid-cols-2">
        <div className="flex flex-col gap-3">
          <div className="flex items-end justify-between">
            <h2>Editions</h2>
            <Key
              className="key-small"
              shortcut="a"
              words="Add an edition"
              onPress={() => {
                const name = `Edition ${editions.length + 1}`;
                change(
                  editEdition(draft, {
                    id: idFor(
                      name,
                      editions.map((edition) => edition.id),
                    ),
                    name,
                  }),
                );
              }}
            >
              Add an edition
            </Key>
          </div>
          {!editions.length && <p>One edition only. With more, seats and steps can belong to some of them.</p>}
          {editions.map((edition) => (
            <div key={`${edition.id} ${drafting.turn}`} className="border-2 border-ink p-3">
              <div className="flex flex-wrap gap-2">
                <LeaveField label="Edition" value={edition.name} className="min-w-48 flex-1" onLeave={(name) => edit(edition, { name })} />
                {year(edition, "fromYear", "From year")}
                {year(edition, "toYear", "To year")}
                <LeaveField
                  label="Serial pattern"
                  value={edition.serialPattern ?? ""}
                  className="w-40"
                  onLeave={(serialPattern) => edit(edition, { serialPattern })}
                />
                <LeaveField
                  label="Mark to look for"
                  value={edition.mark ?? ""}
                  className="min-w-56 flex-1"
                  onLeave={(mark) => edit(edition, { mark })}
                />
              </div>
              <p className="mt-2">
                {seatsOnlyIn(edition.id).length
                  ? `Seats only in this edition: ${seatsOnlyIn(edition.id)
                      .map((seat) => seat.name)
                      .join(", ")}.`
                  : "All its seats are in every edition. Limit a seat to this edition on the schematic."}
              </p>
              <button type="button" className="key key-small mt-2" onClick={() => change(removeEdition(draft, edition.id))}>
                Remove this edition
              </button>
            </div>
          ))}
        </div>
        <div className="flex flex-col gap-3">
          <h2>Serial rules</h2>
          <div className="border-2 border-ink p-3">
            <Field label="Try a serial">
              {(field) => (
                <input {...field} className="num" value={serial} onChange={(event) => setSerial(event.target.value)} autoComplete="off" />
              )}
            </Field>
            <p className="mt-2" role="status">
              {!serial.trim()
                ? "Type one as stamped on a reel."
                : decoded
                  ? `${decoded.year ? `Made in ${decoded.year}` : "No single year"}${decoded.rule.note ? `: ${decoded.rule.note}` : ""}.`
                  : `No rule of ${maker} matches it.`}
              {serial.trim() && known && ` ${known.edition.name}, ${sourceWords[known.source]}.`}
            </p>
          </div>
          <h3>How {maker} wrote them; the first matching rule counts</h3>
          <p className="text-note">
            # a digit, @ a letter, {"{YY}"} or {"{YYYY}"} the year, {"{L}"} a letter that counts years, * anything to the end. Spaces,
            dashes and case do not count.
          </p>
          {shownRules.map((rule, index) => (
            // A rule has no name of its own; its place in the list is what it is.
            // biome-ignore lint/suspicious/noArrayIndexKey: see above
            <div key={index} className="flex flex-wrap items-end gap-2 border border-ink p-2">
              <LeaveField
                label="Pattern"
                value={rule.pattern}
                className="w-36"
                onLeave={(pattern) => {
                  const fault = patternFault(pattern);
                  if (!fault) setRule(index, { pattern });
                  return fault;
                }}
              />
              {ruleYear(index, "fromYear", "From year")}
              {ruleYear(index, "toYear", "To year")}
              {/\{L\}/i.test(rule.pattern) && ruleYear(index, "letterYear", "A means")}
              {/\{L\}/i.test(rule.pattern) && (
                <LeaveField
                  label="Letters not used"
                  value={rule.lettersLeftOut}
                  className="w-28"
                  onLeave={(text) => {
                    setRule(index, { lettersLeftOut: text.toUpperCase().replace(/[^A-Z]/g, "") });
                    return null;
                  }}
                />
              )}
              <Field label="For" className="w-36">
                {(field) => (
                  <select
                    {...field}
                    value={rule.modelId === null ? "" : "this"}
                    onChange={(event) => setRule(index, { modelId: event.target.value ? modelId : null })}
                    disabled={rule.modelId !== null && rule.modelId !== modelId}
                  >
                    <option value="">all its models</option>
                    <option value="this">{rule.modelId !== null && rule.modelId !== modelId ? rule.modelId : "this model"}</option>
                  </select>
                )}
              </Field>
              {editions.length > 0 && rule.modelId === modelId && (
                <Field label="Means" className="w-36">
                  {(field) => (
                    <select
                      {...field}
                      value={rule.edition ?? ""}
                      onChange={(event) => setRule(index, { edition: event.target.value || undefined })}
                    >
                      <option value="">its year only</option>
                      {editions.map((edition) => (
                        <option key={edition.id} value={edition.id}>
                          {edition.name}
                        </option>
                      ))}
                    </select>
                  )}
                </Field>
              )}
              <button
                type="button"
                className="key key-small"
                aria-label={`Remove rule ${index + 1}`}
                onClick={() => setShownRules((shownRules) => shownRules.filter((_, i) => i !== index))}
              >
                ✕
              </button>
            </div>
          ))}
          <div className="flex gap-2">
            <button
              type="button"
              className="key key-small"
              onClick={() =>
                setShownRules((shownRules) => [
                  ...shownRules,
                  { pattern: "#*", fromYear: 1950, toYear: 2030, lettersLeftOut: "", note: "", modelId: null },
                ])
              }
            >
              Add a rule
            </button>
            <button
              type="button"
              className="key key-small"
              disabled={savingRules.busy || JSON.stringify(shownRules) === JSON.stringify(rules)}
              onClick={() => savingRules.press({ maker, rules: shownRules, seen })}
            >
              Save rules
            </button>
          </div>
          <Refused of={[savingRules]} />
        </div>
      </div>
    </ModelLeaf>
  );
}
