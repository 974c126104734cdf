import { type OrderProblem, orderProblemSchema } from "@/core/ordering/plan/problem";

/** An order problem of a size, drawn from a stream: suppliers with thresholds, packs and breaks, jobs and bins, two order days. */
export function orderCase(random: () => number, size: { needs: number; suppliers: number; offers: number; parts: number }): OrderProblem {
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const is = (chance: number) => random() < chance;
  const many = <T>(n: number, make: (i: number) => T) => Array.from({ length: n }, (_, i) => make(i));
  const suppliers = many(size.suppliers, (i) => ({
    id: `s${i}`,
    postage: [{ fromMinor: 0, postageMinor: whole(300, 900) }],
    freeFromMinor: is(0.6) ? whole(40, 150) * 100 : null,
    smallestOrderMinor: is(0.3) ? whole(10, 30) * 100 : 0,
    leadDays: whole(2, 14),
  }));
  const worth = many(size.parts, () => whole(80, 3000));
  const pairs = new Set<string>();
  while (pairs.size < size.offers) pairs.add(`${whole(0, size.suppliers - 1)} ${whole(0, size.parts - 1)}`);
  const offers = [...pairs].map((pair, i) => {
    const [s, p] = pair.split(" ").map(Number) as [number, number];
    const pack = is(0.2) ? whole(2, 10) : 1;
    const priceMinor = Math.round(worth[p]! * (0.8 + random() * 0.5) * pack * (pack > 1 ? 0.8 : 1));
    const breaks = [{ fromPacks: 1, priceMinor }, ...(is(0.25) ? [{ fromPacks: 5, priceMinor: Math.round(priceMinor * 0.9) }] : [])];
    return { id: `o${i}`, supplierId: `s${s}`, partId: `p${p}`, pack, breaks };
  });
  const sold = [...new Set(offers.map(({ partId }) => partId))];
  const jobs = many(Math.ceil(size.needs * 0.4), (i) => ({ id: `j${i}`, neededInDays: whole(-3, 20), dayLateMinor: whole(200, 1500) }));
  const demands = many(size.needs, (i) => {
    const bin = is(0.2);
    const accepts = new Set([sold[whole(0, sold.length - 1)]!, ...(is(0.2) ? [sold[whole(0, sold.length - 1)]!] : [])]);
    return {
      id: `d${i}`,
      jobId: bin ? null : `j${whole(0, jobs.length - 1)}`,
      quantity: bin ? whole(2, 8) : whole(1, 2),
      accepts: [...accepts].map((partId, k) => ({ partId, extraMinor: k * 200 })),
      leaveMinor: bin ? whole(50, 500) : null,
    };
  });
  const leftOver = sold.map((partId) => ({
    partId,
    unitMinor: Math.min(
      ...offers.filter((one) => one.partId === partId).map(({ breaks, pack }) => Math.min(...breaks.map((one) => one.priceMinor)) / pack),
    ),
    chances: many(6, (k) => 0.9 * 0.7 ** (k + 1)),
  }));
  const slots = [
    { id: "now", inDays: 0 },
    { id: "next", inDays: 3 },
  ];
  return orderProblemSchema.parse({ slots, suppliers, offers, demands, jobs, leftOver });
}
