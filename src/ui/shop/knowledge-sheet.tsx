"use client";
import { useState } from "react";
import { findingAreas } from "@/core/diagnosis/finding-table";
import { reelSections } from "@/core/diagnosis/isolation";
import { strengthIds } from "@/core/diagnosis/knowledge";
import type { FaultWithSigns } from "@/core/diagnosis/knowledge-page";
import { openings } from "@/core/diagnosis/look-table";
import { commonness } from "@/core/diagnosis/prior-table";
import { type Strength, strengths } from "@/core/diagnosis/strength-table";
import { useAct } from "@/ui/act/use-act";
import { sectionWords } from "@/ui/bench/section-words";
import { Field } from "@/ui/controls/field";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

interface Props {
  readonly faults: readonly FaultWithSigns[];
  readonly findings: readonly { readonly id: string; readonly name: string; readonly area: string; readonly own: boolean }[];
  readonly loose: readonly string[];
}

const strengthWords = (strength: Strength) => `${strength} (${Math.round(strengths[strength] * 100)} %)`;

/** Faults, signs and how often the one brings the other about: the tables, and the shop's own word where it knows better. */
export function KnowledgeSheet({ faults, findings, loose }: Props) {
  const [words, setWords] = useState("");
  const [chosenId, setChosenId] = useState(faults[0]?.id ?? "");
  const wanted = words.trim().toLowerCase();
  const shown = faults.filter(({ name, section, links }) =>
    `${name} ${sectionWords[section]} ${links.map((link) => link.name).join(" ")}`.toLowerCase().includes(wanted),
  );
  const chosen = faults.find(({ id }) => id === chosenId);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Faults", value: String(faults.length), large: true },
            { label: "Signs", value: String(findings.length) },
            { label: "The shop's own", value: String([...faults, ...findings].filter(({ own }) => own).length) },
          ]}
        />
      }
    >
      <h1>Faults and signs</h1>
      {loose.length > 0 && (
        <section aria-label="Inconsistencies" className="my-2 border-2 border-ink p-2">
          <h2>Inconsistencies</h2>
          <ul>
            {loose.map((said) => (
              <li key={said}>{said}</li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-2 grid gap-6 lg:grid-cols-[340px_1fr_300px]">
        <section aria-label="Faults">
          <Field label="Find a fault by its name, place or sign">
            {(field) => (
              <input {...field} type="search" value={words} onChange={(event) => setWords(event.target.value)} autoComplete="off" />
            )}
          </Field>
          <ul className="mt-1 max-h-[440px] overflow-y-auto">
            {shown.map(({ id, name, section, own }) => (
              <li key={id} className="rule-row">
                <button
                  type="button"
                  className="min-h-10 w-full text-left font-semibold text-brass aria-pressed:text-ink"
                  aria-pressed={id === chosenId}
                  onClick={() => setChosenId(id)}
                >
                  {name}
                  {own && " ✎"} <span className="text-note font-normal text-ink">{sectionWords[section]}</span>
                </button>
              </li>
            ))}
            {!shown.length && <li>No fault matches. Add it on the right.</li>}
          </ul>
        </section>
        {chosen ? <Strengths key={chosen.id} fault={chosen} findings={findings} /> : <div />}
        <div className="flex flex-col gap-6">
          <NewFault chosen={setChosenId} />
          <NewSign />
        </div>
      </div>
    </Sheet>
  );
}

function Strengths({ fault, findings }: { fault: FaultWithSigns } & Pick<Props, "findings">) {
  const act = useAct("say-strength");
  const others = findings.filter(({ id }) => !fault.links.some(({ finding }) => finding === id));
  return (
    <section aria-label={fault.name}>
      <h2>{fault.name}</h2>
      <p>{fault.tellBy}</p>
      <p className="text-note">{fault.remedy}</p>
      <table className="plain-table mt-2">
        <thead>
          <tr>
            <th>Causes</th>
            <th>How often</th>
          </tr>
        </thead>
        <tbody>
          {fault.links.map((link) => (
            <tr key={link.finding}>
              <td>
                {link.strength === null ? <s>{link.name}</s> : link.name}
                <span className="block text-note">{link.note}</span>
              </td>
              <td className="w-52">
                <select
                  aria-label={`How often ${link.name}`}
                  value={link.strength ?? "never"}
                  disabled={act.busy}
                  onChange={(event) =>
                    act.press({
                      faultId: fault.id,
                      findingId: link.finding,
                      strength: event.target.value === "never" ? null : (event.target.value as (typeof strengthIds)[number]),
                      note: null,
                    })
                  }
                >
                  {strengthIds.map((id) => (
                    <option key={id} value={id}>
                      {strengthWords(id)}
                    </option>
                  ))}
                  <option value="never">never, here</option>
                </select>
                {link.own && (
                  <button
                    type="button"
                    className="act-link"
                    disabled={act.busy}
                    onClick={() => act.press({ faultId: fault.id, findingId: link.finding, strength: "as-common", note: "" })}
                  >
                    {link.common ? `standard: ${link.common}` : "undo"}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ActForm
        act="say-strength"
        label="Link a sign"
        className="mt-3 grid grid-cols-[1fr_200px] items-end gap-2"
        values={{ findingId: "", strength: "usually", note: "" }}
        also={{ faultId: fault.id }}
        empties
      >
        <FormChoice
          name="findingId"
          label="Also causes"
          of={{ "": "a sign", ...Object.fromEntries(others.map(({ id, name }) => [id, name])) }}
        />
        <FormChoice name="strength" label="How often" of={Object.fromEntries(strengthIds.map((id) => [id, strengthWords(id)]))} />
        <FormText name="note" label="Mechanism" />
        <FormSend>Link sign</FormSend>
      </ActForm>
      <Refused of={[act]} />
    </section>
  );
}

const same = (list: readonly string[]) => Object.fromEntries(list.map((one) => [one, one]));

function NewFault({ chosen }: { chosen: (id: string) => void }) {
  return (
    <ActForm
      act="add-fault"
      label="Add our own fault"
      className="flex flex-col gap-1"
      values={{ name: "", section: "gear-side", commonness: "uncommon", tellBy: "", remedy: "", minutes: "15" }}
      after={chosen}
      empties
    >
      <h2>Add our own fault</h2>
      <FormText name="name" label="What is wrong" />
      <FormText name="tellBy" label="How to tell it apart" />
      <FormText name="remedy" label="Remedy" />
      <div className="grid grid-cols-2 gap-2">
        <FormChoice name="section" label="Where" of={Object.fromEntries(reelSections.map((id) => [id, sectionWords[id]]))} />
        <FormText name="minutes" label="Minutes" figures />
      </div>
      <FormChoice name="commonness" label="How common" of={same(Object.keys(commonness))} />
      <FormSend>Add the fault</FormSend>
    </ActForm>
  );
}

function NewSign() {
  return (
    <ActForm
      act="add-sign"
      label="Add our own sign"
      className="flex flex-col gap-1"
      values={{ name: "", area: "turning", how: "", minutes: "1", open: "nothing" }}
      empties
    >
      <h2>Add our own sign</h2>
      <FormText name="name" label="What is seen or felt" />
      <FormText name="how" label="How to check" />
      <div className="grid grid-cols-2 gap-2">
        <FormChoice
          name="open"
          label="How far to open it"
          of={Object.fromEntries(Object.entries(openings).map(([id, { name }]) => [id, name]))}
        />
        <FormText name="minutes" label="Minutes for the check" figures />
      </div>
      <FormChoice name="area" label="Where it shows" of={same(findingAreas)} />
      <FormSend>Add the sign</FormSend>
    </ActForm>
  );
}
