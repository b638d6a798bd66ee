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
  // What is reached and not yet gone on from: never more than a handful.
  const open: number[] = [node];
  cost[node] = 0;
  while (open.length > 0) {
    let k = 0;
    let least = cost[open[0] as number] as number;
    for (let i = 1; i < open.length; i++) {
      const here = cost[open[i] as number] as number;
      // Of two as cheap the first node, in whatever order they were come to.
      if (here > least || (here === least && (open[i] as number) > (open[k] as number))) continue;
      least = here;
      k = i;
    }
    const next = open[k] as number;
    const last = open.pop() as number;
    if (k < open.length) open[k] = last;
    for (const { to, piece } of neighbours[next] as readonly Neighbour[]) {
      const through = least + (costs[piece] as number);
      if (through >= (cost[to] as number)) continue;
      if (cost[to] === Infinity) open.push(to);
      cost[to] = through;
      by[to] = piece;
    }
  }
  return { cost, by };
}
