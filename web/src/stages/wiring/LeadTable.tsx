import { Button, TextInput } from '@mantine/core';
import {
  amount,
  leadVerdictWords,
  showAmount,
  stowWords,
  type RoutedLead,
  type UnitSystem,
  type Wiring,
} from '@sprocket/core';
import {
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { csvOf } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { leadMark } from '../../drawing/LeadLayer.tsx';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { Words, useWords } from '../../ui/Show.tsx';

interface Row {
  lead: RoutedLead;
  number: number;
  way: string;
  plug: string;
  what: string;
  needed: number;
  supplied: number;
  spare: number;
  verdict: string;
  fix: string;
}

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { basic: sortFn_basic, alphanumeric: sortFn_alphanumeric },
  filterFns: { includesString: filterFn_includesString },
});
const heads = {
  number: 'No.',
  what: 'Lead',
  way: 'Along',
  plug: 'Plug',
  needed: 'Needs',
  supplied: 'Has',
  spare: 'Over',
  verdict: 'So',
  fix: 'Then',
} as const;
const keys = Object.keys(heads) as (keyof typeof heads)[];
const helper = createColumnHelper<typeof features, Row>();
const columns = helper.columns([
  helper.accessor('number', { header: heads.number, sortFn: 'basic' }),
  helper.accessor('what', { header: heads.what, sortFn: 'alphanumeric' }),
  helper.accessor('way', { header: heads.way, sortFn: 'alphanumeric' }),
  helper.accessor('plug', { header: heads.plug, sortFn: 'alphanumeric' }),
  helper.accessor('needed', { header: heads.needed, sortFn: 'basic' }),
  helper.accessor('supplied', { header: heads.supplied, sortFn: 'basic' }),
  helper.accessor('spare', { header: heads.spare, sortFn: 'basic' }),
  helper.accessor('verdict', { header: heads.verdict, sortFn: 'alphanumeric' }),
  helper.accessor('fix', { header: heads.fix, sortFn: 'alphanumeric' }),
]);
const figures = new Set(['needed', 'supplied', 'spare']);

/** What is to be done about a lead, in a few words. */
function fixOf(lead: RoutedLead): string {
  if (lead.taken?.extension) return `with ${lead.taken.extension.name.toLowerCase()}`;
  if (lead.taken && lead.taken.spliceM > 0) return 'spliced';
  if (lead.fix)
    return lead.fix.extension
      ? `extension of ${Math.round(lead.fix.extension.lengthM * 1000)} mm`
      : lead.fix.splices
        ? 'splice'
        : 'have it made longer';
  if (lead.stow) return `stow ${stowWords[lead.stow.place]}`;
  return lead.verdict === 'measure' ? 'lay a string' : '';
}

const rowsOf = ({ leads }: Wiring, w: (text: string) => string): Row[] =>
  leads.map((lead, i) => ({
    lead,
    number: i + 1,
    what: lead.what,
    way: lead.along.join(', '),
    plug: lead.plug ? `${lead.plug.family}, ${lead.plug.poles}, ${lead.plug.colour}` : 'fixed',
    needed: lead.neededM,
    supplied: lead.suppliedM ?? -1,
    spare: lead.spareM ?? -99,
    verdict: leadVerdictWords[lead.verdict],
    fix: w(fixOf(lead)),
  }));

/** A length of the table in the reader's units; a dash where nobody knows it. */
function lengthText(row: Row, column: string, units: UnitSystem): string {
  const known = column === 'needed' || row.lead.suppliedM !== null;
  if (!known) return '–';
  const { number, unit } = showAmount(amount(row[column as 'needed'], 'size', units === 'metric' ? 0 : 1), units);
  return `${number} ${unit}`;
}

/** Every lead in a row: sorted by any head, filtered by any word, copied or saved as it stands. */
export function LeadTable({
  wiring,
  picked,
  onPick,
}: {
  wiring: Wiring;
  picked: string | null;
  onPick: (lead: string | null) => void;
}) {
  const units = useUnits();
  const { name, wiring: choice } = useBuild();
  const send = useSend();
  const off = Object.entries(choice.leads)
    .filter(([, l]) => l.leftOff)
    .map(([id]) => id);
  const w = useWords();
  const data = useMemo(() => rowsOf(wiring, w), [wiring, w]);
  const [sorting, setSorting] = useState<SortingState>([]);
  const [globalFilter, setGlobalFilter] = useState('');
  const [said, setSaid] = useState('');
  const table = useTable({
    features,
    columns,
    data,
    state: { sorting, globalFilter },
    onSortingChange: setSorting,
    onGlobalFilterChange: setGlobalFilter,
    globalFilterFn: 'includesString',
  });
  const rows = table.getRowModel().rows;
  const text = (row: Row, column: string): string =>
    figures.has(column) ? lengthText(row, column, units) : String(row[column as Exclude<keyof Row, 'lead'>]);
  const lines = (): string[][] => [
    keys.map((key) => heads[key]),
    ...rows.map(({ original }) => keys.map((key) => text(original, key))),
  ];
  return (
    <section aria-labelledby="lead-table" className="lead-table">
      <div className="section-head">
        <h2 id="lead-table">Every lead</h2>
        <div className="table-tools">
          <TextInput
            size="xs"
            aria-label="Show leads with these words"
            placeholder="short, seat stay, display…"
            value={globalFilter}
            onChange={(event) => setGlobalFilter(event.currentTarget.value)}
          />
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              navigator.clipboard
                .writeText(
                  lines()
                    .map((l) => l.join('\t'))
                    .join('\n'),
                )
                .then(() => setSaid('Copied'))
                .catch(() => setSaid('The browser does not let it be copied; save it instead'));
            }}
          >
            Copy
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => downloadText(`${name} leads.csv`, csvOf(lines()), 'text/csv')}
          >
            CSV
          </Button>
          <span className="quiet" role="status">
            {said}
          </span>
        </div>
      </div>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Leads, scrolls sideways">
        <table className="gears leads-of">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                {group.headers.map((header) => {
                  const sorted = header.column.getIsSorted();
                  return (
                    <th
                      key={header.id}
                      scope="col"
                      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    >
                      <button type="button" className="sort" onClick={header.column.getToggleSortingHandler()}>
                        <table.FlexRender header={header} />
                        <span aria-hidden="true">{sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}</span>
                      </button>
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody>
            {rows.map((row) => {
              const { lead, number } = row.original;
              const mark = leadMark(number - 1);
              return (
                <tr
                  key={row.id}
                  id={`lead-${lead.id}`}
                  className={`verdict-${lead.verdict}${picked === lead.id ? ' picked' : ''}`}
                >
                  {row.getAllCells().map((cell) => {
                    const id = cell.column.id;
                    if (id === 'number')
                      return (
                        <td key={cell.id}>
                          <span className={`wire-key hue-${mark.hue}`}>{number}</span>
                        </td>
                      );
                    if (id === 'what')
                      return (
                        <th key={cell.id} scope="row">
                          <button
                            type="button"
                            className="linkish"
                            aria-pressed={picked === lead.id}
                            onClick={() => onPick(picked === lead.id ? null : lead.id)}
                          >
                            {lead.what}
                          </button>
                        </th>
                      );
                    return (
                      <td
                        key={cell.id}
                        className={figures.has(id) ? 'num' : id === 'verdict' ? 'lead-says' : undefined}
                      >
                        {text(row.original, id)}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
          </tbody>
        </table>
        {rows.length === 0 ? <p className="quiet">No lead has these words.</p> : null}
      </div>
      {off.length > 0 ? (
        <p className="left-off">
          Left off, sockets sealed:{' '}
          {off.map((id) => (
            <Button
              key={id}
              size="compact-xs"
              variant="default"
              onClick={() =>
                send(
                  buildActions.leadEdited({
                    field: `wiring.${id}.leftOff`,
                    value: { lead: id, change: { leftOff: false } },
                  }),
                )
              }
            >
              {wiring.sockets.find((s) => s.id === id)?.what ?? id}: fit it after all
            </Button>
          ))}
        </p>
      ) : null}
      <p className="quiet">
        {wiring.byString
          ? 'Ways follow the string from bar to bracket.'
          : 'Ways are as drawn: a string from the bar’s middle to the bracket makes them certain.'}{' '}
        <Words>
          Each length counts full lock, fold, travel, a drip loop below each entry and its plugs. Tied every 150 mm.
        </Words>
      </p>
    </section>
  );
}
