import { expect } from 'chai';
import fc from 'fast-check';
import archetypes from '@sprocket/catalogue/population/archetypes.json' with { type: 'json' };
import { assumeOpen } from './assumed.ts';
import { emptyDonor, type Donor, type Survey } from './donor.ts';
import type { Entry } from './entry.ts';
import { vehicleKinds, type VehicleKind } from './kinds.ts';
import { archetypeWords, drawnDonor } from './population.ts';
import { itemsFor } from './survey.ts';

const bare = (kind: VehicleKind): Donor => ({ ...emptyDonor(), kind });
const measured = (value: unknown, provenance: Entry<unknown>['provenance'] = 'measured'): Entry<unknown> => ({
  value,
  typed: '',
  unit: '',
  provenance,
  note: '',
});
const knowing = (donor: Donor, known: Record<string, Entry<unknown>>): Donor => ({
  ...donor,
  survey: { ...donor.survey, ...known } as Survey,
});
const values = (donor: Donor, count: number, item: keyof Survey): unknown[] =>
  Array.from({ length: count }, (_, seed) => drawnDonor(donor, seed).donor.survey[item]?.value);

describe('vehicles nobody has measured', () => {
  it('every kind has archetypes whose shares add up, each with its source', () => {
    for (const kind of vehicleKinds) {
      const shares = Object.values(archetypes).map((a) => (a.of as Partial<Record<VehicleKind, number>>)[kind] ?? 0);
      expect(
        shares.reduce((a, b) => a + b, 0),
        kind,
      ).to.equal(100);
    }
    for (const { source } of Object.values(archetypes)) expect(source).not.to.equal('');
  });

  it('a draw leaves nothing open, is plausible, and is the same for the same seed', () => {
    for (const kind of vehicleKinds)
      for (let seed = 0; seed < 12; seed++) {
        const { donor, archetype } = drawnDonor(bare(kind), seed);
        expect(archetypeWords(archetype)).not.to.equal(archetype);
        for (const item of itemsFor(donor)) {
          const value = (donor.survey as Record<string, Entry<unknown> | undefined>)[item.id]?.value;
          expect(value, `${kind} ${item.id}`).not.to.equal(undefined);
          if (item.type === 'choice') expect(item.options.map((o) => o.value)).to.include(value);
          if (item.type === 'number' && item.id !== 'rackLimit')
            expect(value, `${kind} ${item.id}`).to.be.within(item.low * 0.8 - 1e-9, item.high + 1e-9);
        }
        expect(drawnDonor(bare(kind), seed).donor).to.deep.equal(donor);
      }
  });

  it('keeps what was measured or is remembered; a guess is drawn anew', () => {
    const known = knowing(bare('diamond'), {
      rearDropoutSpacing: measured(0.1265),
      frameMaterial: measured('titanium', 'recalled'),
      forkKind: measured('suspension', 'assumed'),
    });
    const forks = new Set<unknown>();
    for (let seed = 0; seed < 60; seed++) {
      const { survey } = drawnDonor(known, seed).donor;
      expect(survey.rearDropoutSpacing?.value).to.equal(0.1265);
      expect(survey.frameMaterial).to.deep.equal(known.survey.frameMaterial);
      forks.add(survey.forkKind?.value);
    }
    expect(forks).to.have.keys(['rigid', 'suspension']);
  });

  it('a donor wholly measured draws itself', () => {
    fc.assert(
      fc.property(fc.constantFrom(...vehicleKinds), fc.nat(500), fc.nat(500), (kind, of, seed) => {
        const whole = drawnDonor(bare(kind), of).donor;
        expect(drawnDonor(whole, seed).donor).to.deep.equal(whole);
      }),
      { numRuns: 60 },
    );
  });

  it('draws meet the shares of the table', () => {
    // Of mixtes 14 in a hundred are old road bikes, 32 city bikes with a derailleur, 46 with a hub gear, 8 newer ones.
    const kinds = Array.from({ length: 2000 }, (_, seed) => drawnDonor(bare('mixte'), seed).archetype);
    const share = (id: string): number => kinds.filter((k) => k === id).length / kinds.length;
    // Three standard errors of a share of 2 000.
    const near = (id: string, of: number): void => {
      expect(share(id), id).to.be.closeTo(of, 3 * Math.sqrt((of * (1 - of)) / kinds.length));
    };
    near('oldRoad', 0.14);
    near('cityDerailleur', 0.32);
    near('cityHubGear', 0.46);
    near('trekking', 0.08);
  });

  it('what is known moves what is drawn: ends, cluster and age go together', () => {
    const share = (all: unknown[], is: unknown): number => all.filter((v) => v === is).length / all.length;
    const narrow = knowing(bare('diamond'), { rearDropoutSpacing: measured(0.126) });
    expect(share(values(narrow, 200, 'clusterKind'), 'freewheel')).to.be.above(0.5);
    const through = knowing(bare('diamond'), { rearAxleHolding: measured('throughAxle') });
    expect(share(values(through, 200, 'frameMaterial'), 'steel')).to.be.below(0.2);
    expect(share(values(through, 200, 'rearBrake'), 'rim')).to.be.below(0.03);
    expect(share(values(bare('diamond'), 200, 'rearBrake'), 'rim')).to.be.above(0.4);
    // A tall frame is tall all round.
    const tall = knowing(bare('diamond'), { seatTubeLength: measured(0.6) });
    const sides = values(tall, 60, 'downSide') as number[];
    expect(Math.min(...sides)).to.be.above(0.58);
  });

  it('common values of every kind are among what is drawn', () => {
    for (const kind of vehicleKinds) {
      const common = assumeOpen(bare(kind)).bracketKind?.value;
      expect(values(bare(kind), 60, 'bracketKind'), kind).to.include(common);
    }
  });
});
