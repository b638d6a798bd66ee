import { Button, TextInput } from '@mantine/core';
import {
  canBeTaken,
  provenanceWords,
  remedyFacts,
  schools,
  type Evidence,
  type Finding,
  type Remedy,
  type RemedyFacts,
} from '@sprocket/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useWorkerAnswer } from '../workers/core.ts';
import { Say, Show } from '../ui/Show.tsx';
import { VerdictMark } from './Verdict.tsx';
import { buildActions } from '../store/buildSlice.ts';
import { useShelf } from './PlanProvider.tsx';
import { useApp, useBuild, useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { today } from '../ui/today.ts';
import { dayText } from '../ui/manner.ts';

/** What a verdict rests on, what mends it, what would change it, and the way to set it aside with a reason. */
export function FindingSum({ finding }: { finding: Finding }) {
  const navigate = useNavigate();
  const { buildId = '' } = useParams();
  const send = useSend();
  const build = useBuild();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const { rule, subject, verdict } = finding;
  const change = useWorkerAnswer(
    (worker) => worker.verdictEdges(build, own, { rule, subject: subject ?? 'plan', verdict }),
    [build, own, rule, subject, verdict],
  );
  const goTo = (item: string): void => {
    send(uiActions.explained(null));
    void navigate(`/build/${buildId}/donor#${item}`);
  };
  return (
    <>
      <p className="explain-verdict">
        <VerdictMark verdict={finding.verdict} />
        {finding.override ? <span className="overridden-word"> overridden</span> : null}
        {finding.fixed ? (
          <span className="quiet"> with what was taken; without it: {finding.fixed.because}</span>
        ) : finding.mended ? (
          <span className="quiet"> with what the bill holds for it; without it: {finding.mended.because}</span>
        ) : null}
      </p>
      <p>
        <Say words={finding.why} />
      </p>
      <table className="sum">
        <caption className="sr">What the verdict rests on</caption>
        <tbody>
          {finding.evidence.map((line, i) => (
            <tr key={`${line.label}${i}`}>
              <th scope="row">
                {line.label}
                <span className="from">{fromWords(line)}</span>
              </th>
              <td className="num">
                <Show value={line.value} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {finding.remedies.length === 0 ? null : (
        <>
          <h3>
            {finding.fixed || finding.mended
              ? 'What mends it'
              : finding.verdict === 'measure'
                ? 'What to measure'
                : 'What would mend it'}
          </h3>
          <ul className="remedies">
            {finding.remedies.map((remedy, i) => (
              <li key={remedy.id}>
                <Say words={remedy.text} />
                <Facts facts={remedyFacts(remedy, shelf)} />
                {remedy.item ? (
                  <>
                    {' '}
                    <button type="button" className="link-button" onClick={() => remedy.item && goTo(remedy.item)}>
                      Go to the field
                    </button>
                  </>
                ) : null}
                {remedy.sets ? (
                  <ChooseIt remedy={remedy} />
                ) : canBeTaken({ verdict: (finding.fixed ?? finding.mended)?.was ?? verdict }, remedy) ? (
                  <TakeIt
                    finding={finding}
                    remedy={remedy}
                    usual={(verdict === 'rework' || finding.mended !== undefined) && i === 0}
                  />
                ) : null}
              </li>
            ))}
          </ul>
        </>
      )}
      {change === null ? (
        <p className="quiet" aria-live="polite">
          Trying what would change this…
        </p>
      ) : change.edges.length + change.otherKits.length === 0 ? null : (
        <>
          <h3>What would change this</h3>
          <ul className="edges">
            {change.edges.map((edge) => (
              <li key={JSON.stringify([edge.item, edge.text, edge.verdict])}>
                <VerdictMark verdict={edge.verdict} /> <Say words={edge.text} />
              </li>
            ))}
            {change.otherKits.length === 0 ? null : (
              <li>
                <VerdictMark verdict="fits" /> {change.otherKits.slice(0, 5).join(', ')}
                {change.otherKits.length > 5 ? ` and ${change.otherKits.length - 5} more kits` : ''}
              </li>
            )}
          </ul>
        </>
      )}
      {finding.school ? (
        <p>
          Converters differ on this: {schools[finding.school].title.toLowerCase()}.{' '}
          <Link to={`/build/${buildId}/schools#${finding.school}`} onClick={() => send(uiActions.explained(null))}>
            Both sides
          </Link>
        </p>
      ) : null}
      {finding.verdict === 'fits' ? null : <Opinion finding={finding} />}
      <p className="quiet source">{finding.source}</p>
    </>
  );
}

/** What a remedy takes, in a line. */
function Facts({ facts }: { facts: RemedyFacts }) {
  const words = [
    facts.price > 0 ? `about ${facts.price}` : '',
    facts.minutes > 0 ? `${facts.minutes} min` : '',
    facts.tools.length > 0 ? `with ${facts.tools.join(', ').toLowerCase()}` : '',
    facts.parts.length > 0 ? `to buy: ${facts.parts.join(', ').toLowerCase()}` : '',
  ].filter((w) => w !== '');
  return words.length === 0 ? null : <span className="quiet"> {words.join(' · ')}</span>;
}

/** Makes the change of choice that a remedy asks for: arms, limit, cogs, another kit. */
function ChooseIt({ remedy }: { remedy: Remedy }) {
  const send = useSend();
  const { sets } = remedy;
  if (!sets) return null;
  return (
    <>
      {' '}
      <button
        type="button"
        className="pill pill-small"
        onClick={() => send(buildActions.chose({ field: `choice.${Object.keys(sets).join('.')}`, value: sets }))}
      >
        choose this
      </button>
    </>
  );
}

/** Takes a remedy: the plan is judged with it, its parts weigh and cost, and the finding says that it fits with it. */
function TakeIt({ finding, remedy, usual }: { finding: Finding; remedy: Remedy; usual: boolean }) {
  const send = useSend();
  const { rule, subject = 'plan' } = finding;
  const fix = useBuild().fixes.find((f) => f.rule === rule && f.subject === subject);
  const taken = fix?.remedy === remedy.id;
  const counted = taken || (fix === undefined && usual);
  const field = `fix.${rule}.${subject}`;
  return (
    <>
      {' '}
      <button
        type="button"
        className="pill pill-small"
        aria-pressed={counted}
        onClick={() =>
          send(
            taken
              ? buildActions.remedyLeft({ field, value: { rule, subject } })
              : buildActions.remedyTaken({
                  field,
                  value: { rule, subject, remedy: remedy.id, on: today() },
                }),
          )
        }
      >
        {taken ? 'taken' : counted ? 'counted as usual' : 'take this one'}
      </button>
    </>
  );
}

/** What can be mended is mended; setting it aside is for who holds otherwise, and is asked for. */
function Opinion({ finding }: { finding: Finding }) {
  const mendable = finding.remedies.some((remedy) => remedy.sets !== undefined || canBeTaken(finding, remedy));
  if (!mendable || finding.override) return <OverrideForm finding={finding} />;
  return (
    <details className="opinion">
      <summary>You hold otherwise?</summary>
      <OverrideForm finding={finding} />
    </details>
  );
}

/** Sets a finding aside with a written reason, or takes it up again. It stays visible either way. */
function OverrideForm({ finding }: { finding: Finding }) {
  const send = useSend();
  const [reason, setReason] = useState('');
  const subject = finding.subject ?? 'plan';
  const field = `override.${finding.rule}.${subject}`;
  if (finding.override)
    return (
      <div className="override">
        <p>
          <strong>Overridden</strong> <span className="num">{dayText(finding.override.on)}</span>:{' '}
          {finding.override.reason}
        </p>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => send(buildActions.overrideClosed({ field, value: { rule: finding.rule, subject } }))}
        >
          Take it up again
        </Button>
      </div>
    );
  return (
    <div className="override">
      <TextInput
        label="Override with a reason"
        description="It no longer counts against the plan, but stays listed here and in what you export."
        size="sm"
        value={reason}
        maxLength={1000}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <Button
        size="compact-sm"
        variant="default"
        disabled={reason.trim().length < 8}
        onClick={() => {
          send(
            buildActions.overridden({
              field,
              value: { rule: finding.rule, subject, reason: reason.trim(), on: today() },
            }),
          );
          setReason('');
        }}
      >
        Override
      </Button>
    </div>
  );
}

function fromWords(line: Evidence): string {
  if (line.provenance === 'part data') return 'part data';
  if (line.provenance === 'rule') return 'reckoned';
  return provenanceWords[line.provenance];
}
