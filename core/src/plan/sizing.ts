import { neededRange } from '../build/brief.ts';
import {
  AGEING,
  CLIMB_AT_LEAST,
  GRAVITY,
  OVERALL_EFFICIENCY,
  RING_TORQUE_SHARE,
  SAG_ALLOWANCE,
  SIZING_MARGIN,
} from '../constants.ts';
import { coldFactor, fullVolts, nominalVolts, nominalWh } from '../pack/battery.ts';
import { voltsSuit } from '../pack/volts.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { airDensity, roadLoad } from '../ride/roadLoad.ts';
import { startGrade, steadySpeed } from '../ride/steady.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { reckon } from '../vehicle/reckon.ts';
import { assistLimit, systemOf } from '../vehicle/system.ts';

/** One thing the need asks for at least, or at most, and what sets it. */
export interface Need {
  id: 'energy' | 'volts' | 'batteryAmps' | 'torque' | 'power' | 'lowestGear';
  label: string;
  value: { si: number; dimension: Parameters<typeof amount>[1] };
  atMost: boolean;
  setBy: Phrase;
}

/** A part of the shelf against the need; what it misses, empty where it meets all. */
export interface Meets {
  id: string;
  name: string;
  misses: Phrase[];
  price: number;
}

export interface Sizing {
  needs: Need[];
  kits: Meets[];
  packs: Meets[];
}

/**
 * Backwards from the wanted range, hills and load to the least energy, volts, amps, torque, power and
 * the largest lowest gear that satisfy them, each with what sets it, and the shelf's parts held against
 * that. Energy by the ride model's own use with the chosen or a middling kit; forces by the road load.
 */
export function sizeBackwards(context: PlanContext): Sizing | null {
  const { build, chosen, shelf, steepest } = context;
  const kit = chosen.kit ?? shelf.kit.find((k) => k.hub?.place === 'rear') ?? shelf.kit[0];
  const pack =
    chosen.pack && kit && fullVolts(chosen.pack) <= kit.controller.maxVolts
      ? chosen.pack
      : shelf.pack.find((p) => kit !== undefined && voltsSuit(kit, p));
  if (!kit || !pack) return null;
  const sized = context.with(kit, pack);
  const r = reckon(build, sized.asItWillBe, sized.road);
  const { brief } = build;
  const { vehicle, air } = r.system;
  const rho = airDensity(air.altitudeM, air.temperatureC);
  const legs = r.system.rider.powerW * vehicle.drivetrainEfficiency;

  const need = neededRange(build.brief);
  const perM = r.toEmpty.whPerKm / 1000;
  const cold = coldFactor(pack.chemistry, brief.temperatureC);
  const energy = (need * perM) / pack.usable / cold / (1 - AGEING);

  const cruise = Math.min(brief.cruiseMs, assistLimit(build, { kit }) ?? Infinity);
  const flat = roadLoad(
    cruise,
    0,
    vehicle.massKg,
    vehicle.cdaM2,
    vehicle.crr,
    rho,
    Math.max(0, brief.headwindMs),
  ).total;
  const climb = roadLoad(CLIMB_AT_LEAST, steepest, vehicle.massKg, vehicle.cdaM2, vehicle.crr, rho, 0).total;
  const climbW = Math.max(0, climb * CLIMB_AT_LEAST - legs);
  const flatW = Math.max(0, flat * cruise - legs);
  const powerW = Math.max(climbW, flatW) * SIZING_MARGIN;
  const startN = vehicle.massKg * GRAVITY * (Math.sin(Math.atan(steepest)) + vehicle.crr);
  const torque = startN * vehicle.wheelRadiusM * SIZING_MARGIN;
  // The motor's own volts at cruise, plus a sixth for sag and the pack half empty.
  const k =
    r.system.motor.place === 'mid'
      ? (r.system.motor.reduction * Math.min(...vehicle.cogs)) / vehicle.ring
      : r.system.motor.reduction;
  const volts = ((r.system.motor.ktNmPerA * k * cruise) / vehicle.wheelRadiusM) * SAG_ALLOWANCE;
  const amps = powerW / OVERALL_EFFICIENCY / Math.max(1, nominalVolts(pack));

  const needs: Need[] = [
    {
      id: 'energy',
      label: 'Energy, new and full',
      value: { si: energy, dimension: 'energy' },
      atMost: false,
      setBy: phrase`${amount(need, 'way', 0)} with the reserve at ${amount(perM, 'energyPerWay')}, ${amount(pack.usable, 'share')} usable, cold ${amount(cold, 'share')}, ${amount(AGEING, 'share')} kept for ageing`,
    },
    {
      id: 'volts',
      label: 'Volts, at the motor’s winding',
      value: { si: volts, dimension: 'voltage' },
      atMost: false,
      setBy: phrase`${amount(cruise, 'speed', 0)} with ${kit.name}’s winding, and a sixth for sag`,
    },
    {
      id: 'batteryAmps',
      label: 'Battery current',
      value: { si: amps, dimension: 'current' },
      atMost: false,
      setBy:
        climbW > flatW
          ? phrase`the steepest ${amount(steepest, 'grade')} at ${amount(CLIMB_AT_LEAST, 'speed', 0)}`
          : phrase`cruising at ${amount(cruise, 'speed', 0)} into the wind`,
    },
    {
      id: 'torque',
      label: 'Torque at the wheel, to start',
      value: { si: torque, dimension: 'torque' },
      atMost: false,
      setBy: phrase`a start from rest on ${amount(steepest, 'grade')} with ${amount(vehicle.massKg, 'mass', 0)}, motor alone`,
    },
    {
      id: 'power',
      label: 'Power at the wheel',
      value: { si: powerW, dimension: 'power' },
      atMost: false,
      setBy:
        climbW > flatW
          ? phrase`the steepest ${amount(steepest, 'grade')} at ${amount(CLIMB_AT_LEAST, 'speed', 0)}, less the legs`
          : phrase`cruising at ${amount(cruise, 'speed', 0)}, less the legs`,
    },
  ];
  if (kit.mid) {
    const crankTorque =
      r.system.motor.ktNmPerA * r.system.controller.phaseLimitA * r.system.motor.reduction * RING_TORQUE_SHARE;
    needs.push({
      id: 'lowestGear',
      label: 'Ring ÷ biggest cog',
      value: { si: (crankTorque * SIZING_MARGIN) / Math.max(1, torque), dimension: 'ratio' },
      atMost: true,
      setBy: phrase`${amount(crankTorque, 'torque')} at the ring must give ${amount(torque, 'torque')} at the wheel`,
    });
  }

  const kits = shelf.kit.map((k2): Meets => {
    const p = shelf.pack.find((x) => voltsSuit(k2, x)) ?? null;
    if (!p) return { id: k2.id, name: k2.name, price: k2.price, misses: [phrase`no pack of its volts on the shelf`] };
    const system = systemOf(build, context.with(k2, p).asItWillBe);
    const misses: Phrase[] = [];
    const starts = Math.min(startGrade(system), context.with(k2, p).startCap.grade);
    if (starts < steepest) misses.push(phrase`starts on ${amount(starts, 'grade')} of ${amount(steepest, 'grade')}`);
    const holds = steadySpeed(system, steepest, 0.5).speedMs;
    if (steepest > 0.01 && holds < CLIMB_AT_LEAST)
      misses.push(phrase`holds ${amount(holds, 'speed')} on it, ${amount(CLIMB_AT_LEAST, 'speed', 0)} wanted`);
    const top = steadySpeed(system, 0, 0.5).speedMs;
    if (top < cruise * 0.985) misses.push(phrase`runs out at ${amount(top, 'speed')} of ${amount(cruise, 'speed', 0)}`);
    return { id: k2.id, name: k2.name, price: k2.price, misses };
  });
  const packs = shelf.pack.map((p): Meets => {
    const misses: Phrase[] = [];
    const wh = nominalWh(p);
    if (!voltsSuit(kit, p))
      misses.push(
        phrase`${amount(nominalVolts(p), 'voltage', 0)}, and ${kit.name} takes ${amount(kit.nominalVolts, 'voltage', 0)}`,
      );
    const usable = wh * p.usable * coldFactor(p.chemistry, brief.temperatureC) * (1 - AGEING);
    if (usable < need * perM)
      misses.push(phrase`${amount(need * perM - usable, 'energy')} short of the range when aged and cold`);
    const gives = p.cellContinuousA === null ? null : p.parallel * p.cellContinuousA;
    if (gives === null) misses.push(phrase`nobody knows its amps`);
    else if (gives < amps) misses.push(phrase`${amount(gives, 'current', 0)} of ${amount(amps, 'current', 0)}`);
    return { id: p.id, name: p.name, price: p.price, misses };
  });
  const best = (a: Meets, b: Meets): number => a.misses.length - b.misses.length || a.price - b.price;
  return { needs, kits: kits.sort(best), packs: packs.sort(best) };
}
