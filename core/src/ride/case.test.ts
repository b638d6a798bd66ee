import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { readRideCase, runRideCase, type RideCase, type RideCaseFigures } from './case.ts';

const folder = new URL('../../test/cases/', import.meta.url);
const names = readdirSync(folder).filter((name) => name.endsWith('.json'));

function load(name: string): { rideCase: RideCase; expected: RideCaseFigures } {
  const document = JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as { expect: RideCaseFigures };
  const read = readRideCase(document);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return { rideCase: read.value, expected: document.expect };
}

function within(actual: number, wanted: number, share: number, what: string): void {
  expect(Math.abs(actual - wanted), `${what}: ${actual} against ${wanted}`).to.be.at.most(
    Math.abs(wanted) * share + 1e-9,
  );
}

describe('case files', () => {
  it('are all there', () => {
    expect(names).to.have.length(7);
  });

  for (const name of names) {
    it(`agree with the separate implementation: ${name}`, () => {
      const { rideCase, expected } = load(name);
      const figures = runRideCase(rideCase);
      for (const key of ['topSpeedMs', 'topSpeedHalfChargeMs', 'startGrade'] as const) {
        within(figures[key], expected[key], 0.005, key);
      }
      expect(Object.keys(figures.climbMs)).to.deep.equal(Object.keys(expected.climbMs));
      for (const [grade, speed] of Object.entries(expected.climbMs)) {
        within(figures.climbMs[grade] ?? NaN, speed, 0.005, `climb ${grade}`);
      }
      for (const key of ['distanceM', 'energyWh', 'whPerKm', 'meanMs', 'endCharge'] as const) {
        within(figures.ride[key], expected.ride[key], 0.005, key);
      }
      within(figures.ride.walkSteps, expected.ride.walkSteps, 0.02, 'walkSteps');
      expect(figures.ride.maxWindingC).to.be.closeTo(expected.ride.maxWindingC, 1);
      expect(figures.ride.empty).to.equal(expected.ride.empty);
    });
  }

  it('name every wrong field of a malformed case', () => {
    const { rideCase } = load(names[0] as string);
    const read = readRideCase({
      ...rideCase,
      motor: { ...rideCase.motor, ktNmPerA: 'strong', heat: undefined },
      route: { repeat: true, segments: [{ lengthM: -5, grade: 0, targetMs: 5, stop: false }] },
    });
    expect(read.ok).to.equal(false);
    if (read.ok) return;
    expect(read.problems.map((p) => p.path)).to.have.members([
      'motor.ktNmPerA',
      'motor.heat',
      'route.segments[0].lengthM',
    ]);
  });
});
