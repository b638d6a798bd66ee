import { amount, type StepSheet } from '@sprocket/core';
import { Say, Show } from '../../ui/Show.tsx';

/** How tight, with the spread and where it comes from. */
export function TightTable({ sheet }: { sheet: StepSheet | undefined }) {
  if (!sheet || sheet.tightness.length === 0) return null;
  return (
    <ul className="bare-list tight-list" aria-label="How tight">
      {sheet.tightness.map((t) => (
        <li key={t.id}>
          <span className="tight-figure num">
            <Show value={amount(t.usual, 'torque', t.usual < 3 ? 1 : 0)} />
          </span>
          <span>
            {t.what}, <Show value={amount(t.least, 'torque', t.least < 3 ? 1 : 0)} /> to{' '}
            <Show value={amount(t.most, 'torque', t.most < 3 ? 1 : 0)} />
            <span className="step-why">{t.source}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** How it is known to be right, which way threads turn, what helps, what is held. */
export function Signs({ sheet }: { sheet: StepSheet | undefined }) {
  if (!sheet) return null;
  const rows: [string, string | undefined][] = [
    ['Right when', sheet.right],
    ['Threads', sheet.thread],
    ['Stubborn', sheet.stubborn],
    [sheet.hold?.by === 'another' ? 'Another looks' : 'Hold', sheet.hold?.what],
  ];
  if (rows.every(([, words]) => words === undefined)) return null;
  return (
    <dl className="step-needs">
      {rows.map(([label, words]) =>
        words ? (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{words}</dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}

/** What a step goes through, thing by thing: each lead, each setting, what lies in the box. */
export function StepThings({ sheet }: { sheet: StepSheet | undefined }) {
  if (!sheet || sheet.list.length === 0) return null;
  return (
    <ul className="step-things">
      {sheet.list.map((words, i) => (
        <li key={i}>
          <Say words={words} />
        </li>
      ))}
    </ul>
  );
}
