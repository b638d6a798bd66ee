import { phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, surveyed, type KitRule } from '../rule.ts';

const RULE = 'frame-material';
const SOURCE =
  'The refusing school on carbon: clamps and reaction torque crush it, cables saw it, and it fails unseen.';

/** Carbon main frames are refused; the other school, mid-drive only with care, becomes a setting later. */
export const frameMaterial: KitRule = {
  id: RULE,
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
