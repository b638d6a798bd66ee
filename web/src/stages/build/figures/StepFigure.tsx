import type { StepFigureId } from '@sprocket/core';
import type { ReactNode } from 'react';
import { driveFigures } from './driveFigures.tsx';
import { leadFigures } from './leadFigures.tsx';
import { wheelFigures } from './wheelFigures.tsx';
import { useWords } from '../../../ui/Show.tsx';

const figures: Record<StepFigureId, ReactNode> = { ...wheelFigures, ...driveFigures, ...leadFigures };

/** What each drawing shows, for those who do not see it. */
const words: Record<StepFigureId, string> = {
  'axle-stack': 'From the hub outward: spacer, frame, tongued washer with its tongue in the slot, arm, washer, nut',
  'arm-on-flats': 'The torque arm sits on the axle’s flats and is pushed against them before its bolt is drawn tight',
  'slot-washer': 'The washer’s tongue sits in the slot below the axle, not above it',
  'recessed-tip': 'A small spacer fills the recess of the fork tip, so that the washer bears flat',
  'wheel-home': 'The axle touches the end of its slot; not home, a gap is left',
  'lead-down': 'The motor’s lead leaves downward and makes a loop, so that water drips off',
  'toothed-plate': 'The plate’s teeth bite the shell’s face; turned round, it slides',
  'case-up': 'The motor’s case is held up against the tube while its ring is tightened',
  'two-rings': 'The second ring is drawn against the first',
  'thread-hands': 'The left pedal screws on counter-clockwise, the right one clockwise',
  'crank-puller': 'The puller is screwed into the crank to its last thread before it is turned',
  'chain-line': 'The chain runs straight from the ring to the middle cogs',
  'chain-length': 'Round the largest cog and the ring, not through the derailleur, the chain overlaps by two links',
  'chain-slack': 'The chain’s lower run moves up and down by 8 to 18 mm',
  'rim-tape': 'The tape lies in the rim’s middle and covers every spoke hole',
  'finger-rim': 'A finger runs round inside the rim and feels for sharp holes',
  'little-air': 'The tube has just enough air to be round when it goes in',
  'bead-line': 'The line on the tyre keeps the same distance from the rim all round',
  dish: 'The rim stands in the middle between the ends of the axle',
  'rotor-bolts': 'Rotor bolts are drawn crosswise, one to six',
  'caliper-centre': 'The rotor runs in the middle between the pads, not askew',
  'pads-rim': 'The whole pad meets the rim and none of the tyre',
  'magnet-ring': 'The sensor stands 1 to 3 mm from the ring of magnets, which turns the way of its arrow',
  'spoke-magnet': 'The magnet on the spoke passes the mark on the sensor at its gap',
  'cable-sensor': 'The shift sensor sits in a straight piece of the gear cable',
  'cutoff-magnet': 'The magnet on the lever passes the sensor in the first free travel',
  'grip-pull': 'The throttle opens one way and springs back by itself',
  'half-grip': 'The grip is cut so that a millimetre of air is left to the throttle',
  'grip-air': 'A thin rod under the grip lets water along it',
  'bar-clamp': 'The display’s adapter goes on the bar before the stem’s clamp is shut',
  'holder-bolt': 'The holder’s bolt ends in air and does not reach a cell',
  'plug-arrows': 'The arrows on both halves of the plug face each other before it is pushed home',
  'drip-loop': 'The lead comes to its plug from below; from above, water runs in',
  'full-lock': 'The bar turned to both stops; the lead at the head tube has slack',
  'fold-leads': 'The lead makes a bow outside the hinge',
  'tie-end': 'The tie’s tail is cut flush; a stub cuts the shin',
  poles: 'The meter’s red probe on plus shows the volts with no minus before them',
  'fuse-near': 'The fuse sits in the plus lead, a hand’s width from the battery',
  'roll-out': 'One turn of the wheel measured on the ground from valve down to valve down',
  'marked-bolt': 'A stroke of paint over nut and frame; turned, the stroke is broken',
  'side-sprockets': 'A straight edge touches both sprockets: they lie in one line',
};

/** A step's small drawing: where a hand goes wrong. */
export function StepFigure({ id }: { id: StepFigureId }) {
  const w = useWords();
  return (
    <svg viewBox="0 0 220 130" role="img" aria-label={w(words[id])} className="step-figure">
      {figures[id]}
    </svg>
  );
}
