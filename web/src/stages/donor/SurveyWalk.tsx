import { nextOpenStation, surveyWalk, type Donor, type SurveyProgress } from '@sprocket/core';
import type { CSSProperties } from 'react';
import type { DonorView } from '../../store/uiSlice.ts';

interface WalkProps {
  donor: Donor;
  progress: SurveyProgress;
  view: DonorView;
  show: (to: DonorView) => void;
}

/**
 * The walk round the vehicle as a tape: its stations in order, each filled as far as it is proven, the next one
 * with something open a press away; two short ways in before it, and what comes of it all behind.
 */
export function SurveyWalk({ donor, progress, view, show }: WalkProps) {
  const stations = surveyWalk(donor);
  const at = stations.findIndex((s) => s.id === view);
  const here = stations[at];
  const next = nextOpenStation(stations, at);
  const leg = (to: DonorView, words: string, count?: string) => (
    <button type="button" className="leg" aria-pressed={view === to} onClick={() => show(to)}>
      {words}
      {count === undefined ? null : <span className="leg-count num">{count}</span>}
    </button>
  );
  return (
    <div className="survey-walk" role="group" aria-label="Parts of the survey">
      <div className="walk-ends">
        <div className="walk">
          {leg('next', 'Measure first')}
          {leg('quick', 'Quick look', `${progress.quick.proven}/${progress.quick.total}`)}
        </div>
        <div className="walk">
          {leg('inside-drawn', 'Photo and fittings')}
          {donor.kind === 'homeBuilt' ? leg('frame-corners', 'Frame by its corners') : null}
          {leg('derived', 'What follows')}
          {leg('worth', 'Worth it')}
        </div>
      </div>
      <ol className="tape">
        {stations.map((s) => {
          const whole = s.done === s.of;
          return (
            <li key={s.id}>
              <button
                type="button"
                className={`leg station${whole ? ' station-done' : ''}${s === next ? ' station-next' : ''}`}
                aria-pressed={s.id === view}
                title={`${s.words}, ${s.done} of ${s.of}`}
                onClick={() => show(s.id)}
              >
                <span className="station-words">{s.words}</span>
                <span className="station-count num">
                  {whole ? '✓' : `${s.done}/${s.of}`}
                  <span className="sr">{whole ? ', all proven' : ' proven'}</span>
                </span>
                <span className="station-tape" style={{ '--done': s.done / Math.max(1, s.of) } as CSSProperties} />
              </button>
            </li>
          );
        })}
      </ol>
      <div className="walk-step">
        <span className="walk-here">
          {here ? (
            <>
              <strong>{here.words}</strong>{' '}
              <span className="quiet num">
                {here.done === here.of ? `all ${here.of} proven` : `${here.of - here.done} of ${here.of} open`}
              </span>
            </>
          ) : (
            <span className="quiet">Walk round it, a station at a time</span>
          )}
        </span>
        {next ? (
          <button type="button" className="link-button" onClick={() => show(next.id)}>
            Next open: {next.words.toLowerCase()}, {next.of - next.done} to go
          </button>
        ) : (
          <span className="quiet">every station is proven</span>
        )}
      </div>
    </div>
  );
}
