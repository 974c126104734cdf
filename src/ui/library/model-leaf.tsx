"use client";
import type { ReactNode } from "react";
import { Key, MainKey } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { type BlockCell, CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { type ModelPage, ModelPages } from "./model-pages";
import type { Drafting } from "./use-draft";

/** What every leaf of a model that edits its machine is given. */
export interface ModelProps {
  readonly modelId: string;
  readonly versionNumber: number;
  readonly cells: readonly BlockCell[];
}

interface Props extends ModelProps {
  readonly here: ModelPage;
  readonly drafting: Drafting;
  /** On the main key while nothing was changed. */
  readonly idle: string;
  readonly links?: ReactNode;
  readonly children: ReactNode;
}

/** A leaf of a model's folder: what is edited on it is saved as the next version, or undone. */
export function ModelLeaf({ modelId, versionNumber, cells, here, drafting, idle, links, children }: Props) {
  const { changes } = drafting;
  return (
    <Sheet
      fill
      act={
        <>
          <MainKey disabled={!changes} busy={drafting.act.busy} words="Save the next version" onPress={drafting.save}>
            {changes ? `Save version ${versionNumber + 1}: ${changes} ${changes === 1 ? "change" : "changes"}` : idle}
          </MainKey>
          <Key shortcut="u" words="Undo the last edit" disabled={!drafting.canUndo} onPress={drafting.undo}>
            Undo
          </Key>
        </>
      }
      block={<CornerBlock cells={cells} />}
    >
      <div className="flex flex-col gap-2">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <ModelPages modelId={modelId} here={here} />
          {links && <span className="flex items-center gap-4">{links}</span>}
        </div>
        <Refused of={[drafting.act]} />
        {children}
      </div>
    </Sheet>
  );
}
