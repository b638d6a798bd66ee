import type { Build } from '../build/build.ts';
import type { SettingId } from '../build/wiring.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { amount, phrase, type Amount, type Phrase } from '../quantity/format.ts';
import { rolledOut } from '../vehicle/asSet.ts';
import { startDelay, USUAL_PULSES } from './sensors.ts';

/** A setting of current leaves a worn pack this share of what the kit would ask. Source: project. */
const KIND_SHARE = 0.8;

/** One line of the settings sheet. */
export interface SettingRow {
  id: SettingId;
  words: string;
  /** As sold; null where no data says. */
  was: Amount | string | null;
  /** As set; null: not touched. */
  is: Amount | string | null;
  /** What the plan would set. */
  advised: Amount | string;
  why: Phrase;
  /** How a typed value is read; null for a choice made elsewhere. */
  dimension: Amount['dimension'] | null;
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/**
 * The settings of a kit for this build: as sold, as set, as advised, and why. `sold` is the kit before any setting.
 * What each does to the plan is reckoned by `settingEffects`.
 */
export function settingRows(build: Build, sold: Kit, pack: Pack | null): SettingRow[] {
  const { settings } = build.wiring;
  const rolled = rolledOut(build, sold);
  const { controller, wiring, assist } = sold;
  const board = pack?.boardA ?? null;
  const kind =
    board !== null && board < controller.batteryLimitA * 1.2 ? Math.floor(board / 1.2) : controller.batteryLimitA;
  const floor = pack ? pack.series * pack.cutoffVPerCell : controller.cutoffVolts;
  const steps = assist?.levelsW?.length ?? assist?.gains?.length ?? 5;
  const magnets = wiring?.wheelMagnets ?? null;
  const cadence = wiring?.cadence ?? null;
  const pulses = settings.pedalPulses ?? cadence?.pulses ?? USUAL_PULSES;
  const rows: (SettingRow | null)[] = [
    {
      id: 'circumference',
      words: 'Wheel circumference',
      was: null,
      is: settings.circumference === undefined ? null : amount(settings.circumference, 'size', 0),
      advised: amount(rolled, 'size', 0),
      why: phrase`Roll it out: one turn of the loaded wheel, valve to valve. Too little shows too slow, and help goes on past its limit.`,
      dimension: 'size',
    },
    {
      id: 'wheelMagnets',
      words: 'Magnets at the wheel',
      was: magnets === null ? null : count(magnets, 'magnet'),
      is: settings.wheelMagnets === undefined ? null : count(settings.wheelMagnets, 'magnet'),
      advised: count(magnets ?? 1, 'magnet'),
      why: phrase`As many as the sensor passes in a turn: a hub’s own are in its data, a spoke magnet is one.`,
      dimension: null,
    },
    {
      id: 'limit',
      words: 'Help ends at',
      was: sold.assistLimitMs === undefined ? 'no limit' : amount(sold.assistLimitMs, 'speed', 0),
      is: build.choice.assistLimitMs === null ? null : amount(build.choice.assistLimitMs, 'speed', 0),
      advised:
        build.choice.assistLimitMs !== null
          ? amount(build.choice.assistLimitMs, 'speed', 0)
          : sold.assistLimitMs === undefined
            ? 'what its class allows'
            : amount(sold.assistLimitMs, 'speed', 0),
      why: phrase`By the class it is ridden under; the local authority has the last word.`,
      dimension: 'speed',
    },
    {
      id: 'batteryAmps',
      words: 'Battery current',
      was: amount(controller.batteryLimitA, 'current', 0),
      is: settings.batteryAmps === undefined ? null : amount(settings.batteryAmps, 'current', 0),
      advised: amount(kind, 'current', 0),
      why:
        board === null
          ? phrase`As sold; less spares a pack whose board nobody knows. ${amount(controller.batteryLimitA * KIND_SHARE, 'current', 0)} is kind to an old one.`
          : phrase`The pack’s board gives ${amount(board, 'current', 0)}; a fifth is left in hand.`,
      dimension: 'current',
    },
    {
      id: 'lowVolts',
      words: 'Low volts',
      was: amount(controller.cutoffVolts, 'voltage'),
      is: settings.lowVolts === undefined ? null : amount(settings.lowVolts, 'voltage'),
      advised: amount(Math.max(floor, controller.cutoffVolts), 'voltage'),
      why: phrase`At or above where the pack’s board shuts, so that it fades instead of stopping dead.`,
      dimension: 'voltage',
    },
    {
      id: 'levels',
      words: 'Steps of help',
      was: count(steps, 'step'),
      is: settings.levels === undefined ? null : count(settings.levels, 'step'),
      advised: count(Math.min(steps, 5), 'step'),
      why: phrase`Few are found by feel; the last is the most it gives, whatever their number.`,
      dimension: null,
    },
    sold.throttle
      ? {
          id: 'throttleMode',
          words: 'Throttle',
          was: null,
          is: build.schools.throttle === 'full' ? 'full at any level' : 'by level',
          advised: build.schools.throttle === 'full' ? 'full at any level' : 'by level',
          why: phrase`By level is calm in a crowd; full at any level gets you out of a junction. A school, chosen under Schools.`,
          dimension: null,
        }
      : null,
    {
      id: 'startStrength',
      words: 'Start strength',
      was: amount(1, 'share', 0),
      is: settings.startStrength === undefined ? null : amount(settings.startStrength, 'share', 0),
      advised: amount(sold.mid && build.donor.survey.clusterKind?.value === 'hubGear' ? 0.7 : 1, 'share', 0),
      why: phrase`Softer spares gears, chain and axle; too soft and a hill is not begun at all.`,
      dimension: 'share',
    },
    cadence
      ? {
          id: 'pedalPulses',
          words: 'Pulses before it helps',
          was: cadence.pulses === null ? null : count(cadence.pulses, 'pulse'),
          is: settings.pedalPulses === undefined ? null : count(settings.pedalPulses, 'pulse'),
          advised: count(Math.min(pulses, USUAL_PULSES), 'pulse'),
          why: phrase`${String(cadence.magnets)} magnets: ${startDelay(cadence.magnets, pulses).toFixed(2)} s until it helps. One pulse starts it when a pedal is knocked.`,
          dimension: null,
        }
      : null,
  ];
  return rows.filter((r) => r !== null);
}
