import { barSides, type BarSide } from '../../wiring/bar.ts';
import { settingRows, type SettingRow } from '../../wiring/settings.ts';
import { wiringOf, type Wiring } from '../../wiring/wiring.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** Every lead, plug, lever and setting of what is chosen. */
export interface WiringPart {
  /** Null while no kit is chosen. */
  all: Wiring | null;
  /** Both hands of the bar, with a kit or without. */
  bar: BarSide[];
  settings: SettingRow[];
}

export const wiringStage: PlanStage<'wiring', WiringPart> = {
  id: 'wiring',
  rules: rulesOf('wiring'),
  plan: (context) => {
    const { asSold } = context.chosen;
    return {
      all: wiringOf(context),
      bar: barSides(context.build, context.kit, context.shelf),
      settings: context.kit && asSold ? settingRows(context.build, asSold, context.pack) : [],
    };
  },
};
