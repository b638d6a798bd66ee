import type { BillSheet, Point } from '@sprocket/core';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { BUILT } from '../../drawing/built.ts';
import { pathOf } from '../../drawing/frame.ts';
import { PlacePins } from '../../drawing/PlacePins.tsx';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { markOf, markWords, type Mark } from './lines.ts';

const order: readonly Mark[] = ['fault', 'held', 'wanted', 'way', 'here', 'fitted'];

/** What each mark looks like besides its colour: told by shape as well. */
export function MarkSign({ mark, size = 14 }: { mark: Mark; size?: number }) {
  return (
    <svg viewBox="-8 -8 16 16" width={size} height={size} className={`mark mark-${mark}`} aria-hidden="true">
      <MarkShape mark={mark} />
    </svg>
  );
}

function MarkShape({ mark }: { mark: Mark }) {
  switch (mark) {
    case 'fitted':
      return <path d="M-6 0 L-2 5 L6 -5" className="mark-line" />;
    case 'here':
      return <rect x={-5.5} y={-5.5} width={11} height={11} className="mark-full" />;
    case 'way':
      return <path d="M-6 -4 L0 -4 L0 -7 L7 0 L0 7 L0 4 L-6 4 Z" className="mark-full" />;
    case 'held':
      return <path d="M-6 -6 L6 -6 L-6 6 L6 6 Z" className="mark-open" />;
    case 'fault':
      return <path d="M-6 -6 L6 6 M6 -6 L-6 6" className="mark-line" />;
    case 'gone':
      return <path d="M-6 0 L6 0" className="mark-line" />;
    case 'wanted':
      return <circle r={5.5} className="mark-open" />;
  }
}

interface Pin {
  place: string;
  at: Point;
  counts: { mark: Mark; count: number }[];
  total: number;
  done: number;
}

/** The drawing with each place's parts: what is missing from the bike at a glance. */
export function BillBoard({ bill }: { bill: BillSheet }) {
  const plan = usePlan();
  const pins = Object.entries(plan.parts.spots).flatMap(([place, at]): Pin[] => {
    const lines = bill.lines.filter((l) => l.place === place && l.why !== 'notWanted');
    if (lines.length === 0) return [];
    const counts = order.flatMap((mark) => {
      const count = lines.filter((l) => markOf(l) === mark).length;
      return count > 0 ? [{ mark, count }] : [];
    });
    const done = lines.filter((l) => ['fitted', 'here'].includes(markOf(l))).length;
    return [{ place, at, counts, total: lines.length, done }];
  });
  const present = order.filter((mark) => pins.some((p) => p.counts.some((c) => c.mark === mark)));
  return (
    <BikeDrawing
      plan={plan}
      layers={['parts']}
      sheet="sheet 7"
      tall
      things={BUILT}
      tools={
        <ul className="mark-key" aria-label="Marks">
          {present.map((mark) => (
            <li key={mark}>
              <MarkSign mark={mark} /> {markWords[mark]}
            </li>
          ))}
          {present.length === 0 ? <li className="quiet">nothing is wanted yet</li> : null}
        </ul>
      }
      overlay={(s) => (
        <>
          {plan.drawing.pack ? (
            <path d={pathOf(plan.drawing.pack.outline, true)} className="bill-pack" strokeWidth={1.8 * s.px} />
          ) : null}
          <PlacePins
            sheet={s}
            // What is most to be seen to comes first: it is named where there is room for one alone.
            pins={pins.toSorted((a, b) => rankOf(a) - rankOf(b))}
            lit={null}
            room={({ counts }) => counts.length * 34 + 14}
            end={({ counts }) =>
              counts.map(({ mark, count }, i) => (
                <g
                  key={mark}
                  transform={`translate(${8 - (counts.length - i) * 34} 0) scale(0.85)`}
                  className={`mark mark-${mark}`}
                >
                  <MarkShape mark={mark} />
                  <text x={10} y={5} fontSize={15} className="pin-text">
                    {count}
                  </text>
                </g>
              ))
            }
            label={({ place, done, total }) => `${place}: ${done} of ${total} here or fitted`}
          />
        </>
      )}
    />
  );
}

/** How much there is to be seen to at a place: its worst mark first. */
const rankOf = ({ counts }: Pin): number => order.indexOf(counts[0]?.mark ?? 'fitted');
