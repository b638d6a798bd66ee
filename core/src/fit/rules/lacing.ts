import { rimStays } from '../../vehicle/rims.ts';
import { bestCrosses, MOST_LEAN, spokeLean } from '../../gearing/lacing.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { tyreToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Lacing: spoke count of hub and rim, and how many crosses a large hub bears in a small rim. */
export const lacing = kitRule(
  {
    id: 'lacing',
    words: 'Spokes and crossing',
    group: 'wheel',
    uses: ['rearTyre', 'frontTyre', 'rearSpokes', 'frontSpokes'],
    source:
      'A spoke leaves a large flange slantwise; past 12° at the rim the nipple bends it. Fewer crosses straighten it.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (fit?.flangeRadiusM === undefined || fit.spokes === 0) return null;
    const own = context.asItWillBe.tyres[fit.place];
    // A wheel that comes built is its maker's lacing; only a hub laced to order is ours.
    if (!rimStays(kit, fit.place, own)) return null;
    const rear = fit.place === 'rear';
    const tyre = tyreToBe(context, say, fit.place);
    if (tyre === undefined)
      return say.open(
        'Wheel size decides the crossing',
        phrase`The hub’s flange is ${amount(2 * fit.flangeRadiusM, 'size')} across.`,
      );
    const rimRadius = tyre.beadM / 2 - 0.01;
    const flange = fit.flangeRadiusM;
    const lean = (crosses: number): number => spokeLean(flange, rimRadius, crosses, fit.spokes);
    const best = bestCrosses(flange, rimRadius, fit.spokes);
    const degrees = (x: number): string => `${((lean(x) * 180) / Math.PI).toFixed(1)}°`;
    const planned = fit.crosses ?? best;
    say.because(
      partData('Flange across', amount(2 * fit.flangeRadiusM, 'size')),
      partData('Spokes', String(fit.spokes)),
      ruleFigure('Crosses', String(planned)),
      ruleFigure('Lean at the rim', degrees(planned)),
    );
    {
      const holes = say.need(rear ? 'rearSpokes' : 'frontSpokes');
      if (holes === undefined)
        return say.open(
          'Spokes of the donor’s rim not counted',
          phrase`The hub has ${fit.spokes} holes; it would be laced into the donor’s rim.`,
        );
      if (holes !== fit.spokes)
        return say.rework(
          'Rim and hub differ in spokes',
          phrase`The hub has ${fit.spokes} holes and the rim ${holes}.`,
          buy('rim', phrase`A new rim of ${fit.spokes} holes.`, take('rim', rear ? 'rear wheel' : 'front wheel'), {
            work: 120,
            tools: ['spoke-key'],
          }),
        );
    }
    if (lean(planned) > MOST_LEAN * 1.15)
      return say.rework(
        'Too many crosses for this rim',
        phrase`With ${planned} crosses spokes reach the rim ${degrees(planned)} off straight; ${best} would be ${degrees(best)}.`,
        buy(
          'spokes',
          phrase`Lace with ${best === 0 ? 'no cross, radially, drive side only if the maker allows' : `${best} cross${best === 1 ? '' : 'es'}`}.`,
          take('spokes', rear ? 'rear wheel' : 'front wheel'),
          { work: 120, tools: ['spoke-key'] },
        ),
      );
    return say.fits(
      'Spokes run straight enough',
      phrase`${planned} cross${planned === 1 ? '' : 'es'}, ${degrees(planned)} off straight at the rim.`,
    );
  },
);
