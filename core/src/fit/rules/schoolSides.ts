import { leverSheets } from '../../wiring/levers.ts';
import { purposeWords } from '../../build/brief.ts';
import type { SchoolId, Schools } from '../../build/schools.ts';
import { ONE_ARM_ABOVE } from '../../constants.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';
import { longer } from '../../quantity/compare.ts';
import { schools } from '../schools.ts';
import { partData, ruleFigure, type Rule, type RuleGroup } from '../rule.ts';
import { kitRule, type Say } from '../say.ts';
import { buy, choose, set, take } from '../remedies.ts';
import type { Finding } from '../finding.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { Kit } from '../../parts/kit.ts';

/** Schools that only speak where a kit raises the question; each says what both sides hold of this build. */

type Sides<K extends SchoolId> = { [S in Schools[K]]: Phrase };

/** What each side says of this build, the chosen one last and named. */
function both<K extends SchoolId>(school: K, mine: Schools[K], says: Sides<K>): Phrase {
  const { sides } = schools[school];
  const words = (side: string): string => (sides as Record<string, { words: string }>)[side]?.words ?? side;
  const other = Object.keys(says).find((side) => side !== mine) ?? mine;
  return [
    ...phrase`“${words(other)}” would say: `,
    ...((says as Record<string, Phrase>)[other] ?? []),
    ...phrase` Yours, “${words(mine)}”: `,
    ...says[mine],
  ];
}

/** A rule of one school on a kit. */
function schoolRule<K extends SchoolId>(
  school: K,
  id: string,
  group: RuleGroup,
  judge: (context: PlanContext, kit: Kit, say: Say, mine: Schools[K]) => Finding | null,
): Rule {
  return kitRule(
    { id, words: schools[school].title, group, uses: [], source: `Two schools: ${schools[school].question}`, school },
    (context, kit, say) => judge(context, kit, say, context.build.schools[school]),
  );
}

/** How far apart a chain line and the middle between the cranks may lie unnoticed, m. Source: workshop practice. */
const OFF_CENTRE = 0.006;

export const schoolRules: readonly Rule[] = [
  schoolRule('hubArms', 'hub-arm-school', 'axle', ({ build }, kit, say, mine) => {
    if (!kit.hub) return null;
    const torque = kitPeakTorque(kit);
    const arms = build.choice.torqueArms;
    say.because(partData('Peak torque', amount(torque, 'torque')), ruleFigure('Arms planned', String(arms)));
    const asks = torque > ONE_ARM_ABOVE || kit.family === 'rearDirect';
    const says = both('hubArms', mine, {
      always: phrase`one arm at least, whatever ${amount(torque, 'torque')} may be.`,
      aboveTorque: asks
        ? phrase`${amount(torque, 'torque')} is over ${amount(ONE_ARM_ABOVE, 'torque')} or a direct drive: an arm.`
        : phrase`${amount(torque, 'torque')} is under ${amount(ONE_ARM_ABOVE, 'torque')}: thick steel slots and keyed washers hold.`,
    });
    return mine === 'always' && arms === 0
      ? say.rework(
          'No arm planned, against your school',
          says,
          set('one-arm', phrase`Plan one torque arm.`, { work: 30, sets: { torqueArms: 1 } }),
        )
      : say.fits(arms > 0 ? `Arms planned: ${arms}` : 'No arm, by your school', says);
  }),
  schoolRule('controllerPlace', 'controller-school', 'use', (_context, kit, say, mine) => {
    const inside = kit.controller.place === 'in the motor';
    say.because(partData('Controller', kit.controller.place));
    const says = both('controllerPlace', mine, {
      ownBox: inside
        ? phrase`one that dies takes the motor off the road with it.`
        : phrase`it cools in the wind and is changed in a quarter of an hour.`,
      inMotor: inside ? phrase`no box to find a place for.` : phrase`one more box, and a bundle of leads to it.`,
    });
    // Taste, and nobody is hurt by either: said, never held against a kit.
    return say.fits(
      (mine === 'inMotor') === inside
        ? inside
          ? 'Controller in the motor, as you like it'
          : 'A box of its own, as you like it'
        : inside
          ? 'Controller in the motor, where you would have a box'
          : 'A box of its own, where you would have none',
      says,
    );
  }),
  schoolRule('levers', 'lever-school', 'levers', ({ build, shelf }, kit, say, mine) => {
    const brings = kit.controls?.cutoffs;
    if (brings === undefined || brings === 'none') return null;
    say.because(
      partData('Kit brings', brings === 'levers' ? 'levers' : brings === 'inLine' ? 'in-line sensors' : 'magnets'),
    );
    const says = both('levers', mine, {
      kitLevers:
        brings === 'levers'
          ? phrase`the switch sits inside, dry, and moves with the lever.`
          : phrase`this kit brings none; levers with a switch are bought apart.`,
      keepOwn:
        brings === 'levers'
          ? phrase`the kit’s levers stay in the box, and a sensor goes to each of yours.`
          : phrase`its sensors go to the levers you have.`,
    });
    // Hands whose cut-off was chosen have theirs; one that no kit’s lever suits is the cut-offs’ own affair.
    const left = leverSheets(build, kit, shelf).filter(
      (l) => !l.chosen && l.lever !== 'none' && l.not.kitLever === undefined,
    ).length;
    return mine === 'keepOwn' && brings === 'levers' && left > 0
      ? say.rework(
          'The kit brings levers, you keep yours',
          says,
          buy(
            'sensors',
            phrase`A stick-on magnet and sensor for each of your levers.`,
            take('cutoff-magnet', 'levers', left),
            {
              work: 50,
            },
          ),
        )
      : say.fits(brings === 'levers' ? 'The kit’s levers' : 'Your levers, with its sensors', says);
  }),
  schoolRule('brakeLever', 'electric-brake-school', 'levers', (context, kit, say, mine) => {
    const regen = kit.motor.regenA;
    if (regen === undefined || kit.motor.freewheels) return null;
    const { pack } = context;
    say.because(partData('Returns up to', amount(regen, 'current')));
    const says = both('brakeLever', mine, {
      cutOnly: phrase`a lever that brakes with the motor works the axle both ways at every stop.`,
      electric: pack
        ? phrase`up to ${amount(regen, 'current')} goes back, not into a full ${pack.name}, nor below freezing.`
        : phrase`up to ${amount(regen, 'current')} goes back, not into a full battery, nor below freezing.`,
    });
    return mine === 'electric' && context.build.choice.torqueArms < 2
      ? say.rework(
          'Braking with the motor wants two arms',
          says,
          set('two-arms', phrase`Plan two torque arms: braking twists the axle the other way.`, {
            work: 30,
            sets: { torqueArms: 2 },
          }),
        )
      : say.fits(mine === 'electric' ? 'The motor brakes too' : 'Levers cut, brakes brake', says);
  }),
  schoolRule('cadenceSensor', 'cadence-school', 'controls', ({ build }, kit, say, mine) => {
    if (!kit.throttle) return null;
    const uses = build.choice.usesThrottle;
    say.because(ruleFigure('Ridden on the throttle', uses ? 'yes' : 'no'));
    const says = both('cadenceSensor', mine, {
      fitted: phrase`help comes with the pedals, as most rules ask.`,
      leftOff: phrase`nothing at the crank to knock out of line; some rules then call it no bicycle.`,
    });
    return mine === 'leftOff' && !uses
      ? say.rework(
          'No sensor and no throttle used',
          says,
          set('throttle', phrase`Ride on the throttle.`, { sets: { usesThrottle: true } }),
          set('sensor', phrase`Fit the cadence sensor.`, { work: 30 }),
        )
      : say.fits(mine === 'fitted' ? 'Cadence sensor fitted' : 'Cadence sensor left off', says);
  }),
  schoolRule('midAxle', 'mid-axle-school', 'bracket', ({ build }, kit, say, mine) => {
    const width = build.donor.survey.bracketWidth?.value;
    if (!kit.mid || width === undefined) return null;
    const spare = kit.mid.shellWidthsM.most - width;
    say.because(
      partData('Axle made for', amount(kit.mid.shellWidthsM.most, 'size')),
      ruleFigure('Shell', amount(width, 'size')),
    );
    const says = both('midAxle', mine, {
      exact:
        spare > 0.0055
          ? phrase`${amount(spare, 'size')} of spacers push the cranks apart; an axle for this shell would not.`
          : phrase`axle and shell agree to ${amount(Math.max(0, spare), 'size')}.`,
      longer: phrase`it goes on shells up to ${amount(kit.mid.shellWidthsM.most, 'size')} later.`,
    });
    return mine === 'exact' && longer(spare, 0.0055)
      ? say.rework(
          'A longer axle than this shell wants',
          says,
          choose(
            'exact-axle',
            phrase`The same motor with an axle for ${amount(width, 'size', 0)}, if its maker sells one.`,
          ),
        )
      : say.fits('The axle suits your school', says);
  }),
  schoolRule('crankOffset', 'crank-offset-school', 'bracket', ({ build }, kit, say, mine) => {
    const width = build.donor.survey.bracketWidth?.value;
    if (!kit.mid || width === undefined) return null;
    // Spacers go on the left, so that the cranks' middle moves there by half of them.
    const off = Math.max(0, kit.mid.shellWidthsM.most - width) / 2;
    say.because(ruleFigure('Cranks off the middle', amount(off, 'size')));
    const says = both('crankOffset', mine, {
      corrected:
        off > OFF_CENTRE
          ? phrase`${amount(off, 'size')} to one side is felt in hip and knee.`
          : phrase`${amount(off, 'size')} to one side is not felt.`,
      left: phrase`${amount(off, 'size')} and most riders never notice.`,
    });
    return mine === 'corrected' && longer(off, OFF_CENTRE)
      ? say.rework(
          'Cranks off the middle',
          says,
          buy(
            'offset-crank',
            phrase`An offset crank for one side, or spacers shared between both.`,
            take('cranks', 'bracket'),
            {
              work: 20,
            },
          ),
        )
      : say.fits('Cranks near the middle, or left so', says);
  }),
  schoolRule('newChain', 'chain-school', 'drivetrain', (_context, kit, say, mine) => {
    if (!kit.mid) return null;
    say.because(partData('Motor’s peak at the ring', amount(kitPeakTorque(kit), 'torque')));
    const says = both('newChain', mine, {
      ifWorn: phrase`gauge it: under 0.5 % it stays and has bedded in with its cogs.`,
      always: phrase`a motor of ${amount(kitPeakTorque(kit), 'torque')} finds the weak link on the first hill.`,
    });
    return mine === 'always'
      ? say.rework(
          'A new chain, by your school',
          says,
          buy('new-chain', phrase`A chain made for motors, and cogs if they skip on it.`, take('chain', 'chain'), {
            work: 20,
          }),
        )
      : say.fits('The chain stays while the gauge says so', says);
  }),
  schoolRule('entry', 'entry-school', 'leads', ({ build }, _kit, say, mine) => {
    say.because(ruleFigure('Ridden for', purposeWords[build.brief.purpose]));
    const wet =
      build.brief.purpose === 'commute' || build.brief.purpose === 'touring' || build.brief.purpose === 'load';
    const says = both('entry', mine, {
      dripLoop: phrase`water runs off the lowest point of the lead, whatever the seal does.`,
      sealed: wet
        ? phrase`nothing hangs out; but this one is ridden in all weathers, and a seal has no second chance.`
        : phrase`nothing hangs out, and it is seldom ridden wet.`,
    });
    return say.fits(mine === 'sealed' ? 'Leads sealed straight in' : 'A drip loop below each entry', says);
  }),
  schoolRule('leads', 'lead-school', 'leads', ({ build }, kit, say, mine) => {
    const port = build.donor.survey.cablePort?.value;
    const plug = kit.controls?.plugM;
    if (plug === undefined) return null;
    say.because(ruleFigure('School', schools.leads.sides[mine].words));
    const passes = port !== undefined && !longer(plug, port);
    if (port !== undefined)
      say.because(ruleFigure('Port', amount(port, 'size')), partData('Widest plug', amount(plug, 'size')));
    const says = both('leads', mine, {
      outside: phrase`tied each 150 mm they are seen, reached and changed in minutes.`,
      inside:
        port === undefined
          ? phrase`this frame has no port that was measured.`
          : passes
            ? phrase`the plug passes the port, drawn with a magnet wire.`
            : phrase`the plug does not pass the port; its pins must come out and go back.`,
    });
    return mine === 'inside' && !passes
      ? say.rework(
          'Leads cannot go inside as they are',
          says,
          set('outside', phrase`Tie them outside, and choose that as your school.`, { work: 25 }),
        )
      : say.fits(mine === 'inside' ? 'Leads go inside' : 'Leads tied outside', says);
  }),
];
