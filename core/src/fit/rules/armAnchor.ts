import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** Where a torque arm is held: an eyelet, or a clamp round a stay that suits it. */
export const armAnchor = kitRule(
  {
    id: 'arm-anchor',
    words: 'Where arms hold',
    group: 'axle',
    uses: ['rearEyelets', 'frontEyelets', 'chainstayDiameter'],
    source: 'An arm bolts to an eyelet or clamps round a stay of 14 to 26 mm.',
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit || build.choice.torqueArms === 0) return null;
    const rear = fit.place === 'rear';
    const eyes = say.need(rear ? 'rearEyelets' : 'frontEyelets');
    if (eyes === undefined)
      return say.open(
        'Nothing known to hold the arm',
        phrase`${build.choice.torqueArms} torque arm${build.choice.torqueArms === 1 ? ' is' : 's are'} planned; where the other end is held has not been looked at.`,
      );
    if (eyes === 'none') {
      if (!rear)
        return say.rework(
          'The arm clamps round the fork leg',
          phrase`There is no eyelet at the tip.`,
          buy(
            'clamps',
            phrase`Use an arm with two hose-type clamps, rubber under neither: metal to metal, checked at 50 km.`,
            take('arm-clamp', 'front axle'),
            { work: 25 },
          ),
        );
      const stay = say.need('chainstayDiameter');
      if (stay === undefined)
        return say.open('Chainstay not measured for a clamp', phrase`With no eyelet the arm clamps round the stay.`);
      if (stay < 0.014 || stay > 0.026)
        return say.rework(
          'The stay suits no common clamp',
          phrase`${amount(stay, 'size')} across; clamps come for 14 to 26 mm.`,
          work('strap', phrase`Make a strap of 4 mm plate to fit the stay.`, 90, {
            takes: take('steel-plate', 'rear axle'),
            tools: ['hacksaw', 'flat-file'],
          }),
        );
      return say.fits('The arm clamps round the stay', phrase`No eyelet; the stay is ${amount(stay, 'size')} across.`);
    }
    return say.fits('The arm bolts to an eyelet', phrase`${eyes === 'two' ? 'Two eyelets' : 'One eyelet'} a side.`);
  },
);
