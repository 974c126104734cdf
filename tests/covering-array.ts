/** One choice of each question. */
export type Row = readonly string[];

/**
 * Rows in which every pair of answers to any two questions stands together at least once: each row starts from a pair that is still wanted and
 * takes, question by question, the answer that meets most of those left. @param answers of each question, one at least
 */
export function coveringArray(answers: readonly (readonly string[])[]): Row[] {
  const key = (a: number, x: string, b: number, y: string) => (a < b ? `${a} ${x} ${b} ${y}` : `${b} ${y} ${a} ${x}`);
  const wanted = new Map<string, readonly [number, string, number, string]>();
  for (const [a, of] of answers.entries())
    for (const [b, more] of answers.entries())
      if (a < b) for (const x of of) for (const y of more) wanted.set(key(a, x, b, y), [a, x, b, y]);
  const rows: Row[] = [];
  while (wanted.size || !rows.length) {
    const row: (string | undefined)[] = answers.map(() => undefined);
    const [first] = wanted.values();
    if (first) [row[first[0]], row[first[2]]] = [first[1], first[3]];
    for (const [a, of] of answers.entries()) {
      if (row[a] !== undefined) continue;
      const met = (x: string) => row.filter((y, b) => y !== undefined && wanted.has(key(a, x, b, y))).length;
      row[a] = [...of].sort((x, y) => met(y) - met(x))[0]!;
    }
    const whole = row as string[];
    for (const [a, x] of whole.entries()) for (const [b, y] of whole.entries()) if (a < b) wanted.delete(key(a, x, b, y));
    rows.push(whole);
  }
  return rows;
}
