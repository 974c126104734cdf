"use client";
import { useActionState } from "react";

interface Props {
  readonly copies: readonly { readonly name: string; readonly words: string }[];
  readonly putBack: (said: string, form: FormData) => Promise<string>;
}

/** A copy put in the place of data that cannot be opened; what is there is kept beside it. */
export function PutBack({ copies, putBack }: Props) {
  const [said, put, busy] = useActionState(putBack, "");
  return (
    <form action={put} className="mt-4 flex flex-wrap items-end gap-2">
      <label className="flex flex-col">
        <span className="text-note">Restore a backup</span>
        <select name="copy">
          {copies.map(({ name, words }) => (
            <option key={name} value={name}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="key" disabled={busy}>
        Restore it
      </button>
      <p role="status">{said}</p>
    </form>
  );
}
