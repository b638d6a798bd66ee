import type { Donor } from './donor.ts';
import { isProven } from './entry.ts';
import { surveyGroups, surveyGroupWords, type SurveyGroup } from './items/item.ts';
import { conditionItemsFor, itemsFor } from './survey.ts';

/** One station of the walk round a vehicle: how much of it is there to see, and how much is done. */
export interface Station {
  id: SurveyGroup | 'condition';
  words: string;
  /** Items proven, or of its condition looked at. */
  done: number;
  of: number;
}

/** The stations in walking order, from the frame to the last look at its condition; those with nothing to see left out. */
export function surveyWalk(donor: Donor): Station[] {
  const items = itemsFor(donor);
  const looked = conditionItemsFor(donor.kind);
  return [
    ...surveyGroups.map((group): Station => {
      const here = items.filter((item) => item.group === group);
      const done = here.filter((item) => isProven(donor.survey[item.id])).length;
      return { id: group, words: surveyGroupWords[group], done, of: here.length };
    }),
    {
      id: 'condition' as const,
      words: 'Condition',
      done: looked.filter((item) => donor.condition[item] !== undefined).length,
      of: looked.length,
    },
  ].filter((station) => station.of > 0);
}

/** The next station with something open, going round from one that stands at `at` (−1: from before the first); null where none is. */
export function nextOpenStation(stations: readonly Station[], at: number): Station | null {
  for (let i = 1; i <= stations.length; i++) {
    const k = (at + i) % stations.length;
    const station = stations[k];
    if (station && k !== at && station.done < station.of) return station;
  }
  return null;
}
