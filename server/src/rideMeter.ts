import { isMeterFault, readRideCase, standInRide, type MeterFault, type MeterSample } from '@sprocket/core';
import express, { type Express } from 'express';
import { randomUUID } from 'node:crypto';

/** A ride that is streamed: all of it is known, and told as its time goes by. */
interface Ride {
  samples: MeterSample[];
  /** When its first reading was told, ms; and how many seconds of it go by in one. */
  since: number;
  speed: number;
}

/** As many rides as are kept at once: the oldest goes. */
const MOST_RIDES = 40;
/** Readings are told so often, ms. */
const TICK = 250;
const SPEEDS = [1, 10, 60] as const;
/** Readings go out together, at most so many at once. */
const MOST_AT_ONCE = 240;

interface Asked {
  samples: MeterSample[];
  speed: number;
  from: number;
}

/** What a page asks for: a ride case of its build, a seed, a fault; or why it cannot be had, by path. */
function askedIn(body: unknown): Asked | string {
  if (typeof body !== 'object' || body === null) return 'body: must be an object';
  const { ride, seed, fault, speed, from } = body as Record<string, unknown>;
  const read = readRideCase(ride);
  if (!read.ok) return `ride.${read.problems[0]?.path ?? ''}: ${read.problems[0]?.message ?? ''}`;
  if (!Number.isInteger(seed) || Math.abs(seed as number) > 1e9) return 'seed: must be a whole number';
  if (fault !== undefined && !isMeterFault(fault)) return 'fault: is none that the stand-in can hide';
  if (!SPEEDS.includes(speed as 1)) return `speed: must be one of ${SPEEDS.join(', ')}`;
  if (from !== undefined && (!Number.isInteger(from) || (from as number) < 0)) return 'from: must be a whole number';
  const { route, ...system } = read.value;
  if (route.segments.reduce((sum, s) => sum + s.lengthM, 0) > 400_000) return 'ride.route: is longer than 400 km';
  return {
    samples: standInRide(system, route.segments, seed as number, (fault as MeterFault | undefined) ?? 'none'),
    speed: speed as number,
    from: (from as number | undefined) ?? 0,
  };
}

const asText = (s: MeterSample, i: number): string =>
  JSON.stringify([
    i,
    s.timeS,
    Number(s.distanceM.toFixed(1)),
    Number(s.speedMs.toFixed(3)),
    Number(s.volts.toFixed(2)),
    Number(s.amps.toFixed(2)),
    Number(s.energyWh.toFixed(3)),
    Number(s.charge.toFixed(4)),
  ]);

/**
 * The ride meter, a stand-in: a page hands in its build's own ride, and gets it told as server-sent events, a reading a
 * second of the ride. A stream that was cut goes on where it was, by the last reading the page had. Made up, and says so.
 */
export function addRideMeter(app: Express): void {
  const rides = new Map<string, Ride>();
  app.post('/api/ride-meter', express.json({ limit: '2mb' }), (req, res) => {
    const asked = askedIn(req.body);
    if (typeof asked === 'string') {
      res.status(400).json({ error: asked });
      return;
    }
    const id = randomUUID();
    rides.set(id, {
      samples: asked.samples,
      speed: asked.speed,
      since: Date.now() - (asked.from / asked.speed) * 1000,
    });
    for (const old of rides.keys()) {
      if (rides.size <= MOST_RIDES) break;
      rides.delete(old);
    }
    res.json({ standIn: true, id, readings: asked.samples.length });
  });
  app.get('/api/ride-meter/:id', (req, res) => {
    const ride = rides.get(req.params.id);
    if (!ride) {
      res.status(404).json({ error: 'no such ride' });
      return;
    }
    const had = Number(req.headers['last-event-id'] ?? req.query.after ?? -1);
    let next = Number.isInteger(had) && had >= -1 ? had + 1 : 0;
    res.set({
      'Content-Type': 'text/event-stream',
      // Nothing between may gather or pack it.
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    res.flushHeaders();
    res.write('retry: 1500\n\n');
    const tell = (): void => {
      const due = Math.min(ride.samples.length, Math.floor(((Date.now() - ride.since) / 1000) * ride.speed) + 1);
      const to = Math.min(due, next + MOST_AT_ONCE);
      if (to > next) {
        const rows = ride.samples.slice(next, to).map((s, i) => asText(s, next + i));
        res.write(`id: ${to - 1}\ndata: [${rows.join(',')}]\n\n`);
        next = to;
      }
      if (next >= ride.samples.length) {
        res.write('event: end\ndata: {}\n\n');
        clearInterval(timer);
        res.end();
      }
    };
    const timer = setInterval(tell, TICK);
    tell();
    req.on('close', () => clearInterval(timer));
  });
}
