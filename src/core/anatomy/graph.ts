/** "This one before that one." */
export interface Edge<N> {
  readonly before: N;
  readonly after: N;
}

/**
 * Peels a graph: again and again the first node, in the order given, that waits for no other (Kahn 1962).
 * @returns the nodes in the order they came free, and those that never do because they wait for each other.
 */
export function peel<N>(nodes: readonly N[], edges: readonly Edge<N>[]): { readonly order: N[]; readonly stuck: ReadonlySet<N> } {
  const followers = new Map<N, N[]>();
  const waits = new Map<N, number>(nodes.map((node) => [node, 0]));
  for (const { before, after } of edges) {
    if (!waits.has(before) || !waits.has(after)) continue;
    const list = followers.get(before);
    if (list) list.push(after);
    else followers.set(before, [after]);
    waits.set(after, waits.get(after)! + 1);
  }
  const left = new Set(nodes);
  const order: N[] = [];
  for (;;) {
    // A set keeps the order given, so that what was left out before is looked at again first.
    let free: N | undefined;
    for (const node of left)
      if (waits.get(node) === 0) {
        free = node;
        break;
      }
    if (free === undefined) return { order, stuck: left };
    left.delete(free);
    order.push(free);
    for (const after of followers.get(free) ?? []) waits.set(after, waits.get(after)! - 1);
  }
}

/**
 * A shortest cycle among directed edges, as the node ids in order, or null when there is none.
 * What is free is peeled off first; only what is left is searched, breadth first from every node of it.
 */
export function shortestCycle(nodes: readonly string[], edges: readonly Edge<string>[]): string[] | null {
  const { stuck } = peel(nodes, edges);
  const next = new Map<string, string[]>();
  for (const { before, after } of edges) if (stuck.has(before) && stuck.has(after)) next.set(before, [...(next.get(before) ?? []), after]);
  let best: string[] | null = null;
  for (const start of stuck) {
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
