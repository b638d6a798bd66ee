import { legalClass, showAmount, starterShelf, withLaws, type BuildPlan, type Figure } from '@sprocket/core';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Big, Say, Show, Words } from '../ui/Show.tsx';
import { VerdictMark } from './Verdict.tsx';
import { useSpread } from './SpreadProvider.tsx';
import { useApp, useBuild, useSend, useUnits } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { dayText } from '../ui/manner.ts';

const StillKept = lazy(async () => ({ default: (await import('./proposals/StillKept.tsx')).StillKept }));

/** How long a change stays marked, ms. */
const MARKED_FOR = 6000;

interface TallyProps {
  plan: BuildPlan;
  previous: BuildPlan | null;
}

/** The right-hand tally: figures that follow every edit, with how much each moved. */
export function Tally({ plan, previous }: TallyProps) {
  const send = useSend();
  const up = useApp((state) => state.ui.tallyUp);
  const build = useBuild();
  const { spread, progress } = useSpread();
  const deltas = useDeltas(plan, previous);
  const law = legalClass(build.brief.legalClass, withLaws(starterShelf.laws, build.ownLaws));
  const guesses = plan.donor.progress.total - plan.donor.progress.proven;
  const range = plan.figures[0];
  return (
    <aside
      className={`tally${up ? ' tally-up' : ''}`}
      aria-label="Tally"
      data-spread={progress !== null ? 'drawing' : spread ? 'drawn' : 'none'}
    >
      <button
        type="button"
        className="tally-handle"
        aria-expanded={up}
        onClick={() => send(uiActions.tallyPulled(!up))}
      >
        <VerdictMark verdict={plan.verdict} />
        <span className="num">{range?.value ? <Show value={range.value} /> : 'no range yet'}</span>
        <span className="quiet">{up ? 'close the tally' : 'tally'}</span>
      </button>
      <div className="tally-body">
        <div className="tally-head">
          <h2>Tally</h2>
          <span className={guesses === 0 ? 'quiet' : 'guesses'}>
            {guesses === 0 ? 'all measured' : `rests on ${guesses} guess${guesses === 1 ? '' : 'es'}`}
          </span>
        </div>
        {plan.figures.map((figure) => (
          <FigureRow
            key={figure.id}
            figure={figure}
            delta={deltas[figure.id]}
            onOpen={() => send(uiActions.explained({ kind: 'figure', id: figure.id }))}
          />
        ))}
        {build.keptChoices.length > 0 ? (
          <Suspense>
            <StillKept />
          </Suspense>
        ) : null}
        <div className="tally-law">
          <strong>
            <Words>{law?.name ?? 'Rules not known'}</Words>
          </strong>
          <span className="quiet">{law ? `as of ${dayText(law.asOf)}; ` : ''}the local authority decides</span>
        </div>
        <div className="caution">
          <strong>Charging</strong>{' '}
          <Words>
            Never below 0 °C, never after a knock, and with a smoke alarm above the charger. A swollen or hot pack goes
            to a qualified person.
          </Words>
        </div>
      </div>
    </aside>
  );
}

function FigureRow({ figure, delta, onOpen }: { figure: Figure; delta: string | undefined; onOpen: () => void }) {
  const { spread } = useSpread();
  return (
    <button type="button" className="tally-row" data-figure={figure.id} onClick={onOpen} aria-label={undefined}>
      <span className="tally-label">
        <span>{figure.label}</span>
        {delta ? (
          <span className={`delta num ${delta.startsWith('−') ? 'delta-down' : 'delta-up'}`}>{delta}</span>
        ) : null}
      </span>
      {figure.band ? (
        <BandFigure figure={figure} />
      ) : figure.value ? (
        <Big value={figure.value} />
      ) : (
        <span className="big big-none">–</span>
      )}
      <span className="tally-note">
        <Say words={figure.note} />
        {figure.id === 'range' && figure.value && spread ? (
          <>
            ; met {Math.round(spread.chance * 100)} times in 100
            {spread.stuck > 0.005 ? `, ${Math.round(spread.stuck * 100)} stay on the steepest stretch` : null}
          </>
        ) : null}
      </span>
    </button>
  );
}

function BandFigure({ figure }: { figure: Figure }) {
  const units = useUnits();
  // The plan's own band, as every finding and paper tells it; drawn rides are told on the ride sheet.
  const { band, value } = figure;
  if (!band || !value) return null;
  const low = showAmount(band.low, units);
  const high = showAmount(band.high, units);
  const most = Math.max(band.high.si * 1.15, (band.need?.si ?? 0) * 1.15);
  const at = (si: number): number => (si / most) * 200;
  return (
    <>
      <span className="big">
        <span className="num">
          {low.number}–{high.number}
        </span>
        <span className="unit"> {high.unit}</span>
      </span>
      <svg className="band" viewBox="0 0 200 16" aria-hidden="true" focusable="false">
        <line x1="0" x2="200" y1="8" y2="8" className="band-axis" />
        <rect x={at(band.low.si)} width={at(band.high.si) - at(band.low.si)} y="4.5" height="7" className="band-bar" />
        <line x1={at(value.si)} x2={at(value.si)} y1="2" y2="14" className="band-mid" />
        {band.need ? <line x1={at(band.need.si)} x2={at(band.need.si)} y1="0" y2="16" className="band-need" /> : null}
      </svg>
    </>
  );
}

/** Which way each figure moved with the last edit that moved any, as text in the reader's units. */
function useDeltas(plan: BuildPlan, previous: BuildPlan | null): Partial<Record<Figure['id'], string>> {
  const units = useUnits();
  const [deltas, setDeltas] = useState<Partial<Record<Figure['id'], string>>>({});
  // Keystrokes in one field are measured from where they began; another field begins anew.
  const field = useApp((state) => state.build.group as unknown);
  const base = useRef<{ plan: BuildPlan | null; field: unknown }>({ plan: null, field: undefined });
  useEffect(() => {
    if (base.current.plan === null || base.current.field !== field) base.current = { plan: previous, field };
    const next: Partial<Record<Figure['id'], string>> = {};
    for (const figure of plan.figures) {
      const before = base.current.plan?.figures.find((f) => f.id === figure.id);
      if (!before?.value || !figure.value) continue;
      const moved = figure.value.si - before.value.si;
      const shown = showAmount({ ...figure.value, si: moved }, units);
      // What rounds to nothing shown has not moved.
      if (!/[1-9]/.test(shown.number)) continue;
      next[figure.id] = `${moved > 0 ? '+' : ''}${shown.number}`;
    }
    setDeltas(next);
    const timer = setTimeout(() => {
      base.current = { plan, field };
      setDeltas({});
    }, MARKED_FOR);
    return () => clearTimeout(timer);
    // The field changes with the plan it made; it is no reason of its own to begin again.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [plan, previous, units]);
  return deltas;
}
