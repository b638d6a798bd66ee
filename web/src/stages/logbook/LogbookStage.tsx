import { decimals, amount, logEntrySchema, odometerOf } from '@sprocket/core';
import { lazy, memo, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useApp, useBuild, useSend } from '../../store/store.ts';
import { uiActions, type LogbookView } from '../../store/uiSlice.ts';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useUpkeep } from '../../sheet/useUpkeep.ts';
import { Show } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { LogBoard } from './LogBoard.tsx';
import { LogView } from './LogView.tsx';
import { PapersView } from './PapersView.tsx';
import { ReviewView } from './ReviewView.tsx';
import { StandUpkeep } from './StandUpkeep.tsx';
import { TodayView } from './TodayView.tsx';
import { UpkeepView } from './UpkeepView.tsx';
import { useLogTuning } from './useLogTuning.ts';
import './logbook.css';

/** With its charts: loaded when it is first asked for. */
const RidesView = lazy(async () => ({ default: (await import('./RidesView.tsx')).RidesView }));

/** Drawn again after the list: a line that is kept stands there first. */
const Board = memo(LogBoard);

const viewWords: Record<LogbookView, string> = {
  log: 'Log',
  rides: 'What rides told',
  today: 'Today',
  upkeep: 'Upkeep',
  papers: 'Handover and report',
  review: 'Half a year on',
};

/** The vehicle in use: what it did, what it will do today, what it wants looked after, and what it taught. */
export function LogbookStage() {
  const build = useBuild();
  const send = useSend();
  const { hash, key } = useLocation();
  const view = useApp((state) => state.ui.logbookView);
  const [standing, setStanding] = useState(false);
  const [lit, setLit] = useState<string | null>(null);
  const { upkeep, now } = useUpkeep();
  const tuning = useLogTuning();
  const drawnEntries = useDeferredValue(build.log.entries);
  const drawnUpkeep = useDeferredValue(upkeep);
  const show = useCallback(
    (id: string): void => {
      setLit(id);
      send(uiActions.logbookViewed('upkeep'));
    },
    [send],
  );
  const odometer = useMemo(() => odometerOf({ entries: drawnEntries }, now), [drawnEntries, now]);
  const seen = useMemo(() => new Map((tuning.told?.rides ?? []).map((r) => [r.id, r])), [tuning.told]);
  const task = hash.startsWith('#upkeep-') ? decodeURIComponent(hash.slice('#upkeep-'.length)) : null;
  useEffect(() => {
    if (task !== null) {
      setLit(task);
      send(uiActions.logbookViewed('upkeep'));
    } else if (hash === '#door' || hash.startsWith('#line-')) send(uiActions.logbookViewed('log'));
    // The same address again is asked anew.
  }, [task, hash, key, send]);
  const done = (id: string): void => {
    const entry = logEntrySchema.parse({
      kind: 'service',
      id: crypto.randomUUID(),
      at: thisMinute(),
      task: id,
      by: build.built.builder,
    });
    send(buildActions.entriesKept({ field: `log.entries.${entry.id}`, value: [entry] }));
  };
  const rides = build.log.entries.filter((e) => e.kind === 'ride').length;
  const due = upkeep.filter((u) => u.nearness === 'late' || u.nearness === 'due');
  const first = due[0];
  const { told } = tuning;
  return (
    <>
      <StageHead title="Logbook">
        {rides === 0 ? (
          <strong className="marked">Nothing ridden yet: the first ride begins it</strong>
        ) : (
          <>
            <Show value={amount(odometer.at(now), 'way', 0)} /> in {rides === 1 ? 'one ride' : `${rides} rides`}:{' '}
            <strong className={first?.task.safety ? 'marked marked-stop' : 'marked'}>
              {first
                ? `${first.task.words.charAt(0).toLowerCase()}${first.task.words.slice(1)} ${first.nearness === 'late' ? 'overdue' : 'due'}${due.length > 1 ? `, and ${due.length - 1} more` : ''}`
                : 'nothing due'}
            </strong>
            {told?.width ? `; forecast ±${decimals(told.width.now * 100, 0)} %` : ''}
          </>
        )}
      </StageHead>
      {view !== 'log' && view !== 'upkeep' ? null : (
        <div className={`board-${view}`}>
          <Board entries={drawnEntries} upkeep={drawnUpkeep} lit={lit} onTask={show} />
        </div>
      )}
      <div className="walk" role="group" aria-label="Parts of the logbook">
        {(Object.keys(viewWords) as LogbookView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.logbookViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
      </div>
      {view === 'log' ? <LogView seen={seen} /> : null}
      {view === 'rides' ? (
        <Suspense fallback={<p className="wait">Fetching the rides…</p>}>
          <RidesView tuning={tuning} />
        </Suspense>
      ) : null}
      {view === 'today' ? <TodayView /> : null}
      {view === 'upkeep' ? (
        <UpkeepView upkeep={upkeep} now={now} lit={lit} onDone={done} onStand={() => setStanding(true)} />
      ) : null}
      {view === 'papers' ? <PapersView now={now} /> : null}
      {view === 'review' ? <ReviewView now={now} /> : null}
      {standing ? <StandUpkeep upkeep={upkeep} onDone={done} onLeave={() => setStanding(false)} /> : null}
    </>
  );
}
