import type { ProofSheet, ProofState, ProofTest } from '@sprocket/core';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { pathOf } from '../../drawing/frame.ts';
import { sideLabels } from '../../drawing/placeLabels.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { proofWords } from '../../sheet/ProofSign.tsx';

interface BoardProps {
  sheet: ProofSheet;
  test: ProofTest;
  onTest: (id: string) => void;
}

/** All of it is on: what is proved is built. */
const BUILT = { motor: 'tight', pack: 'tight', 'rear wheel': 'tight', 'front wheel': 'tight', chain: 'tight' } as const;

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
      overlay={(s) => {
        const { px } = s;
        const high = 24 * px;
        const wide = pins.map((pin) => ({ ...pin, w: (74 + pin.place.length * 7.2) * px }));
        const labels =
          s.width / px < 560
            ? wide
                .filter((pin) => pin.place === test.place)
                .map((pin) => ({ ...pin, side: 'left' as const, x: s.left + 10 * px, y: s.top - 10 * px - high }))
            : sideLabels(wide, s, high);
        const { pack } = plan.drawing;
        return (
          <>
            {pack ? <path d={pathOf(pack.outline, true)} className="prove-pack" strokeWidth={1.8 * px} /> : null}
            {labels.map(({ place, at, x, y, w, side, worst, next, done, total }) => (
              <g
                key={place}
                className={`place-pin${place === test.place ? ' place-lit' : ''}`}
                role="button"
                tabIndex={0}
                aria-description={proofWords[worst]}
                onClick={() => onTest(next.id)}
                onKeyDown={(event) => {
                  if (event.key === 'Enter' || event.key === ' ') {
                    event.preventDefault();
                    onTest(next.id);
                  }
                }}
              >
                <line
                  x1={at.x}
                  y1={-at.y}
                  x2={side === 'left' ? x + w : x}
                  y2={-y - high / 2}
                  className="pin-line"
                  strokeWidth={1.1 * px}
                />
                {place === test.place ? (
                  <circle cx={at.x} cy={-at.y} r={15 * px} className="prove-ring" strokeWidth={3.2 * px} />
                ) : null}
                <circle cx={at.x} cy={-at.y} r={3.4 * px} className="pin-dot" />
                <rect
                  x={x}
                  y={-y - high}
                  width={w}
                  height={high}
                  rx={3 * px}
                  className="pin-plate"
                  strokeWidth={1.2 * px}
                />
                <path
                  d={marks[worst]}
                  className={`prove-mark prove-${worst}`}
                  transform={`translate(${x + 13 * px} ${-y - high / 2}) scale(${px * 1.15})`}
                  strokeWidth={1.5}
                />
                <text x={x + 25 * px} y={-y - 8 * px} fontSize={13 * px} className="pin-text">
                  {place}
                </text>
                <text
                  x={x + w - 7 * px}
                  y={-y - 8 * px}
                  fontSize={13 * px}
                  className="pin-text prove-count"
                  textAnchor="end"
                >
                  {`${done}/${total}`}
                </text>
              </g>
            ))}
          </>
        );
      }}
    />
  );
}
