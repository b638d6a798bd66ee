/** What a node of the net is joined to, and by which piece. */
export interface Neighbour {
  to: number;
  piece: number;
}

/** Costs from one node, and the piece by which each node is come to; -1 at the first. */
export interface Tree {
  cost: Float64Array;
  by: Int32Array;
}

/** Cheapest costs from one node to all others, and the piece by which each is come to: Dijkstra's, over some sixty nodes. */
export function treeFrom(node: number, neighbours: readonly (readonly Neighbour[])[], costs: Float64Array): Tree {
  const count = neighbours.length;
  const cost = new Float64Array(count).fill(Infinity);
  const by = new Int32Array(count).fill(-1);
  // What is reached and not yet gone on from, at its cost; all else infinite.
  const open = new Float64Array(count).fill(Infinity);
  cost[node] = 0;
  open[node] = 0;
  for (;;) {
    let next = -1;
    let least = Infinity;
    for (let n = 0; n < count; n++) {
      const here = open[n] as number;
      if (here < least) {
        least = here;
        next = n;
      }
    }
    if (next < 0) break;
    open[next] = Infinity;
    for (const { to, piece } of neighbours[next] as readonly Neighbour[]) {
      const through = least + (costs[piece] as number);
      if (through < (cost[to] as number)) {
        cost[to] = through;
        open[to] = through;
        by[to] = piece;
      }
    }
  }
  return { cost, by };
}
