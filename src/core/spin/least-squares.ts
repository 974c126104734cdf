export interface LinearFit {
  readonly coefficients: readonly number[];
  /** Standard errors, in the same order; infinite where no freedom is left. */
  readonly errors: readonly number[];
  readonly residualSd: number;
  readonly freedom: number;
}

/**
 * Ordinary least squares by Householder reflections (QR), columns scaled first. @param rows one row of regressors a reading.
 * @throws RangeError with fewer readings than coefficients, or regressors that say the same.
 */
export function leastSquares(rows: readonly (readonly number[])[], y: readonly number[]): LinearFit {
  const [n, p] = [rows.length, rows[0]?.length ?? 0];
  if (n < p || p === 0) throw new RangeError(`leastSquares: ${n} readings for ${p} coefficients`);
  const scale = Array.from({ length: p }, (_, j) => rows.reduce((most, row) => Math.max(most, Math.abs(row[j]!)), 1e-300));
  const a = rows.map((row) => row.map((value, j) => value / scale[j]!));
  const b = [...y];
  for (let k = 0; k < p; k++) {
    let square = 0;
    for (let i = k; i < n; i++) square += a[i]![k]! ** 2;
    const norm = Math.sqrt(square);
    if (norm < 1e-12) throw new RangeError("leastSquares: two regressors say the same");
    const alpha = a[k]![k]! > 0 ? -norm : norm;
    const v = a.slice(k).map((row) => row[k]!);
    v[0] = v[0]! - alpha;
    const vv = v.reduce((sum, value) => sum + value * value, 0);
    for (let j = k; j < p; j++) {
      const dot = (2 / vv) * v.reduce((sum, value, i) => sum + value * a[k + i]![j]!, 0);
      for (let i = 0; i < v.length; i++) a[k + i]![j]! -= dot * v[i]!;
    }
    const dot = (2 / vv) * v.reduce((sum, value, i) => sum + value * b[k + i]!, 0);
    for (let i = 0; i < v.length; i++) b[k + i]! -= dot * v[i]!;
  }
  const solve = (rhs: readonly number[]): number[] => {
    const x = Array<number>(p).fill(0);
    for (let k = p - 1; k >= 0; k--) {
      let sum = rhs[k]!;
      for (let j = k + 1; j < p; j++) sum -= a[k]![j]! * x[j]!;
      x[k] = sum / a[k]![k]!;
    }
    return x;
  };
  const coefficients = solve(b).map((value, j) => value / scale[j]!);
  const freedom = n - p;
  const rss = b.slice(p).reduce((sum, value) => sum + value * value, 0);
  // No number where no freedom is left: nothing over nothing.
  const residualSd = Math.sqrt(rss / freedom);
  // The inverse of R gives the covariance: its rows' lengths are the errors.
  const inverse = Array.from({ length: p }, (_, j) => solve(Array.from({ length: p }, (_row, i) => (i === j ? 1 : 0))));
  const errors = coefficients.map((_, i) =>
    freedom > 0 ? (residualSd * Math.hypot(...inverse.map((column) => column[i]!))) / scale[i]! : Number.POSITIVE_INFINITY,
  );
  return { coefficients, errors, residualSd, freedom };
}
