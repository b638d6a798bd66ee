import type { LookAlikeId } from './items/item.ts';

/** One of a pair that is taken for the other, and what gives it away. */
export interface LookAlikeSide {
  name: string;
  tells: string;
}

/** Two things that look alike, the test that tells them apart, and what the mistake costs. */
export interface LookAlike {
  id: LookAlikeId;
  test: string;
  sides: readonly [LookAlikeSide, LookAlikeSide];
  mistake: string;
}

export const lookAlikes: Record<LookAlikeId, LookAlike> = {
  cluster: {
    id: 'cluster',
    test: 'Spin the cogs backwards and watch the tool fitting in their middle.',
    sides: [
      { name: 'Freewheel', tells: 'the fitting stands still; the ratchet is inside the cogs, and all of it screws on' },
      { name: 'Cassette', tells: 'the fitting turns with the cogs; a lock ring holds them on splines' },
    ],
    mistake: 'A motor bought for the wrong one takes none of the donor’s cogs.',
  },
  bracket: {
    id: 'bracket',
    test: 'Look at the shell’s edge with a lamp, bearing in or out.',
    sides: [
      { name: 'Threaded', tells: 'a cup with notches or splines for a tool stands proud; threads show at its edge' },
      { name: 'Press-fit', tells: 'a smooth cup or bare bearing sits flush, with nothing for a tool to grip' },
    ],
    mistake: 'A mid-drive slides loose in a press-fit bore of the right width.',
  },
  rotor: {
    id: 'rotor',
    test: 'Look at the middle of the rotor.',
    sides: [
      { name: 'Six bolts', tells: 'six small bolt heads in a ring' },
      { name: 'Splined', tells: 'one large ring with splines, no bolts' },
    ],
    mistake: 'A splined rotor has nothing to bolt to on most motors.',
  },
  metal: {
    id: 'metal',
    test: 'Put a magnet to it, then look at the welds.',
    sides: [
      { name: 'Steel', tells: 'the magnet clings; tubes are slim, welds thin or brazed smooth' },
      { name: 'Aluminium', tells: 'the magnet falls off; tubes are fat, welds wide like a row of coins' },
    ],
    mistake: 'Aluminium ends are not spread, and want two torque arms where steel wants none.',
  },
  dropout: {
    id: 'dropout',
    test: 'See which way the wheel comes out.',
    sides: [
      { name: 'Horizontal', tells: 'the wheel slides forwards or back; it can tighten the chain' },
      { name: 'Vertical', tells: 'the wheel drops straight down; the chain’s length is what it is' },
    ],
    mistake: 'In vertical dropouts a single chain cannot be tightened without a tensioner.',
  },
  valve: {
    id: 'valve',
    test: 'Take the cap off.',
    sides: [
      { name: 'Narrow', tells: 'a thin stem with a small lock nut on top' },
      { name: 'Wide', tells: 'a fat stem like a car’s, with a pin inside' },
    ],
    mistake: 'The wide one does not pass a narrow hole; the narrow one chafes in a wide hole without a sleeve.',
  },
  lever: {
    id: 'lever',
    test: 'Undo the lever’s clamp in your mind: does the shifter come away with it?',
    sides: [
      { name: 'On its own clamp', tells: 'lever and shifter have a clamp each' },
      { name: 'Joined with the shifter', tells: 'one clamp holds both; the shifter is part of the lever’s body' },
    ],
    mistake: 'A kit’s lever takes the shifter with it, and the gears are lost.',
  },
};
