import type { Survey } from '../donor/donor.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';

/** A thing seen from above: x forward from the rear axle, z to the right of the middle, m. */
export interface PlanShape {
  id: string;
  kind: 'wheel' | 'tube' | 'box' | 'pack' | 'bar' | 'saddle' | 'rack' | 'crank' | 'motor';
  points: { x: number; z: number }[];
  /** For tubes, their thickness. */
  thickM?: number;
}

const rect = (x: number, z: number, long: number, wide: number): PlanShape['points'] => [
  { x: x - long / 2, z: z - wide / 2 },
  { x: x + long / 2, z: z - wide / 2 },
  { x: x + long / 2, z: z + wide / 2 },
  { x: x - long / 2, z: z + wide / 2 },
];

/** Width of a box or a basket that nobody measured, m. Source: project, common ones. */
const BOX_WIDTH = 0.56;

/** The vehicle from above, as far as its side view and widths tell. */
export function planView(
  g: DonorGeometry,
  survey: Survey,
  pack: { outline: readonly Point[]; widthM: number } | null,
  motor: { centre: Point; radiusM: number } | null,
): PlanShape[] {
  const out: PlanShape[] = [];
  const wheels = (id: string, axle: Point, radius: number, wide: number, paired: boolean): void => {
    for (const z of paired ? [-g.trackM / 2, g.trackM / 2] : [0])
      out.push({ id: `${id} ${z}`, kind: 'wheel', points: rect(axle.x, z, radius * 2, wide) });
    if (paired)
      out.push({
        id: `${id} axle`,
        kind: 'tube',
        thickM: 0.025,
        points: [
          { x: axle.x, z: -g.trackM / 2 },
          { x: axle.x, z: g.trackM / 2 },
        ],
      });
  };
  if (g.box) {
    const xs = g.box.map((p) => p.x);
    const long = Math.max(...xs) - Math.min(...xs);
    const wide = g.trackM > 0 ? Math.min(BOX_WIDTH, g.trackM - 0.12) : BOX_WIDTH;
    out.push({ id: 'box', kind: 'box', points: rect((Math.max(...xs) + Math.min(...xs)) / 2, 0, long, wide) });
  } else
    out.push({
      id: 'rack',
      kind: 'rack',
      points: rect((g.rackDeck.from.x + g.rackDeck.to.x) / 2, 0, g.rackDeck.to.x - g.rackDeck.from.x, 0.12),
    });
  wheels('rear', g.rearAxle, g.rearRadiusM, g.rearTyre.widthM, g.pairedRear);
  wheels('front', g.frontAxle, g.frontRadiusM, g.frontTyre.widthM, g.pairedFront);
  const rearGap = g.pairedRear ? 0 : (survey.rearDropoutSpacing?.value ?? 0.132) / 2;
  for (const t of g.tubes) {
    const xs = t.points.map((p) => p.x);
    if (t.layer === 'behind' && rearGap > 0)
      for (const side of [-1, 1])
        out.push({
          id: `${t.name} ${side}`,
          kind: 'tube',
          thickM: t.diameterM * 0.9,
          points: t.points.map((p) => ({
            x: p.x,
            z:
              side *
              (0.028 +
                (rearGap - 0.028) *
                  Math.max(0, Math.min(1, 1 - (p.x - g.rearAxle.x) / Math.max(0.1, Math.max(...xs) - g.rearAxle.x)))),
          })),
        });
    else if (t.layer === 'frame')
      out.push({ id: t.name, kind: 'tube', thickM: t.diameterM, points: t.points.map((p) => ({ x: p.x, z: 0 })) });
  }
  const crank = survey.crankLength?.value ?? 0.17;
  const apart = (survey.crankWidth?.value ?? 0.15) / 2;
  for (const side of [-1, 1]) {
    out.push({
      id: `crank ${side}`,
      kind: 'crank',
      thickM: 0.015,
      points: [
        { x: g.bracket.x, z: side * apart },
        { x: g.bracket.x + side * crank, z: side * (apart + 0.012) },
      ],
    });
    out.push({
      id: `pedal ${side}`,
      kind: 'crank',
      points: rect(g.bracket.x + side * crank, side * (apart + 0.06), 0.09, 0.085),
    });
  }
  const left = survey.barLeft?.value ?? 0.22;
  const right = survey.barRight?.value ?? 0.22;
  const half = 0.06;
  const sweep = survey.barShape?.value === 'flat' ? 0.03 : 0.14;
  if (g.grip.y > g.bracket.y)
    out.push({
      id: 'bar',
      kind: 'bar',
      thickM: 0.022,
      points: [
        { x: g.grip.x, z: -(half + left) },
        { x: g.grip.x + sweep, z: -half },
        { x: g.grip.x + sweep, z: half },
        { x: g.grip.x, z: half + right },
      ],
    });
  if (g.seat) {
    const xs = g.seat.map((p) => p.x);
    out.push({
      id: 'seat',
      kind: 'saddle',
      points: rect((Math.min(...xs) + Math.max(...xs)) / 2, 0, Math.max(...xs) - Math.min(...xs), 0.36),
    });
  } else
    out.push({
      id: 'saddle',
      kind: 'saddle',
      points: [
        { x: g.saddle.x - 0.13, z: -0.075 },
        { x: g.saddle.x - 0.02, z: -0.06 },
        { x: g.saddle.x + 0.13, z: -0.016 },
        { x: g.saddle.x + 0.13, z: 0.016 },
        { x: g.saddle.x - 0.02, z: 0.06 },
        { x: g.saddle.x - 0.13, z: 0.075 },
      ],
    });
  if (motor)
    out.push({
      id: 'motor',
      kind: 'motor',
      points: rect(
        motor.centre.x,
        g.trackM > 0 && motor.centre === g.frontAxle && g.pairedFront ? -g.trackM / 2 : 0,
        motor.radiusM * 2,
        0.11,
      ),
    });
  if (pack) {
    const xs = pack.outline.map((p) => p.x);
    out.push({
      id: 'pack',
      kind: 'pack',
      points: rect((Math.min(...xs) + Math.max(...xs)) / 2, 0, Math.max(...xs) - Math.min(...xs), pack.widthM),
    });
  }
  return out;
}
