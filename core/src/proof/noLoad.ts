import { windingOhm } from '../drive/motor.ts';
import { packOhm, packVolts } from '../pack/battery.ts';
import type { RideSystem } from '../ride/system.ts';

/** The wheel in the air at full throttle. */
export interface NoLoad {
  /** Volts at rest, and with what it draws. */
  openV: number;
  volts: number;
  /** Motor's shaft, rad/s; the wheel, rad/s; at the tyre, m/s. */
  shaftRadS: number;
  wheelRadS: number;
  speedMs: number;
  /** In the winding, and out of the battery, A. */
  motorA: number;
  packA: number;
  packW: number;
}

/**
 * ω = (V − R·Tc/kt)/(kt + R·kv/kt), V the open volts at that charge less Rp·I and what it stands at; the wheel ω/G;
 * current in the winding (Tc + kv·ω)/kt. I is what the battery gives: (kt·ω·Im + R·Im²)/η + the standing watts, over V.
 * Settled in a few rounds; a mid-drive in the cog given. Winding at 20 °C. Source: models, §13.
 */
export function noLoad(system: RideSystem, charge: number, cog?: number): NoLoad {
  const { motor, controller, pack, vehicle } = system;
  const { ktNmPerA: kt, coulombNm: tc, viscousNmS: kv } = motor;
  const ohm = windingOhm(motor.resistanceOhm, 20);
  const openV = packVolts(pack, charge);
  const rp = packOhm(pack, charge);
  const ratio =
    motor.place === 'mid'
      ? (motor.reduction * (cog ?? (vehicle.cogs.at(-1) as number))) / vehicle.ring
      : motor.reduction;
  let packA = 0;
  let volts = openV;
  let shaft = 0;
  let motorA = 0;
  for (let round = 0; round < 40; round++) {
    volts = openV - rp * packA;
    shaft = Math.max(0, (volts - (ohm * tc) / kt) / (kt + (ohm * kv) / kt));
    motorA = (tc + kv * shaft) / kt;
    const watts = (kt * shaft * motorA + ohm * motorA ** 2) / controller.efficiency + controller.standingW;
    packA = watts / volts;
  }
  const wheelRadS = shaft / ratio;
  return {
    openV,
    volts,
    shaftRadS: shaft,
    wheelRadS,
    speedMs: wheelRadS * vehicle.wheelRadiusM,
    motorA,
    packA,
    packW: packA * volts,
  };
}
