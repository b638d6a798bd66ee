import type { Build } from '../build/build.ts';
import type { Cadence } from '../parts/controls.ts';
import type { Kit } from '../parts/kit.ts';
import type { Shelf } from '../parts/part.ts';
import { speedAtCadence } from '../ride/steady.ts';
import { chosenControls } from './asWired.ts';

/** Pulses a controller waits for where nobody says, and the cadence a rider starts at, rpm. Source: models, §10. */
export const USUAL_PULSES = 2;
const START_CADENCE_RPM = 40;
/** Gap of a speed sensor to its magnet, m. Source: the trade. */
const SPEED_GAP = 0.002;

/** Worst wait from the first push until the motor helps, s: p·60/(n·c). Source: models, §10. */
export function startDelay(magnets: number, pulses: number, cadenceRpm = START_CADENCE_RPM): number {
  return (pulses * 60) / (magnets * cadenceRpm);
}

/** The cadence sensor as it will be, with the wait it costs. */
export interface CadenceSheet {
  /** Not at all; a torque sensor or none in the kit; left off by choice; or fitted. */
  is: 'none' | 'inside' | 'leftOff' | 'fitted';
  sensor: Cadence | null;
  pulses: number;
  pulsesKnown: boolean;
  delayS: number | null;
  /** Way rolled in that time in the starting gear, m. */
  delayM: number | null;
  gapM: number | null;
  gap: 'fine' | 'wide' | 'unknown';
  cranksOff: boolean;
}

/** What the start in the lowest gear is reckoned with. */
export interface StartGear {
  wheelRadiusM: number;
  ring: number;
  cog: number;
}

/** The cadence sensor that will be there: chosen apart, else the kit's own; null where it has none. */
export function cadenceSensorOf(build: Build, kit: Kit, shelf: Shelf): Cadence | null {
  return chosenControls(build, shelf).get('cadence')?.cadence ?? kit.wiring?.cadence ?? null;
}

export function cadenceSheet(build: Build, kit: Kit, shelf: Shelf, gear: StartGear): CadenceSheet {
  const sensor = cadenceSensorOf(build, kit, shelf);
  const leftOff = build.schools.cadenceSensor === 'leftOff' && kit.throttle && build.choice.usesThrottle;
  const set = build.wiring.settings.pedalPulses;
  const pulses = set ?? sensor?.pulses ?? USUAL_PULSES;
  const gapM = build.wiring.sensors.cadenceGapM;
  if (!sensor || leftOff)
    return {
      is: leftOff && sensor ? 'leftOff' : 'none',
      sensor,
      pulses,
      pulsesKnown: false,
      delayS: null,
      delayM: null,
      gapM,
      gap: 'unknown',
      cranksOff: false,
    };
  const delayS = startDelay(sensor.magnets, pulses);
  return {
    is: sensor.ring === 'inside' ? 'inside' : 'fitted',
    sensor,
    pulses,
    pulsesKnown: set !== undefined || sensor.pulses !== null,
    delayS,
    delayM: delayS * speedAtCadence(gear.wheelRadiusM, gear.ring, gear.cog, START_CADENCE_RPM),
    gapM,
    gap: gapM === null || sensor.ring === 'inside' ? 'unknown' : gapM > sensor.clearanceM + 1e-9 ? 'wide' : 'fine',
    cranksOff: sensor.ring === 'whole',
  };
}

/** The speed sensor: where it reads, its magnets, its gap. */
export interface SpeedSheet {
  at: 'inMotor' | 'atStay' | 'unknown';
  magnets: number;
  gapM: number | null;
  gap: 'fine' | 'wide' | 'unknown';
}

export function speedSheet(build: Build, kit: Kit): SpeedSheet {
  const gapM = build.wiring.sensors.speedGapM;
  const at = build.wiring.parts.speed ? 'atStay' : (kit.wiring?.speed ?? 'unknown');
  return {
    at,
    magnets: build.wiring.settings.wheelMagnets ?? kit.wiring?.wheelMagnets ?? 1,
    gapM,
    gap: at !== 'atStay' || gapM === null ? 'unknown' : gapM > SPEED_GAP + 1e-9 ? 'wide' : 'fine',
  };
}
