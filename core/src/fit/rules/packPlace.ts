import { chosenPlacement, type PackPlacement } from '../../layout/packPlacement.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { Finding } from '../finding.ts';
import { sayPlacement } from '../placementWords.ts';
import { packRule, speak, type Spec } from '../say.ts';

const spec: Spec = {
  id: 'pack-place',
  words: 'Room for the pack',
  group: 'pack',
  fitCritical: true,
  dear: true,
  uses: [
    'downTubeShape',
    'shockPlace',
    'rackHeldBy',
    'frameBagLength',
    'frameBagHeight',
    'frameBagWidth',
    'seatSide',
    'topSide',
    'downSide',
    'headSide',
    'headDiagonal',
    'seatDiagonal',
    'seatDownAngle',
    'seatTopAngle',
    'seatOutside',
    'topOutside',
    'downOutside',
    'topTubeDiameter',
    'tubeSag',
    'seatTubeLength',
    'bossDown',
    'bossSeat',
    'rearTravel',
    'crankWidth',
    'kneeWidth',
    'frontCarrier',
    'rackLimit',
    'basketLimit',
  ],
  source:
    'Outline at rest and along its whole way off the rail, against tubes, shock, tyre and rider; 5 mm wanted all round; errors of the tape carried along, two standard errors.',
};

/** Battery outline with its slide-off travel in the place chosen, or in its best. */
export const packPlace = packRule(spec, (context, pack, _kit, say) =>
  sayPlacement(context, pack, chosenPlacement(context, pack), say),
);

/** One placement's finding, whichever of the pack's places it is. */
export function placementFinding(context: PlanContext, placed: PackPlacement): Finding {
  const { pack } = context;
  if (!pack) throw new RangeError('no pack is in question');
  return sayPlacement(context, pack, placed, speak(spec, context));
}
