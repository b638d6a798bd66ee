import { amount, amountText, type BarItem, type BarSide, type ChosenPlan } from '@sprocket/core';
import { useRef, useState, type PointerEvent } from 'react';
import { useUnits } from '../store/store.ts';

const SCALE = 1150;
const MIDDLE = 0.13;
/** Straight of a bar that nobody measured, for the drawing alone, m. */
const COMMON_STRAIGHT = 0.22;

type Side = BarSide['side'];
type Order = (side: Side, order: string[]) => void;

/** The order of a side's things with one of them taken a place further in or out; grips keep the end. */
function moved(items: readonly BarItem[], id: string, by: number): string[] {
  const free = items.filter((i) => !i.fixed).map((i) => i.id as string);
  const at = free.indexOf(id);
  const to = Math.max(0, Math.min(free.length - 1, at + by));
  free.splice(to, 0, ...free.splice(at, 1));
  return free;
}

/** The bar from above: what sits on each side from its end inward, and how much of it is left. */
export function Bars({ plan, onOrder }: { plan: ChosenPlan; onOrder?: Order }) {
  const units = useUnits();
  const { kit } = plan.chosen;
  const sides = plan.wiring.bar;
  const longest = Math.max(...sides.map((s) => Math.max(s.straightM ?? COMMON_STRAIGHT, s.takenM)));
  const half = (longest + MIDDLE) * SCALE;
  return (
    <figure className="drawing drawing-tall bars" aria-label="The bar from above, to scale">
      <svg
        viewBox={`${-half - 20} -120 ${2 * half + 40} 270`}
        role="group"
        aria-label="Bar layout"
        className="bars-sheet"
      >
        {sides.map((side) => {
          const straight = side.straightM ?? COMMON_STRAIGHT;
          const k = side.side === 'left' ? -1 : 1;
          const end = k * (MIDDLE + straight) * SCALE;
          return (
            <g key={side.side}>
              <rect
                x={Math.min(0, end)}
                y={-11}
                width={Math.abs(end)}
                height={22}
                className="bar-tube"
                strokeWidth={1.4}
              />
              {side.items.map((item, i) => (
                <OnBar
                  key={item.id}
                  item={item}
                  index={i}
                  side={side}
                  end={end}
                  over={item.fromM + item.lengthM > straight + 1e-6}
                  onOrder={onOrder}
                />
              ))}
              <text
                x={k * (MIDDLE * SCALE + (straight * SCALE) / 2)}
                y={-92}
                textAnchor="middle"
                fontSize={15}
                className={side.takenM > straight ? 'bar-over' : 'bar-sum'}
              >
                {side.side}: {amountText(amount(side.takenM, 'size', 0), units)} of{' '}
                {side.straightM !== null ? '' : 'a common '}
                {amountText(amount(straight, 'size', 0), units)} straight bar
              </text>
            </g>
          );
        })}
        <rect x={-26} y={-20} width={52} height={40} className="stem-clamp" strokeWidth={1.6} />
        <text y={52} textAnchor="middle" fontSize={14} className="bar-sum">
          stem
        </text>
      </svg>
      <figcaption className="title-block">
        <span>the bar from above, ends outward</span>
        <span>{kit ? kit.name : 'no kit chosen'}</span>
        <span>{onOrder ? 'sheet 6b' : 'sheet 4c'}</span>
      </figcaption>
    </figure>
  );
}

/** One thing on the bar; where an order may be made it is dragged past its neighbours or stepped by the arrows. */
function OnBar({
  item,
  index,
  side,
  end,
  over,
  onOrder,
}: {
  item: BarItem;
  index: number;
  side: BarSide;
  end: number;
  over: boolean;
  onOrder: Order | undefined;
}) {
  const units = useUnits();
  const held = useRef<number | null>(null);
  const [shift, setShift] = useState(0);
  const k = side.side === 'left' ? -1 : 1;
  const at = (fromM: number): number => end - k * fromM * SCALE;
  const a = at(item.fromM);
  const b = at(item.fromM + item.lengthM);
  const tall = item.id === 'grip' ? 18 : item.id === 'lever' ? 22 : 20;
  const may = onOrder && !item.fixed ? onOrder : null;
  const words = `${item.what} ${amountText(amount(item.lengthM, 'size', units === 'metric' ? 0 : 2), units)}`;
  const unitsPerPixel = (event: PointerEvent<SVGGElement>): number => {
    const svg = event.currentTarget.ownerSVGElement;
    return svg ? svg.viewBox.baseVal.width / svg.getBoundingClientRect().width : 1;
  };
  const drop = (): void => {
    held.current = null;
    if (!may || shift === 0) return;
    // Inward is towards the stem: past the middle of a neighbour it takes that neighbour's place.
    const inward = (-k * shift) / SCALE;
    const middle = item.fromM + item.lengthM / 2 + inward;
    const passed = side.items.filter((other) => {
      if (other.fixed || other.id === item.id) return false;
      const theirs = other.fromM + other.lengthM / 2;
      return inward > 0 ? theirs > item.fromM && theirs < middle : theirs < item.fromM && theirs > middle;
    }).length;
    setShift(0);
    if (passed > 0) may(side.side, moved(side.items, item.id, inward > 0 ? passed : -passed));
  };
  return (
    <g
      className={`${over ? 'on-bar on-bar-over' : 'on-bar'}${may ? ' on-bar-free' : ''}`}
      transform={shift === 0 ? undefined : `translate(${shift} 0)`}
      {...(may
        ? {
            role: 'button',
            tabIndex: 0,
            // The words beneath it come first, as they stand there.
            'aria-label': `${words}, ${side.side}: arrows move it along the bar`,
            onKeyDown: (event: React.KeyboardEvent) => {
              const by = event.key === 'ArrowRight' ? -k : event.key === 'ArrowLeft' ? k : 0;
              if (by === 0) return;
              event.preventDefault();
              may(side.side, moved(side.items, item.id, by));
            },
            onPointerDown: (event: PointerEvent<SVGGElement>) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              held.current = event.clientX;
            },
            onPointerMove: (event: PointerEvent<SVGGElement>) => {
              if (held.current !== null) setShift((event.clientX - held.current) * unitsPerPixel(event));
            },
            onPointerUp: drop,
            onPointerCancel: drop,
          }
        : {})}
    >
      <rect
        x={Math.min(a, b)}
        y={-tall}
        width={Math.abs(a - b)}
        height={tall * 2}
        rx={item.id === 'grip' ? 9 : 3}
        strokeWidth={1.6}
      />
      {item.id === 'lever' ? (
        <path d={`M${(a + b) / 2} ${-tall}q${k * 14} -34 ${k * 118} -38`} className="lever-blade" strokeWidth={7} />
      ) : null}
      <path d={`M${(a + b) / 2} ${tall}V${38 + (index % 3) * 19}`} strokeWidth={0.8} />
      <text x={(a + b) / 2} y={52 + (index % 3) * 19} textAnchor="middle" fontSize={14}>
        {words}
      </text>
    </g>
  );
}
