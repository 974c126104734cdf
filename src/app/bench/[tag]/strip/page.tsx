import Link from "next/link";
import { loadBench, type StationProps } from "@/app/server/bench-head";
import { loosePieces } from "@/app/server/loose-pieces";
import { shownVariants } from "@/app/server/variants";
import { mayGrow } from "@/core/anatomy/grow-anatomy";
import { expectedPieces } from "@/core/families/expected-pieces";
import { toolsFor } from "@/core/hands/tools";
import { missingTold, seatsMissing } from "@/core/intake/told-at";
import { mayOpen } from "@/core/quote/consent";
import { shutInTheWay } from "@/core/service/depth";
import { heldIn } from "@/core/teardown/held-in";
import { wayInForce } from "@/core/ways/ways";
import { listExtraPieces } from "@/data/bench/extra-pieces";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { listWells } from "@/data/bench/tray";
import { listInPlace, waysOf } from "@/data/bench/ways";
import { builtOf, familyOf } from "@/data/catalogue/built";
import { ownBuildOf, readVersionOfReel } from "@/data/catalogue/own-build";
import { allTested } from "@/data/diagnosis/observations";
import { getQuote } from "@/data/quote/quotes";
import { BuiltHere } from "@/ui/bench/built-here";
import { ExtraPieces } from "@/ui/bench/extra-pieces";
import { LooseTraySheet } from "@/ui/bench/strip/loose-tray-sheet";
import { StripSheet } from "@/ui/bench/strip/strip-sheet";

export const metadata = { title: "Strip" };

export default async function StripPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  const mayStrip = mayOpen(getQuote(db, job));
  const drawn = version.anatomy.positions.length > 0;
  const template = familyOf(db, version.model);
  const unseated = loosePieces(db, job.id, template);
  // A later half of a reel whose schematic came out of a tray: it comes off as the first one did.
  const grows = drawn && mayGrow(version.anatomy);
  if (!drawn || (grows && (unseated.length > 0 || (await props.searchParams)?.more === "1"))) {
    return (
      <LooseTraySheet
        head={head}
        mayStrip={mayStrip}
        parts={unseated}
        later={drawn}
        pieces={expectedPieces(template)}
        toldMissing={missingTold(job.intake)}
        built={
          head.closed ? null : <BuiltHere jobId={job.id} variants={shownVariants[version.model.family]} chosen={template.chosen} unknown />
        }
      />
    );
  }
  const { anatomy, partTypes } = version;
  const built = builtOf(db, version.model.id);
  const isCurrent = readVersionOfReel(db, version.model.id, job.reel.id)?.id === job.modelVersionId;
  const own = ownBuildOf(db, version.model.id, job.reel.id);
  const of = openingOf(db, job, version);
  const names = new Map(anatomy.positions.map(({ id, name }) => [id, name]));
  const inTheWay = shutInTheWay(anatomy, of.depth);
  const inPlace = new Set(listInPlace(db, job.id).map(({ positionId }) => positionId));
  const held = heldIn(anatomy, inPlace);
  const wantedHeld = [...of.depth.seats].flatMap(([seat, why]) => {
    const by = inPlace.has(seat) ? seat : held.get(seat);
    return by === undefined ? [] : [{ seat, why, by }];
  });
  return (
    <StripSheet
      head={head}
      mayStrip={mayStrip}
      tested={allTested(db, job, version.model.family)}
      anatomy={anatomy}
      machine={of.machine.positions}
      batches={of.batches}
      partTypes={Object.fromEntries(partTypes)}
      expected={stripGuideOf(db, job, version, of).expected}
      depth={anatomy.assemblies.map(({ id, name, carrier }) => ({
        id,
        name,
        open: of.depth.open.get(id) ?? null,
        some: of.depth.only.get(id)?.size ?? null,
        inTheWayOf: (inTheWay.get(id) ?? []).map((other) => anatomy.assemblies.find((one) => one.id === other)?.name ?? other),
        ridesOn: carrier && of.opening.off.has(carrier) ? (names.get(carrier) ?? null) : null,
        left: 0,
        out: 0,
        said: of.depth.shut.has(id) || of.depth.open.get(id) === "asked",
      }))}
      tools={toolsFor(anatomy.positions, partTypes, anatomy.operations, of.opening.off)}
      ridesOn={Object.fromEntries(of.opening.ridesOn)}
      wantedHeld={wantedHeld}
      laying={wayInForce("layingOut", waysOf(db, job)).choice}
      bearings={wayInForce("bearings", waysOf(db, job)).choice}
      lastAssemblyId={null}
      state={{ wells: listWells(db, job.id), inPlace: listInPlace(db, job.id) }}
      missing={{
        words: missingTold(job.intake),
        ...seatsMissing(anatomy.positions, (id) => partTypes.get(id), job.intake),
      }}
      below={
        <>
          {grows && !head.closed && (
            <Link className="act-link mt-2 inline-flex min-h-10 items-center" href={`/bench/${job.tag}/strip?more=1`}>
              More comes off than the schematic shows
            </Link>
          )}
          {built && !head.closed && (
            <BuiltHere
              jobId={job.id}
              variants={shownVariants[version.model.family]}
              chosen={isCurrent ? { ...built.chosen, ...own } : null}
            />
          )}
          <ExtraPieces adds jobId={job.id} closed={head.closed} pieces={listExtraPieces(db, job.id)} />
        </>
      }
    />
  );
}
