import { amount } from '../../quantity/format.ts';
import { fitCoasts } from '../coast.ts';
import { widened } from '../band.ts';
import { heldSpeed, loadedVolts, steadyWatts, stopWay } from '../foretold.ts';
import { NORMAL_90, SPREAD } from '../../constants.ts';
import type { BandFrom, ProofSpec } from '../test.ts';

const ROAD = { text: 'An empty, level, dry road with room to run out; helmet on.', ask: 'somebody at the far end' };
const KMH = 1 / 3.6;
const fullSpeed = ({ context }: BandFrom): number => Math.max(15 * KMH, context.fastest.ms);

const stopFrom = (id: string, kmh: number | 'full', words: string): ProofSpec => ({
  id,
  gate: 'speed',
  place: 'front brake',
  title: `Stop from ${words}`,
  how: 'Both brakes at a mark, as hard as the tyres hold; the way to standing, the mean of three.',
  why:
    kmh === 'full'
      ? 'It may only be as fast as it can stop.'
      : 'A step up from the last: no faster until this one is in.',
  minutes: 6,
  safety: true,
  asks: ['massKg', 'wet', 'surface'],
  reads: (from) => [
    {
      id: 'way',
      what: 'Way from the mark',
      dimension: 'height',
      digits: 1,
      band: stopWay(from, kmh === 'full' ? fullSpeed(from) : kmh * KMH),
      stop: 'above',
      harmless: 'below',
      ...(kmh === 'full' ? { signal: 'stopFull' as const } : {}),
    },
  ],
  outside: [
    {
      side: 'high',
      words: 'Pads not bedded in or oiled, cable slack, a brake too small, or more mass than planned.',
      symptom: 'brakesWeak',
    },
  ],
  caution: {
    text: 'Front wheel straight, weight back; no harder than it holds. Do not ride faster than you can stop.',
    ask: 'a riding instructor',
  },
});

/** Stops first, then speed. */
export const speedTests: readonly ProofSpec[] = [
  stopFrom('stop-15', 15, '15 km/h'),
  stopFrom('stop-25', 25, '25 km/h'),
  {
    id: 'speed-shown',
    gate: 'speed',
    place: 'bar',
    title: 'Speed shown beside another measure',
    how: 'Time it over a measured 1 km, or ride beside another meter: shown ÷ true.',
    why: 'The limit is only as true as this.',
    minutes: 5,
    when: (f) => f.display,
    reads: () => [
      {
        id: 'ratio',
        what: 'Shown ÷ true',
        dimension: 'ratio',
        digits: 3,
        band: widened(
          1,
          0.02,
          0.01,
          [{ words: 'pressure and load', half: 0.02 }],
          [{ label: 'As rolled out', value: '1', from: 'circumference as set' }],
        ),
      },
    ],
    outside: [
      {
        side: 'low',
        words: 'Circumference set too small, magnets missed: help goes on past the limit.',
        symptom: 'wrongSpeed',
      },
      { side: 'high', words: 'Circumference set too great, or magnets set too few.', symptom: 'wrongSpeed' },
    ],
    caution: ROAD,
  },
  {
    id: 'limit-road',
    gate: 'speed',
    place: 'motor wheel',
    title: 'Help ends on the road at the limit',
    how: 'Level road, highest level: the true speed at which help is gone.',
    why: 'It decides under which rules it rides.',
    minutes: 4,
    when: (f) => f.limitMs !== null,
    reads: ({ facts }) =>
      facts.limitMs === null
        ? []
        : [
            {
              id: 'speed',
              what: 'Help is gone at',
              dimension: 'speed',
              band: widened(
                facts.limitMs,
                facts.limitMs * 0.02,
                facts.limitMs * 0.03,
                [],
                [{ label: 'Limit', value: amount(facts.limitMs, 'speed', 1), from: 'as set, as the wheel is counted' }],
              ),
              harmless: 'below',
            },
          ],
    outside: [
      {
        side: 'high',
        words: 'Limit, circumference or magnets as set: under most rules it is another class now.',
        symptom: 'wrongSpeed',
      },
      { side: 'low', words: 'Limit, circumference or load.', symptom: 'slow' },
    ],
    caution: ROAD,
  },
  {
    id: 'top-full',
    gate: 'speed',
    place: 'motor wheel',
    title: 'Top speed on the flat, nearly full',
    how: 'Highest level, full power, both ways over the same stretch: the mean of the two.',
    why: 'Motor, volts, air and tyres in one figure.',
    minutes: 8,
    bothWays: true,
    asks: ['restV', 'charge', 'massKg', 'surface', 'cog', 'temperatureC'],
    reads: (from) => [
      {
        id: 'speed',
        what: 'Speed held',
        dimension: 'speed',
        band: heldSpeed(from),
        signal: 'topFull',
        tune: 'topSpeed',
        harmless: 'above',
      },
    ],
    outside: [
      { side: 'low', words: 'More air or rolling than planned, a rub, a limit, or fewer volts.', symptom: 'slow' },
      { side: 'high', words: 'Wind, a slope, or a speed shown too great.', symptom: 'wrongSpeed' },
    ],
    caution: ROAD,
  },
  {
    id: 'top-half',
    gate: 'speed',
    place: 'motor wheel',
    title: 'Top speed on the flat, half empty',
    how: 'The same stretch at about half charge, both ways: the mean of the two. Volts at rest first.',
    why: 'What it loses with the volts tells the battery from the road.',
    minutes: 8,
    bothWays: true,
    asks: ['restV', 'charge', 'massKg', 'surface', 'cog', 'temperatureC'],
    reads: (from) => [
      {
        id: 'speed',
        what: 'Speed held, half empty',
        dimension: 'speed',
        // Where nobody looked it was half: that is what the test asks for.
        band: heldSpeed(from, 0, from.conditions.charge === null && from.conditions.restV === null ? 0.5 : null),
        signal: 'topHalf',
        harmless: 'above',
      },
    ],
    outside: [
      { side: 'low', words: 'A battery that sags, or what holds it when full as well.', symptom: 'slow' },
      { side: 'high', words: 'Wind, a slope, or a speed shown too great.', symptom: 'wrongSpeed' },
    ],
    caution: ROAD,
  },
  stopFrom('stop-full', 'full', 'full speed'),
  {
    id: 'cruise-watts',
    gate: 'speed',
    place: 'leads',
    title: 'Watts at cruise, legs still',
    how: 'Level road, cruise held by the motor alone for a minute, both ways: the mean.',
    why: 'Range is this, mostly.',
    minutes: 6,
    when: (f) => f.throttle,
    bothWays: true,
    asks: ['massKg', 'surface', 'temperatureC', 'cog'],
    reads: (from) => [
      {
        id: 'watts',
        what: 'Battery’s watts',
        dimension: 'power',
        band: steadyWatts(from, Math.min(from.context.build.brief.cruiseMs, from.context.fastest.ms * 0.95)),
        signal: 'cruiseWatts',
        tune: 'cruiseWatts',
        harmless: 'below',
      },
    ],
    outside: [
      { side: 'high', words: 'Soft tyres, a rub, more air than planned, a phase.', symptom: 'range' },
      { side: 'low', words: 'A tail wind, or a slope.' },
    ],
    caution: ROAD,
  },
  {
    id: 'sag',
    gate: 'speed',
    place: 'pack',
    title: 'Volts at full power',
    how: 'From a roll, full power for five seconds: the lowest volts shown.',
    why: 'It tells the battery apart from the motor.',
    minutes: 3,
    asks: ['restV', 'charge', 'temperatureC'],
    reads: (from) => [
      {
        id: 'volts',
        what: 'Lowest volts',
        dimension: 'voltage',
        digits: 1,
        band: loadedVolts(from),
        signal: 'sag',
        harmless: 'above',
      },
    ],
    outside: [{ side: 'low', words: 'A weak block, cold, age, or a plug that heats.', symptom: 'cutsOut' }],
    caution: ROAD,
  },
  {
    id: 'coast',
    gate: 'speed',
    place: 'bench',
    title: 'Coast-down, there and back',
    how: 'From full speed, no power, no brakes, hands as ridden: speed every two seconds until walking pace, once each way. Its own sheet works it out.',
    why: 'Rolling and air apart from the motor, and from each other.',
    minutes: 10,
    asks: ['massKg', 'headwindMs', 'temperatureC', 'surface'],
    reads: (from) => {
      const { context, on } = from;
      const found = fitCoasts(context.build.proving.coasts, on.system);
      const { crr, cdaM2 } = on.system.vehicle;
      const half = (of: number, sd: number, own: number | null): number => NORMAL_90 * Math.hypot(of * sd, own ?? 0);
      return [
        {
          id: 'crr',
          what: 'Rolling, Crr',
          dimension: 'ratio',
          digits: 4,
          band: widened(
            crr,
            half(crr, SPREAD.rolling, found?.crrSd ?? null),
            0,
            [{ words: 'tyres of its kind ±15 %', half: NORMAL_90 * crr * SPREAD.rolling }],
            [{ label: 'Tyre and surface', value: crr.toFixed(4), from: 'by width and wheel' }],
          ),
          signal: 'coastRolling',
          tune: 'coast',
        },
        {
          id: 'cda',
          what: 'Air, CdA',
          dimension: 'area',
          digits: 3,
          band: widened(
            cdaM2,
            half(cdaM2, SPREAD.dragArea, found?.cdaSd ?? null),
            0,
            [{ words: 'posture ±8 %', half: NORMAL_90 * cdaM2 * SPREAD.dragArea }],
            [{ label: 'Posture', value: `${cdaM2.toFixed(3)} m²`, from: 'Brief' }],
          ),
          signal: 'coastDrag',
          tune: 'coast',
        },
      ];
    },
    outside: [
      {
        side: 'high',
        words: 'Rolling: soft tyres, a rub, a motor that drags. Air: luggage, clothes, posture.',
        symptom: 'drags',
      },
      { side: 'low', words: 'A slope or a wind that was not seen.' },
    ],
    caution: ROAD,
  },
  {
    id: 'hands-light',
    gate: 'speed',
    place: 'fork',
    title: 'Runs straight with light hands',
    how: 'At cruise, hands light on the bar; then loaded as it will be ridden.',
    why: 'A battery or a crooked wheel shows itself as a shimmy.',
    minutes: 3,
    sees: [
      { id: 'straight', words: 'straight and quiet', is: 'pass' },
      { id: 'pulls', words: 'pulls to one side', is: 'question' },
      { id: 'shimmies', words: 'shimmies', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Wheel not seated, headset, load too far back.', symptom: 'wobble' }],
    caution: ROAD,
  },
  {
    id: 'after-speed',
    gate: 'speed',
    place: 'leads',
    title: 'Hand round: plugs, motor, controller, rotor',
    how: 'Stopped, plug by plug near the back of the hand.',
    why: 'Heat comes before smell.',
    minutes: 2,
    sees: [
      { id: 'cool', words: 'cool or warm', is: 'pass' },
      { id: 'hot', words: 'motor or controller too hot to hold', is: 'question' },
      { id: 'plug', words: 'a plug is hot', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Contact too small or loose, load, air.', symptom: 'hot' }],
  },
];
