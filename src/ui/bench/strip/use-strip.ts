"use client";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { stripBoard } from "@/core/acts/strip/board";
import type { StripGuide } from "@/core/hands/strip-acts";
import { isLastOff, stripNow } from "@/core/hands/strip-now";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { toMainKey } from "@/ui/controls/keys";
import type { AssemblyDepth } from "./opened-words";
import type { StripProps } from "./strip-props";

/** What is open on the sheet beside what comes off next; settled with each press. */
interface Aside {
  readonly picked: { readonly positionId: string; readonly alone: boolean } | null;
  /** Parts of the act that were not there. */
  readonly absent: ReadonlySet<string>;
  /** Pieces that came with the act beyond what is drawn. */
  readonly more: number;
  readonly filter: string;
  readonly stuck: boolean;
  readonly openWell: string | null;
}

/** How the way apart stands under the hand, and every press of it. */
export function useStrip(props: StripProps) {
  const { head, mayStrip, tested, machine, batches, partTypes, expected, depth } = props;
  const { assemblies, positions } = props.anatomy;
  const { jobId } = head;
  const router = useRouter();
  const pieces = useAct("came-in-pieces");
  const service = useAct("way");
  const seats = useMemo(() => new Map(positions.map((position) => [position.id, position])), [positions]);
  const types = useMemo(() => new Map(Object.entries(partTypes)), [partTypes]);
  const apply = useMemo(() => stripBoard(seats), [seats]);
  const { state, press } = useBoard(head.tag, head.revision, props.state, apply);
  const { wells, inPlace } = state;
  const guide = useMemo((): StripGuide => {
    const placed = new Set(inPlace.map(({ positionId }) => positionId));
    return { anatomy: { positions: machine, assemblies }, types, batches, expected: expected.filter((id) => !placed.has(id)) };
  }, [machine, assemblies, batches, types, expected, inPlace]);
  const off = useMemo(() => new Set(wells.map(({ positionId }) => positionId)), [wells]);
  const atRest: Aside = { picked: null, absent: new Set(props.missing.sure), more: 0, filter: "", stuck: false, openWell: null };
  const [aside, setAside] = useState(atRest);
  const [towards, setTowards] = useState<string | null>(null);
  const settle = () => setAside(atRest);

  const last = wells.at(-1);
  const lastAssemblyId = (last && seats.get(last.positionId)?.assemblyId) ?? props.lastAssemblyId;
  const anyOpened = depth.some(({ open }) => open !== null);
  const { act, key } = useMemo(
    () => stripNow({ guide, off, picked: aside.picked, lastAssemblyId, towardsAssemblyId: towards, mayStrip, anyOpened, tested }),
    [guide, off, aside.picked, lastAssemblyId, towards, mayStrip, anyOpened, tested],
  );
  const next = act ? seats.get(act.positionIds[0]!) : undefined;
  const words = act ? (act.batch?.name ?? next?.name ?? "") : "";
  const within = (ids: readonly string[], assemblyId: string) => ids.filter((id) => seats.get(id)?.assemblyId === assemblyId).length;
  const toCome = guide.expected.filter((id) => !off.has(id));

  const take = () => {
    if (!act) return;
    const absent = act.positionIds.filter((id) => aside.absent.has(id));
    const pressed = press(
      "take-parts",
      { jobId, positionIds: act.positionIds, ...(absent.length ? { absent } : {}), ...(aside.more ? { more: aside.more } : {}) },
      `${words} off`,
    );
    if (!pressed) return;
    settle();
    // A press that says it is the last carries nothing: it only leads on. A lot is worked across, one station at a time: there its next reel is offered.
    if (!head.lot && isLastOff(guide, off, act.positionIds)) router.push(`/bench/${head.tag}/clean`);
  };
  const undo = () => {
    const positionIds = wells.filter(({ well }) => well === last?.well).map(({ positionId }) => positionId);
    press("put-back", { jobId, positionIds }, `Undo of well ${last?.well}`);
    settle();
  };
  const leaveIn = (positionIds: readonly string[], stays: boolean) => {
    const named = positionIds.map((id) => seats.get(id)?.name ?? id).join(", ");
    press("leave-in", { jobId, positionIds: [...positionIds], stays }, `${named} ${stays ? "left in" : "comes off after all"}`);
    settle();
    toMainKey();
  };
  const open = (assembly: AssemblyDepth, opened: boolean | null) =>
    press(
      "open-assembly",
      { jobId, assemblyId: assembly.id, opened },
      `${assembly.name} ${opened === null ? "as the job says" : opened ? "opened" : "left shut"}`,
    );
  const serveInPlace = (positionId: string, reason: string) => {
    press("serve-in-place", { jobId, positionId, reason }, `${seats.get(positionId)?.name} serviced in place`);
    settle();
  };
  const broke = (positionId: string) => {
    press("take-parts", { jobId, positionIds: [positionId], broke: [positionId] }, `${seats.get(positionId)?.name} broke coming off`);
    settle();
  };
  const absentToggled = (positionId: string) =>
    setAside((before) => {
      const absent = new Set(before.absent);
      if (!absent.delete(positionId)) absent.add(positionId);
      return { ...before, absent };
    });
  return {
    wells,
    inPlace,
    guide,
    off,
    seats,
    types,
    act,
    key,
    next,
    words,
    aside,
    towards,
    last: last ?? null,
    /** The well the act would fill. */
    number: (last?.well ?? 0) + 1,
    shown: wells.find(({ positionId }) => positionId === aside.openWell) ?? last ?? null,
    depth: depth.map((one) => ({ ...one, out: within([...off], one.id), left: within(toCome, one.id) })),
    toCome: new Set(toCome),
    acts: { pieces, service },
    change: (some: Partial<Aside>) => setAside((before) => ({ ...before, ...some })),
    pick: (positionId: string, alone: boolean) => {
      setAside(({ filter, openWell }) => ({ ...atRest, filter, openWell, picked: { positionId, alone } }));
      toMainKey();
    },
    goTowards: (assemblyId: string) => {
      settle();
      setTowards(towards === assemblyId ? null : assemblyId);
      toMainKey();
    },
    service: (choice: "full" | "quick") => service.press({ jobId, scope: "job", way: "depth", choice }),
    cameInPieces: () => pieces.press({ jobId }),
    settle,
    take,
    undo,
    leaveIn,
    open,
    serveInPlace,
    broke,
    absentToggled,
  };
}

export type Strip = ReturnType<typeof useStrip>;
