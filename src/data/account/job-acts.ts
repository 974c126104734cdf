import { type Account, accountOf } from "@/core/account/account";
import type { JobActs } from "@/core/account/job-acts";
import { type Sentence, tell } from "@/core/account/sentences";
import { sizeWords } from "@/core/anatomy/shapes";
import { seatOfPlacing } from "@/core/anatomy/types";
import { knowledgeOn } from "@/core/diagnosis/signs-on-reel";
import { givenAt, keptDry } from "@/core/lubrication/given";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { testOn } from "@/core/proving/protocol";
import { remedyOn } from "@/core/safety/act-cautions";
import { rolesBySection } from "@/core/service/depth";
import { placesOfComplaints } from "@/core/service/places";
import { isSeal, sealUnitOf } from "@/core/teardown/seal-unit";
import { sayMeasure } from "@/core/units/say-measure";
import { dragWishes, handleHoles } from "@/core/vocabulary/counter-lists";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { listAsItIs } from "@/data/account/as-it-is";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { listExtraPieces } from "@/data/bench/extra-pieces";
import { listOilPoints } from "@/data/bench/oil-points";
import { openingOf } from "@/data/bench/opening";
import { listOutcomes } from "@/data/bench/seat-outcome";
import { listStepsNoted } from "@/data/bench/step-noted";
import { listWells } from "@/data/bench/tray";
import { listInPlace, unopenedUnit, waysOf } from "@/data/bench/ways";
import type { ModelVersion } from "@/data/catalogue/models";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { listLooks, listSettled, rolesIn } from "@/data/diagnosis/diagnosis";
import { listFaults } from "@/data/diagnosis/faults";
import { faultNamer, knowledgeOf } from "@/data/diagnosis/knowledge";
import type { Job } from "@/data/jobs/jobs";
import { machineOf, typesInSeats } from "@/data/jobs/machine";
import { listFittedParts } from "@/data/jobs/pieces";
import { oldBackOf } from "@/data/quote/old-back";
import { getShopSettings } from "@/data/shop/settings";

/** Everything that was done on a job, as its account takes it: row by row what is kept, and nothing of what is planned. */
export function jobActs(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): JobActs {
  const { anatomy, partTypes } = version;
  const { depth } = openingOf(db, job, version);
  const { steps } = getBuild(db, job, version);
  const wells = listWells(db, job.id);
  const ways = waysOf(db, job);
  const points = listOilPoints(db, job, version);
  const outcomes = listOutcomes(db, job.id);
  const insteadAt = (positionId: string) => outcomes.get(positionId)?.product ?? null;
  const unit = sealUnitOf(anatomy, partTypes);
  const lifted = unopenedUnit(db, job, version);
  const roleAt = (id: string) => partTypes.get(anatomy.positions.find((seat) => seat.id === id)?.partTypeId ?? "")?.role ?? "";
  const fitted = listFittedParts(db, job.id);
  const types = findPartTypes(
    db,
    fitted.map(({ partTypeId }) => partTypeId),
  );
  const force = getShopSettings(db).shownForce;
  return {
    kind: job.kind,
    declined: job.declinedReason,
    assemblies: anatomy.assemblies.map(({ id, name }) => ({ id, name })),
    seats: anatomy.positions.map(({ id, name, assemblyId, stays, hole, partTypeId }) => ({
      id,
      name,
      assemblyId,
      stays: stays !== undefined,
      seal: isSeal(partTypes.get(partTypeId)),
      sealedUnit: unit.has(id),
      hole: hole ?? "",
    })),
    opened: [...depth.open].map(([assemblyId, why]) => ({
      act: `opened:${assemblyId}`,
      assemblyId,
      // Where the whole reel is opened because nobody said where to look, no complaint is the reason.
      why: why === "complaint" && !placesOfComplaints(job.intake.complaints).length ? null : why,
    })),
    emptied: [...depth.seats].map(([positionId, why]) => ({ positionId, why })),
    keptShut: [...depth.shut].map((assemblyId) => ({ act: `shut:${assemblyId}`, assemblyId })),
    off: wells.map((well) => ({
      act: `well:${well.positionId}`,
      positionId: well.positionId,
      cameApart: well.cameApart,
      verdict: well.verdict,
      dressed: [well.dressed, well.verdict === "dressed" && well.forOwner ? well.note : ""].filter(Boolean).join("; "),
      remark: well.forOwner ? well.note : "",
      cleaned: well.cleanedHow,
      back: well.refitted,
      leftOut: well.leftOutReason,
      asOne: lifted.has(well.positionId),
      declined: well.declined,
      found: well.foundCount,
      hole: well.hole,
    })),
    inPlace: listInPlace(db, job.id).map(({ positionId, reason }) => ({ act: `in-place:${positionId}`, positionId, reason })),
    oiled: [
      ...steps.flatMap((step) => {
        const { position, state, operation, well } = step;
        if (operation.kind !== "place" || state !== "done" || !position || (well && lifted.has(position.id))) return [];
        const given = givenAt(lubricantFor(position, partTypes.get(position.partTypeId)!, ways), insteadAt(position.id));
        if (!given) return [];
        return [{ act: `step:${operation.id}`, positionId: position.id, product: given.product, drops: given.drops, whereItSits: false }];
      }),
      ...points.flatMap(({ positionId, advice, state, instead }) => {
        const given = state === "oiled" ? givenAt(advice, instead) : null;
        return given ? [{ act: `oil:${positionId}`, positionId, product: given.product, drops: given.drops, whereItSits: true }] : [];
      }),
    ],
    unoiled: points.flatMap(({ positionId, state, why }) => (state === "left-out" ? [{ act: `oil:${positionId}`, positionId, why }] : [])),
    ...outcomeActs(version, ways, outcomes, steps, points),
    fitted: fitted.map(({ positionId, partTypeId, offDonor, source }) => {
      const type = types.get(partTypeId);
      const from = offDonor ? "used, from a donor" : source ? pieceSources[source].said : "new";
      return {
        act: `piece:${positionId}`,
        positionId,
        what: type ? `${type.name}, ${sizeWords(type.shape)}, ${type.material}, ${from}` : from,
      };
    }),
    notDrawn: listExtraPieces(db, job.id).map(({ id, words, state }) => ({ act: `not-drawn:${id}`, words, state })),
    checks: steps.flatMap(({ operation, state }) =>
      operation.kind === "gate" && state === "done" ? [{ act: `step:${operation.id}`, words: operation.words }] : [],
    ),
    asItIs: listAsItIs(db, job.id).map(({ testId, reason }) => ({
      act: `as-it-is:${testId}`,
      name: testOn(version.model.family, testId).name,
      reason,
    })),
    noted: notedAtSteps(db, job, steps),
    wished: wishesDone(job, version, steps),
    tests: answersThatHold(db, job, steps).map(({ id, testId, phase, verdict, value, unit: kept, simulated }) => ({
      act: `answer:${id}`,
      id: testId,
      name: testOn(version.model.family, testId).name,
      phase,
      verdict,
      reading: value === null ? "" : `${sayMeasure(value, kept, force)}${simulated ? " (simulated)" : ""}`,
    })),
    ...diagnosisActs(db, job, version, roleAt),
  };
}

/** What came of acts at seats: only of a part that did go in, or a point that was seen to. */
function outcomeActs(
  { partTypes }: ModelVersion,
  ways: ReturnType<typeof waysOf>,
  outcomes: ReturnType<typeof listOutcomes>,
  steps: ReturnType<typeof getBuild>["steps"],
  points: ReturnType<typeof listOilPoints>,
): Pick<JobActs, "dry" | "cleanedSo" | "felt"> {
  const done = steps.flatMap(({ operation, position, state }) =>
    operation.kind === "place" && state === "done" && position ? [position] : [],
  );
  const told = done.flatMap((position) => {
    const outcome = outcomes.get(position.id);
    return outcome ? [{ act: `outcome:${position.id}`, positionId: position.id, position, outcome }] : [];
  });
  return {
    dry: [
      ...told.flatMap(({ act, positionId, position, outcome }) =>
        keptDry(lubricantFor(position, partTypes.get(position.partTypeId)!, ways), outcome.product) ? [{ act, positionId }] : [],
      ),
      ...points.flatMap(({ positionId, advice, instead, state }) =>
        state === "oiled" && keptDry(advice, instead) ? [{ act: `outcome:${positionId}`, positionId }] : [],
      ),
    ],
    cleanedSo: told.flatMap(({ act, positionId, outcome }) => (outcome.clean ? [{ act, positionId, outcome: outcome.clean }] : [])),
    felt: told.flatMap(({ act, positionId, outcome }) => (outcome.feel ? [{ act, positionId, feel: outcome.feel }] : [])),
  };
}

/** Wishes of the counter that a step of the build answered. */
function wishesDone({ intake }: Job, { partTypes }: ModelVersion, steps: ReturnType<typeof getBuild>["steps"]): JobActs["wished"] {
  return steps.flatMap(({ operation, position, state }) => {
    const type = operation.kind === "place" && state === "done" && position ? partTypes.get(position.partTypeId) : undefined;
    if (!type) return [];
    const act = `step:${operation.id}`;
    return [
      ...(type.shape.kind === "friction-washer" && intake.dragWish !== "shop"
        ? [{ act, words: `drag ${dragWishes[intake.dragWish].replace(":", ",")}` }]
        : []),
      ...(type.role === "handle" && intake.handleHole !== "as-found"
        ? [{ act, words: `handle in its ${handleHoles[intake.handleHole]}` }]
        : []),
    ];
  });
}

function notedAtSteps(db: Db, job: Job, steps: ReturnType<typeof getBuild>["steps"]): JobActs["noted"] {
  const noted = listStepsNoted(db, job.id);
  return steps.flatMap(({ operation }) => {
    const said = noted.get(operation.id);
    return said === undefined ? [] : [{ act: `noted:${operation.id}`, words: `${operation.words || seatWords(operation.id)}: ${said}` }];
  });
}
const seatWords = (operationId: string): string => seatOfPlacing(operationId) ?? operationId;

/** What was looked at, ruled out, and found. */
function diagnosisActs(
  db: Db,
  job: Job,
  version: ModelVersion,
  roleAt: (positionId: string) => string,
): Pick<JobActs, "faults" | "ruledOut" | "looks"> {
  const faultOf = faultNamer(db);
  const inSeats = typesInSeats(version);
  const oldBack = oldBackOf(db, [job.id]).get(job.id);
  const { faults, findings } = knowledgeOn(knowledgeOf(db), rolesIn(db, version));
  const sections = rolesBySection(faults);
  const seats = version.anatomy.positions.map(({ id }) => id);
  const findingName = new Map(findings.map(({ id, name }) => [id, name]));
  return {
    faults: listFaults(db, job.id).map(({ faultId, outcome, putRight }) => {
      const fault = faultOf(faultId);
      const remedy = fault && remedyOn(fault, inSeats);
      const renews = new Set(remedy?.partRoles ?? []);
      const about = new Set([...renews, ...(fault?.needs ? [fault.needs] : [])]);
      const own = seats.filter((id) => about.has(roleAt(id)));
      const section = fault ? (sections.get(fault.section) ?? new Set()) : new Set();
      return {
        act: `fault:${faultId}`,
        id: faultId,
        name: fault?.name ?? faultId,
        outcome,
        oldBack: oldBack?.get(faultId) ?? null,
        saidPutRight: putRight,
        remedy: remedy?.words ?? "",
        minutes: remedy?.minutes ?? 0,
        renews: seats.filter((id) => renews.has(roleAt(id))),
        worksOn: own.length ? own : seats.filter((id) => section.has(roleAt(id))),
      };
    }),
    ruledOut: [...listSettled(db, job.id)].flatMap(([id, proved]) =>
      proved ? [] : [{ act: `ruled-out:${id}`, name: faultOf(id)?.name ?? id }],
    ),
    looks: [...listLooks(db, job.id)].map(([id, so]) => ({ act: `look:${id}`, name: findingName.get(id) ?? id, so })),
  };
}

/** The account of a job as far as it has come, and what is said of it. */
export function getAccount(db: Db, job: Job, version?: ModelVersion): { account: Account; sentences: Sentence[] } {
  const account = accountOf(jobActs(db, job, version));
  return { account, sentences: tell(account) };
}
