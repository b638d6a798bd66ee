import { Button, Textarea, TextInput } from '@mantine/core';
import type { ProofTest } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { thisMinute } from '../../ui/today.ts';

const LEAST_REASON = 8;

/** Leaving a test untried, or going past a stop: never without a reason, and where it is a matter of safety not alone. */
export function WhyNot({ test }: { test: ProofTest }) {
  const build = useBuild();
  const send = useSend();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [witness, setWitness] = useState('');
  const by = build.built.builder;
  const stopped = test.state === 'stop';
  const needsWitness = stopped || test.safety === true;
  if (test.state === 'notTried' && test.notTried)
    return (
      <p className="why-not-said">
        <strong>Left untried</strong>: {test.notTried.reason}
        {test.notTried.witness ? `; with ${test.notTried.witness.by}` : ''}{' '}
        <button
          type="button"
          className="link-button"
          onClick={() =>
            send(buildActions.notTriedSaid({ field: `proving.${test.id}`, value: { test: test.id, as: null } }))
          }
        >
          Take back
        </button>
      </p>
    );
  if (test.state === 'wentPast' && test.wentPast)
    return (
      <p className="why-not-said">
        <strong>Gone past all the same</strong>: {test.wentPast.reason}; with {test.wentPast.witness.by}{' '}
        <button
          type="button"
          className="link-button"
          onClick={() =>
            send(
              buildActions.wentPastSaid({
                field: `proving.${test.id}`,
                value: { result: test.wentPast?.id ?? '', as: null },
              }),
            )
          }
        >
          Take back
        </button>
      </p>
    );
  if (test.state !== 'open' && !stopped) return null;
  const enough = reason.trim().length >= LEAST_REASON && (!needsWitness || witness.trim() !== '');
  const say = (): void => {
    const at = thisMinute();
    const seen = witness.trim() === '' ? null : { by: witness.trim(), at };
    if (!stopped)
      send(
        buildActions.notTriedSaid({
          field: `proving.${test.id}`,
          value: { test: test.id, as: { id: test.id, reason: reason.trim(), at, by, witness: seen } },
        }),
      );
    else if (seen) {
      const result = test.result?.id ?? `${test.id}=${test.readings[0]?.value ?? ''}`;
      send(
        buildActions.wentPastSaid({
          field: `proving.${test.id}`,
          value: { result, as: { id: result, test: test.id, reason: reason.trim(), at, by, witness: seen } },
        }),
      );
    }
    setOpen(false);
    setReason('');
    setWitness('');
  };
  return (
    <details className="why-not" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{stopped ? 'Go past this stop all the same' : 'Leave it untried'}</summary>
      {stopped ? (
        <p>
          Somebody can be hurt by it. Whoever goes on writes down why, and who stood by and agreed; it stays on the
          certificate. Local rules and qualified people have the last word.
        </p>
      ) : null}
      <Textarea
        label="Why"
        autosize
        minRows={2}
        maxLength={1000}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      {needsWitness ? (
        <TextInput
          label="Who stood by"
          value={witness}
          maxLength={60}
          onChange={(event) => setWitness(event.currentTarget.value)}
        />
      ) : null}
      <Button variant="default" disabled={!enough} onClick={say}>
        {stopped ? 'Go past it' : 'Leave it untried'}
      </Button>
      {!enough ? (
        <span className="quiet">
          {' '}
          a reason of a few words{needsWitness ? ', and somebody’s name besides your own' : ''}
        </span>
      ) : null}
    </details>
  );
}
