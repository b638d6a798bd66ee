import { Button } from '@mantine/core';
import type { Wiring } from '@sprocket/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useBuild, useUnits } from '../../store/store.ts';
import { dashesOf, leadMark } from '../../drawing/LeadLayer.tsx';
import { saveSvg } from '../../drawing/saveDrawing.ts';
import { loomGraph, type LoomGraph } from './loomGraph.ts';
import { LOOM, layLoom, type LaidBox, type LaidLoom } from './loomLayout.ts';

/** Boxes, sockets, leads and plugs as a diagram to follow with a finger; pin by pin where it matters. */
export function LoomSheet({ wiring }: { wiring: Wiring }) {
  const { name } = useBuild();
  const units = useUnits();
  const graph = useMemo(() => loomGraph(wiring, units), [wiring, units]);
  const [laid, setLaid] = useState<{ of: LoomGraph; loom: LaidLoom } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [lit, setLit] = useState<number | null>(null);
  const sheet = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let wanted = true;
    layLoom(graph)
      .then((loom) => {
        if (wanted) setLaid({ of: graph, loom });
      })
      .catch((error: unknown) => {
        if (wanted) setTrouble(String(error));
      });
    return () => {
      wanted = false;
    };
  }, [graph]);
  const file = `${name} loom`.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <section aria-labelledby="loom-sheet" className="loom-sheet">
      <div className="section-head">
        <h2 id="loom-sheet">Loom sheet</h2>
        <div className="table-tools">
          <Button
            size="compact-sm"
            variant="default"
            disabled={!laid}
            onClick={() => {
              const svg = sheet.current?.querySelector('svg');
              if (svg) saveSvg(svg, file);
            }}
          >
            SVG
          </Button>
          <Button size="compact-sm" variant="default" disabled={!laid} onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </div>
      {trouble ? (
        <p role="alert" className="drawing-problem">
          The sheet could not be laid out: {trouble}
        </p>
      ) : null}
      <div
        className="loom-scroll"
        ref={sheet}
        tabIndex={0}
        role="region"
        aria-label="Loom, scrolls sideways"
        aria-busy={laid?.of !== graph}
      >
        {laid ? (
          <LoomDrawing graph={laid.of} loom={laid.loom} lit={lit} onLit={setLit} />
        ) : (
          <p className="quiet">Laying the loom out…</p>
        )}
      </div>
      {graph.pins.length > 0 ? (
        <div className="pins">
          {graph.pins.map((t) => (
            <table key={t.title} className="gears pin-table">
              <caption>
                {t.title}
                <span className="quiet">
                  {' '}
                  {t.left} — {t.right}
                </span>
              </caption>
              <thead>
                <tr>
                  <th scope="col">Pin</th>
                  <th scope="col">For</th>
                  <th scope="col">Core</th>
                </tr>
              </thead>
              <tbody>
                {t.pins.map((p) => (
                  <tr key={p.number}>
                    <td className="num">{p.number}</td>
                    <td>{p.what}</td>
                    <td>{p.colour}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ))}
        </div>
      ) : null}
      <p className="quiet">
        Colours are by the maker’s data: what a core is for decides, and a meter says. Where plugs are all unlike there
        is no wrong way; where two are alike, label them before they are tied in.
      </p>
    </section>
  );
}

function LoomDrawing({
  graph,
  loom,
  lit,
  onLit,
}: {
  graph: LoomGraph;
  loom: LaidLoom;
  lit: number | null;
  onLit: (number: number | null) => void;
}) {
  return (
    <svg
      viewBox={`0 0 ${loom.width} ${loom.height}`}
      width={loom.width}
      height={loom.height}
      className="loom"
      // Never so small that it cannot be read: a wide one scrolls.
      style={{ minWidth: loom.width * 0.86 }}
      role="group"
      aria-label="Loom diagram"
    >
      {loom.edges.map((e) => {
        const edge = graph.edges.find((g) => g.id === e.id);
        if (!edge || e.points.length === 0) return null;
        const { hue, dash } = leadMark(edge.colour);
        const d = e.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('');
        const off = lit !== null && lit !== edge.number;
        return (
          <g
            key={e.id}
            className={`wire hue-${hue}${off ? ' wire-dim' : ''}${lit === edge.number ? ' wire-lit' : ''}`}
            onPointerEnter={() => onLit(edge.number)}
            onPointerLeave={() => onLit(null)}
          >
            <path d={d} className="wire-catch" strokeWidth={12} />
            <path d={d} className="wire-edge" strokeWidth={5} />
            <path d={d} className="wire-core" strokeWidth={2.6} strokeDasharray={dashesOf(dash, 2.6)} />
          </g>
        );
      })}
      {loom.boxes.map((b) => (
        <LoomBoxDrawing key={b.box.id} laid={b} />
      ))}
    </svg>
  );
}

function LoomBoxDrawing({ laid: { box, x, y, width, height, ports } }: { laid: LaidBox }) {
  const small = box.kind !== 'box';
  return (
    <g transform={`translate(${x} ${y})`} className={`loom-box loom-${box.kind}`}>
      <rect width={width} height={height} rx={4} strokeWidth={1.8} />
      <text
        x={small ? width / 2 : LOOM.pad}
        y={small ? 19 : 20}
        fontSize={small ? 12.5 : LOOM.title}
        textAnchor={small ? 'middle' : 'start'}
        className="loom-title"
      >
        {box.title}
      </text>
      {box.note === ''
        ? null
        : box.note.split('\n').map((line, i) => (
            <text
              key={line}
              x={small ? width / 2 : LOOM.pad}
              y={34 + i * 15}
              fontSize={LOOM.text}
              textAnchor={small ? 'middle' : 'start'}
              className="loom-note"
            >
              {line}
            </text>
          ))}
      {small
        ? null
        : box.ports.map((p, i) => {
            const at = ports.get(p.id);
            const right = p.free || (at !== undefined && at.x - x > width / 2);
            const cy = LOOM.headed + i * LOOM.row + LOOM.row / 2;
            const cx = right ? width : 0;
            return (
              <g key={p.id} className={p.free ? 'loom-port loom-free' : 'loom-port'}>
                {p.plug ? (
                  <rect
                    x={cx - 5}
                    y={cy - 5}
                    width={10}
                    height={10}
                    rx={p.plug.sex === 'pins' ? 0 : 5}
                    strokeWidth={1.5}
                  />
                ) : (
                  <circle cx={cx} cy={cy} r={3.4} strokeWidth={1.4} />
                )}
                {p.number === null ? null : (
                  <g className={`wire hue-${leadMark(p.number - 1).hue}`}>
                    <circle cx={14} cy={cy} r={7.5} className="wire-tag" strokeWidth={1.2} />
                    <text x={14} y={cy + 3.8} fontSize={10.5} textAnchor="middle" className="loom-number">
                      {p.number}
                    </text>
                  </g>
                )}
                {p.text === '' ? null : (
                  <text
                    x={right ? width - 10 : p.number === null ? 10 : 25}
                    y={cy + 4}
                    fontSize={LOOM.text}
                    textAnchor={right ? 'end' : 'start'}
                    className="loom-note"
                  >
                    {p.text}
                  </text>
                )}
              </g>
            );
          })}
    </g>
  );
}
