import { useElementSize } from '@mantine/hooks';
import {
  amount,
  amountText,
  AMPLE,
  packPlaceWords,
  type ChosenPlan,
  type DonorGeometry,
  type Point,
  type StepThing,
  type SurveyItemId,
  type ThingState,
  type Tube,
} from '@sprocket/core';
import { useId, type ReactNode } from 'react';
import { useApp, useSend, useUnits } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { CallOut } from './CallOut.tsx';
import { DimensionMark } from './DimensionMark.tsx';
import { curveOf, lookedAt, pathOf, sheetFor, type Look, type Sheet } from './frame.ts';
import { Wheel } from './Wheel.tsx';

export type DrawingLayer = 'sizes' | 'parts' | 'rider';

interface BikeDrawingProps {
  plan: ChosenPlan;
  layers: readonly DrawingLayer[];
  /** Called when a dimension is picked. */
  onPick?: (item: SurveyItemId) => void;
  sheet: string;
  tall?: boolean;
  /** The vehicle in another pose than at rest. */
  geometry?: DonorGeometry | undefined;
  /** Closer, and moved aside. */
  look?: Look | undefined;
  /** Draws on the sheet above everything else; the pack is then its own. */
  overlay?: ((sheet: Sheet) => ReactNode) | undefined;
  /** What stands along the sheet's head. */
  tools?: ReactNode;
  /** Without a title block, for many on a page. */
  plain?: boolean;
  /** How far it is built: what is off, loose or tight. Absent, it is drawn as it will be. */
  things?: Partial<Record<StepThing, ThingState>> | undefined;
}

const thingClass = (state: ThingState | undefined): string =>
  state === 'off' ? 'thing-off' : state === 'loose' ? 'thing-loose' : '';

/** The donor to scale, from its own measurements, with what each stage writes on it. */
export function BikeDrawing({
  plan,
  layers,
  onPick,
  sheet: sheetName,
  tall = false,
  geometry,
  look,
  overlay,
  tools,
  plain = false,
  things,
}: BikeDrawingProps) {
  const { ref, width, height } = useElementSize();
  const g = geometry ?? plan.drawing.geometry;
  const units = useUnits();
  const lit = useApp((state) => state.ui.lit);
  const send = useSend();
  const hatch = useId();
  const size = { width: width || 780, height: height || 390 };
  const s = lookedAt(sheetFor(plan.drawing.geometry, size), look);
  const { px } = s;
  const show = (layer: DrawingLayer): boolean => layers.includes(layer);
  const ground = Math.max(g.frontAxle.x + g.frontRadiusM, 1) + 0.08;
  const tail = -g.rearRadiusM - 0.1;

  const tubes = (layer: Tube['layer']): ReactNode => {
    const here = g.tubes.filter((t) => t.layer === layer);
    const d = (t: Tube): string => (t.curved ? curveOf(t.points) : pathOf(t.points));
    return (
      <g className={`tubes tubes-${layer}`}>
        {here.map((t) => (
          <path key={t.name} d={d(t)} className="tube-edge" strokeWidth={t.diameterM + 2 * px} />
        ))}
        {here.map((t) => (
          <path key={t.name} d={d(t)} className="tube-body" strokeWidth={Math.max(t.diameterM - 0.4 * px, 0.2 * px)} />
        ))}
      </g>
    );
  };

  const { pack } = plan.drawing;
  const wheelOf = plan.drawing.motor?.place === 'front' ? 'front wheel' : 'rear wheel';
  const motorState = things?.motor ?? things?.[wheelOf];
  // A motor that is not on it yet is not drawn.
  const motor = things && motorState !== 'loose' && motorState !== 'tight' ? null : plan.drawing.motor;
  const scale = Math.round(1 / ((0.0002645 / px) * 1) / 1) || 1;
  return (
    <figure className={`drawing${tall ? ' drawing-tall' : ''}`} aria-label="Your vehicle, drawn to scale">
      {tools}
      <div className="drawing-sheet" ref={ref}>
        <svg
          viewBox={`${s.left} ${-s.top} ${s.width} ${s.height}`}
          width={size.width}
          height={size.height}
          role="group"
          aria-label="Side view"
        >
          <defs>
            <pattern
              id={`${hatch}h`}
              width={6 * px}
              height={6 * px}
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2={6 * px} className="hatch" strokeWidth={1.1 * px} />
            </pattern>
            <pattern id={`${hatch}g`} width="0.1" height="0.1" patternUnits="userSpaceOnUse">
              <path d="M0.1 0H0V0.1" className="grid" strokeWidth={0.5 * px} fill="none" />
            </pattern>
          </defs>
          <rect x={s.left} y={-s.top} width={s.width} height={s.height} fill={`url(#${hatch}g)`} />
          <Ground from={tail} to={ground} px={px} />

          <g className={thingClass(things?.['rear wheel'])}>
            {g.pairedRear ? (
              <Wheel
                at={{ x: g.rearAxle.x - 0.035, y: g.rearAxle.y + 0.012 }}
                radius={g.rearRadiusM}
                tyre={g.rearTyre}
                px={px}
                far
              />
            ) : null}
            <Wheel at={g.rearAxle} radius={g.rearRadiusM} tyre={g.rearTyre} px={px} />
          </g>
          <g className={thingClass(things?.['front wheel'])}>
            {g.pairedFront ? (
              <Wheel
                at={{ x: g.frontAxle.x + 0.035, y: g.frontAxle.y + 0.012 }}
                radius={g.frontRadiusM}
                tyre={g.frontTyre}
                px={px}
                far
              />
            ) : null}
            <Wheel at={g.frontAxle} radius={g.frontRadiusM} tyre={g.frontTyre} px={px} />
          </g>
          {motor && show('parts') && motor.place !== 'mid' ? (
            <HubMotor
              at={motor.place === 'rear' ? g.rearAxle : motor.centre}
              radius={motor.radiusM}
              px={px}
              hatch={`${hatch}h`}
            />
          ) : null}

          {tubes('behind')}
          <Rack plan={plan} px={px} />
          {tubes('frame')}
          {motor && show('parts') && motor.place === 'mid' ? (
            <MidMotor at={motor.centre} radius={motor.radiusM} px={px} hatch={`${hatch}h`} />
          ) : null}
          {tubes('fork')}
          {tubes('bar')}
          {g.shell ? (
            <path d={curveOf([...g.shell, ...g.shell.slice(0, 1)])} className="shell" strokeWidth={1.5 * px} />
          ) : null}
          {g.box ? <path d={pathOf(g.box, true)} className="box" strokeWidth={1.5 * px} /> : null}

          <Chain plan={plan} g={g} px={px} off={things?.chain === 'off'} bare={things?.cranks === 'off'} />
          {g.secondCrank ? <SecondCranks plan={plan} px={px} /> : null}
          {g.shock ? <Shock from={g.shock.from} to={g.shock.to} px={px} /> : null}
          {g.hinge ? <Hinge at={g.hinge} px={px} /> : null}
          {g.seat ? <SlungSeat points={g.seat} px={px} /> : <Saddle at={g.saddle} px={px} />}
          {g.secondSaddle ? <Saddle at={g.secondSaddle} px={px} /> : null}
          <Grip plan={plan} px={px} />
          {show('rider') ? <Contacts points={[g.saddle, g.grip, g.pedal]} px={px} /> : null}

          {pack && show('parts') && !overlay ? (
            <g className={`pack pack-${pack.verdict}`}>
              {pack.slidOff ? (
                <path
                  d={pathOf(pack.slidOff, true)}
                  className="pack-slid"
                  strokeWidth={1 * px}
                  strokeDasharray={`${4 * px} ${3 * px}`}
                />
              ) : null}
              <path d={pathOf(pack.outline, true)} className="pack-body" strokeWidth={2 * px} />
              <path d={pathOf(pack.outline, true)} fill={`url(#${hatch}h)`} stroke="none" />
            </g>
          ) : null}

          {show('sizes')
            ? g.dimensions.map((line) => (
                <DimensionMark
                  key={line.item}
                  line={line}
                  px={px}
                  units={units}
                  lit={lit === line.item}
                  onPick={() => {
                    send(uiActions.itemLit(line.item));
                    onPick?.(line.item);
                  }}
                />
              ))
            : null}

          {show('parts') && size.width > 560 && !look && !things ? <PartCallOuts plan={plan} s={s} /> : null}
        </svg>
        {overlay ? (
          <svg
            className="overlay-sheet"
            viewBox={`${s.left} ${-s.top} ${s.width} ${s.height}`}
            width={size.width}
            height={size.height}
            role="group"
            aria-label="On the drawing"
          >
            {overlay(s)}
          </svg>
        ) : null}
      </div>
      {plain ? null : (
        <figcaption className="title-block">
          <span>
            1 : {scale} here, grid {amountText(amount(0.1, 'size'), units)}
          </span>
          <span>
            {plan.donor.progress.proven} of {plan.donor.progress.total} measured
          </span>
          <span>{sheetName}</span>
        </figcaption>
      )}
      {g.problem ? <p className="drawing-problem">{g.problem}</p> : null}
    </figure>
  );
}

function PartCallOuts({ plan, s }: { plan: ChosenPlan; s: { left: number; top: number; width: number; px: number } }) {
  const units = useUnits();
  const { motor, pack, geometry: g } = plan.drawing;
  const { px } = s;
  const leftX = s.left + 16 * px;
  const rightX = s.left + s.width - 16 * px;
  return (
    <>
      {motor ? (
        <CallOut
          from={
            motor.place === 'mid'
              ? { x: motor.centre.x, y: motor.centre.y - motor.radiusM * 0.8 }
              : {
                  x: motor.centre.x + (motor.place === 'front' ? 1 : -1) * motor.radiusM * 0.75,
                  y: motor.centre.y + motor.radiusM * 0.6,
                }
          }
          to={
            motor.place === 'rear'
              ? { x: leftX, y: g.rearAxle.y + g.rearRadiusM + 0.07 }
              : motor.place === 'front'
                ? { x: rightX, y: g.frontAxle.y + g.frontRadiusM + 0.05 }
                : { x: leftX, y: g.rearAxle.y + g.rearRadiusM + 0.07 }
          }
          side={motor.place === 'front' ? 'right' : 'left'}
          lines={[motor.name, motor.place === 'mid' ? 'at the bottom bracket' : `${motor.place} wheel`]}
          px={px}
        />
      ) : null}
      {pack ? (
        <CallOut
          from={centreOf(pack.outline)}
          to={
            pack.place === 'rack' || (pack.place === 'box' && g.pairedRear)
              ? { x: leftX, y: Math.max(g.saddle.y - 0.02, s.top - 0.2) }
              : { x: rightX, y: Math.min(g.headTop.y + 0.0, s.top - 0.12) }
          }
          side={pack.place === 'rack' || (pack.place === 'box' && g.pairedRear) ? 'left' : 'right'}
          lines={[
            pack.name,
            pack.clearanceM === null || pack.clearanceM >= AMPLE - 0.001
              ? packPlaceWords[pack.place]
              : pack.clearanceM < 0
                ? `${amountText(amount(-pack.clearanceM, 'size', units === 'metric' ? 0 : 2), units)} too big`
                : `${amountText(amount(pack.clearanceM, 'size', units === 'metric' ? 0 : 2), units)} at the tightest`,
          ]}
          tone={pack.verdict}
          px={px}
        />
      ) : null}
    </>
  );
}

function centreOf(points: readonly Point[]): Point {
  return {
    x: points.reduce((sum, p) => sum + p.x, 0) / points.length,
    y: points.reduce((sum, p) => sum + p.y, 0) / points.length,
  };
}

function Ground({ from, to, px }: { from: number; to: number; px: number }) {
  const step = 9 * px;
  const count = Math.floor((to - from) / step);
  return (
    <g className="ground">
      <line x1={from} y1={0} x2={to} y2={0} strokeWidth={1.4 * px} />
      {Array.from({ length: count }, (_, i) => (
        <line
          key={i}
          x1={from + (i + 1) * step}
          y1={0.8 * px}
          x2={from + i * step + 2 * px}
          y2={7 * px}
          strokeWidth={0.6 * px}
        />
      ))}
    </g>
  );
}

function HubMotor({ at, radius, px, hatch }: { at: Point; radius: number; px: number; hatch: string }) {
  return (
    <g className="motor" transform={`translate(${at.x} ${-at.y})`}>
      <circle r={radius} className="motor-body" strokeWidth={1.8 * px} />
      <circle r={radius} fill={`url(#${hatch})`} stroke="none" />
      <circle r={radius * 0.82} className="line thin" strokeWidth={0.8 * px} />
      <circle r={0.016} className="solid" strokeWidth={1.2 * px} />
      <circle r={0.006} className="ink-fill" />
    </g>
  );
}

/** The case of a mid-drive: round the bracket, and forward under the down tube. */
function MidMotor({ at, radius, px, hatch }: { at: Point; radius: number; px: number; hatch: string }) {
  const r = radius * 0.6;
  const far = { x: r * 2.1, y: radius * 0.35 };
  const R = radius * 0.82;
  const d = `M0 ${-r}L${far.x} ${far.y - R}A${R} ${R} 0 0 1 ${far.x} ${far.y + R}L0 ${r}A${r} ${r} 0 0 1 0 ${-r}Z`;
  return (
    <g className="motor" transform={`translate(${at.x} ${-at.y})`}>
      <path d={d} className="motor-body" strokeWidth={1.8 * px} />
      <path d={d} fill={`url(#${hatch})`} stroke="none" />
      <circle cx={far.x} cy={far.y} r={R * 0.66} className="line thin" strokeWidth={0.9 * px} />
    </g>
  );
}

function Rack({ plan, px }: { plan: ChosenPlan; px: number }) {
  const { geometry: g, pack } = plan.drawing;
  if (pack?.place === 'basket') return <FrontCarrier plan={plan} px={px} />;
  if (pack?.place !== 'rack') return null;
  const { from, to } = g.rackDeck;
  const stay = { x: (from.x + to.x) / 2, y: from.y };
  return (
    <g className="rack">
      {[
        pathOf([from, to]),
        pathOf([stay, { x: g.rearAxle.x + 0.005, y: g.rearAxle.y + 0.02 }]),
        pathOf([from, { x: g.rearAxle.x, y: g.rearAxle.y + 0.02 }]),
      ].map((d) => (
        <path key={d} d={d} className="rack-bar" strokeWidth={2.6 * px} />
      ))}
    </g>
  );
}

/** A carrier over the front wheel, with its stays. */
function FrontCarrier({ plan, px }: { plan: ChosenPlan; px: number }) {
  const { geometry: g } = plan.drawing;
  const y = g.frontAxle.y + g.frontRadiusM + 0.06;
  const [a, b] = [
    { x: g.frontAxle.x - 0.1, y },
    { x: g.frontAxle.x + 0.22, y },
  ];
  return (
    <g className="rack">
      {[
        pathOf([{ x: a.x - 0.02, y: y + 0.16 }, a, b, { x: b.x + 0.03, y: y + 0.16 }]),
        pathOf([
          { x: b.x - 0.04, y },
          { x: g.frontAxle.x, y: g.frontAxle.y + 0.02 },
        ]),
      ].map((d) => (
        <path key={d} d={d} className="rack-bar" strokeWidth={2.6 * px} />
      ))}
    </g>
  );
}

function Chain({
  plan,
  g,
  px,
  off = false,
  bare = false,
}: {
  plan: ChosenPlan;
  g: DonorGeometry;
  px: number;
  /** The chain is off; the cranks are. */
  off?: boolean;
  bare?: boolean;
}) {
  const { ringRadiusM: R, cogRadiusM: r } = plan.drawing;
  const d = Math.hypot(g.bracket.x - g.rearAxle.x, g.bracket.y - g.rearAxle.y);
  const base = Math.atan2(g.bracket.y - g.rearAxle.y, g.bracket.x - g.rearAxle.x);
  const lean = Math.asin(Math.max(-1, Math.min(1, (R - r) / d)));
  const tangent = (sign: 1 | -1): [Point, Point] => {
    const a = base + sign * (Math.PI / 2 + lean);
    return [
      { x: g.rearAxle.x + r * Math.cos(a), y: g.rearAxle.y + r * Math.sin(a) },
      { x: g.bracket.x + R * Math.cos(a), y: g.bracket.y + R * Math.sin(a) },
    ];
  };
  const crank = { x: g.pedal.x - g.bracket.x, y: -(g.pedal.y - g.bracket.y) };
  return (
    <g className="chain">
      {(off ? [] : [tangent(1), tangent(-1)]).map(([a, b]) => (
        <path
          key={a.y}
          d={pathOf([a, b])}
          className="chain-run"
          strokeWidth={1.9 * px}
          strokeDasharray={`${3.2 * px} ${1.8 * px}`}
        />
      ))}
      <circle
        cx={g.rearAxle.x}
        cy={-g.rearAxle.y}
        r={r}
        className="line"
        strokeWidth={1.8 * px}
        strokeDasharray={`${2.4 * px} ${1.6 * px}`}
        fill="none"
      />
      <g transform={`translate(${g.bracket.x} ${-g.bracket.y})`} className={bare ? 'thing-off' : ''}>
        <circle r={R} className="line" strokeWidth={2 * px} strokeDasharray={`${2.6 * px} ${1.7 * px}`} fill="none" />
        <circle r={R * 0.88} className="line thin" strokeWidth={0.9 * px} fill="none" />
        <line x1={0} y1={0} x2={-crank.x} y2={-crank.y} className="crank crank-far" strokeWidth={0.012} />
        <circle r={0.02} className="solid" strokeWidth={1.2 * px} />
        <line x1={0} y1={0} x2={crank.x} y2={crank.y} className="crank" strokeWidth={0.018} />
        <line
          x1={crank.x - 0.045}
          y1={crank.y}
          x2={crank.x + 0.045}
          y2={crank.y}
          className="crank"
          strokeWidth={0.016}
        />
        <circle r={0.007} className="bore" />
      </g>
    </g>
  );
}

/** A tandem's front cranks, with the chain between the two. */
function SecondCranks({ plan, px }: { plan: ChosenPlan; px: number }) {
  const { geometry: g, ringRadiusM: R } = plan.drawing;
  const at = g.secondCrank;
  if (!at) return null;
  const r = R * 0.72;
  const crank = { x: g.pedal.x - g.bracket.x, y: g.bracket.y - g.pedal.y };
  return (
    <g className="chain">
      {[r, -r].map((up) => (
        <path
          key={up}
          d={pathOf([
            { x: g.bracket.x, y: g.bracket.y + up },
            { x: at.x, y: at.y + up },
          ])}
          className="chain-run"
          strokeWidth={1.9 * px}
          strokeDasharray={`${3.2 * px} ${1.8 * px}`}
        />
      ))}
      <g transform={`translate(${at.x} ${-at.y})`}>
        <circle r={r} className="line" strokeWidth={2 * px} strokeDasharray={`${2.6 * px} ${1.7 * px}`} fill="none" />
        <line x1={0} y1={0} x2={-crank.x} y2={-crank.y} className="crank crank-far" strokeWidth={0.012} />
        <circle r={0.02} className="solid" strokeWidth={1.2 * px} />
        <line x1={0} y1={0} x2={crank.x} y2={crank.y} className="crank" strokeWidth={0.018} />
        <line
          x1={crank.x - 0.045}
          y1={crank.y}
          x2={crank.x + 0.045}
          y2={crank.y}
          className="crank"
          strokeWidth={0.016}
        />
      </g>
    </g>
  );
}

/** A shock: body, shaft and its coil. */
function Shock({ from, to, px }: { from: Point; to: Point; px: number }) {
  const run = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const along = { x: (to.x - from.x) / run, y: (to.y - from.y) / run };
  const at = (share: number, side: number): Point => ({
    x: from.x + along.x * run * share - along.y * side,
    y: from.y + along.y * run * share + along.x * side,
  });
  const coil = Array.from({ length: 9 }, (_, i) => at(0.2 + (i / 8) * 0.6, i % 2 === 0 ? 0.016 : -0.016));
  return (
    <g className="shock">
      <path d={pathOf([from, to])} className="line" strokeWidth={3 * px} />
      <path d={pathOf(coil)} className="line" strokeWidth={1.6 * px} />
      {[from, to].map((p) => (
        <circle key={p.x} cx={p.x} cy={-p.y} r={0.009} className="solid" strokeWidth={1 * px} />
      ))}
    </g>
  );
}

/** A hinge in a beam: its plates and pin. */
function Hinge({ at, px }: { at: Point; px: number }) {
  return (
    <g className="hinge" transform={`translate(${at.x} ${-at.y})`}>
      <path d="M-0.022 -0.036V0.036M0.022 -0.036V0.036" className="line" strokeWidth={2 * px} />
      <circle r={0.008} className="solid" strokeWidth={1.2 * px} />
    </g>
  );
}

/** A slung seat: the shell as a thick line with webbing across. */
function SlungSeat({ points, px }: { points: readonly Point[]; px: number }) {
  return (
    <g className="slung">
      <path d={curveOf(points)} className="slung-edge" strokeWidth={0.036} />
      <path d={curveOf(points)} className="slung-body" strokeWidth={0.036 - 2.4 * px} />
    </g>
  );
}

function Saddle({ at, px }: { at: Point; px: number }) {
  return (
    <path
      className="saddle"
      strokeWidth={1 * px}
      transform={`translate(${at.x} ${-at.y})`}
      d="M-0.135 -0.012C-0.12 -0.034 -0.07 -0.03 -0.02 -0.022L0.135 -0.012C0.15 -0.008 0.148 0.004 0.135 0.004C0.06 0.006 0.03 0.012 0 0.03C-0.03 0.046 -0.09 0.05 -0.125 0.03C-0.142 0.018 -0.142 0 -0.135 -0.012Z"
    />
  );
}

/** The rubber on the end of the bar, along its last run. */
function Grip({ plan, px }: { plan: ChosenPlan; px: number }) {
  const bar = plan.drawing.geometry.tubes.find((t) => t.name === 'bar');
  const end = bar?.points.at(-1);
  const before = bar?.points.at(-2);
  if (!bar || !end || !before) return null;
  const run = Math.hypot(end.x - before.x, end.y - before.y) || 1;
  const from = { x: end.x + ((before.x - end.x) / run) * 0.1, y: end.y + ((before.y - end.y) / run) * 0.1 };
  return <path d={pathOf([from, end])} className="grip" strokeWidth={bar.diameterM + 3 * px} />;
}

function Contacts({ points, px }: { points: readonly Point[]; px: number }) {
  return (
    <g className="contacts">
      {points.map((p) => (
        <g key={`${p.x} ${p.y}`} transform={`translate(${p.x} ${-p.y})`}>
          <circle r={6 * px} strokeWidth={1 * px} />
          <path d={`M${-9 * px} 0H${9 * px}M0 ${-9 * px}V${9 * px}`} strokeWidth={0.7 * px} />
        </g>
      ))}
    </g>
  );
}
