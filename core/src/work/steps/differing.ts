import type { Build } from '../../build/build.ts';
import type { Otherwise } from '../../build/asBuilt.ts';
import { fixPath, valueAt } from '../../build/differ.ts';
import type { SurveyItemId } from '../../donor/donor.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import type { Placement } from '../../layout/place.ts';
import type { Kit } from '../../parts/kit.ts';
import type { Pack, PackPlace } from '../../parts/pack.ts';
import type { Shelf } from '../../parts/part.ts';
import type { Amount } from '../../quantity/format.ts';
import { rangeAt } from './ranges.ts';
import type { BuildStep } from './step.ts';

/** How a value built otherwise is written into the build. */
type Writes = 'plain' | 'entry' | 'spot' | 'part';

/** One thing of a step that can be built otherwise than planned: what is asked, and what is planned. Lengths in m. */
export interface Differing {
  id: string;
  what: string;
  path: string;
  writes: Writes;
  ask:
    | { by: 'number'; dimension: Amount['dimension']; least: number; most: number; planned: number | null }
    | { by: 'one'; options: { id: string; name: string }[]; planned: string | null };
}

/** What of the plan a step's differences are found from. */
export interface DifferingFrom {
  build: Build;
  shelf: Shelf;
  kit: Kit | null;
  pack: Pack | null;
  /** Where the battery lies, and how. */
  place: PackPlace | null;
  lies: Placement | null;
}

type Number = Extract<Differing['ask'], { by: 'number' }>;

const number = (what: string, path: string, writes: Writes, ask: Omit<Number, 'by'>): Differing => ({
  id: path,
  what,
  path,
  writes,
  ask: { by: 'number', ...ask },
});

/** A size of the donor, as it was measured at the bench. */
function surveyed({ build }: DifferingFrom, id: SurveyItemId): Differing[] {
  const item = surveyItem(id);
  if (!itemExists(item, build.donor) || item.type !== 'number') return [];
  const [least, most] = rangeAt(`donor.survey.${id}`);
  const value = build.donor.survey[id]?.value;
  return [
    number(item.label, `donor.survey.${id}`, 'entry', {
      dimension: item.dimension,
      least,
      most,
      planned: typeof value === 'number' ? value : null,
    }),
  ];
}

/** A size of the kit, as it lies on the bench. */
function ofKit({ build, kit }: DifferingFrom, id: string, what: string, sold: number | undefined): Differing[] {
  if (!kit || /[^\w-]/.test(kit.id)) return [];
  const path = `arrivals.${kit.id}.${id}`;
  const measured = valueAt(build, path);
  return [
    number(what, path, 'plain', {
      dimension: 'size',
      least: 0.0005,
      most: 0.25,
      planned: typeof measured === 'number' ? measured : (sold ?? null),
    }),
  ];
}

const plain = ({ build }: DifferingFrom, path: string, what: string, dimension: Amount['dimension']): Differing => {
  const [least, most] = rangeAt(path);
  const now = valueAt(build, path);
  return number(what, path, 'plain', { dimension, least, most, planned: typeof now === 'number' ? now : null });
};

const partPaths = {
  kitId: ['kit', 'Kit'],
  packId: ['pack', 'Battery'],
  ringId: ['ring', 'Chainring'],
  clusterId: ['cluster', 'Cogs'],
} as const;

/** Another part of the same kind in its place. */
function swapped({ build, shelf }: DifferingFrom, id: keyof typeof partPaths): Differing {
  const [kind, what] = partPaths[id];
  return {
    id: `choice.${id}`,
    what: `${what}: another in its place`,
    path: `choice.${id}`,
    writes: 'part',
    ask: {
      by: 'one',
      options: shelf[kind].map((p) => ({ id: p.id, name: p.name })),
      planned: build.choice[id],
    },
  };
}

function moved({ place, lies }: DifferingFrom): Differing[] {
  if (!place || !lies) return [];
  return [
    number('Battery’s low end along its place', 'choice.packSpot', 'spot', {
      dimension: 'size',
      least: -0.5,
      most: 1.5,
      planned: lies.alongM,
    }),
  ];
}

/** What of a step can turn out otherwise, besides its being left out or told in words alone. */
export function differingAt(from: DifferingFrom, step: BuildStep): Differing[] {
  const { build, kit } = from;
  const end = kit?.hub?.place ?? 'rear';
  const sized = (what: 'SlotWidth' | 'SlotDepth' | 'DropoutSpacing' | 'TyreRoom'): Differing[] =>
    surveyed(from, `${end}${what}`);
  switch (step.id) {
    case 'arms-ready':
    case 'axle-tight':
    case 'stack-out':
      return [
        {
          id: 'choice.torqueArms',
          what: 'Torque arms fitted',
          path: 'choice.torqueArms',
          writes: 'plain',
          ask: {
            by: 'one',
            options: [0, 1, 2].map((n) => ({ id: String(n), name: n === 0 ? 'none' : String(n) })),
            planned: String(build.choice.torqueArms),
          },
        },
        ...ofKit(from, 'washerBoreM', 'Bore of the washers, as ground', kit?.hub?.washerBoreM),
        ...ofKit(from, 'armBoreM', 'Bore of the arms', kit?.hub?.armBoreM),
      ];
    case 'try-axle':
    case 'slots-clean':
      return [
        ...sized('SlotWidth'),
        ...sized('SlotDepth'),
        ...sized('DropoutSpacing'),
        ...ofKit(from, 'axleFlatsM', 'Axle across its flats', kit?.hub?.axleFlatsM),
      ];
    case 'wheel-clear':
      return sized('TyreRoom');
    case 'measure-kit':
      return [swapped(from, 'kitId')];
    case 'volts-pack':
    case 'pack-look':
      return [swapped(from, 'packId')];
    case 'pack-holder':
    case 'pack-slide':
      return moved(from);
    case 'ring-on':
      return [swapped(from, 'ringId')];
    case 'cogs-on':
    case 'cogs-change':
      return [swapped(from, 'clusterId')];
    case 'shell-measured':
      return [...surveyed(from, 'bracketWidth'), ...surveyed(from, 'bracketBore')];
    case 'circumference-set':
      return [plain(from, 'wiring.settings.circumference', 'Circumference, rolled out', 'size')];
    case 'set-figures':
      return [plain(from, 'wiring.settings.batteryAmps', 'Battery current, as set', 'current')];
    case 'low-volts-set':
      return [plain(from, 'wiring.settings.lowVolts', 'Low volts, as set', 'voltage')];
    case 'cadence-gap':
      return [plain(from, 'wiring.sensors.cadenceGapM', 'Cadence sensor’s gap', 'size')];
    case 'speed-magnet':
      return [plain(from, 'wiring.sensors.speedGapM', 'Speed sensor’s gap', 'size')];
    case 'cutoff-set':
      return (['left', 'right'] as const).flatMap((side) =>
        (['restM', 'pulledM'] as const).map((gap) =>
          plain(
            from,
            `wiring.levers.${side}.${gap}`,
            `${side === 'left' ? 'Left' : 'Right'} lever’s gap ${gap === 'restM' ? 'at rest' : 'pulled'}`,
            'size',
          ),
        ),
      );
    default:
      return [];
  }
}

/** Changes of the build that a value built otherwise comes to; none where it is as planned. */
export function changesFor(
  from: DifferingFrom,
  { path, writes }: Differing,
  value: number | string,
  reason: string,
  on: string,
): Otherwise['changes'] {
  const { build, place, lies } = from;
  const change = (at: string, is: unknown): Otherwise['changes'] => {
    const was = valueAt(build, at) as Otherwise['changes'][number]['was'];
    return JSON.stringify(was) === JSON.stringify(is) ? [] : [{ path: at, was, is: is as typeof was }];
  };
  switch (writes) {
    case 'entry':
      return change(path, {
        value,
        typed: '',
        unit: '',
        provenance: 'measured',
        note: reason,
        on,
      });
    case 'spot':
      return lies && typeof value === 'number'
        ? [
            // The spot counts in the place it is of alone.
            ...change('choice.packPlace', place),
            ...change('choice.packSpot', { alongM: value, turned: lies.turned, fixing: lies.fixing }),
          ]
        : [];
    case 'part':
      return change(path, value);
    default:
      return change(path, path === 'choice.torqueArms' ? Number(value) : value);
  }
}

/** What leaving a step out takes back: the alternative that was taken, for a remedy's. */
export function leftOutChanges(build: Build, step: BuildStep): Otherwise['changes'] {
  const match = /^fix:([^@]+)@(.*)$/.exec(step.id);
  if (!match)
    return step.id === 'arms-ready' && build.choice.torqueArms > 0
      ? [{ path: 'choice.torqueArms', was: build.choice.torqueArms, is: 0 }]
      : [];
  const path = fixPath(match[1] as string, match[2] as string);
  const was = valueAt(build, path);
  return was === null ? [] : [{ path, was: was as Otherwise['changes'][number]['was'], is: null }];
}
