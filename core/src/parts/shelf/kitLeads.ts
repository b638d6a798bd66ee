import type { Cadence, Cutoff } from '../controls.ts';
import type { Kit, KitWiring } from '../kit.ts';
import type { BoxId, Lead, PlugEnd, Socket } from '../leads.ts';
import type { Pack } from '../pack.ts';
import { plugEnd } from './electrics.ts';

/**
 * What each kit brings to be joined up. Makers wire in two manners: one loom to a junction at the bar with short
 * tails from there, or a bundle of leads from the controller, each to its own control. Lengths, families, colours
 * and what is left over differ as they do on the bench.
 */
interface Brings {
  manner: 'loom' | 'bundle';
  /** Lead from the battery, mm, and its family. */
  battery: [mm: number, family: 'flat pair' | 'bullet pair'];
  /** Lead to the motor, mm; ten cores in one fat plug, or bullets with a block for its sensors. None where the controller sits in the motor. */
  motor?: [mm: number, by: 'fat' | 'bullets'];
  /** Tails from the junction, or how much longer than the loom each lead of a bundle is, mm. */
  tails: { display: number; throttle?: number; lever: number; keypad?: number };
  house: keyof typeof houses;
  cadence: [mm: number, what: Cadence] | null;
  speed: { at: 'inMotor' } | { at: 'atStay'; mm: number };
  magnets?: number;
  shift?: number;
  spare?: SpareId[];
  millifarad?: number;
  cutoff?: Cutoff;
  brakes?: true;
  mm2?: number;
}
type SpareId = keyof typeof spares;

/** Each maker's colours for plugs: display, throttle, levers, sensors; and of its three phases. */
const houses = {
  motorWorks: {
    display: 'violet',
    throttle: 'blue',
    lever: 'grey',
    sensor: 'black',
    phases: ['ochre', 'teal', 'plum'],
  },
  anvil: { display: 'white', throttle: 'orange', lever: 'black', sensor: 'green', phases: ['ochre', 'teal', 'plum'] },
  tarn: { display: 'black', throttle: 'white', lever: 'brown', sensor: 'grey', phases: ['red', 'grey', 'white'] },
  fathom: { display: 'orange', throttle: 'violet', lever: 'grey', sensor: 'blue', phases: ['brown', 'black', 'grey'] },
  millrace: { display: 'teal', throttle: 'ochre', lever: 'grey', sensor: 'white', phases: ['red', 'black', 'white'] },
  pell: { display: 'grey', throttle: 'grey', lever: 'grey', sensor: 'grey', phases: ['ochre', 'teal', 'plum'] },
} as const;

/** Sockets that controllers leave free. */
const spares = {
  frontLamp: ['front lamp', 2, 'frontLamp'],
  rearLamp: ['rear lamp', 2, 'rearLamp'],
  brakeLamp: ['brake lamp', 3, 'rearLamp'],
  horn: ['horn', 2, 'horn'],
  shift: ['shift sensor', 3, 'shift'],
  throttle: ['throttle', 3, 'throttle'],
  cadence: ['cadence sensor', 3, 'cadence'],
  speed: ['speed sensor', 3, 'speed'],
  secondLever: ['second lever', 3, 'rightLever'],
  reverse: ['reverse', 2, null],
  hold: ['speed hold', 2, null],
} as const satisfies Record<string, readonly [string, number, BoxId | null]>;

const near = (unplugged: Cutoff['unplugged'] = 'runs'): Cutoff => ({ acts: 'cutsWhenNear', reachM: 0.003, unplugged });
const away = (unplugged: Cutoff['unplugged'] = 'runs'): Cutoff => ({ acts: 'cutsWhenAway', reachM: 0.003, unplugged });
const opens: Cutoff = { acts: 'switchOpens', reachM: null, unplugged: 'cuts' };
const closes: Cutoff = { acts: 'switchCloses', reachM: null, unplugged: 'runs' };

const ring = (
  magnets: number,
  pulses: number | null,
  side: Cadence['side'],
  how: Cadence['ring'] = 'whole',
  roomMm = 6,
): Cadence => ({ magnets, pulses, side, ring: how, roomM: roomMm / 1000, clearanceM: 0.003 });

/** The 29 kits of the shelf, by id. */
const brings: Record<string, Brings> = {
  'heron-d1000': {
    manner: 'bundle',
    battery: [420, 'bullet pair'],
    motor: [1250, 'bullets'],
    tails: { display: 100, throttle: 0, lever: 80 },
    house: 'tarn',
    cadence: [800, ring(12, 3, 'left')],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'horn', 'reverse', 'hold'],
    millifarad: 1.4,
    cutoff: closes,
    brakes: true,
    mm2: 4,
  },
  'heron-d500': {
    manner: 'bundle',
    battery: [400, 'bullet pair'],
    motor: [1150, 'bullets'],
    tails: { display: 100, throttle: 0, lever: 80 },
    house: 'tarn',
    cadence: [800, ring(12, 3, 'left')],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'hold'],
    millifarad: 1,
    cutoff: closes,
    brakes: true,
  },
  'heron-d250': {
    manner: 'loom',
    battery: [380, 'flat pair'],
    motor: [1100, 'fat'],
    tails: { display: 260, lever: 380 },
    house: 'tarn',
    cadence: [750, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'throttle'],
    millifarad: 0.8,
    cutoff: opens,
    brakes: true,
  },
  'bittern-d2000': {
    manner: 'bundle',
    battery: [500, 'bullet pair'],
    motor: [1300, 'bullets'],
    tails: { display: 150, throttle: 50, lever: 100 },
    house: 'tarn',
    cadence: null,
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'brakeLamp', 'horn', 'reverse', 'hold', 'cadence'],
    millifarad: 2.2,
    cutoff: closes,
    brakes: true,
    mm2: 10,
  },
  'linnet-f250': {
    manner: 'loom',
    battery: [1250, 'flat pair'],
    tails: { display: 240, lever: 360 },
    house: 'motorWorks',
    cadence: [1450, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp'],
    millifarad: 0.47,
    cutoff: near(),
  },
  'barrow-f500': {
    manner: 'loom',
    battery: [450, 'flat pair'],
    motor: [1400, 'fat'],
    tails: { display: 280, throttle: 400, lever: 400 },
    house: 'anvil',
    cadence: [850, ring(8, 2, 'right')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp', 'rearLamp', 'horn'],
    millifarad: 0.94,
    cutoff: closes,
  },
  'dray-f1000': {
    manner: 'bundle',
    battery: [600, 'bullet pair'],
    motor: [1700, 'bullets'],
    tails: { display: 120, throttle: 40, lever: 60 },
    house: 'tarn',
    cadence: [1000, ring(12, 3, 'left')],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'horn', 'reverse'],
    millifarad: 1.4,
    cutoff: away(),
    brakes: true,
    mm2: 4,
  },
  'siskin-f180': {
    manner: 'loom',
    battery: [1000, 'flat pair'],
    tails: { display: 200, lever: 320 },
    house: 'motorWorks',
    cadence: [1150, ring(12, 2, 'left', 'split', 8)],
    speed: { at: 'inMotor' },
    magnets: 1,
    millifarad: 0.33,
    cutoff: away(),
  },
  'linnet-f250-s': {
    manner: 'loom',
    battery: [1150, 'flat pair'],
    tails: { display: 240, lever: 360 },
    house: 'motorWorks',
    cadence: [1250, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp'],
    millifarad: 0.47,
    cutoff: near(),
  },
  'kelpie-f350': {
    manner: 'loom',
    battery: [420, 'bullet pair'],
    motor: [1350, 'fat'],
    tails: { display: 320, throttle: 440, lever: 440 },
    house: 'fathom',
    cadence: [900, ring(24, 4, 'left', 'whole', 7)],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'rearLamp'],
    cutoff: closes,
  },
  'otter-r250': {
    manner: 'loom',
    battery: [320, 'flat pair'],
    motor: [950, 'fat'],
    tails: { display: 240, lever: 360 },
    house: 'motorWorks',
    cadence: [600, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp'],
    millifarad: 0.68,
    cutoff: near(),
  },
  'otter-r500': {
    manner: 'loom',
    battery: [350, 'flat pair'],
    motor: [1000, 'fat'],
    tails: { display: 260, throttle: 380, lever: 380 },
    house: 'motorWorks',
    cadence: [620, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp', 'rearLamp'],
    millifarad: 0.94,
    cutoff: near(),
    mm2: 4,
  },
  'dipper-r250-s': {
    manner: 'loom',
    battery: [300, 'flat pair'],
    motor: [900, 'fat'],
    tails: { display: 220, lever: 340 },
    house: 'anvil',
    cadence: [600, ring(8, 2, 'right')],
    speed: { at: 'atStay', mm: 850 },
    cutoff: closes,
  },
  'otter-r250-c': {
    manner: 'loom',
    battery: [320, 'flat pair'],
    motor: [950, 'fat'],
    tails: { display: 240, lever: 400 },
    house: 'motorWorks',
    cadence: [600, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp', 'throttle'],
    millifarad: 0.68,
    cutoff: away(),
  },
  'otter-r250-x': {
    manner: 'loom',
    battery: [320, 'flat pair'],
    motor: [1050, 'fat'],
    tails: { display: 240, lever: 400 },
    house: 'motorWorks',
    cadence: [600, ring(12, 2, 'left')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp', 'shift'],
    millifarad: 0.68,
    cutoff: away(),
  },
  'pochard-r350': {
    manner: 'bundle',
    battery: [360, 'flat pair'],
    motor: [1000, 'fat'],
    tails: { display: 80, throttle: 40, lever: 60 },
    house: 'anvil',
    cadence: [650, ring(8, 2, 'right')],
    speed: { at: 'inMotor' },
    magnets: 1,
    spare: ['frontLamp', 'horn'],
    millifarad: 0.94,
    cutoff: closes,
  },
  'kelpie-r750': {
    manner: 'loom',
    battery: [450, 'bullet pair'],
    motor: [1150, 'fat'],
    tails: { display: 320, throttle: 440, lever: 440 },
    house: 'fathom',
    cadence: [700, ring(24, 4, 'left', 'whole', 7)],
    speed: { at: 'inMotor' },
    magnets: 6,
    spare: ['frontLamp', 'rearLamp'],
    millifarad: 1.2,
    cutoff: closes,
    mm2: 4,
  },
  'dabchick-r250-f': {
    manner: 'loom',
    battery: [300, 'flat pair'],
    motor: [800, 'fat'],
    tails: { display: 200, lever: 340 },
    house: 'anvil',
    cadence: [550, ring(12, 2, 'left', 'split', 8)],
    speed: { at: 'inMotor' },
    magnets: 1,
    millifarad: 0.47,
    cutoff: away(),
  },
  'wren-m250': {
    manner: 'loom',
    battery: [450, 'flat pair'],
    tails: { display: 260, lever: 400 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 820 },
    shift: 1300,
    spare: ['frontLamp', 'throttle'],
    millifarad: 0.68,
    cutoff: away('cuts'),
  },
  'wren-m500': {
    manner: 'loom',
    battery: [450, 'flat pair'],
    tails: { display: 280, throttle: 390, lever: 390 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 820 },
    shift: 1300,
    spare: ['frontLamp', 'rearLamp'],
    millifarad: 0.94,
    cutoff: opens,
    mm2: 4,
  },
  'ouzel-m750': {
    manner: 'loom',
    battery: [600, 'bullet pair'],
    tails: { display: 280, throttle: 400, lever: 400, keypad: 280 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 1000 },
    shift: 1350,
    spare: ['frontLamp', 'rearLamp'],
    millifarad: 1.2,
    cutoff: opens,
    mm2: 4,
  },
  'wren-m250-h': {
    manner: 'loom',
    battery: [420, 'flat pair'],
    tails: { display: 220, lever: 380 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 820 },
    shift: 1250,
    spare: ['frontLamp'],
    millifarad: 0.68,
    cutoff: away(),
  },
  'dunlin-m350': {
    manner: 'bundle',
    battery: [500, 'bullet pair'],
    tails: { display: 60, throttle: 0, lever: 40 },
    house: 'anvil',
    cadence: [150, ring(12, 3, 'left', 'inside', 0)],
    speed: { at: 'atStay', mm: 760 },
    spare: ['frontLamp', 'hold', 'secondLever'],
    millifarad: 1,
    cutoff: closes,
  },
  'ouzel-m250-pf': {
    manner: 'loom',
    battery: [500, 'flat pair'],
    tails: { display: 260, lever: 400 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 850 },
    shift: 1300,
    spare: ['frontLamp', 'throttle'],
    millifarad: 0.68,
    cutoff: away(),
  },
  'ouzel-m750-fat': {
    manner: 'loom',
    battery: [650, 'bullet pair'],
    tails: { display: 300, throttle: 420, lever: 420, keypad: 280 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 1000 },
    shift: 1400,
    spare: ['frontLamp', 'rearLamp'],
    millifarad: 1.2,
    cutoff: opens,
    mm2: 4,
  },
  'gannet-m1000': {
    manner: 'loom',
    battery: [700, 'bullet pair'],
    tails: { display: 300, throttle: 420, lever: 420, keypad: 300 },
    house: 'millrace',
    cadence: null,
    speed: { at: 'atStay', mm: 950 },
    shift: 1450,
    spare: ['frontLamp', 'rearLamp', 'horn'],
    millifarad: 2,
    cutoff: opens,
    mm2: 6,
  },
  'knot-m250-op': {
    manner: 'bundle',
    battery: [450, 'bullet pair'],
    tails: { display: 60, lever: 40 },
    house: 'anvil',
    cadence: [150, ring(8, 2, 'right', 'inside', 0)],
    speed: { at: 'atStay', mm: 760 },
    spare: ['frontLamp'],
    cutoff: closes,
  },
  'hobby-s350': {
    manner: 'bundle',
    battery: [500, 'bullet pair'],
    motor: [700, 'bullets'],
    tails: { display: 0, throttle: 0, lever: 0 },
    house: 'pell',
    cadence: null,
    speed: { at: 'atStay', mm: 1000 },
    spare: ['frontLamp', 'cadence', 'hold'],
    cutoff: closes,
  },
  'hobby-s250': {
    manner: 'bundle',
    battery: [500, 'bullet pair'],
    motor: [700, 'bullets'],
    tails: { display: 0, throttle: 0, lever: 0 },
    house: 'pell',
    cadence: null,
    speed: { at: 'atStay', mm: 1000 },
    spare: ['frontLamp', 'cadence'],
    cutoff: closes,
  },
};

const core = (what: string, colour: string): Lead['cores'][number] => ({ what, colour });
const plusMinus = [core('plus', 'red'), core('minus', 'black')];
const signal = (...what: string[]): Lead['cores'] => {
  const colours: Record<string, string> = { '5 V': 'red', ground: 'black', plus: 'red', lock: 'brown' };
  const others = ['white', 'yellow', 'green', 'blue', 'orange'];
  let next = 0;
  return what.map((w) => core(w, colours[w] ?? others[next++ % others.length] ?? 'white'));
};

/** A kit with its wiring, by its row; one without a row stays as it is. */
export function withLeads(kit: Kit): Kit {
  const row = brings[kit.id];
  if (!row || !kit.controls) return kit;
  const { controls } = kit;
  const own = kit.controller.place === 'its own box';
  const brain: BoxId = own ? 'controller' : 'motor';
  const house = houses[row.house];
  const bundle = row.manner === 'bundle';
  const at: BoxId = bundle ? brain : 'junction';
  const volts = kit.controller.maxVolts;
  const limit = kit.controller.batteryLimitA;
  const plug = (poles: number, colour: string, sex: PlugEnd['sex'] = 'pins'): PlugEnd =>
    plugEnd(bundle && poles !== 4 ? 'latch block' : 'round, small', poles, sex, colour);
  const thin = { mm2: 0.2, amps: 1, volts, splices: false };
  const length = (tail: number): number => (bundle ? controls.loomM + tail / 1000 : tail / 1000);
  const lead = (l: Partial<Lead> & Pick<Lead, 'id' | 'what' | 'from' | 'to' | 'lengthM' | 'cores'>): Lead => ({
    ...thin,
    colour: 'black',
    ends: { from: null, to: null },
    ...l,
  });
  const leverCores = row.cutoff?.reachM ? signal('5 V', 'ground', 'signal') : signal('signal', 'ground');
  const lever = (id: 'leftLever' | 'rightLever', what: string): Lead =>
    lead({
      id,
      what,
      from: at,
      to: id,
      lengthM: length(row.tails.lever),
      ends: { from: plug(leverCores.length, house.lever), to: null },
      cores: leverCores,
    });
  const loomPoles = controls.throttleKind === 'none' && !row.spare?.includes('rearLamp') ? 6 : 8;
  const leads: Lead[] = [
    lead({
      id: 'battery',
      what: 'Battery lead',
      from: 'pack',
      to: brain,
      lengthM: row.battery[0] / 1000,
      ends: { from: plugEnd(row.battery[1], 2, 'pins', 'black'), to: null },
      cores: plusMinus,
      mm2: row.mm2 ?? 2.5,
      amps: limit,
      splices: true,
    }),
    ...(row.motor
      ? row.motor[1] === 'fat'
        ? [
            lead({
              id: 'motor',
              what: 'Motor lead',
              from: brain,
              to: 'motor',
              lengthM: row.motor[0] / 1000,
              ends: { from: plugEnd('round, fat', 9, 'holes', 'black'), to: null },
              cores: [
                ...house.phases.map((c, i) => core(`phase ${'ABC'[i]}`, c)),
                ...signal('5 V', 'ground', 'hall A', 'hall B', 'hall C', 'speed'),
              ],
              mm2: 1.5,
              amps: kit.controller.phaseLimitA,
              splices: true,
            }),
          ]
        : [
            lead({
              id: 'motor',
              what: 'Phases',
              from: brain,
              to: 'motor',
              lengthM: row.motor[0] / 1000,
              ends: { from: plugEnd('three bullets', 3, 'holes', 'black'), to: null },
              cores: house.phases.map((c, i) => core(`phase ${'ABC'[i]}`, c)),
              mm2: row.mm2 ?? 2.5,
              amps: kit.controller.phaseLimitA,
              splices: true,
            }),
            lead({
              id: 'halls',
              what: 'Hall sensors',
              from: brain,
              to: 'motor',
              lengthM: row.motor[0] / 1000,
              ends: { from: plugEnd('latch block', 6, 'holes', 'black'), to: null },
              cores: signal('5 V', 'ground', 'hall A', 'hall B', 'hall C', 'speed'),
              splices: true,
            }),
          ]
      : []),
    ...(bundle
      ? []
      : [
          lead({
            id: 'loom',
            what: 'Loom to the bar',
            from: brain,
            to: 'junction',
            lengthM: controls.loomM,
            ends: {
              from:
                loomPoles === 8
                  ? plugEnd('round, middling', 8, 'holes', 'black')
                  : plugEnd('round, small', 6, 'holes', 'black'),
              to: null,
            },
            cores: signal('plus', 'lock', 'ground', 'data', '5 V', 'cut').concat(
              loomPoles === 8 ? signal('throttle', 'lamp') : [],
            ),
          }),
        ]),
    lead({
      id: 'display',
      what: 'Display',
      from: at,
      to: 'display',
      lengthM: length(row.tails.display),
      ends: { from: plug(5, house.display), to: null },
      cores: signal('plus', 'lock', 'ground', 'to display', 'from display'),
    }),
    ...(row.tails.keypad === undefined
      ? []
      : [
          lead({
            id: 'keypad',
            what: 'Keypad',
            from: 'display',
            to: 'keypad',
            lengthM: row.tails.keypad / 1000,
            ends: { from: plug(4, 'white'), to: null },
            cores: signal('up', 'down', 'mode', 'ground'),
          }),
        ]),
    ...(controls.throttleKind === 'none'
      ? []
      : [
          lead({
            id: 'throttle',
            what: 'Throttle',
            from: at,
            to: 'throttle',
            lengthM: length(row.tails.throttle ?? 240),
            ends: { from: plug(3, house.throttle), to: null },
            cores: signal('5 V', 'ground', 'signal'),
            splices: true,
          }),
        ]),
    ...(controls.cutoffs === 'none' ? [] : [lever('leftLever', 'Left cut-off'), lever('rightLever', 'Right cut-off')]),
    ...(row.cadence && row.cadence[1].ring !== 'inside'
      ? [
          lead({
            id: 'cadence',
            what: 'Cadence sensor',
            from: brain,
            to: 'cadence',
            lengthM: row.cadence[0] / 1000,
            ends: { from: plug(3, house.sensor), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]
      : []),
    ...(row.speed.at === 'atStay'
      ? [
          lead({
            id: 'speed',
            what: 'Speed sensor',
            from: brain,
            to: 'speed',
            lengthM: row.speed.mm / 1000,
            ends: { from: plug(3, house.sensor), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]
      : []),
    ...(row.shift === undefined
      ? []
      : [
          lead({
            id: 'shift',
            what: 'Shift sensor',
            from: brain,
            to: 'shift',
            lengthM: row.shift / 1000,
            ends: { from: plug(3, 'red'), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]),
  ];
  const sockets = (row.spare ?? []).map((id): Socket => {
    const [what, poles, serves] = spares[id];
    const atBar = !bundle && (id === 'frontLamp' || id === 'horn' || id === 'throttle');
    return {
      id,
      what,
      box: atBar ? 'junction' : brain,
      plug: plug(
        poles,
        id === 'frontLamp' ? 'green' : id === 'rearLamp' || id === 'brakeLamp' ? 'red' : 'yellow',
        'holes',
      ),
      serves,
    };
  });
  const wiring: KitWiring = {
    leads,
    sockets,
    ...(row.cutoff && controls.cutoffs !== 'none' ? { cutoff: row.cutoff } : {}),
    cadence: row.cadence?.[1] ?? null,
    speed: row.speed.at,
    wheelMagnets: row.magnets ?? 1,
    ...(row.millifarad === undefined ? {} : { capacitanceF: row.millifarad / 1000 }),
    brakes: row.brakes === true,
  };
  // What must pass a port is the thickest plug of those that run between bar and controller.
  const heads = leads
    .filter((l) => l.id === 'loom' || (bundle && ['display', 'throttle', 'leftLever', 'rightLever'].includes(l.id)))
    .flatMap((l) => (l.ends.from ? [l.ends.from.headM] : []));
  return { ...kit, controls: { ...controls, plugM: Math.max(...heads) }, wiring };
}

/** Makers who send a charger with the pack. */
const WITH_CHARGER: ReadonlySet<string> = new Set(['Copperhouse', 'Tarn & Daughters']);

/** A pack with its plugs: makers differ in what they end their base's lead with, and in what they charge by. */
export function withPlugs(pack: Pack): Pack {
  const bullets = ['Low Weir Cells', 'Harbour Lead'].includes(pack.maker) || pack.id.startsWith('reed');
  const big = (pack.boardA ?? 0) >= 50;
  const lead = pack.form === 'bag' ? 0.25 : pack.slideOffM > 0 ? 0.15 : 0.2;
  const blocks = pack.chemistry === 'lead' ? { blocks: { count: pack.series / 6, volts: 12 } } : {};
  return {
    ...pack,
    ...blocks,
    discharge: {
      plug: plugEnd(big ? 'touch-proof pair' : bullets ? 'bullet pair' : 'flat pair', 2, 'holes', 'black'),
      leadM: lead,
    },
    charge: {
      plug:
        pack.maker === 'Copperhouse'
          ? plugEnd('barrel', 2, 'holes', 'black')
          : plugEnd('keyed round', 3, 'holes', 'black'),
    },
    ...(pack.maker === 'Copperhouse' && pack.series === 13 ? { parallelJoint: true } : {}),
    ...(WITH_CHARGER.has(pack.maker) ? { withCharger: true } : {}),
  };
}
