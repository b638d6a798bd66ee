import { Drawer } from '@mantine/core';
import { showAmount, type BuildPlan, type Figure, type Finding } from '@sprocket/core';
import { Big, Say, Show } from '../ui/Show.tsx';
import { FindingSum } from './FindingSum.tsx';
import { useWorkerAnswer } from '../workers/core.ts';
import { usePlan } from './PlanProvider.tsx';
import { useApp, useBuild, useSend, useUnits } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';

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
      {figure ? (
        <FigureSum key={figure.id} figure={figure} />
      ) : finding ? (
        <FindingSum key={`${finding.rule} ${finding.subject ?? ''}`} finding={finding} />
      ) : null}
    </Drawer>
  );
}

/** The same rule's finding on the same part in today's plan, else as it was opened. */
function currentFinding(plan: BuildPlan, opened: Finding): Finding {
  const same = (f: Finding): boolean => f.rule === opened.rule && f.subject === opened.subject;
  return (
    plan.findings.find(same) ??
    plan.kits.find((k) => k.kit.id === opened.subject)?.findings.find(same) ??
    plan.packs.find((p) => p.pack.id === opened.subject)?.findings.find(same) ??
    opened
  );
}

function FigureSum({ figure }: { figure: Figure }) {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const units = useUnits();
  const changes = useWorkerAnswer((worker) => worker.whatWouldChange(build, own, figure.id), [build, own, figure.id]);
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
      {changes === null ? (
        <p className="quiet" aria-live="polite">
          Trying what would change it…
        </p>
      ) : changes.length === 0 ? null : (
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
