import { NativeSelect, SegmentedControl, TextInput } from '@mantine/core';
import { daysBetween, putLine, type BillLine, type BillSheet, type KitContent, type LineState } from '@sprocket/core';
import { Link } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { dayTyped, today } from '../../ui/today.ts';

const choices: { value: string; label: string }[] = [
  { value: 'ordered', label: 'not here' },
  { value: 'arrived', label: 'here' },
  { value: 'checked', label: 'checked' },
  { value: 'faulty', label: 'fault' },
  { value: 'returned', label: 'back' },
];
const shown: readonly LineState[] = ['ordered', 'promised', 'arrived', 'checked', 'faulty', 'returned'];

/** What has come, line by line, with the day until which it may go back: for a phone at the bench. */
export function Unpacking({ bill }: { bill: BillSheet }) {
  const lines = bill.lines.filter((l) => shown.includes(l.state));
  return (
    <section aria-labelledby="unpacking">
      <div className="section-head">
        <h2 id="unpacking">Unpacking</h2>
        <span className="quiet">open each box before its day to send back is over; measure what must fit</span>
      </div>
      {lines.length === 0 ? <p className="card">Nothing is ordered yet.</p> : null}
      <ul className="plain-list unpack">
        {lines.map((line) => (
          <UnpackLine key={line.key} line={line} />
        ))}
      </ul>
    </section>
  );
}

function UnpackLine({ line }: { line: BillLine }) {
  const send = useSend();
  const { bill } = useBuild();
  const { shelf } = usePlanContext();
  const { choice } = line;
  const contents = shelf.kit.find((k) => k.id === line.part)?.contents ?? [];
  const edit = (change: Partial<BillLine['choice']>): void => {
    send(
      buildActions.lineEdited({
        field: `bill.${line.key}.${Object.keys(change).join()}`,
        value: { key: line.key, change: { name: line.name, ...change } },
      }),
    );
  };
  const left = choice.returnBy === null ? null : daysBetween(today(), choice.returnBy);
  const tone = line.state === 'faulty' ? 'stop' : line.state === 'checked' ? 'fits' : 'measure';
  return (
    <li className={`card edge-${tone}`}>
      <h3>
        {line.count > 1 ? `${line.count} × ` : ''}
        {line.name}
      </h3>
      <SegmentedControl
        fullWidth
        size="xs"
        aria-label={`${line.name} on unpacking`}
        value={line.state === 'promised' ? 'ordered' : line.state}
        data={choices}
        onChange={(value) => edit(putLine(line, bill, value as LineState, today()))}
      />
      {contents.length > 0 ? (
        <BoxList contents={contents} found={choice.unboxed} onFound={(unboxed) => edit({ unboxed })} />
      ) : null}
      {line.kind === 'kit' && line.why !== 'notWanted' ? (
        <p>
          <Link to="../drive#as-it-came" relative="path">
            Measure what must fit as it came
          </Link>
          : what is measured counts above its data sheet, and the plan is judged again with it.
        </p>
      ) : null}
      <div className="fields">
        <TextInput
          type="date"
          label="May go back until"
          value={choice.returnBy ?? ''}
          onChange={(event) => {
            const returnBy = dayTyped(event.currentTarget.value);
            if (returnBy !== undefined) edit({ returnBy });
          }}
          description={
            left === null ? undefined : left < 0 ? 'over' : left === 0 ? 'today is the last day' : `${left} days left`
          }
        />
        <TextInput
          label="What is wrong, missing or longer"
          value={choice.note}
          maxLength={500}
          onChange={(event) => edit({ note: event.currentTarget.value })}
        />
      </div>
    </li>
  );
}

const foundWords: Record<string, string> = {
  '': 'not looked for',
  present: 'there',
  missing: 'missing',
  faulty: 'at fault',
};

/** What lies in a kit's box, ticked off thing by thing. */
function BoxList({
  contents,
  found,
  onFound,
}: {
  contents: readonly KitContent[];
  found: BillLine['choice']['unboxed'];
  onFound: (found: BillLine['choice']['unboxed']) => void;
}) {
  const wrong = contents.filter((c) => found[c.id] === 'missing' || found[c.id] === 'faulty');
  const looked = contents.filter((c) => found[c.id] !== undefined).length;
  return (
    <details className="box-list" open={looked > 0}>
      <summary>
        In its box: {looked} of {contents.length} looked for
        {wrong.length > 0 ? (
          <strong className="tone-text-rework">, {wrong.length} missing or at fault: write to the seller today</strong>
        ) : null}
      </summary>
      <ul className="plain-list">
        {contents.map((c) => (
          <li key={c.id}>
            <span>
              {c.count > 1 ? `${c.count} × ` : ''}
              {c.what}
            </span>
            <NativeSelect
              size="xs"
              aria-label={`${c.what} in the box`}
              value={found[c.id] ?? ''}
              data={Object.entries(foundWords).map(([value, label]) => ({ value, label }))}
              onChange={(event) => {
                const { value } = event.currentTarget;
                const rest = Object.fromEntries(Object.entries(found).filter(([id]) => id !== c.id));
                onFound(value === '' ? rest : { ...rest, [c.id]: value as 'present' });
              }}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}
