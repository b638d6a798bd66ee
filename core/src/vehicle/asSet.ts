import type { Build } from '../build/build.ts';
import type { WiringChoice } from '../build/wiring.ts';
import { commonFrame } from '../donor/common.ts';
import type { Kit } from '../parts/kit.ts';
import { tyreCircumference } from '../quantity/tyre.ts';

/** Steps of help spread evenly over a kit's own, where its display is set to fewer: the last is always its most. */
export function fewerLevels(levels: readonly number[], count: number): number[] {
  if (count >= levels.length) return [...levels];
  return Array.from({ length: count }, (_, i) => {
    const at = ((i + 1) * levels.length) / count - 1;
    const low = levels[Math.floor(at)] as number;
    const high = levels[Math.ceil(at)] as number;
    return low + (high - low) * (at - Math.floor(at));
  });
}

/**
 * A kit as its settings have it: currents never above what it is made for, low volts never below, the phase current
 * at a start by its strength, steps as many as are set.
 */
export function asSet(kit: Kit, settings: WiringChoice['settings']): Kit {
  const { batteryAmps, lowVolts, startStrength, levels } = settings;
  if (batteryAmps === undefined && lowVolts === undefined && startStrength === undefined && levels === undefined)
    return kit;
  const { controller, assist } = kit;
  return {
    ...kit,
    controller: {
      ...controller,
      batteryLimitA: Math.min(controller.batteryLimitA, batteryAmps ?? Infinity),
      phaseLimitA: controller.phaseLimitA * (startStrength ?? 1),
      cutoffVolts: Math.max(controller.cutoffVolts, lowVolts ?? 0),
    },
    ...(assist && levels !== undefined
      ? {
          assist: {
            ...assist,
            ...(assist.levelsW ? { levelsW: fewerLevels(assist.levelsW, levels) } : {}),
            ...(assist.gains ? { gains: fewerLevels(assist.gains, levels) } : {}),
          },
        }
      : {}),
  };
}

/**
 * What the wheel that a kit counts rolls in a turn, m: as it was rolled out at Proving, else by its tyre, as measured or
 * common, under load.
 */
export function rolledOut(build: Build, kit: Kit): number {
  if (build.tuned.rolledM) return build.tuned.rolledM.is;
  const { survey, kind } = build.donor;
  const { newWheels } = build.choice;
  const tyre =
    kit.hub?.place === 'front'
      ? (newWheels.front ?? survey.frontTyre?.value ?? commonFrame[kind].frontTyre)
      : (newWheels.rear ?? survey.rearTyre?.value ?? commonFrame[kind].tyre);
  return tyreCircumference(tyre);
}

/**
 * True speed over the speed a display shows, by circumference and magnets as set: 1 where nothing was set. A display
 * that shows too little lets the help go on too long.
 */
export function misread(build: Build, kit: Kit): number {
  const { circumference, wheelMagnets } = build.wiring.settings;
  const magnets = kit.wiring?.wheelMagnets;
  return (
    (circumference === undefined ? 1 : rolledOut(build, kit) / circumference) *
    (wheelMagnets === undefined || magnets === undefined ? 1 : wheelMagnets / magnets)
  );
}
