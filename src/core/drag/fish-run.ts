/** A run of a fish: how fast line leaves, piece by piece. */
export interface RunPiece {
  readonly seconds: number;
  readonly metresPerSecond: number;
}

export interface FishRun {
  readonly pieces: readonly RunPiece[];
  /** Torque at which the drag gives line, N·mm at the spool. */
  readonly spoolTorqueNmm: number;
  readonly arborRadiusMm: number;
  readonly fullRadiusMm: number;
  /** Line on a full spool, m. */
  readonly capacityM: number;
  /** Line out before the run, m. */
  readonly outM: number;
  /** Heat the washers take up, J/K, lumped. */
  readonly heatCapacityJPerK: number;
  /** What leaves them to the frame and the air, W/K. */
  readonly lossWPerK: number;
  readonly ambientC: number;
}

export interface RunPoint {
  readonly seconds: number;
  readonly outM: number;
  readonly radiusMm: number;
  readonly pullN: number;
  readonly powerW: number;
  readonly washerC: number;
}

/** The step a run is walked by, s, and how much of its warmth a washer may lose within one for the walk to hold (the rule is stable up to 2.78). */
const stepOfRunS = 0.05;
const mostPerStep = 1;

/** What is wrong with a run, in words at its field; null when it can be computed. */
export function runFault(run: FishRun): { field: keyof FishRun; message: string } | null {
  const above = (field: keyof FishRun & ("spoolTorqueNmm" | "arborRadiusMm" | "capacityM" | "heatCapacityJPerK")) =>
    Number.isFinite(run[field]) && run[field] > 0 ? null : { field, message: "A number above 0." };
  const first = above("spoolTorqueNmm") ?? above("arborRadiusMm") ?? above("capacityM") ?? above("heatCapacityJPerK");
  if (first) return first;
  if (!(run.fullRadiusMm > run.arborRadiusMm)) return { field: "fullRadiusMm", message: "The full spool is wider than its arbor." };
  if (!(run.ambientC >= -40 && run.ambientC <= 60))
    return { field: "ambientC", message: "The air where somebody fishes: from −40 to 60 °C." };
  if (!(run.lossWPerK >= 0 && Number.isFinite(run.lossWPerK))) return { field: "lossWPerK", message: "A number from 0 up." };
  // Washers that lose their heat within the step they are walked by: no drag does, and the walk would run away.
  if (run.lossWPerK * stepOfRunS > mostPerStep * run.heatCapacityJPerK)
    return {
      field: "heatCapacityJPerK",
      message: "Washers that take up so little and lose so much would be cold at once: look at both figures.",
    };
  if (!(run.outM >= 0 && run.outM <= run.capacityM))
    return { field: "outM", message: "Line out is 0 or more, and no more than the spool holds." };
  if (
    !run.pieces.length ||
    run.pieces.some(({ seconds, metresPerSecond }) => !(seconds > 0 && seconds <= 3600 && metresPerSecond >= 0 && metresPerSecond <= 40))
  )
    return { field: "pieces", message: "Each piece: seconds above 0, metres a second from 0 to 40." };
  return null;
}

/** The state that is walked: line out, m; washers, °C. */
type State = readonly [outM: number, washerC: number];

/**
 * Walks a run with the classical Runge–Kutta rule of order four at a fixed step: line out grows by the speed, the spool's radius falls, the pull
 * at a constant torque rises, its power heats the washers, which lose heat in proportion. Ends when the spool is bare.
 * Yields after each step so that a worker can be told to stop. @param stepS seconds.
 */
export function* walkRun(run: FishRun, stepS = stepOfRunS): Generator<RunPoint> {
  const arbor2 = run.arborRadiusMm ** 2;
  const ring2 = run.fullRadiusMm ** 2 - arbor2;
  const radius = (outM: number) => Math.sqrt(arbor2 + ring2 * Math.max(0, 1 - outM / run.capacityM));
  const pull = (outM: number) => run.spoolTorqueNmm / radius(outM);
  const rate = ([outM, washerC]: State, speed: number): State => [
    speed,
    (pull(outM) * speed - run.lossWPerK * (washerC - run.ambientC)) / run.heatCapacityJPerK,
  ];
  const along = ([a, b]: State, [da, db]: State, h: number): State => [a + da * h, b + db * h];
  let state: State = [run.outM, run.ambientC];
  let seconds = 0;
  const point = (speed: number): RunPoint => ({
    seconds,
    outM: state[0],
    radiusMm: radius(state[0]),
    pullN: pull(state[0]),
    powerW: pull(state[0]) * speed,
    washerC: state[1],
  });
  yield point(run.pieces[0]!.metresPerSecond);
  for (const piece of run.pieces) {
    const speed = piece.metresPerSecond;
    // The last step ends where the spool is bare, not where the step would.
    const toBare = (run.capacityM - state[0]) / speed;
    // At rest it never is: that time is endless, or no number on a spool that is bare already.
    const bare = toBare <= piece.seconds;
    const took = bare ? toBare : piece.seconds;
    const steps = Math.max(1, Math.ceil(took / stepS - 1e-9));
    const h = took / steps;
    for (let i = 0; i < steps; i++) {
      const k1 = rate(state, speed);
      const k2 = rate(along(state, k1, h / 2), speed);
      const k3 = rate(along(state, k2, h / 2), speed);
      const k4 = rate(along(state, k3, h), speed);
      state = [0, 1].map((j) => state[j]! + (h / 6) * (k1[j]! + 2 * k2[j]! + 2 * k3[j]! + k4[j]!)) as unknown as State;
      seconds += h;
      if (bare && i === steps - 1) state = [run.capacityM, state[1]];
      yield point(speed);
    }
    if (bare) return;
  }
}

export interface RunResult {
  readonly points: readonly RunPoint[];
  readonly hottestC: number;
  readonly mostPullN: number;
  readonly energyJ: number;
  /** The spool ran bare. */
  readonly bare: boolean;
}

/**
 * Energy that goes into the washers while line leaves, J, whatever the speeds: the torque over the radius along the line, in closed form
 * ∫ M/r(x) dx = 2·M·L/(R² − r²) · (r₀ − r₁) for a spool of L metres between the radii r and R.
 */
function energyOf({ spoolTorqueNmm, capacityM, fullRadiusMm, arborRadiusMm }: FishRun, from: RunPoint, to: RunPoint): number {
  return ((2 * spoolTorqueNmm * capacityM) / (fullRadiusMm ** 2 - arborRadiusMm ** 2)) * (from.radiusMm - to.radiusMm);
}

/** A whole run at once. */
export function fishRun(run: FishRun, stepS = stepOfRunS): RunResult {
  const points = [...walkRun(run, stepS)];
  const energyJ = energyOf(run, points[0]!, points.at(-1)!);
  return {
    points,
    hottestC: Math.max(...points.map(({ washerC }) => washerC)),
    mostPullN: Math.max(...points.map(({ pullN }) => pullN)),
    energyJ,
    bare: points.at(-1)!.outM >= run.capacityM,
  };
}
