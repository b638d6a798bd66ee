import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take, askFor } from '../remedies.ts';

/** Six bolts or splines: whether the donor's rotor goes on the kit's hub. */
export const rotorMount = kitRule(
  {
    id: 'rotor-mount',
    words: 'Rotor’s fitting',
    group: 'brakes',
    uses: ['rearBrake', 'frontBrake', 'rearRotorMount', 'frontRotorMount', 'rearRotor', 'frontRotor'],
    source: 'Six bolts on a 44 mm circle, or splines with a lock ring: they do not interchange.',
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit?.disc) return null;
    const rear = fit.place === 'rear';
    const brake = build.donor.survey[rear ? 'rearBrake' : 'frontBrake']?.value;
    if (brake !== 'discCable' && brake !== 'discHydraulic') return null;
    const mount = say.need(rear ? 'rearRotorMount' : 'frontRotorMount');
    if (fit.rotorMount === undefined)
      return say.open(
        'How the hub takes a rotor not known',
        phrase`The kit’s data does not say.`,
        askFor('whether the rotor is held by six bolts or by splines'),
      );
    say.because(partData('Hub takes', fit.rotorMount === 'sixBolt' ? 'six bolts' : fit.rotorMount));
    if (mount === undefined)
      return say.open(
        'Rotor’s fitting not looked at',
        phrase`The hub takes ${fit.rotorMount === 'sixBolt' ? 'six bolts' : 'splines'}.`,
      );
    if (mount !== fit.rotorMount) {
      const rotor = say.look(rear ? 'rearRotor' : 'frontRotor');
      return say.rework(
        'Another rotor is needed',
        phrase`The donor’s rotor is held by ${mount === 'sixBolt' ? 'six bolts' : 'splines'} and the hub takes ${fit.rotorMount === 'sixBolt' ? 'six bolts' : 'splines'}.`,
        buy(
          'rotor',
          rotor === undefined
            ? phrase`A rotor of the same size for ${fit.rotorMount === 'sixBolt' ? 'six bolts' : 'splines'}.`
            : phrase`A rotor of ${amount(rotor, 'size')} for ${fit.rotorMount === 'sixBolt' ? 'six bolts' : 'splines'}.`,
          take('rotor', rear ? 'rear brake' : 'front brake'),
          { work: 20 },
        ),
      );
    }
    return say.fits(
      'The rotor moves over',
      phrase`Both are made for ${mount === 'sixBolt' ? 'six bolts' : 'splines'}.`,
    );
  },
);
