import { stowWords } from '../../build/wiring.ts';
import { boxWords } from '../../parts/leads.ts';
import type { Kit } from '../../parts/kit.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';
import type { RoutedLead } from '../../wiring/leads.ts';
import type { PowerSum } from '../../wiring/power.ts';
import type { SettingRow } from '../../wiring/settings.ts';

/** What of a plan the lists at the bench are drawn from. */
export interface ListsFrom {
  kit: Kit | null;
  leads: readonly RoutedLead[];
  power: PowerSum | null;
  settings: readonly SettingRow[];
}

const m = (metres: number): ReturnType<typeof amount> => amount(metres, 'size', 0);
const ends = ({ from, to }: RoutedLead): string => `${boxWords[from]} to ${boxWords[to]}`;

/** What a setting is to be put to: as it was set already, else as advised. */
const setting = ({ words, is, advised }: SettingRow): Phrase => phrase`${words}: ${is ?? advised}`;

/** What a step goes through, thing by thing: leads, settings, what lies in the box. By step. */
export function stepLists({ kit, leads, power, settings }: ListsFrom): Record<string, Phrase[]> {
  const long = [...leads].sort((a, b) => b.neededM - a.neededM);
  const of = (...ids: SettingRow['id'][]): Phrase[] => settings.filter((s) => ids.includes(s.id)).map(setting);
  const lists: Record<string, Phrase[]> = {
    'measure-kit': (kit?.contents ?? []).map(({ count, what }) => phrase`${count > 1 ? `${count} × ` : ''}${what}`),
    'lay-leads': long.map((l) =>
      l.suppliedM === null
        ? phrase`${l.what}, ${ends(l)}: needs ${m(l.neededM)}, its own length not known`
        : phrase`${l.what}, ${ends(l)}: needs ${m(l.neededM)}, has ${m(l.suppliedM)}${l.verdict === 'short' ? ', too short: Wiring says what reaches' : ''}`,
    ),
    lengthened: long.flatMap((l): Phrase[] =>
      l.taken
        ? [
            l.taken.extension
              ? phrase`${l.what}: ${l.taken.extension.name}`
              : phrase`${l.what}: pieced out by ${m(l.taken.spliceM)} of its own cable`,
          ]
        : [],
    ),
    stowed: long.flatMap((l): Phrase[] =>
      l.stow && l.spareM !== null ? [phrase`${l.what}: ${m(l.spareM)} over, ${stowWords[l.stow.place]}`] : [],
    ),
    'plugs-home': long.flatMap((l): Phrase[] =>
      l.joint.is === 'adapter' ? [phrase`${l.what}: by an adapter, read with the meter before it is joined`] : [],
    ),
    'fuse-in': power?.fuseA
      ? [
          phrase`${amount(power.fuseA, 'current', 0)} fuse, in ${power.mm2.toFixed(power.mm2 < 1 ? 2 : 1)} mm² of copper`,
        ]
      : [],
    'set-figures': of('wheelMagnets', 'batteryAmps', 'levels', 'throttleMode', 'startStrength', 'pedalPulses'),
    'circumference-set': of('circumference'),
    'limit-set': of('limit'),
    'low-volts-set': of('lowVolts'),
  };
  return Object.fromEntries(Object.entries(lists).filter(([, list]) => list.length > 0));
}
