import type { Conditions } from '../build/proving.ts';
import { CONDITION_ERROR, SPREAD, SURFACE_ROLLING } from '../constants.ts';
import { cellVolts } from '../pack/battery.ts';
import { ridesText, spreadInputs, toldFactors, type toldInputs, type Draw, type RidesSpread } from '../ride/spread.ts';
import type { RideSystem } from '../ride/system.ts';
import { systemOf } from '../vehicle/system.ts';
import type { PlanContext } from '../vehicle/context.ts';

/** Charge at which a pack rests at so many volts: the curve read backwards; clamped at both ends. */
export function chargeAtRest({ chemistry, series }: RideSystem['pack'], volts: number): number {
  const cell = volts / series;
  let low = 0;
  let high = 1;
  if (cell <= cellVolts(chemistry, 0)) return 0;
  if (cell >= cellVolts(chemistry, 1)) return 1;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (cellVolts(chemistry, middle) < cell) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What a test is foretold with: the vehicle on that day, and its charge. */
export interface DaySystem {
  system: RideSystem;
  charge: number;
}

/** The vehicle as the plan has it, under the conditions recorded. Null without kit and pack. */
export function systemOn(context: PlanContext, conditions: Conditions): DaySystem | null {
  if (!context.reckoning) return null;
  const planned = systemOf(context.build, context.asItWillBe);
  const { vehicle, air, pack } = planned;
  const { headwindMs, temperatureC, massKg, surface, cog, restV, charge } = conditions;
  return {
    system: {
      ...planned,
      vehicle: {
        ...vehicle,
        massKg: massKg ?? vehicle.massKg,
        crr: vehicle.crr + SURFACE_ROLLING[surface ?? 'asphalt'],
        fixedCog: cog ?? vehicle.fixedCog,
      },
      air: {
        ...air,
        headwindMs: headwindMs ?? air.headwindMs,
        temperatureC: temperatureC ?? air.temperatureC,
      },
    },
    charge: restV === null ? (charge ?? 1) : chargeAtRest(pack, restV),
  };
}

/** Something the day does not tell exactly: how it moves what is foretold by one standard deviation. */
export interface Unsure {
  id: 'dragArea' | 'rolling' | 'wind' | 'legs' | 'temperature' | 'load' | 'health' | 'charge';
  words: string;
  moved: (on: DaySystem, z: number) => DaySystem;
}

/** What is unsure under some conditions: as in every plan, less where it was looked at. */
export function unsureOf(conditions: Conditions, told?: RidesSpread): Unsure[] {
  const { headwindMs, temperatureC, massKg, restV, charge } = conditions;
  const wind = headwindMs === null ? SPREAD.windMs : CONDITION_ERROR.windMs;
  const kelvin = temperatureC === null ? SPREAD.temperatureK : CONDITION_ERROR.temperatureK;
  const load = massKg === null ? SPREAD.load : CONDITION_ERROR.mass;
  const gauge = charge === null ? CONDITION_ERROR.unlooked : CONDITION_ERROR.gauge;
  const percent = (share: number): string => `±${Number((share * 100).toFixed(1))} %`;
  const on = (words: string, id: Unsure['id'], moved: Unsure['moved']): Unsure => ({ id, words, moved });
  const vehicle = (d: DaySystem, change: Partial<RideSystem['vehicle']>): DaySystem => ({
    ...d,
    system: { ...d.system, vehicle: { ...d.system.vehicle, ...change } },
  });
  const still = Object.fromEntries(spreadInputs.map((i) => [i, 0])) as Draw;
  // After rides one of these moves all four, as far as rides leave them open together.
  const factor = (input: (typeof toldInputs)[number], id: Unsure['id'], words: string): Unsure =>
    on(told ? `${words}, from ${ridesText(told.rides)}` : `${words} ${percent(SPREAD[input])}`, id, (d, z) => {
      const [drag, rolling, legs, health] = toldFactors({ ...still, [input]: z }, told);
      const { system } = d;
      return {
        ...d,
        system: {
          ...system,
          vehicle: { ...system.vehicle, cdaM2: system.vehicle.cdaM2 * drag, crr: system.vehicle.crr * rolling },
          rider: { ...system.rider, powerW: system.rider.powerW * legs },
          pack: { ...system.pack, health: Math.min(1, system.pack.health * health) },
        },
      };
    });
  return [
    factor('dragArea', 'dragArea', 'air drag'),
    factor('rolling', 'rolling', 'rolling'),
    on(`wind ±${wind} m/s`, 'wind', (d, z) => ({
      ...d,
      system: { ...d.system, air: { ...d.system.air, headwindMs: d.system.air.headwindMs + wind * z } },
    })),
    factor('riderPower', 'legs', 'legs'),
    on(`temperature ±${kelvin} K`, 'temperature', (d, z) => ({
      ...d,
      system: { ...d.system, air: { ...d.system.air, temperatureC: d.system.air.temperatureC + kelvin * z } },
    })),
    on(`mass ${percent(load)}`, 'load', (d, z) => vehicle(d, { massKg: d.system.vehicle.massKg * (1 + load * z) })),
    factor('health', 'health', 'battery’s health'),
    restV === null
      ? on(`charge ${percent(gauge)}`, 'charge', (d, z) => ({
          ...d,
          charge: Math.max(0, Math.min(1, d.charge + gauge * z)),
        }))
      : on(`volts at rest ${percent(CONDITION_ERROR.volts)}`, 'charge', (d, z) => ({
          ...d,
          charge: chargeAtRest(d.system.pack, restV * (1 + CONDITION_ERROR.volts * z)),
        })),
  ];
}
