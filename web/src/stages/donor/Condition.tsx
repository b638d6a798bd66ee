import { TextInput } from '@mantine/core';
import {
  conditionGrades,
  conditionItemsFor,
  conditionWords,
  usualMendPrice,
  type ConditionGrade,
  type ConditionItem,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';

const gradeWords: Record<ConditionGrade, string> = { sound: 'Sound', needsWork: 'Needs work', reject: 'Reject' };

/** Condition: each thing sound, needing work or to be rejected, with what it costs and takes to put right. */
export function Condition() {
  const { condition, kind } = useBuild().donor;
  const shelf = useShelf();
  const send = useSend();
  const mark = (
    item: ConditionItem,
    part: string,
    entry: Parameters<typeof buildActions.conditionMarked>[0]['value']['entry'],
  ): void => {
    send(buildActions.conditionMarked({ field: `condition.${item}.${part}`, value: { item, entry } }));
  };
  return (
    <section className="card survey-group" aria-labelledby="group-condition">
      <h2 id="group-condition">Condition</h2>
      <div className="condition-grid">
        {conditionItemsFor(kind).map((item) => {
          const entry = condition[item];
          const { label, how, mend, minutes } = conditionWords[item];
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
                    onClick={() => mark(item, 'grade', entry?.grade === grade ? null : { grade })}
                  >
                    {gradeWords[grade]}
                  </button>
                ))}
              </div>
              {entry && entry.grade !== 'sound' ? (
                <>
                  <TextInput
                    size="xs"
                    aria-label={`Note on ${label.toLowerCase()}`}
                    placeholder="What and where"
                    value={entry.note}
                    maxLength={2000}
                    onChange={(event) => mark(item, 'note', { note: event.currentTarget.value })}
                  />
                  {entry.grade === 'needsWork' ? (
                    <div className="fields-tight">
                      <p className="quiet">{mend}</p>
                      <AmountField
                        label="Cost"
                        dimension="money"
                        value={entry.cost ?? usualMendPrice(item, shelf)}
                        min={0}
                        max={10_000}
                        onValue={(si) => mark(item, 'cost', { cost: si })}
                      />
                      <AmountField
                        label="Time"
                        dimension="time"
                        value={(entry.minutes ?? minutes) * 60}
                        min={0}
                        max={360_000}
                        onValue={(si) => mark(item, 'minutes', { minutes: si / 60 })}
                      />
                    </div>
                  ) : null}
                </>
              ) : null}
            </fieldset>
          );
        })}
      </div>
    </section>
  );
}
