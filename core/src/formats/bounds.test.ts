import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { newBuild, type Build } from '../build/build.ts';
import { MOST_CLIMBS } from '../build/brief.ts';
import { MOST_OBSTRUCTIONS, MOST_PRICE } from '../donor/donor.ts';
import { LONGEST_TYPED } from '../donor/entry.ts';
import { takenRange } from '../donor/items/item.ts';
import { surveyItems } from '../donor/survey.ts';
import { describedRoute } from '../ride/route.ts';
import { cutRoute, simulate } from '../ride/simulate.ts';
import { readRideCase } from '../ride/case.ts';
import { readBuild, readBuildFile, writeBuildFile } from './buildFile.ts';

const plain = newBuild('b', 'Barrow', '2026-01-01T00:00:00.000Z');
const faults = (build: unknown): string[] => {
  const read = readBuild(build);
  return read.ok ? [] : read.problems.map((p) => p.path);
};
const road = (points: readonly [number, number][]): Build => ({
  ...plain,
  brief: {
    ...plain.brief,
    route: {
      ...describedRoute('r', 'Road', 1000, [], 'asphalt', 1),
      points: points.map(([distanceM, elevationM]) => ({ distanceM, elevationM })),
    },
  },
});

describe('a road in a file', () => {
  it('is between 10 m and 1500 km long', () => {
    expect(
      faults(
        road([
          [0, 0],
          [9.9, 0],
        ]),
      ),
    ).to.deep.equal(['brief.route.points']);
    expect(
      faults(
        road([
          [0, 0],
          [10, 0],
        ]),
      ),
    ).to.deep.equal([]);
    expect(
      faults(
        road([
          [0, 0],
          [1_500_000, 0],
        ]),
      ),
    ).to.deep.equal([]);
    expect(
      faults(
        road([
          [0, 0],
          [1_500_001, 0],
        ]),
      ),
    ).to.deep.equal(['brief.route.points']);
  });

  it('of many points in one place is refused, and never ridden for ever', () => {
    expect(faults(road(Array.from({ length: 900 }, () => [0, 0])))).to.deep.equal(['brief.route.points']);
    expect(
      faults(
        road([
          [500, 0],
          [505, 0],
        ]),
      ),
    ).to.deep.equal(['brief.route.points']);
    expect(
      faults(
        road([
          [0, 0],
          [1e300, 0],
        ]),
      ),
    ).to.deep.equal(['brief.route.points']);
    const read = readRideCase(
      JSON.parse(readFileSync(new URL('../../test/cases/geared-rear-roadster.json', import.meta.url), 'utf8')),
    );
    if (!read.ok) throw new Error('no case');
    const nowhere = cutRoute([], 0);
    expect(simulate(read.value, nowhere, { repeat: true }).steps).to.equal(0);
  });
});

describe('survey numbers in a file', () => {
  const sized = (id: string, value: number): Build =>
    ({
      ...plain,
      donor: {
        ...plain.donor,
        survey: { [id]: { value, typed: String(value), unit: '', provenance: 'measured', note: '' } },
      },
    }) as Build;

  it('are taken as far as the fields take them, and no further', () => {
    for (const item of surveyItems) {
      if (item.type !== 'number') continue;
      const { min, max } = takenRange(item);
      expect(min, item.id).to.be.at.most(item.low);
      expect(max, item.id).to.be.at.least(item.high);
      const slip = (max - min) * 1e-6;
      expect(faults(sized(item.id, min)), `${item.id} ${min}`).to.deep.equal([]);
      expect(faults(sized(item.id, max)), `${item.id} ${max}`).to.deep.equal([]);
      const at = [`donor.survey.${item.id}.value`];
      expect(faults(sized(item.id, min - slip)), `${item.id} below`).to.deep.equal(at);
      expect(faults(sized(item.id, max + slip)), `${item.id} above`).to.deep.equal(at);
      expect(faults(sized(item.id, -1e308)), `${item.id} absurd`).to.deep.equal(at);
    }
  });
});

describe('what the fields can make', () => {
  it('can be written and read again, at every limit', () => {
    const typed = {
      value: 1.05,
      typed: 'x'.repeat(LONGEST_TYPED),
      unit: 'mm',
      provenance: 'measured' as const,
      note: '',
    };
    const bolt = { kind: 'bolt', tube: 'downTube', alongM: 0.2, lengthM: 0.012, outM: 0.006, removable: true } as const;
    const climbs = Array.from({ length: MOST_CLIMBS }, () => ({ heightM: 30, lengthM: 600 }));
    const build: Build = {
      ...plain,
      name: 'n'.repeat(120),
      brief: { ...plain.brief, route: describedRoute('r', 'Road', 8000, climbs, 'asphalt', 1) },
      donor: {
        ...plain.donor,
        survey: { wheelbase: typed },
        obstructions: Array.from({ length: MOST_OBSTRUCTIONS }, () => bolt),
        worth: {
          ...plain.donor.worth,
          donorPrice: MOST_PRICE,
          readyMadePrice: MOST_PRICE,
          otherDonorPrice: MOST_PRICE,
        },
      },
      weights: { baseline: { kg: 2, lines: [], on: '2026-01-01' }, changes: [] },
    };
    const again = readBuildFile(writeBuildFile(build));
    expect(again.ok && again.value).to.deep.equal(build);
    const heavy = { ...build, weights: { ...build.weights, baseline: { kg: 160, lines: [], on: '2026-01-01' } } };
    expect(faults(heavy)).to.deep.equal([]);
  });
});
