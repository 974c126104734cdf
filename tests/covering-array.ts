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

/**
 * Rows in which every three answers to any three questions stand together at least once; with fewer than three questions, every pair. Each row is the
 * best of some drawn from a triple that is still wanted.
 */
export function coveringTriples(answers: readonly (readonly string[])[]): Row[] {
  if (answers.length < 3) return coveringArray(answers);
  const key = (a: number, b: number, c: number, row: readonly string[]) => `${a} ${row[a]} ${b} ${row[b]} ${c} ${row[c]}`;
  const triples: [number, number, number][] = [];
  for (let a = 0; a < answers.length; a++)
    for (let b = a + 1; b < answers.length; b++) for (let c = b + 1; c < answers.length; c++) triples.push([a, b, c]);
  const wanted = new Map<string, readonly [readonly [number, number, number], readonly [string, string, string]]>();
  for (const at of triples)
    for (const x of answers[at[0]]!)
      for (const y of answers[at[1]]!)
        for (const z of answers[at[2]]!) wanted.set(`${at[0]} ${x} ${at[1]} ${y} ${at[2]} ${z}`, [at, [x, y, z]]);
  const rows: Row[] = [];
  let seed = 1;
  const draw = (n: number) => {
    seed = (seed * 48271) % 2147483647;
    return seed % n;
  };
  while (wanted.size) {
    const [first] = wanted.values();
    const [at, of] = first!;
    let best: { row: string[]; met: number } | null = null;
    for (let tries = 0; tries < 30; tries++) {
      const row = answers.map((choices) => choices[draw(choices.length)]!);
      for (const [i, place] of at.entries()) row[place] = of[i]!;
      const met = triples.reduce((sum, [a, b, c]) => sum + (wanted.has(key(a, b, c, row)) ? 1 : 0), 0);
      if (!best || met > best.met) best = { row, met };
    }
    for (const [a, b, c] of triples) wanted.delete(key(a, b, c, best!.row));
    rows.push(best!.row);
  }
  return rows;
}
