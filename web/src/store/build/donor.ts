import { assumedItems } from '@sprocket/core';
import type {
  Build,
  ConditionEntry,
  ConditionItem,
  Donor,
  FreeFrame,
  Obstruction,
  Survey,
  SurveyItemId,
  VehicleKind,
  Weights,
  Worth,
} from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of the donor: survey, condition, frame, weights. */
export const donorReducers = onOpen({
  kindChosen(build: Build, value: VehicleKind) {
    build.donor.kind = value;
  },
  described(build: Build, value: string) {
    build.donor.description = value;
  },
  surveyed(build: Build, value: { id: SurveyItemId; entry: Survey[SurveyItemId] | null }) {
    const { id, entry } = value;
    const survey = build.donor.survey as Record<string, unknown>;
    if (entry === null || entry === undefined) Reflect.deleteProperty(survey, id);
    else survey[id] = entry;
  },
  conditionMarked(build: Build, value: { item: ConditionItem; entry: Partial<ConditionEntry> | null }) {
    const { item, entry } = value;
    const { condition } = build.donor;
    if (entry === null) Reflect.deleteProperty(condition, item);
    else condition[item] = { grade: 'sound', note: '', ...condition[item], ...entry };
  },
  /** Common values, marked assumed, for whatever is still open. */
  assumed: patched<Survey>((build) => build.donor.survey),
  /** Takes back all that was assumed; what was measured, read or remembered stays. */
  assumptionsDropped(build: Build) {
    const { survey } = build.donor;
    for (const { id } of assumedItems(build.donor)) Reflect.deleteProperty(survey, id);
  },
  worthEdited: patched<Partial<Worth>>((build) => build.donor.worth),
  freeFrameDrawn(build: Build, value: FreeFrame | null) {
    build.donor.freeFrame = value;
  },
  insideTaken(build: Build, value: Donor['inside']) {
    build.donor.inside = value;
  },
  mainTubeDrawn(build: Build, value: Donor['mainTubePath']) {
    build.donor.mainTubePath = value;
  },
  obstructionsNoted(build: Build, value: Obstruction[]) {
    build.donor.obstructions = value;
  },
  weighed: patched<Partial<Weights>>((build) => build.weights),
});
