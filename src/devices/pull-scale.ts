/** What the simulated instrument shows hangs on it; a real scale ignores this. */
export interface PullSetting {
  /** Force of even slip, N. */
  readonly levelN: number;
  /** Start peak ÷ even slip. */
  readonly startRatio: number;
  /** Unevenness of the slip, as a share of it. */
  readonly ripple: number;
}

/** A sample of the pretended pull: the line takes up, peaks, drops to its running level and ripples once a turn. */
export function simulatedForce(setting: PullSetting, index: number): number {
  const takeUp = 15;
  const { levelN, startRatio, ripple } = setting;
  if (index < takeUp) return (levelN * startRatio * index) / takeUp;
  const since = index - takeUp;
  const settle = Math.exp(-since / 4) * (startRatio - 1);
  // Two incommensurate waves stand for the turn of the spool and the tremor of the hand; no random numbers, so a test can repeat it.
  const wave = ripple * (Math.sin(since / 3.1) + 0.4 * Math.sin(since * 1.7));
  return Math.max(0, levelN * (1 + settle + wave));
}
