import { isProven } from '../../donor/entry.ts';
import { choiceWords } from '../../donor/items/item.ts';
import { phrase } from '../../quantity/format.ts';
import { partData, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, measureIt } from '../remedies.ts';

/** The brake at the driven wheel against what the kit's wheel offers it. */
export const brakeKind = kitRule(
  {
    id: 'brake-kind',
    words: 'Brake on the wheel',
    group: 'brakes',
    fitCritical: true,
    uses: ['rearBrake', 'frontBrake'],
    source:
      'A kit wheel brings its own hub and rim: a brake inside the old hub goes with it. A mid-drive’s own freewheel takes up backward pedalling.',
  },
  (context, kit, say) => {
    const { survey } = context.build.donor;
    const fit = kit.hub;
    if (!fit) {
      // A mid-drive leaves the wheels alone, but pedalling back no longer reaches a coaster brake.
      const rear = survey.rearBrake;
      say.because(surveyed(context, 'rearBrake'));
      if (!rear)
        return say.open(
          'Rear brake not looked at',
          phrase`A coaster brake cannot work behind most mid-drives.`,
          measureIt('rearBrake'),
        );
      if (rear.value === 'coaster' && !kit.mid?.coaster)
        return say.stop(
          'Coaster brake behind a mid-drive',
          phrase`The motor freewheels inside: pedalling back would turn the cranks and brake nothing.`,
          buy(
            'freewheel',
            phrase`Fit a rear wheel with a freewheel and another brake first.`,
            take('coaster-free-wheel', 'rear wheel'),
            { work: 60 },
          ),
        );
      if (!isProven(rear))
        return say.open(
          'Rear brake not proven',
          phrase`${choiceWords[rear.value] ?? rear.value} would stay as it is; look at it.`,
          measureIt('rearBrake'),
        );
      return say.fits(
        'Brakes stay as they are',
        phrase`The wheels keep their hubs and rims; the rear brake is ${choiceWords[rear.value] ?? rear.value}.`,
      );
    }
    const rear = fit.place === 'rear';
    const item = rear ? 'rearBrake' : 'frontBrake';
    const brake = survey[item];
    const end = rear ? 'rear' : 'front';
    say.because(
      surveyed(context, item),
      partData(
        'Kit wheel takes',
        [fit.disc ? 'a disc' : '', fit.rimBrakeTrack ? 'rim brakes' : ''].filter((t) => t !== '').join(' and ') ||
          'no brake',
      ),
    );
    if (!brake) {
      return say.open(
        `${rear ? 'Rear' : 'Front'} brake not looked at`,
        phrase`The kit wheel replaces the ${end} wheel; whether its brake still works depends on the kind.`,
        measureIt(item),
      );
    }
    const disc = brake.value === 'discCable' || brake.value === 'discHydraulic';
    const inHub = brake.value === 'drum' || brake.value === 'roller' || brake.value === 'coaster';
    if (inHub) {
      return say.rework(
        `The ${brake.value} brake goes with the old hub`,
        phrase`The ${end} brake is a ${brake.value} inside the hub that the kit wheel replaces. ${fit.rimBrakeTrack || fit.disc ? 'Another brake has to take its place before the first ride.' : 'The kit wheel takes none.'}`,
        ...(fit.rimBrakeTrack
          ? [
              buy(
                'rim-brake',
                phrase`Fit a rim brake at that wheel, with its lever and cable, if the frame has the bosses or a bridge for one.`,
                take('brake-set', rear ? 'rear brake' : 'front brake'),
                { work: 60 },
              ),
            ]
          : [choose('braked-wheel', phrase`Choose a kit wheel that takes a brake.`)]),
      );
    }
    if (disc && !fit.disc) {
      return say.stop(
        'No rotor mount on this hub',
        phrase`The ${end} brake is a disc and the kit’s hub has nowhere to bolt a rotor.`,
        choose('rotor-hub', phrase`Choose a hub with a rotor mount.`),
      );
    }
    if (brake.value === 'rim' && !fit.rimBrakeTrack) {
      return say.stop(
        'No brake track on this rim',
        phrase`The ${end} brake grips the rim; this kit’s rim has no braking surface.`,
        choose('machined-rim', phrase`Choose a kit with a machined rim.`),
        buy(
          'lace',
          phrase`Have the hub laced into a machined rim.`,
          take('lacing', rear ? 'rear wheel' : 'front wheel'),
        ),
      );
    }
    if (!isProven(brake)) {
      return say.open(
        'Brake not proven',
        phrase`${choiceWords[brake.value] ?? brake.value} would work with the kit wheel; look at it.`,
        measureIt(item),
      );
    }
    if (brake.value === 'none')
      return rear
        ? say.fits(
            'No rear brake to keep',
            phrase`There is no brake at the rear wheel, and the kit adds weight and speed.`,
          )
        : say.rework(
            'No front brake to keep',
            phrase`There is no brake at the front wheel, and the kit adds weight and speed.`,
            buy(
              'front-brake',
              phrase`Fit a front brake; it does most of the stopping.`,
              take('front-brake', 'front brake'),
              {
                work: 90,
              },
            ),
          );
    return say.fits(
      'Brake works on the kit wheel',
      phrase`The ${end} brake is ${choiceWords[brake.value] ?? brake.value}, and the kit wheel takes it.`,
    );
  },
);
