import { FOLD_BACK_STARTS_C, SPIN_OUT_WIDTH_RPM, TOP_CADENCE_RPM } from '../constants.ts';
import type { Build } from '../build.ts';
import type { Evidence, Finding } from '../fit/finding.ts';
import { partData, ruleFigure, surveyed, type FitContext } from '../fit/rule.ts';
import { measureIt } from '../fit/rule.ts';
import { amount, phrase } from '../quantity/format.ts';
import { cadenceAt } from '../ride/steady.ts';
import type { Chosen, Gearing } from './choose.ts';
import type { RangeBand, Reckoning } from './reckon.ts';

/** What the brief asks, against what the models say: range, start, climb, heat, cadence, mounts. */

export function neededRange(build: Build): number {
  return build.brief.rangeWantedM * (1 + build.brief.reserve);
}

const MODEL = 'Ride model, docs/models.md.';

/** A road has been described, dropped or picked. */
export function roadNamed(build: Build): Finding {
  const { route } = build.brief;
  const evidence: Evidence[] = [
    { label: 'Road', value: route?.name ?? 'none yet', provenance: route ? 'measured' : 'assumed' },
  ];
  return route
    ? {
        rule: 'road',
        area: 'brief',
        verdict: 'fits',
        title: 'Road described',
        why: phrase`${route.name}: every figure is reckoned on it.`,
        evidence,
        remedies: [],
        source: MODEL,
      }
    : {
        rule: 'road',
        area: 'brief',
        verdict: 'measure',
        title: 'No road described yet',
        why: phrase`Range and climb are reckoned on a flat road of ${amount(10_000, 'way', 0)} until you pick, drop or describe one.`,
        evidence,
        remedies: [{ text: phrase`Pick a road on the Brief stage, or drop a GPX file there.` }],
        source: MODEL,
      };
}

export function rangeNeed(build: Build, band: RangeBand): Finding {
  const need = neededRange(build);
  const evidence: Evidence[] = [
    ruleFigure('Wanted, with reserve', amount(need, 'way')),
    ruleFigure('Middle of the band', amount(band.midM, 'way')),
    ruleFigure('One ride in ten ends before', amount(band.lowM, 'way')),
  ];
  const base = { rule: 'range-need', area: 'pack' as const, evidence, source: MODEL };
  if (band.lowM >= need)
    return {
      ...base,
      verdict: 'fits',
      title: 'Far enough',
      why: phrase`${amount(need, 'way', 0)} wanted with the reserve; nine rides in ten pass ${amount(band.lowM, 'way', 0)}.`,
      remedies: [],
    };
  const short = need - band.midM;
  if (short > 0)
    return {
      ...base,
      verdict: 'rework',
      title: 'Not far enough',
      why: phrase`${amount(need, 'way', 0)} wanted with the reserve; the middle of the band is ${amount(band.midM, 'way', 0)}, ${amount(short, 'way', 0)} short.`,
      remedies: [
        {
          text: phrase`A pack with ${amount(Math.ceil((need / band.midM - 1) * 100) / 100, 'share')} more energy, a slower cruise, or charging at the far end.`,
        },
      ],
    };
  return {
    ...base,
    verdict: 'measure',
    title: 'Far enough on a middling day',
    why: phrase`${amount(need, 'way', 0)} wanted lies inside the band of ${amount(band.lowM, 'way', 0)} to ${amount(band.highM, 'way', 0)}; the largest doubt is ${band.causes[0]?.label ?? 'unknown'}.`,
    remedies: [{ text: phrase`Ride the road with a meter, or weigh and roll-test what is assumed.` }],
  };
}

export function startNeed(r: Reckoning, mid: boolean): Finding {
  const evidence: Evidence[] = [
    ruleFigure('Motor alone starts on', amount(r.startGrade, 'grade')),
    ruleFigure('Steepest on this road', amount(r.steepest, 'grade')),
    ruleFigure('Stretches walked', String(r.toEmpty.walkAtM.length)),
  ];
  const base = { rule: 'start-need', area: mid ? ('gearing' as const) : ('drive' as const), evidence, source: MODEL };
  if (r.toEmpty.walkAtM.length > 0) {
    return {
      ...base,
      verdict: 'rework',
      title: 'Walks part of the road',
      why: phrase`On ${r.toEmpty.walkAtM.length} stretch${r.toEmpty.walkAtM.length === 1 ? '' : 'es'}, the first at ${amount(r.toEmpty.walkAtM[0] ?? 0, 'way')}, full force is below the hill and the rider gets off.`,
      remedies: [
        {
          text: mid
            ? phrase`A smaller ring or a bigger largest cog.`
            : phrase`A mid-drive, a smaller wheel, or a stronger hub.`,
        },
      ],
    };
  }
  if (r.startGrade < r.steepest) {
    return {
      ...base,
      verdict: 'rework',
      title: 'Will not start on the steepest stretch by itself',
      why: phrase`The motor alone sets off on ${amount(r.startGrade, 'grade')}; the road has ${amount(r.steepest, 'grade')}. With a run-up it passes, from rest the rider must push hard.`,
      remedies: [
        {
          text: mid
            ? phrase`A smaller ring or a bigger largest cog.`
            : phrase`More phase amps, a smaller wheel, or a mid-drive.`,
        },
      ],
    };
  }
  return {
    ...base,
    verdict: 'fits',
    title: 'Starts on every hill of this road',
    why: phrase`The motor alone sets off on ${amount(r.startGrade, 'grade')}; the steepest here is ${amount(r.steepest, 'grade')}.`,
    remedies: [],
  };
}

export function heatNeed(r: Reckoning): Finding {
  const hot = r.toEmpty.maxWindingC;
  const evidence: Evidence[] = [
    ruleFigure('Hottest winding', amount(hot, 'temperature')),
    ruleFigure('Controller folds back from', amount(FOLD_BACK_STARTS_C, 'temperature')),
  ];
  const base = { rule: 'heat-need', area: 'drive' as const, evidence, source: MODEL };
  return hot > FOLD_BACK_STARTS_C
    ? {
        ...base,
        verdict: 'rework',
        title: 'Motor runs hot on this road',
        why: phrase`The winding reaches ${amount(hot, 'temperature')} at ${amount(r.toEmpty.hottestAtM, 'way')}, past the ${amount(FOLD_BACK_STARTS_C, 'temperature')} where output is folded back.`,
        remedies: [
          {
            text: phrase`Help more on the climbs, take them faster in a lower gear, or choose a motor with more copper.`,
          },
        ],
      }
    : {
        ...base,
        verdict: 'fits',
        title: 'Motor stays cool enough',
        why: phrase`Hottest winding ${amount(hot, 'temperature')}, under ${amount(FOLD_BACK_STARTS_C, 'temperature')}.`,
        remedies: [],
      };
}

/** Can the rider still add power at cruising speed in the highest gear? */
export function cadenceNeed(build: Build, gearing: Gearing, wheelRadiusM: number): Finding {
  const highest = Math.min(...gearing.gears.map((g) => g.cog));
  const rpm = cadenceAt(build.brief.cruiseMs, wheelRadiusM, gearing.ring, highest);
  const spunAt = TOP_CADENCE_RPM - SPIN_OUT_WIDTH_RPM;
  const evidence: Evidence[] = [
    ruleFigure('Cruise', amount(build.brief.cruiseMs, 'speed', 0)),
    {
      label: 'Ring',
      value: `${gearing.ring} teeth, ${gearing.ringFrom}`,
      provenance: gearing.counted ? 'measured' : 'assumed',
    },
    {
      label: 'Highest gear',
      value: gearing.gears.at(-1)?.label ?? '',
      provenance: gearing.counted ? 'measured' : 'assumed',
    },
    ruleFigure('Cadence there', amount(rpm, 'cadence')),
    ruleFigure('Legs spin out from', amount(spunAt, 'cadence')),
  ];
  const base = { rule: 'cadence', area: 'gearing' as const, evidence, source: MODEL };
  if (!gearing.counted)
    return {
      ...base,
      verdict: 'measure',
      title: 'Teeth not counted',
      why: phrase`Ring or cogs are common sizes, not the donor’s; cadence at cruise would be ${amount(rpm, 'cadence')}.`,
      remedies: [measureIt('ringTeeth'), measureIt('cogTeeth')],
    };
  if (rpm > spunAt)
    return {
      ...base,
      verdict: 'rework',
      title: 'Legs spin out at cruise',
      why: phrase`At ${amount(build.brief.cruiseMs, 'speed', 0)} in the highest gear the cranks turn at ${amount(rpm, 'cadence')}; past ${amount(spunAt, 'cadence')} the rider adds less and less.`,
      remedies: [{ text: phrase`A ring of ${Math.ceil((gearing.ring * rpm) / 85)} teeth, or a smaller smallest cog.` }],
    };
  return {
    ...base,
    verdict: 'fits',
    title: 'Legs keep up at cruise',
    why: phrase`${amount(rpm, 'cadence')} in the highest gear at ${amount(build.brief.cruiseMs, 'speed', 0)}.`,
    remedies: [],
  };
}

/** A chosen ring on the kit's spider, and a chosen cluster on the wheel that carries it. */
export function gearMounts(context: FitContext, chosen: Chosen): Finding[] {
  const { kit, ring, cluster } = chosen;
  const out: Finding[] = [];
  const source = 'Bolt circles and cog fittings do not interchange.';
  if (ring && kit?.mid) {
    const evidence = [partData('Ring', ring.mount), partData('Kit’s spider', kit.mid.ringMount)];
    out.push(
      ring.mount === kit.mid.ringMount
        ? {
            rule: 'ring-mount',
            area: 'gearing',
            verdict: 'fits',
            title: 'Ring bolts to the motor',
            why: phrase`Both are ${ring.mount.replace('bcd', '')} mm bolt circle.`,
            evidence,
            remedies: [],
            source,
          }
        : {
            rule: 'ring-mount',
            area: 'gearing',
            verdict: 'stop',
            title: 'Ring does not bolt to the motor',
            why: phrase`The ring is made for a ${ring.mount.replace('bcd', '')} mm bolt circle and the motor has ${kit.mid.ringMount.replace('bcd', '')} mm.`,
            evidence,
            remedies: [{ text: phrase`Choose a ring for ${kit.mid.ringMount.replace('bcd', '')} mm.` }],
            source,
          },
    );
  } else if (ring) {
    out.push({
      rule: 'ring-mount',
      area: 'gearing',
      verdict: 'measure',
      title: 'Bolt circle of the cranks',
      why: phrase`The ring is made for ${ring.mount.replace('bcd', '')} mm; the donor’s cranks have not been measured for it.`,
      evidence: [partData('Ring', ring.mount)],
      remedies: [
        { text: phrase`Measure between two neighbouring bolts; for five arms multiply by 1.70, for four by 1.41.` },
      ],
      source,
    });
  }
  if (cluster) {
    const own = context.build.donor.survey.clusterKind;
    const rearHub = kit?.hub?.place === 'rear' ? kit.hub : null;
    const wanted = rearHub ? rearHub.clusterMount : own?.value;
    const evidence = [
      partData('Cluster', cluster.mount),
      rearHub ? partData('Hub takes', rearHub.clusterMount) : surveyed(context, 'clusterKind'),
    ];
    const tooMany = rearHub && cluster.cogs.length > rearHub.maxCogs;
    if (wanted === undefined)
      out.push({
        rule: 'cluster-choice',
        area: 'gearing',
        verdict: 'measure',
        title: 'Does the cluster go on the wheel?',
        why: phrase`A ${cluster.mount} needs a hub made for it; the donor’s has not been looked at.`,
        evidence,
        remedies: [measureIt('clusterKind')],
        source,
      });
    else if (wanted !== cluster.mount)
      out.push({
        rule: 'cluster-choice',
        area: 'gearing',
        verdict: 'stop',
        title: 'Cluster does not go on the wheel',
        why: phrase`It is a ${cluster.mount}; the wheel takes ${wanted === 'hubGear' ? 'a hub gear’s cog' : `a ${wanted}`}.`,
        evidence,
        remedies: [{ text: phrase`Choose a ${wanted}.` }],
        source,
      });
    else if (tooMany)
      out.push({
        rule: 'cluster-choice',
        area: 'gearing',
        verdict: 'stop',
        title: 'Too many cogs for the hub',
        why: phrase`${cluster.cogs.length} cogs; the hub has room for ${rearHub.maxCogs}.`,
        evidence,
        remedies: [{ text: phrase`Choose a ${cluster.mount} of ${rearHub.maxCogs} cogs or fewer.` }],
        source,
      });
    else
      out.push({
        rule: 'cluster-choice',
        area: 'gearing',
        verdict: 'fits',
        title: 'Cluster goes on the wheel',
        why: phrase`A ${cluster.mount} of ${cluster.cogs.length} cogs; shifter and derailleur must match that number.`,
        evidence,
        remedies: [],
        source,
      });
  }
  return out;
}
