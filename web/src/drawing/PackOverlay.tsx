import {
  amount,
  amountText,
  AMPLE,
  BATTERY_CLEARANCE_WANTED,
  chainLength,
  fixingWords,
  outlineOf,
  packPlaceWords,
  pointAlong,
  poseAt,
  reachOf,
  Trial,
  turned,
  type ChosenPlan,
  type PlanLayout,
  type Fixing,
  type Mount,
  type PackPlace,
  type Placement,
  type Point,
  type Tightest,
} from '@sprocket/core';
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useUnits } from '../store/store.ts';
import { pathOf, type Sheet } from './frame.ts';
import { GapMarks } from './GapMarks.tsx';

/** A spot on the vehicle where the pack is held. */
export interface Spot {
  place: PackPlace;
  alongM: number;
  turned: boolean;
  fixing: Fixing;
}

interface PackOverlayProps {
  plan: ChosenPlan;
  sheet: Sheet;
  /** Share of its way off the rail. */
  off: number;
  showGaps: boolean;
  ghosts: readonly Placement[];
  onPut: (spot: Spot | null) => void;
}

/** The nearest way along a mount's face to a point, and how far off it the point is. */
function nearestAlong(mount: Mount, p: Point): { alongM: number; awayM: number } {
  let best = { alongM: 0, awayM: Infinity };
  let way = 0;
  for (let i = 1; i < mount.face.length; i++) {
    const a = mount.face[i - 1] as Point;
    const b = mount.face[i] as Point;
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1e-9;
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (long * long)));
    const awayM = Math.hypot(p.x - a.x - (b.x - a.x) * t, p.y - a.y - (b.y - a.y) * t);
    if (awayM < best.awayM) best = { alongM: way + long * t, awayM };
    way += long;
  }
  return best;
}

/** The chosen pack on the drawing: dragged along its rail or to another place, its gaps following as it goes. */
export function PackOverlay(props: PackOverlayProps) {
  const { room, pack } = props.plan.pack.layout;
  const lies = pack?.taken.lies;
  if (!pack || !lies || !room.mounts.some((m) => m.place === lies.place)) return null;
  return <HeldPack {...props} room={room} pack={pack} lies={lies} />;
}

interface HeldPackProps extends PackOverlayProps {
  room: PlanLayout['room'];
  pack: NonNullable<PlanLayout['pack']>;
  lies: Placement;
}

function HeldPack({ plan, sheet, off, showGaps, ghosts, onPut, room, pack, lies }: HeldPackProps) {
  const units = useUnits();
  const hatch = useId();
  const box = useRef<SVGGElement>(null);
  const [held, setHeld] = useState<Spot | null>(null);
  const grip = useRef<{ acrossM: number } | null>(null);
  // What was held is where the plan now puts it: from here the plan speaks.
  useEffect(() => {
    if (grip.current === null) setHeld(null);
  }, [plan]);
  const { shape } = pack;
  const placesOf = pack.places.map((p) => p.place);
  const mounts = room.mounts.filter((m) => placesOf.includes(m.place));
  const spot: Spot = held ?? { place: lies.place, alongM: lies.alongM, turned: lies.turned, fixing: lies.fixing };
  const mount = (room.mounts.find((m) => m.place === spot.place) ??
    room.mounts.find((m) => m.place === lies.place)) as Mount;
  const lying = useMemo(() => (spot.turned ? turned(shape) : shape), [shape, spot.turned]);
  // Made ready once a hold: a move then only slides it.
  const trial = useMemo(() => new Trial(room, mount, lying), [room, mount, lying]);
  const pose = poseAt(mount, lying, spot.alongM);
  const judged: { clearanceM: number; tightest: Tightest } = held
    ? trial.along(spot.alongM)
    : { clearanceM: lies.clearanceM, tightest: lies.tightest };
  const outline = outlineOf(shape, { pose, turned: spot.turned }, off);
  const gone = shape.leaving ? outlineOf(shape, { pose, turned: spot.turned }, 1) : null;
  const tone = held
    ? judged.clearanceM < 0
      ? 'stop'
      : judged.clearanceM < BATTERY_CLEARANCE_WANTED
        ? 'rework'
        : 'fits'
    : pack.taken.finding.verdict;

  const at = (event: PointerEvent): Point => {
    const svg = box.current?.ownerSVGElement;
    const rect = svg?.getBoundingClientRect();
    if (!rect) return { x: 0, y: 0 };
    return {
      x: sheet.left + ((event.clientX - rect.left) / rect.width) * sheet.width,
      y: sheet.top - ((event.clientY - rect.top) / rect.height) * sheet.height,
    };
  };
  const within = (m: Mount, alongM: number): number => {
    const reach = reachOf(m, lying);
    return Math.max(reach.from, Math.min(reach.to, alongM));
  };
  const move = (p: Point): void => {
    // It stays on its rail until the hand is clearly nearer another.
    const here = nearestAlong(mount, p);
    let to = { m: mount, ...here };
    for (const m of mounts) {
      if (m === mount) continue;
      const there = nearestAlong(m, p);
      if (there.awayM + 0.04 < to.awayM && there.awayM < 0.12) to = { m, ...there };
    }
    setHeld({
      ...spot,
      place: to.m.place,
      alongM: within(to.m, to.alongM - (to.m === mount ? (grip.current?.acrossM ?? 0) : shape.lengthM / 2)),
      fixing: to.m === mount ? spot.fixing : to.m.tubeM === null ? 'stands' : shape.stiff ? 'clamps' : 'straps',
    });
  };
  const drop = (): void => {
    grip.current = null;
    if (held) onPut({ ...held, fixing: held.fixing === 'bosses' ? 'clamps' : held.fixing });
  };
  const nudge = (change: Partial<Spot>): void => {
    const next = { ...spot, ...change };
    const m = room.mounts.find((r) => r.place === next.place) ?? mount;
    onPut({
      ...next,
      alongM: Math.max(reachOf(m, lying).from, Math.min(reachOf(m, lying).to, next.alongM)),
      fixing: next.fixing === 'bosses' ? 'clamps' : next.fixing,
    });
  };
  const keys = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 0.01 : 0.001;
    const other = (by: number): void => {
      const list = mounts.map((m) => m.place);
      const next = list[(list.indexOf(mount.place) + by + list.length) % list.length];
      const found = pack.places.find((p) => p.place === next)?.lies;
      if (found) onPut({ place: found.place, alongM: found.alongM, turned: found.turned, fixing: found.fixing });
    };
    if (event.key === 'ArrowRight' || event.key === 'ArrowUp') nudge({ alongM: spot.alongM + step });
    else if (event.key === 'ArrowLeft' || event.key === 'ArrowDown') nudge({ alongM: spot.alongM - step });
    else if (event.key === 'PageDown') other(1);
    else if (event.key === 'PageUp') other(-1);
    else if (event.key === 'Home') onPut(null);
    else if (event.key === 't' || event.key === 'T') nudge({ turned: !spot.turned });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const gapText =
    judged.clearanceM >= AMPLE - 0.001
      ? 'nothing near'
      : judged.clearanceM < 0
        ? `${amountText(amount(-judged.clearanceM, 'size', units === 'metric' ? 0 : 2), units)} into ${judged.tightest.name}`
        : `${amountText(amount(judged.clearanceM, 'size', units === 'metric' ? 0 : 2), units)} to ${judged.tightest.name}`;
  const { px } = sheet;
  const { from, to } = reachOf(mount, lying);
  return (
    <g ref={box}>
      {ghosts.map((g) => (
        <path
          key={`${g.place}${g.turned}${g.fixing}`}
          d={pathOf(outlineOf(shape, g), true)}
          className="pack-ghost"
          strokeWidth={px}
          strokeDasharray={`${3 * px} ${3 * px}`}
          onClick={() => onPut({ place: g.place, alongM: g.alongM, turned: g.turned, fixing: g.fixing })}
        />
      ))}
      {mounts.map((m) => (
        <path
          key={m.place}
          d={pathOf(m.face)}
          className={m === mount ? 'rail-line rail-line-on' : 'rail-line'}
          strokeWidth={(m === mount ? 3 : 2) * px}
        />
      ))}
      <defs>
        <pattern id={hatch} width={6 * px} height={6 * px} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2={6 * px} className={`hatch-${tone}`} strokeWidth={px} />
        </pattern>
      </defs>
      {gone && off < 0.999 ? (
        <path d={pathOf(gone, true)} className="pack-slid" strokeWidth={px} strokeDasharray={`${4 * px} ${3 * px}`} />
      ) : null}
      <g
        className={`pack-held tone-${tone}`}
        role="slider"
        tabIndex={0}
        aria-label="The pack along its place"
        aria-orientation="horizontal"
        aria-valuemin={Math.round(from * 1000)}
        aria-valuemax={Math.round(to * 1000)}
        aria-valuenow={Math.round(spot.alongM * 1000)}
        aria-valuetext={`${packPlaceWords[spot.place]}, ${Math.round(spot.alongM * 1000)} mm along, ${fixingWords[spot.fixing]}; ${gapText}`}
        onKeyDown={keys}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          grip.current = { acrossM: nearestAlong(mount, at(event)).alongM - spot.alongM };
        }}
        onPointerMove={(event) => {
          if (grip.current) move(at(event));
        }}
        onPointerUp={drop}
        onPointerCancel={() => {
          grip.current = null;
          setHeld(null);
        }}
      >
        <path d={pathOf(outline, true)} className="pack-body" strokeWidth={2 * px} />
        <path d={pathOf(outline, true)} fill={`url(#${hatch})`} stroke="none" />
        {lying.holesM.length > 0
          ? lying.holesM.map((h) => {
              const q = { x: pose.at.x + pose.along.x * h, y: pose.at.y + pose.along.y * h };
              return <circle key={h} cx={q.x} cy={-q.y} r={2.2 * px} className="pack-hole" strokeWidth={px} />;
            })
          : null}
        {lying.latch ? <Latch pose={pose} at={lying.latch.centre} px={px} /> : null}
      </g>
      {(mount.bossesM ?? []).map((b) => {
        const q = pointAlong(mount.face, Math.min(b, chainLength(mount.face)));
        return <circle key={b} cx={q.x} cy={-q.y} r={3.4 * px} className="boss" strokeWidth={1.4 * px} />;
      })}
      {showGaps || held ? (
        <GapMarks
          room={room}
          mount={mount}
          shape={shape}
          placement={{ pose, turned: spot.turned }}
          px={px}
          units={units}
        />
      ) : null}
      {held ? (
        <text
          x={sheet.left + 14 * px}
          y={-sheet.top + 24 * px}
          fontSize={15 * px}
          className={`held-text tone-text-${tone}`}
        >
          {packPlaceWords[spot.place]} · {gapText}
        </text>
      ) : null}
    </g>
  );
}

function Latch({ pose, at, px }: { pose: { at: Point; along: Point; normal: Point }; at: Point; px: number }) {
  const q = {
    x: pose.at.x + pose.along.x * at.x + pose.normal.x * at.y,
    y: pose.at.y + pose.along.y * at.x + pose.normal.y * at.y,
  };
  return (
    <g className="latch" transform={`translate(${q.x} ${-q.y})`}>
      <circle r={4.5 * px} strokeWidth={1.1 * px} />
      <path d={`M${-1.6 * px} 0H${1.6 * px}`} strokeWidth={1.4 * px} />
    </g>
  );
}
