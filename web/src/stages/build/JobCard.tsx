import { Button, SegmentedControl } from '@mantine/core';
import { amount, partById, showAmount, type BuildStep, type StepSheet } from '@sprocket/core';
import { useState } from 'react';
import { useBuild, useUnits } from '../../store/store.ts';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { longWords } from '../../ui/moments.ts';
import { Say } from '../../ui/Show.tsx';
import { today } from '../../ui/today.ts';
import { StepFigure } from './figures/StepFigure.tsx';
import type { BenchNow } from './useBench.ts';
import { dayText } from '../../ui/manner.ts';

/** The steps on paper: boxes, tightness and signatures; one card tells an apprentice why and how, one is for practised hands. */
export function JobCard({ bench, sheets }: { bench: BenchNow; sheets: Readonly<Record<string, StepSheet>> }) {
  const build = useBuild();
  const plan = usePlan();
  const units = useUnits();
  const [forWhom, setForWhom] = useState<'apprentice' | 'practised'>('apprentice');
  const apprentice = forWhom === 'apprentice';
  const minutes = bench.steps.reduce((sum, s) => sum + (apprentice ? s.told : s.practised), 0);
  const tight = bench.steps.filter((s) => (sheets[s.id]?.tightness.length ?? 0) > 0);
  return (
    <section aria-labelledby="job-card">
      <div className="section-head no-print">
        <h2 id="job-card">Job card</h2>
        <SegmentedControl
          aria-label="For whom"
          value={forWhom}
          data={[
            { value: 'apprentice', label: 'Apprentice' },
            { value: 'practised', label: 'Practised' },
          ]}
          onChange={(value) => setForWhom(value as typeof forWhom)}
        />
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article className={`card job-card job-${forWhom}`}>
        <header>
          <h3>
            {build.name}
            {build.variant ? `, ${build.variant}` : ''}
          </h3>
          <p>
            {plan.chosen.kit?.name ?? 'no kit'}, {plan.chosen.pack?.name ?? 'no battery'} · {bench.steps.length} steps,{' '}
            {longWords(minutes)} {apprentice ? 'for a beginner' : 'in practised hands'} · {dayText(today())}
          </p>
          <p className="job-lines">
            <span>Begun</span>
            <span>By</span>
            <span>Finished</span>
            <span>Checked by</span>
          </p>
        </header>
        <table className="job">
          <thead>
            <tr>
              <th scope="col">
                <span className="sr">Done</span>
              </th>
              <th scope="col">Step</th>
              <th scope="col">Tight, {showAmount(amount(1, 'torque'), units).unit}</th>
              <th scope="col">As set</th>
              <th scope="col">Sign</th>
            </tr>
          </thead>
          <tbody>
            {bench.steps.map((step, i) => (
              <JobRow
                key={step.id}
                step={step}
                number={i + 1}
                sheet={sheets[step.id]}
                apprentice={apprentice}
                head={step.place !== bench.steps[i - 1]?.place}
              />
            ))}
          </tbody>
        </table>
        <p className="quiet">
          {tight.length} steps with a figure for the wrench: the part maker’s own counts first. ◎ looked at by oneself
          before going on, ◎◎ by somebody else, who signs beside.
        </p>
      </article>
    </section>
  );
}

function JobRow({
  step,
  number,
  sheet,
  apprentice,
  head,
}: {
  step: BuildStep;
  number: number;
  sheet: StepSheet | undefined;
  apprentice: boolean;
  head: boolean;
}) {
  const shelf = useShelf();
  const units = useUnits();
  const bare = (si: number): string => showAmount(amount(si, 'torque', si < 3 ? 1 : 0), units).number;
  const hold = sheet?.hold ? (sheet.hold.by === 'another' ? ' ◎◎' : ' ◎') : '';
  const why = step.after.filter((a) => a.why !== '').at(-1);
  return (
    <>
      {head ? (
        <tr className="job-place">
          <th colSpan={5} scope="colgroup">
            {step.place}
          </th>
        </tr>
      ) : null}
      <tr className={step.doneOn !== null ? 'job-done' : ''}>
        <td className="job-box">
          <span aria-label={step.doneOn !== null ? 'done' : 'to do'}>{step.doneOn !== null ? '☑' : '☐'}</span>
        </td>
        <td>
          <span className="num job-number">{number}</span> <Say words={step.title} />
          {hold}
          {apprentice ? (
            <div className="job-more">
              {sheet?.figure ? <StepFigure id={sheet.figure} /> : null}
              <div>
                {step.tools.length > 0 ? (
                  <p>Tools: {step.tools.map((id) => partById(shelf, id)?.name ?? id).join(', ')}.</p>
                ) : null}
                {sheet && sheet.list.length > 0 ? (
                  <ul className="step-things">
                    {sheet.list.map((words, i) => (
                      <li key={i}>
                        ☐ <Say words={words} />
                      </li>
                    ))}
                  </ul>
                ) : null}
                {sheet?.thread ? <p>Threads: {sheet.thread}</p> : null}
                {sheet?.right ? <p>Right when: {sheet.right}</p> : null}
                {sheet?.caution ? (
                  <p>
                    <strong>Take care:</strong> {sheet.caution.text} Ask {sheet.caution.ask}.
                  </p>
                ) : null}
                {sheet?.stubborn ? <p>Stubborn: {sheet.stubborn}</p> : null}
                {sheet?.shoot ? <p>Photograph: {sheet.shoot}.</p> : null}
                {why ? <p>In this order because {why.why}.</p> : null}
              </div>
            </div>
          ) : null}
        </td>
        <td className="num">
          {sheet?.tightness.map((t) => (
            <div key={t.id}>
              {bare(t.least)} to {bare(t.most)}
            </div>
          ))}
        </td>
        <td className="job-write">
          {sheet?.reads.map((r) => (
            <div key={r.id}>{r.what}: </div>
          ))}
        </td>
        <td className="job-write" />
      </tr>
    </>
  );
}
