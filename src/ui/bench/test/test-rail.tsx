import { changeWords, compare } from "@/core/proving/compare";
import type { Observation } from "@/core/proving/observation";
import type { TestSpec } from "@/core/proving/protocol";
import { type ForceUnit, sayMeasure } from "@/core/units/say-measure";
import { ReadingRail } from "./reading-rail";
import type { TestProps } from "./test-props";
import type { Tests } from "./use-tests";
import { WhyLeftOut } from "./why-left-out";

const readingWords = ({ value, unit, verdict }: Observation, force: ForceUnit): string =>
  value === null ? verdict : sayMeasure(value, unit, force);

/** A reading as it stands on the rail: pulls at the model's own line radius, as the record has them. */
const onRail = (test: TestSpec, one: Observation | undefined, lineRadiusMm: number) => {
  if (!one || one.value === null) return null;
  const value = test.takesLineRadius && one.lineRadiusMm ? (one.value * one.lineRadiusMm) / lineRadiusMm : one.value;
  return { value, verdict: one.verdict };
};

/** All tests one below the other with what they said: narrow beside the one whose turn it is, wide when all are answered. */
export function TestRail({ props, board }: { props: TestProps; board: Tests }) {
  const wide = !board.active;
  return (
    <ol className={wide ? "" : "border-t border-ink"}>
      {board.all.map((test, i) => (
        <li key={test.id} className={`rule-row ${i === props.tests.length ? "mt-4" : ""}`}>
          {test.id === board.active?.id ? (
            <p className="flex min-h-11 items-center gap-2 font-semibold" aria-current="step">
              <span aria-hidden="true">▶</span> {test.name}
            </p>
          ) : (
            <Answered test={test} wide={wide} optional={i >= props.tests.length} props={props} board={board} />
          )}
        </li>
      ))}
    </ol>
  );
}

interface AnsweredProps {
  readonly test: TestSpec;
  readonly wide: boolean;
  readonly optional: boolean;
  readonly props: TestProps;
  readonly board: Tests;
}

/** A test that is not under the hand: what it said, what it said before the work, where it stands among reels like this. */
function Answered({ test, wide, optional, props, board }: AnsweredProps) {
  const { phase, record, lineRadiusMm, force, head } = props;
  const before = board.observations.find((one) => one.testId === test.id && one.phase === "before");
  const now = board.answered(test.id);
  const why = board.leftOut(test.id);
  const byLever = props.tests.some(({ adjuster }) => adjuster === "lever");
  return (
    <div className={wide ? "flex flex-wrap items-baseline gap-x-6" : "flex flex-wrap items-baseline gap-x-3"}>
      <button
        type="button"
        disabled={head.closed}
        className={`min-h-11 text-left font-semibold text-brass disabled:text-ink ${wide ? "w-64" : "flex-1"}`}
        onClick={() => board.turnTo(test.id)}
      >
        {test.name}
      </button>
      {phase === "after" && before && (
        <span className={wide ? "" : "text-note"}>
          before: <span className="num">{readingWords(before, force)}</span>
          {before.value !== null && `, ${before.verdict}`}
        </span>
      )}
      {now && (
        <span className="flex items-baseline gap-3">
          <span className={`num font-medium ${wide ? "text-head" : ""}`}>{readingWords(now, force)}</span>
          {now.value !== null && <span>{now.verdict}</span>}
          {now.simulated && <span className="simulated">simulated</span>}
          {phase === "after" && before && <strong>{changeWords[compare(test, before, now)]}</strong>}
          {wide && now.lineRadiusMm !== null && (
            <span className="text-note">
              line radius {now.lineRadiusMm} mm{now.setting !== null && `, at ${now.setting} ${byLever ? "°" : "turns"}`}
            </span>
          )}
        </span>
      )}
      {test.unit && (now?.value != null || before?.value != null) && (
        <ReadingRail
          name={test.name}
          usual={record.get(test.id) ?? null}
          before={phase === "after" ? onRail(test, before, lineRadiusMm) : null}
          now={onRail(test, phase === "after" ? now : (now ?? before), lineRadiusMm)}
          say={(value) => sayMeasure(value, test.unit, force)}
        />
      )}
      {why && <WhyLeftOut skip={why} closed={head.closed} say={(reason) => board.skip(test, reason)} />}
      {!now && !why && <span className="text-note">{optional ? "optional" : wide ? "not done" : ""}</span>}
    </div>
  );
}
