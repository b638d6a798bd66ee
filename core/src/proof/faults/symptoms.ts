/** What somebody notices: where the fault finder starts. */
export interface Symptom {
  id: string;
  /** As a rider would say it. */
  words: string;
  /** Other ways people say it, for the search. */
  also: string;
  /** How far it may be tried while it shows: nothing live, on the stand, at walking pace, on the road. */
  most: Risk;
  /** Why no further, and what to do first; absent where the road is allowed. */
  caution?: string;
}

/** What a test asks the vehicle to do, each allowing those before it. */
export const risks = ['look', 'live', 'stand', 'slow', 'ride'] as const;
export type Risk = (typeof risks)[number];
export const riskWords: Record<Risk, string> = {
  look: 'by looking, all off',
  live: 'with the meter on live leads',
  stand: 'with the wheel in the air',
  slow: 'at walking pace',
  ride: 'on the road',
};

const list = [
  {
    id: 'dead',
    words: 'The display is lit, the motor does nothing',
    also: 'no power no drive motor dead wont run does not start no assist',
    most: 'stand',
  },
  {
    id: 'blank',
    words: 'The display stays dark, nothing works',
    also: 'no display black screen will not switch on dead completely no lights',
    most: 'live',
  },
  {
    id: 'throttleNone',
    words: 'Pedalling brings help, the throttle does nothing',
    also: 'throttle dead thumb twist grip gas no reaction',
    most: 'stand',
  },
  {
    id: 'pedalNone',
    words: 'The throttle works, pedalling brings no help',
    also: 'no assist pedal sensor cadence pas not working',
    most: 'slow',
  },
  {
    id: 'late',
    words: 'Help comes late, only after a turn of the cranks',
    also: 'delay slow start lag assist starts late half a turn',
    most: 'ride',
  },
  {
    id: 'noCut',
    words: 'The motor runs on while a brake is pulled',
    also: 'does not stop will not cut brake motor pushes against brake runs will not stop',
    most: 'stand',
    caution: 'Do not ride it: a motor that pushes against the brake lengthens every stop.',
  },
  {
    id: 'runsOn',
    words: 'The motor runs by itself',
    also: 'throttle stuck full power runaway starts alone does not let go',
    most: 'stand',
    caution: 'Pull the battery’s plug now. Go on only with the wheel in the air and a hand on the plug.',
  },
  {
    id: 'cutsOut',
    words: 'The motor cuts out and comes back',
    also: 'intermittent stops on hills shuts off under load drops out cuts at half charge same charge bumps',
    most: 'ride',
  },
  {
    id: 'stutters',
    words: 'It growls or jerks instead of starting',
    also: 'stutter shakes vibrates grinding start cogging noise at start hall phase',
    most: 'stand',
    caution: 'Do not hold it on: a motor that growls draws many amps and heats within seconds.',
  },
  {
    id: 'backwards',
    words: 'The wheel turns backwards',
    also: 'wrong direction reverse turns the wrong way',
    most: 'stand',
    caution: 'Do not sit on it: it would throw you back.',
  },
  {
    id: 'spins',
    words: 'Motor or pedals turn, the wheel is not driven',
    also: 'spins freely slips no drive motor hums freewheel clutch',
    most: 'stand',
  },
  {
    id: 'surges',
    words: 'It surges: help comes and goes in waves',
    also: 'pulsing hunting jerky power waves at one speed on off on off',
    most: 'slow',
  },
  {
    id: 'weak',
    words: 'It pulls weakly, uphill most',
    also: 'no power on hills slow climbing lacks torque feeble',
    most: 'ride',
  },
  {
    id: 'slow',
    words: 'Help ends below the speed foretold',
    also: 'top speed low too slow on the flat limit early',
    most: 'ride',
  },
  {
    id: 'wrongSpeed',
    words: 'The speed shown is wrong',
    also: 'speedometer odometer wrong no speed shown jumps shows zero',
    most: 'slow',
  },
  {
    id: 'range',
    words: 'A charge does not last as foretold',
    also: 'short range battery empties fast not far capacity runs out early',
    most: 'ride',
  },
  {
    id: 'charge',
    words: 'It does not charge, or the charger’s lamp never changes',
    also: 'charger light red green never full will not charge stays red stays green',
    most: 'live',
    caution: 'Charge nothing unattended until the cause is known, and not where people sleep or on the way out.',
  },
  {
    id: 'hot',
    words: 'Something gets too hot to hold, or smells',
    also: 'burning smell hot motor hot controller hot plug melted smoke',
    most: 'live',
    caution:
      'Pull the battery’s plug. A battery that is hot, swollen, hissing or smoking: leave it, get away from it, call the fire service.',
  },
  {
    id: 'lamps',
    words: 'The lamps on the main battery stay dark or flicker',
    also: 'light headlight rear light not working flickers',
    most: 'live',
    caution: 'Do not ride in the dark without lamps.',
  },
  {
    id: 'flats',
    words: 'The same tyre goes flat again and again',
    also: 'puncture flat tyre tube hole same place leaks air',
    most: 'look',
  },
  {
    id: 'noise',
    words: 'It clicks, creaks, grinds or rubs',
    also: 'noise squeak creak click rubbing rattle scraping axle',
    most: 'slow',
    caution: 'A creak at a motor’s axle can be the axle working loose: look there before it is ridden again.',
  },
  {
    id: 'drags',
    words: 'It rolls heavily with the motor off',
    also: 'hard to pedal resistance drag brake rubs stiff slow without motor',
    most: 'slow',
  },
  {
    id: 'wobble',
    words: 'A wheel wobbles, or it pulls to one side',
    also: 'unstable loose wheel shimmy steering play knocks',
    most: 'look',
    caution: 'Do not ride it: a wheel or axle may be coming loose.',
  },
  {
    id: 'brakesWeak',
    words: 'A brake is weak or its lever comes to the bar',
    also: 'brakes bad poor braking spongy long stopping distance soft lever',
    most: 'look',
    caution:
      'Do not ride it. Whoever is unsure of brakes asks a mechanic: everything else on this vehicle rests on them.',
  },
  {
    id: 'chain',
    words: 'The chain skips, drops or shifts badly',
    also: 'gears slip chain falls off jumps derailleur shifting',
    most: 'slow',
  },
] as const satisfies readonly Symptom[];

export type SymptomId = (typeof list)[number]['id'];
export const symptoms: readonly (Symptom & { id: SymptomId })[] = list;
export const symptomIds = list.map((s) => s.id) as readonly SymptomId[];
