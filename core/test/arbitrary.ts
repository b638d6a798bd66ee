import fc from 'fast-check';
import type { RideSystem, RouteSegment } from '../src/ride/system.ts';

/** Random but plausible systems: hubs and mid-drives, three chemistries, light and heavy. */
export const anySystem: fc.Arbitrary<RideSystem> = fc
  .record({
    place: fc.constantFrom('front' as const, 'rear' as const, 'mid' as const),
    freewheels: fc.boolean(),
    kt: fc.double({ min: 0.08, max: 0.3, noNaN: true }),
    ohm: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
    chemistry: fc.constantFrom('nmc' as const, 'lfp' as const, 'lead' as const),
    parallel: fc.integer({ min: 1, max: 6 }),
    mass: fc.double({ min: 70, max: 260, noNaN: true }),
    cda: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
    rider: fc.double({ min: 0, max: 220, noNaN: true }),
    wind: fc.double({ min: -6, max: 6, noNaN: true }),
    temperature: fc.double({ min: -15, max: 35, noNaN: true }),
    limit: fc.option(fc.double({ min: 4, max: 12, noNaN: true }), { nil: undefined }),
    regen: fc.option(fc.double({ min: 5, max: 40, noNaN: true }), { nil: undefined }),
    fixed: fc.boolean(),
    assist: fc.oneof(
      fc.constant(undefined),
      fc.record({ law: fc.constant('fill' as const) }),
      fc.record({ law: fc.constant('level' as const), levelW: fc.double({ min: 40, max: 700, noNaN: true }) }),
      fc.record({ law: fc.constant('proportional' as const), gain: fc.double({ min: 0.3, max: 4, noNaN: true }) }),
    ),
  })
  .map((r): RideSystem => {
    const direct = r.place !== 'mid' && !r.freewheels;
    return {
      motor: {
        place: r.place,
        ktNmPerA: direct ? r.kt * 4 : r.kt,
        resistanceOhm: r.ohm,
        coulombNm: direct ? 0.6 : 0.04,
        viscousNmS: direct ? 0.008 : 0.0001,
        reduction: r.place === 'mid' ? 21 : direct ? 1 : 5,
        gearEfficiency: direct ? 1 : 0.91,
        freewheels: !direct,
        heat: { windingJPerK: 280, caseJPerK: 2000, windingToCaseKPerW: 0.42, caseToAirKPerW: 0.5 },
        ...(direct && r.regen !== undefined ? { regenA: r.regen } : {}),
      },
      controller: {
        batteryLimitA: 20,
        phaseLimitA: 45,
        efficiency: 0.97,
        standingW: 4,
        ...(r.limit === undefined ? {} : { assistLimitMs: r.limit }),
      },
      pack: {
        chemistry: r.chemistry,
        series: r.chemistry === 'lead' ? 18 : r.chemistry === 'lfp' ? 15 : 13,
        parallel: r.parallel,
        cellAh: r.chemistry === 'nmc' ? 3 : 10,
        cellOhm: r.chemistry === 'nmc' ? 0.03 : 0.004,
        leadOhm: 0.02,
        cutoffVPerCell: r.chemistry === 'lead' ? 1.75 : r.chemistry === 'lfp' ? 2.6 : 3,
        usable: 0.95,
        health: 0.95,
      },
      vehicle: {
        massKg: r.mass,
        rotatingKg: 1.8,
        cdaM2: r.cda,
        crr: 0.008,
        wheelRadiusM: 0.34,
        ring: 42,
        cogs: [28, 24, 21, 18, 16, 14],
        fixedCog: r.fixed ? 18 : null,
        drivetrainEfficiency: 0.95,
      },
      rider: { powerW: r.rider, maxCadenceRpm: 110, ...(r.assist ? { assist: r.assist } : {}) },
      air: { altitudeM: 100, temperatureC: r.temperature, headwindMs: r.wind },
    };
  });

/** Random roads of a few kilometres, up and down, with stops. */
export const anyRoad: fc.Arbitrary<RouteSegment[]> = fc.array(
  fc.record({
    lengthM: fc.double({ min: 12, max: 400, noNaN: true }),
    grade: fc.double({ min: -0.12, max: 0.14, noNaN: true }),
    targetMs: fc.double({ min: 2, max: 11, noNaN: true }),
    stop: fc.boolean(),
  }),
  { minLength: 3, maxLength: 30 },
);
