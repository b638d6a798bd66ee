import leadRows from '@sprocket/catalogue/leads.json' with { type: 'json' };
import { inSi } from '../../catalogue/rows.ts';
import { z } from '../../reading/zod.ts';
import { cadenceSchema, type Cadence, type Cutoff } from '../controls.ts';
import type { Kit, KitWiring } from '../kit.ts';
import { boxIds, type BoxId, type Lead, type PlugEnd, type Socket } from '../leads.ts';
import { notNegative, positive } from '../partBase.ts';
import { plugEnd } from './plugs.ts';

/** A tail from the junction to a throttle where its row gives none, m. */
const USUAL_TAIL = 0.24;

/**
 * What a kit brings to be joined up. Makers wire in two manners: one loom to a junction at the bar with short tails
 * from there, or a bundle of leads from the controller, each to its own control. Lengths, families, colours and what
 * is left over differ as they do on the bench.
 */
export const kitLeadsSchema = z.strictObject({
  manner: z.enum(['loom', 'bundle']),
  /** Whose colours its plugs and phases have. */
  colours: z.string(),
  battery: z.strictObject({ leadM: positive.max(4), plug: z.enum(['flat pair', 'bullet pair']) }),
  /** Ten cores in one fat plug, or bullets with a block for its sensors. None where the controller sits in the motor. */
  motor: z.strictObject({ leadM: positive.max(4), by: z.enum(['fat', 'bullets']) }).optional(),
  /** Tails from the junction, or how much longer than the loom each lead of a bundle is. */
  tailsM: z.strictObject({
    display: notNegative.max(4),
    throttle: notNegative.max(4).optional(),
    lever: notNegative.max(4),
    keypad: notNegative.max(4).optional(),
  }),
  cadence: cadenceSchema.extend({ leadM: positive.max(4) }).nullable(),
  /** To a sensor at the stay; without one it is read in the motor. */
  speedLeadM: positive.max(4).optional(),
  wheelMagnets: z.int().min(1).max(12).optional(),
  shiftLeadM: positive.max(4).optional(),
  /** Sockets that are left free. */
  spare: z.array(z.string()).optional(),
  millifarad: positive.max(10).optional(),
  cutoff: z.string().optional(),
  brakes: z.literal(true).optional(),
  mm2: positive.max(16).optional(),
});

/** Each maker's colours for plugs: display, throttle, levers, sensors; and of its three phases. */
export const leadColoursSchema = z.strictObject({
  display: z.string(),
  throttle: z.string(),
  lever: z.string(),
  sensor: z.string(),
  phases: z.array(z.string()).length(3),
});

/** A socket that controllers leave free, and the thing it could serve. */
export const spareSocketSchema = z.strictObject({
  what: z.string(),
  poles: z.int().min(1).max(9),
  serves: z.enum(boxIds).nullable(),
});

type Named<T> = Readonly<Record<string, T>>;
const brings = inSi(leadRows.kits) as Named<z.infer<typeof kitLeadsSchema>>;
const colours: Named<z.infer<typeof leadColoursSchema>> = leadRows.colours;
const spares = leadRows.spares as Named<z.infer<typeof spareSocketSchema>>;
const cutoffs = inSi(leadRows.cutoffs) as Named<Cutoff>;

/** The row of a name that another row gives. Throws a RangeError where the catalogue has none. */
function named<T>(rows: Named<T>, what: string, name: string): T {
  const row = rows[name];
  if (row === undefined) throw new RangeError(`no ${what} “${name}” in the catalogue’s leads`);
  return row;
}

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
  const house = named(colours, 'colours', row.colours);
  const cutoff = row.cutoff === undefined ? undefined : named(cutoffs, 'cut-off', row.cutoff);
  const bundle = row.manner === 'bundle';
  const at: BoxId = bundle ? brain : 'junction';
  const volts = kit.controller.maxVolts;
  const limit = kit.controller.batteryLimitA;
  const plug = (poles: number, colour: string, sex: PlugEnd['sex'] = 'pins'): PlugEnd =>
    plugEnd(bundle && poles !== 4 ? 'latch block' : 'round, small', poles, sex, colour);
  const thin = { mm2: 0.2, amps: 1, volts, splices: false };
  const length = (tailM: number): number => (bundle ? controls.loomM + tailM : tailM);
  const lead = (l: Partial<Lead> & Pick<Lead, 'id' | 'what' | 'from' | 'to' | 'lengthM' | 'cores'>): Lead => ({
    ...thin,
    colour: 'black',
    ends: { from: null, to: null },
    ...l,
  });
  const leverCores = cutoff?.reachM ? signal('5 V', 'ground', 'signal') : signal('signal', 'ground');
  const lever = (id: 'leftLever' | 'rightLever', what: string): Lead =>
    lead({
      id,
      what,
      from: at,
      to: id,
      lengthM: length(row.tailsM.lever),
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
      lengthM: row.battery.leadM,
      ends: { from: plugEnd(row.battery.plug, 2, 'pins', 'black'), to: null },
      cores: plusMinus,
      mm2: row.mm2 ?? 2.5,
      amps: limit,
      splices: true,
    }),
    ...(row.motor
      ? row.motor.by === 'fat'
        ? [
            lead({
              id: 'motor',
              what: 'Motor lead',
              from: brain,
              to: 'motor',
              lengthM: row.motor.leadM,
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
              lengthM: row.motor.leadM,
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
              lengthM: row.motor.leadM,
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
      lengthM: length(row.tailsM.display),
      ends: { from: plug(5, house.display), to: null },
      cores: signal('plus', 'lock', 'ground', 'to display', 'from display'),
    }),
    ...(row.tailsM.keypad === undefined
      ? []
      : [
          lead({
            id: 'keypad',
            what: 'Keypad',
            from: 'display',
            to: 'keypad',
            lengthM: row.tailsM.keypad,
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
            lengthM: length(row.tailsM.throttle ?? USUAL_TAIL),
            ends: { from: plug(3, house.throttle), to: null },
            cores: signal('5 V', 'ground', 'signal'),
            splices: true,
          }),
        ]),
    ...(controls.cutoffs === 'none' ? [] : [lever('leftLever', 'Left cut-off'), lever('rightLever', 'Right cut-off')]),
    ...(row.cadence && row.cadence.ring !== 'inside'
      ? [
          lead({
            id: 'cadence',
            what: 'Cadence sensor',
            from: brain,
            to: 'cadence',
            lengthM: row.cadence.leadM,
            ends: { from: plug(3, house.sensor), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]
      : []),
    ...(row.speedLeadM !== undefined
      ? [
          lead({
            id: 'speed',
            what: 'Speed sensor',
            from: brain,
            to: 'speed',
            lengthM: row.speedLeadM,
            ends: { from: plug(3, house.sensor), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]
      : []),
    ...(row.shiftLeadM === undefined
      ? []
      : [
          lead({
            id: 'shift',
            what: 'Shift sensor',
            from: brain,
            to: 'shift',
            lengthM: row.shiftLeadM,
            ends: { from: plug(3, 'red'), to: null },
            cores: signal('5 V', 'ground', 'signal'),
          }),
        ]),
  ];
  const sockets = (row.spare ?? []).map((id): Socket => {
    const { what, poles, serves } = named(spares, 'spare socket', id);
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
  // The lead is the kit's, the rest the sensor's own.
  const { leadM: _lead, ...sensor } = row.cadence ?? { leadM: 0 };
  const cadence = row.cadence ? (sensor as Cadence) : null;
  const wiring: KitWiring = {
    leads,
    sockets,
    ...(cutoff && controls.cutoffs !== 'none' ? { cutoff } : {}),
    cadence,
    speed: row.speedLeadM === undefined ? 'inMotor' : 'atStay',
    wheelMagnets: row.wheelMagnets ?? 1,
    ...(row.millifarad === undefined ? {} : { capacitanceF: row.millifarad / 1000 }),
    brakes: row.brakes === true,
  };
  // What must pass a port is the thickest plug of those that run between bar and controller.
  const heads = leads
    .filter((l) => l.id === 'loom' || (bundle && ['display', 'throttle', 'leftLever', 'rightLever'].includes(l.id)))
    .flatMap((l) => (l.ends.from ? [l.ends.from.headM] : []));
  return { ...kit, controls: { ...controls, plugM: Math.max(...heads) }, wiring };
}
