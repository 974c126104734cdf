"use client";
import { useMemo, useState } from "react";
import { countChanges, type Draft, draftCatalogue, startDraft } from "@/core/anatomy/draft";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { type Act, useAct } from "@/ui/act/use-act";

export interface Drafting {
  readonly draft: Draft;
  /** The catalogue with the parts that only the draft knows. */
  readonly types: Map<string, PartType>;
  readonly change: (draft: Draft) => void;
  readonly undo: () => void;
  readonly canUndo: boolean;
  /** Grows with every undo: fields that hold what was typed begin anew with it. A change of their own leaves them, and the focus, alone. */
  readonly turn: number;
  readonly changes: number;
  readonly save: () => void;
  readonly act: Pick<Act<unknown>, "busy" | "message" | "fields" | "way" | "clear">;
}

/** A model on the drawing table: edits are drafts in a row, undo is the one before, saving makes the next version. */
export function useDraft(model: {
  id: string;
  versionNumber: number;
  anatomy: Anatomy;
  partTypes: Readonly<Record<string, PartType>>;
}): Drafting {
  const { anatomy, partTypes } = model;
  const [history, setHistory] = useState<readonly Draft[]>(() => [startDraft(anatomy)]);
  const [turn, setTurn] = useState(0);
  const act = useAct("revise-model", () => setHistory([startDraft(anatomy)]));
  const draft = history.at(-1)!;
  const types = useMemo(() => draftCatalogue(draft, new Map(Object.entries(partTypes))), [draft, partTypes]);
  return {
    draft,
    types,
    change: (next) => setHistory((history) => [...history, next]),
    undo: () => {
      setHistory((history) => history.slice(0, -1));
      setTurn(turn + 1);
    },
    canUndo: history.length > 1,
    turn,
    changes: useMemo(() => countChanges(anatomy, draft), [anatomy, draft]),
    save: () => act.press({ modelId: model.id, baseNumber: model.versionNumber, draft }),
    act,
  };
}
