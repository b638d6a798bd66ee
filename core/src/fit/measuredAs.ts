import type { Build } from '../build/build.ts';
import type { SurveyItemId } from '../donor/donor.ts';

/** A build as it would be were an item measured at a value. */
export function measuredAs(build: Build, id: SurveyItemId, value: unknown): Build {
  const entry = { value, typed: '', unit: '', provenance: 'measured', note: '' };
  return { ...build, donor: { ...build.donor, survey: { ...build.donor.survey, [id]: entry } } };
}
