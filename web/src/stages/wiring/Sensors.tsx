import { NativeSelect } from '@mantine/core';
import { decimals, amount, type Wiring } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show, useWords } from '../../ui/Show.tsx';

/** Cadence, speed and shift sensors, their gaps, and what can be had in their place. */
export function Sensors({ wiring }: { wiring: Wiring }) {
  const w = useWords();
  const build = useBuild();
  const send = useSend();
  const { shelf } = usePlanContext();
  const { cadence, speed } = wiring;
  const { sensors, parts } = build.wiring;
  const of = (role: string) => shelf.control.filter((c) => c.role === role);
  const pick = (box: 'cadence' | 'speed' | 'shift' | 'display' | 'throttle', label: string) => (
    <NativeSelect
      key={box}
      label={label}
      value={parts[box] ?? ''}
      data={[
        { value: '', label: 'the kit’s own' },
        ...of(box).map((c) => ({ value: c.id, label: `${c.name}, ${c.price}` })),
      ]}
      onChange={(event) =>
        send(
          buildActions.controlChosen({
            field: `wiring.parts.${box}`,
            value: { [box]: event.currentTarget.value || null },
          }),
        )
      }
    />
  );
  return (
    <section className="card" aria-labelledby="sensors">
      <div className="section-head">
        <h2 id="sensors">Sensors and controls</h2>
      </div>
      <dl className="facts">
        <div>
          <dt>cadence sensor</dt>
          <dd>
            {cadence.is === 'none'
              ? 'none: torque at the cranks, or none needed'
              : cadence.is === 'leftOff'
                ? 'left off, by your school'
                : `${cadence.sensor?.magnets ?? 0} magnets, ${cadence.sensor?.side ?? ''}${cadence.is === 'inside' ? ', inside the motor' : cadence.cranksOff ? ', crank off to fit it' : ', crank stays on'}`}
          </dd>
        </div>
        {cadence.delayS !== null && cadence.delayM !== null ? (
          <div>
            <dt>till it helps</dt>
            <dd className="num">
              {decimals(cadence.delayS, 2)} s, <Show value={amount(cadence.delayM, 'height', 1)} />
            </dd>
          </div>
        ) : null}
        <div>
          <dt>speed</dt>
          <dd>
            {speed.at === 'inMotor'
              ? 'read in the hub'
              : speed.at === 'atStay'
                ? w('magnet at the spokes, 2 mm off')
                : 'not known'}
            , {speed.magnets} a turn
          </dd>
        </div>
      </dl>
      <div className="fields">
        {cadence.is === 'fitted' ? (
          <AmountField
            label="Cadence sensor’s gap as set"
            dimension="size"
            value={sensors.cadenceGapM}
            min={0}
            max={0.05}
            onValue={(si) =>
              send(buildActions.sensorsEdited({ field: 'wiring.cadenceGap', value: { cadenceGapM: si } }))
            }
            onEmpty={() =>
              send(buildActions.sensorsEdited({ field: 'wiring.cadenceGap', value: { cadenceGapM: null } }))
            }
          />
        ) : null}
        {speed.at === 'atStay' ? (
          <AmountField
            label="Speed sensor’s gap as set"
            dimension="size"
            value={sensors.speedGapM}
            min={0}
            max={0.05}
            onValue={(si) => send(buildActions.sensorsEdited({ field: 'wiring.speedGap', value: { speedGapM: si } }))}
            onEmpty={() => send(buildActions.sensorsEdited({ field: 'wiring.speedGap', value: { speedGapM: null } }))}
          />
        ) : null}
        {pick('display', 'Display')}
        {pick('throttle', 'Throttle')}
        {pick('cadence', 'Cadence sensor')}
        {pick('speed', 'Speed sensor')}
        {pick('shift', 'Shift sensor')}
      </div>
      {wiring.sockets.length > 0 ? (
        <p className="quiet">
          Sockets left over:{' '}
          {wiring.sockets.map((s) => `${s.what} (${s.plug.colour}, ${s.plug.poles} poles)`).join(', ')}. Cap each and
          write on it that it is not used.
        </p>
      ) : null}
    </section>
  );
}
