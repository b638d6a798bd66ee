import { RESTS_ON_LEGS } from '../constants.ts';
import { neededRange } from '../build/brief.ts';
import { capacityAh, nominalWh, packVolts } from '../pack/battery.ts';
import { legalClass } from '../parts/law.ts';
import { amount, phrase } from '../quantity/format.ts';
import { airDensity, roadLoad } from '../ride/roadLoad.ts';
import { steadyLoad, type SteadySpeed } from '../ride/steady.ts';
import type { RideSystem } from '../ride/system.ts';
import { helpOf, helpWords } from '../vehicle/assist.ts';
import { ridesText } from '../ride/spread.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { legsShare } from '../vehicle/reckon.ts';
import type { WantKind } from '../work/wanted.ts';
import type { Figure, SumLine } from './figure.ts';
import type { Money } from './money.ts';
import { startFigure } from './startFigure.ts';
import { waiting } from './waiting.ts';

/** The tally's figures; those that wait for a choice say so. */
export function tallyFigures(context: PlanContext, money: Money): Figure[] {
  return [
    rangeFigure(context),
    topSpeedFigure(context),
    startFigure(context),
    climbFigure(context),
    massFigure(context),
    priceFigure(money),
  ];
}

function rangeFigure(context: PlanContext): Figure {
  const { build, kit, pack: chosenPack, reckoning: r, band } = context;
  const label = build.brief.thereAndBack ? 'Range, there and back' : 'Range';
  if (!r || !band || !kit || !chosenPack) return waiting('range', label, context);
  const need = neededRange(build.brief);
  const { pack } = r.system;
  const e = r.toEmpty;
  const wh = (j: number): ReturnType<typeof amount> => amount(j / 3600, 'energy');
  const model = 'ride model';
  const legs = legsShare(e);
  const sum: SumLine[] = [
    {
      label: context.chosen.packAlone === context.chosen.pack ? 'Pack, as sold' : 'Packs joined',
      value: amount(nominalWh(pack), 'energy'),
      from: chosenPack.name,
    },
    {
      label: `Capacity at ${Math.round(r.system.air.temperatureC)} °C`,
      value: amount(capacityAh(pack, r.system.air.temperatureC), 'charge'),
      from: 'cold table × health',
    },
    { label: 'Usable share', value: amount(pack.usable, 'share'), from: 'pack data' },
    { label: 'Out of the terminals', value: amount(e.energyWh, 'energy'), from: model },
    { label: 'of it at the tyre', value: wh(e.account.wheel), from: model },
    { label: 'lost as winding heat', value: wh(e.account.copper), from: model },
    { label: 'lost in gears and motor drag', value: wh(e.account.gear + e.account.motorMechanical), from: model },
    { label: 'lost in controller and lamps', value: wh(e.account.controller + e.account.standing), from: model },
    ...(e.account.regenerated > 0
      ? [{ label: 'won back braking', value: wh(e.account.regenerated), from: model }]
      : []),
    { label: 'Rider adds at the tyre', value: wh(e.account.rider), from: model },
    { label: 'Legs’ share of the work', value: amount(legs, 'share'), from: helpWords(helpOf(build, kit, r.system)) },
    { label: 'Use', value: amount(e.whPerKm / 1000, 'energyPerWay'), from: 'energy ÷ distance' },
    { label: 'Distance to empty', value: amount(e.distanceM, 'way'), from: `${r.toEmpty.steps} steps of at most 10 m` },
    ...band.causes.slice(0, 4).map((cause) => ({
      label: `Spread from ${cause.label}`,
      value: amount(cause.share, 'share', 1),
      from: 'one pass with it moved',
    })),
  ];
  return {
    id: 'range',
    label,
    value: band.hardly ? null : amount(band.midM, 'way', 0),
    ...(band.hardly
      ? {}
      : {
          band: { low: amount(band.lowM, 'way', 0), high: amount(band.highM, 'way', 0), need: amount(need, 'way', 0) },
        }),
    note: band.hardly
      ? phrase`the motor hardly works: not a range; legs do ${amount(legs, 'share')} of the work`
      : [
          ...phrase`${amount(need, 'way', 0)} needed; ${amount(e.whPerKm / 1000, 'energyPerWay')}; `,
          ...(legs > RESTS_ON_LEGS
            ? phrase`it rests on the legs for ${amount(legs, 'share')} of the work`
            : phrase`legs do ${amount(legs, 'share')} of the work`),
          ...(build.tuned.rides ? [`; from ${ridesText(build.tuned.rides.count)}`] : []),
        ],
    limit: e.end,
    formula:
      'The road is ridden again and again until the usable charge is gone or the sagging volts meet the cut-off. Band: one ride in ten ends before it, one in ten after.',
    sum,
  };
}

function speedSum(system: RideSystem, s: SteadySpeed): SumLine[] {
  const { vehicle, air, pack } = system;
  const load = roadLoad(
    s.speedMs,
    s.grade,
    vehicle.massKg,
    vehicle.cdaM2,
    vehicle.crr,
    airDensity(air.altitudeM, air.temperatureC),
    air.headwindMs,
  );
  return [
    {
      label: 'Motor pulls',
      value: amount(s.drive.motorN, 'force', 1),
      from: `${s.drive.limit}, ${s.drive.motorAmps.toFixed(1)} A in the winding`,
    },
    {
      label: 'Rider pulls',
      value: amount(s.drive.riderN, 'force', 1),
      from: `${Math.round(s.drive.cadenceRpm)} rpm on ${vehicle.ring}/${Number(s.drive.cog.toFixed(1))}`,
    },
    { label: 'Air resists', value: amount(load.air, 'force', 1), from: '½·ρ·CdA·v²' },
    { label: 'Rolling resists', value: amount(load.rolling, 'force', 1), from: 'm·g·Crr' },
    { label: 'Hill resists', value: amount(load.climb, 'force', 1), from: 'm·g·sin θ' },
    ...(s.drive.dragN > 0
      ? [{ label: 'Motor drags', value: amount(s.drive.dragN, 'force', 1), from: 'it cannot freewheel' }]
      : []),
    { label: 'Pack at rest', value: amount(packVolts(pack, s.charge), 'voltage'), from: 'full' },
  ];
}

const SPEED_FORMULA =
  'Going up from rest, the first speed at which motor and rider together no longer exceed air, rolling, hill and drag; winding at 20 °C.';

function topSpeedFigure(context: PlanContext): Figure {
  const { build, reckoning: r, laws } = context;
  const label = 'Fast on the flat';
  if (!r) return waiting('topSpeed', label, context);
  const law = legalClass(build.brief.legalClass, laws);
  const limit = r.system.controller.assistLimitMs;
  return {
    id: 'topSpeed',
    label,
    value: amount(r.top.speedMs, 'speed'),
    note:
      limit === undefined
        ? phrase`${r.top.drive.limit}${law === undefined || law.assistMs === null ? '' : '; no assist limit set'}`
        : phrase`assist ends at ${amount(limit, 'speed', 0)}; legs and road set the rest`,
    limit: r.top.drive.limit,
    formula: SPEED_FORMULA,
    sum: speedSum(r.system, r.top),
  };
}

function climbFigure(context: PlanContext): Figure {
  const { reckoning: r } = context;
  if (!r) return waiting('climb', 'Steady climb', context);
  const held = r.climb.speedMs > 0;
  return {
    id: 'climb',
    label: `Holds on ${(r.climbGrade * 100).toFixed(r.climbGrade * 100 >= 10 ? 0 : 1)} %`,
    value: amount(r.climb.speedMs, 'speed'),
    note: held
      ? phrase`${r.climb.drive.limit}; winding at most ${amount(r.toEmpty.maxWindingC, 'temperature')} on the road`
      : phrase`cannot move there, even with the rider`,
    limit: r.climb.drive.limit,
    formula: SPEED_FORMULA,
    sum: [
      ...speedSum(r.hill, r.climb),
      {
        label: 'Force wanted',
        value: amount(steadyLoad(r.hill, r.climb.speedMs, r.climbGrade, r.climb.drive.dragN), 'force', 1),
        from: 'sum of the resists',
      },
    ],
  };
}

function massFigure({ build, kit, asItWillBe, onWheelsKg }: PlanContext): Figure {
  const { masses: lines, massKg: total } = asItWillBe;
  // The vehicle bears what stands on its own wheels; the kit pulls all of it.
  const own = build.donor.survey.loadLimit?.value;
  const limits = [
    ...(own === undefined ? [] : [{ kg: own, loadKg: onWheelsKg }]),
    ...(kit?.systemLimitKg === undefined ? [] : [{ kg: kit.systemLimitKg, loadKg: total }]),
  ].sort((a, b) => a.kg - a.loadKg - (b.kg - b.loadKg));
  const least = limits[0] ?? null;
  return {
    id: 'mass',
    label: 'All that moves',
    value: amount(total, 'mass'),
    note:
      least === null
        ? phrase`load limit not known yet`
        : least.kg >= least.loadKg
          ? phrase`${amount(least.kg - least.loadKg, 'mass')} under the least limit`
          : phrase`${amount(least.loadKg - least.kg, 'mass')} over the least limit`,
    limit: least === null ? 'no limit known' : `least limit ${least.kg} kg`,
    formula:
      'Rider, load, vehicle, kit, pack, arms and fittings. The wheel a hub kit replaces is not taken off, so the sum errs heavy.',
    sum: [
      ...lines.map((line) => ({
        label: line.label,
        value: amount(line.kg, 'mass'),
        from: line.known ? 'entered or part data' : 'a common mass; not weighed',
      })),
      ...(build.donor.survey.loadLimit
        ? [
            {
              label: 'Vehicle’s limit',
              value: amount(build.donor.survey.loadLimit.value, 'mass'),
              from: build.donor.survey.loadLimit.provenance,
            },
          ]
        : []),
      ...(kit?.systemLimitKg === undefined
        ? []
        : [{ label: 'Kit’s limit', value: amount(kit.systemLimitKg, 'mass'), from: 'kit data' }]),
    ],
  };
}

function priceFigure(money: Money): Figure {
  const { lines, parts, remedies, mending, bench, conversion } = money;
  const extra = remedies + mending + bench;
  return {
    id: 'price',
    label: 'Parts and remedies',
    value: amount(conversion, 'money'),
    note:
      lines.length === 0
        ? phrase`nothing chosen yet`
        : extra === 0
          ? phrase`${amount(parts, 'money')} of parts; nothing to mend`
          : phrase`${amount(parts, 'money')} of parts, ${amount(extra, 'money')} of remedies${bench > 0 ? ', mending, tools and supplies' : ' and mending'}`,
    limit: '',
    formula:
      'List prices in the shelf’s own money of the parts chosen and the arms planned, of the remedy taken for each finding or else its usual one, of putting the donor right, and of tools and supplies that are to be bought or hired. What two findings want at one place is counted once.',
    sum: lines
      .filter((line) => line.price !== null)
      .map((line) => ({
        label: line.count > 1 ? `${line.count} × ${line.name}` : line.name,
        value: amount((line.price ?? 0) * line.count, 'money'),
        from: `${kindWords[line.kind]}, ${line.place}`,
      })),
  };
}

const kindWords: Record<WantKind, string> = {
  chosen: 'chosen',
  planned: 'planned',
  taken: 'remedy taken',
  usual: 'usual remedy',
  mending: 'mending',
  bench: 'tool or supply',
};
