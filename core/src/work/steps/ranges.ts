import type { SurveyItemId } from '../../donor/donor.ts';
import { takenRange } from '../../donor/items/item.ts';
import { surveyItem } from '../../donor/survey.ts';

/** As far as a reading of nothing planned is kept at all, SI. */
const ANYTHING = [-100_000, 100_000] as const;

/** What a build keeps at a place, SI: the bounds of its schema. Past them its file could not be read again. */
const kept: Readonly<Record<string, readonly [number, number]>> = {
  'wiring.settings.circumference': [0.2, 3],
  'wiring.settings.batteryAmps': [1, 200],
  'wiring.settings.lowVolts': [1, 100],
  'wiring.sensors.cadenceGapM': [0, 0.05],
  'wiring.sensors.speedGapM': [0, 0.05],
  'wiring.levers.left.restM': [0, 0.05],
  'wiring.levers.left.pulledM': [0, 0.05],
  'wiring.levers.right.restM': [0, 0.05],
  'wiring.levers.right.pulledM': [0, 0.05],
};

/** Between what a number is taken for a place of the build; for none, anything that can be kept with a step. */
export function rangeAt(path: string | undefined): readonly [least: number, most: number] {
  if (path === undefined) return ANYTHING;
  const survey = /^donor\.survey\.(\w+)$/.exec(path);
  if (survey) {
    const item = surveyItem(survey[1] as SurveyItemId);
    if (item.type !== 'number') return ANYTHING;
    const { min, max } = takenRange(item);
    return [min, max];
  }
  return kept[path] ?? ANYTHING;
}
