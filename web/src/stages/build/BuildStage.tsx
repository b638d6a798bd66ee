import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { useApp, useSend } from '../../store/store.ts';
import { uiActions, type BuildView } from '../../store/uiSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { longWords } from '../../ui/moments.ts';
import { AsBuilt } from './AsBuilt.tsx';
import { BuildBoard } from './BuildBoard.tsx';
import { JobCard } from './JobCard.tsx';
import { Pace } from './Pace.tsx';
import { StandView } from './StandView.tsx';
import { StepList } from './StepList.tsx';
import { useBench } from './useBench.ts';
import './build.css';

const viewWords: Record<BuildView, string> = {
  steps: 'Steps',
  built: 'As built',
  card: 'Job card',
  pace: 'Own pace',
};

/** What to do now, one step at a time, and the vehicle as it was really built. */
export function BuildStage() {
  const { build: sheet } = usePlan();
  const bench = useBench();
  const send = useSend();
  const { hash, key } = useLocation();
  const view = useApp((state) => state.ui.buildView);
  const asked = hash.startsWith('#step-') ? decodeURIComponent(hash.slice('#step-'.length)) : null;
  const [chosen, setChosen] = useState<string | null>(null);
  const [standing, setStanding] = useState(false);
  useEffect(() => {
    if (asked !== null) {
      setChosen(asked);
      send(uiActions.buildViewed('steps'));
    }
    // The same address again is asked anew.
  }, [asked, key, send]);
  const step = bench.byId.get(chosen ?? '') ?? bench.ahead[0] ?? bench.steps.at(-1);
  if (!step)
    return (
      <StageHead title="Build">
        <strong className="marked">Choose a kit first</strong>: the steps of a build are those of its kit on this donor.
      </StageHead>
    );
  const done = bench.steps.length - bench.ahead.length;
  const left = bench.ahead.reduce((sum, s) => sum + s.minutes, 0);
  return (
    <>
      <StageHead title="Build">
        One step at a time:{' '}
        <strong className="marked">
          {bench.ahead.length === 0
            ? `all ${bench.steps.length} steps done`
            : `${done} of ${bench.steps.length} done, ${bench.ready.length} can be begun now, ${longWords(left)} to go`}
        </strong>
      </StageHead>
      {view === 'steps' ? <BuildBoard bench={bench} sheets={sheet.sheets} step={step} onStep={setChosen} /> : null}
      <div className="walk" role="group" aria-label="Parts of the build">
        {(Object.keys(viewWords) as BuildView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.buildViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
        <Button className="to-stand" onClick={() => setStanding(true)}>
          Stand view
        </Button>
      </div>
      {view === 'steps' ? <StepList bench={bench} sheets={sheet.sheets} step={step} onStep={setChosen} /> : null}
      {view === 'built' ? <AsBuilt bench={bench} /> : null}
      {view === 'card' ? <JobCard bench={bench} sheets={sheet.sheets} /> : null}
      {view === 'pace' ? <Pace bench={bench} /> : null}
      {standing ? (
        <StandView
          bench={bench}
          sheets={sheet.sheets}
          first={step.id}
          onLeave={(id) => {
            setChosen(id);
            setStanding(false);
          }}
        />
      ) : null}
    </>
  );
}
