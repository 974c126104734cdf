"use client";
import Link from "next/link";
import { useState } from "react";
import { lowered } from "@/core/account/counted-names";
import { useAct } from "@/ui/act/use-act";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import type { FindProps } from "./find-props";
import { LikelyFaults } from "./likely-faults";
import { NextCheck } from "./next-check";
import { SuspectPanel } from "./suspect-panel";
import { SuspectsDrawing } from "./suspects-drawing";

/** So many suspects stand in the list before all are asked for. */
const mostShown = 9;

/** The reel with its suspect places hatched, one question at a time, and what is most likely wrong. */
export function FindSheet(props: FindProps) {
  const { head, suspects, looks, complaint, use, next } = props;
  const looking = useAct("look");
  const settling = useAct("settle-fault");
  const [openId, setOpenId] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const [first] = looks;
  const found = suspects.filter(({ task }) => task).length;
  const spoken = suspects.filter(({ spokenFor, settled, task }) => spokenFor || settled !== null || task);
  const shown = all
    ? suspects
    : [...spoken.filter(({ settled }) => settled === null).slice(0, mostShown), ...suspects.filter(({ settled }) => settled !== null)];
  const settle = (faultId: string, proved: boolean | null) => settling.press({ jobId: head.jobId, faultId, proved });
  const prove = head.closed ? null : props.prove;
  const open = suspects.find(({ id }) => id === (openId ?? prove?.id)) ?? shown[0] ?? null;
  const answer = (findingId: string, so: boolean | null) => looking.press({ jobId: head.jobId, findingId, so });
  const looksBusy = looking.busy || looking.stale;
  return (
    <BenchSheet
      head={head}
      station="find"
      act={
        <>
          {prove ? (
            <>
              <MainKey
                words={`Proved: ${lowered(prove.name)}`}
                busy={settling.busy || settling.stale}
                onPress={() => settle(prove.id, true)}
              >
                Proved: {lowered(prove.name)}
              </MainKey>
              <Link className="key" href={next.href}>
                On to {next.words}
              </Link>
            </>
          ) : (
            <NextLink href={next.href} words={found ? `${found} found: on to ${next.words}` : `On to ${next.words}`} />
          )}
          {first && !head.closed && (
            <>
              <Key shortcut="y" words="First check: yes" busy={looksBusy} onPress={() => answer(first.finding, true)}>
                Yes
              </Key>
              <Key shortcut="n" words="First check: no" busy={looksBusy} onPress={() => answer(first.finding, false)}>
                No
              </Key>
            </>
          )}
        </>
      }
    >
      <Refused of={[looking, settling]} />
      {props.above}
      <p className="mb-2">
        <span className="text-note">Customer reports:</span> {complaint || "nothing"}
        {use.length > 0 && <span className="text-note"> ({use.join(", ")})</span>}
      </p>
      <div className="grid gap-4 lg:grid-cols-[1fr_320px]">
        <div className="flex min-w-0 flex-col gap-3">
          <SuspectsDrawing anatomy={props.anatomy} partTypes={props.partTypes} suspects={suspects} spoken={spoken} onOpen={setOpenId} />
          <div className="grid gap-6 md:grid-cols-2">
            <NextCheck
              looks={looks}
              made={props.made}
              isolations={props.isolations}
              closed={head.closed}
              busy={looking.busy}
              onAnswer={answer}
            />
            <LikelyFaults
              shown={shown}
              openId={open?.id ?? null}
              through={props.through}
              nothing={props.nothing}
              leftOut={props.leftOut}
              possible={suspects.length}
              all={all}
              onAll={() => setAll(!all)}
              onOpen={setOpenId}
            />
          </div>
        </div>
        {open && (
          <SuspectPanel
            suspect={open}
            cautions={[...(open.caution ? [open.caution] : []), ...(props.remedyCautions[open.id] ?? [])]}
            closed={head.closed}
            busy={settling.busy}
            onSettle={(proved) => settle(open.id, proved)}
          />
        )}
      </div>
    </BenchSheet>
  );
}
