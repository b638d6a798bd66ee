import { expect } from 'chai';
import fc from 'fast-check';
import { anyRoad, anySystem } from '../../test/arbitrary.ts';
import { currentLimits, foldBack, windingOhm } from '../drive/motor.ts';
import { ampsForWatts, cellVolts, coldFactor, countedAmps, packOhm, packVolts } from '../pack/battery.ts';
import { airDensity, roadLoad } from './roadLoad.ts';
import { cutRoute, emptyTrace, simulate } from './simulate.ts';
import { cadenceFade, fullDrive, startGrade, steadyLoad, steadySpeed } from './steady.ts';
import { counted } from '../../test/counted.ts';

describe('ride model', () => {
  it('balances its energy on every route: battery out = wheel work + each loss, less what came back', () => {
    fc.assert(
      fc.property(anySystem, anyRoad, (system, road) => {
        const { account: a } = simulate(system, road, { repeat: false });
        const sum = a.wheel + a.copper + a.gear + a.motorMechanical + a.controller + a.standing - a.regenerated;
        expect(Math.abs(sum - a.battery)).to.be.at.most(0.001 * Math.max(1, Math.abs(a.battery)));
        for (const [name, part] of Object.entries(a)) if (name !== 'battery') expect(part, name).to.be.at.least(-1e-6);
      }),
      { numRuns: 150 },
    );
  });

  it('draws what the pack gives: charge used times volts covers the energy out and the loss inside', () => {
    fc.assert(
      fc.property(
        anySystem.filter((s) => s.pack.chemistry !== 'lead'),
        anyRoad,
        (system, road) => {
          const r = simulate(system, road, { repeat: false });
          const ah =
            system.pack.parallel *
            system.pack.cellAh *
            coldFactor(system.pack.chemistry, system.air.temperatureC) *
            system.pack.health;
          const joules = r.account.battery + r.account.packInternal;
          const mean = joules / (Math.abs(1 - r.endCharge) * ah * 3600);
          if (1 - r.endCharge > 0.001) {
            expect(mean).to.be.within(packVolts(system.pack, 0) * 0.98, packVolts(system.pack, 1) * 1.02);
          }
        },
      ),
      { numRuns: 80 },
    );
  });

  it('gives the same answer for the same input', () => {
    fc.assert(
      fc.property(anySystem, anyRoad, (system, road) => {
        expect(simulate(system, road, { repeat: false })).to.deep.equal(simulate(system, road, { repeat: false }));
      }),
      { numRuns: 20 },
    );
  });

  it('goes less far with more mass, and further with a bigger pack', () => {
    fc.assert(
      fc.property(anySystem, fc.double({ min: 5, max: 60, noNaN: true }), (system, more) => {
        const road = [{ lengthM: 1000, grade: 0.02, targetMs: 5, stop: true }];
        // Under a level a heavier vehicle may climb slower and so go further: asked of legs first, as of a frugal rider.
        const run = (s: typeof system): number =>
          simulate({ ...s, rider: { ...s.rider, assist: undefined } }, road, { repeat: true }).distanceM;
        const base = run(system);
        expect(run({ ...system, vehicle: { ...system.vehicle, massKg: system.vehicle.massKg + more } })).to.be.at.most(
          base + 20,
        );
        expect(run({ ...system, pack: { ...system.pack, parallel: system.pack.parallel + 1 } })).to.be.at.least(
          base - 20,
        );
      }),
      { numRuns: 25 },
    );
  });

  it('its loop and its written-out formulas agree', () => {
    // One 10 m step from the speed after a stop, against the formulas one by one.
    fc.assert(
      fc.property(anySystem, fc.double({ min: -0.05, max: 0.1, noNaN: true }), (system, grade) => {
        const one = { ...system, controller: { ...system.controller, assistLimitMs: undefined } };
        const r = simulate(one, [{ lengthM: 10, grade, targetMs: 8, stop: true }], { repeat: false });
        const v = 0.5;
        const drive = fullDrive(one, v, 1, one.air.temperatureC);
        const load = steadyLoad(one, v, grade, drive.dragN);
        const mEff = one.vehicle.massKg + one.vehicle.rotatingKg;
        const wanted = load + mEff * Math.min(0.8, (64 - 0.25) / 20);
        const { assist } = one.rider;
        const asked = Math.max(0, wanted);
        const most = assist?.law === 'level' ? Math.min(drive.motorN, assist.levelW) : drive.motorN;
        const first =
          assist?.law === 'level'
            ? 0
            : Math.min(drive.riderN, assist?.law === 'proportional' ? asked / (1 + assist.gain) : asked);
        const pull = Math.min(most, asked - first, assist?.law === 'proportional' ? assist.gain * first : Infinity);
        const legs = Math.min(asked - pull, drive.riderN);
        expect(r.account.rider).to.be.closeTo(legs * v * r.timeS, 1e-6 + legs * 1e-6);
        expect(r.account.wheel).to.be.closeTo(pull * v * r.timeS, 1e-6 + pull * 1e-6);
      }),
      { numRuns: 100 },
    );
  });

  it('holds a steady speed where full force meets the load', () => {
    fc.assert(
      fc.property(anySystem, fc.double({ min: 0, max: 0.1, noNaN: true }), (system, grade) => {
        const s = steadySpeed(system, grade, 1);
        if (s.speedMs === 0) return;
        const force = (v: number): number => {
          const d = fullDrive(system, v, 1);
          return d.motorN + d.riderN - steadyLoad(system, v, grade, d.dragN);
        };
        expect(force(s.speedMs - 2e-6)).to.be.greaterThan(-0.01);
        expect(force(s.speedMs + 1e-5)).to.be.lessThan(0.01);
      }),
      { numRuns: 100 },
    );
  });

  it('climbs slower on steeper hills', () => {
    fc.assert(
      fc.property(anySystem, fc.double({ min: 0, max: 0.1, noNaN: true }), (system, grade) => {
        expect(steadySpeed(system, grade + 0.02, 1).speedMs).to.be.at.most(
          steadySpeed(system, grade, 1).speedMs + 1e-5,
        );
      }),
      { numRuns: 60 },
    );
  });

  it('starts on grades a smaller ring lets it, and passes with a run-up what stalls it from rest', () => {
    const system = {
      motor: {
        place: 'mid' as const,
        ktNmPerA: 0.13,
        resistanceOhm: 0.22,
        coulombNm: 0.04,
        viscousNmS: 0.00008,
        reduction: 22,
        gearEfficiency: 0.9,
        freewheels: true,
        heat: { windingJPerK: 300, caseJPerK: 2500, windingToCaseKPerW: 0.4, caseToAirKPerW: 0.45 },
      },
      controller: { batteryLimitA: 15, phaseLimitA: 32, efficiency: 0.97, standingW: 4 },
      pack: {
        chemistry: 'nmc' as const,
        series: 10,
        parallel: 4,
        cellAh: 3.2,
        cellOhm: 0.032,
        leadOhm: 0.02,
        cutoffVPerCell: 3,
        usable: 0.95,
        health: 1,
      },
      vehicle: {
        massKg: 110,
        rotatingKg: 1.8,
        cdaM2: 0.6,
        crr: 0.008,
        wheelRadiusM: 0.34,
        ring: 44,
        cogs: [28],
        fixedCog: null,
        drivetrainEfficiency: 0.95,
      },
      rider: { powerW: 0, maxCadenceRpm: 110 },
      air: { altitudeM: 0, temperatureC: 20, headwindMs: 0 },
    };
    const tall = startGrade(system);
    const small = startGrade({ ...system, vehicle: { ...system.vehicle, ring: 28 } });
    expect(small).to.be.greaterThan(tall * 1.4);
    const hill = [{ lengthM: 20, grade: tall + 0.02, targetMs: 7, stop: true }];
    const runUp = [
      { lengthM: 200, grade: 0, targetMs: 7, stop: true },
      { lengthM: 20, grade: tall + 0.02, targetMs: 7, stop: false },
    ];
    expect(simulate(system, hill, { repeat: false }).walkSteps).to.be.greaterThan(0);
    expect(simulate(system, runUp, { repeat: false }).walkSteps).to.equal(0);
  });

  it('gives back on a descent only with a motor that brakes, above 10 km/h, below 95 % and above freezing', () => {
    const met = counted();
    fc.assert(
      fc.property(anySystem, (system) => {
        const down = [{ lengthM: 3000, grade: -0.07, targetMs: 7, stop: false }];
        const r = simulate(system, down, { repeat: false, startCharge: 0.6 });
        const may = !system.motor.freewheels && system.motor.regenA !== undefined && system.air.temperatureC >= 0;
        if (!may && met()) expect(r.account.regenerated).to.equal(0);
        const full = simulate(system, [{ lengthM: 20, grade: -0.07, targetMs: 7, stop: false }], {
          repeat: false,
          startCharge: 1,
        });
        expect(full.account.regenerated).to.equal(0);
      }),
      { numRuns: 60 },
    );
    met.enough();
  });

  it('cuts segments into the least number of equal steps of at most 10 m', () => {
    const steps = cutRoute(
      [
        { lengthM: 25, grade: 0, targetMs: 5, stop: true },
        { lengthM: 30, grade: 0.01, targetMs: 5, stop: false },
      ],
      0,
    );
    expect(steps.count).to.equal(6);
    expect(steps.lengthM[0]).to.be.closeTo(25 / 3, 1e-12);
    expect(steps.lengthM[3]).to.equal(10);
    expect([...steps.stop]).to.deep.equal([1, 0, 0, 0, 0, 0]);
  });

  it('uses what riders recognise: an easy rider on a 36 V geared hub takes 3 to 6 Wh/km at 17 to 20 km/h', () => {
    const system = {
      motor: {
        place: 'rear' as const,
        ktNmPerA: 0.26,
        resistanceOhm: 0.2,
        coulombNm: 0.04,
        viscousNmS: 0.0001,
        reduction: 5,
        gearEfficiency: 0.92,
        freewheels: true,
        heat: { windingJPerK: 250, caseJPerK: 1800, windingToCaseKPerW: 0.45, caseToAirKPerW: 0.6 },
      },
      controller: { batteryLimitA: 15, phaseLimitA: 30, efficiency: 0.97, standingW: 4 },
      pack: {
        chemistry: 'nmc' as const,
        series: 10,
        parallel: 4,
        cellAh: 3.2,
        cellOhm: 0.032,
        leadOhm: 0.02,
        cutoffVPerCell: 3,
        usable: 0.95,
        health: 1,
      },
      vehicle: {
        massKg: 95,
        rotatingKg: 1.8,
        cdaM2: 0.55,
        crr: 0.007,
        wheelRadiusM: 0.34,
        ring: 42,
        cogs: [24, 18, 14],
        fixedCog: null,
        drivetrainEfficiency: 0.95,
      },
      rider: { powerW: 50, maxCadenceRpm: 110 },
      air: { altitudeM: 50, temperatureC: 15, headwindMs: 0 },
    };
    for (const kmh of [17, 20]) {
      const r = simulate(system, [{ lengthM: 2000, grade: 0, targetMs: kmh / 3.6, stop: true }], { repeat: true });
      expect(r.whPerKm, `${kmh} km/h`).to.be.within(1.5, 6);
    }
  });
});

describe('the heat of a motor', () => {
  it('never falls under the air nor grows without end, however light its parts or however well joined', () => {
    const light = fc.double({ min: 1e-6, max: 100, noNaN: true });
    const joint = fc.double({ min: 1e-4, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        anySystem,
        anyRoad,
        fc.record({ windingJPerK: light, caseJPerK: light, windingToCaseKPerW: joint, caseToAirKPerW: joint }),
        (system, road, heat) => {
          const trace = emptyTrace();
          simulate({ ...system, motor: { ...system.motor, heat } }, road, { repeat: false, trace });
          const [least, most] = [Math.min(...trace.windingC), Math.max(...trace.windingC)];
          expect(least).to.be.at.least(system.air.temperatureC - 1e-6);
          expect(most).to.be.at.most(2000);
        },
      ),
    );
  });
});

describe('the parts of the model', () => {
  it('air thins with height and warmth', () => {
    expect(airDensity(0, 15)).to.be.closeTo(1.225, 0.001);
    expect(airDensity(1500, 15)).to.be.lessThan(airDensity(0, 15));
    expect(airDensity(0, 30)).to.be.lessThan(airDensity(0, 0));
  });
  it('a tailwind faster than the rider pushes', () => {
    expect(roadLoad(3, 0, 90, 0.6, 0.007, 1.2, -8).air).to.be.lessThan(0);
  });
  it('copper, cells and cold follow their tables', () => {
    expect(windingOhm(0.1, 120)).to.be.closeTo(0.1393, 1e-6);
    expect(cellVolts('nmc', 0.55)).to.be.closeTo(3.745, 1e-9);
    expect(cellVolts('lead', 1)).to.equal(2.13);
    expect(cellVolts('lfp', -1)).to.equal(2.6);
    expect(coldFactor('lfp', -5)).to.be.closeTo(0.76, 1e-9);
    expect(coldFactor('nmc', 40)).to.equal(1);
    expect(coldFactor('lead', -40)).to.equal(0.45);
    expect(foldBack(110)).to.equal(1);
    expect(foldBack(125)).to.equal(0.5);
    expect(foldBack(150)).to.equal(0);
    expect(cadenceFade(105, 110)).to.equal(0.5);
  });
  it('lead-acid charge is counted dearer above the 20-hour rate', () => {
    const lead = {
      chemistry: 'lead' as const,
      series: 18,
      parallel: 1,
      cellAh: 18,
      cellOhm: 0.003,
      leadOhm: 0.03,
      cutoffVPerCell: 1.75,
      usable: 0.8,
      health: 1,
    };
    expect(countedAmps(lead, 0.9, 18)).to.equal(0.9);
    expect(countedAmps(lead, 9, 18)).to.be.closeTo(9 * 10 ** 0.18, 1e-9);
    expect(packOhm(lead, 0)).to.be.closeTo(18 * 0.003 * 2.5 + 0.03, 1e-9);
  });
  it('the least of three ceilings holds the motor, and is named', () => {
    const motor = { ktNmPerA: 0.26 };
    const controller = { batteryLimitA: 15, phaseLimitA: 30, efficiency: 0.97, standingW: 4 };
    expect(currentLimits(motor, controller, 0, 0.2, 40, 0.1).limit).to.equal('phase current');
    expect(currentLimits(motor, controller, 100, 0.2, 40, 0.1).limit).to.equal('battery current');
    const fast = currentLimits(motor, controller, 145, 0.2, 40, 0.1);
    expect(fast.limit).to.equal('out of volts');
    expect(fast.amps).to.equal(Math.min(fast.phase, fast.volts, fast.battery));
    expect(currentLimits(motor, controller, 400, 0.2, 40, 0.1).amps).to.equal(0);
  });
  it('battery amps for a power give that power back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 60, noNaN: true }),
        fc.double({ min: 0.02, max: 0.3, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (volts, ohm, watts) => {
          const amps = ampsForWatts(volts, ohm, watts);
          expect((volts - amps * ohm) * amps).to.be.closeTo(watts, 1e-6 + watts * 1e-9);
        },
      ),
    );
  });
});
