import { phrase } from '../../quantity/format.ts';
import { ask, look } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';

/** What was found in the kit's box on unpacking: what is missing or at fault is asked for while it may go back. */
export const kitBox = kitRule(
  {
    id: 'kit-box',
    words: 'What lay in its box',
    group: 'use',
    uses: [],
    source:
      'Workshop practice: a box is checked against its list on the day it comes, before anything of it is fitted.',
  },
  ({ build, chosen }, kit, say) => {
    const found = build.bill.lines[kit.id]?.unboxed ?? {};
    const contents = kit.contents ?? [];
    // A box is of the kit that was bought, not of a candidate.
    if (kit.id !== chosen.kit?.id || contents.length === 0) return null;
    const looked = contents.filter((c) => found[c.id] !== undefined);
    if (looked.length === 0) return null;
    const bad = looked.filter((c) => found[c.id] !== 'present');
    say.because(
      ruleFigure('Looked for', `${looked.length} of ${contents.length}`),
      ...bad.map((c) => ruleFigure(c.what, found[c.id] === 'missing' ? 'missing' : 'at fault')),
    );
    const until = build.bill.lines[kit.id]?.returnBy ?? null;
    const words = bad.map((c) => c.what.charAt(0).toLowerCase() + c.what.slice(1)).join(', ');
    const write = ask(
      'write-to-seller',
      until === null
        ? phrase`Write to the seller today, with a photo of what is wrong.`
        : phrase`Write to the seller today, with a photo of what is wrong: it may go back until ${until}.`,
    );
    if (bad.some((c) => c.id === 'motor'))
      return say.stop(
        'The motor itself is missing or at fault',
        phrase`Of what lay in the box: ${words}. Nothing of it is fitted before that is settled.`,
        write,
      );
    if (bad.length > 0)
      return say.rework(
        `${bad.length} thing${bad.length === 1 ? '' : 's'} of its box missing or at fault`,
        phrase`Of what lay in the box: ${words}.`,
        write,
      );
    return looked.length < contents.length
      ? say.open(
          `${looked.length} of ${contents.length} things of its box looked for`,
          phrase`What was looked for is there; the rest is not known.`,
          look('look-for-rest', phrase`Go on with the list on the Parts stage, under Unpacking.`),
        )
      : say.fits('Everything of its box is there', phrase`${String(contents.length)} things looked for, all there.`);
  },
);
