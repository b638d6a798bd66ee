import type { MiniDrawing, Point } from '@sprocket/core';
import { curveOf, pathOf } from './frame.ts';
import './mini.css';

/** What a drawing takes up, m, the ground at nought. */
export interface Extent {
  left: number;
  right: number;
  top: number;
}

/** What a side view takes up, with a margin. */
export function extentOf({ geometry: g, pack }: MiniDrawing): Extent {
  const covers = [...(g.box ?? []), ...(g.shell ?? [])];
  return {
    left: Math.min(-g.rearRadiusM, ...covers.map((p) => p.x)) - 0.04,
    right: Math.max(g.frontAxle.x + g.frontRadiusM, ...covers.map((p) => p.x)) + 0.04,
    top: Math.max(g.saddle.y, g.grip.y, g.headTop.y, ...(pack?.outline ?? []).map((p) => p.y)) + 0.08,
  };
}

/** What several take up together: drawn in it, all are to one scale. */
export function extentOfAll(drawings: readonly MiniDrawing[]): Extent {
  const each = drawings.map(extentOf);
  return {
    left: Math.min(...each.map((e) => e.left)),
    right: Math.max(...each.map((e) => e.right)),
    top: Math.max(...each.map((e) => e.top)),
  };
}

/** Share of the width that a line is: thin as on the sheet where it is drawn large. */
const LINE = 1 / 110;
const THIN_LINE = 1 / 300;

/**
 * A small side view: lines only, with motor and a pack where they would sit.
 * @param extent what it is drawn in, where others are drawn to the same scale
 */
export function MiniBike({
  drawing,
  outline,
  verdict,
  extent,
}: {
  drawing: MiniDrawing;
  outline?: readonly Point[];
  verdict?: string;
  extent?: Extent;
}) {
  const { geometry: g, motor, pack } = drawing;
  const { left, right, top } = extent ?? extentOf(drawing);
  const shape = outline ?? pack?.outline;
  const tone = verdict ?? pack?.verdict ?? 'measure';
  const w = (right - left) * (extent ? THIN_LINE : LINE);
  return (
    <svg
      className="mini"
      viewBox={`${left} ${-top} ${right - left} ${top + 0.03}`}
      aria-hidden="true"
      focusable="false"
    >
      <circle cx={g.rearAxle.x} cy={-g.rearAxle.y} r={g.rearRadiusM - w} className="mini-wheel" strokeWidth={2 * w} />
      <circle
        cx={g.frontAxle.x}
        cy={-g.frontAxle.y}
        r={g.frontRadiusM - w}
        className="mini-wheel"
        strokeWidth={2 * w}
      />
      {g.tubes.map((t) => (
        <path
          key={t.name}
          d={t.curved ? curveOf(t.points) : pathOf(t.points)}
          className="mini-tube"
          strokeWidth={1.4 * w}
        />
      ))}
      {g.shell ? (
        <path d={curveOf([...g.shell, ...g.shell.slice(0, 1)])} className="mini-tube" strokeWidth={1.2 * w} />
      ) : null}
      {g.box ? <path d={pathOf(g.box, true)} className="mini-tube" strokeWidth={1.2 * w} /> : null}
      <path d={`M${g.saddle.x - 0.13} ${-g.saddle.y}H${g.saddle.x + 0.13}`} className="mini-tube" strokeWidth={3 * w} />
      {motor ? (
        <circle
          cx={motor.centre.x}
          cy={-motor.centre.y}
          r={Math.max(0.055, motor.radiusM)}
          className="mini-motor"
          strokeWidth={1.2 * w}
        />
      ) : null}
      {shape ? <path d={pathOf(shape, true)} className={`mini-pack tone-${tone}`} strokeWidth={1.6 * w} /> : null}
    </svg>
  );
}
