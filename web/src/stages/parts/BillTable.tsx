import { Button, NativeSelect, TextInput } from '@mantine/core';
import {
  lineSourceWords,
  lineSources,
  lineStateWords,
  lineStates,
  putLine,
  remindersOf,
  type BillLine,
  type BillSheet,
  type LineSource,
  type LineState,
} from '@sprocket/core';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { store, useBuild, useSend } from '../../store/store.ts';
import { csvOfRecords } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { useMoney } from '../../ui/money.ts';
import { today } from '../../ui/today.ts';
import { calendarOf } from '../../ui/calendar.ts';
import { MarkSign } from './BillBoard.tsx';
import { useSameLines } from './useSameLines.ts';
import { groupings, groupsOf, markOf, nextState, type Grouping } from './lines.ts';
import { whoWants } from './whoWants.ts';

/** The bill as a table: grouped, searched, every line's state by keyboard. */
export function BillTable({ bill: fresh }: { bill: BillSheet }) {
  const bill = useSameLines(fresh);
  const build = useBuild();
  const send = useSend();
  const money = useMoney();
  const [by, setBy] = useState<Grouping>('wave');
  const [search, setSearch] = useState('');
  const words = useDeferredValue(search.trim().toLowerCase());
  const { suppliers } = build.bill;
  const { repairs } = build.proving;
  const names = useMemo(() => new Map(suppliers.map((s) => [s.id, s.name])), [suppliers]);
  const groups = useMemo(
    () =>
      groupsOf(bill, by, names)
        .map((g) => ({
          ...g,
          lines: g.lines.filter(
            (l) =>
              words === '' ||
              `${l.name} ${l.place ?? ''} ${whoWants(l, repairs)} ${l.state}`.toLowerCase().includes(words),
          ),
        }))
        .filter((g) => g.lines.length > 0),
    [bill, by, names, words, repairs],
  );
  const edit = useCallback(
    (line: BillLine, change: Partial<BillLine['choice']>): void => {
      send(
        buildActions.lineEdited({
          field: `bill.${line.key}.${Object.keys(change).join()}`,
          value: { key: line.key, change: { name: line.name, ...change } },
        }),
      );
    },
    [send],
  );
  const put = useCallback(
    (line: BillLine, state: LineState, reason?: string): void => {
      const now = store.getState().build.present.build;
      if (now) edit(line, { ...putLine(line, now.bill, state, today()), ...(reason ? { reason } : {}) });
    },
    [edit],
  );
  const reminders = remindersOf(bill.lines);
  const save = (): void => {
    const rows = bill.lines.map((l) => ({
      part: l.part,
      name: l.name,
      place: l.place ?? '',
      count: l.count,
      price: l.price ?? '',
      sum: l.sum,
      currency: build.bill.currency,
      state: lineStateWords[l.state],
      from: lineSourceWords[l.from],
      supplier: names.get(l.choice.supplier ?? '') ?? l.choice.supplier ?? '',
      'ordered on': l.choice.orderedOn ?? '',
      'promised on': l.choice.promisedOn ?? '',
      'wanted by': whoWants(l, repairs),
      held: l.held.map((h) => h.title).join('; '),
    }));
    downloadText(
      `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-bill.csv`,
      csvOfRecords(rows),
      'text/csv',
    );
  };
  return (
    <section aria-labelledby="bill">
      <div className="section-head">
        <h2 id="bill">The bill</h2>
        <span className="quiet">{bill.lines.length} lines, drawn up from the plan</span>
      </div>
      <div className="table-tools">
        <TextInput
          size="xs"
          aria-label="Search the bill"
          placeholder="a part, a place, who wants it"
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <NativeSelect
          size="xs"
          aria-label="Group the bill"
          value={by}
          data={Object.entries(groupings).map(([value, label]) => ({ value, label }))}
          onChange={(event) => setBy(event.currentTarget.value as Grouping)}
        />
        <Button size="compact-sm" variant="default" onClick={save}>
          Save as CSV
        </Button>
        {reminders.length > 0 ? (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() =>
              void calendarOf(build, reminders).then((text) => downloadText('parts.ics', text, 'text/calendar'))
            }
          >
            Days for the calendar
          </Button>
        ) : null}
      </div>
      {groups.map((group) => (
        <section key={group.id} className="bill-group" aria-labelledby={`group-${group.id}`}>
          <div className="section-head">
            <h3 id={`group-${group.id}`}>{group.title}</h3>
            <span className="quiet">{group.says}</span>
            <span className="num bill-sum">{money(group.lines.reduce((sum, l) => sum + l.sum, 0))}</span>
          </div>
          <div className="table-scroll" tabIndex={0} role="region" aria-label={`${group.title}, scrolls sideways`}>
            <table className="bill">
              <thead className={group === groups[0] ? '' : 'sr'}>
                <tr>
                  <th scope="col">Part</th>
                  <th scope="col">Where</th>
                  <th scope="col" className="num">
                    Each
                  </th>
                  <th scope="col" className="num">
                    Comes to
                  </th>
                  <th scope="col">From</th>
                  <th scope="col">State</th>
                </tr>
              </thead>
              <tbody>
                {group.lines.map((line) => (
                  <LineRow
                    key={line.key}
                    line={line}
                    wants={whoWants(line, repairs)}
                    supplier={names.get(line.choice.supplier ?? '')}
                    money={money}
                    onEdit={edit}
                    onState={put}
                  />
                ))}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      {groups.length === 0 ? (
        <p className="card">
          {bill.lines.length === 0
            ? 'Choose a kit and a battery: the bill draws itself up from the plan.'
            : 'No line has that in it.'}
        </p>
      ) : null}
    </section>
  );
}

/** A row is drawn anew only when its own line is another: it looks nothing up that changes with every edit. */
const LineRow = memo(function LineRow({
  line,
  wants,
  supplier,
  money,
  onEdit,
  onState,
}: {
  line: BillLine;
  /** Who wants it, in words. */
  wants: string;
  supplier: string | undefined;
  money: (sum: number) => string;
  onEdit: (line: BillLine, change: Partial<BillLine['choice']>) => void;
  onState: (line: BillLine, state: LineState, reason?: string) => void;
}) {
  const [reason, setReason] = useState('');
  const mark = markOf(line);
  const next = nextState(line.state);
  const held = line.held.length > 0;
  return (
    <tr id={`line-${line.key}`} className={`bill-line mark-row-${mark}`}>
      <th scope="row">
        <div className="bill-name">
          <MarkSign mark={mark} />
          <span>
            {line.count > 1 ? `${line.count} × ` : ''}
            {line.name}
            <span className="quiet bill-why">{wants}</span>
            {held ? (
              <span className="bill-held">
                <strong>Hold:</strong> {line.held.map((h) => h.title).join('; ')}
                <span className="order-row">
                  <TextInput
                    size="xs"
                    aria-label={`Reason for ordering ${line.name} all the same`}
                    placeholder="Ordered all the same, because…"
                    value={reason}
                    maxLength={1000}
                    onChange={(event) => setReason(event.currentTarget.value)}
                  />
                  <Button
                    size="compact-xs"
                    variant="default"
                    disabled={reason.trim().length < 8}
                    onClick={() => onState(line, 'ordered', reason.trim())}
                  >
                    Order with this reason
                  </Button>
                </span>
              </span>
            ) : null}
            {line.choice.reason ? (
              <span className="quiet bill-why">against what was unmeasured: {line.choice.reason}</span>
            ) : null}
          </span>
        </div>
      </th>
      <td>{line.place ?? '–'}</td>
      <td className="num">{line.price === null ? 'ask' : money(line.price)}</td>
      <td className="num">{line.price === null ? '–' : money(line.sum)}</td>
      <td>
        <select
          className="plain-select"
          aria-label={`Where ${line.name} comes from`}
          value={line.from}
          onChange={(event) => onEdit(line, { from: event.currentTarget.value as LineSource })}
        >
          {lineSources.map((value) => (
            <option key={value} value={value}>
              {value === 'order' && supplier ? supplier : lineSourceWords[value]}
            </option>
          ))}
        </select>
      </td>
      <td>
        <div className="bill-state">
          <select
            className="plain-select"
            aria-label={`State of ${line.name}`}
            value={line.state}
            onChange={(event) => onState(line, event.currentTarget.value as LineState)}
          >
            {lineStates.map((value) => (
              <option key={value} value={value} disabled={held && value !== 'wanted'}>
                {lineStateWords[value]}
              </option>
            ))}
          </select>
          {next && !held ? (
            <Button
              size="compact-xs"
              variant="default"
              aria-label={`${line.name}: ${lineStateWords[next]}`}
              onClick={() => onState(line, next)}
            >
              {lineStateWords[next]}
            </Button>
          ) : null}
        </div>
      </td>
    </tr>
  );
});
