import type { Coast } from '../build/proving.ts';
import { GRAVITY } from '../constants.ts';
import { airDensity } from '../ride/roadLoad.ts';
import type { RideSystem } from '../ride/system.ts';

/** What coast-downs tell: rolling and drag area, each with one standard deviation, and how they go together. */
export interface CoastFit {
  crr: number;
  cdaM2: number;
  crrSd: number;
  cdaSd: number;
  /** How the two errors go together: near −1, one could be the other. */
  correlation: number;
  /** Slowings that were used, and how far they lie from the fit, m/s². */
  count: number;
  residual: number;
  /** Drag of the motor was taken off, N: one that freewheels has none. */
  dragN: number;
}

/** Speeds lower than this are left out: steering and the last rub outweigh the rest, m/s. Source: project. */
const LEAST_COAST = 1.2;
/** A slowing is taken over at least so long, s: over less, the reading's own steps drown it. Source: project. */
const LEAST_SPAN = 1.5;
/** Speeds must range over so much, m/s: over less, rolling and air are one figure. Source: project. */
const LEAST_RANGE = 2.5;

/** Slowing between readings far enough apart: middle speed, deceleration, grade and the wind's sign. */
function slowings(coast: Coast): { v: number; a: number; grade: number; s: number; span: number }[] {
  const out: { v: number; a: number; grade: number; s: number; span: number }[] = [];
  const points = [...coast.points].sort((a, b) => a.timeS - b.timeS);
  let from = points[0];
  for (const point of points.slice(1)) {
    if (!from) break;
    const span = point.timeS - from.timeS;
    if (span < LEAST_SPAN) continue;
    const v = (point.speedMs + from.speedMs) / 2;
    if (point.speedMs >= LEAST_COAST && from.speedMs > 0)
      out.push({
        v,
        a: (from.speedMs - point.speedMs) / span,
        grade: coast.grade ?? 0,
        s: coast.way === 'there' ? 1 : -1,
        span,
      });
    from = point;
  }
  return out;
}

/**
 * Fits rolling and drag area to coast-downs: m_e·a + m·g·sinθ… by least squares,
 *   (m + m_rot)·a = m·g·(Crr·cosθ + sinθ) + ½·ρ·CdA·(v + w)·|v + w| + drag,
 * with w the recorded wind, against on the way there and behind on the way back. Errors from the scatter of the
 * slowings about the fit. Null with fewer than two coasts, one each way, or where speeds do not range enough to tell
 * the two apart. Better than a tenth for each with speeds read to 0.3 m/s every two seconds from 25 km/h on.
 */
export function fitCoasts(coasts: readonly Coast[], system: RideSystem): CoastFit | null {
  if (!coasts.some((c) => c.way === 'there') || !coasts.some((c) => c.way === 'back')) return null;
  const { vehicle, air, motor } = system;
  const rho = airDensity(air.altitudeM, air.temperatureC);
  const slowed = coasts.flatMap(slowings);
  const speeds = slowed.map((r) => r.v);
  if (Math.max(...speeds) - Math.min(...speeds) < LEAST_RANGE) return null;
  const rows = slowed.map(({ v, a, grade, s, span }) => {
    const theta = Math.atan(grade);
    const va = v + s * air.headwindMs;
    const k = motor.reduction / vehicle.wheelRadiusM;
    const omega = k * v;
    const dragN = motor.freewheels || motor.place === 'mid' ? 0 : (motor.coulombNm + motor.viscousNmS * omega) * k;
    return {
      // What is left for rolling and air, N.
      y: (vehicle.massKg + vehicle.rotatingKg) * a - vehicle.massKg * GRAVITY * Math.sin(theta) - dragN,
      roll: vehicle.massKg * GRAVITY * Math.cos(theta),
      drag: 0.5 * rho * va * Math.abs(va),
      weight: span,
      dragN,
    };
  });
  if (rows.length < 4) return null;
  let rr = 0;
  let rd = 0;
  let dd = 0;
  let ry = 0;
  let dy = 0;
  for (const { y, roll, drag, weight } of rows) {
    rr += weight * roll * roll;
    rd += weight * roll * drag;
    dd += weight * drag * drag;
    ry += weight * roll * y;
    dy += weight * drag * y;
  }
  const det = rr * dd - rd * rd;
  // Speeds all alike: rolling and air cannot be told apart.
  if (!(det > 1e-6 * rr * dd)) return null;
  const crr = (ry * dd - dy * rd) / det;
  const cdaM2 = (dy * rr - ry * rd) / det;
  const scatter =
    rows.reduce((sum, { y, roll, drag, weight }) => sum + weight * (y - crr * roll - cdaM2 * drag) ** 2, 0) /
    (rows.length - 2);
  return {
    crr,
    cdaM2,
    crrSd: Math.sqrt((scatter * dd) / det),
    cdaSd: Math.sqrt((scatter * rr) / det),
    correlation: -rd / Math.sqrt(rr * dd),
    count: rows.length,
    residual: Math.sqrt(scatter / (rows.reduce((sum, r) => sum + r.weight, 0) / rows.length)) / vehicle.massKg,
    dragN: rows.reduce((sum, r) => sum + r.dragN, 0) / rows.length,
  };
}
