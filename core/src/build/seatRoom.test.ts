import { expect } from 'chai';
import { newBuild, type Build } from './build.ts';
import { seats, seatsFor, usualRider, type Seat } from './brief.ts';
import { seatRoom } from './seatRoom.ts';
import { kindTraits, vehicleKinds, type VehicleKind } from '../donor/kinds.ts';
import type { Finding } from '../fit/finding.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { ruleById } from '../fit/judge.ts';
import { dragArea } from '../vehicle/system.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import { city } from '../../test/city.ts';

/** A vehicle with people of a mass on its seats beside who steers. */
function carrying(kind: VehicleKind, on: readonly [Seat, number][], survey: Typed = {}): Build {
  const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  b.donor.kind = kind;
  b.donor.survey = typedSurvey({ ...city, ...survey });
  on.forEach(([seat, massKg], i) => {
    b.brief.riders.push({ ...usualRider(), name: `P${i}`, massKg });
    b.brief.aboard.push({ rider: i + 1, seat, pedals: false });
  });
  return b;
}
const seatsSay = (b: Build): Finding | null => ruleById('seats-aboard')?.judge(planContext(b, starterShelf)) ?? null;
const said = (b: Build): string => {
  const f = seatsSay(b);
  return f ? `${f.verdict}: ${f.title}` : 'nothing';
};

describe('room on seats', () => {
  it('is there for the seats a kind has, and for no others', () => {
    for (const kind of vehicleKinds)
      for (const seat of seats) {
        const { places } = seatRoom(seat, carrying(kind, []).donor);
        expect(places > 0, `${kind} ${seat}`).to.equal(seatsFor(kind).includes(seat));
      }
  });

  it('is counted on the vehicle, else usual for its kind', () => {
    const box = (passengerPlaces: string): unknown =>
      seatRoom('box', carrying('boxBike', [], { passengerPlaces }).donor);
    expect(box('3')).to.deep.equal({ places: 3, counted: true, eachKg: null });
    expect(box('')).to.deep.equal({ places: kindTraits.boxBike.places, counted: false, eachKg: null });
    expect(seatRoom('childBehind', carrying('longtail', []).donor).places).to.equal(2);
    expect(seatRoom('childBehind', carrying('diamond', []).donor)).to.deep.equal({
      places: 1,
      counted: true,
      eachKg: 22,
    });
  });

  it('two children go in one box, and a third is a finding and stays aboard', () => {
    const two: [Seat, number][] = [
      ['box', 16],
      ['box', 19],
    ];
    expect(said(carrying('boxBike', two))).to.equal('fits: Everybody has a seat');
    expect(said(carrying('boxBike', [...two, ['box', 22]]))).to.equal('stop: More people than places');
    expect(said(carrying('boxBike', [...two, ['box', 22]], { passengerPlaces: '3' }))).to.match(/^fits/);
    expect(said(carrying('boxBike', two, { passengerPlaces: '' }))).to.equal('measure: Places not counted');
    expect(said(carrying('boxBike', two, { passengerLimit: '' }))).to.equal('measure: What the box bears not read');
    // 16 + 19 kg and the load of 5 kg that lies in the box.
    expect(said(carrying('boxBike', two, { passengerLimit: '40 kg' }))).to.match(/^fits/);
    expect(said(carrying('boxBike', two, { passengerLimit: '39.9 kg' }))).to.equal(
      'stop: The box bears less than is in it',
    );
  });

  it('each seat bears its own: rack, child’s seats, second saddle', () => {
    expect(said(carrying('diamond', [['childBehind', 22.1]]))).to.equal('stop: Too heavy for a child’s seat');
    expect(said(carrying('diamond', [['childAhead', 15.1]]))).to.equal('stop: Too heavy for a child’s seat');
    expect(
      said(
        carrying('diamond', [
          ['childBehind', 10],
          ['childBehind', 10],
        ]),
      ),
    ).to.equal('stop: More people than places');
    expect(said(carrying('longtail', [['deck', 26]]))).to.equal('stop: The rack bears less than sits on it');
    expect(said(carrying('tandem', [['second', 101]]))).to.equal('stop: The second saddle bears less than its rider');
    expect(said(carrying('tandem', [['second', 99]]))).to.match(/^fits/);
    expect(said(carrying('diamond', [['box', 12]]))).to.equal('stop: No such seat on this vehicle');
    expect(said(carrying('diamond', []))).to.equal('nothing');
  });

  it('a posture follows the kind until somebody says otherwise', () => {
    const drag = (kind: VehicleKind, posture: Build['brief']['posture']): number => {
      const b = carrying(kind, []);
      b.brief.posture = posture;
      return dragArea(b);
    };
    for (const kind of vehicleKinds) expect(drag(kind, null), kind).to.equal(drag(kind, kindTraits[kind].posture));
    expect(drag('deltaTrike', null)).to.be.greaterThan(drag('diamond', null));
    expect(drag('deltaTrike', 'upright')).to.equal(drag('diamond', null));
  });
});
