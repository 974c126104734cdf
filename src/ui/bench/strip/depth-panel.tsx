import type { OpenedFor } from "@/core/service/depth";
import { openedForWords } from "@/core/service/depth";

export interface AssemblyDepth {
  readonly id: string;
  readonly name: string;
  /** Why it is opened; null while it stays shut or together. */
  readonly open: OpenedFor | null;
  /** Of one opened for some place in it: how many of its parts come out; null where it is opened whole. */
  readonly some: number | null;
  /** Of one that is to stay shut: what is reached only through it. */
  readonly inTheWayOf: readonly string[];
  /** Of a shut one: the part it rides on when that comes off. */
  readonly ridesOn: string | null;
  /** Its seats still expected off. */
  readonly left: number;
  /** Somebody said so for this job. */
  readonly said: boolean;
}

interface Props {
  readonly assemblies: readonly AssemblyDepth[];
  readonly towards: string | null;
  readonly closed: boolean;
  /** The list lies open, because it is what is asked. */
  readonly unfolded: boolean;
  readonly onTowards: (assemblyId: string) => void;
  readonly onOpened: (assembly: AssemblyDepth, opened: boolean | null) => void;
}

/** What of the reel is opened and why; an assembly is opened, left shut, or begun with, each by one press. */
export function DepthPanel({ assemblies, towards, closed, unfolded, onTowards, onOpened }: Props) {
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
      <details open={unfolded || undefined}>
        <summary className="act-link min-h-10">
          What is opened: {assemblies.filter(({ open }) => open).length} of {assemblies.length}
        </summary>
        <ul>
          {assemblies.map((assembly) => (
            <li key={assembly.id} className="rule-row flex items-center gap-3">
              <span className="flex-1">
                <strong>{assembly.name}</strong>{" "}
                <span className="text-note">
                  {assembly.open
                    ? `opened ${openedForWords[assembly.open]}${assembly.some === null ? "" : `: ${assembly.some} of its parts, the rest left in`}`
                    : assembly.inTheWayOf.length
                      ? `in the way of ${assembly.inTheWayOf.join(" and ").toLowerCase()}: what has to come off of it does`
                      : assembly.ridesOn
                        ? `stays on the ${assembly.ridesOn.toLowerCase()}`
                        : "stays shut"}
                </span>
              </span>
              {!closed && assembly.open && assembly.some !== null && (
                <button
                  type="button"
                  className="act-link min-h-10"
                  aria-label={`Open all of it: ${assembly.name}`}
                  onClick={() => onOpened(assembly, true)}
                >
                  All of it
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
