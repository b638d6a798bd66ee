import { boughtStates } from '../../build/bill.ts';
import { usualClosing } from '../../build/closing.ts';
import type { Kit } from '../../parts/kit.ts';
import { phrase } from '../../quantity/format.ts';
import { choose, look, work } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';

/** Where a kit goes, as one would ask after it. */
export function whereItGoes(kit: Kit): string {
  if (kit.hub) return `the ${kit.hub.place} wheel and its axle`;
  return kit.mid ? 'the bracket shell and the cranks' : 'the seat tube, the stay and the left of the rear hub';
}

/** What is often there and no survey asks after. */
const OFTEN: Record<'front' | 'rear' | 'mid' | 'side', string> = {
  front: 'Mudguard stays, a lamp or lock on the fork, a trailer’s tow arm, a bag’s hook, a magnet on a spoke.',
  rear: 'Mudguard stays, a trailer’s hitch, foot pegs, a tow bar for a child, training wheels, a magnet on a spoke.',
  mid: 'A lock bolted to the down tube, a chain guide, a power meter, a bottle cage low down, a dog’s lead.',
  side: 'A pump peg, a stand’s foot, a lock’s bracket, the stay of a mudguard.',
};

/** Things often met where a kit goes that no survey asks after. */
export const oftenThere = (kit: Kit): string => OFTEN[kit.hub?.place ?? (kit.mid ? 'mid' : 'side')];

/** The last question: what else is where the kit goes, in the person's words; judged or struck off before it is ordered. */
export const closingQuestion = kitRule(
  {
    id: 'closing-question',
    words: 'What else is there',
    group: 'use',
    uses: [],
    source: 'Workshop practice: no list knows everything that somebody once bolted to a bicycle.',
    fitCritical: true,
  },
  ({ build, chosen }, kit, say) => {
    // Asked of the kit one means to order, not of every candidate; once it is bought the question has passed.
    if (kit.id !== chosen.kit?.id || boughtStates.includes(build.bill.lines[kit.id]?.state ?? 'wanted')) return null;
    const { others, nothingElse } = build.closing[kit.id] ?? usualClosing();
    const where = whereItGoes(kit);
    for (const other of others) say.because(ruleFigure(other.what, other.how === '' ? other.stands : other.how));
    const blocks = others.find((o) => o.stands === 'blocks');
    if (blocks)
      return say.stop(
        `In the way: ${blocks.what}`,
        phrase`It is where the kit goes and cannot be moved, as you judged it.${blocks.how === '' ? '' : ` ${blocks.how}`}`,
        choose('other-kit', phrase`A kit that goes elsewhere.`),
        look('judge-again', phrase`Judge it again under “What else is there?”, if it can be moved after all.`),
      );
    const open = others.filter((o) => o.stands === 'open');
    if (open.length > 0)
      return say.open(
        `Not judged yet: ${open.map((o) => o.what).join(', ')}`,
        phrase`You named it and have not said whether it is clear of the kit.`,
        look('judge', phrase`Hold the part, or a card of its size, there; then say so under “What else is there?”.`),
      );
    if (!nothingElse)
      return say.open(
        'What else is there?',
        phrase`Before you order: look at ${where}, and at the bar. Whatever is there that the survey did not ask about may be in the way.`,
        look(
          'look-round',
          phrase`Look, then name it or tick “nothing else” under “What else is there?” on the Drive stage.`,
        ),
      );
    const moves = others.filter((o) => o.stands === 'moves');
    if (moves.length > 0)
      return say.rework(
        `To be moved: ${moves.map((o) => o.what).join(', ')}`,
        phrase`In the way of the kit, and can be moved.`,
        work(
          'move-others',
          phrase`${moves.map((o) => (o.how === '' ? `Move it: ${o.what}` : `${o.what}: ${o.how}`)).join('. ')}.`,
          15 * moves.length,
        ),
      );
    return say.fits(
      'Nothing else in the way',
      others.length === 0
        ? phrase`You looked at ${where} and at the bar: nothing else is there.`
        : phrase`Clear of the kit: ${others.map((o) => o.what).join(', ')}.`,
    );
  },
);
