import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** An arm or strap that keeps a mid-drive from turning in the shell: always, or if it loosens. */
export const midArm = kitRule(
  {
    id: 'mid-arm',
    words: 'Arm on the mid-drive',
    group: 'bracket',
    uses: [],
    source: 'Two schools; the lock ring carries the reaction of the ring’s torque.',
    school: 'midArm',
  },
  ({ build }, kit, say) => {
    if (!kit.mid) return null;
    const always = build.schools.midArm === 'always';
    say.because(
      ruleFigure('School', always ? 'always' : 'only if it loosens'),
      ruleFigure('Arms planned', String(build.choice.torqueArms)),
    );
    if (always && build.choice.torqueArms === 0)
      return say.rework(
        'A reaction arm, by your school',
        phrase`None is planned; a lock ring that creeps chews the shell before it is noticed.`,
        buy(
          'reaction-arm',
          phrase`Plan one reaction arm from case to chainstay or down tube.`,
          take('reaction-arm', 'bracket'),
          { work: 30, sets: { torqueArms: 1 } },
        ),
      );
    return say.fits(
      always ? 'A reaction arm is planned' : 'Lock ring alone, checked again',
      always
        ? phrase`${build.choice.torqueArms} planned.`
        : phrase`Tighten at 50 km and again at 150 km; fit an arm if it has moved.`,
    );
  },
);
