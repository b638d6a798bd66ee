import { NativeSelect, TextInput } from '@mantine/core';
import {
  conditionGrades,
  conditionItems,
  conditionWords,
  itemsFor,
  surveyGroupWords,
  surveyItem,
  vehicleKinds,
  vehicleKindWords,
  type ConditionGrade,
  type Entry,
  type Survey,
  type SurveyGroup,
  type SurveyItemId,
  type VehicleKind,
} from '@sprocket/core';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { buildActions } from '../../app/buildSlice.ts';
import { usePlan } from '../../app/PlanProvider.tsx';
import { useApp, useBuild, useSend } from '../../app/store.ts';
import { uiActions } from '../../app/uiSlice.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { FindingList } from '../../ui/FindingList.tsx';
import { StageHead } from '../../ui/StageHead.tsx';
import { SurveyField } from './SurveyField.tsx';

/** Groups side by side, of about equal length; one under the other where there is no room. */
const surveyColumns: readonly (readonly SurveyGroup[])[] = [
  ['frame', 'bracket', 'inside'],
  ['rear', 'front'],
  ['gears', 'loads'],
];

/** Puts the cursor in an item's field. */
function focusItem(id: SurveyItemId): void {
  document.getElementById(`item-${id}`)?.focus();
}

/** The survey: what to measure, where to put the tape, and what each answer decides. */
export function DonorStage() {
  const build = useBuild();
  const plan = usePlan();
  const send = useSend();
  const { hash } = useLocation();
  const { donor } = build;
  const items = itemsFor(donor);
  const { progress } = plan;

  useEffect(() => {
    const id = hash.slice(1);
    if (items.some((item) => item.id === id)) focusItem(id as SurveyItemId);
    // Only a new address moves the cursor.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hash]);

  return (
    <>
      <StageHead title="Donor">
        What there is to convert: <strong className="marked">{vehicleKindWords[donor.kind].toLowerCase()}</strong>,{' '}
        {progress.proven} of {progress.total} items measured
      </StageHead>
      <BikeDrawing plan={plan} layers={['sizes']} sheet="sheet 2" onPick={focusItem} />
      <HowTo />
      <div className="survey-head">
        <NativeSelect
          label="Kind of vehicle"
          value={donor.kind}
          data={vehicleKinds.map((value) => ({ value, label: vehicleKindWords[value] }))}
          onChange={(event) =>
            send(buildActions.kindChosen({ field: 'kind', value: event.currentTarget.value as VehicleKind }))
          }
        />
      </div>
      <div className="survey">
        {surveyColumns.map((groups, column) => (
          <div key={column} className="survey-column">
            {groups.map((group) => {
              const here = items.filter((item) => item.group === group);
              return here.length === 0 ? null : (
                <section key={group} className="card survey-group" aria-labelledby={`group-${group}`}>
                  <h2 id={`group-${group}`}>{surveyGroupWords[group]}</h2>
                  {here.map((item) => (
                    <SurveyField key={`${build.id}.${item.id}`} item={item} />
                  ))}
                </section>
              );
            })}
            {column === surveyColumns.length - 1 ? <Condition /> : null}
          </div>
        ))}
      </div>
      <FindingList title="State of the donor" findings={plan.findings.filter((f) => f.area === 'donor')} />
    </>
  );
}

/** How to take the measurement in focus, and what goes wrong without it. */
function HowTo() {
  const lit = useApp((state) => state.ui.lit);
  const plan = usePlan();
  const { donor } = useBuild();
  const send = useSend();
  const next = lit ?? plan.progress.open[0];
  if (!next)
    return <p className="howto">Everything here is measured. Touch a field to read again how it was to be taken.</p>;
  const item = surveyItem(next);
  const entry = donor.survey[next] as Entry<unknown> | undefined;
  return (
    <div className="howto">
      <strong aria-live="polite">
        {lit ? item.label : `Next: ${item.label.toLowerCase()}`} <span className="quiet">· {item.tool}</span>
      </strong>
      <span>{item.how}</span>
      {entry && lit ? (
        <TextInput
          key={next}
          size="xs"
          className="howto-note"
          aria-label={`Note on ${item.label.toLowerCase()}`}
          placeholder="A note, if it needs one"
          maxLength={2000}
          value={entry.note}
          onChange={(event) =>
            send(
              buildActions.surveyed({
                field: `survey.${next}.note`,
                value: { id: next, entry: { ...entry, note: event.currentTarget.value } as Survey[typeof next] },
              }),
            )
          }
        />
      ) : null}
      <span className="quiet">{item.why}</span>
    </div>
  );
}

const gradeWords: Record<ConditionGrade, string> = { sound: 'Sound', needsWork: 'Needs work', reject: 'Reject' };

function Condition() {
  const { condition } = useBuild().donor;
  const send = useSend();
  return (
    <section className="card survey-group" aria-labelledby="group-condition">
      <h2 id="group-condition">Condition</h2>
      {conditionItems.map((item) => {
        const entry = condition[item];
        const { label, how } = conditionWords[item];
        return (
          <fieldset key={item} className="condition">
            <legend>{label}</legend>
            <p className="quiet">{how}</p>
            <div className="pills">
              {conditionGrades.map((grade) => (
                <button
                  key={grade}
                  type="button"
                  className={`pill pill-${grade}`}
                  aria-pressed={entry?.grade === grade}
                  onClick={() =>
                    send(
                      buildActions.conditionMarked({
                        field: `condition.${item}`,
                        value: { item, grade: entry?.grade === grade ? null : grade },
                      }),
                    )
                  }
                >
                  {gradeWords[grade]}
                </button>
              ))}
            </div>
            {entry && entry.grade !== 'sound' ? (
              <TextInput
                size="xs"
                aria-label={`Note on ${label}`}
                placeholder="What and where"
                value={entry.note}
                maxLength={500}
                onFocus={() => send(uiActions.itemLit(null))}
                onChange={(event) =>
                  send(
                    buildActions.conditionMarked({
                      field: `condition.${item}.note`,
                      value: { item, grade: entry.grade, note: event.currentTarget.value },
                    }),
                  )
                }
              />
            ) : null}
          </fieldset>
        );
      })}
    </section>
  );
}
