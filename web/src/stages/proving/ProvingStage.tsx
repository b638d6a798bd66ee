import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { useApp, useSend } from '../../store/store.ts';
import { uiActions, type ProvingView } from '../../store/uiSlice.ts';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useProof } from '../../sheet/useProof.ts';
import { Certificate } from './Certificate.tsx';
import { CoastSheet } from './CoastSheet.tsx';
import { MotorSheet } from './MotorSheet.tsx';
import { ProvingBoard } from './ProvingBoard.tsx';
import { Road } from './Road.tsx';
import { StandTest } from './StandTest.tsx';
import { TestList } from './TestList.tsx';
import { TogetherCard } from './TogetherCard.tsx';
import './proving.css';

const viewWords: Record<ProvingView, string> = {
  road: 'Protocol',
  motor: 'Motor and sensors',
  coast: 'Coast-down',
  certificate: 'Certificate',
};

/** Whether the finished vehicle does what the plan said, test by test, gate by gate. */
export function ProvingStage() {
  const { sheet, joined } = useProof(true);
  const send = useSend();
  const { hash, key } = useLocation();
  const { buildId = '' } = useParams();
  const view = useApp((state) => state.ui.provingView);
  const asked = hash.startsWith('#test-') ? decodeURIComponent(hash.slice('#test-'.length)) : null;
  const [chosen, setChosen] = useState<string | null>(null);
  const [standing, setStanding] = useState(false);
  useEffect(() => {
    if (asked !== null) {
      setChosen(asked);
      send(uiActions.provingViewed('road'));
    }
    // The same address again is asked anew.
  }, [asked, key, send]);
  if (!sheet)
    return (
      <StageHead title="Proving">
        <strong className="marked">Choose a kit first</strong>: what is to be tried follows from kit, battery and donor.
      </StageHead>
    );
  const test =
    sheet.tests.find((t) => t.id === chosen) ?? sheet.tests.find((t) => t.id === sheet.next) ?? sheet.tests[0];
  if (!test) return null;
  const stopped = sheet.tests.filter((t) => t.state === 'stop');
  return (
    <>
      <StageHead title="Proving">
        Does it do what the plan said:{' '}
        <strong className={stopped.length > 0 ? 'marked marked-stop' : 'marked'}>
          {stopped.length > 0
            ? `do not ride until ${stopped[0]?.title.toLowerCase()}${stopped.length > 1 ? `, and ${stopped.length - 1} more` : ''}`
            : sheet.next === null
              ? `all ${sheet.tests.length} tests through${sheet.questions.length > 0 ? `, ${sheet.questions.length} open questions` : ''}`
              : `${sheet.tried} of ${sheet.tests.length} tried, next: ${sheet.tests.find((t) => t.id === sheet.next)?.title.toLowerCase() ?? ''}`}
        </strong>
      </StageHead>
      {view === 'road' ? (
        <>
          <ProvingBoard sheet={sheet} test={test} onTest={setChosen} />
          <Road sheet={sheet} test={test} onTest={setChosen} />
        </>
      ) : null}
      <div className="walk" role="group" aria-label="Parts of proving">
        {(Object.keys(viewWords) as ProvingView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.provingViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
        <Link className="leg" to={`/build/${buildId}/faults`}>
          Fault finder
        </Link>
        <Link className="leg" to={`/build/${buildId}/live`}>
          Live ride
        </Link>
        <Button className="prove-stand" onClick={() => setStanding(true)}>
          Stand view
        </Button>
      </div>
      {view === 'road' ? (
        <>
          {joined ? <TogetherCard joined={joined} /> : null}
          <TestList sheet={sheet} test={test} onTest={setChosen} />
        </>
      ) : null}
      {view === 'motor' ? <MotorSheet sheet={sheet} /> : null}
      {view === 'coast' ? <CoastSheet sheet={sheet} /> : null}
      {view === 'certificate' ? <Certificate sheet={sheet} /> : null}
      {standing ? (
        <StandTest
          sheet={sheet}
          first={test.id}
          onLeave={(id) => {
            setChosen(id);
            setStanding(false);
          }}
        />
      ) : null}
    </>
  );
}
