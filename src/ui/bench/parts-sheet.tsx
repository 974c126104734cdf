"use client";
import Link from "next/link";
import { useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { formatMinor } from "@/core/money/money";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import { NextLink } from "./next-link";

export interface SeatFacts {
  readonly positionId: string;
  readonly priceMinor: number;
  readonly stock: { readonly count: number; readonly keptAside: number; readonly bin: string } | null;
  readonly inTray: boolean;
  readonly well: number | null;
  readonly verdict: "ok" | "worn" | "replace" | "watch" | null;
  readonly renewed: boolean;
  readonly refitted: boolean;
  readonly need: "open" | "ordered" | "arrived" | null;
  readonly foreseen: boolean;
}

interface Props {
  readonly head: BenchHead;
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly seats: readonly SeatFacts[];
  readonly currency: string;
  readonly use: Action<void>;
  readonly undoUse: Action<void>;
  readonly order: Action<void>;
}

const needWords = { open: "on the list of needs", ordered: "ordered", arrived: "arrived, kept aside for this reel" } as const;

/** What the seat's part is doing now, in a few words. */
export function seatWords(seat: SeatFacts): string {
  if (seat.refitted) return seat.renewed ? "new piece fitted" : "refitted";
  if (seat.renewed) return `new piece in well ${seat.well}`;
  if (seat.need) return needWords[seat.need];
  if (seat.verdict === "replace") return "to be replaced";
  return seat.inTray ? `in well ${seat.well}` : "in the reel";
}

export function PartsSheet({ head, anatomy, partTypes, seats, currency, use, undoUse, order }: Props) {
  const facts = new Map(seats.map((seat) => [seat.positionId, seat]));
  const wanted = seats.filter((seat) => (seat.verdict === "replace" || seat.foreseen) && !seat.renewed);
  const [picked, setPicked] = useState<string>(wanted[0]?.positionId ?? anatomy.positions[0]!.id);
  const using = useAct(use);
  const undoing = useAct(undoUse);
  const ordering = useAct(order);
  const position = anatomy.positions.find((p) => p.id === picked);
  const seat = facts.get(picked);
  const type = position && partTypes[position.partTypeId];
  const press = { jobId: head.jobId, positionId: picked };
  return (
    <BenchSheet head={head} station="parts" act={<NextLink href={`/bench/${head.tag}/build`} words="On to Build" />}>
      <div className="grid gap-6 lg:grid-cols-[1fr_340px]">
        <div>
          {anatomy.assemblies.map((assembly) => (
            <section key={assembly.id} className="mb-3">
              <h2>{assembly.name}</h2>
              <ul>
                {anatomy.positions
                  .filter((p) => p.assemblyId === assembly.id)
                  .map((p) => (
                    <li key={p.id} className="rule-row">
                      <button
                        type="button"
                        className="flex min-h-10 w-full gap-4 text-left"
                        aria-pressed={p.id === picked}
                        onClick={() => setPicked(p.id)}
                      >
                        <span className="num w-32">{partTypes[p.partTypeId]?.number}</span>
                        <span className="w-64 font-semibold text-brass">{p.name}</span>
                        <span>{seatWords(facts.get(p.id)!)}</span>
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
        </div>
        {position && seat && type && (
          <div className="flex flex-col gap-3 self-start border-2 border-ink p-3" role="status">
            <p className="num text-head">{type.number}</p>
            <h2>{position.name}</h2>
            <p>
              {type.name}, {type.material}
            </p>
            <p className="num">{sizeWords(type.shape)}</p>
            <p>
              Price <span className="num">{formatMinor(seat.priceMinor)}</span> {currency} · in stock{" "}
              <span className="num">{seat.stock?.count ?? 0}</span>
              {seat.stock && ` (bin ${seat.stock.bin}${seat.stock.keptAside ? `, ${seat.stock.keptAside} kept aside` : ""})`}
            </p>
            <p className="font-semibold">{seatWords(seat)}</p>
            {seat.renewed ? (
              <Key busy={undoing.busy} disabled={seat.refitted || head.closed} onPress={() => undoing.press(press)}>
                Undo: back into the bin
              </Key>
            ) : (
              <>
                <Key shortcut="w" words="Used here" busy={using.busy} disabled={head.closed} onPress={() => using.press(press)}>
                  Used here
                </Key>
                <Key
                  shortcut="o"
                  words="Order"
                  busy={ordering.busy}
                  disabled={seat.need !== null || head.closed}
                  onPress={() => ordering.press(press)}
                >
                  Order
                </Key>
              </>
            )}
            {seat.need && seat.need !== "arrived" && (
              <Link className="act-link" href="/stores">
                {seat.need === "open" ? "Place the order at Stores" : "Receive it at Stores"}
              </Link>
            )}
            <Refused message={using.message ?? ordering.message ?? undoing.message} />
          </div>
        )}
      </div>
    </BenchSheet>
  );
}
