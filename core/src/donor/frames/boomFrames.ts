import { steeringAxis, tube, type FrameBase, type FrameParts } from './frame.ts';
import { add, scale, toward, type Point } from './point.ts';

/** A slung seat: from the nose of its base back to the top of its back. */
function slungSeat(base: Point, backTop: Point): Point[] {
  return [
    { x: base.x + 0.3, y: base.y + 0.035 },
    { x: base.x + 0.15, y: base.y },
    base,
    { x: base.x - 0.05, y: base.y + 0.03 },
    toward(base, backTop, 0.55),
    backTop,
  ];
}

/** Recumbent on two wheels: cranks on a boom ahead of the front wheel, the rider lying back. */
export function recumbentFrame(b: FrameBase): FrameParts {
  const { bracket, rearAxle, frontAxle } = b;
  const axis = steeringAxis(70);
  const headBottom = add({ x: frontAxle.x - 0.03, y: frontAxle.y }, scale(axis, b.frontRadiusM + 0.05));
  const headTop = add(headBottom, scale(axis, 0.14));
  const seatHeight = b.survey.seatHeight?.value ?? 0.5;
  const base = { x: rearAxle.x + 0.42, y: seatHeight };
  const backTop = { x: base.x - 0.34, y: seatHeight + 0.5 };
  const knee = { x: base.x + 0.16, y: seatHeight - 0.06 };
  const grip = { x: base.x + 0.38, y: seatHeight + 0.3 };
  return {
    headBottom,
    headTop,
    seat: slungSeat(base, backTop),
    sitAt: add(base, { x: 0.04, y: 0.02 }),
    holdAt: grip,
    ownBars: true,
    tubes: [
      tube('stay', 'behind', 0.022, [knee, rearAxle]),
      tube('seat stay', 'behind', 0.016, [toward(base, backTop, 0.7), { x: rearAxle.x + 0.01, y: rearAxle.y + 0.02 }]),
      tube('main beam', 'frame', 0.048, [
        { x: base.x - 0.05, y: seatHeight - 0.05 },
        knee,
        headTop,
        add(bracket, { x: -0.05, y: 0 }),
      ]),
      tube('boom', 'frame', 0.044, [toward(headTop, bracket, 0.2), bracket]),
      tube(
        'mast',
        'bar',
        0.026,
        [headTop, { x: headTop.x - 0.1, y: headTop.y + 0.14 }, { x: grip.x + 0.03, y: grip.y + 0.03 }],
        true,
      ),
      tube('bar', 'bar', 0.022, [{ x: grip.x + 0.03, y: grip.y + 0.03 }, add(grip, { x: 0.01, y: 0.05 }), grip]),
    ],
  };
}

/** Recumbent trike: two wheels in front on a cross beam, one behind. */
export function tadpoleFrame(b: FrameBase): FrameParts {
  const { bracket, rearAxle, frontAxle } = b;
  const seatHeight = b.survey.seatHeight?.value ?? 0.28;
  const base = { x: frontAxle.x - 0.52, y: seatHeight };
  const backTop = { x: base.x - 0.4, y: seatHeight + 0.44 };
  const cross = { x: frontAxle.x - 0.02, y: frontAxle.y + 0.03 };
  const knee = { x: base.x - 0.1, y: seatHeight - 0.1 };
  const hold = { x: base.x + 0.24, y: seatHeight + 0.2 };
  const headBottom = { x: frontAxle.x, y: frontAxle.y };
  return {
    headBottom,
    headTop: { x: frontAxle.x - 0.03, y: frontAxle.y + 0.12 },
    seat: slungSeat(base, backTop),
    sitAt: add(base, { x: 0.04, y: 0.02 }),
    holdAt: hold,
    ownBars: true,
    ownFork: true,
    tubes: [
      tube('stay', 'behind', 0.024, [knee, rearAxle]),
      tube('seat stay', 'behind', 0.016, [toward(base, backTop, 0.66), { x: rearAxle.x + 0.02, y: rearAxle.y + 0.03 }]),
      tube('main beam', 'frame', 0.045, [knee, { x: base.x + 0.24, y: seatHeight - 0.13 }, cross, bracket]),
      tube('side stick', 'bar', 0.022, [
        { x: cross.x - 0.16, y: cross.y - 0.03 },
        { x: hold.x + 0.02, y: hold.y - 0.12 },
        hold,
      ]),
    ],
  };
}

/** A tadpole trike in a shell: the same frame, with the outline of what covers it, from the tail round by the nose. */
export function velomobileFrame(b: FrameBase): FrameParts {
  const parts = tadpoleFrame(b);
  const { rearAxle, frontAxle, bracket, rearRadiusM } = b;
  const seatHeight = b.survey.seatHeight?.value ?? 0.28;
  const shoulder = { x: frontAxle.x - 0.86, y: seatHeight + 0.5 };
  return {
    ...parts,
    shell: [
      { x: rearAxle.x - rearRadiusM - 0.22, y: rearAxle.y + 0.18 },
      { x: rearAxle.x - 0.02, y: rearAxle.y + rearRadiusM + 0.2 },
      { x: shoulder.x - 0.12, y: shoulder.y },
      { x: shoulder.x + 0.14, y: shoulder.y - 0.02 },
      { x: frontAxle.x - 0.1, y: bracket.y + 0.3 },
      { x: bracket.x - 0.02, y: bracket.y + 0.24 },
      { x: bracket.x + 0.3, y: bracket.y + 0.02 },
      { x: bracket.x + 0.2, y: 0.16 },
      { x: frontAxle.x, y: 0.12 },
      { x: rearAxle.x + rearRadiusM, y: 0.12 },
      { x: rearAxle.x - rearRadiusM - 0.1, y: 0.18 },
    ],
  };
}
