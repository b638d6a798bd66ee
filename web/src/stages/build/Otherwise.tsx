import { Button, NativeSelect, Textarea, TextInput } from '@mantine/core';
import {
  changesFor,
  differingAt,
  leftOutChanges,
  MOST_OTHERWISE,
  otherwiseSchema,
  type BuildStep,
  type Differing,
  type DifferingFrom,
  type Otherwise as Told,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { thisMinute } from '../../ui/today.ts';
import { ToldRow } from './ToldRow.tsx';
import { useMarking } from '../../sheet/useMarking.ts';

/** What the differences of a step are found from. */
function useDiffering(): DifferingFrom {
  const plan = usePlan();
  const build = useBuild();
  const shelf = useShelf();
  const taken = plan.pack.layout.pack?.taken;
  return {
    build,
    shelf,
    kit: plan.chosen.kit,
    pack: plan.chosen.pack,
    place: taken?.place ?? null,
    lies: taken?.lies ?? null,
  };
}

/** Told otherwise than planned: a value, another part, moved, left out, or in words. With its reason, always. */
export function Otherwise({ step }: { step: BuildStep }) {
  const from = useDiffering();
  const { build } = from;
  const told = build.built.otherwise.filter((o) => o.step === step.id);
  const offers = differingAt(from, step);
  return (
    <details className="otherwise" open={told.length > 0 || undefined}>
      <summary>Done otherwise than planned</summary>
      {told.length > 0 ? (
        <ul className="bare-list told-list">
          {told.map((o) => (
            <ToldRow key={o.id} told={o} />
          ))}
        </ul>
      ) : null}
      <Tell step={step} offers={offers} from={from} />
    </details>
  );
}

const LEFT_OUT = 'left out';
const WORDS = 'words';

function Tell({ step, offers, from }: { step: BuildStep; offers: readonly Differing[]; from: DifferingFrom }) {
  const send = useSend();
  const { mark } = useMarking();
  const [what, setWhat] = useState(offers[0]?.id ?? LEFT_OUT);
  const [value, setValue] = useState<number | string | null>(null);
  const [words, setWords] = useState('');
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState('');
  const offer = offers.find((o) => o.id === what);
  const tell = (): void => {
    if (reason.trim() === '') {
      setFault('Say why: the next person at it will ask.');
      return;
    }
    if (from.build.built.otherwise.length >= MOST_OTHERWISE) {
      setFault(`${MOST_OTHERWISE} things are kept, as many as a build’s file carries: take one back first.`);
      return;
    }
    let changes: Told['changes'] = [];
    if (offer) {
      const is = value ?? offer.ask.planned;
      changes = is === null ? [] : changesFor(from, offer, is, reason.trim(), thisMinute().slice(0, 10));
      if (changes.length === 0) {
        setFault('That is as planned already.');
        return;
      }
    } else if (what === LEFT_OUT) changes = leftOutChanges(from.build, step);
    else if (words.trim() === '') {
      setFault('Say what was done.');
      return;
    }
    const read = otherwiseSchema.safeParse({
      id: crypto.randomUUID(),
      step: step.id,
      at: thisMinute(),
      by: from.build.built.builder,
      reason,
      changes,
      leftOut: what === LEFT_OUT,
      what: what === LEFT_OUT ? 'left out' : words,
    });
    if (!read.success) {
      setFault(read.error.issues[0]?.message ?? 'That cannot be kept.');
      return;
    }
    send(buildActions.builtOtherwise({ field: `built.otherwise.${read.data.id}`, value: read.data }));
    if (what === LEFT_OUT) mark(step, { leftOut: true });
    setReason('');
    setWords('');
    setValue(null);
    setFault('');
  };
  return (
    <div className="tell">
      <NativeSelect
        label="What was otherwise"
        value={what}
        data={[
          ...offers.map((o) => ({ value: o.id, label: o.what })),
          ...(step.doneOn === null ? [{ value: LEFT_OUT, label: 'The whole step: left out' }] : []),
          { value: WORDS, label: 'Something else, in words' },
        ]}
        onChange={(event) => {
          setWhat(event.currentTarget.value);
          setValue(null);
          setFault('');
        }}
      />
      {offer?.ask.by === 'number' ? (
        <AmountField
          key={offer.id}
          label="As built"
          dimension={offer.ask.dimension}
          value={typeof value === 'number' ? value : offer.ask.planned}
          min={offer.ask.least}
          max={offer.ask.most}
          onValue={(si) => setValue(si)}
        />
      ) : null}
      {offer?.ask.by === 'one' ? (
        <NativeSelect
          label="As built"
          value={typeof value === 'string' ? value : (offer.ask.planned ?? '')}
          data={[
            ...(offer.ask.planned === null ? [{ value: '', label: 'none' }] : []),
            ...offer.ask.options.map((o) => ({ value: o.id, label: o.name })),
          ]}
          onChange={(event) => setValue(event.currentTarget.value)}
        />
      ) : null}
      {what === WORDS ? (
        <Textarea
          label="What was done"
          autosize
          maxLength={1000}
          value={words}
          onChange={(e) => setWords(e.currentTarget.value)}
        />
      ) : null}
      <TextInput
        label="Why"
        value={reason}
        maxLength={1000}
        error={fault || undefined}
        onChange={(event) => {
          setReason(event.currentTarget.value);
          setFault('');
        }}
      />
      <div>
        <Button variant="default" onClick={tell}>
          Keep it as built
        </Button>
      </div>
    </div>
  );
}
