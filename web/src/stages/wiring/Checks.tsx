import { Button, NativeSelect } from '@mantine/core';
import {
  amount,
  nextPhases,
  phaseOrders,
  type MeterCheck,
  type PhaseOrder,
  type PhaseOutcome,
  type Wiring,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { today } from '../../ui/today.ts';

/** Polarity and volts before anything is joined, in a safe order; and the phases of a motor found by trying. */
export function Checks({ wiring }: { wiring: Wiring }) {
  const three = wiring.leads.some(
    (l) => l.id === 'halls' || (l.id === 'motor' && l.cores.some((c) => c.what === 'phase A')),
  );
  return (
    <>
      <section aria-labelledby="meter-checks">
        <div className="section-head">
          <h2 id="meter-checks">Before anything is joined</h2>
          <span className="quiet">
            a meter on direct volts, probes one at a time; in this order each is safe because of those before
          </span>
        </div>
        {wiring.checks.length === 0 ? <p>Choose a battery first.</p> : null}
        <ol className="checks">
          {wiring.checks.map((check, i) => (
            <CheckLine key={check.id} check={check} number={i + 1} />
          ))}
        </ol>
      </section>
      {three ? <Phases wiring={wiring} /> : null}
    </>
  );
}

function CheckLine({ check, number }: { check: MeterCheck; number: number }) {
  const of = useBuild().choice.packId;
  const send = useSend();
  const state = check.verdict === 'measure' || check.verdict === 'fits' ? check.verdict : 'stop';
  return (
    <li className={`card check edge-${state}`}>
      <div>
        <h3>
          {number}. {check.where}
        </h3>
        <p>{check.how}</p>
        {state === 'stop' ? (
          <p className="answer-remedy">
            <strong>{check.verdict === 'crossed' ? 'Crossed: join nothing. ' : 'Outside: '}</strong>
            {check.otherwise}
          </p>
        ) : null}
      </div>
      <AmountField
        label="Volts read"
        dimension="voltage"
        digits={2}
        value={check.read?.volts ?? null}
        min={-200}
        max={200}
        hint={
          <>
            <Show value={amount(check.lowV, 'voltage')} /> to <Show value={amount(check.highV, 'voltage')} />
          </>
        }
        onValue={(si) =>
          send(
            buildActions.checkRead({
              field: `wiring.check.${check.id}`,
              value: { check: check.id, reading: { volts: si, on: today(), of } },
            }),
          )
        }
        onEmpty={() =>
          send(buildActions.checkRead({ field: `wiring.check.${check.id}`, value: { check: check.id, reading: null } }))
        }
      />
    </li>
  );
}

const sawWords: Record<PhaseOutcome, string> = {
  forward: 'ran forward, smooth',
  backward: 'ran backward',
  growls: 'growled or shook',
  stops: 'stood still',
};

/** Which of the combinations of phases and halls turns the motor, found in as few tries as may be. */
function Phases({ wiring }: { wiring: Wiring }) {
  const { phases: tries } = useBuild().wiring;
  const send = useSend();
  const found = nextPhases(tries);
  const [saw, setSaw] = useState<PhaseOutcome>('growls');
  const cores = wiring.leads.find((l) => l.id === 'motor')?.cores.filter((c) => c.what.startsWith('phase')) ?? [];
  const put = (next: typeof tries): void => {
    send(buildActions.phasesTried({ field: `wiring.phases.${next.length}`, value: next }));
  };
  const inColours = (order: PhaseOrder): string =>
    order
      .split('')
      .map((letter, i) => `${cores[i]?.colour ?? 'ABC'[i]} to ${cores['ABC'.indexOf(letter)]?.colour ?? letter}`)
      .join(', ');
  return (
    <section className="card" aria-labelledby="phases">
      <div className="section-head">
        <h2 id="phases">If the motor growls, stops or runs backward</h2>
        <span className="quiet">wheel up, lowest help, three seconds, amps noted; off before a plug is moved</span>
      </div>
      {found.found ? (
        <p>
          <strong>Found:</strong> phases {inColours(found.found.phases)}; halls {found.found.halls.split('').join(', ')}
          . Label both halves now.
        </p>
      ) : found.next ? (
        <div className="phase-next">
          <p>
            <strong>Try {tries.length + 1}:</strong> controller’s phases {inColours(found.next.phases)}
            {found.next.halls === 'ABC'
              ? '; halls by colour'
              : `; halls A, B, C to ${found.next.halls.split('').join(', ')}`}
            .{' '}
            <span className="quiet">
              {found.why} {found.left} of 36 wirings are still open.
            </span>
          </p>
          <div className="fields fields-three">
            <NativeSelect
              label="It"
              value={saw}
              data={(Object.keys(sawWords) as PhaseOutcome[]).map((value) => ({ value, label: sawWords[value] }))}
              onChange={(event) => setSaw(event.currentTarget.value as PhaseOutcome)}
            />
            <Button
              onClick={() => {
                if (found.next && phaseOrders.includes(found.next.phases)) put([...tries, { ...found.next, saw }]);
              }}
            >
              Note it
            </Button>
          </div>
        </div>
      ) : (
        <p className="tone-text-stop">{found.why}</p>
      )}
      {tries.length > 0 ? (
        <>
          <ol className="plain-list">
            {tries.map((t, i) => (
              <li key={i}>
                phases {t.phases}, halls {t.halls}: {sawWords[t.saw]}
              </li>
            ))}
          </ol>
          <Button size="compact-sm" variant="default" onClick={() => put(tries.slice(0, -1))}>
            Take the last back
          </Button>
        </>
      ) : null}
    </section>
  );
}
