import { Button, Checkbox, TextInput } from '@mantine/core';
import {
  remindersOf,
  upkeepOf,
  upkeepReminders,
  type BillSheet,
  type Build,
  type BuildStep,
  type BuildTime,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlan, usePlanContext } from '../../sheet/PlanProvider.tsx';
import { downloadText } from '../../ui/download.ts';
import { Say } from '../../ui/Show.tsx';
import { dayTyped, thisMinute } from '../../ui/today.ts';
import { BenchTimes } from './BenchTimes.tsx';
import { calendarOf, type BenchTime } from '../../ui/calendar.ts';
import { Fortnight } from './Fortnight.tsx';
import { clockWords, dayWords, longWords, momentWords } from '../../ui/moments.ts';
import { useMarking } from '../../sheet/useMarking.ts';
import { useBuildTime } from '../../sheet/useBuildTime.ts';

/** When it will be done, what can be done now, and what waits for what. */
export function Time({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const { build: bench } = usePlan();
  const context = usePlanContext();
  const send = useSend();
  const { time, stale } = useBuildTime();
  const [ahead, setAhead] = useState(0);
  const steps = new Map(bench.steps.map((s) => [s.id, s]));
  const { neededBy } = build.bill;
  if (bench.steps.length === 0)
    return <p className="card">Choose a kit first: the steps of a build are those of its kit on this donor.</p>;
  const chance = time?.chance ?? null;
  const late = chance !== null && chance < build.bill.chance;
  const today = Math.floor((time?.now ?? 0) / 1440);
  return (
    <section aria-labelledby="time">
      <div className="section-head">
        <h2 id="time">Time</h2>
        <span className="quiet" role="status">
          {time === null ? 'being worked out' : stale ? 'being worked out again; this is the last answer' : ''}
        </span>
        {time?.schedule ? (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() =>
              void saveCalendar(
                build,
                bill,
                time,
                steps,
                build.log.entries.length > 0 ? upkeepReminders(upkeepOf(context, build, thisMinute())) : [],
              )
            }
          >
            Save as a calendar
          </Button>
        ) : null}
      </div>
      <div className="card time-head">
        <dl className="sums">
          <div>
            <dt>Work left</dt>
            <dd className="num">{time ? longWords(time.minutes) : '–'}</dd>
          </div>
          <div>
            <dt>As likely done as not by</dt>
            <dd className="num">{time?.doneBy ? whenDone(time.doneBy[1]) : '–'}</dd>
          </div>
          <div>
            <dt>Nine times in ten by</dt>
            <dd className="num">{time?.doneBy ? whenDone(time.doneBy[2]) : '–'}</dd>
          </div>
          <div className={late ? 'tone-text-rework' : ''}>
            <dt>Chance of being done in time</dt>
            <dd className="num">{chance === null ? '–' : `${Math.round(chance * 100)} %`}</dd>
          </div>
        </dl>
        <TextInput
          type="date"
          label="Wanted by"
          value={neededBy ?? ''}
          onChange={(event) => {
            const neededBy = dayTyped(event.currentTarget.value);
            if (neededBy !== undefined) send(buildActions.billEdited({ field: 'bill.neededBy', value: { neededBy } }));
          }}
        />
      </div>
      {time?.refused ? (
        <p className="card edge-measure">
          <strong>No schedule: </strong>
          {namedRefusal(time.refused, steps)}
        </p>
      ) : null}
      {time && time.helped.length > 0 ? (
        <p className="card edge-rework">
          <strong>Ask somebody to help with: </strong>
          {time.helped.map((id, i) => (
            <span key={id}>
              {i > 0 ? '; ' : ''}
              {steps.get(id) ? <Say words={(steps.get(id) as BuildStep).title} /> : id}
            </span>
          ))}
          .
        </p>
      ) : null}
      {time && time.windows.length > 0 ? (
        <>
          <Fortnight time={time} from={today + ahead} neededBy={neededBy} />
          <p className="fort-key">
            <span>filled: planned work</span>
            <span>line: when a part may come, dot: likeliest</span>
            <span>dotted: nobody asked yet, 3 to 14 days taken</span>
            {time.doneBy ? <span>▲ as likely done as not</span> : null}
            <span className="fort-turn">
              <Button size="compact-xs" variant="default" disabled={ahead === 0} onClick={() => setAhead(ahead - 14)}>
                Two weeks back
              </Button>
              <Button size="compact-xs" variant="default" disabled={ahead > 140} onClick={() => setAhead(ahead + 14)}>
                Two weeks on
              </Button>
            </span>
          </p>
        </>
      ) : null}
      {time ? <Now time={time} steps={steps} bill={bill} /> : null}
      {time?.schedule ? <BenchList time={time} steps={steps} /> : null}
      <BenchTimes />
      <Done steps={bench.steps} />
    </section>
  );
}

const whenDone = (moment: number): string =>
  Number.isFinite(moment) ? dayWords(Math.floor(moment / 1440)) : 'after all bench time';

/** A refusal names steps by their ids; here by what they say. */
function namedRefusal(refused: string, steps: ReadonlyMap<string, BuildStep>) {
  const [ids, why] = refused.includes(': ') ? (refused.split(/: (.*)/s) as [string, string]) : ['', refused];
  if (ids === '') return `${why}.`;
  return (
    <>
      {ids.split(', ').map((id, i) => (
        <span key={id}>
          {i > 0 ? '; ' : ''}
          {steps.get(id) ? <Say words={(steps.get(id) as BuildStep).title} /> : id}
        </span>
      ))}
      : {why}.
    </>
  );
}

/** What can be begun at this minute, what waits, and what would free most. */
function Now({ time, steps, bill }: { time: BuildTime; steps: ReadonlyMap<string, BuildStep>; bill: BillSheet }) {
  const { mark } = useMarking();
  const names = new Map(bill.lines.map((l) => [l.key, l.name]));
  return (
    <div className="now">
      <section className="card" aria-labelledby="now">
        <h3 id="now">Now</h3>
        {time.ready.length === 0 ? <p className="quiet">Nothing can be begun before something comes.</p> : null}
        <ul className="plain-list now-list">
          {time.ready.map((id) => {
            const step = steps.get(id);
            return step ? (
              <li key={id}>
                <Checkbox label={<Say words={step.title} />} checked={false} onChange={() => mark(step)} />
                <span className="num quiet">{longWords(step.minutes)}</span>
              </li>
            ) : null;
          })}
        </ul>
      </section>
      <section className="card" aria-labelledby="waits">
        <h3 id="waits">Waits</h3>
        {time.frees ? (
          <p>
            Frees most work once it is here: <strong>{time.frees.name}</strong>, {time.frees.steps} step
            {time.frees.steps === 1 ? '' : 's'}, {longWords(time.frees.minutes)}.
          </p>
        ) : (
          <p className="quiet">Nothing waits for a part.</p>
        )}
        <ul className="plain-list now-list">
          {time.held.map(({ step, lines, waits }) => {
            const held = steps.get(step);
            return held ? (
              <li key={step}>
                <span>
                  <Say words={held.title} />
                  <span className="bill-why">
                    {[
                      ...lines.map((key) => `for ${names.get(key) ?? key}`),
                      ...waits.map((id) => `until ${steps.get(id)?.wait?.why ?? 'it has waited out'}`),
                    ].join(', ')}
                  </span>
                </span>
                <span className="num quiet">{longWords(held.minutes)}</span>
              </li>
            ) : null;
          })}
        </ul>
      </section>
    </div>
  );
}

/** Bench times in order with the steps planned in each. */
function benchTimesOf(
  time: BuildTime,
): { from: number; to: number; tasks: { id: string; start: number; finish: number }[] }[] {
  const tasks = [...(time.schedule?.tasks ?? [])].sort((a, b) => a.start - b.start || a.finish - b.finish);
  return time.windows.flatMap(({ from, to }) => {
    const here = tasks.filter((t) => t.start < to && t.finish > from);
    return here.length > 0 ? [{ from, to, tasks: here }] : [];
  });
}

function BenchList({ time, steps }: { time: BuildTime; steps: ReadonlyMap<string, BuildStep> }) {
  const critical = new Set(time.schedule?.critical);
  return (
    <section aria-labelledby="bench-list">
      <div className="section-head">
        <h3 id="bench-list">Bench time by bench time</h3>
        <span className="quiet">
          {time.schedule?.proven
            ? 'no order is done sooner'
            : `no order is done before ${momentWords(time.schedule?.bound ?? 0)}`}
          ; ● leaves no play
        </span>
      </div>
      <div className="bench-list">
        {benchTimesOf(time).map(({ from, to, tasks }) => (
          <div className="card" key={from}>
            <h4>
              {dayWords(Math.floor(from / 1440))}{' '}
              <span className="quiet">
                {clockWords(from)} to {clockWords(to)}
              </span>
            </h4>
            <ol className="plain-list bench-steps">
              {tasks.map((t) => {
                const step = steps.get(t.id);
                return (
                  <li key={t.id}>
                    <span className="num">{t.start < from ? '…' : clockWords(t.start)}</span>
                    <span>
                      {critical.has(t.id) ? <span aria-label="leaves no play">● </span> : null}
                      {step ? <Say words={step.title} /> : t.id}
                    </span>
                  </li>
                );
              })}
            </ol>
          </div>
        ))}
      </div>
    </section>
  );
}

/** What is done, to be taken back. */
function Done({ steps }: { steps: readonly BuildStep[] }) {
  const { unmark } = useMarking();
  const done = steps.filter((s) => s.doneOn !== null);
  if (done.length === 0) return null;
  return (
    <details className="card">
      <summary>
        {done.length} step{done.length === 1 ? '' : 's'} done
      </summary>
      <ul className="plain-list now-list">
        {done.map((step) => (
          <li key={step.id}>
            <Checkbox checked label={<Say words={step.title} />} onChange={() => unmark(step)} />
            <span className="quiet num">{step.doneOn?.replace('T', ' ')}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

async function saveCalendar(
  build: Build,
  bill: BillSheet,
  time: BuildTime,
  steps: ReadonlyMap<string, BuildStep>,
  upkeep: ReturnType<typeof upkeepReminders>,
): Promise<void> {
  const times = benchTimesOf(time).map(({ from, to, tasks }): BenchTime => ({
    from,
    to,
    what: tasks.map(
      (t) =>
        `${clockWords(t.start)} ${(steps.get(t.id)?.title ?? [t.id]).filter((w) => typeof w === 'string').join('')}`,
    ),
  }));
  downloadText(
    `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-bench.ics`,
    // A vehicle in use is looked after between one bench time and the next.
    await calendarOf(build, [...remindersOf(bill.lines), ...upkeep], times),
    'text/calendar',
  );
}
