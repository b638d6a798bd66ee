/** The part of dijkstrajs that is used: costs by node and neighbour; predecessors on the cheapest ways from one node. */
declare module 'dijkstrajs' {
  type Graph = Record<string, Record<string, number>>;
  const dijkstra: {
    single_source_shortest_paths(graph: Graph, from: string, to?: string): Record<string, string>;
    extract_shortest_path_from_predecessor_list(predecessors: Record<string, string>, to: string): string[];
  };
  export default dijkstra;
}
