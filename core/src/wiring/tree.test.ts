import { expect } from 'chai';
import fc from 'fast-check';
import { runs } from '../../test/runs.ts';
import { treeFrom, type Neighbour } from './tree.ts';

/** A net of up to nine nodes with its joints' costs; some of it may hang on nothing. */
const anyNet = fc.integer({ min: 1, max: 9 }).chain((count) =>
  fc.record({
    count: fc.constant(count),
    joints: fc.array(
      fc.record({
        a: fc.nat(count - 1),
        b: fc.nat(count - 1),
        // Whole costs among them, so that many ways are as cheap.
        cost: fc.oneof(fc.integer({ min: 1, max: 3 }), fc.double({ min: 0.01, max: 3, noNaN: true })),
      }),
      { maxLength: 20 },
    ),
  }),
);

describe('cheapest ways from one node', () => {
  it('cost what going round until nothing gets cheaper says, and lead back to the node by pieces that cost as much', () => {
    fc.assert(
      fc.property(anyNet, ({ count, joints }) => {
        const neighbours: Neighbour[][] = Array.from({ length: count }, () => []);
        joints.forEach(({ a, b }, piece) => {
          neighbours[a]?.push({ to: b, piece });
          neighbours[b]?.push({ to: a, piece });
        });
        const costs = Float64Array.from(joints, (j) => j.cost);
        const { cost, by } = treeFrom(0, neighbours, costs);
        const least = Array.from({ length: count }, (_, n) => (n === 0 ? 0 : Infinity));
        for (let turn = 0; turn < count; turn++)
          for (const { a, b, cost: c } of joints) {
            least[a] = Math.min(least[a] as number, (least[b] as number) + c);
            least[b] = Math.min(least[b] as number, (least[a] as number) + c);
          }
        expect(by[0]).to.equal(-1);
        for (let n = 0; n < count; n++) {
          if (least[n] === Infinity) {
            expect(cost[n]).to.equal(Infinity);
            expect(by[n]).to.equal(-1);
            continue;
          }
          expect(cost[n]).to.be.closeTo(least[n] as number, 1e-9);
          let sum = 0;
          for (let at = n; at !== 0;) {
            const { a, b, cost: c } = joints[by[at] as number] as (typeof joints)[number];
            sum += c;
            at = a === at ? b : a;
          }
          expect(sum).to.be.closeTo(cost[n] as number, 1e-9);
        }
      }),
      { numRuns: runs(200, 3000) },
    );
  });

  it('of two ways as cheap take that by the first node, in whatever order they are joined', () => {
    // 0 to 3 by 1 or by 2, each way 2: node 1 is gone on from first.
    const ways = [
      [0, 1],
      [0, 2],
      [1, 3],
      [2, 3],
    ] as const;
    for (const order of [
      [0, 1, 2, 3],
      [1, 0, 3, 2],
    ]) {
      const neighbours: Neighbour[][] = [[], [], [], []];
      for (const piece of order) {
        const [a, b] = ways[piece] as readonly [number, number];
        neighbours[a]?.push({ to: b, piece });
        neighbours[b]?.push({ to: a, piece });
      }
      expect(treeFrom(0, neighbours, Float64Array.of(1, 1, 1, 1)).by[3]).to.equal(2);
    }
  });
});
