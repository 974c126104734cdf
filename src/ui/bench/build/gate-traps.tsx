"use client";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import { Key } from "@/ui/controls/keys";

interface Props {
  readonly traps: readonly LikelyTrap[];
  readonly busy: boolean;
  /** It was this: open the build again down to it. */
  readonly onOpen: (operationId: string) => void;
}

/** A gate that did not pass: nothing else goes on, and here is where to look, likeliest first. */
export function GateTraps({ traps, busy, onOpen }: Props) {
  return (
    <div className="alarm mt-2" role="alert">
      <p className="font-semibold">Stop: the check failed, and nothing goes on until it passes. Check here, likeliest first:</p>
      <ol className="list-decimal pl-6">
        {traps.map((trap) => (
          <li key={`${trap.positionId} ${trap.words}`}>
            {trap.words} <span className="text-note">({trap.because})</span>
            {trap.operationId && (
              <Key
                className="key-small ml-2"
                busy={busy}
                label={`This was it, open it again: ${trap.words}`}
                onPress={() => onOpen(trap.operationId!)}
              >
                This was it: open again
              </Key>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
