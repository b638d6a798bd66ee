import { Drawer } from '@mantine/core';
import {
  provenanceWords,
  showAmount,
  whatWouldChange,
  type BuildPlan,
  type Evidence,
  type Figure,
  type Finding,
} from '@sprocket/core';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Big, Say, Show } from '../ui/Show.tsx';
import { VerdictMark } from '../ui/Verdict.tsx';
import { usePlan, useShelf } from './PlanProvider.tsx';
import { useApp, useBuild, useSend, useUnits } from './store.ts';
import { uiActions } from './uiSlice.ts';

/** The sum behind a figure or a verdict, with this build's numbers. */
export function Explain() {
  const explained = useApp((state) => state.ui.explained);
  const send = useSend();
  const plan = usePlan();
  const figure = explained?.kind === 'figure' ? plan.figures.find((f) => f.id === explained.id) : undefined;
  const finding = explained?.kind === 'finding' ? currentFinding(plan, explained.finding) : undefined;
  return (
    <Drawer
      opened={explained !== null}
      onClose={() => send(uiActions.explained(null))}
      position="right"
      size={430}
      title={figure?.label ?? finding?.title ?? ''}
      classNames={{ title: 'explain-title', body: 'explain' }}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      {figure ? <FigureSum figure={figure} /> : finding ? <FindingSum finding={finding} /> : null}
    </Drawer>
  );
}

/** The same rule's finding in today's plan where it is one of the chosen parts', else as it was opened. */
function currentFinding(plan: BuildPlan, opened: Finding): Finding {
  const all = plan.findings.some((f) => f === opened) ? plan.findings : [];
  return all.find((f) => f.rule === opened.rule) ?? opened;
}

function FigureSum({ figure }: { figure: Figure }) {
  const build = useBuild();
  const shelf = useShelf();
  const units = useUnits();
  const changes = useMemo(() => whatWouldChange(build, shelf, figure.id), [build, shelf, figure.id]);
  if (!figure.value)
    return (
      <p>
        Nothing to reckon yet: <Say words={figure.note} />.
      </p>
    );
  return (
    <>
      <p className="explain-figure">
        <Big value={figure.value} />
      </p>
      {figure.limit ? (
        <p>
          <span className="quiet">What holds it: </span>
          <strong>{figure.limit}</strong>
        </p>
      ) : null}
      <p>{figure.formula}</p>
      <table className="sum">
        <caption className="sr">The sum, with this build’s numbers</caption>
        <tbody>
          {figure.sum.map((line) => (
            <tr key={line.label}>
              <th scope="row">
                {line.label}
                <span className="from">{line.from}</span>
              </th>
              <td className="num">
                <Show value={line.value} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {changes.length === 0 ? null : (
        <>
          <h3>What would change it</h3>
          <table className="sum">
            <tbody>
              {changes.map((change) => {
                const shown = showAmount(change.delta, units);
                return (
                  <tr key={change.text}>
                    <th scope="row">{change.text}</th>
                    <td className="num">
                      <Show value={change.value} />
                    </td>
                    <td className={`num ${change.delta.si < 0 ? 'delta-down' : 'delta-up'}`}>
                      {change.delta.si > 0 ? '+' : ''}
                      {shown.number}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </>
      )}
    </>
  );
}

function FindingSum({ finding }: { finding: Finding }) {
  const navigate = useNavigate();
  const { buildId = '' } = useParams();
  const send = useSend();
  return (
    <>
      <p className="explain-verdict">
        <VerdictMark verdict={finding.verdict} />
      </p>
      <p>
        <Say words={finding.why} />
      </p>
      <table className="sum">
        <caption className="sr">What the verdict rests on</caption>
        <tbody>
          {finding.evidence.map((line) => (
            <tr key={line.label}>
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
          <h3>{finding.verdict === 'measure' ? 'What to measure' : 'What would mend it'}</h3>
          <ul className="remedies">
            {finding.remedies.map((remedy) => (
              <li key={JSON.stringify(remedy.text)}>
                <Say words={remedy.text} />
                {remedy.cost !== undefined && remedy.cost > 0 ? (
                  <span className="quiet"> About {remedy.cost}.</span>
                ) : null}
                {remedy.item ? (
                  <>
                    {' '}
                    <button
                      type="button"
                      className="link-button"
                      onClick={() => {
                        const { item } = remedy;
                        if (item === undefined) return;
                        send(uiActions.explained(null));
                        send(uiActions.itemLit(item));
                        void navigate(`/build/${buildId}/donor#${item}`);
                      }}
                    >
                      Go to the field
                    </button>
                  </>
                ) : null}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="quiet source">{finding.source}</p>
    </>
  );
}

function fromWords(line: Evidence): string {
  if (line.provenance === 'part data') return 'part data';
  if (line.provenance === 'rule') return 'reckoned';
  return provenanceWords[line.provenance];
}
