import { cellVolts, chargerVolts, fullVolts } from '../pack/battery.ts';
import { joinedHere } from '../pack/joined.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import type { Build } from '../build/build.ts';
import type { RoutedLead } from './leads.ts';
import type { PowerSum } from './power.ts';

/** One reading of a meter before anything is joined; a step for Proving. */
export interface MeterCheck {
  id: string;
  where: string;
  how: string;
  /** Band of volts that is right. */
  lowV: number;
  highV: number;
  /** What to do outside it. */
  otherwise: string;
  /** What was read, as far as it is of the battery chosen; null: not yet. */
  read: { volts: number; on: string } | null;
  /** What the reading says: nothing yet, as it should be, poles crossed, or outside the band. */
  verdict: 'measure' | 'fits' | 'crossed' | 'outside';
}

type Asked = Omit<MeterCheck, 'read' | 'verdict'>;

/** What a meter’s volts say of a check: a minus before the figure is crossed poles, whatever the figure. */
export function readingVerdict(
  { lowV, highV }: Pick<MeterCheck, 'lowV' | 'highV'>,
  volts: number | null,
): MeterCheck['verdict'] {
  if (volts === null) return 'measure';
  if (volts < 0) return 'crossed';
  return volts >= lowV && volts <= highV ? 'fits' : 'outside';
}

/** A meter's volts are read so far off, as a share. Source: models, §13. */
const METER = 0.005;
/** A supply of 5 V for sensors may lie within. Source: the trade. */
const SUPPLY = { low: 4.3, high: 5.4 } as const;
/** Left of a pre-charge when the plug goes home, as a share of the pack. Source: five time constants leave 0.7 %. */
const FILLED = 0.95;

const band = (low: number, high: number): Pick<MeterCheck, 'lowV' | 'highV'> => ({
  lowV: low - Math.abs(low) * METER,
  highV: high + Math.abs(high) * METER,
});

/**
 * Polarity and volts before anything is joined, in the order in which each is safe because of those before, each with
 * what was read. A reading of another battery than the one chosen does not count.
 */
export function meterChecks(
  build: Build,
  kit: Kit,
  pack: Pack | null,
  leads: readonly RoutedLead[],
  power: PowerSum | null,
): MeterCheck[] {
  const { checks } = build.wiring;
  return asked(build, kit, pack, leads, power).map((check) => {
    const entry = checks[check.id];
    const read =
      entry && entry.volts !== null && [undefined, null, pack?.id].includes(entry.of)
        ? { volts: entry.volts, on: entry.on }
        : null;
    return { ...check, read, verdict: readingVerdict(check, read?.volts ?? null) };
  });
}

/** Checks this conversion asks for. */
function asked(
  build: Build,
  kit: Kit,
  pack: Pack | null,
  leads: readonly RoutedLead[],
  power: PowerSum | null,
): Asked[] {
  if (!pack) return [];
  const full = fullVolts(pack);
  const empty = pack.series * Math.max(pack.cutoffVPerCell, cellVolts(pack.chemistry, 0));
  const polarity =
    'Red probe on plus, black on minus; a minus sign before the figure means the poles are crossed: stop, join nothing.';
  const checks: Asked[] = [];
  const { power: choice } = build.wiring;
  const packs = joinedHere(build.wiring.packs, pack.id);
  packs?.members.forEach((m, i) =>
    checks.push({
      id: `member-${i + 1}`,
      where: `${m.name}, at its terminals, joined to nothing`,
      how: 'At rest an hour after charging. Write it down: members must be within 0.1 V a cell or a 12 V block.',
      ...band(m.volts * 0.85, m.volts * 1.2),
      otherwise: 'Charge or replace it before it is joined to the others.',
    }),
  );
  checks.push({
    id: 'pack',
    where: `${pack.name}, at its discharge plug`,
    how: polarity,
    ...band(empty, full),
    otherwise:
      'Below: the board has shut, or it is flat; charge it and read again. Above: it is not the pack you think.',
  });
  checks.push({
    id: 'charger',
    where: 'Charger, at its plug, pack not connected',
    how: 'Mains last. Read it with the plug free.',
    ...band(chargerVolts(pack) - 0.5, chargerVolts(pack) + 0.5),
    otherwise: 'It is a charger for another pack: never join them.',
  });
  const battery = leads.find((l) => l.id === 'battery');
  if (battery?.joint.is === 'adapter')
    checks.push({
      id: 'adapter',
      where: 'Battery adapter, at the end that goes to the controller',
      how: `Plugged to the pack, the controller not yet. ${polarity}`,
      ...band(empty, full),
      otherwise: 'Crossed: change it over in the adapter, never at the controller, and read again.',
    });
  if (choice.disconnects || battery?.points.some((p) => p.x < -0.6))
    checks.push({
      id: 'disconnect',
      where: 'Disconnect at the hitch, vehicle’s side',
      how: polarity,
      ...band(empty, full),
      otherwise: 'Crossed or dead: the halves are not wired alike.',
    });
  if (power?.spark.precharge && power.spark.fitted)
    checks.push({
      id: 'precharge',
      where: 'Controller’s input, pre-charge lead held on',
      how: `Hold it for ${Math.max(1, Math.ceil(power.spark.precharge.seconds))} s, then read before the plug is pushed home.`,
      lowV: empty * FILLED,
      highV: full * (1 + METER),
      otherwise:
        'It stays low: something draws, or the input is shorted. Take it off and look before you push the plug home.',
    });
  const sensed = leads.find((l) => l.id === 'throttle' || l.id === 'halls' || l.id === 'cadence' || l.id === 'motor');
  if (sensed && kit.wiring)
    checks.push({
      id: 'supply',
      where: `Controller’s 5 V, at the plug of the ${sensed.id === 'motor' || sensed.id === 'halls' ? 'hall sensors' : sensed.what.toLowerCase()}`,
      how: 'System on, that plug open; red core against black.',
      ...SUPPLY_BAND,
      otherwise: 'None: system is off, or a lead shorts it. Unplug the others one by one.',
    });
  if (leads.some((l) => l.id === 'halls' || (l.id === 'motor' && l.cores.some((c) => c.what.startsWith('hall')))))
    checks.push({
      id: 'halls',
      where: 'Each hall core against black, wheel turned slowly by hand',
      how: 'It must go between nearly 0 and nearly 5 V as the wheel turns; write the higher one down.',
      lowV: 4,
      highV: SUPPLY.high,
      otherwise: 'One that stands still is dead or loose: a motor then growls and draws many amps.',
    });
  return checks;
}

const SUPPLY_BAND = { lowV: SUPPLY.low, highV: SUPPLY.high };
