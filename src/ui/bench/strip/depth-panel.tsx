import { type ReactNode, useState } from "react";
import { type AssemblyDepth, openedWords } from "./opened-words";

interface Props {
  readonly assemblies: readonly AssemblyDepth[];
  readonly towards: string | null;
  readonly closed: boolean;
  /** The list lies open, because it is what is asked. */
  readonly unfolded: boolean;
  /** The whole reel drawn, with the places lit; made only while the list lies open. */
  readonly picture: () => ReactNode;
  readonly onTowards: (assemblyId: string) => void;
  readonly onOpened: (assembly: AssemblyDepth, opened: boolean | null) => void;
}

/** What of the reel is opened and why; an assembly is opened, left shut, or begun with, each by one press. */
export function DepthPanel({ assemblies, towards, closed, unfolded, picture, onTowards, onOpened }: Props) {
  const [shown, setShown] = useState(false);
  const begin = assemblies.filter(({ open, left }) => open && left > 0);
  return (
    <>
      {begin.length > 1 && (
        <div className="flex flex-wrap gap-1" role="group" aria-label="Begin with">
          {begin.map(({ id, name, left }) => (
            <button key={id} type="button" className="key key-small" aria-pressed={towards === id} onClick={() => onTowards(id)}>
              {name} <span className="num text-note">{left}</span>
            </button>
          ))}
        </div>
      )}
      <details open={unfolded || undefined} onToggle={(event) => setShown(event.currentTarget.open)}>
        <summary className="act-link min-h-10">
          What is opened: {assemblies.filter(({ open }) => open).length} of {assemblies.length}
        </summary>
        {(shown || unfolded) && picture()}
        <ul>
          {assemblies.map((assembly) => (
            <li key={assembly.id} className="rule-row flex items-center gap-3">
              <span className="flex-1">
                <strong>{assembly.name}</strong> <span className="text-note">{openedWords(assembly)}</span>
              </span>
              {!closed && assembly.open && assembly.some !== null && (
                <button
                  type="button"
                  className="act-link min-h-10"
                  aria-label={`Open everything: ${assembly.name}`}
                  onClick={() => onOpened(assembly, true)}
                >
                  Everything
                </button>
              )}
              {!closed && (
                <button
                  type="button"
                  className="act-link min-h-10"
                  onClick={() => onOpened(assembly, assembly.said ? null : !assembly.open)}
                  aria-label={`${assembly.said ? "As the job says" : assembly.open ? "Leave shut" : "Open"}: ${assembly.name}`}
                >
                  {assembly.said ? "As the job says" : assembly.open ? "Leave shut" : "Open"}
                </button>
              )}
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
