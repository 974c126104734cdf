import { expect, it } from "vitest";
import { kept } from "./kept";

it("keeps an answer by the thing and the key, and begins anew when there are many", () => {
  let asked = 0;
  const of = kept(
    (thing: { n: number }, by: number) => {
      asked++;
      return thing.n * by || undefined;
    },
    String,
    3,
  );
  const [one, two] = [{ n: 1 }, { n: 2 }];
  expect([of(one, 5), of(one, 5), of(two, 5), of(one, 6)]).toEqual([5, 5, 10, 6]);
  expect(asked).toBe(3);
  // Nothing is an answer too.
  expect([of(one, 0), of(one, 0)]).toEqual([undefined, undefined]);
  expect(asked).toBe(4);
  of(one, 7);
  of(one, 5);
  expect(asked).toBe(6);
});
