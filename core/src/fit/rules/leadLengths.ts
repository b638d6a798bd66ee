import { hasEnds, kindTraits } from '../../donor/kinds.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';
import { extensionsFor } from '../../wiring/extensions.ts';
import type { JudgedLead } from '../../wiring/leads.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { askFor, buy, look, take, work } from '../remedies.ts';

/** Several leads in a few words, with what each lacks or has over. */
function listed(leads: readonly JudgedLead[]): Phrase {
  return leads.flatMap((l, i) => [
    ...(i === 0 ? [] : ['; ']),
    `${i === 0 ? l.what : l.what.toLowerCase()} `,
    amount(l.suppliedM ?? 0, 'size', 0),
    ' of ',
    amount(l.neededM, 'size', 0),
  ]);
}

/** Every lead on its own way: long enough with lock, fold and travel, or what makes it so. */
export const leadLengths = kitRule(
  {
    id: 'lead-lengths',
    words: 'Lead lengths',
    group: 'leads',
    uses: [
      'headToBracket',
      'lockSlack',
      'foldSlack',
      'rearTravel',
      'forkKind',
      'forkTravel',
      'chainstayLength',
      'wheelbase',
      'bracketHeight',
      'bracketReach',
    ],
    source:
      'docs/models.md, leads: way along the tubes + lock + fold + travel + drip loops + plugs, against what is supplied.',
    dear: true,
  },
  (context, kit, say) => {
    const { build } = context;
    const found = wiredOf(context);
    if (!found) return null;
    const loom = kit.wiring ?? kit.controls;
    if (!loom)
      return say.open(
        'Lead lengths not known',
        phrase`The kit’s data does not say how long its leads are.`,
        askFor('the length of each lead and what its plug is'),
      );
    const string = say.need('headToBracket');
    const lock = say.need('lockSlack');
    if (kindTraits[build.donor.kind].hinge) say.need('foldSlack');
    // What dives or swings takes slack of whatever passes it.
    if (kindTraits[build.donor.kind].rearShock) say.need('rearTravel');
    if (kit.hub?.place === 'front' && hasEnds(build.donor.kind, 'front')) say.need('forkKind');
    const short = found.leads.filter((l) => l.verdict === 'short');
    const close = found.leads.filter((l) => l.verdict === 'measure');
    const over = found.leads.filter((l) => l.verdict === 'surplus');
    const known = found.leads.filter((l) => l.spareM !== null);
    if (known.length === 0)
      return say.open(
        'Lead lengths not known',
        phrase`The kit’s data does not say how long its leads are.`,
        askFor('the length of each lead and what its plug is'),
      );
    const tightest = known.reduce((a, b) => ((b.spareM ?? 0) < (a.spareM ?? 0) ? b : a));
    say.because(
      partData(`${tightest.what}, supplied`, amount(tightest.suppliedM ?? 0, 'size', 0)),
      ruleFigure('It needs', amount(tightest.neededM, 'size', 0)),
      ruleFigure('Good to', amount(tightest.bandM, 'size', 0)),
    );
    if (string === undefined || lock === undefined)
      return say.open(
        'Ways of the leads not measured',
        short.length > 0
          ? [...listed(short), ': short, if the vehicle is as it is drawn. Its ways have not been measured.']
          : phrase`As drawn they reach; how far it is from bar to bracket, and what full lock takes, has not been measured.`,
      );
    if (short.length > 0) {
      const takes = extensionsFor(short);
      const loose = short.filter((l) => !l.fix?.extension);
      const splice = short.filter((l) => l.splices);
      return say.rework(
        short.length === 1 ? `${short[0]?.what ?? 'A lead'} too short` : `${short.length} leads too short`,
        [...listed(short), '. A lead is made longer by an extension with the same plugs, never stretched.'],
        ...(takes.length > 0 && loose.length === 0
          ? [
              buy(
                'extension',
                phrase`${takes.length === 1 && takes[0]?.count === 1 ? 'An extension' : 'Extensions'} with the same plugs, the next length that reaches.`,
                takes,
                { work: 5 * short.length },
              ),
            ]
          : []),
        ...(splice.length === short.length
          ? [
              work(
                'splice',
                phrase`Cut and splice in cable of the same cores, one joint a core, staggered and sleeved.`,
                30 * short.length,
                {
                  takes: take('splice', 'leads', short.length),
                },
              ),
            ]
          : []),
        ...(loose.length > 0
          ? [
              work(
                'longer-lead',
                phrase`No extension of that plug is on the shelf: have ${loose.map((l) => l.what.toLowerCase()).join(' and ')} made longer, or move the controller nearer.${takes.length > 0 ? ' The others take extensions.' : ''}`,
                60,
                { takes: [take('splice', 'leads', loose.length), ...takes] },
              ),
            ]
          : []),
      );
    }
    if (close.length > 0)
      return say.open(
        close.length === 1
          ? `${close[0]?.what ?? 'A lead'} just about reaches`
          : `${close.length} leads just about reach`,
        [...listed(close), '. The difference is less than the way can be told from the survey.'],
        look('string', phrase`Lay a string along its way, bar at full lock, and write the length in the lead’s line.`),
      );
    const unknown = found.leads.filter((l) => l.spareM === null);
    if (unknown.length > 0)
      return say.open(
        `How long ${unknown.length === 1 ? 'a lead is' : `${unknown.length} leads are`} is not known`,
        phrase`${unknown.map((l, i) => (i === 0 ? l.what : l.what.toLowerCase())).join(', ')}: no length in its data. Every other reaches.`,
        askFor('the length of each lead'),
        look('tape', phrase`Or measure each when it comes, and write it in among the arrivals.`),
      );
    return say.fits(
      'Every lead reaches',
      over.length > 0
        ? phrase`${String(over.length)} ${over.length === 1 ? 'has' : 'have'} more than 150 mm over, each with a place to stow it; the tightest, ${tightest.what.toLowerCase()}, has ${amount(tightest.spareM ?? 0, 'size', 0)} to spare.`
        : phrase`The tightest, ${tightest.what.toLowerCase()}, has ${amount(tightest.spareM ?? 0, 'size', 0)} to spare.`,
    );
  },
);
