import { Button, NativeSelect, TextInput } from '@mantine/core';
import {
  assumeOpen,
  itemsFor,
  surveyGroupWords,
  surveyItem,
  vehicleKinds,
  vehicleKindWords,
  type SurveyItem,
  type SurveyItemId,
  type VehicleKind,
} from '@sprocket/core';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useMeasuring } from '../../sheet/proposals/useMeasuring.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useApp, useBuild, useSend } from '../../store/store.ts';
import { uiActions, type DonorView } from '../../store/uiSlice.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { FindingList } from '../../sheet/FindingList.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { Assumed } from './Assumed.tsx';
import { Condition } from './Condition.tsx';
import { Derived } from './Derived.tsx';
import { FreeFrameEditor } from './FreeFrameEditor.tsx';
import { HowTo } from './HowTo.tsx';
import { InsideSheet } from './InsideSheet.tsx';
import { SurveyField } from './SurveyField.tsx';
import { SurveyWalk } from './SurveyWalk.tsx';
import { TwoAnswers } from './TwoAnswers.tsx';
import { WhatNext } from './WhatNext.tsx';
import { WorthSheet } from './WorthSheet.tsx';
import './donor.css';

/** Puts the cursor in an item's field, once it is on the page. */
function focusItem(id: SurveyItemId): void {
  requestAnimationFrame(() => document.getElementById(`item-${id}`)?.focus());
}

/** The survey: what to measure, where to put the tape, and what each answer decides. */
export function DonorStage() {
  const build = useBuild();
  const plan = usePlan();
  const send = useSend();
  const { hash } = useLocation();
  const view = useApp((state) => state.ui.donorView);
  const lit = useApp((state) => state.ui.lit);
  const measuring = useMeasuring(plan.findings);
  const { donor } = build;
  const { progress } = plan.donor;
  const items = itemsFor(donor);
  const show = (to: DonorView): void => {
    send(uiActions.donorViewed(to));
  };
  const goTo = (id: SurveyItemId): void => {
    const item = surveyItem(id);
    const here = (view === 'quick' && item.quick) || view === item.group;
    if (!here) show(item.group);
    send(uiActions.itemLit(id));
    focusItem(id);
  };

  useEffect(() => {
    const id = hash.slice(1);
    if (items.some((item) => item.id === id)) goTo(id as SurveyItemId);
    // Only a new address moves the cursor.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [hash]);

  const shown: SurveyItem[] =
    view === 'quick' ? items.filter((item) => item.quick) : items.filter((item) => item.group === view);
  const howTo =
    lit && items.some((item) => item.id === lit)
      ? lit
      : (measuring.drawn?.first?.[0]?.items[0] ?? measuring.wanted[0]?.item ?? progress.open[0]);

  return (
    <>
      <StageHead title="Donor">
        What there is to convert: <strong className="marked">{vehicleKindWords[donor.kind].toLowerCase()}</strong>,{' '}
        {progress.proven} of {progress.total} items proven
        {progress.assumed > 0 ? `, ${progress.assumed} assumed` : ''}
      </StageHead>
      <BikeDrawing plan={plan} layers={['sizes']} sheet="sheet 2" onPick={goTo} />
      <TwoAnswers plan={plan} onWorth={() => show('worth')} />
      <div className="survey-head">
        <NativeSelect
          label="Kind of vehicle"
          value={donor.kind}
          data={vehicleKinds.map((value) => ({ value, label: vehicleKindWords[value] }))}
          onChange={(event) =>
            send(buildActions.kindChosen({ field: 'kind', value: event.currentTarget.value as VehicleKind }))
          }
        />
        <TextInput
          label="What it is"
          value={donor.description}
          maxLength={500}
          placeholder="In a line, as you would tell a friend"
          onChange={(event) => send(buildActions.described({ field: 'description', value: event.currentTarget.value }))}
        />
      </div>
      <SurveyWalk donor={donor} progress={progress} view={view} show={show} />
      <div className="survey-body">
        <div className="survey-left">
          {view === 'next' ? (
            <WhatNext measuring={measuring} />
          ) : view === 'condition' ? (
            <Condition />
          ) : view === 'derived' ? (
            <Derived sizes={plan.donor.derived} onItem={goTo} />
          ) : view === 'worth' ? (
            <WorthSheet worth={plan.worth} />
          ) : view === 'inside-drawn' ? (
            <InsideSheet />
          ) : view === 'frame-corners' ? (
            <FreeFrameEditor />
          ) : (
            <section className="card survey-group" aria-labelledby="survey-shown">
              <div className="card-head">
                <h2 id="survey-shown">
                  {view === 'quick' ? 'Quick look: go or no-go, in a quarter of an hour' : surveyGroupWords[view]}
                </h2>
                <Button
                  size="compact-sm"
                  variant="subtle"
                  onClick={() => send(buildActions.assumed({ field: 'survey.assume', value: assumeOpen(donor) }))}
                >
                  Assume common values for the rest
                </Button>
              </div>
              <Assumed donor={donor} onItem={goTo} />
              <div className="survey-fields">
                {shown.map((item) => (
                  <SurveyField key={`${build.id}.${item.id}`} item={item} />
                ))}
              </div>
            </section>
          )}
        </div>
        {howTo &&
        view !== 'worth' &&
        view !== 'condition' &&
        view !== 'derived' &&
        view !== 'frame-corners' &&
        view !== 'inside-drawn' ? (
          <HowTo id={howTo} next={lit !== howTo} />
        ) : null}
      </div>
      <FindingList title="State of the donor" findings={plan.findings.filter((f) => f.stage === 'donor')} />
    </>
  );
}
