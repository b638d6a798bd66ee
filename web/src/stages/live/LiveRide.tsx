import { Button, FileButton, SegmentedControl, Select } from '@mantine/core';
import {
  amount,
  isMeterFault,
  liveNow,
  livePlan,
  meterFaults,
  readRide,
  rideCaseOf,
  rideRows,
  type MeterFault,
  entriesOf,
  logEntrySchema,
} from '@sprocket/core';
import { useMemo, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { csvOf, readCsv } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { Big, Show } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { Dial } from './Dial.tsx';
import { EnergyChart } from './EnergyChart.tsx';
import { useMeter, type MeterState } from './useMeter.ts';
import './live.css';

/** Largest ride file that is read, bytes. */
const LARGEST = 12_000_000;

const stateWords: Record<MeterState, string> = {
  off: 'not riding',
  joining: 'joining the meter',
  live: 'readings come',
  lost: 'the stream is lost; the last readings stand, and it is asked for again',
  ended: 'the ride is over',
  replaying: 'ridden again from a file',
  replayed: 'read from a file',
};

/** A ride as it is ridden: what the meter says, what the plan said, and how far it still goes. */
export function LiveRide() {
  const build = useBuild();
  const rides = entriesOf(build.log, 'ride');
  const send = useSend();
  const context = usePlanContext();
  const plan = useMemo(() => livePlan(context), [context]);
  const ride = useMemo(() => rideCaseOf(context), [context]);
  const [fault, setFault] = useState<MeterFault>('none');
  const [speed, setSpeed] = useState('10');
  const [faults, setFaults] = useState<string[]>([]);
  const [said, setSaid] = useState('');
  const meter = useMeter(ride, 20_260);
  const { samples, state } = meter;
  const now = useMemo(() => (plan ? liveNow(samples, plan) : null), [samples, plan]);
  if (!plan || !ride)
    return (
      <StageHead title="Live ride">
        <strong className="marked">Choose kit and battery first</strong>: a ride is held against the plan.
      </StageHead>
    );
  const riding = state === 'joining' || state === 'live' || state === 'lost' || state === 'replaying';
  const read = async (file: File | null): Promise<void> => {
    if (!file) return;
    if (file.size > LARGEST) {
      setFaults([`${file.name}: larger than ${LARGEST / 1e6} MB`]);
      return;
    }
    const table = readCsv(await file.text());
    const found = table.ok ? readRide(table.rows) : table;
    if (!found.ok) {
      setFaults(found.problems.slice(0, 6).map((p) => `${p.path}: ${p.message}`));
      return;
    }
    setFaults([]);
    setSaid(
      found.without.length > 0
        ? `${file.name}: without ${found.without.join(', ')}, worked out from the rest.`
        : `${file.name}, ${found.samples.length} readings.`,
    );
    meter.replay(found.samples, Number(speed));
  };
  const save = (): void => {
    const last = samples.at(-1);
    if (!last) return;
    const { brief } = context.build;
    const id = crypto.randomUUID();
    const charge = (c: number | undefined): number | null => (c === undefined || Number.isNaN(c) ? null : c);
    send(
      buildActions.entriesKept({
        field: `log.entries.${id}`,
        value: [
          logEntrySchema.parse({
            kind: 'ride',
            id,
            at: thisMinute(),
            name: brief.route?.name ?? 'Flat road',
            from: state === 'replayed' ? 'file' : 'standIn',
            distanceM: last.distanceM,
            timeS: last.timeS,
            energyWh: last.energyWh,
            startCharge: charge(samples[0]?.charge),
            endCharge: charge(last.charge),
            temperatureC: brief.temperatureC,
            headwindMs: brief.headwindMs,
            massKg: context.systemMassKg,
            ownRoad: state !== 'replayed',
            note:
              fault === 'none' || state === 'replayed'
                ? ''
                : `Stand-in with a hidden fault: ${meterFaults[fault].toLowerCase()}.`,
          }),
        ],
      }),
    );
    setSaid('Kept in the logbook.');
  };
  return (
    <>
      <StageHead title="Live ride">
        {now?.past ? (
          <strong className="marked marked-turn">Turn back: past the last point from which it surely comes home</strong>
        ) : (
          <>
            Over <strong className="marked">{build.brief.route?.name ?? 'a flat road'}</strong>, beside what the plan
            said.
          </>
        )}
      </StageHead>
      <div className="live-bar card">
        {riding ? (
          <Button variant="default" onClick={meter.stop}>
            {state === 'replaying' ? 'To its end' : 'End the ride'}
          </Button>
        ) : (
          <Button onClick={() => meter.start(fault, Number(speed))}>Ride</Button>
        )}
        <SegmentedControl
          aria-label="How fast time goes"
          value={speed}
          disabled={riding}
          data={[
            { value: '1', label: 'As ridden' },
            { value: '10', label: '10 ×' },
            { value: '60', label: '60 ×' },
          ]}
          onChange={setSpeed}
        />
        <Select
          aria-label="Hidden fault"
          value={fault}
          disabled={riding}
          data={Object.entries(meterFaults).map(([value, label]) => ({
            value,
            label: value === 'none' ? 'No fault' : label,
          }))}
          onChange={(v) => {
            if (isMeterFault(v)) setFault(v);
          }}
        />
        <FileButton accept=".csv,text/csv" onChange={(file) => void read(file)}>
          {(props) => (
            <Button variant="default" {...props}>
              Ride from a file
            </Button>
          )}
        </FileButton>
        <span className={`live-state live-${state}`} role="status">
          {stateWords[state]}
          {state === 'lost' && meter.silentS > 0 ? ` (${meter.silentS} s)` : ''}
        </span>
      </div>
      <p className="quiet">
        The meter is a stand-in of this server: an invented ride of this build, with a meter’s noise. A real meter’s
        table can be read in its place. On the road, eyes stay on it: read this when stopped.
      </p>
      {faults.length > 0 ? (
        <div className="card" role="alert">
          <strong>The file was not taken:</strong>
          <ul>
            {faults.map((f) => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        </div>
      ) : null}
      <div className="live-two">
        <section className="card live-dials" aria-label="Now">
          <Dial label="Speed" value={now ? amount(now.speedMs, 'speed') : null} />
          <Dial label="Power" value={now ? amount(now.watts, 'power') : null} />
          <Dial label="Volts" value={now ? amount(now.volts, 'voltage') : null} />
          <Dial label="Charge" value={now ? amount(now.charge, 'share', 0) : null} />
          <Dial
            label="Use now"
            value={!now || now.useNow === null ? null : amount(now.useNow, 'energyPerWay', 1)}
            note="over the last 500 m"
          />
          <Dial
            label="Use so far"
            value={!now || now.useMean === null ? null : amount(now.useMean, 'energyPerWay', 1)}
            note={
              now && now.distanceM > 150 ? (
                <>
                  plan by here <Show value={amount(now.planWh / now.distanceM, 'energyPerWay', 1)} />
                </>
              ) : (
                <>
                  plan <Show value={amount(plan.use.low, 'energyPerWay', 1)} /> to{' '}
                  <Show value={amount(plan.use.high, 'energyPerWay', 1)} />
                </>
              )
            }
          />
        </section>
        <section className="card live-left" aria-label="Still to go">
          <h2>It still goes</h2>
          {now ? (
            <>
              <p className="live-range">
                <Big value={amount(now.left.mid, 'way')} />
              </p>
              <p>
                <Show value={amount(now.left.low, 'way')} /> for sure nine times in ten,{' '}
                <Show value={amount(now.left.high, 'way')} /> one time in ten.
              </p>
              <p>
                {now.turnBackM === null ? (
                  plan.thereAndBack ? (
                    'It comes home from anywhere on this road.'
                  ) : (
                    'This road does not lead back.'
                  )
                ) : (
                  <>
                    Turn back at the latest <Show value={amount(now.turnBackM, 'way')} /> from home
                    {now.past ? ': you are past it' : ''}.
                  </>
                )}
              </p>
              <p>
                <Show value={amount(now.energyWh, 'energy')} /> used, the plan had{' '}
                <Show value={amount(now.planWh, 'energy')} /> by here; <Show value={amount(now.distanceM, 'way')} /> of{' '}
                <Show value={amount(plan.roadM, 'way')} />.
              </p>
            </>
          ) : (
            <p className="quiet">
              Before the first metre: <Show value={amount(plan.usableWh / plan.use.mid, 'way')} /> by the plan.
            </p>
          )}
          <div className="live-keep">
            <Button variant="default" disabled={samples.length < 2 || riding} onClick={save}>
              Keep in the logbook
            </Button>
            <Button
              variant="default"
              disabled={samples.length < 2}
              onClick={() =>
                downloadText(`ride-${thisMinute().replace(/[T:]/g, '-')}.csv`, csvOf(rideRows(samples)), 'text/csv')
              }
            >
              CSV
            </Button>
          </div>
          {said ? <p role="status">{said}</p> : null}
        </section>
      </div>
      <EnergyChart plan={plan} samples={samples} />
      {rides.length > 0 ? (
        <section className="card" aria-label="Rides kept">
          <h2>Rides kept</h2>
          <ul className="bare-list">
            {rides.slice(-6).map((r) => (
              <li key={r.id}>
                {r.at.replace('T', ' ')}, {r.name}: <Show value={amount(r.distanceM, 'way')} />,{' '}
                <Show value={amount(r.energyWh ?? 0, 'energy')} />,{' '}
                <Show value={amount((r.energyWh ?? 0) / Math.max(1, r.distanceM), 'energyPerWay', 1)} />
                {r.from === 'standIn' ? ', from the stand-in' : ''}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  );
}
