import { minutesOf } from '@sprocket/core';
import { useEffect, useState } from 'react';
import { thisMinute } from '../ui/today.ts';

/** The local clock, min since 1970, looked at each minute. @param every it changes only so often, min */
export function useMinute(every = 1): number {
  const read = (): number => Math.floor(minutesOf(thisMinute()) / every) * every;
  const [now, setNow] = useState(read);
  useEffect(() => {
    const timer = setInterval(() => setNow(Math.floor(minutesOf(thisMinute()) / every) * every), 60_000);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}
