import { inverse as inverseOf, Matrix, QrDecomposition } from "ml-matrix";

export interface LinearFit {
  readonly coefficients: readonly number[];
  /** Standard errors, in the same order; infinite where no freedom is left. */
  readonly errors: readonly number[];
  readonly residualSd: number;
  readonly freedom: number;
  /** Natural logarithm of the determinant of the regressors' cross products: what a likelihood of the remainders wants. */
  readonly logDeterminant: number;
}

/**
 * Ordinary least squares by QR decomposition (ml-matrix: Householder reflections), columns scaled first. @param rows one row of regressors a reading.
 * @throws RangeError with fewer readings than coefficients, or regressors that say the same.
 */
export function leastSquares(rows: readonly (readonly number[])[], y: readonly number[]): LinearFit {
  const [n, p] = [rows.length, rows[0]?.length ?? 0];
  if (n < p || p === 0) throw new RangeError(`leastSquares: ${n} readings for ${p} coefficients`);
  const scale = Array.from({ length: p }, (_, j) => rows.reduce((most, row) => Math.max(most, Math.abs(row[j]!)), 1e-300));
  const scaled = new Matrix(rows.map((row) => row.map((value, j) => value / scale[j]!)));
  const qr = new QrDecomposition(scaled);
  const triangle = qr.upperTriangularMatrix;
  if (triangle.diagonal().some((value) => !(Math.abs(value) >= 1e-12))) throw new RangeError("leastSquares: two regressors say the same");
  const target = Matrix.columnVector([...y]);
  const solved = qr.solve(target);
  const coefficients = solved.to1DArray().map((value, j) => value / scale[j]!);
  const freedom = n - p;
  const rss = Matrix.sub(scaled.mmul(solved), target).norm() ** 2;
  // No number where no freedom is left: nothing over nothing.
  const residualSd = Math.sqrt(freedom ? rss / freedom : Number.NaN);
  // The inverse of R gives the covariance: its rows' lengths are the errors.
  const inverse = inverseOf(triangle);
  const errors = coefficients.map((_, i) =>
    freedom > 0 ? (residualSd * Math.hypot(...inverse.getRow(i))) / scale[i]! : Number.POSITIVE_INFINITY,
  );
  const logDeterminant = 2 * scale.reduce((sum, s, k) => sum + Math.log(Math.abs(triangle.get(k, k)) * s), 0);
  return { coefficients, errors, residualSd, freedom, logDeterminant };
}

function leastSquaresOrNone(rows: readonly (readonly number[])[], y: readonly number[]): LinearFit | null {
  try {
    return leastSquares(rows, y);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

export interface LinearFitWithin extends LinearFit {
  /** How far along each group's own direction it lies, by group. */
  readonly offsets: readonly number[];
}

/**
 * Least squares where each group of readings lies off by something of its own, as the pulses of one mark do: what the groups can explain is taken
 * out of everything first (Frisch and Waugh 1933, Lovell 1963), so that many of them cost no more than one.
 * @param groups group of each reading, 0 to one less than there are. @param along how its group's offset shows in each reading.
 * @returns null where two regressors, or one and the offsets, say the same.
 */
export function leastSquaresWithin(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  groups: readonly number[],
  along: readonly number[],
): LinearFitWithin | null {
  const p = rows[0]?.length ?? 0;
  const squares = Array<number>(Math.max(...groups) + 1).fill(0);
  const sums = squares.map(() => new Float64Array(p + 1));
  for (const [i, group] of groups.entries()) {
    squares[group]! += along[i]! ** 2;
    for (let j = 0; j <= p; j++) sums[group]![j]! += along[i]! * (j < p ? rows[i]![j]! : y[i]!);
  }
  const share = (group: number, j: number) => (squares[group]! ? sums[group]![j]! / squares[group]! : 0);
  const fit = leastSquaresOrNone(
    rows.map((row, i) => row.map((x, j) => x - along[i]! * share(groups[i]!, j))),
    y.map((x, i) => x - along[i]! * share(groups[i]!, p)),
  );
  if (!fit) return null;
  const positive = squares.filter((square) => square > 0);
  const freedom = fit.freedom - positive.length;
  const wider = freedom > 0 ? Math.sqrt(fit.freedom / freedom) : Number.POSITIVE_INFINITY;
  return {
    coefficients: fit.coefficients,
    errors: fit.errors.map((error) => error * wider),
    residualSd: fit.residualSd * wider,
    freedom,
    logDeterminant: fit.logDeterminant + positive.reduce((sum, square) => sum + Math.log(square), 0),
    offsets: squares.map((_, group) => share(group, p) - fit.coefficients.reduce((sum, x, j) => sum + x * share(group, j), 0)),
  };
}
