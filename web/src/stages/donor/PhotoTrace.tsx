import { Button } from '@mantine/core';
import { amount, fromPhoto, type PhotoMarks, type PhotoResult, type Pixel } from '@sprocket/core';
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';

type Kind = 'scale' | 'square' | 'corners';
const kindWords: Record<Kind, { label: string; how: string; most: number }> = {
  scale: {
    label: 'Known distance',
    how: 'Mark two points whose distance you measured: axle to axle is best, the longer the better.',
    most: 2,
  },
  square: {
    label: 'Known rectangle',
    how: 'Only if the camera was not square on: the four corners of a sheet or board held in the frame’s plane, from its upper left, clockwise.',
    most: 4,
  },
  corners: {
    label: 'Frame’s corners',
    how: 'From the inside corner at the bracket up the seat tube and round; follow a curved tube with several marks.',
    most: 40,
  },
};
const KINDS = Object.keys(kindWords) as Kind[];
/** Largest picture that is opened, bytes. */
const LARGEST = 40_000_000;

interface Photo {
  url: string;
  width: number;
  height: number;
}

/** The frame's inside traced on a side photo, in millimetres with its uncertainty. */
export function PhotoTrace() {
  const send = useSend();
  const [photo, setPhoto] = useState<Photo | null>(null);
  const [kind, setKind] = useState<Kind>('scale');
  const [marks, setMarks] = useState<Record<Kind, Pixel[]>>({ scale: [], square: [], corners: [] });
  const [distance, setDistance] = useState<number | null>(null);
  const [sheet, setSheet] = useState<{ widthM: number; heightM: number }>({ widthM: 0.297, heightM: 0.21 });
  const [trouble, setTrouble] = useState<string | null>(null);
  const picker = useId();

  useEffect(() => () => void (photo && URL.revokeObjectURL(photo.url)), [photo]);

  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setTrouble(null);
    if (file.size > LARGEST) {
      setTrouble(`${file.name}: larger than 40 MB.`);
      return;
    }
    try {
      const bitmap = await createImageBitmap(file);
      setPhoto({ url: URL.createObjectURL(file), width: bitmap.width, height: bitmap.height });
      bitmap.close();
      setMarks({ scale: [], square: [], corners: [] });
    } catch {
      setTrouble(`${file.name}: not a picture this browser can read.`);
    }
  };

  const result = useMemo((): { ok: PhotoResult } | { wants: string } => {
    const [from, to] = marks.scale;
    const [a, b, c, d] = marks.square;
    const given: PhotoMarks = {
      scale: from && to && distance !== null ? { from, to, distanceM: distance, errorM: 0.003 } : null,
      square: a && b && c && d ? { corners: [a, b, c, d], ...sheet } : null,
      corners: marks.corners,
    };
    try {
      return { ok: fromPhoto(given) };
    } catch (error) {
      return { wants: error instanceof RangeError ? error.message : 'the marks do not make a frame' };
    }
  }, [marks, distance, sheet]);

  const put = (next: Pixel[]): void => setMarks({ ...marks, [kind]: next });
  return (
    <section className="card photo-trace" aria-labelledby="photo-title">
      <h2 id="photo-title">From a photo</h2>
      <p className="quiet">
        Stand the vehicle against a wall, step back five metres or more and zoom in, camera at the height of the frame.
        Nothing leaves this machine.
      </p>
      <label htmlFor={picker} className="file-label">
        {photo ? 'Another photo' : 'Choose a side photo'}
        <input
          id={picker}
          type="file"
          accept="image/*"
          onChange={(event) => void open(event.currentTarget.files?.[0])}
        />
      </label>
      {trouble ? (
        <p role="alert" className="drawing-problem">
          {trouble}
        </p>
      ) : null}
      {photo ? (
        <>
          <div className="pills" role="group" aria-label="What to mark">
            {KINDS.map((k) => (
              <button key={k} type="button" className="pill" aria-pressed={k === kind} onClick={() => setKind(k)}>
                {kindWords[k].label} {marks[k].length > 0 ? `· ${marks[k].length}` : ''}
              </button>
            ))}
          </div>
          <p>{kindWords[kind].how}</p>
          <Marker photo={photo} marks={marks} kind={kind} onMarks={put} />
          <div className="fields-tight">
            <Button
              size="compact-sm"
              variant="default"
              disabled={marks[kind].length >= kindWords[kind].most}
              onClick={() => put([...marks[kind], { x: photo.width / 2, y: photo.height / 2 }])}
            >
              Add a mark in the middle
            </Button>
            <Button
              size="compact-sm"
              variant="default"
              disabled={marks[kind].length === 0}
              onClick={() => put(marks[kind].slice(0, -1))}
            >
              Take back the last
            </Button>
          </div>
          <div className="fields-tight">
            <AmountField
              label="The known distance"
              dimension="size"
              value={distance}
              min={0.05}
              max={5}
              onValue={setDistance}
              onEmpty={() => setDistance(null)}
              placeholder="1065 mm"
            />
            {kind === 'square' || marks.square.length > 0 ? (
              <>
                <AmountField
                  label="Rectangle, wide"
                  dimension="size"
                  value={sheet.widthM}
                  min={0.05}
                  max={3}
                  onValue={(widthM) => setSheet({ ...sheet, widthM })}
                />
                <AmountField
                  label="Rectangle, high"
                  dimension="size"
                  value={sheet.heightM}
                  min={0.05}
                  max={3}
                  onValue={(heightM) => setSheet({ ...sheet, heightM })}
                />
              </>
            ) : null}
          </div>
          {'ok' in result ? (
            <Traced
              result={result.ok}
              onTake={() =>
                send(
                  buildActions.insideTaken({
                    field: 'inside.photo',
                    value: {
                      corners: result.ok.corners.map((p) => ({ xM: round(p.x), yM: round(p.y) })),
                      errorM: Math.min(0.1, round(result.ok.errorM)),
                      source: 'photo',
                    },
                  }),
                )
              }
            />
          ) : (
            <p role="status" className="quiet">
              To go on, {result.wants}.
            </p>
          )}
        </>
      ) : null}
    </section>
  );
}

const round = (v: number): number => Math.round(v * 1e5) / 1e5;

function Traced({ result, onTake }: { result: PhotoResult; onTake: () => void }) {
  return (
    <div role="status">
      <table className="sum derived">
        <thead>
          <tr>
            <th scope="col">Side</th>
            <th scope="col">Length</th>
            <th scope="col">give or take</th>
          </tr>
        </thead>
        <tbody>
          {result.sides.map((s, i) => (
            <tr key={i}>
              <th scope="row">
                {i + 1} to {((i + 1) % result.sides.length) + 1}
              </th>
              <td className="num">
                <Show value={amount(s.lengthM, 'size', 0)} />
              </td>
              <td className="num">
                <Show value={amount(s.errorM, 'size', 1)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        A mark is good to 2 px, here <Show value={amount(result.perPixelM * 2, 'size', 1)} />; corners come out within{' '}
        <Show value={amount(result.errorM, 'size', 1)} />. Check one side with a tape before you order by it.
      </p>
      <Button onClick={onTake}>Take this as the frame’s inside</Button>
    </div>
  );
}

/** The photo with its marks: click to add, drag to move, arrows to nudge. */
function Marker({
  photo,
  marks,
  kind,
  onMarks,
}: {
  photo: Photo;
  marks: Record<Kind, Pixel[]>;
  kind: Kind;
  onMarks: (next: Pixel[]) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const at = (event: PointerEvent): Pixel => {
    const rect = svg.current?.getBoundingClientRect();
    if (!rect) return { x: 0, y: 0 };
    return {
      x: ((event.clientX - rect.left) / rect.width) * photo.width,
      y: ((event.clientY - rect.top) / rect.height) * photo.height,
    };
  };
  const own = marks[kind];
  const px = photo.width / 900;
  const nudge = (event: KeyboardEvent, i: number): void => {
    const step = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      onMarks(own.filter((_, j) => j !== i));
      event.preventDefault();
    }
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    onMarks(own.map((p, j) => (j === i ? { x: p.x + (by[0] ?? 0), y: p.y + (by[1] ?? 0) } : p)));
  };
  return (
    <svg
      ref={svg}
      className="photo-sheet"
      viewBox={`0 0 ${photo.width} ${photo.height}`}
      role="group"
      aria-label="The photo with its marks"
      onPointerDown={(event) => {
        if (held !== null || own.length >= kindWords[kind].most) return;
        if ((event.target as Element).closest('.photo-mark')) return;
        onMarks([...own, at(event)]);
      }}
      onPointerMove={(event) => {
        if (held !== null) onMarks(own.map((p, j) => (j === held ? at(event) : p)));
      }}
      onPointerUp={() => setHeld(null)}
    >
      <image href={photo.url} width={photo.width} height={photo.height} />
      {KINDS.map((k) => (
        <g key={k} className={`photo-marks photo-${k}${k === kind ? ' photo-on' : ''}`}>
          {marks[k].length > 1 ? (
            <path
              d={marks[k].map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('') + (k === 'scale' ? '' : 'Z')}
              strokeWidth={2.2 * px}
            />
          ) : null}
          {marks[k].map((p, i) => (
            <g
              key={i}
              className="photo-mark"
              transform={`translate(${p.x} ${p.y})`}
              tabIndex={k === kind ? 0 : -1}
              role="button"
              aria-label={`${kindWords[k].label}, mark ${i + 1}: arrows move it, Delete takes it out`}
              onPointerDown={(event) => {
                if (k !== kind) return;
                event.stopPropagation();
                setHeld(i);
              }}
              onKeyDown={(event) => nudge(event, i)}
            >
              <circle r={13 * px} className="photo-reach" />
              <path d={`M${-9 * px} 0H${9 * px}M0 ${-9 * px}V${9 * px}`} strokeWidth={1.6 * px} />
              <circle r={6 * px} strokeWidth={1.6 * px} />
              <text x={10 * px} y={-10 * px} fontSize={15 * px}>
                {i + 1}
              </text>
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}
