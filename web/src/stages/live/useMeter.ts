import type { MeterFault, MeterSample, RideCase } from '@sprocket/core';
import { useEffect, useRef, useState } from 'react';

/** How the stream stands. */
export type MeterState = 'off' | 'joining' | 'live' | 'lost' | 'ended' | 'replaying' | 'replayed';

export interface Meter {
  samples: readonly MeterSample[];
  state: MeterState;
  /** Seconds since the last reading came; 0 while they come. */
  silentS: number;
  start: (fault: MeterFault, speed: number) => void;
  stop: () => void;
  /** A ride read from a file in place of the stream. */
  replay: (samples: readonly MeterSample[], speed: number) => void;
}

type Row = [
  i: number,
  timeS: number,
  distanceM: number,
  speedMs: number,
  volts: number,
  amps: number,
  energyWh: number,
  charge: number,
];

const isRow = (row: unknown): row is Row =>
  Array.isArray(row) && row.length === 8 && row.every((n) => typeof n === 'number');
const sampleOf = ([, timeS, distanceM, speedMs, volts, amps, energyWh, charge]: Row): MeterSample => ({
  timeS,
  distanceM,
  speedMs,
  volts,
  amps,
  energyWh,
  charge,
});

/** Silence after which a stream counts as lost, ms; and the wait before it is asked for anew. */
const SILENCE = 2500;
const AGAIN = 2000;

/**
 * The ride meter's stream. Cut, it keeps what it has, says so, and asks again until it is there: by the stream's own
 * thread where the server still knows the ride, else with a new ride of the same seed from where this one was.
 */
export function useMeter(ride: RideCase | null, seed: number): Meter {
  const [samples, setSamples] = useState<readonly MeterSample[]>([]);
  const [state, setState] = useState<MeterState>('off');
  const [asked, setAsked] = useState<{ fault: MeterFault; speed: number; at: number } | null>(null);
  const [silentS, setSilentS] = useState(0);
  const [file, setFile] = useState<{ samples: readonly MeterSample[]; speed: number } | null>(null);
  const got = useRef<MeterSample[]>([]);
  const heard = useRef(0);
  const body = useRef(ride);
  useEffect(() => {
    body.current = ride;
  }, [ride]);

  useEffect(() => {
    if (!asked) return;
    let wanted = true;
    let source: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const lost = (): void => {
      if (!wanted) return;
      setState((was) => (was === 'ended' ? was : 'lost'));
      source?.close();
      clearTimeout(timer);
      timer = setTimeout(() => void join(), AGAIN);
    };
    const join = async (): Promise<void> => {
      try {
        const answer = await fetch('/api/ride-meter', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            ride: body.current,
            seed,
            fault: asked.fault,
            speed: asked.speed,
            from: got.current.length,
          }),
        });
        const made = (await answer.json()) as { id?: unknown };
        if (!wanted) return;
        if (!answer.ok || typeof made.id !== 'string') {
          lost();
          return;
        }
        source = new EventSource(`/api/ride-meter/${made.id}?after=${got.current.length - 1}`);
        source.onmessage = (event: MessageEvent<string>) => {
          const rows: unknown = JSON.parse(event.data);
          if (!Array.isArray(rows)) return;
          // A reading told twice is one.
          for (const row of rows) if (isRow(row) && row[0] === got.current.length) got.current.push(sampleOf(row));
          heard.current = Date.now();
          setSilentS(0);
          setState('live');
          setSamples([...got.current]);
        };
        source.addEventListener('end', () => {
          source?.close();
          setState('ended');
          setAsked(null);
        });
        source.onerror = lost;
      } catch {
        lost();
      }
    };
    void join();
    const watch = setInterval(() => {
      const silent = heard.current === 0 ? 0 : Date.now() - heard.current;
      if (silent > SILENCE) {
        setSilentS(Math.round(silent / 1000));
        setState((was) => (was === 'live' ? 'lost' : was));
      }
    }, 500);
    return () => {
      wanted = false;
      source?.close();
      clearTimeout(timer);
      clearInterval(watch);
    };
  }, [asked, seed]);

  // A file is ridden again in its own time, as many seconds in one as asked for.
  useEffect(() => {
    if (!file) return;
    const since = Date.now();
    const first = file.samples[0]?.timeS ?? 0;
    const tick = setInterval(() => {
      const at = first + ((Date.now() - since) / 1000) * file.speed;
      let to = got.current.length;
      while (to < file.samples.length && (file.samples[to] as MeterSample).timeS <= at) to++;
      got.current = file.samples.slice(0, to);
      setSamples(got.current);
      if (to === file.samples.length) {
        setState('replayed');
        setFile(null);
      }
    }, 250);
    return () => clearInterval(tick);
  }, [file]);

  return {
    samples,
    state,
    silentS,
    start: (fault, speed) => {
      got.current = [];
      heard.current = 0;
      setSilentS(0);
      setSamples([]);
      setState('joining');
      setAsked({ fault, speed, at: Date.now() });
    },
    stop: () => {
      setAsked(null);
      if (file) {
        // To its end at once: all of it is known.
        got.current = [...file.samples];
        setSamples(got.current);
        setFile(null);
        setState('replayed');
      } else setState(got.current.length > 0 ? 'ended' : 'off');
    },
    replay: (read, speed) => {
      setAsked(null);
      got.current = [];
      setSamples([]);
      setState('replaying');
      setFile({ samples: read, speed });
    },
  };
}
