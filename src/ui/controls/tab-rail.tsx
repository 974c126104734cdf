"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  readonly label: string;
  /** Each leaf by its id and what it is called. */
  readonly tabs: readonly { readonly id: string; readonly name: string }[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
  /** The leaf that is open. */
  readonly children: ReactNode;
  readonly className?: string;
}

/** Leaves of one sheet on a rail: one stop of the Tab key, the arrows going along; the open one is filled. */
export function TabRail({ label, tabs, chosen, onChoose, children, className = "flex flex-col gap-2" }: Props) {
  return (
    <Tabs.Root value={chosen} onValueChange={onChoose} className={className}>
      <Tabs.List aria-label={label} className="flex flex-wrap gap-1">
        {tabs.map(({ id, name }) => (
          <Tabs.Trigger key={id} value={id} className="key key-small">
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {tabs.map(({ id }) => (
        <Tabs.Content key={id} value={id} forceMount hidden={id !== chosen} tabIndex={-1} className="min-w-0">
          {id === chosen && children}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
