import { steeringAxis, tube, type FrameBase, type FrameParts, type Tube } from './frame.ts';
import { add, scale, toward, type Point } from './point.ts';
import { bowed } from './chains.ts';

const up = (b: FrameBase, share: number): Point => add(b.bracket, scale(b.seatDir, b.seatTubeM * share));

/** A low main tube: by its own points, by the bow that was measured, or as such tubes commonly run. */
function mainTube(b: FrameBase, name: string, head: Point, common: Point[]): Tube {
  const { downTubeShape, tubeSag } = b.survey;
  if (b.mainTubePath) {
    const own = b.mainTubePath.map((p) => add(b.bracket, p));
    return tube(name, 'frame', b.tubeSizes.down, [...own, head], true);
  }
  if (downTubeShape?.value === 'straight') return tube(name, 'frame', b.tubeSizes.down, [b.bracket, head]);
  if (downTubeShape?.value === 'curved' && tubeSag)
    return tube(name, 'frame', b.tubeSizes.down, bowed(b.bracket, head, tubeSag.value), true);
  return tube(name, 'frame', b.tubeSizes.down, common, true);
}

/** Step-through: one low curved tube. */
export function stepThroughFrame(b: FrameBase): FrameParts {
  const { bracket } = b;
  const axis = steeringAxis(68.5);
  const headBottom = add(b.forkFoot, scale(axis, b.frontRadiusM + 0.075));
  return {
    headBottom,
    headTop: add(headBottom, scale(axis, 0.19)),
    barStyle: 'upright',
    tubes: [
      mainTube(b, 'low tube', add(headBottom, scale(axis, 0.06)), [
        bracket,
        { x: bracket.x + 0.06, y: bracket.y + 0.03 },
        { x: bracket.x + 0.24, y: bracket.y + 0.115 },
        { x: headBottom.x - 0.15, y: headBottom.y - 0.16 },
        add(headBottom, scale(axis, 0.06)),
      ]),
      tube('seat stay', 'behind', 0.018, [up(b, 0.78), b.rearAxle]),
      tube('chainstay', 'behind', 0.022, [bracket, b.rearAxle]),
    ],
  };
}

/** Folding bike: one beam with a hinge in its middle, small wheels, a long mast. */
export function foldingFrame(b: FrameBase): FrameParts {
  const { bracket } = b;
  const axis = steeringAxis(71);
  const headBottom = add(b.forkFoot, scale(axis, b.frontRadiusM + 0.1));
  const headTop = add(headBottom, scale(axis, 0.13));
  const beamFrom = up(b, 0.34);
  const beamTo = add(headBottom, scale(axis, 0.06));
  const hinge = toward(beamFrom, beamTo, 0.5);
  const mastTop = add(headTop, scale(axis, 0.29));
  return {
    headBottom,
    headTop,
    hinge,
    ownBars: true,
    holdAt: add(mastTop, { x: -0.02, y: 0.03 }),
    tubes: [
      tube('chainstay', 'behind', 0.022, [bracket, b.rearAxle]),
      tube('seat stay', 'behind', 0.016, [up(b, 0.62), b.rearAxle]),
      tube('beam', 'frame', b.tubeSizes.down, [beamFrom, beamTo]),
      tube('beam strut', 'frame', 0.024, [bracket, toward(beamFrom, beamTo, 0.34)]),
      tube('mast', 'bar', 0.032, [headTop, mastTop]),
      tube('bar', 'bar', 0.024, [mastTop, add(mastTop, { x: 0.012, y: 0.02 }), add(mastTop, { x: -0.02, y: 0.03 })]),
    ],
  };
}

/** Upright trike with two wheels behind and a basket between them. */
export function deltaFrame(b: FrameBase): FrameParts {
  const { bracket, rearAxle } = b;
  const axis = steeringAxis(69);
  const headBottom = add(b.forkFoot, scale(axis, b.frontRadiusM + 0.06));
  const headTop = add(headBottom, scale(axis, 0.2));
  return {
    headBottom,
    headTop,
    barStyle: 'upright',
    rackDeck: { from: { x: -0.3, y: rearAxle.y + 0.09 }, to: { x: 0.24, y: rearAxle.y + 0.09 } },
    box: [
      { x: -0.32, y: rearAxle.y + 0.4 },
      { x: -0.29, y: rearAxle.y + 0.11 },
      { x: 0.2, y: rearAxle.y + 0.11 },
      { x: 0.23, y: rearAxle.y + 0.4 },
    ],
    tubes: [
      mainTube(b, 'low tube', add(headBottom, scale(axis, 0.05)), [
        add(bracket, scale(b.seatDir, 0.06)),
        { x: bracket.x + 0.14, y: bracket.y + 0.075 },
        { x: headBottom.x - 0.13, y: headBottom.y - 0.1 },
        add(headBottom, scale(axis, 0.05)),
      ]),
      tube(
        'upper tube',
        'frame',
        0.025,
        [
          add(bracket, scale(b.seatDir, 0.2)),
          { x: bracket.x + 0.13, y: bracket.y + 0.2 },
          add(headTop, scale(axis, -0.04)),
        ],
        true,
      ),
      tube('axle beam', 'behind', 0.03, [bracket, { x: rearAxle.x, y: rearAxle.y + 0.01 }]),
      tube('basket stay', 'behind', 0.018, [up(b, 0.72), { x: rearAxle.x + 0.02, y: rearAxle.y + 0.02 }]),
    ],
  };
}

/** Box bike: a long beam under a box, steering by a rod. */
export function boxFrame(b: FrameBase): FrameParts {
  const { bracket, frontAxle, frontRadiusM } = b;
  const axis = steeringAxis(71);
  const steer = { x: bracket.x + 0.5, y: bracket.y + 0.46 };
  const headBottom = add(steer, scale(axis, -0.09));
  const beamFoot = { x: bracket.x + 0.42, y: bracket.y - 0.02 };
  const frontHead = { x: frontAxle.x - 0.07, y: frontAxle.y + frontRadiusM + 0.06 };
  return {
    headBottom,
    headTop: add(steer, scale(axis, 0.12)),
    barStyle: 'upright',
    ownFork: true,
    box: [
      { x: bracket.x + 0.62, y: bracket.y + 0.4 },
      { x: bracket.x + 0.66, y: bracket.y + 0.02 },
      { x: frontAxle.x - frontRadiusM - 0.1, y: bracket.y + 0.02 },
      { x: frontAxle.x - frontRadiusM + 0.02, y: bracket.y + 0.36 },
    ],
    tubes: [
      tube('down tube', 'frame', b.tubeSizes.down, [bracket, headBottom]),
      tube('upper tube', 'frame', 0.03, [up(b, 0.62), steer]),
      tube(
        'main beam',
        'frame',
        0.05,
        [bracket, beamFoot, { x: frontAxle.x - frontRadiusM - 0.17, y: bracket.y - 0.02 }, frontHead],
        true,
      ),
      tube('front fork', 'fork', 0.024, [frontHead, frontAxle]),
      tube('seat stay', 'behind', 0.018, [up(b, 0.9), b.rearAxle]),
      tube('chainstay', 'behind', 0.022, [bracket, b.rearAxle]),
      tube('head strut', 'frame', 0.03, [beamFoot, headBottom]),
    ],
  };
}

/** Box trike: a box between two front wheels that turns with them about a pin under its floor, pushed by a bar behind it. */
export function boxTrikeFrame(b: FrameBase): FrameParts {
  const { bracket, frontAxle, rearAxle } = b;
  const pin = { x: frontAxle.x - 0.06, y: frontAxle.y + 0.06 };
  const floor = frontAxle.y + 0.12;
  const rear = frontAxle.x - 0.42;
  const push = { x: rear - 0.2, y: floor + 0.66 };
  return {
    headBottom: pin,
    headTop: { x: pin.x - 0.02, y: pin.y + 0.1 },
    ownFork: true,
    ownBars: true,
    holdAt: push,
    box: [
      { x: rear - 0.06, y: floor + 0.46 },
      { x: rear, y: floor },
      { x: frontAxle.x + 0.34, y: floor },
      { x: frontAxle.x + 0.42, y: floor + 0.46 },
    ],
    tubes: [
      mainTube(b, 'main beam', pin, [
        add(bracket, scale(b.seatDir, 0.1)),
        { x: bracket.x + 0.2, y: bracket.y + 0.08 },
        { x: pin.x - 0.2, y: pin.y - 0.02 },
        pin,
      ]),
      tube('seat stay', 'behind', 0.018, [up(b, 0.9), rearAxle]),
      tube('chainstay', 'behind', 0.022, [bracket, rearAxle]),
      tube('bar', 'bar', 0.024, [{ x: rear - 0.04, y: floor + 0.3 }, { x: rear - 0.08, y: floor + 0.56 }, push]),
    ],
  };
}
