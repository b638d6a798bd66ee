import {
  amount,
  measuredThings,
  phrase,
  renewedThings,
  upkeepTaskOf,
  type LogEntry,
  type Phrase,
} from '@sprocket/core';

/** A line of the log in words: what it was, with its figures. */
export function entryWords(entry: LogEntry): Phrase {
  switch (entry.kind) {
    case 'ride': {
      const way = amount(entry.distanceM, 'way', 1);
      const name = entry.name === '' ? '' : `, ${entry.name}`;
      if (entry.energyWh === null)
        return entry.startCharge !== null && entry.endCharge !== null
          ? phrase`${way}${name}, gauge ${Math.round(entry.startCharge * 100)} to ${Math.round(entry.endCharge * 100)} %`
          : phrase`${way}${name}`;
      return phrase`${way}${name}: ${amount(entry.energyWh, 'energy')}${entry.energyFrom === 'wall' ? ' at the wall' : ''}`;
    }
    case 'charge': {
      const from = entry.from === null ? '' : ` from ${Math.round(entry.from * 100)} %`;
      const to = entry.to === null ? '' : ` to ${Math.round(entry.to * 100)} %`;
      return phrase`${amount(entry.wallWh, 'energy')} at the wall${from}${to}`;
    }
    case 'fault':
      return [[entry.what, entry.cause, entry.cure].filter((t) => t !== '').join('; ')];
    case 'puncture':
      return [
        `${entry.wheel} wheel, ${entry.cause === 'unknown' ? 'cause not found' : entry.cause}, ${entry.side}${
          entry.round === null ? '' : `, ${Math.round(entry.round * 360)}° round from the valve`
        }`,
      ];
    case 'service':
      return [upkeepTaskOf(entry.task)?.words ?? entry.task];
    case 'change':
      return [
        `${entry.what}${entry.to === '' ? '' : `: ${entry.from === '' ? '' : `${entry.from} → `}${entry.to}`}`,
        ...(entry.renews ? [`; new: ${renewedThings[entry.renews]}`] : []),
      ];
    case 'measurement': {
      const { words, dimension } = measuredThings[entry.what];
      return phrase`${words}: ${amount(entry.value, dimension, dimension === 'share' ? 2 : dimension === 'size' ? 1 : 0)}`;
    }
    case 'note':
      return [entry.note];
  }
}

/** Use of a ride off a meter or the wall, Wh/m; null where nobody read it. */
export const perWay = (wh: number | null, distanceM: number): number | null =>
  wh === null || distanceM <= 0 ? null : wh / distanceM;
