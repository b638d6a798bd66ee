import type { ProofSheet, ProofState, ProofTest } from '@sprocket/core';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { BUILT } from '../../drawing/built.ts';
import { pathOf } from '../../drawing/frame.ts';
import { PlacePins } from '../../drawing/PlacePins.tsx';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { proofWords } from '../../sheet/ProofSign.tsx';

interface BoardProps {
  sheet: ProofSheet;
  test: ProofTest;
  onTest: (id: string) => void;
}

/** Worst first: what a place is marked by. */
const order: readonly ProofState[] = ['stop', 'question', 'wentPast', 'open', 'notTried', 'pass'];
const marks: Record<ProofState, string> = {
  stop: 'M-5 -2.2L-2.2 -5H2.2L5 -2.2V2.2L2.2 5H-2.2L-5 2.2z',
  question: 'M0 -6L6 0 0 6 -6 0z',
  wentPast: 'M-5 -2.2L-2.2 -5H2.2L5 -2.2V2.2L2.2 5H-2.2L-5 2.2z',
  open: 'M-4.6 0a4.6 4.6 0 1 0 9.2 0a4.6 4.6 0 1 0 -9.2 0',
  notTried: 'M-4.6 0a4.6 4.6 0 1 0 9.2 0a4.6 4.6 0 1 0 -9.2 0',
  pass: 'M-5.5 .4L-3.6 -1.6 -1.2 .8 3.4 -4.4 5.5 -2.4 -1.2 5z',
};

/** The vehicle with its test points: how far each place is proved, and where the test in hand is. */
export function ProvingBoard({ sheet, test, onTest }: BoardProps) {
  const plan = usePlan();
  const pins = Object.entries(plan.parts.spots).flatMap(([place, at]) => {
    const here = sheet.tests.filter((t) => t.place === place);
    const worst = order.find((state) => here.some((t) => t.state === state));
    const next = here.find((t) => t.state === worst) ?? here[0];
    return next && worst
      ? [{ place, at, worst, next, done: here.filter((t) => t.state !== 'open').length, total: here.length }]
      : [];
  });
  return (
    <BikeDrawing
      plan={plan}
      layers={['parts']}
      sheet="sheet 9"
      tall
      things={BUILT}
      tools={
        <ul className="mark-key" aria-label="How far it is proved">
          <li>
            {sheet.tried} of {sheet.tests.length} tried
          </li>
          {sheet.stops.length > 0 ? <li>{sheet.stops.length} stop</li> : null}
          {sheet.questions.length > 0 ? <li>{sheet.questions.length} open questions</li> : null}
        </ul>
      }
      overlay={(s) => (
        <>
          {plan.drawing.pack ? (
            <path d={pathOf(plan.drawing.pack.outline, true)} className="prove-pack" strokeWidth={1.8 * s.px} />
          ) : null}
          <PlacePins
            sheet={s}
            pins={pins}
            lit={test.place}
            ring
            room={() => 74}
            sign={({ worst }) => <path d={marks[worst]} className={`prove-mark prove-${worst}`} strokeWidth={1.5} />}
            end={({ done, total }) => `${done}/${total}`}
            description={({ worst }) => proofWords[worst]}
            onPin={({ next }) => onTest(next.id)}
          />
        </>
      )}
    />
  );
}
