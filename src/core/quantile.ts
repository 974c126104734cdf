import { quantile as typeSeven } from "simple-statistics";

/**
 * The value at a share of the way through some values, between neighbours in proportion (Hyndman & Fan 1996, type 7; also R's default).
 * @param share 0 is the least, 0.5 the median, 1 the greatest. @throws Error for no values: the middle of nothing is not asked for.
 * @example quantile([1, 2, 3, 4], 0.5) // 2.5
 */
export const quantile = (values: readonly number[], share: number): number => typeSeven([...values], share);

export const median = (values: readonly number[]): number => quantile(values, 0.5);
