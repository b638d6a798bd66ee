import type { ElkExtendedEdge, ElkNode } from 'elkjs/lib/elk-api.js';
import type { LoomBox, LoomGraph } from './loomGraph.ts';

/** Sizes of the sheet's lettering and boxes, units of the drawing. */
export const LOOM = { title: 15, text: 11.5, row: 20, pad: 10, headed: 40, letter: 6.1 } as const;

/** How wide a box must be for its words, and how high for its ports. */
export function boxSize(box: LoomBox): { width: number; height: number } {
  const notes = box.note.split('\n');
  const words = [
    box.title.length * 8.2,
    ...notes.map((n) => n.length * LOOM.letter),
    ...box.ports.map((p) => p.text.length * LOOM.letter + (p.number === null ? 14 : 30)),
  ];
  const small = box.kind !== 'box';
  return {
    width: Math.max(small ? 84 : 92, Math.max(...words) + 2 * LOOM.pad),
    height: small ? 30 + notes.length * 15 : LOOM.headed + Math.max(1, box.ports.length) * LOOM.row,
  };
}

export interface LaidBox {
  box: LoomBox;
  x: number;
  y: number;
  width: number;
  height: number;
  ports: Map<string, { x: number; y: number }>;
}

export interface LaidEdge {
  id: string;
  points: { x: number; y: number }[];
}

export interface LaidLoom {
  width: number;
  height: number;
  boxes: LaidBox[];
  edges: LaidEdge[];
}

/**
 * Lays a loom out in layers from the battery to the bar, leads at right angles, nothing over anything. The layout library
 * loads when the sheet is first opened. The same graph is laid out the same.
 */
export async function layLoom(graph: LoomGraph): Promise<LaidLoom> {
  const { default: Elk } = await import('elkjs/lib/elk.bundled.js');
  const outgoing = new Set(graph.edges.map((e) => e.from[1]));
  const children: ElkNode[] = graph.boxes.map((box) => {
    const { width, height } = boxSize(box);
    const small = box.kind !== 'box';
    return {
      id: box.id,
      width,
      height,
      layoutOptions: { 'elk.portConstraints': 'FIXED_POS' },
      ports: box.ports
        .map((p, i) => {
          const out = outgoing.has(p.id);
          return {
            id: p.id,
            width: 1,
            height: 1,
            x: out || p.free ? width : 0,
            y: small ? height / 2 : LOOM.headed + i * LOOM.row + LOOM.row / 2,
            free: p.free,
          };
        })
        .filter((p) => !p.free)
        .map(({ free: _, ...p }) => p),
    };
  });
  const edges: ElkExtendedEdge[] = graph.edges.map((e) => ({
    id: e.id,
    sources: [e.from[1]],
    targets: [e.to[1]],
  }));
  const whole: ElkNode = {
    id: 'loom',
    children,
    edges,
    layoutOptions: {
      'elk.algorithm': 'layered',
      'elk.direction': 'RIGHT',
      'elk.edgeRouting': 'ORTHOGONAL',
      'elk.layered.spacing.nodeNodeBetweenLayers': '44',
      'elk.spacing.nodeNode': '26',
      'elk.spacing.edgeNode': '16',
      'elk.spacing.edgeEdge': '13',
      'elk.layered.spacing.edgeNodeBetweenLayers': '11',
      'elk.layered.spacing.edgeEdgeBetweenLayers': '13',
      'elk.randomSeed': '7',
      'elk.padding': '[top=14,left=14,bottom=14,right=14]',
    },
  };
  const laid: ElkNode = await new Elk().layout(whole);
  return {
    width: laid.width ?? 0,
    height: laid.height ?? 0,
    boxes: graph.boxes.flatMap((box) => {
      const node = laid.children?.find((c) => c.id === box.id);
      if (!node) return [];
      const { x = 0, y = 0, width = 0, height = 0 } = node;
      return [
        {
          box,
          x,
          y,
          width,
          height,
          ports: new Map((node.ports ?? []).map((p) => [p.id, { x: x + (p.x ?? 0), y: y + (p.y ?? 0) }])),
        },
      ];
    }),
    edges: (laid.edges ?? []).map((e) => {
      const section = e.sections?.[0];
      return {
        id: e.id,
        points: section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : [],
      };
    }),
  };
}
