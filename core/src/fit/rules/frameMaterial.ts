import { phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, surveyed, type KitRule } from '../rule.ts';

const RULE = 'frame-material';
const SOURCE =
  'Two schools on carbon, see the setting. The refusing one: clamps and reaction torque crush it, cables saw it, and it fails unseen.';

/** Carbon main frames: refused, or by the other school a mid-drive only, with care. */
export const frameMaterial: KitRule = {
  id: RULE,
  words: 'Frame material',
  group: 'frame',
  fitCritical: true,
  uses: ['frameMaterial', 'bracketKind'],
  school: 'carbon',
  judge(context, kit) {
    const material = context.build.donor.survey.frameMaterial;
    const evidence: Evidence[] = [surveyed(context, 'frameMaterial')];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (!material) {
      return finding({
        verdict: 'measure',
        title: 'Frame material not checked',
        why: phrase`What may be clamped and twisted depends on what the frame is made of.`,
        remedies: [measureIt('frameMaterial')],
      });
    }
    if (material.value === 'carbon') {
      const mid = kit.family === 'midDrive';
      if (mid && context.build.schools.carbon === 'midOnly') {
        const shell = context.build.donor.survey.bracketKind;
        evidence.push(surveyed(context, 'bracketKind'));
        if (!shell) {
          return finding({
            verdict: 'measure',
            title: 'Carbon frame: is the shell lined with metal?',
            why: phrase`By your school a carbon frame may carry a mid-drive if its shell is a threaded metal sleeve; that has not been looked at.`,
            remedies: [measureIt('bracketKind')],
          });
        }
        if (shell.value === 'threadedIso') {
          return finding({
            verdict: 'rework',
            title: 'Carbon frame, mid-drive only with care',
            why: phrase`By your school this goes with care: a threaded metal shell, the smallest motor, nothing clamped to a tube, a rubber pad where the case rests, and the tube looked at every month.`,
            remedies: [
              {
                text: phrase`Line the rest with rubber, set the gentlest start, and look for cracks monthly.`,
                cost: 6,
                minutes: 30,
              },
            ],
          });
        }
      }
      return finding({
        verdict: 'stop',
        title: 'Carbon frame',
        why: mid
          ? phrase`A mid-drive’s lock ring and its reaction against the down tube load a shell and a tube that were laid up for legs only; the damage does not show.`
          : phrase`Clamps for battery and arms crush carbon, and a hub’s torque works on its dropouts; the damage does not show.`,
        remedies: [{ text: phrase`Convert another donor; a steel frame with a threaded shell is the easiest.` }],
      });
    }
    if (material.provenance === 'assumed') {
      return finding({
        verdict: 'measure',
        title: 'Frame material only assumed',
        why: phrase`${material.value} would do; put a magnet to it.`,
        remedies: [measureIt('frameMaterial')],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Frame may be clamped',
      why: phrase`The main frame is ${material.value}.`,
      remedies: [],
    });
  },
};
