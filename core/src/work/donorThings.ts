import type { PlanContext } from '../vehicle/context.ts';
import type { BillLine } from './bill.ts';
import { stepFacts } from './steps/facts.ts';

/** What becomes of a thing of the donor: it stays, goes over to the new part, comes off, or has to be looked at. */
export type Fate = 'stays' | 'goesOver' | 'comesOff' | 'look';

/** A thing of the donor that the conversion touches. */
export interface DonorThing {
  id: string;
  name: string;
  fate: Fate;
  why: string;
  /** Where the bill keeps what becomes of it once it is off. */
  key: string;
}

/**
 * What of the donor is kept and what is left over: tyre, tube, cogs, rotor, bracket, cranks, levers, grips and the like,
 * each with why. Nothing without a kit.
 * @param lines the bill's: what is bought new takes the old one's place
 */
export function donorThings(context: PlanContext, lines: readonly BillLine[]): DonorThing[] {
  const facts = stepFacts(context);
  const { kit, build } = context;
  if (!facts || !kit) return [];
  const { survey } = facts;
  const bought = (...ids: string[]): boolean => lines.some((l) => l.why !== 'notWanted' && ids.includes(l.part));
  const things: DonorThing[] = [];
  const thing = (id: string, name: string, fate: Fate, why: string): void => {
    things.push({ id, name, fate, why, key: `donor-${id}` });
  };
  const { hub } = kit;
  if (hub) {
    const end = hub.place === 'front' ? 'Front' : 'Rear';
    const bare = hub.beadsM.length === 0;
    if (bare) {
      thing('hub', `${end} hub`, 'comesOff', 'the motor is laced into its rim');
      thing('rim', `${end} rim`, 'goesOver', 'the motor is laced into it');
    } else thing('wheel', `${end} wheel`, 'comesOff', 'the kit brings one with the motor in it');
    thing(
      'tyre',
      `${end} tyre`,
      bought('tyre-pair') ? 'comesOff' : 'goesOver',
      bought('tyre-pair') ? 'a new pair is on the bill' : 'the kit brings none; look at what tread is left',
    );
    const [own, rim] = [survey.valve?.value, hub.valve];
    if (bare || own === undefined || rim === undefined)
      thing('tube', `${end} tube`, bare ? 'goesOver' : 'look', bare ? 'it stays with its rim' : tubeUnknown(own, rim));
    else if (own === 'wide' && rim === 'narrow')
      thing('tube', `${end} tube`, 'comesOff', 'its wide valve does not pass the rim’s narrow hole');
    else
      thing(
        'tube',
        `${end} tube`,
        'goesOver',
        own === rim ? 'its valve suits the rim’s hole' : 'its narrow valve takes a sleeve in the rim’s wide hole',
      );
    if (facts.rotor) thing('rotor', `${end} rotor`, 'goesOver', 'the kit brings none');
    const brake = survey[hub.place === 'front' ? 'frontBrake' : 'rearBrake']?.value;
    if (brake === 'drum' || brake === 'roller' || brake === 'coaster')
      thing('hub-brake', `${end} brake`, 'comesOff', 'it sits in the old hub and leaves with it');
  }
  if (facts.cogs === 'moved') thing('cogs', 'Cogs', 'goesOver', 'they suit the motor’s own seat');
  if (facts.cogs === 'new') thing('cogs', 'Cogs', 'comesOff', 'others are chosen, or theirs is another seat');
  if (facts.mid) {
    thing('bracket', 'Bottom bracket', 'comesOff', 'the motor sits in its shell');
    thing('cranks', 'Cranks', 'comesOff', 'the motor’s axle takes its own');
    thing('chainring', 'Chainring', 'comesOff', 'the motor carries its own');
    if (facts.frontDerailleur)
      thing(
        'front-derailleur',
        'Front derailleur and its shifter',
        'comesOff',
        'one ring is left, and the case is in its way',
      );
  }
  if (facts.mid || hub?.place === 'rear')
    thing(
      'chain',
      'Chain',
      bought('chain') ? 'comesOff' : 'stays',
      bought('chain') ? 'a new one is on the bill' : 'no finding asks for another',
    );
  thing(
    'levers',
    'Brake levers',
    facts.newLevers ? 'comesOff' : 'stays',
    facts.newLevers
      ? 'others with cut-offs take their place'
      : facts.magnets
        ? 'their cut-offs are put on them'
        : 'nothing asks for others',
  );
  if (facts.barTape) thing('bar-tape', 'Bar tape', 'look', 'it comes off as far as the levers, and seldom goes back');
  else if (facts.throttle) thing('grips', 'Grips', 'stays', 'the one beside the throttle is cut to length');
  if (bought('twin-stand')) thing('stand', 'Stand', 'comesOff', 'a stronger one is on the bill');
  if (build.choice.newWheels.rear || build.choice.newWheels.front)
    thing('old-wheels', 'Wheels of the old size', 'comesOff', 'others of another size are thought of');
  return things;
}

const tubeUnknown = (own: string | undefined, rim: string | undefined): string =>
  own === undefined && rim === undefined
    ? 'neither its valve nor the rim’s hole is known'
    : own === undefined
      ? 'look at its valve: nobody has'
      : 'nobody says how wide the rim’s valve hole is';
