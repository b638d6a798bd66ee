import type { Trailer } from '../build/brief.ts';
import { GRAVITY } from '../constants.ts';
import { amount, phrase } from '../quantity/format.ts';
import type { Caution } from './caution.ts';
import { deceleration, GRIP, type Stopping } from './stopping.ts';
import { OVERRUN_SHARE, trailerPush, turningRoom, type TrailerLoads } from './trailer.ts';

/** A trailer behind: what presses on its coupling, its push when braking and downhill, and the room a turn takes. */
export function trailerCaution(
  trailer: Trailer,
  loads: TrailerLoads,
  own: { onWheelsKg: number; frontShare: number; wheelbaseM: number; heightM: number },
  stopping: Stopping | null,
  steepestDescent: number,
  rolling: number,
): Caution {
  // Unknown brakes are taken as two good ones in the wet: the harder they bite, the harder the trailer pushes.
  const a = stopping ? deceleration(stopping).wet : GRIP.wet * GRAVITY;
  const tips = (own.onWheelsKg * a * own.heightM) / own.wheelbaseM;
  const rearN = own.onWheelsKg * GRAVITY * (1 - own.frontShare) - tips;
  const push = trailerPush(trailer, loads, rearN, a, steepestDescent, rolling);
  const room = turningRoom(own.wheelbaseM, trailer);
  const folds = push.sidewaysN > push.holdsN;
  const near = push.sidewaysN > push.holdsN * 0.5;
  return {
    id: 'trailer',
    title: 'The trailer behind',
    state: folds || loads.hitchKg < 0 ? 'stop' : near ? 'care' : 'fine',
    lines: [
      { label: 'presses on its coupling', value: phrase`${amount(loads.hitchKg, 'mass')}` },
      {
        label: 'its share of the braking',
        value:
          trailer.brake === 'overrun'
            ? phrase`${amount((loads.massKg * (1 - OVERRUN_SHARE)) / (own.onWheelsKg + loads.axleKg), 'share')}, besides its own`
            : phrase`${amount(loads.massKg / (own.onWheelsKg + loads.axleKg), 'share')}, by your brakes`,
      },
      { label: 'pushes, braking in the wet', value: phrase`${amount(push.pushN, 'force', 0)}` },
      {
        label: 'pushes, on the steepest descent',
        value:
          steepestDescent > 0
            ? phrase`${amount(push.steadyN, 'force', 0)} on ${amount(steepestDescent, 'grade')}`
            : phrase`none here`,
      },
      {
        label: 'sideways in a bend of 30°',
        value: phrase`${Math.round(push.sidewaysN)} of ${amount(push.holdsN, 'force', 0)} held`,
      },
      {
        label: 'a turn at full lock takes',
        value: phrase`${amount(room.wideM, 'size', 0)}, cuts in ${amount(room.cutInM, 'size', 0)}`,
      },
    ],
    why: phrase`Braking, m·(a + g·sin θ) comes through the coupling; turned, part of it shoves the rear wheel aside, and past its grip the pair folds like a knife. Put the load ahead of the trailer’s axle, brake before the bend, and front and rear together.`,
    ask: 'the trailer’s maker for its load and speed, and an empty yard: try the stop loaded before the street',
  };
}
