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
