import { PartLessons } from '../../sheet/PartLessons.tsx';
import { NativeSelect, SegmentedControl, Slider } from '@mantine/core';
import {
  cutoffActsWords,
  cutoffOutcomeWords,
  cutoffSheet,
  cutoffWayWords,
  cutoffWays,
  type CutoffSheet,
  type CutoffWay,
  type LeverChoice,
  type LeverSheet,
  type Wiring,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { LeverDrawing } from './LeverDrawing.tsx';
import { Sensors } from './Sensors.tsx';
import { useWords } from '../../ui/Show.tsx';

const leverWords: Record<string, string> = {
  separate: 'a lever of its own',
  withShifter: 'joined with the shifter',
  dropBar: 'a drop-bar lever',
  none: 'no lever',
};
/** Longest gap the slider shows, mm. */
const WIDEST = 12;

const toneOf = (outcome: CutoffSheet['outcome']): 'fits' | 'rework' | 'stop' | 'measure' =>
  outcome === 'runsAndCuts' ? 'fits' : outcome === 'neverRuns' ? 'rework' : outcome === 'measure' ? 'measure' : 'stop';

/** Each hand with its lever: how it cuts, what happens in every state, and a gap to try. */
export function Levers({ wiring }: { wiring: Wiring }) {
  const { levers } = useBuild().wiring;
  const { shelf } = usePlanContext();
  const chosen = shelf.control.filter((c) => c.id === levers.left.part || c.id === levers.right.part);
  return (
    <>
      <PartLessons parts={chosen} />
      <div className="lever-grid">
        {wiring.levers.map((lever) => (
          <LeverCard key={lever.side} lever={lever} />
        ))}
      </div>
      <Sensors wiring={wiring} />
    </>
  );
}

function LeverCard({ lever }: { lever: LeverSheet }) {
  const w = useWords();
  const build = useBuild();
  const send = useSend();
  const { shelf } = usePlanContext();
  const { side } = lever;
  const choice = build.wiring.levers[side];
  const [tried, setTried] = useState<{ rest?: number; pulled?: number }>({});
  const [pulling, setPulling] = useState(false);
  const set = (change: Partial<LeverChoice>): void => {
    send(
      buildActions.leverEdited({
        field: `wiring.lever.${side}.${Object.keys(change).join()}`,
        value: { side, change },
      }),
    );
  };
  const magnetic = lever.acts === 'cutsWhenAway' || lever.acts === 'cutsWhenNear';
  const parts = shelf.control.filter((c) => c.role === 'lever' || c.role === 'cutoff');
  const gaps = {
    rest: tried.rest ?? (choice.restM === null ? 1 : choice.restM * 1000),
    pulled: tried.pulled ?? (choice.pulledM === null ? 8 : choice.pulledM * 1000),
  };
  const gap = pulling ? gaps.pulled : gaps.rest;
  // The gaps under the two sliders: what the motor would do with the magnet there.
  const trial = cutoffSheet({
    acts: lever.acts,
    unplugged: 'runs',
    reachM: lever.reachM,
    restM: gaps.rest / 1000,
    pulledM: gaps.pulled / 1000,
    pluggedIn: true,
  });
  const motorAt = (state: 'rest' | 'pulled'): 'runs' | 'still' =>
    trial.states.find((s) => s.state === state)?.motor === 'still' ? 'still' : 'runs';
  const outcome = lever.seen ?? lever.sheet?.outcome ?? null;
  return (
    <section className={`card lever edge-${outcome ? toneOf(outcome) : 'measure'}`} aria-labelledby={`lever-${side}`}>
      <div className="section-head">
        <h2 id={`lever-${side}`}>{side === 'left' ? 'Left hand' : 'Right hand'}</h2>
        <span className="quiet">{lever.lever ? leverWords[lever.lever] : 'not looked at yet'}</span>
      </div>
      {lever.by === 'none' ? null : (
        <LeverDrawing
          side={side}
          acts={lever.acts}
          gapMm={magnetic ? gap : 0}
          reachMm={lever.reachM * 1000}
          still={motorAt(pulling ? 'pulled' : 'rest') === 'still'}
        />
      )}
      {lever.by === 'none' && lever.lever === 'none' ? null : (
        <div className="fields fields-one">
          <NativeSelect
            label="How it cuts the motor"
            value={choice.by ?? ''}
            description={lever.not[lever.by] ?? undefined}
            inputWrapperOrder={['label', 'input', 'description']}
            data={[
              { value: '', label: `As is usual: ${cutoffWayWords[lever.by]}` },
              ...cutoffWays.map((value) => ({
                value,
                label: lever.not[value] ? `${cutoffWayWords[value]} — ${lever.not[value]}` : cutoffWayWords[value],
                disabled: lever.not[value] !== undefined,
              })),
            ]}
            onChange={(event) => set({ by: (event.currentTarget.value || null) as CutoffWay | null })}
          />
          <NativeSelect
            label="Part"
            value={choice.part ?? ''}
            data={[
              { value: '', label: 'the kit’s own' },
              ...parts.map((p) => ({ value: p.id, label: `${p.name}, ${p.price}` })),
            ]}
            onChange={(event) => set({ part: event.currentTarget.value || null })}
          />
        </div>
      )}
      {lever.sheet ? (
        <>
          {magnetic ? (
            <div className="gap-try">
              {(['rest', 'pulled'] as const).map((state) => (
                <div key={state}>
                  <label htmlFor={`gap-${side}-${state}`}>
                    Try {state === 'rest' ? 'at rest' : 'pulled'}:{' '}
                    <strong className="num">{w(`${gaps[state].toFixed(1)} mm`)}</strong> — the motor{' '}
                    <strong>{motorWords[motorAt(state)]}</strong>
                  </label>
                  <Slider
                    id={`gap-${side}-${state}`}
                    thumbLabel={`Gap to try ${state === 'rest' ? 'at rest' : 'pulled'}, ${side} hand`}
                    min={0}
                    max={WIDEST}
                    step={0.1}
                    value={gaps[state]}
                    onChange={(mm) => {
                      setPulling(state === 'pulled');
                      setTried({ ...tried, [state]: mm });
                    }}
                    label={(v) => w(`${v.toFixed(1)} mm`)}
                    {...(state === 'pulled'
                      ? { marks: [{ value: Math.round(lever.reachM * 10000) / 10, label: 'sees to here' }] }
                      : {})}
                  />
                </div>
              ))}
              <p>
                With these gaps:{' '}
                <strong>{trial.outcome === 'measure' ? 'not known' : cutoffOutcomeWords[trial.outcome]}</strong>.{' '}
                {trial.move ?? ''}
              </p>
              <div className="fields fields-three">
                <AmountField
                  label="Gap at rest"
                  dimension="size"
                  value={choice.restM}
                  min={0}
                  max={0.05}
                  onValue={(si) => set({ restM: si })}
                  onEmpty={() => set({ restM: null })}
                />
                <AmountField
                  label="Gap pulled"
                  dimension="size"
                  value={choice.pulledM}
                  min={0}
                  max={0.05}
                  onValue={(si) => set({ pulledM: si })}
                  onEmpty={() => set({ pulledM: null })}
                />
                <AmountField
                  label="Sees to"
                  dimension="size"
                  value={choice.reachM}
                  min={0.0002}
                  max={0.02}
                  placeholder={w(`${(lever.reachM * 1000).toFixed(1)} mm`)}
                  onValue={(si) => set({ reachM: si })}
                  onEmpty={() => set({ reachM: null })}
                />
              </div>
            </div>
          ) : null}
          <NativeSelect
            label="The sensor"
            value={choice.acts ?? ''}
            data={[
              { value: '', label: `By its data: ${cutoffActsWords[lever.acts]}` },
              ...(Object.keys(cutoffActsWords) as (keyof typeof cutoffActsWords)[]).map((value) => ({
                value,
                label: cutoffActsWords[value],
              })),
            ]}
            onChange={(event) => set({ acts: (event.currentTarget.value || null) as LeverChoice['acts'] })}
          />
          <OutcomeTable lever={lever} />
          <div className="seen">
            <SegmentedControl
              size="xs"
              aria-label={`Seen on the stand at rest, ${side} hand`}
              value={choice.sawAtRest ?? 'no'}
              data={[
                { value: 'no', label: 'at rest: not tried' },
                { value: 'runs', label: 'it ran' },
                { value: 'still', label: 'it stood still' },
              ]}
              onChange={(value) => set({ sawAtRest: value === 'no' ? null : (value as 'runs' | 'still') })}
            />
            <SegmentedControl
              size="xs"
              aria-label={`Seen on the stand pulled, ${side} hand`}
              value={choice.sawPulled ?? 'no'}
              data={[
                { value: 'no', label: 'pulled: not tried' },
                { value: 'runs', label: 'it ran on' },
                { value: 'still', label: 'it stopped' },
              ]}
              onChange={(value) => set({ sawPulled: value === 'no' ? null : (value as 'runs' | 'still') })}
            />
          </div>
        </>
      ) : (
        <p className="quiet">
          {lever.lever === 'none' ? 'No lever on this side: nothing to cut by.' : 'No cut-off on this side.'}
        </p>
      )}
    </section>
  );
}

const stateWords = { rest: 'At rest', pulled: 'Pulled', unplugged: 'Unplugged', broken: 'A core broken' };
const motorWords = { runs: 'runs', still: 'stands still', unknown: 'not known' };

function OutcomeTable({ lever }: { lever: LeverSheet }) {
  const { sheet, seen } = lever;
  if (!sheet) return null;
  const outcome = seen ?? sheet.outcome;
  return (
    <div>
      <p className={`outcome tone-text-${toneOf(outcome)}`}>
        <strong>{outcome === 'measure' ? 'Not measured yet' : cutoffOutcomeWords[outcome]}</strong>
        {seen ? ', as seen on the stand' : ''}
        {sheet.failsSafe ? ' · a fault stops it' : ' · a fault lets it run'}
      </p>
      <p>{sheet.why}</p>
      {sheet.move ? <p className="answer-remedy">{sheet.move}</p> : null}
      <table className="sum states">
        <thead>
          <tr>
            <th scope="col">When</th>
            <td>the motor</td>
            <td>because</td>
          </tr>
        </thead>
        <tbody>
          {sheet.states.map((s) => (
            <tr key={s.state}>
              <th scope="row">{stateWords[s.state]}</th>
              <td>{motorWords[s.motor]}</td>
              <td>{s.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
