import type { Remedy, Taking } from '../../build/remedy.ts';
import { isProven } from '../../donor/entry.ts';
import { choiceWords } from '../../donor/items/item.ts';
import type { Cluster } from '../../parts/gearParts.ts';
import type { Kit } from '../../parts/kit.ts';
import { phrase } from '../../quantity/format.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { partData, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, measureIt } from '../remedies.ts';

type HubFit = NonNullable<Kit['hub']>;

/** The cheapest cluster on the shelf that goes on the hub, with as many cogs as wanted or else as there is room for. */
function clusterFor(context: PlanContext, fit: HubFit, cogs = fit.maxCogs): Cluster | undefined {
  const goes = context.shelf.cluster.filter((c) => c.mount === fit.clusterMount && c.cogs.length <= fit.maxCogs);
  return [...goes].sort(
    (a, b) => Math.abs(a.cogs.length - cogs) - Math.abs(b.cogs.length - cogs) || a.price - b.price,
  )[0];
}

const clusterTaken = (cluster: Cluster | undefined): Taking[] =>
  cluster ? [{ part: cluster.id, count: 1, place: 'rear wheel' }] : [];

/** A freewheel or cassette with the same number of cogs. */
function cogsAlone(context: PlanContext, fit: HubFit, cogs: number | undefined): Remedy[] {
  const cluster = clusterFor(context, fit, cogs);
  return [
    buy(
      'cluster',
      phrase`Add a ${fit.clusterMount} with the same number of cogs, so that the shifter still matches.`,
      clusterTaken(cluster),
      { work: 15, ...(cluster ? { sets: { clusterId: cluster.id } } : {}) },
    ),
  ];
}

/** Fewer cogs, and a shifter that counts them. */
function cogsAndShifter(context: PlanContext, fit: HubFit): Remedy[] {
  const cluster = clusterFor(context, fit);
  return [
    buy(
      'cluster-and-shifter',
      phrase`Add a ${fit.clusterMount} of ${cluster?.cogs.length ?? fit.maxCogs} cogs and its shifter.`,
      [...clusterTaken(cluster), take('shifter', 'bar')],
      { work: 55, ...(cluster ? { sets: { clusterId: cluster.id } } : {}) },
    ),
  ];
}

/** Derailleur gears in place of a hub gear that goes with the old wheel. */
function derailleurGears(context: PlanContext, fit: HubFit): Remedy[] {
  return [
    buy(
      'derailleur-gears',
      phrase`Fit a ${fit.clusterMount}, a derailleur with its hanger, and a shifter.`,
      [
        ...clusterTaken(clusterFor(context, fit)),
        take('derailleur', 'chain'),
        take('claw-hanger', 'rear axle'),
        take('shifter', 'bar'),
      ],
      { work: 120 },
    ),
  ];
}

/** Rear hubs: freewheel or cassette, and how many cogs it has room for. */
export const clusterMount = kitRule(
  {
    id: 'cluster-mount',
    words: 'Cogs on the hub',
    group: 'drivetrain',
    fitCritical: true,
    uses: ['clusterKind', 'cogTeeth'],
    source:
      'A threaded freewheel and a splined cassette do not interchange; the motor’s case limits the number of cogs.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (fit?.place !== 'rear') return null;
    const { cluster } = context.gearing;
    if (cluster) {
      say.because(
        partData('Cogs chosen', cluster.name),
        partData('Hub takes', `a ${fit.clusterMount}, up to ${fit.maxCogs} cogs`),
      );
      return cluster.mount === fit.clusterMount && cluster.cogs.length <= fit.maxCogs
        ? say.fits(
            'The cogs chosen go on',
            phrase`A ${cluster.mount} of ${cluster.cogs.length} on a hub that takes up to ${fit.maxCogs}.`,
          )
        : say.stop(
            'The cogs chosen do not go on',
            phrase`A ${cluster.mount} of ${cluster.cogs.length}; the hub takes ${fit.clusterMount === 'none' ? 'no cogs' : `a ${fit.clusterMount} of up to ${fit.maxCogs}`}.`,
            ...cogsAlone(context, fit, undefined),
          );
    }
    const { clusterKind, cogTeeth } = context.build.donor.survey;
    say.because(
      surveyed(context, 'clusterKind'),
      surveyed(context, 'cogTeeth'),
      partData(
        'Hub takes',
        `${fit.clusterMount === 'none' ? 'no cogs' : `a ${fit.clusterMount}`}, up to ${fit.maxCogs} cogs`,
      ),
    );
    if (!clusterKind) {
      return say.open(
        'Freewheel or cassette?',
        phrase`The hub takes a ${fit.clusterMount} of up to ${fit.maxCogs} cogs; nobody has looked which the donor has.`,
        measureIt('clusterKind'),
      );
    }
    if (clusterKind.value === 'hubGear') {
      return say.rework(
        'The hub gear goes with the old wheel',
        phrase`The motor takes the place of the hub gear and all its speeds.`,
        ...derailleurGears(context, fit),
        buy(
          'one-speed',
          phrase`Fit a one-cog freewheel and a tensioner, and ride one speed.`,
          take('chain-tensioner', 'chain'),
          { work: 60 },
        ),
        choose('front-hub', phrase`Drive the front wheel and keep the hub gear.`),
      );
    }
    const cogs = cogTeeth?.value.length;
    if (cogs !== undefined && cogs > fit.maxCogs) {
      return say.rework(
        `Room for ${fit.maxCogs} cogs, not ${cogs}`,
        phrase`The donor has ${cogs} cogs; between the motor and the dropout is room for ${fit.maxCogs}. ${cogs - fit.maxCogs} go, and the shifter must match what is left.`,
        ...cogsAndShifter(context, fit),
      );
    }
    if (clusterKind.value !== 'single' && clusterKind.value !== fit.clusterMount) {
      const word = choiceWords[clusterKind.value] ?? clusterKind.value;
      return say.rework(
        `Hub takes a ${fit.clusterMount}`,
        phrase`The donor’s cogs are a ${word}; they do not go on this hub.`,
        ...cogsAlone(context, fit, cogs),
      );
    }
    if (!isProven(clusterKind) || !isProven(cogTeeth)) {
      return say.open(
        'Cogs not proven',
        phrase`A ${choiceWords[clusterKind.value] ?? clusterKind.value} would go on; count the cogs and look at the fitting.`,
        ...(isProven(clusterKind) ? [] : [measureIt('clusterKind')]),
        ...(isProven(cogTeeth) ? [] : [measureIt('cogTeeth')]),
      );
    }
    return say.fits(
      'Cogs move over',
      phrase`${cogTeeth.value.length} cogs on a ${choiceWords[clusterKind.value] ?? clusterKind.value}; the hub takes up to ${fit.maxCogs}.`,
    );
  },
);
