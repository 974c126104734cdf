"use client";
import { type RefObject, useLayoutEffect, useRef, useState } from "react";
import type { WayOut } from "@/core/vocabulary/way-out";
import { LeadsTo } from "./leads-to";

interface RefusedProps {
  readonly message?: string | null;
  readonly way?: WayOut | null;
  readonly code?: string | null;
  /** Acts of one sheet: the first that was refused speaks. */
  readonly of?: readonly RefusedAct[];
  /** The fields beside it show their own messages; only what no field says, or has a way out, is said here. */
  readonly beside?: boolean;
}
interface RefusedAct {
  readonly message: string | null;
  readonly way: WayOut | null;
  readonly code?: string | null;
  readonly fields: Readonly<Record<string, string>>;
}

/** Of an act's messages at fields, those the page shows nowhere: a line of a table, a field that is not asked just now. */
function useUnsaid(fields: Readonly<Record<string, string>> | undefined): readonly [RefObject<HTMLSpanElement | null>, string] {
  const box = useRef<HTMLSpanElement>(null);
  const [unsaid, setUnsaid] = useState("");
  // After each drawing: whether a field shows its message is known once it is drawn, and only then.
  useLayoutEffect(() => {
    if (!fields) return setUnsaid("");
    const elsewhere = (document.body.textContent ?? "").replace(box.current?.textContent ?? "", "");
    const messages = new Set(Object.values(fields));
    setUnsaid([...messages].filter((message) => !elsewhere.includes(message)).join("\n"));
  });
  return [box, unsaid];
}

/** What a whole act was refused with, when it belongs to no field, and the way to where it can be put right. */
export function Refused({ message, way, code, of = [], beside = false }: RefusedProps) {
  const act = of.find((one) => one.message);
  const refused = message ? { message, way, code } : act;
  const atField = beside && act !== undefined && Object.keys(act.fields).length > 0;
  const [box, unsaid] = useUnsaid(atField ? act.fields : undefined);
  if (!refused) return null;
  if (atField && !unsaid && !refused.way) return null;
  return (
    <div role="alert" className="alarm whitespace-pre-line text-text">
      <span ref={box}>{atField ? unsaid : refused.message}</span>
      <LeadsTo way={refused.way} code={refused.code} />
    </div>
  );
}
