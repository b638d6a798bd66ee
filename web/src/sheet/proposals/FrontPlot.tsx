import { Button, NativeSelect } from '@mantine/core';
import {
  aims,
  amount,
  amountText,
  driveFamilies,
  driveFamilyWords,
  packPlaceWords,
  pickWords,
  usualAims,
  verdictWords,
  type AimId,
  type BoardPick,
  type Candidate,
  type Dimension,
  type DriveFamily,
  type Shelf,
} from '@sprocket/core';
import { useState } from 'react';
import {
  CartesianGrid,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
  type ScatterShapeProps,
} from 'recharts';
import { useUnits } from '../../store/store.ts';

interface Dot {
  at: number;
  x: number;
  y: number;
  family: DriveFamily;
  /** What it is picked for; empty for one that is not. */
  name: string;
}

const DIMENSION: Partial<Record<AimId, Dimension>> = {
  price: 'money',
  mass: 'mass',
  chance: 'share',
  start: 'grade',
  climb: 'speed',
};

/** An aim's value in words, in the reader's units. */
function useAimText(): (id: AimId, value: number | null) => string {
  const units = useUnits();
  return (id, value) => {
    if (value === null) return '–';
    const dimension = DIMENSION[id];
    if (dimension) return amountText(amount(value, dimension), units);
    return id === 'open' ? String(Math.floor(value) + Math.round((value % 1) * 1000)) : `${value.toFixed(1)} h`;
  };
}

/** What nobody beats, by two aims, and as a table. */
export function FrontPlot({
  front,
  picks,
  shelf,
  onTake,
}: {
  front: readonly Candidate[];
  picks: readonly BoardPick[];
  shelf: Shelf;
  onTake: (candidate: Candidate) => void;
}) {
  const [x, setX] = useState<AimId>('price');
  const [y, setY] = useState<AimId>('start');
  const [picked, setPicked] = useState<number | null>(null);
  const [opened, setOpened] = useState(false);
  const text = useAimText();
  const kitOf = (c: Candidate) => shelf.kit.find((k) => k.id === c.choice.kitId);
  const packOf = (c: Candidate) => shelf.pack.find((p) => p.id === c.choice.packId);
  const dots = front
    .map((c, at): Dot => ({
      at,
      x: c.aims[x] ?? 0,
      y: c.aims[y] ?? 0,
      family: kitOf(c)?.family ?? 'midDrive',
      name: picks.find((p) => p.at === at)?.for.map((id) => pickWords[id])[0] ?? '',
    }))
    .sort((a, b) => a.x - b.x || a.y - b.y);
  const go = (by: number): void => {
    const now = dots.findIndex((d) => d.at === picked);
    setPicked(dots[Math.min(dots.length - 1, Math.max(0, now < 0 ? 0 : now + by))]?.at ?? null);
  };
  const one = picked === null ? undefined : front[picked];
  const words = (c: Candidate): string => `${kitOf(c)?.name ?? ''} with ${packOf(c)?.name ?? ''}`;
  const axes = usualAims.map((id) => ({ value: id, label: aims[id].words }));
  return (
    <div className="card front">
      <div className="front-head">
        <h3>What none of the others beats</h3>
        <NativeSelect label="Across" value={x} data={axes} onChange={(e) => setX(e.currentTarget.value as AimId)} />
        <NativeSelect label="Up" value={y} data={axes} onChange={(e) => setY(e.currentTarget.value as AimId)} />
      </div>
      <div
        className="front-plot"
        role="application"
        tabIndex={0}
        aria-label={`${front.length} conversions by ${aims[x].words.toLowerCase()} and ${aims[y].words.toLowerCase()}. Left and right go from one to the next.`}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
          event.preventDefault();
          go(event.key === 'ArrowRight' ? 1 : -1);
        }}
      >
        <ResponsiveContainer width="100%" height={260}>
          <ScatterChart margin={{ top: 12, right: 24, bottom: 4, left: 8 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--faint)" />
            <XAxis
              type="number"
              dataKey="x"
              domain={['auto', 'auto']}
              stroke="var(--soft)"
              fontSize={12}
              tickFormatter={(v: number) => text(x, v)}
            />
            <YAxis
              type="number"
              dataKey="y"
              domain={['auto', 'auto']}
              stroke="var(--soft)"
              fontSize={12}
              width={64}
              tickFormatter={(v: number) => text(y, v)}
            />
            <Scatter
              data={dots}
              isAnimationActive={false}
              shape={(props: ScatterShapeProps) => (
                <FrontDot
                  cx={props.cx ?? 0}
                  cy={props.cy ?? 0}
                  dot={props.payload as Dot}
                  ringed={(props.payload as Dot).at === picked}
                  onPick={setPicked}
                />
              )}
            />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <p className="front-key">
        {driveFamilies
          .filter((f) => dots.some((d) => d.family === f))
          .map((f) => (
            <span key={f}>
              <svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden="true">
                <path d={SHAPE[f]} className="front-dot" />
              </svg>{' '}
              {driveFamilyWords[f]}
            </span>
          ))}
      </p>
      <p className="front-one" aria-live="polite">
        {one ? (
          <>
            <strong>{words(one)}</strong>{' '}
            {usualAims.map((id) => `${aims[id].words.toLowerCase()} ${text(id, one.aims[id])}`).join(', ')}.{' '}
            <Button size="compact-sm" variant="default" onClick={() => onTake(one)}>
              Take it
            </Button>
          </>
        ) : (
          <span className="quiet">Press a dot, or go through them with the arrow keys.</span>
        )}
      </p>
      <details onToggle={(event) => setOpened(event.currentTarget.open)}>
        <summary>All {front.length} as a table</summary>
        {opened ? (
          <div className="front-table" tabIndex={0} role="region" aria-label="The front as a table">
            <table>
              <thead>
                <tr>
                  <th scope="col">Conversion</th>
                  {usualAims.map((id) => (
                    <th key={id} scope="col" className="num">
                      {aims[id].words}
                    </th>
                  ))}
                  <th scope="col">Verdict</th>
                </tr>
              </thead>
              <tbody>
                {front.map((c, i) => (
                  <tr key={i}>
                    <th scope="row">
                      {words(c)} {c.choice.packPlace ? packPlaceWords[c.choice.packPlace] : ''}
                    </th>
                    {usualAims.map((id) => (
                      <td key={id} className="num">
                        {text(id, c.aims[id])}
                      </td>
                    ))}
                    <td>{verdictWords[c.verdict]}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        ) : null}
      </details>
    </div>
  );
}

/** A shape for each family, so that nobody need tell them by colour. */
const SHAPE: Record<DriveFamily, string> = {
  frontHub: 'M0 -5.5L5 4H-5Z',
  rearGeared: 'M0 -4.5A4.5 4.5 0 1 1 0 4.5A4.5 4.5 0 1 1 0 -4.5Z',
  rearDirect: 'M0 -5.5L5.5 0L0 5.5L-5.5 0Z',
  midDrive: 'M-4.2 -4.2H4.2V4.2H-4.2Z',
  sideChain: 'M-5.5 -1.8H-1.8V-5.5H1.8V-1.8H5.5V1.8H1.8V5.5H-1.8V1.8H-5.5Z',
};

function FrontDot({
  cx,
  cy,
  dot,
  ringed,
  onPick,
}: {
  cx: number;
  cy: number;
  dot: Dot;
  ringed: boolean;
  onPick: (at: number) => void;
}) {
  return (
    // By key the plot itself is gone through.
    <g transform={`translate(${cx} ${cy})`} onClick={() => onPick(dot.at)} className="front-mark">
      {ringed || dot.name !== '' ? (
        <circle r={9} className={ringed ? 'front-ring' : 'front-ring front-picked'} />
      ) : null}
      <path d={SHAPE[dot.family]} className="front-dot" />
    </g>
  );
}
