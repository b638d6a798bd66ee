import { expect } from 'chai';
import type { OtherStands } from '../build/closing.ts';
import { usualLine } from '../build/bill.ts';
import type { Build } from '../build/build.ts';
import { usualLead, type CutoffWay, type Member } from '../build/wiring.ts';
import { usualRider, usualTrailer, type Seat } from '../build/brief.ts';
import { usualMembers } from '../pack/joined.ts';
import type { Verdict } from '../verdict.ts';
import { derailleur9, disc, hubGear } from '../../test/city.ts';
import { judged, measure, world, type World, type WorldOf } from '../../test/world.ts';

/** What a rule that judges kinds says of each: [what, world, verdict, words of the title where they matter]. */
type Row = [what: string, of: WorldOf, verdict: Verdict | 'none', words?: RegExp];

const mid = { kit: 'wren-m250' };
const front = { kit: 'linnet-f250' };
const side = { kit: 'hobby-s350' };
const gone = (id: string) => ({ survey: { [id]: '' } });
const school =
  (sides: Partial<World['build']['schools']>) =>
  ({ build }: World): void => {
    build.schools = { ...build.schools, ...sides };
  };
const controls =
  (change: object) =>
  ({ kit }: World): void => {
    if (kit.controls) Object.assign(kit.controls, change);
  };

const withSecond = (build: Build, seat: Seat, massKg: number): void => {
  build.brief.riders.push({ ...usualRider(), name: 'Second', massKg });
  build.brief.aboard.push({ rider: 1, seat, pedals: seat === 'second' });
};
const onRack = ({ build }: World): void => {
  build.choice.packId = 'loaf-36-17';
  build.choice.packPlace = 'rack';
};
const sprung: WorldOf = { kind: 'fullSuspension', pack: 'loaf-36-17', edit: onRack };
/** The last question answered, with one thing named. */
const closed = (stands: OtherStands): { edit: (w: World) => void } => ({
  edit: ({ build }) => {
    const other = { id: 'o', what: 'windmill', where: 'wheel' as const, stands, how: '' };
    build.closing['otter-r250'] = { others: [other], nothingElse: true };
  },
});
const lever =
  (left: CutoffWay | null, right: CutoffWay | null) =>
  ({ build }: World): void => {
    build.wiring.levers.left.by = left;
    build.wiring.levers.right.by = right;
  };
const longLeads = ({ kit }: World): void => {
  for (const lead of kit.wiring?.leads ?? []) lead.lengthM = 4;
};
const leadLong = ({ kit }: World, id: string, lengthM: number): void => {
  for (const lead of kit.wiring?.leads ?? []) if (lead.id === id) lead.lengthM = lengthM;
};
const blocks =
  (change: Partial<Member>) =>
  ({ build }: World): void => {
    const block: Member = {
      name: 'Block',
      chemistry: 'lead',
      volts: 12,
      ampHours: 18,
      amps: 30,
      ageYears: 0,
      restV: 12.7,
      series: 6,
    };
    build.wiring.packs = { join: 'series', by: 'wires', of: null, members: [block, block, { ...block, ...change }] };
  };
const second =
  (by: 'wires' | 'makersJoint' | 'diodes') =>
  ({ build, pack }: World): void => {
    const two = usualMembers(pack);
    build.wiring.packs = {
      ...two,
      by,
      of: pack.id,
      members: two.members.map((m) => ({ ...m, ageYears: 1, restV: 40 })),
    };
  };
const readings =
  (volts: Record<string, number>) =>
  ({ build }: World): void => {
    build.wiring.checks = Object.fromEntries(
      Object.entries(volts).map(([id, v]) => [id, { volts: v, on: '2026-04-01' }]),
    );
  };
/** What was ticked off of the kit's box. */
const unboxed =
  (found: Record<string, 'present' | 'missing' | 'faulty'> | 'all') =>
  ({ build, kit }: World): void => {
    const all = Object.fromEntries((kit.contents ?? []).map((c) => [c.id, 'present' as const]));
    build.bill.lines[kit.id] = { ...usualLine, state: 'arrived', unboxed: found === 'all' ? all : found };
  };
const table: Record<string, Row[]> = {
  'bracket-thread-hand': [
    ['ISO, left-handed on the drive side', mid, 'fits'],
    ['ISO, misread as right-handed', { ...mid, survey: { bracketThreadHand: 'right' } }, 'rework', /disagree/],
    [
      'Italian, right-handed',
      { ...mid, survey: { bracketKind: 'threadedItalian', bracketThreadHand: 'right' } },
      'rework',
      /not this shell/,
    ],
    [
      'French, left-handed',
      { ...mid, survey: { bracketKind: 'threadedFrench', bracketThreadHand: 'left' } },
      'rework',
      /disagree/,
    ],
    ['not checked', { ...mid, ...gone('bracketThreadHand') }, 'measure'],
    ['press-fit has none', { ...mid, survey: { bracketKind: 'pressFit' } }, 'none'],
    ['a hub does not ask', {}, 'none'],
  ],
  'brake-kind': [
    ['rim brake on a machined rim', {}, 'fits'],
    [
      'rim brake on a rim without a track',
      {
        edit: ({ kit }) => {
          if (kit.hub) kit.hub.rimBrakeTrack = false;
        },
      },
      'stop',
      /track/,
    ],
    ['disc on a hub with a seat for it', { survey: disc }, 'fits'],
    [
      'disc on a hub with none',
      {
        survey: disc,
        edit: ({ kit }) => {
          if (kit.hub) kit.hub.disc = false;
        },
      },
      'stop',
      /rotor/,
    ],
    ['coaster goes with the old hub', { survey: { rearBrake: 'coaster' } }, 'rework'],
    ['drum likewise', { survey: { rearBrake: 'drum' } }, 'rework'],
    ['roller likewise', { survey: { rearBrake: 'roller' } }, 'rework'],
    ['none behind is nothing to keep', { survey: { rearBrake: 'none' } }, 'fits', /No rear/],
    ['none in front wants one', { ...front, survey: { frontBrake: 'none' } }, 'rework', /No front/],
    ['not looked at', gone('rearBrake'), 'measure'],
    ['assumed is not proven', { survey: { rearBrake: 'rim ?' } }, 'measure', /not proven/],
    ['coaster behind a mid-drive', { ...mid, survey: { rearBrake: 'coaster' } }, 'stop'],
    [
      'coaster behind one that bears it',
      {
        ...mid,
        survey: { rearBrake: 'coaster' },
        edit: ({ kit }) => {
          if (kit.mid) kit.mid.coaster = true;
        },
      },
      'fits',
    ],
    ['mid-drive leaves a rim brake alone', mid, 'fits', /stay/],
    ['mid-drive, not looked at', { ...mid, ...gone('rearBrake') }, 'measure'],
    ['mid-drive, assumed', { ...mid, survey: { rearBrake: 'rim ?' } }, 'measure', /not proven/],
  ],
  'chain-tension': [
    ['several cogs do not ask', {}, 'none'],
    ['one cog in horizontal slots', { survey: { clusterKind: 'single' } }, 'fits', /dropouts/],
    [
      'one cog in vertical slots, no tensioner',
      { survey: { clusterKind: 'single', rearAxleHolding: 'verticalSlot', tensioner: 'no' } },
      'rework',
    ],
    [
      'one cog in vertical slots, a tensioner',
      { survey: { clusterKind: 'single', rearAxleHolding: 'verticalSlot', tensioner: 'yes' } },
      'fits',
      /tensioner/,
    ],
    ['tensioner not looked for', { survey: { clusterKind: 'single', rearAxleHolding: 'verticalSlot' } }, 'measure'],
    ['holding not looked at', { ...mid, survey: { clusterKind: 'hubGear', rearAxleHolding: '' } }, 'measure'],
    ['a rear hub leaves no hub gear behind', { survey: { clusterKind: 'hubGear', rearAxleHolding: '' } }, 'none'],
    ['a front hub leaves it', { ...front, survey: { clusterKind: 'single' } }, 'none'],
    ['a mid-drive with a hub gear asks', { ...mid, survey: { clusterKind: 'hubGear' } }, 'fits'],
    ['a delta trike has its own', { ...mid, kind: 'deltaTrike', survey: { clusterKind: 'single' } }, 'none'],
  ],
  'rack-swing-arm': [
    ['held by the swing arm alone', { ...sprung, survey: { rackHeldBy: 'swingArm' } }, 'fits', /stays alone/],
    ['held by the main frame alone', { ...sprung, survey: { rackHeldBy: 'mainFrame' } }, 'fits', /main frame alone/],
    ['bridging both', { ...sprung, survey: { rackHeldBy: 'bridges' } }, 'stop'],
    ['not looked at', sprung, 'measure'],
    ['no swing arm', { pack: 'loaf-36-17', edit: onRack }, 'none'],
    ['not on the rack', { kind: 'fullSuspension' }, 'none'],
  ],
  'pack-trust': [
    ['a new pack', {}, 'none'],
    ['a used one nobody tried', { edit: ({ pack }) => void (pack.origin = 'used') }, 'measure', /untried/],
    [
      'a home-made one, tried',
      { edit: ({ pack }) => void Object.assign(pack, { origin: 'homeMade', health: 0.93 }) },
      'fits',
    ],
  ],
  'front-derailleur': [
    ['one ring', mid, 'fits', /Nothing to take off/],
    ['comes off', { ...mid, survey: { frontDerailleur: 'yes' } }, 'fits', /comes off/],
    [
      'on tour with two rings',
      {
        ...mid,
        survey: { frontDerailleur: 'yes', ringTeeth: '48-34' },
        edit: ({ build }) => void (build.brief.purpose = 'touring'),
      },
      'rework',
    ],
    ['not looked for', { ...mid, ...gone('frontDerailleur') }, 'measure'],
    ['a hub leaves it', {}, 'none'],
  ],
  'seats-aboard': [
    ['alone', {}, 'none'],
    ['for two, and alone', { edit: ({ build }) => void (build.brief.purpose = 'twoUp') }, 'rework'],
    ['two on a tandem', { kind: 'tandem', edit: ({ build }) => withSecond(build, 'second', 60) }, 'fits', /Everybody/],
    ['a second saddle that is not there', { edit: ({ build }) => withSecond(build, 'second', 60) }, 'stop', /No such/],
    [
      'a child behind on a rack nobody read',
      { survey: { rackLimit: '' }, edit: ({ build }) => withSecond(build, 'childBehind', 15) },
      'measure',
    ],
  ],
  'rack-shared': [
    [
      'seat and pack on one rack',
      {
        pack: 'loaf-36-17',
        edit: (w) => {
          onRack(w);
          withSecond(w.build, 'childBehind', 15);
        },
      },
      'stop',
    ],
    ['a pack in the frame', { edit: ({ build }) => withSecond(build, 'childBehind', 15) }, 'none'],
    ['nobody behind', { pack: 'loaf-36-17', edit: onRack }, 'none'],
  ],
  'trailer-behind': [
    ['none', {}, 'none'],
    [
      'its limit not read',
      { edit: ({ build }) => void (build.brief.trailer = { ...usualTrailer(), loadKg: 20 }) },
      'measure',
    ],
    [
      'its own brake bears more',
      {
        edit: ({ build }) =>
          void (build.brief.trailer = { ...usualTrailer(), loadKg: 90, limitKg: 100, brake: 'overrun' }),
      },
      'fits',
    ],
  ],
  'hub-gear-choice': [
    ['none chosen', mid, 'none'],
    ['goes in', { ...mid, edit: ({ build }) => void (build.choice.hubGearId = 'hub-gear-eight') }, 'fits'],
    ['a rear motor has its place', { edit: ({ build }) => void (build.choice.hubGearId = 'hub-gear-eight') }, 'stop'],
    [
      'with cogs chosen too',
      {
        ...mid,
        edit: ({ build }) =>
          void Object.assign(build.choice, { hubGearId: 'hub-gear-eight', clusterId: 'cassette-8-11-32' }),
      },
      'stop',
      /both/,
    ],
    [
      'another hole count',
      { ...mid, survey: { rearSpokes: '28' }, edit: ({ build }) => void (build.choice.hubGearId = 'hub-gear-eight') },
      'rework',
      /spokes/,
    ],
    [
      'a disc and no seat for its rotor',
      {
        ...mid,
        survey: { ...disc, rearDropoutSpacing: '120 mm' },
        edit: ({ build }) => void (build.choice.hubGearId = 'hub-gear-three'),
      },
      'rework',
      /rotor/,
    ],
    [
      'nothing measured of the ends',
      { ...mid, ...gone('rearDropoutSpacing'), edit: ({ build }) => void (build.choice.hubGearId = 'hub-gear-eight') },
      'measure',
    ],
  ],
  'electric-brake-school': [
    ['a geared hub cannot', {}, 'none'],
    ['cut only', { kit: 'heron-d1000' }, 'fits', /Levers cut/],
    ['electric wants two arms', { kit: 'heron-d1000', edit: school({ brakeLever: 'electric' }) }, 'rework', /two arms/],
  ],
  'hub-arm-school': [
    [
      'always, and none planned',
      {
        edit: ({ build }) => {
          build.choice.torqueArms = 0;
          build.schools.hubArms = 'always';
        },
      },
      'rework',
    ],
    ['above a torque', { edit: ({ build }) => void (build.choice.torqueArms = 0) }, 'fits', /No arm/],
    ['a mid-drive does not ask', mid, 'none'],
  ],
  chemistry: [
    ['lithium delivered', {}, 'fits'],
    [
      'lithium not delivered',
      {
        edit: ({ build }) => {
          build.brief.lithiumDelivered = false;
        },
      },
      'stop',
    ],
    ['lead where lithium can be had', { pack: 'ballast-36-18-pb' }, 'rework'],
    ['lead accepted', { pack: 'ballast-36-18-pb', edit: school({ leadAcid: 'accept' }) }, 'fits'],
    [
      'lead where nothing else can be had',
      {
        pack: 'ballast-36-18-pb',
        edit: ({ build }) => {
          build.brief.lithiumDelivered = false;
        },
      },
      'fits',
    ],
  ],
  'crank-removal': [
    ['square taper', mid, 'fits'],
    ['cottered', { ...mid, survey: { crankFit: 'cottered' } }, 'rework'],
    ['one-piece in a threaded kit', { ...mid, survey: { crankFit: 'onePiece' } }, 'stop'],
    [
      'one-piece in a kit made for it',
      {
        ...mid,
        survey: { crankFit: 'onePiece' },
        edit: ({ kit }) => {
          if (kit.mid) kit.mid.boreM.least = 0.05;
        },
      },
      'fits',
      /one-piece/,
    ],
    ['not looked at', { ...mid, ...gone('crankFit') }, 'measure'],
    ['a hub does not ask', {}, 'none'],
  ],
  'crossover-tandem': [
    ['crossover', { ...mid, kind: 'tandem', survey: { timingChain: 'crossover' } }, 'stop'],
    ['on the drive side', { ...mid, kind: 'tandem', survey: { timingChain: 'driveSide' } }, 'rework'],
    ['not looked at', { ...mid, kind: 'tandem' }, 'measure'],
    ['no tandem', mid, 'none'],
    ['no mid-drive', { kind: 'tandem', survey: { timingChain: 'crossover' } }, 'none'],
  ],
  'cutoff-levers': [
    [
      'hydraulic ones, magnets chosen for both',
      { survey: { leftPull: 'hose', rightPull: 'hose' }, edit: lever('magnet', 'magnet') },
      'fits',
      /Each lever/,
    ],
    [
      'hydraulic ones, one chosen',
      { survey: { leftPull: 'hose', rightPull: 'hose' }, edit: lever('magnet', null) },
      'rework',
      /do not suit/,
    ],
    [
      'a way chosen that does not do',
      { survey: { leftPull: 'hose' }, edit: lever('inLine', null) },
      'rework',
      /cannot be cut so/,
    ],
    ['none chosen for a hand', { edit: lever('none', null) }, 'rework', /cuts nothing/],
    [
      'one hand has none, the other is chosen',
      { survey: { leftLever: 'none' }, edit: lever(null, 'magnet') },
      'fits',
      /Each lever/,
    ],
    ['the kit’s levers in place of separate ones', {}, 'fits', /Each lever/],
    ['hydraulic levers', { survey: { leftPull: 'hose', rightPull: 'hose' } }, 'rework', /do not suit/],
    ['one joined with the shifter', { survey: { rightLever: 'withShifter' } }, 'rework', /do not suit/],
    ['drop-bar levers', { survey: { leftLever: 'dropBar', rightLever: 'dropBar' } }, 'rework', /do not suit/],
    ['no lever at all', { survey: { leftLever: 'none', rightLever: 'none' } }, 'rework', /No lever/],
    ['a hose at a lever joined with the shifter', { survey: { leftLever: 'withShifter', leftPull: 'hose' } }, 'rework'],
    ['two cables at one lever', { survey: { leftPull: 'twoCables' } }, 'rework', /do not suit/],
    ['a drop bar keeps its own', { survey: { barShape: 'drop' } }, 'rework', /do not suit/],
    ['a parking lock keeps its lever', { ...front, kind: 'deltaTrike', survey: { parkingLock: 'yes' } }, 'rework'],
    ['what they pull not looked at', gone('leftPull'), 'measure', /pull/],
    [
      'nowhere for a magnet, not tried',
      { survey: { leftPull: 'hose', leftSensorRoom: '' } },
      'measure',
      /Room for a sensor/,
    ],
    [
      'a hose, and nowhere for a magnet',
      { survey: { leftPull: 'hose', leftSensorRoom: 'no' } },
      'rework',
      /Nothing cuts the motor at the left/,
    ],
    ['own levers kept, by school', { edit: school({ levers: 'keepOwn' }) }, 'fits', /Each lever/],
    ['the kit brings none', { edit: controls({ cutoffs: 'none' }) }, 'rework', /brings no/],
    [
      'in the cable, of a hydraulic',
      { edit: controls({ cutoffs: 'inLine' }), survey: { leftPull: 'hose' } },
      'rework',
      /want a cable/,
    ],
    [
      'in the cable, joined with the shifter',
      { edit: controls({ cutoffs: 'inLine' }), survey: { leftLever: 'withShifter' } },
      'fits',
    ],
    ['magnets anywhere', { edit: controls({ cutoffs: 'magnets' }), survey: { leftPull: 'hose' } }, 'fits'],
    ['levers not looked at', gone('leftLever'), 'measure'],
    ['by school only with a throttle', { edit: school({ cutoffs: 'withThrottle' }) }, 'fits', /by your school/],
    [
      'by school, and a throttle it is',
      {
        edit: (w) => {
          school({ cutoffs: 'withThrottle' })(w);
          w.kit.throttle = true;
          w.build.choice.usesThrottle = true;
        },
        survey: { leftPull: 'hose' },
      },
      'rework',
    ],
    [
      'what it brings not known',
      {
        edit: ({ kit }) => {
          delete kit.controls;
        },
      },
      'measure',
    ],
  ],
  'donor-school': [
    ['old and simple, as wanted', {}, 'fits'],
    ['carbon', { survey: { frameMaterial: 'carbon' } }, 'rework'],
    ['press-fit', { survey: { bracketKind: 'pressFit' } }, 'rework'],
    ['through-axle', { survey: { rearAxleHolding: 'throughAxle' } }, 'rework'],
    ['nothing seen', gone('frameMaterial'), 'measure'],
    ['newer with discs, on rim brakes', { edit: school({ donorAge: 'newerDiscs' }) }, 'rework'],
    ['newer with discs, on discs', { survey: disc, edit: school({ donorAge: 'newerDiscs' }) }, 'fits'],
    [
      'newer with hydraulic discs',
      { survey: { ...disc, frontBrake: 'discHydraulic' }, edit: school({ donorAge: 'newerDiscs' }) },
      'fits',
    ],
    ['newer, not looked at', { ...gone('frontBrake'), edit: school({ donorAge: 'newerDiscs' }) }, 'measure'],
  ],
  'down-tube-shape': [
    ['straight', mid, 'fits'],
    ['curved', { ...mid, survey: { downTubeShape: 'curved', tubeSag: '25 mm' } }, 'rework', /bends/],
    ['curved, and no bow measured', { ...mid, survey: { downTubeShape: 'curved' } }, 'measure', /bows/],
    ['a boom has none', { ...mid, kind: 'recumbent', survey: { downTubeShape: '' } }, 'none'],
    ['none', { ...mid, survey: { downTubeShape: 'none' } }, 'rework', /No down tube/],
    ['not looked at', { ...mid, ...gone('downTubeShape') }, 'measure'],
    ['a hub does not ask', {}, 'none'],
  ],
  'driven-wheels': [
    ['a rear hub without dropouts', { kind: 'deltaTrike' }, 'stop', /No dropouts/],
    ['a front hub without a fork', { ...front, kind: 'tadpoleTrike' }, 'stop', /No fork/],
    ['both', { ...mid, kind: 'deltaTrike', survey: { drivenWheels: 'bothRear' } }, 'rework', /Both/],
    ['the left', { ...mid, kind: 'deltaTrike', survey: { drivenWheels: 'rearLeft' } }, 'rework', /One/],
    ['the right', { ...mid, kind: 'deltaTrike', survey: { drivenWheels: 'rearRight' } }, 'rework', /One/],
    ['not looked at', { ...mid, kind: 'deltaTrike' }, 'measure'],
    ['a side kit asks', { ...side, kind: 'deltaTrike', survey: { drivenWheels: 'bothRear' } }, 'rework'],
    ['a hub does not', { ...front, kind: 'deltaTrike', survey: { drivenWheels: 'bothRear' } }, 'none'],
    ['two wheels do not', mid, 'none'],
  ],
  'fork-tips': [
    ['flat', front, 'fits'],
    ['recessed', { ...front, survey: { frontTips: 'recessed' } }, 'rework'],
    ['not looked at', { ...front, ...gone('frontTips') }, 'measure'],
    ['a rear hub does not ask', {}, 'none'],
  ],
  'frame-material': [
    ['steel', {}, 'fits'],
    ['aluminium recalled', { edit: (w) => measure(w, 'frameMaterial', 'aluminium') }, 'fits'],
    ['assumed', { survey: { frameMaterial: 'steel ?' } }, 'measure', /assumed/],
    ['not checked', gone('frameMaterial'), 'measure'],
    ['carbon, a hub', { survey: { frameMaterial: 'carbon' } }, 'stop'],
    ['carbon, a front hub in a metal fork, refused', { ...front, survey: { frameMaterial: 'carbon' } }, 'stop'],
    [
      'carbon, a front hub in a metal fork, by school',
      { ...front, survey: { frameMaterial: 'carbon' }, edit: school({ carbon: 'untouched' }) },
      'rework',
      /front hub with care/,
    ],
    [
      'carbon, a front hub in a carbon fork, by school',
      {
        ...front,
        survey: { frameMaterial: 'carbon', forkMaterial: 'carbon' },
        edit: school({ carbon: 'untouched' }),
      },
      'stop',
    ],
    [
      'carbon, a front hub by school, its fork not looked at',
      { ...front, survey: { frameMaterial: 'carbon', forkMaterial: '' }, edit: school({ carbon: 'untouched' }) },
      'measure',
      /fork made of/,
    ],
    ['carbon, a mid-drive, refused', { ...mid, survey: { frameMaterial: 'carbon' } }, 'stop'],
    [
      'carbon, a mid-drive by school, threaded',
      { ...mid, survey: { frameMaterial: 'carbon' }, edit: school({ carbon: 'midOnly' }) },
      'rework',
      /with care/,
    ],
    [
      'carbon, a mid-drive by school, pressed',
      { ...mid, survey: { frameMaterial: 'carbon', bracketKind: 'pressFit' }, edit: school({ carbon: 'midOnly' }) },
      'stop',
    ],
    [
      'carbon, a mid-drive by school, shell not looked at',
      { ...mid, survey: { frameMaterial: 'carbon', bracketKind: '' }, edit: school({ carbon: 'midOnly' }) },
      'measure',
    ],
    [
      'carbon, a hub by that school',
      { survey: { frameMaterial: 'carbon' }, edit: school({ carbon: 'midOnly' }) },
      'stop',
    ],
  ],
  hanger: [
    ['part of the dropout', {}, 'fits'],
    ['bolted on', { survey: { hanger: 'replaceable' } }, 'fits'],
    ['a claw', { survey: { hanger: 'claw' } }, 'rework', /Claw/],
    ['none, with a hub gear', { survey: { hanger: 'none', clusterKind: 'hubGear' } }, 'rework', /No hanger/],
    ['none, with several cogs', { survey: { hanger: 'none' } }, 'measure', /Where/],
    ['not looked at', gone('hanger'), 'measure'],
    ['one cog does not ask', { survey: { clusterKind: 'single' } }, 'none'],
    ['a front hub does not ask', front, 'none'],
  ],
  'hub-gear-school': [
    ['for smooth shifting', { ...mid, survey: hubGear }, 'fits'],
    ['against complexity', { ...mid, survey: hubGear, edit: school({ hubGearMid: 'complexity' }) }, 'rework'],
    ['no hub gear', mid, 'none'],
    ['no mid-drive', { survey: hubGear }, 'none'],
  ],
  'kit-source': [
    ['mixed', {}, 'fits', /Matched/],
    ['one supplier wanted', { edit: school({ kitSource: 'oneSupplier' }) }, 'rework'],
    [
      'one maker',
      {
        edit: (w) => {
          w.pack.maker = w.kit.maker;
          school({ kitSource: 'oneSupplier' })(w);
        },
      },
      'fits',
      /one maker/,
    ],
  ],
  'lead-ends': [
    ['all is there', {}, 'none'],
    [
      'an extension of a lead that this kit does not have',
      {
        edit: ({ build }) => {
          build.wiring.leads.halls = { ...usualLead, spliceM: 0.2 };
        },
      },
      'measure',
      /not there/,
    ],
    [
      'left off only, of a lead it does not have',
      {
        edit: ({ build }) => {
          build.wiring.leads.halls = { ...usualLead, leftOff: true };
        },
      },
      'none',
    ],
    ['a shift sensor, and a gear cable for it', mid, 'none'],
    [
      'a shift sensor on one cog',
      { ...mid, survey: { clusterKind: 'single', cogTeeth: '19' } },
      'rework',
      /no gear cable/,
    ],
    [
      'a shift sensor and no shifter',
      { ...mid, survey: { leftShifter: 'none', rightShifter: 'none' } },
      'rework',
      /no gear cable/,
    ],
    [
      'the same, its lead left off',
      {
        ...mid,
        survey: { clusterKind: 'single', cogTeeth: '19' },
        edit: ({ build }) => {
          build.wiring.leads.shift = { ...usualLead, leftOff: true };
        },
      },
      'none',
    ],
  ],
  'closing-question': [
    ['nothing else', {}, 'fits'],
    ['not asked', { edit: ({ build }) => void (build.closing = {}) }, 'measure', /What else/],
    ['named, not judged', closed('open'), 'measure', /Not judged yet/],
    ['clear of it', closed('clear'), 'fits', /Nothing else/],
    ['to be moved', closed('moves'), 'rework', /To be moved/],
    ['in the way for good', closed('blocks'), 'stop', /In the way/],
    [
      'once it is bought',
      {
        edit: ({ build }) => {
          build.closing = {};
          build.bill.lines['otter-r250'] = { ...usualLine, state: 'ordered' };
        },
      },
      'none',
    ],
  ],
  'legal-duties': [
    ['no duties', {}, 'none'],
    [
      'an age that nobody asked',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'epac32';
          for (const rider of build.brief.riders) rider.ageYears = null;
        },
      },
      'measure',
      /ages not asked/,
    ],
    [
      'a rider too young',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'epac32';
          for (const rider of build.brief.riders) rider.ageYears = 14;
        },
      },
      'stop',
      /too young/,
    ],
    [
      'an age',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'epac32';
        },
      },
      'fits',
    ],
    [
      'a plate',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'moped25';
        },
      },
      'rework',
    ],
    [
      'no such class',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'nowhere';
        },
      },
      'none',
    ],
  ],
  'legal-throttle': [
    ['no throttle', {}, 'none'],
    [
      'left off',
      {
        edit: ({ kit }) => {
          kit.throttle = true;
        },
      },
      'fits',
    ],
    [
      'used where it is for walking only',
      {
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
        },
      },
      'rework',
    ],
    [
      'used where it is allowed',
      {
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
          build.brief.legalClass = 'powered32';
        },
      },
      'fits',
    ],
    [
      'used on private ground',
      {
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
          build.brief.legalClass = 'private';
        },
      },
      'fits',
    ],
  ],
  'legal-power': [
    [
      'no limit',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'private';
        },
      },
      'fits',
      /No limit/,
    ],
    [
      'no such class',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'nowhere';
        },
      },
      'measure',
    ],
  ],
  'legal-speed': [
    [
      'no limit in the class',
      {
        edit: ({ build }) => {
          build.brief.legalClass = 'private';
        },
      },
      'none',
    ],
    [
      'no limit on the kit',
      {
        edit: ({ kit }) => {
          delete kit.assistLimitMs;
        },
      },
      'rework',
    ],
  ],
  'mid-arm': [
    ['only if it loosens', mid, 'fits', /Lock ring/],
    [
      'always, one planned',
      {
        ...mid,
        edit: (w) => {
          school({ midArm: 'always' })(w);
          w.build.choice.torqueArms = 1;
        },
      },
      'fits',
      /planned/,
    ],
    [
      'always, none planned',
      {
        ...mid,
        edit: (w) => {
          school({ midArm: 'always' })(w);
          w.build.choice.torqueArms = 0;
        },
      },
      'rework',
    ],
    ['a hub does not ask', {}, 'none'],
  ],
  'pack-handling': [
    [
      'in the frame',
      {
        edit: ({ build }) => {
          build.choice.packPlace = 'downTube';
        },
      },
      'fits',
      /Low and central/,
    ],
    [
      'on the rack, against the school',
      {
        pack: 'loaf-36-17',
        edit: ({ build }) => {
          build.choice.packPlace = 'rack';
        },
      },
      'rework',
      /against/,
    ],
    [
      'on the rack, by the school',
      {
        pack: 'loaf-36-17',
        edit: (w) => {
          school({ battery: 'rack' })(w);
          w.build.choice.packPlace = 'rack';
        },
      },
      'fits',
      /On the rack/,
    ],
    [
      'on the rack of a frame with no triangle',
      {
        kind: 'stepThrough',
        pack: 'loaf-36-17',
        edit: ({ build }) => {
          build.choice.packPlace = 'rack';
        },
      },
      'fits',
      /On the rack/,
    ],
    [
      'on the rack on trails',
      {
        kind: 'stepThrough',
        pack: 'loaf-36-17',
        edit: ({ build }) => {
          build.choice.packPlace = 'rack';
          build.brief.purpose = 'trail';
        },
      },
      'rework',
      /trails/,
    ],
    [
      'behind the seat tube',
      {
        edit: ({ build }) => {
          build.choice.packPlace = 'behindSeatTube';
        },
      },
      'fits',
      /Central/,
    ],
    [
      'in a box',
      {
        kind: 'boxBike',
        pack: 'hearth-48-20-lfp',
        edit: ({ build }) => {
          build.choice.packPlace = 'box';
        },
      },
      'fits',
      /Out of the frame/,
    ],
  ],
  'pack-material': [
    [
      'steel',
      {
        edit: ({ build }) => {
          build.choice.packPlace = 'downTube';
        },
      },
      'fits',
    ],
    [
      'carbon, refused',
      {
        survey: { frameMaterial: 'carbon' },
        edit: ({ build }) => {
          build.choice.packPlace = 'downTube';
        },
      },
      'stop',
    ],
    [
      'carbon by school',
      {
        survey: { frameMaterial: 'carbon' },
        edit: (w) => {
          school({ carbon: 'midOnly' })(w);
          w.build.choice.packPlace = 'downTube';
        },
      },
      'rework',
    ],
    [
      'not checked',
      {
        ...gone('frameMaterial'),
        edit: ({ build }) => {
          build.choice.packPlace = 'downTube';
        },
      },
      'measure',
    ],
    [
      'on a rack nothing is clamped',
      {
        pack: 'loaf-36-17',
        edit: ({ build }) => {
          build.choice.packPlace = 'rack';
        },
      },
      'none',
    ],
  ],
  'parking-lock': [
    [
      'none before, a locking lever chosen',
      {
        kind: 'deltaTrike',
        ...front,
        survey: { parkingLock: 'no' },
        edit: ({ build }) => {
          build.wiring.levers.left.part = 'lever-lock';
        },
      },
      'fits',
      /locks is chosen/,
    ],
    [
      'one there, magnets chosen for both hands',
      { kind: 'deltaTrike', ...front, survey: { parkingLock: 'yes' }, edit: lever('magnet', 'magnet') },
      'fits',
    ],
    ['two wheels', {}, 'none'],
    ['none', { ...front, kind: 'deltaTrike', survey: { parkingLock: 'no' } }, 'rework', /No parking/],
    [
      'one that stays',
      { ...front, kind: 'tadpoleTrike', survey: { parkingLock: 'yes' }, edit: controls({ cutoffs: 'magnets' }) },
      'fits',
    ],
    ['not looked for', { ...front, kind: 'deltaTrike' }, 'measure'],
  ],
  'purpose-fit': [
    [
      'a hub on trails',
      {
        edit: ({ build }) => {
          build.brief.purpose = 'trail';
        },
      },
      'rework',
      /trails/,
    ],
    [
      'a hub on a fat bike’s trails',
      {
        kind: 'fat',
        edit: ({ build }) => {
          build.brief.purpose = 'trail';
        },
      },
      'fits',
    ],
    [
      'a mid-drive on trails',
      {
        ...mid,
        edit: ({ build }) => {
          build.brief.purpose = 'trail';
        },
      },
      'fits',
    ],
  ],
  'rear-travel': [
    ['no suspension', {}, 'none'],
    ['a rear hub', { kind: 'fullSuspension', survey: { rearTravel: '120 mm' } }, 'rework', /Heavy|heavy/],
    ['a mid-drive', { ...mid, kind: 'fullSuspension', survey: { rearTravel: '120 mm' } }, 'rework', /grows/],
    ['a front hub', { ...front, kind: 'fullSuspension', survey: { rearTravel: '120 mm' } }, 'fits'],
    ['not measured', { kind: 'fullSuspension' }, 'measure'],
  ],
  'rider-fit': [
    [
      'a seated delta trike is sat down into',
      { ...front, kind: 'deltaTrike', survey: { seatKind: 'seat', seatHeight: '480 mm', standover: '' } },
      'fits',
      /easy to reach/,
    ],
    [
      'a delta trike with a saddle is straddled',
      { ...front, kind: 'deltaTrike', survey: { seatKind: 'saddle', standover: '' } },
      'measure',
      /Step height/,
    ],
    [
      'must sit, on a bicycle',
      {
        edit: ({ build }) => {
          const [r] = build.brief.riders;
          if (r) r.mounting = 'seated';
        },
      },
      'rework',
      /needs to sit/,
    ],
    [
      'must sit, on a trike with a seat',
      {
        kind: 'tadpoleTrike',
        survey: { seatHeight: '450 mm' },
        edit: ({ build }) => {
          const [r] = build.brief.riders;
          if (r) r.mounting = 'seated';
        },
      },
      'fits',
    ],
    ['a low seat for one who gets up easily', { kind: 'tadpoleTrike', survey: { seatHeight: '300 mm' } }, 'fits'],
    ['seat not measured', { kind: 'recumbent' }, 'measure'],
    ['step not measured', gone('standover'), 'measure'],
    [
      'the second of two riders decides',
      {
        edit: ({ build }) => {
          build.brief.riders.push({
            ...(build.brief.riders[0] as (typeof build.brief.riders)[number]),
            name: 'B',
            inseamM: 0.6,
          });
        },
      },
      'rework',
      /stand over/,
    ],
  ],
  'rim-tape': [
    [
      'laced into a smooth rim',
      {
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.rimInnerM;
        },
      },
      'fits',
      /wide enough/,
    ],
    [
      'laced into a rim nobody felt',
      {
        survey: { rimHoles: '' },
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.rimInnerM;
        },
      },
      'measure',
      /not felt/,
    ],
    [
      'the kit’s rim sharp on arrival',
      {
        edit: ({ kit }) => {
          if (kit.hub) kit.hub.rimHoles = 'sharp';
        },
      },
      'rework',
      /Sharp/,
    ],
    [
      'laced into a sharp rim',
      {
        survey: { rimHoles: 'sharp' },
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.rimInnerM;
        },
      },
      'rework',
      /Sharp/,
    ],
    [
      'laced, not felt',
      {
        ...gone('rimHoles'),
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.rimInnerM;
        },
      },
      'measure',
    ],
    [
      'narrow rims want 12 mm at least',
      {
        survey: { tapeWidth: '8.9 mm' },
        edit: ({ kit }) => {
          if (kit.hub) Object.assign(kit.hub, { rimInnerM: 0.01, rimHoles: 'smooth' });
        },
      },
      'rework',
    ],
    ['a mid-drive does not ask', mid, 'none'],
  ],
  'ring-mount': [
    ['none chosen', mid, 'none'],
    [
      'the kit’s circle',
      {
        ...mid,
        edit: ({ build }) => {
          build.choice.ringId = 'ring-38-bcd104';
        },
      },
      'fits',
    ],
    [
      'another circle',
      {
        ...mid,
        edit: ({ build }) => {
          build.choice.ringId = 'ring-46-bcd130';
        },
      },
      'stop',
    ],
    [
      'the donor’s cranks',
      {
        edit: ({ build }) => {
          build.choice.ringId = 'ring-46-bcd130';
        },
      },
      'fits',
      /bolts to the cranks/,
    ],
    [
      'the donor’s cranks of another circle',
      {
        edit: ({ build }) => {
          build.choice.ringId = 'ring-42-bcd104';
        },
      },
      'stop',
    ],
    [
      'the donor’s cranks not measured',
      {
        survey: { boltCircle: '' },
        edit: ({ build }) => {
          build.choice.ringId = 'ring-42-bcd104';
        },
      },
      'measure',
    ],
  ],
  'cluster-choice': [
    ['none chosen', {}, 'none'],
    [
      'the hub’s mount',
      {
        edit: ({ build }) => {
          build.choice.clusterId = 'freewheel-6-14-28';
        },
      },
      'fits',
    ],
    [
      'another mount',
      {
        edit: ({ build }) => {
          build.choice.clusterId = 'cassette-8-11-32';
        },
      },
      'stop',
      /does not go/,
    ],
    [
      'the donor’s mount, with a mid-drive',
      {
        ...mid,
        edit: ({ build }) => {
          build.choice.clusterId = 'freewheel-6-14-28';
        },
      },
      'fits',
    ],
    [
      'a hub gear’s wheel',
      {
        ...mid,
        survey: hubGear,
        edit: ({ build }) => {
          build.choice.clusterId = 'freewheel-6-14-28';
        },
      },
      'stop',
    ],
    [
      'the donor’s not looked at',
      {
        ...mid,
        ...gone('clusterKind'),
        edit: ({ build }) => {
          build.choice.clusterId = 'freewheel-6-14-28';
        },
      },
      'measure',
    ],
  ],
  'cluster-mount': [
    [
      'a cassette on a freewheel hub',
      { survey: { ...derailleur9, cogTeeth: '11-13-15-17-20-23' } },
      'rework',
      /takes a freewheel/,
    ],
    ['a hub gear', { survey: hubGear }, 'rework', /goes with the old wheel/],
    ['one cog', { survey: { clusterKind: 'single', cogTeeth: '18' } }, 'fits'],
    ['not looked at', gone('clusterKind'), 'measure'],
    ['not counted', gone('cogTeeth'), 'measure', /not proven/],
    ['a front hub does not ask', front, 'none'],
  ],
  road: [
    ['none', {}, 'measure'],
    [
      'described',
      {
        edit: ({ build }) => {
          build.brief.route = {
            id: 'a',
            name: 'A',
            source: 'described',
            points: [
              { distanceM: 0, elevationM: 0 },
              { distanceM: 900, elevationM: 0 },
            ],
            surface: 'asphalt',
            stopsPerKm: 0,
            rawClimbM: 0,
            notes: [],
            stretches: [],
            reversed: false,
          };
        },
      },
      'fits',
    ],
  ],
  'rotor-mount': [
    ['no disc', {}, 'none'],
    ['six bolts on six', { survey: disc }, 'fits'],
    ['splined on six', { survey: { ...disc, rearRotorMount: 'splined' } }, 'rework'],
    ['not looked at', { survey: { ...disc, rearRotorMount: '' } }, 'measure'],
    [
      'the hub’s not known',
      {
        survey: disc,
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.rotorMount;
        },
      },
      'measure',
    ],
  ],
  'shifting-skill': [
    ['shifts, with a sensor', mid, 'fits', /lets up/],
    [
      'never shifts',
      {
        ...mid,
        edit: ({ build }) => {
          const [r] = build.brief.riders;
          if (r) r.neverShifts = true;
        },
      },
      'rework',
      /does not shift/,
    ],
    [
      'no sensor',
      {
        ...mid,
        edit: ({ kit }) => {
          if (kit.mid) kit.mid.shiftSensor = false;
        },
      },
      'rework',
      /sensor/,
    ],
    [
      'one gear',
      {
        ...mid,
        survey: { clusterKind: 'single' },
        edit: ({ kit }) => {
          if (kit.mid) kit.mid.shiftSensor = false;
        },
      },
      'fits',
      /One gear/,
    ],
    ['a hub does not ask', {}, 'none'],
  ],
  'side-kit': [
    ['a side kit', side, 'rework'],
    ['none', {}, 'none'],
  ],
  'side-line': [
    ['six bolts, no disc', { ...side, survey: { rearRotorMount: 'sixBolt' } }, 'rework'],
    ['no seat', { ...side, survey: { rearRotorMount: 'none' } }, 'stop', /No seat/],
    ['a disc in the way', { ...side, survey: disc }, 'stop', /one seat/],
    ['clamped to the spokes', { kit: 'hobby-s250' }, 'stop', /spokes/],
    ['not looked at', { ...side, ...gone('rearBrake') }, 'measure'],
    ['no side kit', {}, 'none'],
  ],
  'side-clamps': [
    ['no seat tube beside a stay', { ...side, kind: 'recumbent' }, 'stop', /Nothing/],
    ['not measured', { ...side, ...gone('chainstayDiameter') }, 'measure'],
  ],
  'throttle-bar': [
    ['no throttle', {}, 'none'],
    ...(['drop', 'swept', 'sideSticks'] as const).map((shape): Row => [
      shape,
      {
        survey: { barShape: shape },
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
        },
      },
      shape === 'drop' ? 'rework' : 'fits',
    ]),
    [
      'taped',
      {
        survey: { barTape: 'yes' },
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
        },
      },
      'rework',
      /tape/,
    ],
    [
      'not looked at',
      {
        survey: { barShape: '' },
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
        },
      },
      'measure',
    ],
  ],
  'throttle-school': [
    ['not used', {}, 'none'],
    [
      'scaled',
      {
        edit: ({ kit, build }) => {
          kit.throttle = true;
          build.choice.usesThrottle = true;
        },
      },
      'fits',
      /scaled/,
    ],
    [
      'full on a commute',
      {
        edit: (w) => {
          w.kit.throttle = true;
          w.build.choice.usesThrottle = true;
          school({ throttle: 'full' })(w);
        },
      },
      'fits',
      /Full/,
    ],
    ...(['load', 'easy', 'twoUp'] as const).map((purpose): Row => [
      `full, for ${purpose}`,
      {
        edit: (w) => {
          w.kit.throttle = true;
          w.build.choice.usesThrottle = true;
          w.build.brief.purpose = purpose;
          school({ throttle: 'full' })(w);
        },
      },
      'rework',
    ]),
  ],
  'under-bracket': [
    ['nothing', mid, 'fits'],
    ['a guide', { ...mid, survey: { underBracket: 'cableGuide' } }, 'rework', /Cables/],
    ['open cables', { ...mid, survey: { underBracket: 'openCables' } }, 'rework', /Cables/],
    ['a bolt', { ...mid, survey: { underBracket: 'bolt' } }, 'rework', /proud/],
    ['a stand’s plate', { ...mid, survey: { underBracket: 'standPlate' } }, 'rework', /Stand/],
    ['not looked at', { ...mid, ...gone('underBracket') }, 'measure'],
    ['a hub does not ask', {}, 'none'],
  ],
  'valve-hole': [
    ['wide in wide', {}, 'fits'],
    ['narrow in wide', { survey: { valve: 'narrow' } }, 'rework', /loose/],
    [
      'wide in narrow',
      {
        edit: ({ kit }) => {
          if (kit.hub) kit.hub.valve = 'narrow';
        },
      },
      'rework',
      /pass/,
    ],
    ['not looked at', gone('valve'), 'measure'],
    [
      'a bare hub does not ask',
      {
        edit: ({ kit }) => {
          if (kit.hub) delete kit.hub.valve;
        },
      },
      'none',
    ],
  ],
  'arm-anchor': [
    ['an eyelet', {}, 'fits', /eyelet/],
    ['none in front', { ...front, survey: { frontEyelets: 'none' } }, 'rework', /fork leg/],
    ['none behind, stay not measured', { survey: { rearEyelets: 'none', chainstayDiameter: '' } }, 'measure'],
    ['not looked at', gone('rearEyelets'), 'measure'],
    [
      'no arm planned',
      {
        edit: ({ build }) => {
          build.choice.torqueArms = 0;
        },
      },
      'none',
    ],
    ['a mid-drive does not ask', mid, 'none'],
  ],
  'axle-seat': [
    ['steel, one arm', {}, 'fits'],
    ['aluminium wants two', { survey: { dropoutMaterial: 'aluminium' } }, 'rework', /two/],
    [
      'aluminium with two',
      {
        survey: { dropoutMaterial: 'aluminium' },
        edit: ({ build }) => {
          build.choice.torqueArms = 2;
        },
      },
      'fits',
    ],
    ['a fork wants two', front, 'rework', /two/],
    [
      'direct drive wants one',
      {
        edit: ({ kit, build }) => {
          kit.family = 'rearDirect';
          build.choice.torqueArms = 0;
        },
      },
      'rework',
      /a torque arm/,
    ],
    ['carbon dropouts', { survey: { dropoutMaterial: 'carbon' } }, 'stop'],
    ['carbon fork', { ...front, survey: { forkMaterial: 'carbon' } }, 'stop', /Carbon fork/],
    ['suspension fork', { ...front, survey: { forkKind: 'suspension' } }, 'stop', /Suspension/],
    ['not looked at', gone('dropoutMaterial'), 'measure'],
    [
      'fork’s kind not looked at',
      {
        ...front,
        survey: { forkKind: '' },
        edit: ({ build }) => {
          build.choice.torqueArms = 2;
        },
      },
      'measure',
    ],
    ['assumed', { survey: { dropoutMaterial: 'steel ?' } }, 'measure', /not proven/],
  ],
  'axle-slot': [
    ['a closed hole', { survey: { rearAxleHolding: 'throughAxle' } }, 'stop', /closed hole/],
    ['not measured', gone('rearSlotWidth'), 'measure', /not measured/],
    ['holding not looked at', gone('rearAxleHolding'), 'measure'],
    ['assumed', { survey: { rearSlotWidth: '10.1 mm ?' } }, 'measure', /not proven/],
    ['a mid-drive does not ask', mid, 'none'],
  ],
  'brakes-enough': [
    ['no brakes', { survey: { frontBrake: 'none', rearBrake: 'none' } }, 'stop'],
    ['none in front', { survey: { frontBrake: 'none' } }, 'rework', /One brake/],
    ['not looked at', gone('frontBrake'), 'measure'],
  ],
  'lead-lengths': [
    ['every lead long enough', { edit: longLeads }, 'fits', /reaches/],
    [
      'nothing known of them',
      {
        edit: ({ kit }) => {
          delete kit.wiring;
          delete kit.controls;
        },
      },
      'measure',
      /not known/,
    ],
    ['way not measured', { edit: longLeads, ...gone('headToBracket') }, 'measure', /not measured/],
    ['lock not measured', { edit: longLeads, ...gone('lockSlack') }, 'measure', /not measured/],
    [
      'a folder’s fold not measured',
      { kind: 'folding', kit: 'dabchick-r250-f', edit: longLeads },
      'measure',
      /proves so/,
    ],
    [
      'a loom alone is said in the kit’s data, and it is long',
      {
        edit: ({ kit }) => {
          delete kit.wiring;
          if (kit.controls) kit.controls.loomM = 3;
        },
      },
      'measure',
      /not known/,
    ],
    [
      'one short',
      {
        edit: (w) => {
          longLeads(w);
          leadLong(w, 'motor', 0.4);
        },
      },
      'rework',
      /Motor lead too short/,
    ],
    [
      'two short',
      {
        edit: (w) => {
          longLeads(w);
          leadLong(w, 'motor', 0.4);
          leadLong(w, 'loom', 0.4);
        },
      },
      'rework',
      /2 leads/,
    ],
    [
      'short of an unheard-of plug',
      {
        edit: (w) => {
          longLeads(w);
          leadLong(w, 'cadence', 0.1);
          for (const l of w.kit.wiring?.leads ?? [])
            if (l.ends.from && l.id === 'cadence') l.ends.from.family = 'unheard of';
        },
      },
      'rework',
    ],
  ],
  'lead-way': [
    ['nothing near', {}, 'none'],
    [
      'a way by hand along the chainstay, past narrow cranks',
      {
        survey: { crankWidth: '96 mm' },
        edit: ({ build }) => {
          build.wiring.leads.motor = { ...usualLead, way: [{ xM: 0.33, yM: 0.3 }] };
        },
      },
      'rework',
      /crank/,
    ],
  ],
  'battery-plug': [
    ['of one family', {}, 'fits', /mate/],
    ['of two families', { pack: 'loaf-36-17' }, 'rework', /do not mate/],
    [
      'an adapter chosen',
      {
        pack: 'loaf-36-17',
        edit: ({ build }) => {
          build.wiring.power.adapter = 'adapter-flat-pair-2-to-bullet-pair-2';
        },
      },
      'fits',
      /adapter/,
    ],
    [
      'not known of the pack',
      {
        edit: ({ pack }) => {
          delete pack.discharge;
        },
      },
      'measure',
      /not known/,
    ],
    [
      'both halves alike',
      {
        edit: ({ pack }) => {
          if (pack.discharge) pack.discharge.plug.sex = 'pins';
        },
      },
      'rework',
    ],
  ],
  'control-plugs': [
    ['the kit’s own', {}, 'none'],
    [
      'one that plugs in',
      {
        edit: ({ build }) => {
          build.wiring.parts.display = 'slate-5';
        },
      },
      'fits',
    ],
    [
      'one of another family',
      {
        edit: ({ build }) => {
          build.wiring.parts.display = 'slate-b';
        },
      },
      'rework',
      /mate/,
    ],
    [
      'one without a socket',
      {
        edit: ({ build }) => {
          build.wiring.parts.horn = 'goose-horn';
        },
      },
      'rework',
      /socket/,
    ],
  ],
  'power-lead': [
    ['copper, fuse and plugs agree', {}, 'fits'],
    [
      'copper not known',
      {
        edit: ({ kit }) => {
          delete kit.wiring;
        },
      },
      'measure',
      /not known/,
    ],
    [
      'copper not known, but chosen anew',
      {
        edit: ({ kit, build }) => {
          delete kit.wiring;
          build.wiring.power.mm2 = 4;
        },
      },
      'fits',
    ],
    [
      'a fuse chosen too small',
      {
        edit: ({ build }) => {
          build.wiring.power.fuseA = 5;
        },
      },
      'rework',
      /fuse chosen/,
    ],
    [
      'more than any fuse',
      {
        edit: ({ kit }) => {
          kit.controller.batteryLimitA = 90;
        },
      },
      'rework',
      /No fuse/,
    ],
    [
      'thin',
      {
        edit: ({ kit }) => {
          for (const l of kit.wiring?.leads ?? []) l.mm2 = 1;
        },
      },
      'rework',
      /thin/,
    ],
  ],
  'plug-spark': [
    [
      'a small controller',
      {
        edit: ({ kit }) => {
          if (kit.wiring) kit.wiring.capacitanceF = 0.0002;
        },
      },
      'fits',
      /Little/,
    ],
    [
      'a big one',
      {
        edit: ({ kit }) => {
          if (kit.wiring) kit.wiring.capacitanceF = 0.002;
        },
      },
      'rework',
    ],
    ...(
      [
        ['precharge-22', 'fits', /tamed/],
        ['precharge-10', 'rework', /too much/],
        ['plug-seals', 'rework', /^A spark/],
      ] as const
    ).map(([part, verdict, words]): Row => [
      `a big one, ${part}`,
      {
        edit: ({ kit, build }) => {
          if (kit.wiring) kit.wiring.capacitanceF = 0.002;
          build.wiring.power.precharge = part;
        },
      },
      verdict,
      words,
    ]),
    [
      'nobody says: 1 mF is taken',
      {
        edit: ({ kit }) => {
          if (kit.wiring) delete kit.wiring.capacitanceF;
        },
      },
      'measure',
      /if its capacitors/,
    ],
    [
      'a pre-charge lead chosen',
      {
        edit: ({ kit, build }) => {
          if (kit.wiring) kit.wiring.capacitanceF = 0.002;
          build.wiring.power.precharge = 'precharge-22';
        },
      },
      'fits',
      /tamed/,
    ],
  ],
  'cutoff-works': [
    ['nothing measured, nothing seen', {}, 'none'],
    [
      'seen to run and cut',
      {
        edit: ({ build }) => {
          Object.assign(build.wiring.levers.left, { sawAtRest: 'runs', sawPulled: 'still' });
        },
      },
      'fits',
    ],
    [
      'seen dead',
      {
        edit: ({ build }) => {
          build.wiring.levers.right.sawAtRest = 'still';
        },
      },
      'rework',
      /Right lever keeps the motor dead/,
    ],
    [
      'seen not to cut',
      {
        edit: ({ build }) => {
          Object.assign(build.wiring.levers.left, { sawAtRest: 'runs', sawPulled: 'runs' });
        },
      },
      'stop',
      /Left lever does not cut/,
    ],
    [
      'one dead, one that does not cut: the dangerous one is told',
      {
        edit: ({ build }) => {
          build.wiring.levers.right.sawAtRest = 'still';
          Object.assign(build.wiring.levers.left, { sawAtRest: 'runs', sawPulled: 'runs' });
        },
      },
      'stop',
      /Left/,
    ],
  ],
  'cadence-sensor': [
    ['a ring', {}, 'fits', /goes on/],
    ['none in the kit', mid, 'none'],
    ['inside the motor', { kit: 'dunlin-m350', pack: 'kettle-48-14' }, 'fits', /inside/],
    [
      'left off, with a throttle',
      {
        kit: 'otter-r500',
        pack: 'kettle-48-14',
        edit: (w) => {
          school({ cadenceSensor: 'leftOff' })(w);
          w.build.choice.usesThrottle = true;
        },
      },
      'fits',
      /left off/,
    ],
    [
      'set too far off',
      {
        edit: ({ build }) => {
          build.wiring.sensors.cadenceGapM = 0.006;
        },
      },
      'rework',
    ],
  ],
  'lamp-volts': [
    ['none', {}, 'none'],
    [
      'for the pack',
      {
        edit: ({ build }) => {
          build.wiring.parts.frontLamp = 'beacon-f';
        },
      },
      'fits',
    ],
    [
      'for 12 V',
      {
        edit: ({ build }) => {
          build.wiring.parts.frontLamp = 'wayside-12';
        },
      },
      'rework',
      /not made/,
    ],
    [
      'for more than the pack has',
      {
        pack: 'heron-24-9',
        edit: ({ build }) => {
          build.wiring.parts.horn = 'goose-horn';
        },
      },
      'rework',
    ],
  ],
  'packs-joined': [
    ['one pack', {}, 'none'],
    ['three like blocks in a row', { pack: 'ballast-36-18-pb', edit: blocks({}) }, 'fits'],
    ['one of them unread', { pack: 'ballast-36-18-pb', edit: blocks({ restV: null }) }, 'measure', /whether/],
    ['one of them older', { pack: 'ballast-36-18-pb', edit: blocks({ ageYears: 4 }) }, 'stop'],
    ['of another chemistry than the battery chosen', { edit: blocks({}) }, 'stop'],
    ['a second one by diodes has no place of its own', { edit: second('diodes') }, 'measure', /where the others lie/],
    ['a maker’s joint it does not have', { edit: second('makersJoint') }, 'stop'],
    [
      'joined for another battery',
      {
        edit: (w) => {
          second('wires')(w);
          if (w.build.wiring.packs) w.build.wiring.packs.of = 'another';
        },
      },
      'none',
    ],
    [
      'side by side by wires',
      {
        pack: 'ballast-36-18-pb',
        edit: (w) => {
          blocks({})(w);
          if (w.build.wiring.packs) w.build.wiring.packs.join = 'parallel';
        },
      },
      'stop',
      /side by side/,
    ],
  ],
  'meter-readings': [
    ['nothing read yet', {}, 'none'],
    ['some read', { edit: readings({ pack: 40 }) }, 'measure', /1 of/],
    ['all read', { edit: readings({ pack: 40, charger: 42, supply: 5, halls: 5 }) }, 'fits'],
    ['one crossed, another outside', { edit: readings({ pack: 60, charger: -42 }) }, 'stop', /crossed/],
    ['one outside', { edit: readings({ pack: 60 }) }, 'stop', /outside/],
    ['of a check that is not asked', { edit: readings({ other: -9 }) }, 'none'],
  ],
  'kit-box': [
    ['not unpacked', {}, 'none'],
    ['half looked for', { edit: unboxed({ motor: 'present' }) }, 'measure', /1 of/],
    ['a nut missing', { edit: unboxed({ nuts: 'missing' }) }, 'rework', /1 thing of/],
    ['nut and washers', { edit: unboxed({ nuts: 'missing', washers: 'faulty' }) }, 'rework', /2 things/],
    ['the motor at fault', { edit: unboxed({ motor: 'faulty', nuts: 'missing' }) }, 'stop', /motor/],
    ['all there', { edit: unboxed('all') }, 'fits'],
    ['of a thing that is not in it', { edit: unboxed({ lamp: 'missing' }) }, 'none'],
    [
      'of another kit than is chosen',
      {
        edit: (w) => {
          unboxed({ nuts: 'missing' })(w);
          w.build.choice.kitId = null;
        },
      },
      'none',
    ],
  ],
  'cable-run': [
    ['along the top', {}, 'fits'],
    ['under the bracket, a hub', { survey: { cableRun: 'underBracket' } }, 'fits'],
    ['under the bracket, a mid-drive', { ...mid, survey: { cableRun: 'underBracket' } }, 'rework'],
    ['inside, port not measured', { survey: { cableRun: 'internal' } }, 'measure'],
    [
      'inside, plug not known',
      {
        survey: { cableRun: 'internal', cablePort: '9 mm' },
        edit: ({ kit }) => {
          delete kit.controls;
        },
      },
      'measure',
    ],
    ['not followed', gone('cableRun'), 'measure'],
  ],
  'hands-place': [
    ['no recumbent', {}, 'none'],
    ['above the lap', { kind: 'recumbent', survey: { hands: 'above' } }, 'fits', /above/],
    [
      'beside the seat, a small display',
      { kind: 'recumbent', survey: { hands: 'sticks' }, edit: controls({ displayM: 0.03 }) },
      'fits',
    ],
    ['not looked at', { kind: 'recumbent' }, 'measure'],
  ],
  'stand-load': [
    ['no stand, and light', { survey: { stand: 'none' } }, 'fits', /Leaned/],
    ['no stand, and heavy', { survey: { stand: 'none', vehicleMass: '30 kg' } }, 'rework', /Nothing to stand/],
    ['no stand, and never weighed', { survey: { stand: 'none', vehicleMass: '' } }, 'measure', /not weighed/],
    ['not looked at', gone('stand'), 'measure'],
    ['limit not known', gone('standLimit'), 'measure'],
    ['vehicle not weighed', gone('vehicleMass'), 'measure'],
    ['three wheels stand by themselves', { ...front, kind: 'deltaTrike' }, 'none'],
  ],
  'wheel-size': [
    ['the donor’s size', {}, 'fits'],
    ['another size', { survey: { rearTyre: '37-590' } }, 'rework'],
    [
      'smaller on purpose',
      { survey: { rearTyre: '37-630' }, edit: school({ wheelSize: 'smaller' }) },
      'fits',
      /on purpose/,
    ],
    [
      'larger is not smaller on purpose',
      { survey: { rearTyre: '37-540' }, edit: school({ wheelSize: 'smaller' }) },
      'rework',
    ],
    [
      'a bare hub',
      {
        edit: ({ kit }) => {
          if (kit.hub) kit.hub.beadsM = [];
        },
      },
      'fits',
      /laced/,
    ],
    ['two rear wheels are not its affair', { kind: 'deltaTrike' }, 'none'],
    ['not read', gone('rearTyre'), 'measure'],
    ['assumed', { survey: { rearTyre: '37-622 ?' } }, 'measure', /not proven/],
  ],
};

describe('what rules say of each kind', () => {
  for (const [rule, rows] of Object.entries(table))
    describe(rule, () => {
      for (const [what, of, verdict, words] of rows)
        it(what, () => {
          const found = judged(rule, world(of));
          expect(found?.verdict ?? 'none', found?.title ?? '').to.equal(verdict);
          if (words) expect(found?.title).to.match(words);
        });
    });
});
