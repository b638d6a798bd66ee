import { Button, Textarea, TextInput } from '@mantine/core';
import { partById, tuningOf, type ProofSheet, type ProofTest, type Result } from '@sprocket/core';
import { Link, useParams } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { Photos } from '../../sheet/Photos.tsx';
import { usePlanContext, useShelf } from '../../sheet/PlanProvider.tsx';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { longWords } from '../../ui/moments.ts';
import { Say } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { Bands } from './Bands.tsx';
import { Day } from './Day.tsx';
import { useTrying } from './useTrying.ts';
import { WhyNot } from './WhyNot.tsx';

interface TestPaneProps {
  sheet: ProofSheet;
  test: ProofTest;
  onTest: (id: string) => void;
}

/** The sheet of one test: how it is done, what it should give, what it gave, and what that means. */
export function TestPane({ sheet, test, onTest }: TestPaneProps) {
  const build = useBuild();
  const send = useSend();
  const shelf = useShelf();
  const trying = useTrying(sheet, test);
  const gate = sheet.gates.find((g) => g.id === test.gate);
  const names = (test.tools ?? []).map((id) => partById(shelf, id)?.name ?? id);
  return (
    <article className="card test-pane" aria-labelledby="test-title" id={`test-${test.id}`}>
      <p className="test-place">
        {gate?.name} · {test.place} · {longWords(test.minutes)}
        {test.safety ? ' · safety: not to be left out' : ''}
      </p>
      <h2 id="test-title">{test.title}</h2>
      <Bands test={test} />
      <p>{test.how}</p>
      <p className="quiet">{test.why}</p>
      {test.caution ? (
        <div className="test-caution" role="note">
          <strong>Take care. </strong>
          {test.caution.text} <span className="test-ask">Ask: {test.caution.ask}. Local rules have the last word.</span>
        </div>
      ) : null}
      {names.length > 0 ? (
        <p>
          <span className="quiet">Tools:</span> {names.join(', ')}
        </p>
      ) : null}
      {trying.gate ? (
        <div className="test-held" role="note">
          <strong>Not yet.</strong> {sheet.gates.find((g) => g.id === trying.gate?.id)?.name} is not through:{' '}
          {trying.gate.by.slice(0, 3).map((id, i) => (
            <span key={id}>
              {i > 0 ? ', ' : ''}
              <button type="button" className="link-button" onClick={() => onTest(id)}>
                {sheet.tests.find((t) => t.id === id)?.title.toLowerCase()}
              </button>
            </span>
          ))}
          {trying.gate.by.length > 3 ? `, and ${trying.gate.by.length - 3} more` : ''}.
        </div>
      ) : (
        <>
          <Day test={test} />
          <Try test={test} trying={trying} />
        </>
      )}
      <Outcome sheet={sheet} test={test} />
      <WhyNot test={test} />
      {test.result ? (
        <>
          <Textarea
            label="Note"
            autosize
            minRows={1}
            maxLength={2000}
            value={build.proving.results.find((r) => r.id === test.result?.id)?.note ?? ''}
            onChange={(event) =>
              send(
                buildActions.resultKept({
                  field: `proving.${test.id}.note`,
                  value: { ...(test.result as Result), note: event.currentTarget.value },
                }),
              )
            }
          />
          <Photos id={`test:${test.id}`} label={`test ${test.id}`} />
        </>
      ) : null}
      <TextInput
        label="Tried by"
        value={build.built.builder}
        maxLength={60}
        onChange={(event) =>
          send(buildActions.builtEdited({ field: 'built.builder', value: { builder: event.currentTarget.value } }))
        }
      />
    </article>
  );
}

/** What is seen and read, and the plate that keeps it. */
function Try({ test, trying }: { test: ProofTest; trying: ReturnType<typeof useTrying> }) {
  const asked = test.readings.filter((r) => r.sumOf === undefined);
  const missing = test.state === 'open' && test.result ? missingOf(test) : [];
  return (
    <div className="try">
      {test.sees ? (
        <div role="radiogroup" aria-label="What was seen" className="sights">
          {test.sees.map((s) => (
            <button
              key={s.id}
              type="button"
              role="radio"
              aria-checked={trying.saw === s.id}
              className={`sight sight-${s.is}`}
              onClick={() => trying.see(s.id)}
            >
              <ProofSign state={s.is} />
              {s.words}
            </button>
          ))}
        </div>
      ) : null}
      {asked.length > 0 ? (
        <div className="fields">
          {asked.map((r) => (
            <AmountField
              key={r.id}
              label={r.what}
              dimension={r.dimension}
              {...(r.digits === undefined ? {} : { digits: r.digits })}
              value={trying.readings[r.id] ?? null}
              onValue={(si) => trying.read(r.id, si)}
              onEmpty={() => trying.read(r.id, null)}
            />
          ))}
        </div>
      ) : null}
      <Button onClick={trying.keep} disabled={!trying.something}>
        {missing.length > 0
          ? 'Keep this as well'
          : test.result || test.state !== 'open'
            ? 'Keep as tried again'
            : 'Keep the result'}
      </Button>
      {missing.length > 0 ? <p role="status">Kept so far; still wanted: {missing.join(', ')}.</p> : null}
    </div>
  );
}

/** What of a test was not read or seen yet. */
function missingOf(test: ProofTest): string[] {
  return [
    ...(test.sees && test.result?.saw === null ? ['what was seen'] : []),
    ...test.readings.filter((r) => r.value === null && r.sumOf === undefined).map((r) => r.what.toLowerCase()),
  ];
}

/** How it came out, what that means, and what can be done with it. */
function Outcome({ sheet, test }: { sheet: ProofSheet; test: ProofTest }) {
  const send = useSend();
  const context = usePlanContext();
  const { buildId = '' } = useParams();
  if (test.state === 'open' || test.state === 'notTried') return null;
  const seen = test.sees?.find((s) => s.id === test.result?.saw);
  const tuning = tuningOf(context, sheet, test.id, thisMinute());
  const { tuned } = context.build;
  const mine = (['massKg', 'rolledM', 'dragArea', 'rolling'] as const).filter(
    (key) => tuned[key]?.from.test === test.id,
  );
  const tunedBy = mine.length > 0;
  const untune = (): void => {
    send(
      buildActions.tunedTo({ field: `tuned.${test.id}`, value: Object.fromEntries(mine.map((key) => [key, null])) }),
    );
  };
  return (
    <section className={`outcome outcome-${test.state}`} aria-label="Outcome">
      <p className="outcome-head">
        <ProofSign state={test.state} /> <strong>{proofWords[test.state]}</strong>
        {seen ? `: ${seen.words}` : ''}
        {test.result ? (
          <span className="quiet">
            {' '}
            {test.result.at.replace('T', ' ')}
            {test.result.by ? `, ${test.result.by}` : ''}
            {test.earlier > 0 ? `, tried ${test.earlier + 1} times` : ''}
          </span>
        ) : null}
      </p>
      {test.state === 'stop' ? <p>Do not ride until it is mended and tried again.</p> : null}
      {test.means.map((m) => (
        <p key={m.words}>
          {m.words}{' '}
          {m.symptom ? (
            <Link to={`/build/${buildId}/faults?symptom=${m.symptom}&from=${encodeURIComponent(test.id)}`}>
              Find the fault
            </Link>
          ) : null}
        </p>
      ))}
      {tunedBy ? (
        <p>
          The plan goes by it.{' '}
          <button type="button" className="link-button" onClick={untune}>
            Back to what was reckoned
          </button>
        </p>
      ) : tuning && 'tuned' in tuning ? (
        <p className="tune">
          <Button
            size="compact-md"
            variant="default"
            onClick={() => send(buildActions.tunedTo({ field: `tuned.${test.id}`, value: tuning.tuned }))}
          >
            Tune the plan to it
          </Button>{' '}
          <span className="quiet">
            <Say words={tuning.words} />
          </span>
        </p>
      ) : tuning ? (
        <p className="quiet">{tuning.not}</p>
      ) : null}
      {test.result ? (
        <p>
          <button
            type="button"
            className="link-button"
            onClick={() =>
              send(buildActions.resultTakenBack({ field: `proving.${test.id}`, value: (test.result as Result).id }))
            }
          >
            Take this result back
          </button>
        </p>
      ) : null}
    </section>
  );
}
