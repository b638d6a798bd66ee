import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { planChosen, planContext, readBuildFile, starterShelf, usualLead, type Build } from '@sprocket/core';
import { loomGraph, type LoomGraph } from './loomGraph.ts';
import { layLoom, type LaidLoom } from './loomLayout.ts';

const demo = (name: string): Build => {
  const read = readBuildFile(
    readFileSync(new URL(`../../../public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return structuredClone(read.value);
};
const graphOf = (build: Build): LoomGraph => {
  const { all } = planChosen(planContext(build, starterShelf)).wiring;
  if (!all) throw new Error('no kit');
  return loomGraph(all, 'metric');
};
/** A trike with everything on it that a loom can hold. */
const laden = (): Build => {
  const build = demo('trike');
  build.donor.survey.rightLever = { value: 'separate', typed: '', unit: '', provenance: 'measured', note: '' };
  Object.assign(build.wiring.parts, {
    frontLamp: 'beacon-f',
    rearLamp: 'ember-r',
    horn: 'goose-horn',
    display: 'slate-b',
    throttle: 'thumb-left',
  });
  build.wiring.levers.left.part = 'lever-lock';
  for (const [lead, extension] of [
    ['battery', 'extension-bullet-pair-2-500'],
    ['display', 'extension-latch-block-5-300'],
    ['rearLamp', 'extension-round-small-2-800'],
  ] as const)
    build.wiring.leads[lead] = { ...usualLead, way: [], extension };
  return build;
};

interface Rect {
  what: string;
  x: number;
  y: number;
  width: number;
  height: number;
}
const apart = (a: Rect, b: Rect): boolean =>
  a.x + a.width <= b.x + 0.5 ||
  b.x + b.width <= a.x + 0.5 ||
  a.y + a.height <= b.y + 0.5 ||
  b.y + b.height <= a.y + 0.5;

/** What lies over what on a loom sheet; empty where nothing does. */
function overlaps({ boxes, edges, width, height }: LaidLoom): string[] {
  const rects: Rect[] = boxes.map((b) => ({ what: b.box.title, x: b.x, y: b.y, width: b.width, height: b.height }));
  const out: string[] = [];
  const all = rects;
  all.forEach((a, i) => {
    if (a.x < 0 || a.y < 0 || a.x + a.width > width + 0.5 || a.y + a.height > height + 0.5)
      out.push(`${a.what} leaves the sheet`);
    for (const b of all.slice(i + 1)) if (!apart(a, b)) out.push(`${a.what} over ${b.what}`);
  });
  for (const e of edges)
    for (let i = 1; i < e.points.length; i++) {
      const [p, q] = [e.points[i - 1]!, e.points[i]!];
      if (Math.abs(p.x - q.x) > 0.01 && Math.abs(p.y - q.y) > 0.01) out.push(`${e.id} runs askew`);
      const line: Rect = {
        what: e.id,
        x: Math.min(p.x, q.x),
        y: Math.min(p.y, q.y),
        width: Math.abs(p.x - q.x),
        height: Math.abs(p.y - q.y),
      };
      for (const r of rects) {
        const inner = { ...r, x: r.x + 2, y: r.y + 2, width: r.width - 4, height: r.height - 4 };
        if (!apart(line, inner) && line.x < inner.x + inner.width && line.x + line.width > inner.x)
          out.push(`${e.id} through ${r.what}`);
      }
    }
  return out;
}

describe('the loom sheet', () => {
  it('has every lead from its box to its box, by its adapter and extension, and every free socket', () => {
    const graph = graphOf(laden());
    const { all } = planChosen(planContext(laden(), starterShelf)).wiring;
    for (const lead of all?.leads ?? []) {
      // Followed with a finger from one end it comes to the other.
      const mine = graph.edges.filter((e) => e.id === lead.id || e.id.startsWith(`${lead.id}-`));
      let at: string = lead.from;
      for (const e of mine) {
        expect(e.from[0], lead.id).to.equal(at);
        at = e.to[0];
      }
      expect(at, lead.id).to.equal(lead.to);
      expect(
        mine.some((e) => e.to[0] === `${lead.id}-extension`),
        lead.id,
      ).to.equal(Boolean(lead.taken?.extension));
      expect(
        mine.some((e) => e.to[0] === `${lead.id}-adapter`),
        lead.id,
      ).to.equal(lead.joint.is === 'adapter');
    }
    const free = graph.boxes.flatMap((b) => b.ports.filter((p) => p.free));
    expect(free.length).to.equal(all?.sockets.length);
    expect(graph.pins.map((p) => p.title)).to.include('Battery lead');
  });

  for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'])
    it(`lays the ${name}’s out with nothing over anything`, async () => {
      expect(overlaps(await layLoom(graphOf(demo(name))))).to.deep.equal([]);
    });

  it('lays a trike’s with lamps, horn, two levers, adapters and extensions out so, and the same each time', async () => {
    const graph = graphOf(laden());
    const laid = await layLoom(graph);
    expect(overlaps(laid)).to.deep.equal([]);
    expect(laid.boxes.length).to.equal(graph.boxes.length);
    expect(laid.edges.length).to.equal(graph.edges.length);
    expect((await layLoom(graph)).edges).to.deep.equal(laid.edges);
  });
});
