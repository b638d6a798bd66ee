import { NativeSelect } from '@mantine/core';
import { driveFamilies, driveFamilyWords, symptoms, type FaultSearch, type SymptomId } from '@sprocket/core';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useProof } from '../../sheet/useProof.ts';
import { thisMinute } from '../../ui/today.ts';
import { Looking } from './Looking.tsx';
import { Practice } from './Practice.tsx';
import { SymptomPicker } from './SymptomPicker.tsx';
import './faults.css';

type View = 'find' | 'before' | 'practice';
const viewWords: Record<View, string> = { find: 'Find a fault', before: 'Found before', practice: 'Practice bench' };

/** From what is noticed to the test that tells most, to the repair. */
export function FaultSheet() {
  const build = useBuild();
  const send = useSend();
  const proof = useProof();
  const [params, setParams] = useSearchParams();
  const [view, setView] = useState<View>('find');
  const { searches } = build.proving;
  const asked = params.get('symptom');
  const from = params.get('from');
  const open = searches.findLast((s) => s.ended === null) ?? null;

  const begin = (symptom: SymptomId, at: string | null): void => {
    const search: FaultSearch = {
      id: crypto.randomUUID(),
      at: thisMinute(),
      by: build.built.builder,
      symptom,
      from: at,
      answers: [],
      ended: null,
    };
    send(buildActions.searchKept({ field: `proving.searches.${search.id}`, value: search }));
  };
  useEffect(() => {
    if (asked === null) return;
    // Asked for by a failed test: begun once, and the address forgets it.
    if (symptoms.some((s) => s.id === asked) && !(open?.symptom === asked && open.from === from))
      begin(asked as SymptomId, from);
    setParams({}, { replace: true });
    // oxlint-disable-next-line react/exhaustive-deps
  }, [asked]);

  const words = symptoms.find((s) => s.id === open?.symptom)?.words;
  return (
    <>
      <StageHead title="Fault finder">
        {open && view === 'find' ? (
          <>
            Looking for: <strong className="marked">{words?.toLowerCase()}</strong>
          </>
        ) : (
          'The test that tells most for the least trouble, one after the other.'
        )}
      </StageHead>
      <div className="walk" role="group" aria-label="Parts of the fault finder">
        {(Object.keys(viewWords) as View[]).map((v) => (
          <button key={v} type="button" className="leg" aria-pressed={v === view} onClick={() => setView(v)}>
            {viewWords[v]}
          </button>
        ))}
      </div>
      {view === 'find' ? (
        open ? (
          <Looking key={open.id} search={open} proof={proof} />
        ) : (
          <>
            {build.choice.kitId === null ? <WhatIsIt /> : null}
            <SymptomPicker onPick={(symptom) => begin(symptom, null)} />
          </>
        )
      ) : null}
      {view === 'before' ? <Before /> : null}
      {view === 'practice' ? <Practice facts={proof.sheet?.facts ?? null} /> : null}
    </>
  );
}

/** Without a kit: what the vehicle is decides which faults it can have and what can be asked. */
function WhatIsIt() {
  const shelf = useShelf();
  const send = useSend();
  const { buildId = '' } = useParams();
  const families = driveFamilies.map((family) => ({
    group: driveFamilyWords[family],
    items: shelf.kit.filter((k) => k.family === family).map(({ id, name }) => ({ value: id, label: name })),
  }));
  return (
    <section className="card" aria-labelledby="what-is-it">
      <h2 id="what-is-it">What drives it?</h2>
      <p>
        No kit is chosen. Say which is on it and only its own faults are asked about; a kit of your own goes on the
        shelf first. Not known: go on below, and every kind is asked about.
      </p>
      <div className="fields">
        <NativeSelect
          label="Kit on the vehicle"
          value=""
          data={[{ value: '', label: 'not known' }, ...families.filter((f) => f.items.length > 0)]}
          onChange={(event) => {
            const { value } = event.currentTarget;
            if (value !== '')
              send(buildActions.chose({ field: 'choice.kit', value: { kitId: value, assistLimitMs: null } }));
          }}
        />
        <p className="quiet">
          <Link to={`/build/${buildId}/donor`}>Kind of vehicle, brakes and gears</Link> are on the Donor stage.
        </p>
      </div>
    </section>
  );
}

/** Searches that ended, and repairs decided on. */
function Before() {
  const { proving, bench } = useBuild();
  const send = useSend();
  const ended = proving.searches.filter((s) => s.ended !== null);
  if (ended.length + proving.repairs.length === 0) return <p className="quiet">Nothing was looked for yet.</p>;
  return (
    <section className="card" aria-label="Found before">
      <ul className="found-rows">
        {ended.map((s) => {
          const repair = proving.repairs.find((r) => r.search === s.id);
          return (
            <li key={s.id}>
              <strong>{symptoms.find((x) => x.id === s.symptom)?.words ?? s.symptom}</strong>, {s.at.replace('T', ' ')}
              {s.by ? `, ${s.by}` : ''}: {s.answers.filter((a) => a.outcome !== null).length} tests,{' '}
              {s.ended?.cured === true ? 'cured' : s.ended?.cured === false ? 'not cured' : 'given up'}
              {repair ? `: ${repair.words.toLowerCase()}` : ''}{' '}
              <button
                type="button"
                className="link-button"
                onClick={() =>
                  send(buildActions.searchKept({ field: `proving.searches.${s.id}`, value: { ...s, ended: null } }))
                }
              >
                Go on with it
              </button>
            </li>
          );
        })}
        {proving.repairs.map((r) => (
          <li key={r.id}>
            Repair: <strong>{r.words}</strong>,{' '}
            {bench.done[`repair:${r.id}`] ? 'done' : 'to do, among the steps of Build'}{' '}
            <button
              type="button"
              className="link-button"
              onClick={() => send(buildActions.repairForgotten({ field: 'proving.repairs', value: r.id }))}
            >
              Take it back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
