/** Long work that pauses now and then: a generator that yields where it can be left, and returns its result. */
export type Sliced<T> = Generator<void, T, void>;

/** Does all of it at once. */
export function runToEnd<T>(work: Sliced<T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Does it slice by slice, letting others have their turn between; stops where `breathe` throws. */
export async function runInSlices<T>(work: Sliced<T>, breathe: () => Promise<void>): Promise<T> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    await breathe();
  }
}
