"use client";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { MakeRepair } from "./make-repair";
import type { TestProps } from "./test-props";
import { TestRail } from "./test-rail";
import { TestTurn } from "./test-turn";
import { type Tests, useTests } from "./use-tests";

/**
 * All tests on a rail, the one whose turn it is large beside it. One press answers it, the number is optional. A press is on the page at once, and the
 * next test is under the hand. The same sheet serves before touching and after closing, where the earlier reading stands beside.
 */
export function TestSheet(props: TestProps) {
  const { head, phase, above, below, makeRepair } = props;
  const board = useTests(props);
  const { active } = board;
  return (
    <BenchSheet head={head} station={phase === "before" ? "test" : "prove"} act={<TestKeys board={board} next={props.next} />}>
      {above}
      {board.stopsLight && makeRepair && <MakeRepair jobId={head.jobId} />}
      {active ? (
        <div className="grid items-start gap-6 lg:grid-cols-[330px_1fr]">
          <section className="order-first lg:order-last" aria-label={active.name}>
            <h1>{active.name}</h1>
            <TestTurn
              head={head}
              phase={phase}
              test={active}
              usual={props.record.get(active.id)}
              lineRadiusMm={props.lineRadiusMm}
              lineBreaksN={props.lineBreaksN}
              force={props.force}
              byLever={props.tests.some(({ adjuster }) => adjuster === "lever")}
              typed={board.typed}
              type={board.type}
              wrong={board.wrong}
              onMeasuring={board.setMeasuring}
            />
          </section>
          <TestRail props={props} board={board} />
        </div>
      ) : (
        <TestRail props={props} board={board} />
      )}
      {below}
    </BenchSheet>
  );
}

function TestKeys({ board, next }: { board: Tests; next: TestProps["next"] }) {
  const { active, measuring, open } = board;
  if (!active) return <NextLink {...next} />;
  return (
    <>
      {measuring ? (
        <MainKey words={measuring.words} onPress={measuring.stop}>
          {measuring.words}
        </MainKey>
      ) : (
        <MainKey words="Good" onPress={() => board.answer("good")}>
          Good
        </MainKey>
      )}
      <Key shortcut="d" words="Doubtful" onPress={() => board.answer("doubtful")} className="min-w-32">
        Doubtful
      </Key>
      <Key shortcut="x" words="Bad" onPress={() => board.answer("bad")} className="min-w-28">
        Bad
      </Key>
      <Key
        shortcut="n"
        words="Not done"
        onPress={() => {
          if (board.skip(active, "")) board.turnTo(null);
        }}
        className="min-w-28"
      >
        Not done
      </Key>
      {open.length > 1 && (
        <Key shortcut="a" words="All as they should be" onPress={board.allGood} className="min-w-28">
          All {open.length} good
        </Key>
      )}
    </>
  );
}
