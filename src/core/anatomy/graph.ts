/**
 * A shortest cycle among directed edges, as the node ids in order, or null when there is none.
 * Breadth first from every node: O(nodes · edges), which for 300 positions is some ten thousand steps.
 */
export function shortestCycle(nodes: readonly string[], edges: readonly { before: string; after: string }[]): string[] | null {
  const next = new Map<string, string[]>();
  for (const edge of edges) next.set(edge.before, [...(next.get(edge.before) ?? []), edge.after]);
  let best: string[] | null = null;
  for (const start of nodes) {
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
