import { CALIPER_TOLERANCE, TAPE_TOLERANCE } from '../constants.ts';
import { tyreCircumference } from '../quantity/tyre.ts';
import { commonFrame } from './common.ts';
import type { Donor, SurveyItemId } from './donor.ts';
import { isProven, type Entry } from './entry.ts';
import { donorGeometry } from './geometry.ts';
import { itemExists, surveyItem } from './survey.ts';
import type { Dimension } from '../quantity/units.ts';

/** A size nobody measured but that follows from those that were, with its error carried along. */
export interface DerivedSize {
  label: string;
  value: number;
  /** One standard error of the sizes it comes from, same unit. */
  error: number;
  dimension: Dimension;
  /** Items it rests on that are not measured. */
  guessed: SurveyItemId[];
}

/** Reading error of an angle finder, rad. Source: project. */
const ANGLE_TOLERANCE = (0.5 * Math.PI) / 180;
/** Part of a size that a mere guess or memory may be off by. Source: project. */
const GUESS_SHARE = 0.04;

/** Error of an entered or common value: its tool's reading error if proven, else a share of the value. */
export function toleranceOf(donor: Donor, id: SurveyItemId, value: number): number {
  const entry = donor.survey[id] as Entry<unknown> | undefined;
  if (!isProven(entry)) return Math.max(TAPE_TOLERANCE, Math.abs(value) * GUESS_SHARE);
  const { tool } = surveyItem(id);
  return tool === 'caliper' ? CALIPER_TOLERANCE : tool === 'angle finder' ? ANGLE_TOLERANCE : TAPE_TOLERANCE;
}

interface Derivation {
  label: string;
  dimension: Dimension;
  from: readonly SurveyItemId[];
  of: (donor: Donor) => number | null;
}

const side = (a: number, b: number, c: number): number | null => {
  const cosine = (a * a + c * c - b * b) / (2 * a * c);
  return Math.abs(cosine) < 1 ? Math.acos(cosine) : null;
};

const derivations: readonly Derivation[] = [
  {
    label: 'Angle at the bracket, inside',
    dimension: 'angle',
    from: ['seatSide', 'topSide', 'downSide'],
    of: (d) => {
      const t = donorGeometry(d, 1.7).triangle;
      return t ? side(t.seatSideM, t.topSideM, t.downSideM) : null;
    },
  },
  {
    label: 'Shortest height of the triangle',
    dimension: 'size',
    from: ['seatSide', 'topSide', 'downSide'],
    of: (d) => {
      const t = donorGeometry(d, 1.7).triangle;
      if (!t) return null;
      const { seatSideM: a, topSideM: b, downSideM: c } = t;
      const s = (a + b + c) / 2;
      const area2 = s * (s - a) * (s - b) * (s - c);
      return area2 > 0 ? (2 * Math.sqrt(area2)) / Math.max(a, b, c) : null;
    },
  },
  {
    label: 'Head angle',
    dimension: 'angle',
    from: ['seatSide', 'topSide', 'downSide', 'chainstayLength', 'bracketHeight', 'wheelbase', 'seatTubeAngle'],
    of: (d) => {
      const g = donorGeometry(d, 1.7);
      return g.triangle ? g.headAngleRad : null;
    },
  },
  {
    label: 'Pedal above the ground',
    dimension: 'size',
    from: ['bracketHeight', 'crankLength'],
    of: (d) => donorGeometry(d, 1.7).bracket.y - (d.survey.crankLength?.value ?? 0.17),
  },
  {
    label: 'Bracket below the axles',
    dimension: 'size',
    from: ['bracketHeight'],
    of: (d) => {
      const g = donorGeometry(d, 1.7);
      return g.rearAxle.y - g.bracket.y;
    },
  },
  {
    label: 'Front centre, cranks to axle',
    dimension: 'size',
    from: ['wheelbase', 'chainstayLength', 'bracketHeight'],
    of: (d) => {
      const g = donorGeometry(d, 1.7);
      return Math.hypot(g.frontAxle.x - g.bracket.x, g.frontAxle.y - g.bracket.y);
    },
  },
  {
    label: 'Rear wheel rolls in a turn, loaded',
    dimension: 'size',
    from: ['rearTyre'],
    of: (d) => tyreCircumference(d.survey.rearTyre?.value ?? commonFrame[d.kind].tyre),
  },
];

/**
 * Sizes that follow from the survey, each with its error: every input is moved by its reading error
 * and the shifts are added as squares (first order; good while errors are a few per cent).
 */
export function derivedSizes(donor: Donor): DerivedSize[] {
  // What is frozen cannot change: worked out once, as its drawing is.
  if (!Object.isFrozen(donor)) return derive(donor);
  let made = kept.get(donor);
  if (!made) kept.set(donor, (made = derive(donor)));
  return made;
}

const kept = new WeakMap<Donor, DerivedSize[]>();

function derive(donor: Donor): DerivedSize[] {
  const out: DerivedSize[] = [];
  for (const { label, dimension, from, of } of derivations) {
    const here = from.filter((id) => itemExists(surveyItem(id), donor));
    if (here.length === 0) continue;
    const value = of(donor);
    if (value === null) continue;
    let square = 0;
    for (const id of here) {
      const entry = donor.survey[id] as Entry<unknown> | undefined;
      if (id === 'rearTyre') {
        // A rolled-out wheel is good to a per cent of its tyre's word.
        square += (value * (isProven(entry) ? 0.008 : 0.03)) ** 2;
        continue;
      }
      const base = typeof entry?.value === 'number' ? entry.value : commonValue(donor, id);
      if (base === null) continue;
      const step = toleranceOf(donor, id, base);
      const moved = of({
        ...donor,
        survey: {
          ...donor.survey,
          [id]: { value: base + step, typed: '', unit: '', provenance: 'measured', note: '' },
        },
      });
      if (moved !== null) square += (moved - value) ** 2;
    }
    out.push({
      label,
      value,
      error: Math.sqrt(square),
      dimension,
      guessed: here.filter((id) => !isProven(donor.survey[id])),
    });
  }
  return out;
}

function commonValue(donor: Donor, id: SurveyItemId): number | null {
  const common = commonFrame[donor.kind];
  if (id === 'seatTubeAngle') return (common.seatTubeAngleDeg * Math.PI) / 180;
  if (id === 'crankLength') return 0.17;
  const value = (common as unknown as Record<string, unknown>)[id];
  return typeof value === 'number' && value > 0 ? value : null;
}
