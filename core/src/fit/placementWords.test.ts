import { expect } from 'chai';
import { contextOf, measure, world } from '../../test/world.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { partById } from '../parts/part.ts';
import type { Missing } from '../layout/frameRoom.ts';
import { chosenPlacement, type PackPlacement } from '../layout/packPlacement.ts';
import type { PlacementReason } from '../layout/packStanding.ts';
import type { PackPlace } from '../parts/pack.ts';
import { phraseText } from '../quantity/format.ts';
import type { Verdict } from '../verdict.ts';
import type { Finding } from './finding.ts';
import { placementFinding } from './rules/packPlace.ts';

const w = world({ edit: (x) => measure(x, 'rackLimit', 25) });
const context = contextOf(w);
const real = chosenPlacement(context, w.pack);
if (!real.lies) throw new Error('the city bike has room for its pack');
const lies = real.lies;

/** The finding of the city bike's pack, were it to lie or stand otherwise. */
function told(
  reason: PlacementReason,
  verdict: Verdict,
  of: Partial<PackPlacement> & { gap?: number; when?: 'at rest' | 'coming off its rail' } = {},
): Finding {
  const { gap, when, ...rest } = of;
  const tightest = { ...lies.tightest, name: 'the shock', when: when ?? 'at rest' } as typeof lies.tightest;
  return placementFinding(context, {
    ...real,
    place: 'downTube',
    verdict,
    reason,
    bandM: 0.002,
    worst: null,
    lies: { ...lies, clearanceM: gap ?? 0.012, tightest },
    ...rest,
  });
}
/** With plain spaces between number and unit. */
const plain = (words: Finding['why']): string => phraseText(words, 'metric').replaceAll('\u00a0', ' ');
const why = (f: Finding): string => plain(f.why);
const remedies = (f: Finding): string[] => f.remedies.map((r) => `${r.does} ${r.id}: ${plain(r.text)}`);
const takes = (f: Finding): string[] => f.remedies.flatMap((r) => r.takes.map((t) => `${t.part} at ${t.place}`));
const evidence = (f: Finding): string[] => f.evidence.map((e) => e.label);

describe('a placement in words', () => {
  it('that does not go: by how much, to what, and what would let it in', () => {
    const f = told({ kind: 'collides' }, 'stop', { gap: -0.014 });
    expect([f.verdict, f.title]).to.deep.equal(['stop', 'Too big on the down tube']);
    expect(why(f)).to.equal('On the down tube it runs into the shock by 14 mm, give or take 2 mm.');
    expect(why(told({ kind: 'collides' }, 'stop', { gap: -0.014, when: 'coming off its rail' }))).to.match(
      /by 14 mm, coming off its rail, give or take/,
    );
    expect(f.remedies).to.deep.equal([]);
    const missing = (m: Partial<Missing>): string[] =>
      remedies(
        told({ kind: 'collides' }, 'stop', {
          gap: -0.014,
          missing: { shorterM: null, flatterM: null, without: [], clamped: false, ...m },
        }),
      );
    expect(missing({ shorterM: 0.022 })).to.deep.equal([
      'choose shorter: 22 mm too long: a pack that much shorter would go.',
    ]);
    expect(missing({ flatterM: 0.008 })).to.deep.equal(['choose flatter: A pack 8 mm flatter would go.']);
    expect(missing({ without: ['the bottle cage', 'the pump'] })).to.deep.equal([
      'work without-0: It would go with the bottle cage taken off.',
      'work without-1: It would go with the pump taken off.',
    ]);
    expect(missing({ clamped: true })).to.deep.equal([
      'buy clamped: It would go clamped round the tube instead of bolted to the bosses.',
    ]);
    expect(missing({})).to.deep.equal([
      'choose other-place: No pack of this form goes there; choose another place for it.',
    ]);
  });

  it('that is only tight is rework: rail, file, card, and what is wanted', () => {
    const f = told({ kind: 'tight' }, 'rework', { gap: 0.003 });
    expect([f.verdict, f.title]).to.deep.equal(['rework', '3 mm to the shock']);
    expect(why(f)).to.match(/is 3 mm to the shock, give or take 2 mm; 5 mm is wanted/);
    expect(f.remedies.map((r) => [r.does, r.id, r.work])).to.deep.equal([
      ['buy', 'pack-rail', 40],
      ['work', 'file-foot', 40],
      ['measure', 'card', 0],
    ]);
    expect(takes(f)).to.deep.equal(['rail-packing at pack']);
    expect(f.remedies[1]?.tools).to.deep.equal(['flat-file']);
  });

  it('within the error is to be measured, naming what most of the error comes from', () => {
    const f = told({ kind: 'withinError', ask: ['downSide'] }, 'measure', { gap: 0.006, worst: 'downSide' });
    expect([f.verdict, f.title]).to.deep.equal(['measure', '6 mm to the shock, within the error']);
    expect(why(f)).to.match(/only good to 2 mm, most of it from “.*down/i);
    expect(f.remedies.map((r) => r.item ?? r.id)).to.deep.equal(['downSide', 'card']);
    expect(why(told({ kind: 'withinError', ask: [] }, 'measure', { gap: 0.006 }))).not.to.match(/most of it/);
    expect(evidence(f)).to.include('Tightest gap, to the shock');
    expect(f.evidence.length).to.equal(told({ kind: 'withinError', ask: [] }, 'measure').evidence.length + 1);
  });

  it('of what was not measured is open, and asks for just that', () => {
    const all = told({ kind: 'insideUnmeasured', all: true, ask: ['seatSide', 'topSide'] }, 'measure');
    const some = told({ kind: 'insideUnmeasured', all: false, ask: ['seatSide'] }, 'measure');
    expect(all.title).to.equal('Inside of the frame not measured');
    expect(some.title).to.equal('Inside of the frame not all measured');
    expect(all.remedies.map((r) => r.item)).to.deep.equal(['seatSide', 'topSide']);
    expect(why(all)).to.match(/^With what is known so far .* would be 12 mm to the shock, give or take 2 mm\.$/);
    const round = told({ kind: 'aroundUnmeasured', ask: ['wheelbase'] }, 'measure');
    expect([round.verdict, round.title]).to.deep.equal(['measure', 'Sizes round it not measured']);
    const line = told({ kind: 'lineNotTaken', ask: ['tubeSag'] }, 'measure');
    expect(line.remedies.map((r) => r.item ?? r.id)).to.deep.equal(['trace', 'tubeSag']);
    const wide = told({ kind: 'widthUnmeasured', beside: 'the knees', usualM: 0.15, item: 'kneeWidth' }, 'measure');
    expect(wide.title).to.equal('Room beside the knees not measured');
    expect(why(wide)).to.match(/commonly 150 mm is left/);
    expect(wide.remedies.map((r) => r.item)).to.deep.equal(['kneeWidth']);
    for (const f of [all, some, round, line, wide]) expect(f.verdict).to.equal('measure');
  });

  it('that fits says the gap, how it is held, and that it comes off', () => {
    const f = told({ kind: 'sits' }, 'fits');
    expect([f.verdict, f.title]).to.deep.equal(['fits', 'Sits on the down tube']);
    expect(why(f)).to.match(
      /^12 mm to the shock at the tightest, give or take 2 mm; (bolted|clamped).*\. It comes \d+ mm off its rail with room\.$/,
    );
    expect(evidence(f)).to.include('Way off its rail');
    expect(told({ kind: 'bracketed' }, 'fits').title).to.equal('Sits on the down tube');
    expect(why(told({ kind: 'bracketed' }, 'fits'))).to.match(/^Held by a bracket of flat stock/);
    expect(why(told({ kind: 'boxed' }, 'fits'))).to.match(/^On the floor: strapped/);
    expect(why(told({ kind: 'slung' }, 'fits'))).to.match(/^It takes spray and stones/);
  });

  it('a pack that leaves sideways says nothing of a way off its rail', () => {
    const side = world({
      edit: (x) => {
        x.pack.leaves = 'sideways';
      },
    });
    const c = contextOf(side);
    const f = placementFinding(c, { ...real, verdict: 'fits', reason: { kind: 'sits' }, lies });
    expect(why(f)).not.to.match(/off its rail/);
  });

  it('in reworked places says what it costs', () => {
    const cases: [PlacementReason, RegExp, string[]][] = [
      [{ kind: 'hollow', hollowM: 0.007 }, /falls away by 7 mm; 12 mm to the shock/, ['rail-blocks at pack']],
      [{ kind: 'onSteering' }, /over the front wheel swings with the bar/, ['front-carrier at front carrier']],
      [{ kind: 'onRails' }, /bends them and swings; 2 kg/, ['seat-bracket at seat']],
      [{ kind: 'trailed' }, /part before it pulls/, ['trailer-lead at pack']],
    ];
    for (const [reason, text, parts] of cases) {
      const f = told(reason, 'rework');
      expect(f.verdict, reason.kind).to.equal('rework');
      expect(why(f), reason.kind).to.match(text);
      expect(takes(f), reason.kind).to.deep.equal(parts);
      for (const r of f.remedies)
        for (const t of r.takes) expect(partById(starterShelf, t.part), t.part).not.to.equal(undefined);
    }
  });
});

describe('what bears a pack, in words', () => {
  const bearing = (
    item: 'rackLimit' | 'basketLimit',
    state: 'unread' | 'over' | 'unproven' | 'bears',
    loadKg = 12.2,
  ): Finding =>
    told({ kind: 'bearing', item, loadKg, state }, state === 'over' ? 'stop' : state === 'bears' ? 'fits' : 'measure', {
      place: item === 'rackLimit' ? 'rack' : 'basket',
    });

  it('not read: asks for the stamp, or one stamped for five kilograms up', () => {
    const f = bearing('rackLimit', 'unread');
    expect([f.verdict, f.title]).to.deep.equal(['measure', 'Rack limit not known']);
    expect(remedies(f).at(-1)).to.match(/add one stamped for 15 kg or more/);
    expect(takes(f)).to.deep.equal(['rear-rack at rack']);
    expect(remedies(bearing('rackLimit', 'unread', 15)).at(-1)).to.match(/stamped for 15 kg/);
    expect(remedies(bearing('rackLimit', 'unread', 15.1)).at(-1)).to.match(/stamped for 20 kg/);
    const front = bearing('basketLimit', 'unread');
    expect(front.title).to.equal('Front carrier limit not known');
    expect(takes(front)).to.deep.equal(['front-carrier at front carrier']);
  });

  it('over: by how much, and the ways out', () => {
    const f = bearing('rackLimit', 'over', 28.5);
    expect([f.verdict, f.title]).to.deep.equal(['stop', 'Over the rack’s limit']);
    expect(why(f)).to.equal('Pack and bags come to 28.5 kg; the rack bears 25.0 kg.');
    expect(remedies(f)).to.deep.equal([
      'buy stronger: Fit a stronger one.',
      'choose less-on-it: Carry 3.5 kg less on it.',
    ]);
  });

  it('unproven: read the stamp; bears: a rack says where it sits', () => {
    const open = bearing('rackLimit', 'unproven');
    expect([open.verdict, open.remedies.map((r) => r.item)]).to.deep.equal(['measure', ['rackLimit']]);
    expect(why(bearing('rackLimit', 'bears'))).to.match(/^12\.2 kg of pack and bags\. It sits high and behind/);
    const basket = bearing('basketLimit', 'bears');
    expect(basket.title).to.match(/^Sits /);
    expect(why(basket)).not.to.match(/livelier tail/);
    expect(evidence(open)).to.include.members(['Pack', 'Load on it in all']);
  });
});

describe('a place that is not there', () => {
  const none = (place: PackPlace, verdict: Verdict, enclosed = true): Finding =>
    placementFinding(context, { ...real, place, verdict, reason: { kind: 'noPlace', enclosed }, lies: null });

  it('says why by its kind, and where else', () => {
    const said: [PackPlace, RegExp][] = [
      ['topTube', /no enclosed triangle/],
      ['basket', /no carrier in front/],
      ['box', /the donor has none/],
      ['trailer', /no trailer/],
      ['seatBack', /no back to carry/],
      ['seatTube', /no tube of that kind/],
    ];
    for (const [place, text] of said) expect(why(none(place, 'stop')), place).to.match(text);
    expect(remedies(none('topTube', 'stop', true))).to.deep.equal([
      'choose other-place: Choose a pack for the frame or the rack.',
    ]);
    expect(remedies(none('topTube', 'stop', false))).to.deep.equal([
      'choose other-place: Choose a pack for the rear rack, the seat tube or a box.',
    ]);
  });

  it('stops, or is open where somebody may yet find it', () => {
    expect(none('topTube', 'stop').verdict).to.equal('stop');
    expect(none('basket', 'measure')).to.include({ verdict: 'measure', title: 'Carrier in front not looked at' });
    expect(remedies(none('basket', 'measure'))[0]).to.match(/^measure .*[Cc]arrier in front/);
    expect(takes(none('basket', 'stop'))).to.deep.equal(['front-carrier at front carrier']);
    expect(evidence(none('topTube', 'stop'))).to.not.include('Gap wanted');
  });
});
