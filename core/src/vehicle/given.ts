import type { Build } from '../build/build.ts';
import type { Taking } from '../build/remedy.ts';
import type { Survey, SurveyItemId } from '../donor/donor.ts';

/** What a fitting is, in place of what was surveyed: values a rule reads once it is on. Null: no longer known. */
type Given = { [K in SurveyItemId]?: NonNullable<Survey[K]>['value'] | null };

/** A new fork: its ends are not the old one's, and are measured when it is there. */
const newFork: Given = {
  forkMaterial: 'steel',
  forkKind: 'rigid',
  frontAxleHolding: 'verticalSlot',
  frontTips: 'flat',
  forkTravel: 0,
  frontDropoutSpacing: 0.1,
  frontSlotWidth: 0.01,
  frontSlotDepth: null,
  frontDropoutThickness: 0.006,
  frontEyelets: 'one',
};

/**
 * What the shelf's fittings bring that rules look at, by part and place. The figures are the parts' own: what the
 * starter shelf says of them.
 */
function brings({ part, place }: Taking, survey: Survey): Given {
  const front = place === 'front brake' || place === 'front wheel' || place === 'fork';
  switch (part) {
    case 'steel-fork':
      return newFork;
    case 'disc-fork':
      return { ...newFork, frontBrake: 'discCable', frontRotorMount: 'sixBolt' };
    case 'disc-brake':
      return front ? { frontBrake: 'discCable', frontRotor: 0.16 } : { rearBrake: 'discCable', rearRotor: 0.16 };
    case 'front-brake':
    case 'cutoff-brake':
      return front ? { frontBrake: 'rim' } : { rearBrake: 'rim' };
    case 'brake-set':
      return front ? { frontBrake: 'rim' } : { rearBrake: 'rim' };
    case 'brake-pair':
      return { frontBrake: 'rim', rearBrake: 'rim' };
    case 'chain-tensioner':
      return { tensioner: 'yes' };
    case 'derailleur':
      return { derailleurCog: Math.max(36, survey.derailleurCog?.value ?? 0) };
    case 'hanger-link':
      return survey.derailleurCog ? { derailleurCog: survey.derailleurCog.value + HANGER_LINK_TEETH } : {};
    case 'twin-stand':
      return { stand: 'twoLegged', standLimit: 60 };
    case 'rear-rack':
      return { rackLimit: 25 };
    case 'front-carrier':
      return { frontCarrier: 'rack', basketLimit: 10 };
    default:
      return {};
  }
}
/** Teeth more that a derailleur clears on a hanger link. Source: workshop practice. */
const HANGER_LINK_TEETH = 6;

/** The survey items that parts taken answer, each as read off the part's data; none where they bring nothing that is surveyed. */
export function givenBy(build: Build, taken: readonly Taking[]): Given {
  const { survey } = build.donor;
  return Object.assign({}, ...taken.map((t) => brings(t, survey))) as Given;
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
