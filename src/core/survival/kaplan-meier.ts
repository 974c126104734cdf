/** A life that ended, or was seen unbroken so far; in any unit of time. */
export interface Life {
  readonly time: number;
  /** It ended; else it was still good when last looked at. */
  readonly ended: boolean;
}

export interface SurvivalStep {
  readonly time: number;
  readonly atRisk: number;
  readonly ended: number;
  /** Share that lives longer than this, and its standard error (Greenwood 1926). */
  readonly survival: number;
  readonly error: number;
}

/** The share that lives longer than each time at which one ended (Kaplan and Meier 1958). Lives cut off at a time count as at risk then. */
export function kaplanMeier(lives: readonly Life[]): SurvivalStep[] {
  const sorted = [...lives].sort((a, b) => a.time - b.time);
  const steps: SurvivalStep[] = [];
  let survival = 1;
  let greenwood = 0;
  for (let i = 0; i < sorted.length; ) {
    const { time } = sorted[i]!;
    const atRisk = sorted.length - i;
    let ended = 0;
    for (; i < sorted.length && sorted[i]!.time === time; i++) if (sorted[i]!.ended) ended++;
    if (!ended) continue;
    survival *= 1 - ended / atRisk;
    greenwood += atRisk > ended ? ended / (atRisk * (atRisk - ended)) : 0;
    steps.push({ time, atRisk, ended, survival, error: survival * Math.sqrt(greenwood) });
  }
  return steps;
}

/** The share that lives longer than a time. */
export const survivalAt = (steps: readonly SurvivalStep[], time: number): number =>
  steps.filter((step) => step.time <= time).at(-1)?.survival ?? 1;

/** The first time by which a share has ended; null where the lives do not tell. */
export const timeOf = (steps: readonly SurvivalStep[], ended: number): number | null =>
  steps.find(({ survival }) => survival <= 1 - ended + 1e-12)?.time ?? null;
