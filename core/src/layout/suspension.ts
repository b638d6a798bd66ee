import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';

/** A swinging rear end somewhere in its travel. */
export interface SuspensionPose {
  axle: Point;
  /** Runs of tube that move, with their diameters. */
  runs: { name: string; from: Point; to: Point; diameterM: number }[];
  shock: { from: Point; to: Point } | null;
}

function turnAbout(p: Point, centre: Point, by: number): Point {
  const c = Math.cos(by);
  const s = Math.sin(by);
  const x = p.x - centre.x;
  const y = p.y - centre.y;
  return { x: centre.x + x * c - y * s, y: centre.y + x * s + y * c };
}

/** Where two circles meet, on the side of `near`; null where they do not. */
function circlesMeet(a: Point, ra: number, b: Point, rb: number, near: Point): Point | null {
  const d = lengthOf(sub(b, a));
  if (d > ra + rb || d < Math.abs(ra - rb) || d === 0) return null;
  const along = (ra * ra - rb * rb + d * d) / (2 * d);
  const up = Math.sqrt(Math.max(0, ra * ra - along * along));
  const u = { x: (b.x - a.x) / d, y: (b.y - a.y) / d };
  const one = { x: a.x + u.x * along - u.y * up, y: a.y + u.y * along + u.x * up };
  const two = { x: a.x + u.x * along + u.y * up, y: a.y + u.y * along - u.x * up };
  return lengthOf(sub(one, near)) < lengthOf(sub(two, near)) ? one : two;
}

/**
 * The rear end at a share of its travel (0 at rest, 1 at its stop), by turning the arm about its pivot and
 * following the stays to the rocker as a four-bar chain. Null on vehicles without one. Exact for links of
 * fixed length; link places themselves are as common frames have them unless drawn otherwise.
 * @param travelM how far the axle rises at its stop, m
 */
export function suspensionAt(g: DonorGeometry, travelM: number, share: number): SuspensionPose | null {
  const s = g.suspension;
  if (!s) return null;
  const arm = sub(g.rearAxle, s.pivot);
  const reach = lengthOf(arm);
  const restAngle = Math.atan2(arm.y, arm.x);
  const rise = travelM * share;
  const sine = (arm.y + rise) / reach;
  // The arm points backwards: its sine grows as the angle falls towards a quarter turn.
  const nowAngle = Math.PI - Math.asin(Math.max(-1, Math.min(1, sine)));
  const axle = turnAbout(g.rearAxle, s.pivot, nowAngle - restAngle);
  const stay = lengthOf(sub(s.rockerTail, g.rearAxle));
  const link = lengthOf(sub(s.rockerTail, s.rocker));
  const tail = circlesMeet(s.rocker, link, axle, stay, s.rockerTail) ?? s.rockerTail;
  const before = Math.atan2(s.rockerTail.y - s.rocker.y, s.rockerTail.x - s.rocker.x);
  const after = Math.atan2(tail.y - s.rocker.y, tail.x - s.rocker.x);
  const nose = turnAbout(s.rockerNose, s.rocker, after - before);
  const shock = g.shock
    ? {
        from:
          s.shockOn === 'nose'
            ? nose
            : s.shockOn === 'tail'
              ? tail
              : turnAbout(g.shock.from, s.pivot, nowAngle - restAngle),
        to: g.shock.to,
      }
    : null;
  const width = (name: string): number => g.tubes.find((t) => t.name === name)?.diameterM ?? 0.024;
  return {
    axle,
    runs: [
      { name: 'chainstay', from: s.pivot, to: axle, diameterM: width('chainstay') },
      { name: 'seat stay', from: axle, to: tail, diameterM: width('seat stay') },
      { name: 'rocker', from: tail, to: s.rocker, diameterM: width('rocker') },
      ...(s.shockOn === 'nose' ? [{ name: 'rocker', from: s.rocker, to: nose, diameterM: width('rocker') }] : []),
    ],
    shock,
  };
}

/** The whole geometry with its rear end at a share of its travel, for a drawing that moves. */
export function geometryInTravel(g: DonorGeometry, travelM: number, share: number): DonorGeometry {
  const pose = suspensionAt(g, travelM, share);
  if (!pose) return g;
  const runs = [...pose.runs];
  const tubes = g.tubes.map((t) => {
    const here = runs.filter((r) => r.name === t.name);
    if (here.length === 0) return t;
    const points = t.name === 'rocker' ? [here[0]?.from, here[0]?.to, here[1]?.to] : [here[0]?.from, here[0]?.to];
    return { ...t, points: points.filter((p) => p !== undefined) };
  });
  return { ...g, rearAxle: pose.axle, tubes, shock: pose.shock };
}
