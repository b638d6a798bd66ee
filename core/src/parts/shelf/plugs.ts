import plugRows from '@sprocket/catalogue/shelf/plugs.json' with { type: 'json' };
import { rowsOf } from '../../catalogue/rows.ts';
import type { PlugEnd } from '../leads.ts';
import type { Plug } from '../smallParts.ts';

/** Plug families under names of our own, by poles: what each bears, and how thick its head is. */
export const plugs = rowsOf<Omit<Plug, 'kind'>>(plugRows).map((row): Plug => ({ ...row, kind: 'plug' }));

const families = new Map(plugs.map((plug) => [`${plug.family} ${plug.poles}`, plug]));

/** One half of a plug family of the catalogue. Throws a RangeError for one that it has not. */
export function plugEnd(family: string, poles: number, sex: PlugEnd['sex'], colour: string): PlugEnd {
  const found = families.get(`${family} ${poles}`);
  if (!found) throw new RangeError(`no plug family ${family} of ${poles} poles`);
  return { family, poles, sex, colour, headM: found.headM, amps: found.amps, volts: found.volts };
}

type PlugNamed = Pick<PlugEnd, 'family' | 'poles' | 'sex' | 'colour'>;
const isPlug = (value: object): value is PlugNamed => 'family' in value && 'poles' in value && 'sex' in value;

/** The same with every plug in it, named by its family, told whole; however deep. */
export function withPlugEnds(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  if (isPlug(value)) return plugEnd(value.family, value.poles, value.sex, value.colour);
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, withPlugEnds(inner)]));
}
