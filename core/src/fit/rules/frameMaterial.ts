import { isProven } from '../../donor/entry.ts';
import { phrase } from '../../quantity/format.ts';
import { surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { work, choose, set, take, measureIt } from '../remedies.ts';

/** Carbon main frames: refused, or by the other school a mid-drive only, with care. */
export const frameMaterial = kitRule(
  {
    id: 'frame-material',
    words: 'Frame material',
    group: 'frame',
    fitCritical: true,
    uses: ['frameMaterial', 'bracketKind', 'forkMaterial'],
    school: 'carbon',
    source:
      'Two schools on carbon, see the setting. The refusing one: clamps and reaction torque crush it, cables saw it, and it fails unseen.',
  },
  (context, kit, say) => {
    const material = context.build.donor.survey.frameMaterial;
    say.because(surveyed(context, 'frameMaterial'));
    if (!material) {
      return say.open(
        'Frame material not checked',
        phrase`What may be clamped and twisted depends on what the frame is made of.`,
        measureIt('frameMaterial'),
      );
    }
    if (material.value === 'carbon') {
      const mid = kit.family === 'midDrive';
      if (mid && context.build.schools.carbon === 'midOnly') {
        const shell = context.build.donor.survey.bracketKind;
        say.because(surveyed(context, 'bracketKind'));
        if (!shell) {
          return say.open(
            'Carbon frame: is the shell lined with metal?',
            phrase`By your school a carbon frame may carry a mid-drive if its shell is a threaded metal sleeve; that has not been looked at.`,
            measureIt('bracketKind'),
          );
        }
        if (shell.value === 'threadedIso') {
          return say.rework(
            'Carbon frame, mid-drive only with care',
            phrase`By your school this goes with care: a threaded metal shell, the smallest motor, nothing clamped to a tube, a rubber pad where the case rests, and the tube looked at every month.`,
            work('line', phrase`Line the rest with rubber, set the gentlest start, and look for cracks monthly.`, 30, {
              takes: take('rubber-sheet', 'frame'),
            }),
          );
        }
      }
      const fork = context.build.donor.survey.forkMaterial;
      const front = kit.hub?.place === 'front';
      if (front) say.because(surveyed(context, 'forkMaterial'));
      if (front && context.build.schools.carbon === 'untouched') {
        if (!isProven(fork))
          return say.open(
            'Carbon frame: what is the fork made of?',
            phrase`By your school a front hub may sit in a metal fork of a carbon frame, since nothing of carbon is clamped or twisted; what the fork is made of has not been proven.`,
            measureIt('forkMaterial'),
          );
        if (fork.value !== 'carbon')
          return say.rework(
            'Carbon frame, a front hub with care',
            phrase`By your school this goes: the ${fork.value} fork carries the motor. Nothing is clamped to a carbon tube, neither battery, controller nor lead; ties lie on tape.`,
            work(
              'tape',
              phrase`Rubber or tape under whatever touches a tube; look for rubbed places every month.`,
              20,
              {
                takes: take('rubber-sheet', 'frame'),
              },
            ),
          );
      }
      const otherSchool =
        front && fork !== undefined && fork.value !== 'carbon'
          ? [
              set(
                'school',
                phrase`By another school, under Schools, a front hub in a metal fork leaves carbon untouched.`,
              ),
            ]
          : [];
      return say.stop(
        'Carbon frame',
        mid
          ? phrase`A mid-drive’s lock ring and its reaction against the down tube load a shell and a tube that were laid up for legs only; the damage does not show.`
          : front
            ? phrase`Clamps for battery and leads crush carbon, and it was laid up for less weight and speed; the damage does not show.`
            : phrase`Clamps for battery and arms crush carbon, and a hub’s torque works on its dropouts; the damage does not show.`,
        choose('metal-donor', phrase`Convert another donor; a steel frame with a threaded shell is the easiest.`),
        ...otherSchool,
      );
    }
    if (!isProven(material)) {
      return say.open(
        material.provenance === 'assumed' ? 'Frame material only assumed' : 'Frame material from memory',
        phrase`${material.value === 'steel' ? 'Steel' : material.value === 'titanium' ? 'Titanium' : 'Aluminium'} would do; put a magnet to it, or read the frame’s sticker.`,
        measureIt('frameMaterial'),
      );
    }
    return say.fits('Frame may be clamped', phrase`The main frame is ${material.value}.`);
  },
);
