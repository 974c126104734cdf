import type { ReactNode } from "react";
import { pathWords, phaseAt } from "@/core/intake/job-kinds";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import { QueueLine } from "@/ui/controls/queue-line";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { type EditionChoice, EditionLine } from "./edition-line";
import { LotNext, type LotPlace } from "./lot-next";
import type { MeasureBoard } from "./measure/measure-board";
import { MeasureKey } from "./measure/measure-key";
import { NewerModel } from "./newer-model";
import { Stations } from "./stations";
import type { StationId } from "./stations-words";
import { type CardToRead, TakenDownCard } from "./taken-down-card";

/** What every station's sheet carries of its job. */
export interface BenchHead {
  readonly jobId: number;
  /** What of its model was changed since the job was opened, in words. */
  readonly newer: readonly string[];
  /** How far the data of this page has come. */
  readonly revision: number;
  readonly tag: string;
  readonly reel: string;
  /** What it came for and how deep it goes: they choose the stations. */
  readonly path: JobPath;
  readonly reached: StationId | "closed";
  readonly moveWords: string;
  readonly promised: string;
  readonly closed: boolean;
  /** It has a motor or a battery: said before it is tested, opened or cleaned. */
  readonly electric: boolean;
  /** Simulated instruments are switched on in this shop. */
  readonly simulated: boolean;
  /** Where its model was built in several ways. */
  readonly edition: EditionChoice | null;
  /** The lot it came with. */
  readonly lot: LotPlace | null;
  /** What scale, caliper and ruler told, and can tell. */
  readonly measures: MeasureBoard;
  /** For one taken down again after weeks. */
  readonly card: CardToRead | null;
}

/** Stations at which it matters how the reel was built, before its parts are told apart. */
const editionStations: ReadonlySet<StationId> = new Set(["test", "strip", "parts"]);
const modelStations: ReadonlySet<StationId> = new Set(["strip", "clean", "parts", "build"]);

/** A station's sheet: stations along the top, the act edge and the corner block along the bottom. */
export function BenchSheet({
  head,
  station,
  seat = null,
  act,
  children,
}: {
  head: BenchHead;
  station: StationId;
  /** The seat the step is about, where it is about one. */
  seat?: string | null;
  act?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Sheet
      fill
      top={
        <div className="flex">
          <Stations tag={head.tag} path={head.path} reached={head.reached} here={station} />
          <MeasureKey jobId={head.jobId} phase={phaseAt(station)} board={head.measures} seat={seat} closed={head.closed} />
        </div>
      }
      act={
        head.lot ? (
          <>
            {act}
            <LotNext lot={head.lot} tag={head.tag} station={station} />
          </>
        ) : (
          act
        )
      }
      block={
        <CornerBlock
          cells={[
            { label: "Tag", value: head.tag, large: true },
            { label: "Reel", value: head.reel },
            ...(head.path.kind === "repair" && !head.path.depthSaid ? [] : [{ label: "Job", value: pathWords(head.path) }]),
            { label: "Waiting on", value: head.moveWords },
            { label: "Promised", value: head.promised },
          ]}
        />
      }
    >
      <QueueLine />
      {head.card && <TakenDownCard jobId={head.jobId} card={head.card} />}
      {head.edition && editionStations.has(station) && <EditionLine jobId={head.jobId} edition={head.edition} closed={head.closed} />}
      {head.newer.length > 0 && modelStations.has(station) && <NewerModel jobId={head.jobId} changes={head.newer} />}
      {children}
    </Sheet>
  );
}
