import type { Point } from '../../donor/geometry.ts';
import type { Finding } from '../../fit/finding.ts';
import { holdsBack } from '../../fit/override.ts';
import { motorPlace } from '../../parts/kit.ts';
import { helpOf, type Help } from '../../vehicle/assist.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** Where the chosen motor sits on the drawing. */
export interface MotorDrawing {
  place: 'front' | 'rear' | 'mid';
  centre: Point;
  radiusM: number;
  name: string;
}

/** What the drive comes to. */
export interface DrivePart {
  motor: MotorDrawing | null;
  /** How the motor helps, and at which of the kit's steps; null where nothing can be ridden. */
  help: Help | null;
  /** Findings that an order of the chosen kit waits for. */
  holdingBack: Finding[];
}

/** Radius a hub is drawn with, geared and direct, and a mid-drive whose case is not known, m. Source: common cases. */
const GEARED_RADIUS = 0.062;
const DIRECT_RADIUS = 0.112;
const MID_RADIUS = 0.06;

/** Where the motor in question sits; null without a kit. */
export function motorDrawing({ kit, geometry }: Pick<PlanContext, 'kit' | 'geometry'>): MotorDrawing | null {
  if (!kit) return null;
  const place = motorPlace(kit);
  const hubRadius = kit.motor.freewheels ? GEARED_RADIUS : DIRECT_RADIUS;
  return {
    place,
    centre: place === 'front' ? geometry.frontAxle : place === 'rear' ? geometry.rearAxle : geometry.bracket,
    radiusM: place === 'mid' ? (kit.mid?.hangsBelowM ?? MID_RADIUS) : hubRadius,
    name: kit.name,
  };
}

export const driveStage: PlanStage<'drive', DrivePart> = {
  id: 'drive',
  rules: rulesOf('drive'),
  plan: (context, _earlier, { here }) => {
    const { kit, build, reckoning } = context;
    if (!kit) return { motor: null, help: null, holdingBack: [] };
    return {
      motor: motorDrawing(context),
      help: reckoning ? helpOf(build, kit, reckoning.system) : null,
      holdingBack: holdsBack(here.filter((f) => f.subject === kit.id)),
    };
  },
};
