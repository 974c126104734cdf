import { describe, expect, it } from "vitest";
import { oneMachine } from "./one-machine";

const jobs = (heads: number[], works: number[], tails: number[]) => heads.map((head, i) => ({ head, work: works[i]!, tail: tails[i]! }));

describe("one machine with heads and tails", () => {
  it("reaches the optimum of Carlier's example, which Schrage's rule misses", () => {
    // Carlier 1982, EJOR 11 (recalled): Schrage gives 53, the optimum is 50.
    const carlier = jobs([10, 13, 11, 20, 30, 0, 30], [5, 6, 7, 4, 3, 6, 2], [7, 26, 24, 21, 8, 17, 0]);
    expect(oneMachine(carlier).done).toBe(50);
  });

  it("turns due dates into tails: Pinedo's example has a largest lateness of 5", () => {
    // Pinedo, Scheduling, ch. 3 (recalled): 1 | r | Lmax with tail = 0 - due date, optimum 5, order 1 3 4 2.
    const due = [8, 12, 11, 10];
    const shift = Math.max(...due);
    const { order, done } = oneMachine(
      jobs(
        [0, 1, 3, 5],
        [4, 2, 6, 5],
        due.map((d) => shift - d),
      ),
    );
    expect(done - shift).toBe(5);
    expect(order.map((i) => i + 1)).toEqual([1, 3, 4, 2]);
  });

  it("is over at once with nothing to do, and refuses more than it can try", () => {
    expect(oneMachine([], 3)).toEqual({ order: [], done: 3 });
    expect(() => oneMachine(jobs(Array(11).fill(0), Array(11).fill(1), Array(11).fill(0)))).toThrow(RangeError);
  });
});
