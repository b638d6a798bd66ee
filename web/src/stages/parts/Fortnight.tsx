import { dayOf, type BuildTime } from '@sprocket/core';
import { clockWords, dayWords, longWords, shortDay } from '../../ui/moments.ts';

const DAYS = 14;
const WIDE = 70;
const HEAD = 34;
/** Height of a minute of bench time, and of a row of what is on its way. */
const TALL = 0.36;
const ROW = 24;
/** Rows of what is on its way; the rest is counted. */
const ROWS = 7;

/** Bench times that begin on a day. */
const onDay = (time: BuildTime, day: number) => time.windows.filter((w) => Math.floor(w.from / 1440) === day);

/** Two weeks as a strip: bench times with what is planned in them, arrivals with their spread, the day all is wanted by. */
export function Fortnight({ time, from, neededBy }: { time: BuildTime; from: number; neededBy: string | null }) {
  const days = Array.from({ length: DAYS }, (_, i) => from + i);
  const worked = (start: number, end: number): number =>
    (time.schedule?.tasks ?? []).reduce(
      (sum, t) => sum + Math.max(0, Math.min(end, t.finish) - Math.max(start, t.start)),
      0,
    );
  const stepsIn = (start: number, end: number): number =>
    (time.schedule?.tasks ?? []).filter((t) => t.start < end && t.finish > start).length;
  const stack = Math.max(
    60,
    ...days.map((d) => onDay(time, d).reduce((sum, w) => sum + 8 + Math.max(40, (w.to - w.from) * TALL), 0)),
  );
  const coming = time.arrivals
    .filter((a) => a.high >= from && a.low < from + DAYS)
    .sort((a, b) => a.likely - b.likely || a.high - b.high);
  const rows = coming.slice(0, ROWS);
  const top = HEAD + stack + 14;
  const tall = top + rows.length * ROW + (coming.length > ROWS ? ROW : 0) + 8;
  const x = (day: number): number => (Math.max(from, Math.min(from + DAYS, day)) - from) * WIDE;
  const flag = neededBy === null ? null : dayOf(neededBy);
  const done = time.doneBy;
  return (
    <div className="fortnight" tabIndex={0} role="region" aria-label="The next two weeks, day by day">
      <svg viewBox={`0 0 ${DAYS * WIDE} ${tall}`} role="img" aria-label={spoken(time, from)}>
        {days.map((day, i) => {
          const weekend = (((day + 3) % 7) + 7) % 7 > 4;
          return (
            <g key={day}>
              {weekend ? <rect x={i * WIDE} y={0} width={WIDE} height={tall} className="fort-weekend" /> : null}
              <line x1={i * WIDE} x2={i * WIDE} y1={0} y2={tall} className="fort-line" />
              <text x={i * WIDE + 8} y={21} className={i === 0 ? 'fort-day fort-today' : 'fort-day'}>
                {i === 0 && day === Math.floor(time.now / 1440) ? 'today' : shortDay(day)}
              </text>
            </g>
          );
        })}
        <line x1={0} x2={DAYS * WIDE} y1={HEAD} y2={HEAD} className="fort-line" />
        {days.flatMap((day, i) => {
          let y = HEAD + 8;
          return onDay(time, day).map((w) => {
            const height = Math.max(40, (w.to - w.from) * TALL);
            const share = worked(w.from, w.to) / (w.to - w.from);
            const count = stepsIn(w.from, w.to);
            const at = y;
            y += height + 8;
            return (
              <g key={w.from}>
                <rect x={i * WIDE + 5} y={at} width={WIDE - 10} height={height} rx={3} className="fort-bench" />
                <rect
                  x={i * WIDE + 5}
                  y={at}
                  width={WIDE - 10}
                  height={height * Math.min(1, share)}
                  rx={3}
                  className="fort-work"
                />
                <text x={i * WIDE + 11} y={at + 16} className="fort-clock">
                  {clockWords(w.from)}
                </text>
                <text x={i * WIDE + 11} y={at + 32} className="fort-count">
                  {count === 0 ? 'free' : `${count} step${count === 1 ? '' : 's'}`}
                </text>
              </g>
            );
          });
        })}
        <line x1={0} x2={DAYS * WIDE} y1={top - 6} y2={top - 6} className="fort-line" />
        {rows.map((a, i) => {
          const y = top + i * ROW + 10;
          const end = x(a.high + 1);
          const left = end > DAYS * WIDE - 190;
          return (
            <g key={a.key} className={a.known === 'unasked' ? 'fort-unasked' : ''}>
              <line x1={x(a.low) + 6} x2={end - 6} y1={y} y2={y} className="fort-spread" />
              {a.likely < from + DAYS ? (
                <circle cx={x(a.likely) + WIDE / 2} cy={y} r={6} className="fort-likely" />
              ) : null}
              <text x={left ? x(a.low) : end} y={y + 4} textAnchor={left ? 'end' : 'start'} className="fort-name">
                {a.name.length > 34 ? `${a.name.slice(0, 32)}…` : a.name}
              </text>
            </g>
          );
        })}
        {coming.length > ROWS ? (
          <text x={8} y={top + ROWS * ROW + 16} className="fort-count">
            and {coming.length - ROWS} more on their way or to be ordered
          </text>
        ) : null}
        {flag !== null && flag >= from && flag < from + DAYS ? (
          <g>
            <line x1={x(flag + 1) - 2} x2={x(flag + 1) - 2} y1={0} y2={tall} className="fort-flag" />
            <text x={x(flag + 1) - 8} y={HEAD + stack + 4} textAnchor="end" className="fort-due">
              wanted{time.chance === null ? '' : `: ${Math.round(time.chance * 100)} %`}
            </text>
          </g>
        ) : null}
        {done && Math.floor(done[1] / 1440) >= from && Math.floor(done[1] / 1440) < from + DAYS ? (
          <path d={`M${x(done[1] / 1440)} 2 l7 10 l-14 0 Z`} className="fort-done" />
        ) : null}
      </svg>
    </div>
  );
}

/** The strip in words. */
function spoken(time: BuildTime, from: number): string {
  const days = time.windows.filter((w) => w.from >= from * 1440 && w.from < (from + DAYS) * 1440);
  const bench = days.reduce((sum, w) => sum + w.to - w.from, 0);
  const when = time.schedule ? `all done on ${dayWords(Math.floor(time.schedule.finish / 1440))}` : 'nothing scheduled';
  return `${days.length} bench times, ${longWords(bench)}; ${time.arrivals.length} parts to come; ${when}`;
}
