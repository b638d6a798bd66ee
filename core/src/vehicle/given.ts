import type { Build } from '../build/build.ts';
import type { Taking } from '../build/remedy.ts';
import type { Survey, SurveyItemId } from '../donor/donor.ts';
import { partById, type Shelf } from '../parts/part.ts';
import type { Fitting } from '../parts/smallParts.ts';

/** What stands in place of what was surveyed, once parts are on. Null: no longer known, to be measured on the part. */
type Given = { [K in SurveyItemId]?: NonNullable<Survey[K]>['value'] | null };
type Gives = NonNullable<Fitting['gives']>;

/** What a fork brings: its ends by its data, and what only shows with it in hand unknown. */
const forkItems = ({ spacingM, slotM, tipM, mount }: NonNullable<Gives['fork']>): Given => ({
  forkMaterial: 'steel',
  forkKind: 'rigid',
  forkTravel: 0,
  frontAxleHolding: 'verticalSlot',
  frontTips: 'flat',
  frontDropoutSpacing: spacingM,
  frontSlotWidth: slotM,
  frontSlotDepth: null,
  frontDropoutThickness: tipM,
  frontEyelets: 'one',
  forkBrakeMount: mount ?? null,
});

/** What bears a load, by where it goes. */
function bearingItems(place: Taking['place'], kg: number): Given {
  switch (place) {
    case 'stand':
      return { stand: 'twoLegged', standLimit: kg };
    case 'rack':
      return { rackLimit: kg };
    case 'front carrier':
      return { frontCarrier: 'rack', basketLimit: kg };
    case 'seat':
      return { seatLimit: kg };
    default:
      return {};
  }
}

/** The survey items that one part answers at its place, by its data. */
function itemsOf({ place }: Taking, gives: Gives, survey: Survey): Given {
  const atRear = place === 'rear brake' || place === 'rear wheel';
  const atFront = place === 'front brake' || place === 'front wheel' || place === 'fork';
  const { brake, rotorM, rotorSeat, caliperReachM, largestCog, moreTeeth } = gives;
  // Brakes sold as a pair go on both wheels.
  const [front, rear] = [atFront || place === 'donor', atRear || place === 'donor'];
  const own = survey.derailleurCog?.value;
  return {
    ...(gives.fork ? forkItems(gives.fork) : {}),
    ...(gives.bearsKg === undefined ? {} : bearingItems(place, gives.bearsKg)),
    ...(gives.tensions ? { tensioner: 'yes' as const } : {}),
    ...(brake && front ? { frontBrake: brake } : {}),
    ...(brake && rear ? { rearBrake: brake } : {}),
    ...(rotorM !== undefined && front ? { frontRotor: rotorM } : {}),
    ...(rotorM !== undefined && rear ? { rearRotor: rotorM } : {}),
    ...(rotorSeat && front ? { frontRotorMount: rotorSeat } : {}),
    ...(rotorSeat && rear ? { rearRotorMount: rotorSeat } : {}),
    ...(caliperReachM !== undefined && front ? { frontCaliperReach: caliperReachM } : {}),
    ...(caliperReachM !== undefined && rear ? { rearCaliperReach: caliperReachM } : {}),
    ...(largestCog === undefined ? {} : { derailleurCog: Math.max(largestCog, own ?? 0) }),
    ...(moreTeeth !== undefined && own !== undefined ? { derailleurCog: own + moreTeeth } : {}),
  };
}

/** The survey items that parts taken answer, each as read off the part's data; none where they bring nothing that is surveyed. */
export function givenBy(build: Build, shelf: Shelf, taken: readonly Taking[]): Given {
  const given: Given = {};
  for (const taking of taken) {
    const part = partById(shelf, taking.part);
    if (part?.kind === 'fitting' && part.gives) Object.assign(given, itemsOf(taking, part.gives, build.donor.survey));
  }
  return given;
}

/** The build as rules see it with parts taken: their data stands where the donor's own part was surveyed. */
export function withGiven(build: Build, given: Given): Build {
  const survey: Record<string, unknown> = { ...build.donor.survey };
  for (const [id, value] of Object.entries(given)) {
    if (value === null) Reflect.deleteProperty(survey, id);
    else survey[id] = { value, typed: '', unit: '', provenance: 'dataSheet', note: 'with the part taken' };
  }
  return { ...build, donor: { ...build.donor, survey: survey as Survey } };
}
