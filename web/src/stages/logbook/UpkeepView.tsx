import { Button } from '@mantine/core';
import {
  decimals,
  ageingOf,
  amount,
  nearnessWords,
  upkeepReminders,
  wearOf,
  type Ageing,
  type Upkeep,
  type Wear,
} from '@sprocket/core';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useBuild } from '../../store/store.ts';
import { usePlan, usePlanContext } from '../../sheet/PlanProvider.tsx';
import { calendarOf } from '../../ui/calendar.ts';
import { downloadText } from '../../ui/download.ts';
import { Say, Show, useTexts } from '../../ui/Show.tsx';
import { dueMarks } from './LogBoard.tsx';
import { dayText } from '../../ui/manner.ts';

interface UpkeepViewProps {
  upkeep: readonly Upkeep[];
  now: string;
  lit: string | null;
  onDone: (task: string) => void;
  onStand: () => void;
}

/** What must be looked after, nearest first; what wears, and what the battery still holds. */
export function UpkeepView({ upkeep, now, lit, onDone, onStand }: UpkeepViewProps) {
  const build = useBuild();
  const context = usePlanContext();
  const wear = useTexts(useMemo(() => wearOf(context, build, now), [context, build, now]));
  const ageing = useMemo(() => (context.pack ? ageingOf(build, context.pack, now) : null), [context, build, now]);
  const save = async (): Promise<void> => {
    downloadText(
      `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-upkeep.ics`,
      await calendarOf(build, upkeepReminders(upkeep)),
      'text/calendar',
    );
  };
  return (
    <div className="upkeep-view">
      <section className="card" aria-labelledby="due-title">
        <div className="card-head">
          <h2 id="due-title">Due list</h2>
          <span className="row">
            <Button variant="default" onClick={() => void save()}>
              Reminders as calendar
            </Button>
            <Button onClick={onStand}>Stand view</Button>
          </span>
        </div>
        <ul className="due-list">
          {upkeep.map((u) => (
            <DueRow key={u.task.id} upkeep={u} lit={u.task.id === lit} onDone={() => onDone(u.task.id)} />
          ))}
        </ul>
      </section>
      {wear ? <WearCard wear={wear} /> : null}
      {ageing ? <AgeingCard ageing={ageing} /> : null}
    </div>
  );
}

function DueRow({ upkeep, lit, onDone }: { upkeep: Upkeep; lit: boolean; onDone: () => void }) {
  const { buildId = '' } = useParams();
  const { build: bench } = usePlan();
  const { task, nearness, near, by, on, history } = upkeep;
  const step = bench.steps.find((s) => s.id === task.step || s.id.startsWith(`${task.step}:`));
  return (
    <li className={`due-row due-${nearness}${lit ? ' due-lit' : ''}`} id={`upkeep-${task.id}`}>
      <svg viewBox="-8 -9 16 18" className="due-sign" aria-hidden="true">
        <path d={dueMarks[nearness]} className={`due-mark due-${nearness}`} />
      </svg>
      <div>
        <p className="due-what">
          <strong>{task.words}</strong>
          <span className={`due-state due-state-${nearness}`}>{nearnessWords[nearness]}</span>
        </p>
        <p className="quiet">
          <Say words={by} />
          {on && nearness !== 'due' && nearness !== 'late' ? `, about ${dayText(on)}` : ''} · {task.how}{' '}
          {step ? <Link to={`/build/${buildId}/build#step-${encodeURIComponent(step.id)}`}>Its step</Link> : null}
        </p>
        <details>
          <summary>
            Why{history.length > 0 ? `, and done ${history.length === 1 ? 'once' : `${history.length} times`}` : ''}
          </summary>
          <p>{task.why}</p>
          {history.length > 0 ? (
            <ul className="bare-list">
              {history.slice(0, 12).map((h) => (
                <li key={h.id}>
                  {h.at.replace('T', ' ')}
                  {h.by ? ` by ${h.by}` : ''}
                  {h.note ? `: ${h.note}` : ''}
                </li>
              ))}
            </ul>
          ) : null}
        </details>
      </div>
      <span className="due-meter" aria-hidden="true">
        <span style={{ inlineSize: `${Math.min(100, near * 100)}%` }} />
      </span>
      <Button
        size="compact-md"
        variant={nearness === 'later' ? 'default' : 'filled'}
        onClick={onDone}
        aria-label={`Done: ${task.words}`}
      >
        Done
      </Button>
    </li>
  );
}

/** How long things that wear still last, with a tenth to either side. */
function WearCard({ wear }: { wear: readonly Wear[] }) {
  return (
    <section className="card" aria-labelledby="wear-title">
      <div className="card-head">
        <h2 id="wear-title">Wear</h2>
        <span className="quiet">from mass, power and road; drawn to what is measured</span>
      </div>
      <ul className="wear-list">
        {wear.map((w) => (
          <li key={w.id}>
            <strong>{w.words}</strong>
            <WearBar wear={w} />
            <span className="num">
              {w.leftM.mid <= 0 ? (
                'worn out by now: measure it'
              ) : (
                <>
                  <Show value={amount(w.leftM.low, 'way', 0)} /> to <Show value={amount(w.leftM.high, 'way', 0)} /> more
                </>
              )}
            </span>
            <span className="quiet wear-why">
              {w.why.map((words, i) => (
                <span key={i}>
                  {i > 0 ? '; ' : ''}
                  <Say words={words} />
                </span>
              ))}
              {w.measured.length === 0 ? '; never measured' : ''}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function WearBar({ wear }: { wear: Wear }) {
  const all = Math.max(wear.lifeM.high, wear.riddenM);
  const at = (m: number): number => (m / all) * 100;
  return (
    <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="wear-bar" aria-hidden="true">
      <rect x={0} y={3} width={100} height={2} className="wear-all" />
      <rect
        x={at(wear.lifeM.low)}
        y={1.5}
        width={at(wear.lifeM.high) - at(wear.lifeM.low)}
        height={5}
        className="wear-band"
      />
      <rect x={0} y={2} width={at(Math.min(all, wear.riddenM))} height={4} className="wear-gone" />
    </svg>
  );
}

/** What the battery holds, what was seen of it, and how it goes on. */
function AgeingCard({ ageing }: { ageing: Ageing }) {
  const p = (share: number): string => `${Math.round(share * 100)} %`;
  const { now, inAYear, worn, seen, cycles, perYear, perCycles } = ageing;
  return (
    <section className="card" aria-labelledby="ageing-title">
      <div className="card-head">
        <h2 id="ageing-title">What the battery holds</h2>
        <span className="quiet">
          {seen.length === 0 ? 'by its chemistry alone: nobody measured it' : `${seen.length} times seen`}
        </span>
      </div>
      <p>
        <strong className="num">
          {p(now.share)} of new, ±{p(now.sd)}
        </strong>{' '}
        after {decimals(cycles, 0)} full charges’ worth; a year on {p(inAYear.low)} to {p(Math.min(1, inAYear.high))}
        {worn ? `, and 80 % about ${dayText(worn.slice(0, 7))}` : ''}. It loses {decimals(perYear * 100, 1)} % a year
        standing and {decimals(perCycles * 100, 1)} % in a hundred full charges.
      </p>
      {seen.length > 0 ? (
        <ul className="bare-list seen-list">
          {seen.slice(-6).map((s) => (
            <li key={s.id}>
              {dayText(s.at)}, {s.from}: <Show value={amount(s.wh, 'energy')} />, {p(s.share)} ±{p(s.sd)}
            </li>
          ))}
        </ul>
      ) : (
        <p className="quiet">
          Ride once from full until it cuts out and read the energy, or write down two long charges.
        </p>
      )}
    </section>
  );
}
