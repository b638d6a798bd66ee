import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import {
  MOST_OTHERS,
  otherPlaces,
  otherPlaceWords,
  otherStands,
  oftenThere,
  otherStandsWords,
  usualClosing,
  whereItGoes,
  type Kit,
  type Other,
  type OtherPlace,
  type OtherStands,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';

const places = otherPlaces.map((value) => ({ value, label: otherPlaceWords[value] }));
const standings = otherStands.map((value) => ({ value, label: otherStandsWords[value] }));

/** The last question for a kit, in the person’s own words: it holds the order until all is judged or struck off. */
export function LastQuestion({ kit }: { kit: Kit }) {
  const build = useBuild();
  const send = useSend();
  const { others, nothingElse } = build.closing[kit.id] ?? usualClosing();
  const [what, setWhat] = useState('');
  const [where, setWhere] = useState<OtherPlace>('wheel');
  const add = (): void => {
    const words = what.trim();
    if (words === '') return;
    const id = crypto.randomUUID();
    const other: Other = { id, what: words, where, stands: 'open', how: '' };
    send(buildActions.otherAdded({ field: `closing.${kit.id}.${id}`, value: { kit: kit.id, other } }));
    setWhat('');
  };
  return (
    <section className="card last-question" id="what-else" aria-labelledby="what-else-head">
      <h2 id="what-else-head">What else is there?</h2>
      <p>
        Before you order, look at {whereItGoes(kit)}, and at the bar. {oftenThere(kit)} Name whatever the survey did not
        ask about.
      </p>
      {others.length > 0 ? (
        <ul className="others">
          {others.map((other) => (
            <OtherRow key={other.id} kitId={kit.id} other={other} />
          ))}
        </ul>
      ) : null}
      <form
        className="fields other-add"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <TextInput
          label="Something else that is there"
          value={what}
          maxLength={120}
          onChange={(event) => setWhat(event.currentTarget.value)}
        />
        <NativeSelect
          label="Where"
          value={where}
          data={places}
          onChange={(event) => setWhere(event.currentTarget.value as OtherPlace)}
        />
        <Button type="submit" variant="default" disabled={what.trim() === '' || others.length >= MOST_OTHERS}>
          Add it
        </Button>
      </form>
      <Checkbox
        label={others.length === 0 ? 'I looked: nothing else is there' : 'I looked: nothing but these is there'}
        checked={nothingElse}
        onChange={(event) =>
          send(
            buildActions.nothingElseSaid({
              field: `closing.${kit.id}.nothingElse`,
              value: { kit: kit.id, nothingElse: event.currentTarget.checked },
            }),
          )
        }
      />
    </section>
  );
}

function OtherRow({ kitId, other }: { kitId: string; other: Other }) {
  const send = useSend();
  const { id } = other;
  const judge = (name: string, change: Partial<Omit<Other, 'id'>>): void => {
    send(buildActions.otherJudged({ field: `closing.${kitId}.${id}.${name}`, value: { kit: kitId, id, change } }));
  };
  return (
    <li>
      <p>
        <strong>{other.what}</strong> <span className="quiet">{otherPlaceWords[other.where]}</span>
      </p>
      <div className="fields">
        <NativeSelect
          label={`How it stands: ${other.what}`}
          value={other.stands}
          data={standings}
          onChange={(event) => judge('stands', { stands: event.currentTarget.value as OtherStands })}
        />
        <TextInput
          label={other.stands === 'moves' ? 'Where it moves to' : 'How you know'}
          value={other.how}
          maxLength={300}
          onChange={(event) => judge('how', { how: event.currentTarget.value })}
        />
        <Button
          variant="subtle"
          onClick={() =>
            send(buildActions.otherStruck({ field: `closing.${kitId}.${id}.gone`, value: { kit: kitId, id } }))
          }
        >
          Strike it off
        </Button>
      </div>
    </li>
  );
}
