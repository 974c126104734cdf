"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { idFor } from "@/core/anatomy/draft";
import { sizeWords } from "@/core/anatomy/shapes";
import type { PartType, Position } from "@/core/anatomy/types";
import type { FitOffer } from "@/core/interchange/fit-offer";
import { type Grade, grades, gradeWords, type InterchangeSet } from "@/core/interchange/interchange";
import type { Kit } from "@/core/interchange/kit";
import { seenSet } from "@/core/seen/seen";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { PickMany } from "@/ui/controls/pick-many";
import { Refused } from "@/ui/controls/refused";
import { type Choice, SearchField } from "@/ui/controls/search-field";
import { Glyph } from "@/ui/glyphs/glyph";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import type { ModelProps } from "./model-leaf";
import { ModelPages } from "./model-pages";

interface Props extends ModelProps {
  readonly positions: readonly Position[];
  /** Part roles of this model. */
  readonly roles: readonly string[];
  readonly models: Readonly<Record<string, string>>;
  readonly sets: readonly InterchangeSet[];
  readonly kits: readonly { readonly kit: Kit; readonly parts: readonly { readonly seat: string; readonly part: PartType }[] }[];
  /** Numbers of the single parts that sets name, by id. */
  readonly numbers: Readonly<Record<string, string>>;
  readonly seatId: string;
  readonly fits: readonly FitOffer[];
}

/** What goes in place of what: sets shared with other models, what fits each seat, and conversions that bring all their companions. */
export function FitsSheet(props: Props) {
  const { modelId, cells, positions, models, sets, kits, numbers, seatId, fits } = props;
  const router = useRouter();
  const [editing, setEditing] = useState<InterchangeSet | "new" | null>(null);
  const [makingKit, setMakingKit] = useState(false);
  const removing = useAct("remove-interchange-set");
  return (
    <Sheet fill block={<CornerBlock cells={cells} />}>
      <ModelPages modelId={modelId} here="Fits and kits" />
      <div className="mt-3 grid gap-8 lg:grid-cols-2">
        <div className="flex flex-col gap-3">
          <h2>What fits here</h2>
          <Field label="Seat">
            {(field) => (
              <select
                {...field}
                value={seatId}
                onChange={(event) => router.replace(`/library/${modelId}/fits?seat=${event.target.value}`, { scroll: false })}
              >
                {positions.map((position) => (
                  <option key={position.id} value={position.id}>
                    {position.name}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <ul>
            {fits.map((fit) => (
              <li key={fit.part.id} className="rule-row flex items-center gap-3 py-1">
                <Glyph type={fit.part} widthPx={56} heightPx={44} />
                <div className="flex-1">
                  <Link className="act-link num" href={`/library/part/${fit.part.id}`}>
                    {fit.part.number}
                  </Link>{" "}
                  {fit.part.name} <span className="num text-note">{sizeWords(fit.part.shape)}</span>
                  <span className="block text-note">
                    {fit.because}
                    {fit.mark && `; look for ${fit.mark}`}
                    {fit.note && `; ${fit.note}`}
                  </span>
                  {fit.but.map((fault) => (
                    <span key={fault} className="alarm block">
                      The measurements disagree. {fault}
                    </span>
                  ))}
                </div>
                <span className="font-semibold">{gradeWords[fit.grade]}</span>
                <span className="num w-24 whitespace-nowrap text-right">{fit.inBin} in bin</span>
              </li>
            ))}
          </ul>
          <div className="flex items-end justify-between">
            <h2>Conversion kits</h2>
            <button type="button" className="key key-small" aria-pressed={makingKit} onClick={() => setMakingKit(!makingKit)}>
              A new kit
            </button>
          </div>
          {makingKit && <KitForm {...props} onDone={() => setMakingKit(false)} />}
          {!kits.length && !makingKit && <p>None for this model.</p>}
          {kits.map(({ kit, parts }) => (
            <div key={kit.id} className="border border-ink p-2">
              <h3>{kit.name}</h3>
              {kit.caution && <p className="alarm my-1">{kit.caution}</p>}
              {kit.note && <p>{kit.note}</p>}
              <ul className="flex flex-wrap gap-x-4">
                {parts.map(({ seat, part }) => (
                  <li key={seat} className="flex items-center gap-2">
                    <Glyph type={part} widthPx={40} heightPx={32} />
                    <span>
                      <span className="num">{part.number}</span> {part.name} <span className="text-note">as {seat}</span>
                    </span>
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </div>
        <div className="flex flex-col gap-3">
          <div className="flex items-end justify-between">
            <h2>Shared with other models</h2>
            <button
              type="button"
              className="key key-small"
              aria-pressed={editing === "new"}
              onClick={() => setEditing(editing === "new" ? null : "new")}
            >
              A new set
            </button>
          </div>
          {editing && (
            <SetForm
              key={editing === "new" ? "new" : editing.id}
              {...props}
              set={editing === "new" ? null : editing}
              onDone={() => setEditing(null)}
            />
          )}
          {!sets.length && !editing && <p>Nothing shared yet. A set names the parts that interchange and the models it is true for.</p>}
          {sets.map((set) => (
            <div key={set.id} className="border border-ink p-2">
              <div className="flex items-start justify-between gap-2">
                <h3>{set.name}</h3>
                <span className="flex gap-1">
                  <button type="button" className="key key-small" onClick={() => setEditing(set)}>
                    Change
                  </button>
                  <button
                    type="button"
                    className="key key-small"
                    disabled={removing.busy}
                    aria-label={`Remove the set ${set.name}`}
                    onClick={() => removing.press({ id: set.id })}
                  >
                    ✕
                  </button>
                </span>
              </div>
              <p className="text-note">
                {set.roles.map((role) => role.replaceAll("-", " ")).join(", ")}
                {set.mark && `; look for ${set.mark}`}
              </p>
              <ul>
                {set.members.map((member) => (
                  <li key={member.modelId ?? member.partTypeId}>
                    {member.modelId !== undefined ? (
                      (models[member.modelId] ?? member.modelId)
                    ) : (
                      <span className="num">{numbers[member.partTypeId ?? ""] ?? member.partTypeId}</span>
                    )}
                    : {gradeWords[member.grade]}
                    {member.note && `, ${member.note}`}
                  </li>
                ))}
                {set.exclusions.map((out) => (
                  <li key={out.modelId}>
                    <strong>Not {models[out.modelId] ?? out.modelId}</strong>: {out.why}
                  </li>
                ))}
              </ul>
            </div>
          ))}
          <Refused of={[removing]} />
        </div>
      </div>
    </Sheet>
  );
}

interface MemberRow {
  readonly key: number;
  readonly who: string;
  /** Its name when it was chosen here. */
  readonly whoName: string;
  readonly number: string;
  readonly grade: Grade | "not";
  readonly note: string;
}

const singlePart: Choice = { id: "", name: "a single part" };

function SetForm({ modelId, roles, models, numbers, set, onDone }: Props & { set: InterchangeSet | null; onDone: () => void }) {
  const act = useAct("save-interchange-set", onDone);
  const [seen] = useState(seenSet(set));
  const [name, setName] = useState(set?.name ?? "");
  const [mark, setMark] = useState(set?.mark ?? "");
  const [chosen, setChosen] = useState<string[]>(set?.roles ?? []);
  const [rows, setRows] = useState<readonly MemberRow[]>(
    set
      ? [
          ...set.members.map((member, key) => ({
            key,
            who: member.modelId ?? "",
            whoName: "",
            number: numbers[member.partTypeId ?? ""] ?? "",
            grade: member.grade,
            note: member.note,
          })),
          ...set.exclusions.map((out, i) => ({
            key: 1000 + i,
            who: out.modelId,
            whoName: "",
            number: "",
            grade: "not" as const,
            note: out.why,
          })),
        ]
      : [{ key: 0, who: modelId, whoName: "", number: "", grade: "drop-in", note: "" }],
  );
  const setRow = (key: number, change: Partial<MemberRow>) =>
    setRows((rows) => rows.map((row) => (row.key === key ? { ...row, ...change } : row)));
  return (
    <form
      className="flex flex-col gap-2 border-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({
          id: set?.id ?? idFor(name, []),
          isNew: set === null,
          seen,
          name,
          mark,
          roles: chosen,
          rows: rows.map(({ key: _, whoName: __, ...row }) => row),
        });
      }}
    >
      <Field label="What is shared" error={act.fields.name}>
        {(field) => <input {...field} value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />}
      </Field>
      <Field label="Mark to look for on the part" error={act.fields.mark}>
        {(field) => <input {...field} value={mark} onChange={(event) => setMark(event.target.value)} autoComplete="off" />}
      </Field>
      <PickMany
        label="Parts that interchange together"
        options={Object.fromEntries([...new Set([...roles, ...chosen])].map((role) => [role, role.replaceAll("-", " ")]))}
        chosen={chosen}
        onChange={setChosen}
      />
      {act.fields.roles && <p className="alarm">{act.fields.roles}</p>}
      {rows.map((row) => (
        <div key={row.key} className="grid grid-cols-[1fr_120px_130px] items-end gap-1">
          <SearchField
            label="Model"
            from="/api/choose/models"
            chosen={row.who ? { id: row.who, name: row.whoName || (models[row.who] ?? row.who) } : singlePart}
            onChoose={(choice) => setRow(row.key, { who: choice?.id ?? "", whoName: choice?.name ?? "" })}
            always={[singlePart]}
          />
          <input
            aria-label="Part number"
            className="num"
            placeholder="its number"
            disabled={row.who !== ""}
            value={row.number}
            onChange={(event) => setRow(row.key, { number: event.target.value })}
          />
          <select
            aria-label="How it fits"
            value={row.grade}
            onChange={(event) => setRow(row.key, { grade: event.target.value as MemberRow["grade"] })}
          >
            {grades
              .filter((grade) => grade !== "same-number")
              .map((grade) => (
                <option key={grade} value={grade}>
                  {gradeWords[grade]}
                </option>
              ))}
            <option value="same-number">same number</option>
            <option value="not">does not fit</option>
          </select>
          <input
            aria-label={row.grade === "not" ? "Why not" : "Note"}
            className="col-span-3"
            placeholder={row.grade === "not" ? "why not" : "note"}
            value={row.note}
            onChange={(event) => setRow(row.key, { note: event.target.value })}
          />
        </div>
      ))}
      <Refused of={[act]} beside />
      <div className="flex gap-2">
        <button
          type="button"
          className="key key-small"
          onClick={() =>
            setRows((rows) => [
              ...rows,
              { key: Math.max(...rows.map((row) => row.key)) + 1, who: "", whoName: "", number: "", grade: "drop-in", note: "" },
            ])
          }
        >
          Add a line
        </button>
        <button type="submit" className="key key-small" disabled={act.busy}>
          Save the set
        </button>
        <button type="button" className="key key-small" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function KitForm({ modelId, positions, onDone }: Props & { onDone: () => void }) {
  const act = useAct("save-kit", onDone);
  const [name, setName] = useState("");
  const [note, setNote] = useState("");
  const [caution, setCaution] = useState("");
  const [rows, setRows] = useState<readonly { key: number; positionId: string; number: string }[]>([
    { key: 0, positionId: "", number: "" },
  ]);
  return (
    <form
      className="flex flex-col gap-2 border-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ modelId, name, note, caution, rows: rows.map(({ positionId, number }) => ({ positionId, number })) });
      }}
    >
      <Field label="What it converts to" error={act.fields.name}>
        {(field) => <input {...field} value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />}
      </Field>
      <Field label="Note" error={act.fields.note}>
        {(field) => <input {...field} value={note} onChange={(event) => setNote(event.target.value)} autoComplete="off" />}
      </Field>
      <Field label="Caution" error={act.fields.caution}>
        {(field) => <input {...field} value={caution} onChange={(event) => setCaution(event.target.value)} autoComplete="off" />}
      </Field>
      {rows.map((row, i) => (
        <div key={row.key} className="grid grid-cols-[1fr_160px] gap-1">
          <select
            aria-label={`Seat of part ${i + 1}`}
            value={row.positionId}
            onChange={(event) =>
              setRows((rows) => rows.map((other) => (other.key === row.key ? { ...other, positionId: event.target.value } : other)))
            }
          >
            <option value="">Choose the seat</option>
            {positions.map((position) => (
              <option key={position.id} value={position.id}>
                {position.name}
              </option>
            ))}
          </select>
          <input
            aria-label={`Number of part ${i + 1}`}
            className="num"
            placeholder="part number"
            value={row.number}
            onChange={(event) =>
              setRows((rows) => rows.map((other) => (other.key === row.key ? { ...other, number: event.target.value } : other)))
            }
          />
        </div>
      ))}
      <Refused of={[act]} beside />
      <div className="flex gap-2">
        <button
          type="button"
          className="key key-small"
          onClick={() => setRows((rows) => [...rows, { key: Math.max(...rows.map((row) => row.key)) + 1, positionId: "", number: "" }])}
        >
          Another part
        </button>
        <button type="submit" className="key key-small" disabled={act.busy}>
          Save the kit
        </button>
        <button type="button" className="key key-small" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}
