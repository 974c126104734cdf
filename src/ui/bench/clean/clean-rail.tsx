import { cleanMethods } from "@/core/cleaning/methods";
import type { CleanPlan } from "@/core/cleaning/plan";
import type { Soak } from "@/core/cleaning/soak";
import { msPerMinute } from "@/core/day/day";

const rowPx = 30;
const width = 300;

/** The plan drawn to scale in minutes: baths as long dashed bars, the hands as solid ones, drying as a thin line after them. */
export function CleanRail({ plan, soaks, nowMs }: { plan: CleanPlan; soaks: readonly Soak[]; nowMs: number }) {
  const methods = [...new Set([...plan.acts.map(({ method }) => method)])];
  const running = soaks.map((soak) => ({ ...soak, leftMinutes: Math.max(0, (Date.parse(soak.dueAt) - nowMs) / msPerMinute) }));
  const end = Math.max(plan.doneMinute, ...running.map(({ leftMinutes }) => leftMinutes), 1);
  const x = (minute: number) => (minute / end) * width;
  const words = plan.acts.map(
    ({ kind, method, startMinute, minutes }) =>
      `${Math.round(startMinute)} min: ${kind === "load" ? "fill" : "work on"} ${cleanMethods[method].name}, ${Math.round(minutes)} min`,
  );
  if (!methods.length && !running.length) return <p>Everything is clean.</p>;
  return (
    <>
      <p>
        {methods.length > 0 ? (
          <>
            All dry in <span className="num">{Math.round(plan.doneMinute)}</span> min,{" "}
            <span className="num">{Math.round(plan.handMinutes)}</span> min hands-on. One after another:{" "}
            <span className="num">{Math.round(plan.oneByOneMinutes)}</span> min.
          </>
        ) : (
          "Only the baths are left."
        )}
      </p>
      <svg
        viewBox={`0 0 ${width} ${(methods.length + running.length) * rowPx + 4}`}
        className="mt-1 w-full"
        role="img"
        aria-label={[
          ...words,
          ...running.map(({ method, leftMinutes }) => `${cleanMethods[method].name} soaks for ${Math.ceil(leftMinutes)} min more`),
        ].join("; ")}
      >
        {running.map((soak, i) => (
          <g key={soak.id}>
            <text x={0} y={i * rowPx + 13} className="fl-ink text-note">
              {cleanMethods[soak.method].name}: {Math.ceil(soak.leftMinutes)} min more
            </text>
            <line x1={0} x2={x(soak.leftMinutes)} y1={i * rowPx + 22} y2={i * rowPx + 22} className="ln-hidden" />
          </g>
        ))}
        {methods.map((method, i) => {
          const y = (running.length + i) * rowPx + 24;
          const load = plan.acts.find((act) => act.method === method && act.kind === "load");
          const hand = plan.acts.find((act) => act.method === method && act.kind === "hand");
          const out = load ? load.startMinute + load.minutes + cleanMethods[method].soakMinutes : 0;
          const done = hand ? hand.startMinute + hand.minutes : 0;
          return (
            <g key={method}>
              <text x={0} y={y - 11} className="fl-ink text-note">
                {cleanMethods[method].name}
              </text>
              {load && <line x1={x(load.startMinute + load.minutes)} x2={x(out)} y1={y} y2={y} className="ln-hidden" />}
              {load && <rect x={x(load.startMinute)} y={y - 5} width={Math.max(2, x(load.minutes))} height={10} className="fl-ink" />}
              {hand && <rect x={x(hand.startMinute)} y={y - 5} width={Math.max(2, x(hand.minutes))} height={10} className="fl-ink" />}
              <line x1={x(done)} x2={x(done + cleanMethods[method].dryMinutes)} y1={y} y2={y} className="ln-leader" />
            </g>
          );
        })}
      </svg>
      <p className="text-note">Solid: hands-on. Dashed: in the bath. Thin: drying. Times are rules of thumb.</p>
    </>
  );
}
