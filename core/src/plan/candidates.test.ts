import { chargerFor } from '../pack/charger.ts';
import { expect } from 'chai';
import { demoBuild } from '../../test/demoBuild.ts';
import { contextOf, kitNamed, measure, world } from '../../test/world.ts';
import { withoutLog } from '../build/build.ts';
import { kitPeakTorque } from '../drive/kitTorque.ts';
import { judgeAbout } from '../fit/judge.ts';
import { coldFactor, nominalWh } from '../pack/battery.ts';
import { packLife } from '../pack/life.ts';
import { voltsSuit } from '../pack/volts.ts';
import { startGrade, steadySpeed } from '../ride/steady.ts';
import { systemOf } from '../vehicle/system.ts';
import { verdictRank } from '../verdict.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { judgeCandidates, referencePack } from './candidates.ts';
import { planContext } from './context.ts';

const w = world({ pack: 'kettle-36-13' });
const context = contextOf(w);
const { kits, packs, families } = judgeCandidates(context);
const stops = (c: { findings: { verdict: string }[] }): number => c.findings.filter((f) => f.verdict === 'stop').length;
const reworks = (c: { findings: { verdict: string }[] }): number =>
  c.findings.filter((f) => f.verdict === 'rework').length;

describe('the pack a kit is shown with', () => {
  it('is the chosen one where it suits, else the first of its volts that is not lead, else none', () => {
    expect(referencePack(context, kitNamed('otter-r250'))?.id).to.equal(w.pack.id);
    const other = context.shelf.kit.find((k) => !voltsSuit(k, w.pack));
    if (!other) throw new Error('every kit takes 36 V');
    const first = context.shelf.pack.find((p) => voltsSuit(other, p) && p.chemistry !== 'lead');
    expect(referencePack(context, other)?.id).to.equal(first?.id);
    const odd = { ...kitNamed('otter-r250'), nominalVolts: 300 };
    odd.controller = { ...odd.controller, maxVolts: 310, minVolts: 290 } as typeof odd.controller;
    expect(referencePack(context, odd)).to.equal(null);
  });
});

describe('every kit on this build', () => {
  it('is there once, best verdict first, then fewest stops, fewest reworks, lowest price', () => {
    expect(kits.map((k) => k.kit.id).sort()).to.deep.equal(context.shelf.kit.map((k) => k.id).sort());
    kits.slice(1).forEach((b, i) => {
      const a = kits[i];
      if (!a) return;
      const by = [
        verdictRank[b.verdict] - verdictRank[a.verdict],
        stops(a) - stops(b),
        reworks(a) - reworks(b),
        a.kit.price - b.kit.price,
      ];
      expect(by.find((n) => n !== 0) ?? 0, `${a.kit.id} before ${b.kit.id}`).to.be.at.most(0);
    });
  });

  it('is judged with its pack, and reckoned only where it goes on', () => {
    for (const k of kits) {
      const pack = referencePack(context, k.kit);
      const here = context.with(k.kit, pack);
      expect(k.packName, k.kit.id).to.equal(pack?.name ?? null);
      expect(k.verdict, k.kit.id).to.equal(judgeAbout('kit', here).verdict);
      expect(k.peakTorqueNm, k.kit.id).to.equal(kitPeakTorque(k.kit));
      if (!pack || k.verdict === 'stop') {
        expect([k.startGrade, k.topSpeedMs, k.climbMs], k.kit.id).to.deep.equal([null, null, null]);
        continue;
      }
      const system = systemOf(w.build, here.asItWillBe);
      expect(k.startGrade, k.kit.id).to.equal(Math.min(startGrade(system), here.startCap.grade));
      expect(k.topSpeedMs, k.kit.id).to.equal(steadySpeed(system, 0, 1).speedMs);
      expect(k.climbMs, k.kit.id).to.equal(steadySpeed(system, context.climbGrade, 1).speedMs);
    }
    expect(kits.some((k) => k.startGrade !== null)).to.equal(true);
    expect(kits.some((k) => k.startGrade === null)).to.equal(true);
  });

  it('is counted in its family', () => {
    expect(families.reduce((sum, f) => sum + f.total, 0)).to.equal(kits.length);
    expect(families.reduce((sum, f) => sum + f.remaining, 0)).to.equal(kits.filter((k) => k.verdict !== 'stop').length);
  });
});

describe('every pack on this build', () => {
  it('is there once, best verdict first, then fewest stops, then lowest price', () => {
    expect(packs.map((p) => p.pack.id).sort()).to.deep.equal(context.shelf.pack.map((p) => p.id).sort());
    packs.slice(1).forEach((b, i) => {
      const a = packs[i];
      if (!a) return;
      const by = [verdictRank[b.verdict] - verdictRank[a.verdict], stops(a) - stops(b), a.pack.price - b.pack.price];
      expect(by.find((n) => n !== 0) ?? 0, `${a.pack.id} before ${b.pack.id}`).to.be.at.most(0);
    });
  });

  it('goes as far as its usable, cold energy lasts at the chosen kit’s use; none where volts forbid it', () => {
    const use = context.reckoning?.toEmpty.whPerKm ?? NaN;
    const { temperatureC } = w.build.brief;
    for (const p of packs) {
      expect(p.energyWh, p.pack.id).to.equal(nominalWh(p.pack));
      if (!voltsSuit(w.kit, p.pack)) {
        expect([p.rangeM, p.life], p.pack.id).to.deep.equal([null, null]);
        continue;
      }
      const hand = ((p.energyWh * p.pack.usable * coldFactor(p.pack.chemistry, temperatureC)) / use) * 1000;
      expect(p.rangeM, p.pack.id).to.be.closeTo(hand, 1e-6);
      expect(p.life, p.pack.id).to.deep.equal(packLife(p.pack, use, temperatureC, chargerFor(p.pack, starterShelf)));
    }
    expect(packs.filter((p) => p.rangeM !== null).length).to.be.within(1, packs.length - 1);
  });

  it('shows its range before one is chosen, or with one of other volts; and none only where volts forbid it', () => {
    const other = context.shelf.pack.find((p) => !voltsSuit(w.kit, p))?.id ?? '';
    for (const packId of [null, other]) {
      const open = judgeCandidates(
        contextOf(world({ edit: (x) => ((x.build.choice.packId = packId), undefined) })),
      ).packs;
      for (const p of open) {
        expect(p.suits, p.pack.id).to.equal(voltsSuit(w.kit, p.pack));
        expect(p.rangeM !== null, p.pack.id).to.equal(p.suits);
      }
    }
    const none = judgeCandidates(contextOf(world({ edit: (x) => ((x.build.choice.kitId = null), undefined) }))).packs;
    expect(none.every((p) => p.suits === null && p.rangeM === null)).to.equal(true);
  });

  it('lies in the first of its places, the chosen one where the person put it', () => {
    for (const p of packs) expect(p.pack.places, p.pack.id).to.include(p.place);
    const there = world({ edit: (x) => void (x.build.choice.packPlace = 'seatTube') });
    const put = judgeCandidates(contextOf(there)).packs.find((p) => p.pack.id === there.pack.id);
    expect(put?.place).to.equal('seatTube');
    expect(put?.placement.place).to.equal('seatTube');
    const down = world({ edit: (x) => void (x.build.choice.packPlace = 'downTube') });
    expect(judgeCandidates(contextOf(down)).packs.find((p) => p.pack.id === down.pack.id)?.place).to.equal('downTube');
  });

  it('is placed and judged without a kit too, with no range', () => {
    const bare = world({ edit: (x) => void (x.build.choice.kitId = null) });
    const list = judgeCandidates(contextOf(bare)).packs;
    expect(list.length).to.equal(packs.length);
    for (const p of list) expect(p.rangeM, p.pack.id).to.equal(null);
  });

  it('what is missing is told to the millimetre for a pack the kit could drive, and not for one it could not', () => {
    const small = world({ edit: (x) => measure(x, 'downSide', 0.46) });
    const c = contextOf(small);
    // As the worker asks: with detail.
    const list = judgeCandidates(c.with(c.kit, c.pack, true)).packs;
    const tight = list.filter((p) => p.verdict !== 'measure' && p.placement.lies && (p.placement.clearanceM ?? 1) < 0);
    const suited = tight.filter((p) => voltsSuit(small.kit, p.pack));
    const others = tight.filter((p) => !voltsSuit(small.kit, p.pack));
    expect(suited.length, 'some that suit are too big').to.be.greaterThan(0);
    expect(others.length, 'some that do not suit are too big').to.be.greaterThan(0);
    for (const p of suited) expect(p.placement.missing, p.pack.id).not.to.equal(null);
    for (const p of others) expect(p.placement.missing, p.pack.id).to.equal(null);
  });
});

describe('a build without its log', () => {
  it('is judged as with it, candidate for candidate', () => {
    const box = demoBuild('box');
    expect(box.log.entries.length).to.be.greaterThan(50);
    const bare = withoutLog(box);
    expect(bare.log.entries).to.deep.equal([]);
    const judged = (build: typeof box): unknown =>
      JSON.parse(JSON.stringify(judgeCandidates(planContext(build, starterShelf))));
    expect(judged(bare)).to.deep.equal(judged(box));
  });
});
