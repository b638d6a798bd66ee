import type { Remedy } from '../build/remedy.ts';
import type { Missing } from '../layout/frameRoom.ts';
import { amount, phrase } from '../quantity/format.ts';
import { buy, choose, take, work } from './remedies.ts';

/** What would let a pack in where it does not go, as remedies. */
export function missingSaid(m: Missing): Remedy[] {
  return [
    ...m.without.map((name, i) => work(`without-${i}`, phrase`It would go with ${name} taken off.`, 10)),
    ...(m.clamped
      ? [
          buy(
            'clamped',
            phrase`It would go clamped round the tube instead of bolted to the bosses.`,
            take('tube-clamps', 'pack'),
            { work: 20 },
          ),
        ]
      : []),
    ...(m.shorterM !== null
      ? [choose('shorter', phrase`${amount(m.shorterM, 'size', 0)} too long: a pack that much shorter would go.`)]
      : []),
    ...(m.flatterM !== null
      ? [choose('flatter', phrase`A pack ${amount(m.flatterM, 'size', 0)} flatter would go.`)]
      : []),
    ...(m.shorterM === null && m.flatterM === null && m.without.length === 0 && !m.clamped
      ? [choose('other-place', phrase`No pack of this form goes there; choose another place for it.`)]
      : []),
  ];
}
