import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { demo } from '../../test/sheets.ts';
import type { Build } from '../build/build.ts';
import { planAims } from './aims.ts';
import { compared, type ComparedCell, type ComparedRow } from './compared.ts';
import { planContext } from './context.ts';
import { planChosen } from './planBuild.ts';

describe('conversions side by side', () => {
  const mixte = demo('mixte');
  const otherKit: Build = { ...mixte, choice: { ...mixte.choice, kitId: 'wren-m250', packId: 'kettle-36-17' } };
  const names = (b: Build): string => `${b.choice.kitId ?? ''} ${b.choice.packId ?? ''}`;
  const row = (rows: readonly ComparedRow[], id: string): ComparedRow => {
    const found = rows.find((r) => r.id === id);
    if (!found) throw new Error(`no line ${id}`);
    return found;
  };
  const figure = (cell: ComparedCell | undefined): number => {
    const amount = cell?.says?.find((p) => typeof p !== 'string');
    return typeof amount === 'object' ? amount.si : NaN;
  };

  it('are planned each for itself: what a line says is what the plan of that one says', () => {
    const builds = [mixte, demo('trike'), demo('box'), demo('gravel'), demo('lockkeeper')];
    const { sides, rows } = compared(builds, starterShelf);
    expect(sides).to.have.length(5);
    builds.forEach((build, i) => {
      const context = planContext(build, starterShelf);
      const plan = planChosen(context);
      const aims = planAims(context, plan);
      expect(figure(row(rows, 'price').cells[i]), names(build)).to.be.closeTo(aims.price ?? NaN, 0.01);
      expect(figure(row(rows, 'tally-mass').cells[i]), names(build)).to.equal(
        plan.figures.find((f) => f.id === 'mass')?.value?.si,
      );
      expect(sides[i]?.verdict, names(build)).to.equal(plan.verdict);
      expect(row(rows, 'can').cells[i]?.verdict, names(build)).to.equal(plan.verdict);
    });
  });

  it('have a name of its own for each line', () => {
    const ids = compared([mixte], starterShelf).rows.map((r) => r.id);
    expect(new Set(ids).size).to.equal(ids.length);
  });

  it('mark what differs and the best of it; of two that are the same nothing is marked', () => {
    const same = compared([mixte, structuredClone(mixte)], starterShelf);
    expect(same.rows.filter((r) => r.differs)).to.deep.equal([]);
    expect(same.rows.flatMap((r) => r.cells).some((c) => c.best)).to.equal(false);
    expect(same.findings).to.deep.equal([]);

    const { rows, findings } = compared([mixte, otherKit], starterShelf);
    const price = row(rows, 'price');
    expect(price.differs).to.equal(true);
    const [a, b] = price.cells.map(figure) as [number, number];
    expect(a).not.to.equal(b);
    expect(price.cells.map((c) => c.best)).to.deep.equal([a < b, b < a]);
    // The same vehicle, so the line of its kind does not differ.
    expect(row(rows, 'kind').differs).to.equal(false);
    expect(findings).not.to.be.empty;
    for (const f of findings) {
      expect(new Set(f.cells.map((c) => c?.verdict ?? null)).size, f.title).to.equal(2);
      expect(
        f.cells.some((c) => c !== null && c.verdict !== 'fits'),
        f.title,
      ).to.equal(true);
    }
  });

  it('say nothing where nothing is known, and call no best then', () => {
    const nothing: Build = { ...mixte, choice: { ...mixte.choice, kitId: null, packId: null } };
    const { rows, sides } = compared([mixte, nothing], starterShelf);
    expect(sides[1]).to.include({ kit: null, pack: null });
    expect(row(rows, 'range').cells[1]?.says).to.equal(null);
    expect(row(rows, 'range').differs).to.equal(true);
    expect(row(rows, 'range').cells.some((c) => c.best)).to.equal(false);
    // A line on which none has anything to say is left out.
    expect(compared([nothing], starterShelf).rows.some((r) => r.id === 'range')).to.equal(false);
    expect(compared([], starterShelf)).to.deep.equal({ sides: [], rows: [], findings: [] });
  });
});
