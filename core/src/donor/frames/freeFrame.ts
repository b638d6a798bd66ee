import type { FreeFrame } from '../donor.ts';
import { steeringAxis, tube, type FrameBase, type FrameParts } from './frame.ts';
import { add, scale } from './point.ts';

/**
 * A home-built vehicle from its own corners and tubes. Without any, a bare beam from bracket to head
 * stands in, so that there is something to measure against.
 */
export function freeFrame(b: FrameBase, free: FreeFrame | null): FrameParts {
  const axis = steeringAxis(70);
  const named = (word: string) => free?.corners.find((c) => c.name.toLowerCase().includes(word));
  const head = named('head');
  const headBottom = head ? { x: head.xM, y: head.yM } : add(b.forkFoot, scale(axis, b.frontRadiusM + 0.08));
  const corner = (i: number) => {
    const c = free?.corners[i];
    return c ? { x: c.xM, y: c.yM } : null;
  };
  const own = (free?.tubes ?? []).flatMap((t, i) => {
    const from = corner(t.from);
    const to = corner(t.to);
    return from && to ? [tube(`tube ${i + 1}`, 'frame', t.diameterM, [from, to])] : [];
  });
  return {
    headBottom,
    headTop: add(headBottom, scale(axis, 0.15)),
    barStyle: 'upright',
    tubes:
      own.length > 0
        ? own
        : [
            tube('beam', 'frame', 0.04, [b.bracket, headBottom]),
            tube('chainstay', 'behind', 0.022, [b.bracket, b.rearAxle]),
            tube('seat stay', 'behind', 0.018, [add(b.bracket, scale(b.seatDir, b.seatTubeM * 0.85)), b.rearAxle]),
          ],
  };
}
