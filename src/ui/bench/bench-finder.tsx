"use client";
import type { ReactNode } from "react";
import { Refused } from "@/ui/controls/refused";

interface Choice {
  readonly name: string;
  readonly label: string;
  readonly chosen: string;
  readonly of: Readonly<Record<string, string>>;
}

interface Props {
  readonly typed: string;
  readonly message: string | null;
  readonly choices: readonly Choice[];
  /** What else the address says, kept as it is. */
  readonly also: Readonly<Record<string, string>>;
  readonly children?: ReactNode;
}

/** Which reel: its tag, or anything that is known of it, and what the list is narrowed to. A choice acts at once. */
export function BenchFinder({ typed, message, choices, also }: Props) {
  return (
    <form action="/bench" className="flex flex-col gap-3">
      <h1>Which reel?</h1>
      <label htmlFor="tag" className="text-note">
        Scan or type the tag, or anything of it: owner, phone, serial, complaint
      </label>
      <input id="tag" name="tag" defaultValue={typed} autoComplete="off" className="num text-head" aria-invalid={message !== null} />
      <Refused message={message} />
      <button type="submit" className="key key-main">
        Open
      </button>
      {choices.map(({ name, label, chosen, of }) => (
        <label key={name} className="flex items-center gap-3">
          <span className="w-24 text-note">{label}</span>
          <select name={name} defaultValue={chosen} className="flex-1" onChange={(event) => event.currentTarget.form?.requestSubmit()}>
            <option value="">all</option>
            {Object.entries(of).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
      ))}
      {Object.entries(also).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
    </form>
  );
}
