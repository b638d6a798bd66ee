import type { Build } from '../build/build.ts';
import type { Taking } from '../build/remedy.ts';
import { fullVolts, nominalVolts } from '../pack/battery.ts';
import type { BoxId, PlugEnd, Socket } from '../parts/leads.ts';
import { tyreRadius } from '../quantity/tyre.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { chosenControls, freeSockets } from './asWired.ts';
import { barSides, type BarSide } from './bar.ts';
import type { PlacedBox, WaysFrom } from './boxes.ts';
import { meterChecks, type MeterCheck } from './checks.ts';
import { joinedOf, type Joined } from './joined.ts';
import { routedLeads, type RoutedLead } from './leads.ts';
import { leverSheets, type LeverSheet } from './levers.ts';
import { nextPhases, type PhaseFinding } from './phases.ts';
import { powerOf, type PowerSum } from './power.ts';
import { cadenceSheet, speedSheet, type CadenceSheet, type SpeedSheet } from './sensors.ts';

/** Ties and clips along a lead outside, m apart. Source: the work, §6. */
export const TIE_EVERY = 0.15;

/** What lamps and horn take from the main pack. */
export interface Lamps {
  watts: number;
  amps: number;
  /** Each with its trouble, where its volts do not go with the pack's. */
  items: { box: BoxId; name: string; watts: number; trouble: string | null }[];
}

/** Everything of leads, plugs, levers, sensors and bar of one conversion. Plain data. */
export interface Wiring {
  boxes: PlacedBox[];
  leads: RoutedLead[];
  /** A string was taken from bar to bracket: ways follow it. */
  byString: boolean;
  power: PowerSum | null;
  /** The charger's plug against the pack's socket. */
  charging: { plug: PlugEnd | null };
  levers: LeverSheet[];
  cadence: CadenceSheet;
  speed: SpeedSheet;
  bar: BarSide[];
  sockets: Socket[];
  lamps: Lamps;
  joined: Joined | null;
  phases: PhaseFinding;
  checks: MeterCheck[];
  /** Way on tubes that is tied, each piece once, m; and the small things it takes. */
  tiedM: number;
  materials: Taking[];
}

const kept = new WeakMap<PlanContext, Wiring>();

/** The wiring of the kit and pack in question; null without a kit. Worked out once a context. */
export function wiringOf(context: PlanContext): Wiring | null {
  const { kit } = context;
  if (!kit) return null;
  let made = kept.get(context);
  if (!made) kept.set(context, (made = wire({ ...pick(context), kit }, context)));
  return made;
}

const pick = ({ build, geometry, pack, shelf, detail, taken }: PlanContext): Omit<WaysFrom, 'kit'> => ({
  build,
  geometry,
  pack,
  shelf,
  detail,
  taken: taken.filter((t) => t.place === 'leads').map((t) => t.part),
});

function wire(from: WaysFrom, context: PlanContext): Wiring {
  const { build, kit, pack, shelf } = from;
  const { net, leads } = routedLeads(from, context.packPlace);
  const power = powerHere(from, leads);
  const { asItWillBe } = context;
  const { gearing, tyres } = asItWillBe;
  const lowest = gearing.gears.reduce(
    (a, b) => (b.cog > a.cog ? b : a),
    gearing.gears[0] as (typeof gearing.gears)[number],
  );
  const sockets = freeSockets(build, kit, shelf);
  const tiedM = tiedOnce(leads);
  return {
    boxes: [...net.boxes.values()].filter(
      (b) => b.id !== 'charger' && leads.some((l) => l.from === b.id || l.to === b.id),
    ),
    leads,
    byString: net.calibrated,
    power,
    charging: { plug: pack?.charge?.plug ?? null },
    levers: leverSheets(build, kit, shelf),
    cadence: cadenceSheet(build, kit, shelf, {
      wheelRadiusM: tyreRadius(tyres.rear),
      ring: gearing.ring,
      cog: lowest.cog,
    }),
    speed: speedSheet(build, kit),
    bar: barSides(build, kit, shelf),
    sockets,
    lamps: lampsHere(from),
    joined: build.wiring.packs ? joinedOf(build.wiring.packs) : null,
    phases: nextPhases(build.wiring.phases),
    checks: meterChecks(build, kit, pack, leads, power),
    tiedM,
    materials: materialsFor(build, leads, tiedM, sockets.length, power),
  };
}

/** Pieces of way that leads share are tied once. */
function tiedOnce(leads: readonly RoutedLead[]): number {
  const pieces = new Map<string, number>();
  for (const lead of leads) for (const p of lead.pieces) pieces.set(p.key, p.lengthM);
  return [...pieces.values()].reduce((sum, m) => sum + m, 0);
}

function materialsFor(
  build: Build,
  leads: readonly RoutedLead[],
  tiedM: number,
  free: number,
  power: PowerSum | null,
): Taking[] {
  if (leads.length === 0) return [];
  const each = 100;
  const ties = Math.ceil(tiedM / TIE_EVERY);
  const inside = leads.some((l) => build.wiring.leads[l.id]?.inside === true) || build.schools.leads === 'inside';
  const leadsPlace = 'leads' as const;
  return [
    { part: 'cable-ties', count: Math.max(1, Math.ceil(ties / each)), place: leadsPlace },
    { part: 'sleeve', count: Math.max(1, Math.ceil(tiedM / 3)), place: leadsPlace },
    { part: 'foam-tape', count: 1, place: 'pack' },
    ...(power?.fuseA
      ? [{ part: `fuse-${String(power.fuseA).replace('.', '-')}`, count: 1, place: 'pack' as const }]
      : []),
    ...(inside ? [{ part: 'grommets', count: 1, place: leadsPlace }] : []),
    ...(free > 0 ? [{ part: 'plug-seals', count: 1, place: leadsPlace }] : []),
  ];
}

function powerHere({ build, kit, pack, shelf }: WaysFrom, leads: readonly RoutedLead[]): PowerSum | null {
  const battery = leads.find((l) => l.id === 'battery');
  if (!pack || !battery) return null;
  const { joint, plug, socket, taken } = battery;
  const adapter =
    joint.is === 'adapter' && joint.adapter ? shelf.adapter.find((a) => a.id === joint.adapter) : undefined;
  return powerOf(
    {
      amps: kit.controller.batteryLimitA,
      lengthM: Math.max(battery.neededM, battery.suppliedM ?? 0),
      nominalVolts: nominalVolts(pack),
      fullVolts: fullVolts(pack),
      capacitanceF: kit.wiring?.capacitanceF ?? null,
      airC: build.brief.temperatureC,
      leadMm2: battery.mm2,
      plugs: [
        ...(plug ? [{ what: `the lead’s ${plug.family}`, amps: plug.amps, volts: plug.volts }] : []),
        ...(socket ? [{ what: `the pack’s ${socket.family}`, amps: socket.amps, volts: socket.volts }] : []),
        ...(adapter ? [{ what: 'the adapter', amps: adapter.amps, volts: adapter.volts }] : []),
        ...(taken?.extension ? [{ what: 'the extension', amps: taken.extension.amps, volts: 84 }] : []),
      ],
    },
    shelf,
    build.wiring.power,
  );
}

function lampsHere({ build, kit, pack, shelf }: WaysFrom): Lamps {
  const items: Lamps['items'] = [];
  const volts = pack ? nominalVolts(pack) : kit.nominalVolts;
  const full = pack ? fullVolts(pack) : volts;
  for (const [box, part] of chosenControls(build, shelf)) {
    if (part.watts === undefined) continue;
    const { volts: bears } = part;
    items.push({
      box,
      name: part.name,
      watts: part.watts,
      trouble:
        bears && full > bears.most
          ? `bears ${bears.most} V, the full pack has ${full.toFixed(1)} V: a converter between`
          : bears && volts < bears.least
            ? `wants ${bears.least} V, the pack has ${volts.toFixed(0)} V`
            : null,
    });
  }
  const watts = items.reduce((sum, i) => sum + i.watts, 0);
  return { watts, amps: watts / volts, items };
}
