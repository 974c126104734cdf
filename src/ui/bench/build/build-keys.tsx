import type { BuildKey } from "@/core/hands/build-now";
import { isOwed } from "@/core/teardown/owed";
import type { StepAtBuild } from "@/core/teardown/step";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import type { ShownPoint } from "./oil-points";
import type { Build } from "./use-build";

interface Props {
  readonly head: BenchHead;
  readonly build: Build;
  readonly toClean: number;
}

/** The keys of the way back: what the rule says comes next on the main key, and beside it what else can be said of the act. */
export function BuildKeys({ head, build, toClean }: Props) {
  const { now, aside, busy } = build;
  const isGate = now.alone?.operation.kind === "gate";
  return (
    <>
      {head.closed ? (
        <NextLink href={`/bench/${head.tag}/prove`} words="On to Prove" />
      ) : (
        <TheMainKey head={head} build={build} toClean={toClean} now={now.key} />
      )}
      {now.act && now.undone && !head.closed && <KeysOfAct build={build} jobId={head.jobId} isGate={isGate} />}
      {now.key.what === "looking" && !head.closed && now.alone?.state === "done" && !isGate && (
        <Key shortcut="o" words="Open it again" busy={busy} onPress={() => build.openAgain(now.alone!.operation.id)}>
          Open it again
        </Key>
      )}
      {!head.closed && build.steps.length > 0 && !isGate && (
        <Key shortcut="w" words="Not this part" pressed={aside.other} onPress={() => build.toggle("other")}>
          Other piece
        </Key>
      )}
      <Key shortcut="u" words="Undo the last" busy={busy} disabled={!build.canUndo || head.closed} onPress={build.undo}>
        Undo
      </Key>
    </>
  );
}

function TheMainKey({ head, build, toClean, now }: Props & { now: BuildKey<StepAtBuild, ShownPoint> }) {
  const { busy } = build;
  const acting = build.now.acting.length;
  switch (now.what) {
    case "first":
      return (
        <MainKey busy={busy} words="What comes first" onPress={() => build.pick(now.step.operation.id, false)}>
          First: {now.step.position?.name ?? now.step.operation.words}
        </MainKey>
      );
    case "not-here":
      return (
        <MainKey busy={busy} words="The piece that is not here" onPress={() => build.pick(now.step.operation.id, true)}>
          First: {now.step.position?.name}
        </MainKey>
      );
    case "as-it-came":
      return (
        <MainKey busy={busy} words="Left off, as it came" onPress={() => build.leaveAsItCame(now.left, now.rest)}>
          {now.left.length === acting
            ? "Left off, as it came"
            : `Done: ${acting - now.left.length}; ${now.left[0]!.position!.name.toLowerCase()} left off as it came`}
        </MainKey>
      );
    case "fit-new":
      return <NextLink href={`/bench/${head.tag}/parts`} words="Fit it at Parts" />;
    case "renew":
      // Somebody said why the old ones go back.
      return build.reason ? (
        <MainKey busy={busy} words="Done" onPress={() => build.done(now.operationIds)}>
          {now.operationIds.length > 1 ? `Done: ${now.operationIds.length} steps` : "Done"}
        </MainKey>
      ) : (
        <NextLink href={`/bench/${head.tag}/parts`} words={build.now.old.length === 1 ? "A new one at Parts" : "New ones at Parts"} />
      );
    case "clean-first":
      return (
        <NextLink href={`/bench/${head.tag}/clean`} words={`Clean first: ${toClean} ${toClean === 1 ? "part waits" : "parts wait"}`} />
      );
    case "oil":
      return (
        <MainKey
          busy={busy}
          words="Oiled while it is open"
          onPress={() =>
            build.mark(
              now.points.map(({ positionId }) => positionId),
              "oiled",
            )
          }
        >
          {now.points.length === 1 ? `Oiled: ${now.points[0]!.name}` : `${now.points.length} places oiled`}
        </MainKey>
      );
    case "passes":
    case "done": {
      const words = now.what === "passes" ? "It passes" : "Done";
      return (
        <MainKey busy={busy} words={words} onPress={() => build.done(now.operationIds)}>
          {now.operationIds.length > 1 ? `${words}: ${now.operationIds.length} steps` : words}
        </MainKey>
      );
    }
    case "looking":
      return (
        <MainKey words="To the next step" onPress={build.settle}>
          To the next step
        </MainKey>
      );
    case "oil-rest":
      return (
        <MainKey words="All points oiled" onPress={() => build.oilTheRest(now.positionIds)}>
          {now.positionIds.length === 1 ? "Oil point done" : `All ${now.positionIds.length} points oiled`}
        </MainKey>
      );
    case "to-prove":
      return <NextLink href={`/bench/${head.tag}/prove`} words="On to Prove" />;
  }
}

/** What else can be said of the act under the hand. */
function KeysOfAct({ build, jobId, isGate }: { build: Build; jobId: number; isGate: boolean }) {
  const { now, aside, busy, acts } = build;
  const step = now.alone;
  const free = now.key.what !== "first";
  return (
    <>
      {now.unclean.length > 0 && free && (
        <>
          <Key shortcut="h" words="All cleaned by hand" busy={acts.byHand.busy} onPress={() => acts.byHand.press({ jobId })}>
            All by hand
          </Key>
          <Key shortcut="d" words="Refit it as it is" onPress={build.goesAsItIs}>
            As it is
          </Key>
        </>
      )}
      {step && isGate && free && (
        <Key shortcut="x" words="It fails" busy={busy} onPress={() => build.fails(step.operation.id)} className="min-w-32">
          It fails
        </Key>
      )}
      {step && !isGate && !isOwed(step) && (
        <Key shortcut="k" words="Leave for now" busy={busy} onPress={() => build.later(step.operation.id)}>
          Later
        </Key>
      )}
      {!isGate && now.toCheck.length > 0 && (
        <Key shortcut="f" words="Done up to the next check" busy={busy} onPress={() => build.done(now.toCheck)}>
          To the check
        </Key>
      )}
      {now.lead?.operation.kind === "place" && now.lead.position && (
        <Key shortcut="n" words="Stuck" pressed={aside.stuck} onPress={() => build.toggle("stuck")}>
          Stuck
        </Key>
      )}
    </>
  );
}
