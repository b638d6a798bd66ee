import type { Build } from '../build/build.ts';
import type { Taking } from '../build/remedy.ts';
import { fullVolts, nominalVolts } from '../pack/battery.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { PackPlacement } from '../layout/packPlacement.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import { boxIds, type BoxId, type Socket } from '../parts/leads.ts';
import { tyreRadius } from '../quantity/tyre.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { chosenControls, freeSockets, wiredLeads, type WiredLead } from './asWired.ts';
import type { PlacedBox } from './bareWays.ts';
import type { Net, WaysFrom } from './boxes.ts';
import { meterChecks, type MeterCheck } from './checks.ts';
import { joinedBeyond, joinedHere, joinedOf, type Joined } from '../pack/joined.ts';
import { drawnLead, routedLeads, tiedOnce, type JudgedLead, type RoutedLead } from './leads.ts';
import { leverSheets, type LeverSheet } from './levers.ts';
import { COMMON_CAPACITANCE, powerOf, sparkOf, type PowerSum, type Spark } from './power.ts';
import { cadenceSheet, speedSheet, type CadenceSheet, type SpeedSheet } from './sensors.ts';

/** Ties and clips along a lead outside, m apart. Source: the work, §6. */
const TIE_EVERY = 0.15;

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
  levers: LeverSheet[];
  cadence: CadenceSheet;
  speed: SpeedSheet;
  sockets: Socket[];
  lamps: Lamps;
  joined: Joined | null;
  checks: MeterCheck[];
  /** Way on tubes that is tied, each piece once, m; and the small things it takes. */
  tiedM: number;
  materials: Taking[];
}

const NONE: readonly string[] = [];

/** The wiring of the kit and pack in question, each part worked out when it is asked for; null without a kit. */
export function wiredOf(context: PlanContext): Wired | null {
  const { kit } = context;
  return kit && context.once('wired', () => new Wired(context));
}

/** All of it as plain data, for the stage. */
export function wiringOf(context: PlanContext): Wiring | null {
  const wired = wiredOf(context);
  if (!wired) return null;
  const { build, shelf } = context;
  const { kit, leads, drawn, boxes, byString, power, cadence, joined, lamps, checks, materials } = wired;
  const sockets = freeSockets(build, kit, shelf);
  const tiedM = tiedOnce(leads);
  return {
    boxes,
    leads: drawn,
    byString,
    power,
    levers: leverSheets(build, kit, shelf),
    cadence,
    speed: speedSheet(build, kit),
    sockets,
    lamps,
    joined,
    checks,
    tiedM,
    materials,
  };
}

/**
 * One conversion's wiring in the making: candidates are judged by the thousand, and most ask for little of it. It reads
 * its context each time and keeps in it what is dear.
 */
class Wired implements WaysFrom {
  private readonly context: PlanContext;

  constructor(context: PlanContext) {
    this.context = context;
  }

  get kit(): Kit {
    return this.context.kit as Kit;
  }

  get build(): Build {
    return this.context.build;
  }

  get geometry(): DonorGeometry {
    return this.context.geometry;
  }

  get pack(): Pack | null {
    return this.context.pack;
  }

  get shelf(): Shelf {
    return this.context.shelf;
  }

  get detail(): boolean {
    return this.context.detail;
  }

  get taken(): readonly string[] {
    const { taken } = this.context;
    return taken.length === 0 ? NONE : taken.filter((t) => t.place === 'leads').map((t) => t.part);
  }

  get placement(): PackPlacement | null {
    return this.context.placement;
  }

  /** Leads before they are routed: plugs and joints, no lengths of way. */
  get plugged(): readonly WiredLead[] {
    return this.context.once('plugged', () => {
      const { build, kit, pack, shelf, taken } = this;
      return wiredLeads(build, kit, pack, shelf, taken);
    });
  }

  private get ways(): { net: Net; leads: JudgedLead[] } {
    return this.context.once('ways', () => {
      // Boxes are hung as they are asked for, later too: all hang on the kit, the pack and where it lies.
      const { kit, pack, placement, detail } = this;
      const { build, geometry, shelf, taken } = this;
      return routedLeads({ build, kit, pack, placement, geometry, shelf, detail, taken }, () => this.plugged);
    });
  }

  get leads(): JudgedLead[] {
    return this.ways.leads;
  }

  /** Every lead with its way as a line. */
  get drawn(): RoutedLead[] {
    return this.context.once('drawnLeads', () => this.leads.map(drawnLead));
  }

  /** Ties, sleeve, fuse: the small things that every conversion takes. */
  get materials(): Taking[] {
    const { build, kit, shelf, leads, power } = this;
    return materialsFor(build, leads, tiedOnce(leads), freeSockets(build, kit, shelf).length, power);
  }

  get checks(): MeterCheck[] {
    return meterChecks(this.build, this.kit, this.pack, this.drawn, this.power);
  }

  get boxes(): PlacedBox[] {
    const { net, leads } = this.ways;
    return boxIds.flatMap((id) => {
      const box = leads.some((l) => l.from === id || l.to === id) ? net.box(id) : null;
      return box ? [box] : [];
    });
  }

  get byString(): boolean {
    return this.ways.net.calibrated;
  }

  get power(): PowerSum | null {
    return this.context.once('power', () => powerHere(this, this.leads));
  }

  get spark(): { sum: Spark; fullVolts: number; farad: number; known: boolean } | null {
    const { pack, kit, shelf, build, taken } = this;
    if (!pack) return null;
    const farad = kit.wiring?.capacitanceF ?? COMMON_CAPACITANCE;
    const volts = fullVolts(pack);
    return {
      sum: sparkOf(volts, farad, shelf.precharge, [build.wiring.power.precharge, ...taken]),
      fullVolts: volts,
      farad,
      known: kit.wiring?.capacitanceF !== undefined,
    };
  }

  get cadence(): CadenceSheet {
    const { gearing, tyres } = this.context.asItWillBe;
    const lowest = Math.max(...gearing.gears.map((g) => g.cog));
    return cadenceSheet(this.build, this.kit, this.shelf, {
      wheelRadiusM: tyreRadius(tyres.rear),
      ring: gearing.ring,
      cog: lowest,
    });
  }

  get lamps(): Lamps {
    return lampsHere(this);
  }

  get joined(): Joined | null {
    const { packAlone } = this.context.chosen;
    // What was written down for the battery chosen says nothing of another that is tried in its place.
    if (this.pack?.id !== packAlone?.id) return null;
    const packs = joinedHere(this.build.wiring.packs, packAlone?.id ?? null);
    return packs ? joinedOf(packs, packAlone) : null;
  }

  /** How much more the joined hold than the pack alone, as a share. */
  get joinedMore(): number {
    const { packAlone } = this.context.chosen;
    const { joined } = this;
    return packAlone && joined ? joinedBeyond(packAlone, joined) : 0;
  }
}
export type { Wired };

function materialsFor(
  build: Build,
  leads: readonly JudgedLead[],
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

function powerHere(
  { build, kit, pack, shelf, taken: takenParts }: WaysFrom,
  leads: readonly JudgedLead[],
): PowerSum | null {
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
      taken: takenParts,
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
