import { entriesOf, nearnessWords, type LogEntry, type Nearness, type Upkeep } from '@sprocket/core';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { BUILT } from '../../drawing/built.ts';
import { pathOf } from '../../drawing/frame.ts';
import { PlacePins } from '../../drawing/PlacePins.tsx';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { dayText } from '../../ui/manner.ts';

interface BoardProps {
  entries: readonly LogEntry[];
  upkeep: readonly Upkeep[];
  lit: string | null;
  onTask: (id: string) => void;
}

const rank: readonly Nearness[] = ['late', 'due', 'soon', 'later'];

/** A puncture’s place on the drawing: round the rim from the valve, which is drawn at the bottom. */
const roundAt = (axle: { x: number; y: number }, radius: number, round: number): { x: number; y: number } => {
  const angle = -Math.PI / 2 - round * 2 * Math.PI;
  return { x: axle.x + radius * Math.cos(angle), y: axle.y + radius * Math.sin(angle) };
};

/** The vehicle in use: what is due glows where it is, the nearer the stronger, and faults and punctures where they were. */
export function LogBoard({ entries, upkeep, lit, onTask }: BoardProps) {
  const plan = usePlan();
  const { geometry: g } = plan.drawing;
  const faults = entriesOf({ entries: [...entries] }, 'fault');
  const punctures = entriesOf({ entries: [...entries] }, 'puncture');
  const pins = Object.entries(plan.parts.spots).flatMap(([place, at]) => {
    const here = upkeep.filter((u) => u.place === place);
    const worst = rank.find((n) => here.some((u) => u.nearness === n));
    const first = here.find((u) => u.nearness === worst);
    const failed = faults.filter((f) => f.place === place).length;
    return first && worst ? [{ place, at, worst, first, failed, near: Math.max(...here.map((u) => u.near)) }] : [];
  });
  const due = upkeep.filter((u) => u.nearness === 'due' || u.nearness === 'late').length;
  return (
    <BikeDrawing
      plan={plan}
      layers={['parts']}
      sheet="sheet 10"
      things={BUILT}
      tools={
        <ul className="mark-key" aria-label="How it stands">
          <li>{due === 0 ? 'nothing due' : `${due} due`}</li>
          {faults.length > 0 ? <li>{faults.length === 1 ? '1 fault' : `${faults.length} faults`}</li> : null}
          {punctures.length > 0 ? (
            <li>
              <span className="key-puncture" aria-hidden="true" />{' '}
              {punctures.length === 1 ? '1 puncture' : `${punctures.length} punctures`}
            </li>
          ) : null}
        </ul>
      }
      overlay={(s) => {
        const { px } = s;
        const shown = pins.filter((p) => p.worst !== 'later' || p.place === lit);
        const { pack } = plan.drawing;
        return (
          <>
            {pack ? <path d={pathOf(pack.outline, true)} className="log-pack" strokeWidth={1.8 * px} /> : null}
            {pins.map(({ place, at, near, worst }) => (
              <circle
                key={`glow-${place}`}
                cx={at.x}
                cy={-at.y}
                r={(10 + 16 * Math.min(1, near)) * px}
                className={`glow glow-${worst}`}
                opacity={0.12 + 0.38 * Math.min(1.2, near)}
              />
            ))}
            {punctures.map((p) => {
              const front = p.wheel === 'front';
              if (p.round === null || p.wheel === 'trailer') return null;
              const at = roundAt(front ? g.frontAxle : g.rearAxle, front ? g.frontRadiusM : g.rearRadiusM, p.round);
              return (
                <path
                  key={p.id}
                  d={`M${at.x - 5 * px} ${-at.y - 5 * px}l${10 * px} ${10 * px}m0 ${-10 * px}l${-10 * px} ${10 * px}`}
                  className="puncture-mark"
                  strokeWidth={2.6 * px}
                >
                  <title>{`${dayText(p.at)}: ${p.cause}`}</title>
                </path>
              );
            })}
            <PlacePins
              sheet={s}
              pins={shown}
              lit={lit}
              room={({ failed }) => (failed > 0 ? 92 : 66)}
              sign={({ worst }) => <path d={dueMarks[worst]} className={`due-mark due-${worst}`} strokeWidth={1.5} />}
              end={({ worst, failed }) => (failed > 0 ? `${shortWords[worst]}, ${failed} ✕` : shortWords[worst])}
              description={({ worst }) => nearnessWords[worst]}
              onPin={({ first }) => onTask(first.task.id)}
            />
          </>
        );
      }}
    />
  );
}

const shortWords: Record<Nearness, string> = { late: 'late', due: 'due', soon: 'soon', later: '' };
/** Due is a full drop of oil, late one with a ring, soon an open one. */
export const dueMarks: Record<Nearness, string> = {
  late: 'M0 -6C3 -2 4.5 0 4.5 2A4.5 4.5 0 0 1 -4.5 2C-4.5 0 -3 -2 0 -6zM-6.5 6H6.5',
  due: 'M0 -6C3 -2 4.5 0 4.5 2A4.5 4.5 0 0 1 -4.5 2C-4.5 0 -3 -2 0 -6z',
  soon: 'M0 -6C3 -2 4.5 0 4.5 2A4.5 4.5 0 0 1 -4.5 2C-4.5 0 -3 -2 0 -6z',
  later: 'M0 -3A3 3 0 0 1 0 3A3 3 0 0 1 0 -3z',
};
