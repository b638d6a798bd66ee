import { Button, NativeSelect } from '@mantine/core';
import {
  isLogColumn,
  logColumns,
  logRows,
  matchColumns,
  rememberedColumns,
  readLogTable,
  readRide,
  rideFromSamples,
  type Build,
  type LogColumn,
  type LogEntry,
  type Mapping,
  type ReadProblem,
} from '@sprocket/core';
import { useRef, useState } from 'react';
import { readFile } from '../../workers/core.ts';
import { csvOf, readCsv } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { Problems } from '../../ui/Problems.tsx';
import { thisMinute } from '../../ui/today.ts';

interface ImportCardProps {
  build: Build;
  /** False: there is no room for them. */
  onKeep: (entries: readonly LogEntry[], mapping: Mapping | null) => boolean;
}

/** Largest file that is read at all, bytes. */
const LARGEST = 60_000_000;

/** Two lines of the same moment and amount are one: a table is often brought in again with a few rows more. */
const sameLine = (e: LogEntry): string =>
  e.kind === 'ride'
    ? `ride ${e.at} ${Math.round(e.distanceM)}`
    : e.kind === 'charge'
      ? `charge ${e.at} ${Math.round(e.wallWh)}`
      : e.id;

const slug = (name: string): string => name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();

/** Rides and charges in from tables and tracks, and out again. */
export function ImportCard({ build, onKeep }: ImportCardProps) {
  const input = useRef<HTMLInputElement>(null);
  const [table, setTable] = useState<{ file: string; rows: string[][]; shown: string[][]; mapping: Mapping } | null>(
    null,
  );
  const [faults, setFaults] = useState<{ file: string; problems: readonly ReadProblem[] } | null>(null);
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);

  const open = async (file: File): Promise<void> => {
    setFaults(null);
    setSaid('');
    setTable(null);
    setBusy(true);
    try {
      if (file.size > LARGEST) {
        setFaults({
          file: file.name,
          problems: [{ path: '(file)', message: `larger than ${LARGEST / 1_000_000} MB` }],
        });
        return;
      }
      const text = await file.text();
      if (/\.gpx$/i.test(file.name) || text.trimStart().startsWith('<')) {
        const read = await readFile((reader) =>
          reader.readTrackRide(text, crypto.randomUUID(), file.name.replace(/\.gpx$/i, '')),
        );
        if (!read.ok) setFaults({ file: file.name, problems: read.problems });
        else {
          if (onKeep([read.value.ride], null))
            setSaid([`${file.name}: one ride kept.`, ...read.value.notes, 'Add its energy to let it tell.'].join(' '));
        }
        return;
      }
      const table = readCsv(text);
      if (!table.ok) {
        setFaults({ file: file.name, problems: table.problems });
        return;
      }
      const { rows } = table;
      // A meter's own table, a reading a second, is one ride.
      const ride = readRide(rows);
      if (ride.ok) {
        const entry = rideFromSamples(ride.samples, crypto.randomUUID(), thisMinute(), file.name.replace(/\.\w+$/, ''));
        if (entry) {
          if (onKeep([entry], null)) setSaid(`${file.name}: one ride of ${ride.samples.length} readings kept.`);
          return;
        }
      }
      // Heads are the first row that holds anything; the numbers of all rows stay those of the file.
      const filled = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
      setTable({ file: file.name, rows, shown: filled, mapping: matchColumns(rows, build.log.mappings) });
    } catch {
      setFaults({
        file: file.name,
        problems: [{ path: '(file)', message: 'cannot be read by this browser; save it once more, and try that' }],
      });
    } finally {
      setBusy(false);
    }
  };
  const take = (): void => {
    if (!table) return;
    const read = readLogTable(table.rows, table.mapping, () => crypto.randomUUID());
    if (!read.ok) {
      setFaults({ file: table.file, problems: read.problems });
      return;
    }
    setFaults(null);
    const here = new Set(build.log.entries.map(sameLine));
    const fresh = read.entries.filter((e) => !here.has(sameLine(e)));
    const known = read.entries.length - fresh.length;
    if (!onKeep(fresh, rememberedColumns(table.mapping))) return;
    setSaid(
      `${table.file}: ${fresh.length} ${read.kind === 'ride' ? 'rides' : 'charges'} kept${known > 0 ? `, ${known} were here already` : ''}.`,
    );
    setTable(null);
  };
  const turn = (i: number, change: Partial<Mapping['columns'][number]>): void => {
    setTable(
      (t) =>
        t && {
          ...t,
          mapping: { ...t.mapping, columns: t.mapping.columns.map((c, k) => (k === i ? { ...c, ...change } : c)) },
        },
    );
  };
  const save = (kind: 'ride' | 'charge'): void =>
    downloadText(`${slug(build.name)}-${kind}s.csv`, csvOf(logRows(build.log.entries, kind)), 'text/csv');
  return (
    <section className="card" aria-labelledby="log-files">
      <div className="card-head">
        <h2 id="log-files">In and out</h2>
        <span className="row">
          <Button variant="default" loading={busy} onClick={() => input.current?.click()}>
            Table or track…
          </Button>
          <Button variant="default" onClick={() => save('ride')}>
            Rides as CSV
          </Button>
          <Button variant="default" onClick={() => save('charge')}>
            Charges as CSV
          </Button>
        </span>
        <input
          ref={input}
          type="file"
          className="sr"
          tabIndex={-1}
          accept=".csv,.gpx,.txt,text/csv"
          aria-label="Table of rides or charges, meter’s table, or GPX track"
          onChange={(event) => {
            const file = event.currentTarget.files?.[0];
            event.currentTarget.value = '';
            if (file) void open(file);
          }}
        />
      </div>
      {said ? <p role="status">{said}</p> : null}
      {faults ? <Problems file={faults.file} problems={faults.problems} onClose={() => setFaults(null)} /> : null}
      {table ? (
        <div className="mapping">
          <p>
            <strong>{table.file}</strong>: {table.shown.length - 1} rows. What each column is; it is remembered for the
            next.
          </p>
          <table className="sum">
            <thead>
              <tr>
                <th scope="col">Head</th>
                <th scope="col">First row</th>
                <th scope="col">Is</th>
                <th scope="col">In</th>
              </tr>
            </thead>
            <tbody>
              {table.mapping.columns.map((c, i) => (
                <tr key={`${c.head}-${i}`}>
                  <th scope="row">{c.head}</th>
                  <td>{table.shown[1]?.[i] ?? ''}</td>
                  <td>
                    <NativeSelect
                      aria-label={`What “${c.head}” is`}
                      value={c.of}
                      data={[
                        { value: '', label: 'left out' },
                        ...(Object.keys(logColumns) as LogColumn[]).map((value) => ({
                          value,
                          label: logColumns[value].words,
                        })),
                      ]}
                      onChange={(event) => {
                        const of = event.currentTarget.value;
                        turn(i, { of, unit: isLogColumn(of) ? (Object.keys(logColumns[of].units)[0] ?? '') : '' });
                      }}
                    />
                  </td>
                  <td>
                    {isLogColumn(c.of) && Object.keys(logColumns[c.of].units).length > 1 ? (
                      <NativeSelect
                        aria-label={`Unit of “${c.head}”`}
                        value={c.unit}
                        data={Object.keys(logColumns[c.of].units)}
                        onChange={(event) => turn(i, { unit: event.currentTarget.value })}
                      />
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="row">
            <Button onClick={take}>Take them in</Button>
            <Button variant="default" onClick={() => setTable(null)}>
              Leave it
            </Button>
          </div>
        </div>
      ) : null}
    </section>
  );
}
