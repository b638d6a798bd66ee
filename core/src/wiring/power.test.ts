import { expect } from 'chai';
import fc from 'fast-check';
import { usualWiring } from '../build/wiring.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText } from '../quantity/format.ts';
import { cableCaution } from './cableCaution.ts';
import { cableFor, fuseFor, leadOhm, powerOf, sparkOf, type PowerFrom } from './power.ts';

const from: PowerFrom = {
  amps: 15,
  lengthM: 0.6,
  nominalVolts: 36,
  fullVolts: 42,
  capacitanceF: 0.00068,
  airC: 20,
  leadMm2: null,
  taken: [],
  plugs: [
    { what: 'the lead', amps: 30, volts: 84 },
    { what: 'the pack', amps: 25, volts: 84 },
  ],
};
const { power: usual } = usualWiring();
const of = (change: Partial<PowerFrom>, choice: Partial<typeof usual> = {}) =>
  powerOf({ ...from, ...change }, starterShelf, { ...usual, ...choice });

describe('the battery’s lead', () => {
  it('resists as 2·ρ·L/A, warmer copper more: docs/models.md by hand', () => {
    // 2 · 0.0172 · 0.6 ÷ 2.5 = 8.256 mΩ at 20 °C; · (1 + 0.00393 · 20) = 8.905 mΩ at 40 °C.
    expect(leadOhm(0.6, 2.5, 20)).to.be.closeTo(0.008256, 1e-9);
    expect(leadOhm(0.6, 2.5, 40)).to.be.closeTo(0.00890492, 1e-7);
    const sum = of({});
    expect(sum.celsius).to.equal(40);
    expect(of({ airC: 45 }).celsius).to.equal(45);
    // 15 A: fuse 18.75 → 20 A; 2.5 mm² carries 22. Drop 15 · 8.905 mΩ = 0.1336 V, 0.37 %; loss 2.0 W.
    expect(sum).to.include({ fuseA: 20, wantedMm2: 2.5, mm2: 2.5, carriesA: 22, thin: false });
    expect(sum.dropV).to.be.closeTo(0.133574, 1e-5);
    expect(sum.dropShare).to.be.closeTo(0.133574 / 36, 1e-7);
    expect(sum.lossW).to.be.closeTo(2.00361, 1e-4);
    expect(sum.weakest?.what).to.equal('the pack');
  });

  it('takes the next cable where the drop or the fuse asks for it', () => {
    // At 36 V, 1.08 V may go: 15 A through 2.5 mm² does so over 1.08 · 2.5 ÷ (15 · 2 · 0.0172 · 1.0786) = 4.851 m.
    expect(of({ lengthM: 4.85 }).wantedMm2).to.equal(2.5);
    expect(of({ lengthM: 4.852 }).wantedMm2).to.equal(4);
    // 8 A fuses at 10; 1.0 mm² bears 10, 0.75 only 8.
    expect(of({ amps: 8 }).wantedMm2).to.equal(1);
    expect(of({ amps: 8.01 }).wantedMm2).to.equal(1.5);
    expect(cableFor({ ...from, amps: 8 }, 40, null, starterShelf.cable).mm2).to.equal(0.75);
    expect(() => cableFor(from, 40, null, [])).to.throw(RangeError);
    expect(of({ leadMm2: 1.5 }).thin).to.equal(true);
    expect(of({ leadMm2: 4 }, { mm2: 2.5 }).mm2).to.equal(2.5);
    // What a remedy brings is what it is; copper nobody names is taken, and said to be.
    expect(of({ leadMm2: 1.5, taken: ['cable-2-5'] })).to.include({ mm2: 2.5, thin: false, copperKnown: true });
    expect(of({ leadMm2: null })).to.include({ copperKnown: false });
    expect(of({ leadMm2: null }, { mm2: 4 })).to.include({ mm2: 4, copperKnown: true });
  });

  it('fuses at the least size from 1.25 times the limit that breaks the full pack', () => {
    const amps = (limit: number, volts = 42): number | null => fuseFor(limit, volts, starterShelf.fuse)?.amps ?? null;
    expect([amps(4), amps(4.01), amps(12), amps(12.01), amps(16), amps(64), amps(64.1)]).to.deep.equal([
      5,
      7.5,
      15,
      20,
      20,
      80,
      null,
    ]);
    expect(amps(10, 80)).to.equal(15);
    expect(amps(10, 80.1)).to.equal(null);
    expect(of({}, { fuseA: 30 }).fuseA).to.equal(30);
    expect(of({}, { fuseA: 29 }).fuseA).to.equal(20);
    // 12 A wants 15: one of 15 does, for 12.01 A it is small; none is small that was reckoned.
    expect(of({ amps: 12 }, { fuseA: 15 }).fuseTrouble).to.equal(null);
    expect(of({ amps: 12.01 }, { fuseA: 15 }).fuseTrouble).to.equal('small');
    expect(of({ amps: 12.01 }).fuseTrouble).to.equal(null);
    const bears = starterShelf.fuse.find((f) => f.amps === 15)?.volts ?? 0;
    expect(of({ amps: 12, fullVolts: bears }, { fuseA: 15 }).fuseTrouble).to.equal(null);
    expect(of({ amps: 12, fullVolts: bears + 0.1 }, { fuseA: 15 }).fuseTrouble).to.equal('volts');
  });

  it('sparks by ½·C·V²; above half a joule a resistor lets 2 A through at first', () => {
    // ½ · 1 mF · 54.6² = 1.4906 J; 54.6 ÷ 2 = 27.3 → 47 Ω; 5 · 47 · 1 mF = 0.235 s; 54.6² ÷ 47 = 63.43 W.
    const spark = sparkOf(54.6, 0.001, starterShelf.precharge);
    expect(spark.joules).to.be.closeTo(1.49058, 1e-5);
    expect(spark.precharge).to.include({ ohm: 47, part: 'precharge-47' });
    expect(spark.precharge?.seconds).to.be.closeTo(0.235, 1e-9);
    expect(spark.precharge?.watts).to.be.closeTo(63.429, 1e-3);
    expect(sparkOf(44, 0.001, starterShelf.precharge).precharge?.ohm).to.equal(22);
    expect(sparkOf(44.1, 0.001, starterShelf.precharge).precharge?.ohm).to.equal(47);
    // 44 V asks 22 Ω: the one of 22 tames it, that of 10 does not, more than enough does and takes its time.
    const tamed = (volts: number, id: string) => sparkOf(volts, 0.001, starterShelf.precharge, [id]);
    expect(tamed(44, 'precharge-22')).to.include({ fitted: true, weak: null });
    expect(tamed(44.1, 'precharge-22')).to.include({ fitted: false, weak: 22 });
    expect(tamed(44.1, 'precharge-22').precharge?.ohm).to.equal(47);
    expect(tamed(44, 'precharge-47').precharge?.seconds).to.be.closeTo(0.235, 1e-9);
    expect(tamed(44, 'plug-seals').fitted).to.equal(false);
    // None on the shelf is enough for 400 V: the largest is the best that can be had.
    const most = Math.max(...starterShelf.precharge.map((p) => p.ohm));
    expect(tamed(2 * most + 1, `precharge-${most}`).fitted).to.equal(true);
    expect(sparkOf(10, 0.01, starterShelf.precharge).precharge).to.equal(null);
    expect(sparkOf(10, 0.0101, starterShelf.precharge).precharge?.ohm).to.equal(10);
    expect(of({ capacitanceF: null }).capacitance).to.deep.equal({ farad: 0.001, known: false });
  });

  it('more amps or more way never want a thinner cable or a lesser fuse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 45, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (amps, lengthM) => {
          const a = of({ amps, lengthM });
          const b = of({ amps: amps * 1.2, lengthM: lengthM * 1.2 });
          expect(b.wantedMm2).to.be.at.least(a.wantedMm2);
          expect(b.fuseA ?? 999).to.be.at.least(a.fuseA ?? 999);
          expect(a.dropV * amps).to.be.closeTo(a.lossW, 1e-9);
        },
      ),
    );
  });

  it('is told as a caution on the ride sheet, from the same sum', () => {
    const pack = starterShelf.pack[0];
    if (!pack) throw new Error('shelf');
    const caution = cableCaution(of({ leadMm2: 2.5 }), pack);
    expect(caution.lines.map((l) => phraseText(l.value, 'metric')).join('; ')).to.match(
      /2\.5 and 2\.5 mm² over 600\smm; 0\.13 V, 0\.4\s%; 20 A/,
    );
    expect(caution.state).to.equal('fine');
    expect(cableCaution(of({ leadMm2: 1.5 }), pack).state).to.equal('care');
    expect(cableCaution(of({}), pack).state).to.equal('unknown');
    expect(cableCaution(of({ amps: 70, leadMm2: 2.5 }), pack).state).to.equal('care');
  });
});
