import { Button } from '@mantine/core';
import { edgesCrossing, type Pack } from '@sprocket/core';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { readFile } from '../../workers/core.ts';
import { Problems } from '../../ui/Problems.tsx';

type Points = NonNullable<Pack['points']>;

/** A pack's own outline: read from an SVG, or drawn by moving its corners. */
export function OutlineEditor({ pack, onChange }: { pack: Pack; onChange: (change: Partial<Pack>) => void }) {
  const file = useId();
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const [notes, setNotes] = useState<string[]>([]);
  const [name, setName] = useState('');
  const { lengthM, heightM } = pack.outline;
  const points: Points = pack.points ?? [
    { xM: 0, yM: 0 },
    { xM: lengthM, yM: 0 },
    { xM: lengthM, yM: heightM },
    { xM: 0, yM: heightM },
  ];
  const put = (next: Points): void => {
    onChange({
      form: 'custom',
      points: next,
      outline: {
        ...pack.outline,
        lengthM: Math.max(...next.map((p) => p.xM)),
        heightM: Math.max(...next.map((p) => p.yM)),
      },
    });
  };
  const read = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    const text = await chosen.text();
    const found = await readFile((reader) => reader.readSvgOutline(text));
    if (!found.ok) {
      setName(chosen.name);
      setProblems(found.problems);
      return;
    }
    setProblems([]);
    setNotes(found.value.notes);
    put(found.value.points);
  };
  const crossing = edgesCrossing(points.map((p) => ({ x: p.xM, y: p.yM })));
  return (
    <fieldset className="outline-editor">
      <legend>Outline from the side, rail below</legend>
      <Pad points={points} onPoints={put} />
      {crossing ? (
        <p role="alert" className="tone-text-rework">
          Side {crossing[0] + 1} crosses side {crossing[1] + 1}. Until that is put right, everything between the
          outermost corners counts as battery.
        </p>
      ) : null}
      <div className="fields-tight">
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => {
            // A new corner halves the longest side.
            const long = points.map((p, i) => {
              const q = points[(i + 1) % points.length] ?? p;
              return Math.hypot(p.xM - q.xM, p.yM - q.yM);
            });
            const i = long.indexOf(Math.max(...long));
            const p = points[i];
            const q = points[(i + 1) % points.length];
            if (p && q)
              put([
                ...points.slice(0, i + 1),
                { xM: (p.xM + q.xM) / 2, yM: (p.yM + q.yM) / 2 },
                ...points.slice(i + 1),
              ]);
          }}
        >
          Add a corner
        </Button>
        <label htmlFor={file} className="file-label">
          From an SVG at true size
          <input
            id={file}
            type="file"
            accept=".svg,image/svg+xml"
            onChange={(event) => void read(event.currentTarget.files?.[0])}
          />
        </label>
      </div>
      {notes.map((n) => (
        <p key={n} className="quiet">
          {n}
        </p>
      ))}
      {problems.length > 0 ? <Problems file={name} problems={problems} onClose={() => setProblems([])} /> : null}
    </fieldset>
  );
}

function Pad({ points, onPoints }: { points: Points; onPoints: (next: Points) => void }) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const wide = Math.max(0.2, ...points.map((p) => p.xM)) * 1000 + 40;
  const high = Math.max(0.1, ...points.map((p) => p.yM)) * 1000 + 40;
  const at = (event: PointerEvent): Points[number] => {
    const rect = svg.current?.getBoundingClientRect();
    if (!rect) return { xM: 0, yM: 0 };
    const x = ((event.clientX - rect.left) / rect.width) * wide - 20;
    const y = high - 20 - ((event.clientY - rect.top) / rect.height) * high;
    return { xM: Math.max(0, Math.round(x)) / 1000, yM: Math.max(0, Math.round(y)) / 1000 };
  };
  const nudge = (event: KeyboardEvent, i: number): void => {
    const step = event.shiftKey ? 0.01 : 0.001;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (event.key === 'Delete' && points.length > 3) onPoints(points.filter((_, j) => j !== i));
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    const round = (v: number): number => Math.max(0, Math.round(v * 1000) / 1000);
    onPoints(points.map((p, j) => (i === j ? { xM: round(p.xM + (by[0] ?? 0)), yM: round(p.yM + (by[1] ?? 0)) } : p)));
  };
  return (
    <svg
      ref={svg}
      className="outline-pad"
      viewBox={`0 0 ${wide} ${high}`}
      role="group"
      aria-label="Outline, 10 mm grid"
      onPointerMove={(event) => {
        if (held !== null) onPoints(points.map((p, j) => (j === held ? at(event) : p)));
      }}
      onPointerUp={() => setHeld(null)}
      onPointerLeave={() => setHeld(null)}
    >
      <path
        d={
          Array.from({ length: Math.ceil(wide / 10) }, (_, i) => `M${i * 10} 0V${high}`).join('') +
          Array.from({ length: Math.ceil(high / 10) }, (_, i) => `M0 ${i * 10}H${wide}`).join('')
        }
        className="pad-grid"
      />
      <path
        d={points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.xM * 1000 + 20} ${high - 20 - p.yM * 1000}`).join('') + 'Z'}
        className="pad-outline"
      />
      {points.map((p, i) => (
        <circle
          key={i}
          cx={p.xM * 1000 + 20}
          cy={high - 20 - p.yM * 1000}
          r={6}
          tabIndex={0}
          role="button"
          aria-label={`Corner ${i + 1}: ${Math.round(p.xM * 1000)} along, ${Math.round(p.yM * 1000)} up; arrows move it, Delete takes it out`}
          onPointerDown={() => setHeld(i)}
          onKeyDown={(event) => nudge(event, i)}
        />
      ))}
    </svg>
  );
}
