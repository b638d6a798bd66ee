import { Button, NativeSelect } from '@mantine/core';
import {
  amount,
  cellsInRow,
  joinedHere,
  usualMembers,
  type Member,
  type Wiring,
  type WiringChoice,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';

/** Packs or blocks joined: each with its volts at rest and its age, and whether they may be. */
export function JoinedCard({ wiring }: { wiring: Wiring }) {
  const build = useBuild();
  const send = useSend();
  const { packAlone: pack } = usePlanContext().chosen;
  const packs = joinedHere(build.wiring.packs, pack?.id ?? null);
  const put = (value: WiringChoice['packs'], field = 'all'): void => {
    send(buildActions.packsJoined({ field: `wiring.packs.${field}`, value }));
  };
  const blocks = pack?.blocks;
  if (!packs)
    return (
      <section className="card" aria-labelledby="joined-card">
        <div className="section-head">
          <h2 id="joined-card">Packs or blocks joined</h2>
          <Button size="compact-sm" variant="default" onClick={() => put(usualMembers(pack))}>
            {blocks ? `Look at its ${blocks.count} blocks` : 'Join a second pack'}
          </Button>
        </div>
        <p className="quiet">
          In a row volts add and all must be alike; side by side only by the maker’s own joint or a diode for each.
          {build.wiring.packs ? ' What was joined before was written down for another battery and does not count.' : ''}
        </p>
      </section>
    );
  const edit = (i: number, change: Partial<Member>): void =>
    put(
      { ...packs, members: packs.members.map((m, j) => (j === i ? { ...m, ...change } : m)) },
      `${i}.${Object.keys(change).join()}`,
    );
  const { joined } = wiring;
  return (
    <section
      className={`card edge-${joined?.allowed === 'no' ? 'stop' : joined?.allowed === 'yes' ? 'fits' : 'measure'}`}
      aria-labelledby="joined-card"
    >
      <div className="section-head">
        <h2 id="joined-card">Packs or blocks joined</h2>
        <Button size="compact-sm" variant="default" onClick={() => put(null)}>
          One pack alone
        </Button>
      </div>
      <div className="fields fields-three">
        <NativeSelect
          label="Joined"
          value={packs.join}
          data={[
            { value: 'series', label: 'in a row: volts add' },
            { value: 'parallel', label: 'side by side: amp-hours add' },
          ]}
          onChange={(event) => put({ ...packs, join: event.currentTarget.value as 'series' | 'parallel' }, 'join')}
        />
        {packs.join === 'parallel' ? (
          <NativeSelect
            label="By"
            value={packs.by}
            data={[
              { value: 'wires', label: 'bare wires' },
              { value: 'makersJoint', label: 'the maker’s own joint' },
              { value: 'diodes', label: 'a diode each' },
            ]}
            onChange={(event) =>
              put({ ...packs, by: event.currentTarget.value as 'wires' | 'makersJoint' | 'diodes' }, 'by')
            }
          />
        ) : null}
      </div>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Joined packs, scrolls sideways">
        <table className="gears members">
          <thead>
            <tr>
              <th scope="col">Member</th>
              <th scope="col">Volts</th>
              <th scope="col">Amp-hours</th>
              <th scope="col">Rests at</th>
              <th scope="col">Age, years</th>
            </tr>
          </thead>
          <tbody>
            {packs.members.map((m, i) => (
              <tr key={i}>
                <th scope="row">{m.name}</th>
                <td>
                  <AmountField
                    label={<span className="sr">Volts of {m.name}</span>}
                    dimension="voltage"
                    value={m.volts}
                    min={1}
                    max={100}
                    onValue={(si) => edit(i, { volts: si, series: cellsInRow(si, m.chemistry) })}
                  />
                </td>
                <td>
                  <AmountField
                    label={<span className="sr">Amp-hours of {m.name}</span>}
                    dimension="charge"
                    value={m.ampHours}
                    min={0.5}
                    max={400}
                    onValue={(si) => edit(i, { ampHours: si })}
                  />
                </td>
                <td>
                  <AmountField
                    label={<span className="sr">{m.name} rests at</span>}
                    dimension="voltage"
                    digits={2}
                    value={m.restV}
                    min={0}
                    max={120}
                    onValue={(si) => edit(i, { restV: si })}
                    onEmpty={() => edit(i, { restV: null })}
                  />
                </td>
                <td>
                  <AmountField
                    label={<span className="sr">Age of {m.name}, years</span>}
                    dimension="count"
                    digits={1}
                    value={m.ageYears}
                    min={0}
                    max={30}
                    onValue={(si) => edit(i, { ageYears: si })}
                    onEmpty={() => edit(i, { ageYears: null })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {joined ? (
        <p>
          Together <Show value={amount(joined.volts, 'voltage')} />, <Show value={amount(joined.ampHours, 'charge')} />,{' '}
          <Show value={amount(joined.amps, 'current', 0)} />, <Show value={amount(joined.energyWh, 'energy')} />:{' '}
          <strong>
            {joined.allowed === 'yes'
              ? 'may be joined'
              : joined.allowed === 'no'
                ? 'may not be joined'
                : 'not known yet'}
          </strong>
          {joined.reasons.length > 0 ? ` — ${joined.reasons.join('; ')}` : ''}.
        </p>
      ) : null}
    </section>
  );
}
