import { Button } from '@mantine/core';
import {
  decimals,
  allowedNow,
  causesNow,
  answerWords,
  faultFacts,
  faultOf,
  faultTestOf,
  logEntrySchema,
  faultWords,
  lentThings,
  partById,
  rankedTests,
  repairOf,
  repairTaken,
  riskWords,
  ruledOut,
  searchNow,
  searchOf,
  symptoms,
  wouldBe,
  type FaultSearch,
  type FaultTool,
} from '@sprocket/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext, useShelf } from '../../sheet/PlanProvider.tsx';
import type { Proof } from '../../sheet/useProof.ts';
import { Show, Words } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { Causes } from './Causes.tsx';
import { Question } from './Question.tsx';
import { askedTools, useTools } from './useTools.ts';
import { weightWords } from './words.ts';

/** Faults of the donor’s own parts teach nothing of a kit. */
const ofDonor: ReadonlySet<string> = new Set(['wheel', 'brakes', 'drivetrain']);

/** A search going on: one question at a time, causes that shrink, answers that can be taken back, and the repair. */
export function Looking({ search: kept, proof }: { search: FaultSearch; proof: Proof }) {
  const send = useSend();
  const { tools, turn } = useTools();
  const [instead, setInstead] = useState<string | null>(null);
  const context = usePlanContext();
  // Without a kit, what the vehicle is decides; of the drive every kind is asked about.
  const facts = proof.sheet?.facts ?? faultFacts(context);
  const search = searchOf(kept, facts, tools, proof.sheet?.most ?? 'ride', proof.likelier);
  const found = searchNow(search);
  const symptom = symptoms.find((s) => s.id === search.symptom);
  const keep = (more: Partial<FaultSearch>): void => {
    const value = { ...kept, ...more };
    // Each answer is an edit of its own: undo goes back one, not all of them.
    const field = `proving.searches.${kept.id}.${value.answers.map((a) => a.test).join()}`;
    send(buildActions.searchKept({ field, value }));
  };
  const most = allowedNow(search);
  // With nothing left that can be asked with these tools, what leads is still told.
  const repair = found.repair ?? (found.next === null ? found.leading.id : null);
  const ranked = rankedTests(search, found.causes);
  const asked = ranked.find((t) => t.test === instead) ?? ranked[0];
  const further = ranked.filter((t) => t !== asked).slice(0, 4);
  return (
    <div className="looking">
      <div className="looking-now">
        {symptom?.caution ? (
          <div className="fault-care" role="note">
            <strong>Take care. </strong>
            {symptom.caution}
          </div>
        ) : null}
        {most !== 'ride' ? <p className="quiet">Asked {riskWords[most]} at most, as it stands.</p> : null}
        {asked && found.repair === null ? (
          <Question
            key={asked.test}
            test={asked.test}
            bits={asked.bits}
            best={asked === ranked[0]}
            would={wouldBe(search, asked.test)}
            onAnswer={(outcome) => {
              keep({ answers: [...kept.answers, { test: asked.test, outcome }] });
              setInstead(null);
            }}
          />
        ) : repair ? (
          <Cure
            kept={kept}
            repairId={repair}
            sure={found.repair !== null}
            p={found.leading.p}
            cause={found.causes[0]?.id ?? ''}
            proof={proof}
          />
        ) : null}
        {found.repair === null && further.length > 0 ? (
          <details className="card">
            <summary>Ask another instead</summary>
            <ul className="bare-list">
              {further.map((t) => (
                <li key={t.test}>
                  <button type="button" className="link-button" onClick={() => setInstead(t.test)}>
                    <Words>{faultTestOf(t.test)?.ask ?? ''}</Words>
                  </button>{' '}
                  <span className="quiet">
                    {t.minutes} min, tells {decimals(t.bits, 1)} bits
                  </span>
                </li>
              ))}
            </ul>
          </details>
        ) : null}
        <fieldset className="at-hand">
          <legend>At hand</legend>
          {askedTools.map((tool) => (
            <ToolChip key={tool} tool={tool} on={tools.has(tool)} onTurn={() => turn(tool)} />
          ))}
        </fieldset>
      </div>
      <div className="looking-side card">
        <Causes causes={found.causes} search={search} because={proof.likelier.because} />
        <Answers kept={kept} search={search} onKeep={keep} />
        <p>
          <button
            type="button"
            className="link-button"
            onClick={() => keep({ ended: { at: thisMinute(), fault: null, repair: null, cured: null } })}
          >
            Give up for now
          </button>{' '}
          <button
            type="button"
            className="link-button"
            onClick={() => send(buildActions.searchForgotten({ field: 'proving.searches', value: kept.id }))}
          >
            Forget this search
          </button>
        </p>
      </div>
    </div>
  );
}

function ToolChip({ tool, on, onTurn }: { tool: FaultTool; on: boolean; onTurn: () => void }) {
  const shelf = useShelf();
  const lent: Readonly<Record<string, string>> = lentThings;
  return (
    <button type="button" className="tool-chip" aria-pressed={on} onClick={onTurn}>
      {lent[tool] ?? partById(shelf, tool)?.name ?? tool}
    </button>
  );
}

/** What was answered, what each answer ruled out, and the plate that takes it back. */
function Answers({
  kept,
  search,
  onKeep,
}: {
  kept: FaultSearch;
  search: ReturnType<typeof searchOf>;
  onKeep: (more: Partial<FaultSearch>) => void;
}) {
  if (kept.answers.length === 0) return null;
  return (
    <section aria-labelledby="answers-title">
      <h3 id="answers-title">Asked so far</h3>
      <ol className="answer-rows">
        {kept.answers.map((a, i) => {
          const test = faultTestOf(a.test);
          const before = causesNow({ ...search, answers: kept.answers.slice(0, i) });
          const then = causesNow({ ...search, answers: kept.answers.slice(0, i + 1) });
          const out = a.outcome === null ? [] : ruledOut(before, then);
          return (
            <li key={a.test}>
              <span>
                <Words>{test?.ask ?? ''}</Words>
              </span>{' '}
              <strong>{a.outcome === null ? 'skipped' : answerWords(a.test, a.outcome)}</strong>
              {out.length > 0 ? (
                <span className="quiet"> ruled out: {out.map((id) => faultWords(id).toLowerCase()).join('; ')}</span>
              ) : null}{' '}
              <button
                type="button"
                className="link-button"
                onClick={() => onKeep({ answers: kept.answers.filter((_, k) => k !== i) })}
              >
                Take back<span className="sr"> the answer to {test?.ask}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** The repair that covers enough: how, with what, and whether it cured it. */
function Cure({
  kept,
  repairId,
  sure,
  p,
  cause,
  proof,
}: {
  kept: FaultSearch;
  repairId: string;
  sure: boolean;
  p: number;
  cause: string;
  proof: Proof;
}) {
  const build = useBuild();
  const send = useSend();
  const context = usePlanContext();
  const shelf = useShelf();
  const { buildId = '' } = useParams();
  const repair = repairOf(repairId);
  if (!repair) return null;
  const taken = build.proving.repairs.find((r) => r.search === kept.id && r.repair === repairId);
  const draft = taken ?? repairTaken(context, repairId, crypto.randomUUID(), thisMinute(), kept.id);
  const parts = (draft?.takes ?? []).map((t) => partById(shelf, t.part)).filter((part) => part !== undefined);
  const decide = (): void => {
    if (draft && !taken) send(buildActions.repairKept({ field: 'proving.repairs', value: draft }));
  };
  const end = (cured: boolean): void => {
    send(
      buildActions.searchKept({
        field: `proving.searches.${kept.id}`,
        value: { ...kept, ended: { at: thisMinute(), fault: cause, repair: repairId, cured } },
      }),
    );
    if (!cured) return;
    // What was found and cured stands in the logbook, and teaches where its part is chosen next.
    const area = faultOf(cause)?.area;
    const { kitId, packId } = build.choice;
    const part =
      area === undefined || ofDonor.has(area) ? null : area === 'pack' || area === 'charger' ? packId : kitId;
    const entry = logEntrySchema.parse({
      kind: 'fault',
      id: `search-${kept.id}`.slice(0, 80),
      at: thisMinute(),
      by: build.built.builder,
      what: symptoms.find((s) => s.id === kept.symptom)?.words ?? kept.symptom,
      place: draft?.place ?? repair.place,
      part,
      fault: faultOf(cause) ? cause : null,
      cause: faultWords(cause),
      cure: repair.words,
      search: kept.id,
    });
    send(buildActions.entriesKept({ field: `log.entries.${entry.id}`, value: [entry] }));
  };
  const again = proof.sheet?.tests.find((t) => t.id === kept.from);
  return (
    <article className="card cure" aria-labelledby="cure-title">
      <p className="quiet">
        {sure ? `One repair covers ${weightWords(p)}` : `Nothing more can be asked; this leads with ${weightWords(p)}`}:{' '}
        {faultWords(cause).toLowerCase()}
      </p>
      <h2 id="cure-title">{repair.words}</h2>
      <p>
        <Words>{repair.how}</Words>
      </p>
      {repair.caution ? (
        <div className="fault-care" role="note">
          <strong>Take care. </strong>
          {repair.caution} Local rules and qualified people have the last word.
        </div>
      ) : null}
      <p className="quiet">
        {repair.minutes} min practised, at the {draft?.place ?? repair.place}
        {parts.length > 0 ? '; takes ' : '; takes nothing new'}
        {parts.map((part, i) => (
          <span key={part.id}>
            {i > 0 ? ', ' : ''}
            {part.name} <Show value={{ si: part.price, dimension: 'money', digits: 0 }} />
          </span>
        ))}
        {repair.parts.includes('kit')
          ? '; the kit’s part by its maker'
          : repair.parts.includes('pack')
            ? '; the battery by its maker'
            : ''}
      </p>
      <div className="cure-do">
        {taken ? (
          <span>
            In the <Link to={`/build/${buildId}/parts`}>bill</Link> and among the{' '}
            <Link to={`/build/${buildId}/build#step-${encodeURIComponent(`repair:${taken.id}`)}`}>steps</Link>.
          </span>
        ) : (
          <Button onClick={decide}>Do this: into bill and steps</Button>
        )}
        <Button variant="default" onClick={() => end(true)}>
          It cured it
        </Button>
        <Button variant="default" onClick={() => end(false)}>
          It did not
        </Button>
      </div>
      {again ? (
        <p>
          Then try again:{' '}
          <Link to={`/build/${buildId}/proving#test-${encodeURIComponent(again.id)}`}>{again.title.toLowerCase()}</Link>
          .
        </p>
      ) : null}
    </article>
  );
}
