import { type FishRun, type RunPoint, walkRun } from "@/core/drag/fish-run";

/** Walks a run off the page's thread; what it sends is a share of the run's time, and in the end every twentieth point. */
self.onmessage = (event: MessageEvent<FishRun>) => {
  const run = event.data;
  const whole = run.pieces.reduce((sum, { seconds }) => sum + seconds, 0);
  const points: RunPoint[] = [];
  let told = 0;
  let i = 0;
  for (const point of walkRun(run, 0.01)) {
    if (i++ % 20 === 0) points.push(point);
    if (point.seconds / whole - told >= 0.1) {
      told = point.seconds / whole;
      self.postMessage({ share: told });
    }
  }
  self.postMessage({ points });
};
