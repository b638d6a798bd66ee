import { isProven } from '../../donor/entry.ts';
import { choiceWords } from '../../donor/items/item.ts';
import { phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, surveyed, type KitRule } from '../rule.ts';

const RULE = 'brake-kind';
const SOURCE = 'A kit wheel brings its own hub and rim: a brake inside the old hub goes with it.';

/** The brake at the driven wheel against what the kit's wheel offers it. */
export const brakeKind: KitRule = {
  id: RULE,
  words: 'Brake on the wheel',
  group: 'brakes',
  fitCritical: true,
  uses: ['rearBrake', 'frontBrake'],
  judge(context, kit) {
    const { survey } = context.build.donor;
    const fit = kit.hub;
    if (!fit) {
      // A mid-drive leaves the wheels alone, but pedalling back no longer reaches a coaster brake.
      const rear = survey.rearBrake;
      const evidence: Evidence[] = [surveyed(context, 'rearBrake')];
      const base = {
        rule: RULE,
        area: 'drive' as const,
        evidence,
        source: 'A mid-drive’s own freewheel takes up backward pedalling.',
      };
      if (!rear)
        return {
          ...base,
          verdict: 'measure',
          title: 'Rear brake not looked at',
          why: phrase`A coaster brake cannot work behind most mid-drives.`,
          remedies: [measureIt('rearBrake')],
        };
      if (rear.value === 'coaster' && !kit.mid?.coaster) {
        return {
          ...base,
          verdict: 'stop',
          title: 'Coaster brake behind a mid-drive',
          why: phrase`The motor freewheels inside: pedalling back would turn the cranks and brake nothing.`,
          remedies: [{ text: phrase`Fit a rear wheel with a freewheel and another brake first.`, cost: 120 }],
        };
      }
      if (!isProven(rear))
        return {
          ...base,
          verdict: 'measure',
          title: 'Rear brake not proven',
          why: phrase`${choiceWords[rear.value] ?? rear.value} would stay as it is; look at it.`,
          remedies: [measureIt('rearBrake')],
        };
      return {
        ...base,
        verdict: 'fits',
        title: 'Brakes stay as they are',
        why: phrase`The wheels keep their hubs and rims; the rear brake is ${choiceWords[rear.value] ?? rear.value}.`,
        remedies: [],
      };
    }
    const rear = fit.place === 'rear';
    const item = rear ? 'rearBrake' : 'frontBrake';
    const brake = survey[item];
    const end = rear ? 'rear' : 'front';
    const evidence: Evidence[] = [
      surveyed(context, item),
      partData(
        'Kit wheel takes',
        [fit.disc ? 'a disc' : '', fit.rimBrakeTrack ? 'rim brakes' : ''].filter((t) => t !== '').join(' and ') ||
          'no brake',
      ),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (!brake) {
      return finding({
        verdict: 'measure',
        title: `${rear ? 'Rear' : 'Front'} brake not looked at`,
        why: phrase`The kit wheel replaces the ${end} wheel; whether its brake still works depends on the kind.`,
        remedies: [measureIt(item)],
      });
    }
    const disc = brake.value === 'discCable' || brake.value === 'discHydraulic';
    const inHub = brake.value === 'drum' || brake.value === 'roller' || brake.value === 'coaster';
    if (inHub) {
      return finding({
        verdict: 'rework',
        title: `The ${brake.value} brake goes with the old hub`,
        why: phrase`The ${end} brake is a ${brake.value} inside the hub that the kit wheel replaces. ${fit.rimBrakeTrack || fit.disc ? 'Another brake has to take its place before the first ride.' : 'The kit wheel takes none.'}`,
        remedies: fit.rimBrakeTrack
          ? [
              {
                text: phrase`Fit a rim brake at that wheel, with its lever and cable, if the frame has the bosses or a bridge for one.`,
                cost: 38,
              },
            ]
          : [{ text: phrase`Choose a kit wheel that takes a brake.` }],
      });
    }
    if (disc && !fit.disc) {
      return finding({
        verdict: 'stop',
        title: 'No rotor mount on this hub',
        why: phrase`The ${end} brake is a disc and the kit’s hub has nowhere to bolt a rotor.`,
        remedies: [{ text: phrase`Choose a hub with a rotor mount.` }],
      });
    }
    if (brake.value === 'rim' && !fit.rimBrakeTrack) {
      return finding({
        verdict: 'stop',
        title: 'No brake track on this rim',
        why: phrase`The ${end} brake grips the rim; this kit’s rim has no braking surface.`,
        remedies: [{ text: phrase`Choose a kit with a machined rim, or have the hub laced into one.`, cost: 85 }],
      });
    }
    if (!isProven(brake)) {
      return finding({
        verdict: 'measure',
        title: 'Brake not proven',
        why: phrase`${choiceWords[brake.value] ?? brake.value} would work with the kit wheel; look at it.`,
        remedies: [measureIt(item)],
      });
    }
    if (brake.value === 'none') {
      return finding({
        verdict: rear ? 'fits' : 'rework',
        title: `No ${end} brake to keep`,
        why: phrase`There is no brake at the ${end} wheel, and the kit adds weight and speed.`,
        remedies: rear ? [] : [{ text: phrase`Fit a front brake; it does most of the stopping.`, cost: 45 }],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Brake works on the kit wheel',
      why: phrase`The ${end} brake is ${choiceWords[brake.value] ?? brake.value}, and the kit wheel takes it.`,
      remedies: [],
    });
  },
};
