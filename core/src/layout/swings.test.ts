import { expect } from 'chai';
import { contextOf, judged, packNamed, world, type WorldOf } from '../../test/world.ts';
import { lengthOf, sub } from '../donor/frames/point.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { placeController } from './controller.ts';
import { frameRoom } from './frameRoom.ts';
import { chosenPlacement } from './packPlacement.ts';
import { packShape } from './packShape.ts';

describe('what swings, and what is far from its battery', () => {
  const swung = (rackHeldBy: string): WorldOf => ({
    kind: 'fullSuspension',
    pack: 'loaf-36-17',
    survey: { rackHeldBy, shockPlace: 'inTriangle', rearTravel: '160 mm' },
    edit: ({ build }) => {
      build.choice.packPlace = 'rack';
    },
  });

  it('a rack held by the swing arm’s stays moves with the wheel; one held by the frame meets it in its travel', () => {
    const far = (held: string): string => judged('pack-place', world(swung(held)))?.verdict ?? 'none';
    expect(far('mainFrame')).to.equal('stop');
    expect(far('swingArm')).to.equal('fits');
  });

  it('inside a frame that swings nothing fits until the shock’s place and its travel are measured', () => {
    const inside = (survey: NonNullable<WorldOf['survey']>): string | undefined =>
      judged('pack-place', world({ kind: 'fullSuspension', pack: 'satchel-36-16', survey }))?.title;
    const known = { shockPlace: 'behindSeatTube', rearTravel: '100 mm' };
    for (const [item, value] of Object.entries(known)) {
      expect(inside({ ...known, [item]: '' }), item).to.match(/not measured|not taken/);
      expect(inside({ ...known, [item]: `${value} ?` }), `${item}, assumed`).to.match(/not measured|not taken/);
    }
    expect(inside(known)).not.to.match(/not measured/);
  });

  it('a controller goes beside its battery, on a long frame too', () => {
    const pack = packNamed('loaf-36-17');
    let tried = 0;
    // The largest boxes find air by the cranks alone.
    const small = starterShelf.kit.filter(
      (k) => k.controller.place === 'its own box' && k.controller.batteryLimitA <= 28,
    );
    for (const kit of small) {
      const context = contextOf(world({ kind: 'tandem', kit: kit.id, pack: pack.id }));
      const { lies } = chosenPlacement(context, pack, kit);
      const { room } = frameRoom(context.build, context.geometry, kit);
      const found = placeController(room, kit, lies ? { shape: packShape(pack), lies } : null);
      if (!lies || !found?.airy) continue;
      tried++;
      expect(lengthOf(sub(found.lies.pose.at, lies.pose.at)), kit.id).to.be.below(0.7);
    }
    expect(tried).to.be.greaterThan(3);
  });
});
