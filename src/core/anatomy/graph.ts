/**
 * A shortest cycle among directed edges, as the node ids in order, or null when there is none.
 * What is free is peeled off first (Kahn 1962), so that an order without a cycle costs one pass over its edges; only what is left is searched,
 * breadth first from every node of it.
 */
export function shortestCycle(nodes: readonly string[], edges: readonly { before: string; after: string }[]): string[] | null {
  const next = new Map<string, string[]>();
  const waits = new Map<string, number>(nodes.map((node) => [node, 0]));
  for (const { before, after } of edges) {
    const followers = next.get(before);
    if (followers) followers.push(after);
    else next.set(before, [after]);
    waits.set(after, (waits.get(after) ?? 0) + 1);
  }
  const free = [...waits].flatMap(([node, count]) => (count === 0 ? [node] : []));
  for (let at = 0; at < free.length; at++)
    for (const after of next.get(free[at]!) ?? []) {
      const left = waits.get(after)! - 1;
      waits.set(after, left);
      if (left === 0) free.push(after);
    }
  const peeled = new Set(free);
  let best: string[] | null = null;
  for (const start of nodes.filter((node) => !peeled.has(node))) {
    const from = new Map<string, string>();
    const queue = [start];
    search: for (let at = 0; at < queue.length; at++) {
      const node = queue[at]!;
      for (const to of next.get(node) ?? []) {
        if (to === start) {
          const path = [node];
          for (let back = node; back !== start; ) {
            back = from.get(back)!;
            path.unshift(back);
          }
          if (!best || path.length < best.length) best = path;
          break search;
        }
        if (!from.has(to)) {
          from.set(to, node);
          queue.push(to);
        }
      }
    }
  }
  return best;
}
