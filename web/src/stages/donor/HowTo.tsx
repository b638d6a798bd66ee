import { Button, TextInput } from '@mantine/core';
import {
  assumedEntry,
  isProven,
  lookAlikes,
  provenanceWords,
  rulesUsing,
  shownValue,
  surveyItem,
  type Entry,
  type Survey,
  type SurveyItemId,
} from '@sprocket/core';
import { useMemo } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { Photos } from '../../sheet/Photos.tsx';
import { FigureFor } from './figures/FigureFor.tsx';
import { Show, useTexts } from '../../ui/Show.tsx';
import { dayText } from '../../ui/manner.ts';

/** How the item in focus is taken: figure, where to put the tool, look-alikes, who uses it, photo and note. */
export function HowTo({ id, next }: { id: SurveyItemId; next: boolean }) {
  const build = useBuild();
  const send = useSend();
  const item = useTexts(surveyItem(id));
  const entry = build.donor.survey[id] as Entry<unknown> | undefined;
  const uses = useMemo(() => rulesUsing(id), [id]);
  const guess = assumedEntry(item, build.donor.kind);
  const alike = item.lookAlike ? lookAlikes[item.lookAlike] : null;
  const put = (value: Entry<unknown>): void => {
    send(
      buildActions.surveyed({
        field: `survey.${id}.more`,
        value: { id, entry: value as Survey[SurveyItemId] },
      }),
    );
  };
  return (
    <aside className="howto" aria-label="How to take it">
      <p className="howto-title">
        <strong aria-live="polite">
          {next ? 'Next: ' : ''}
          {next ? item.label.toLowerCase() : item.label}
        </strong>{' '}
        <span className="quiet">with {item.tool === 'eye' ? 'your eyes' : `the ${item.tool}`}</span>
      </p>
      <FigureFor figure={item.figure} label={item.label} />
      <p>{item.how}</p>
      <p className="quiet">{item.why}</p>
      {alike ? (
        <dl className="alike">
          <dt className="alike-test">{alike.test}</dt>
          {alike.sides.map((side) => (
            <div key={side.name}>
              <dt>{side.name}</dt>
              <dd>{side.tells}</dd>
            </div>
          ))}
          <dd className="quiet">{alike.mistake}</dd>
        </dl>
      ) : null}
      {uses.length === 0 ? null : (
        <p className="howto-uses">
          <span className="quiet">Decides: </span>
          {uses.join(', ').toLowerCase()}
        </p>
      )}
      {!entry && guess ? (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            send(buildActions.surveyed({ field: `survey.${id}`, value: { id, entry: guess as Survey[SurveyItemId] } }))
          }
        >
          Assume <Show value={shownValue(item, guess.value)} />
        </Button>
      ) : null}
      {entry ? (
        <div className="howto-entry">
          <p className="quiet">
            {isProven(entry) ? 'Proven: ' : 'Not proven: '}
            {provenanceWords[entry.provenance]}
            {entry.on ? `, ${dayText(entry.on)}` : ''}
          </p>
          <TextInput
            key={`note-${id}`}
            size="xs"
            aria-label={`Note on ${item.label.toLowerCase()}`}
            placeholder="A note, if it needs one"
            maxLength={2000}
            value={entry.note}
            onChange={(event) => put({ ...entry, note: event.currentTarget.value })}
          />
        </div>
      ) : null}
      <Photos id={id} label={item.label} />
    </aside>
  );
}
