import { Checkbox, NativeSelect } from '@mantine/core';
import { decimals, amount, type Wiring, type WiringChoice } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { Show, Words, useWords } from '../../ui/Show.tsx';
import { JoinedCard } from './Joined.tsx';

/** The battery's lead in one sum, the spark, lamps and horn, and packs that are joined. */
export function Power({ wiring }: { wiring: Wiring }) {
  return (
    <>
      <PowerCard wiring={wiring} />
      <LampsCard wiring={wiring} />
      <JoinedCard wiring={wiring} />
    </>
  );
}

function PowerCard({ wiring }: { wiring: Wiring }) {
  const w = useWords();
  const build = useBuild();
  const send = useSend();
  const { power } = wiring;
  const { pack, shelf } = usePlanContext();
  const charge = pack?.charge?.plug ?? null;
  const choice = build.wiring.power;
  const set = (change: Partial<WiringChoice['power']>): void => {
    send(buildActions.powerEdited({ field: `wiring.power.${Object.keys(change).join()}`, value: change }));
  };
  if (!power)
    return (
      <section className="card">
        <h2>Cable, fuse and spark</h2>
        <p>Choose a battery first: its volts, amps and plug decide them.</p>
      </section>
    );
  const pre = power.spark.precharge;
  return (
    <section className="card" aria-labelledby="power-card">
      <div className="section-head">
        <h2 id="power-card">Cable, fuse and spark</h2>
        <span className="quiet">cautious workshop values for copper in a bundle</span>
      </div>
      <div className="power-grid">
        <table className="sum">
          <tbody>
            <tr>
              <th scope="row">
                cable, at least <span className="from">carries {power.carriesA} A as it is</span>
              </th>
              <td className="num">{w(`${power.wantedMm2} mm²`)}</td>
            </tr>
            <tr>
              <th scope="row">
                resistance
                <span className="from">
                  2 · {decimals(0.0172, 4)} · L ÷ A, at <Show value={amount(power.celsius, 'temperature')} />
                </span>
              </th>
              <td className="num">{decimals(power.ohm * 1000, 1)} mΩ</td>
            </tr>
            <tr>
              <th scope="row">
                drop
                <span className="from">
                  <Show value={amount(power.amps, 'current', 0)} /> through{' '}
                  <Show value={amount(power.lengthM, 'size', 0)} />
                </span>
              </th>
              <td className="num">
                {decimals(power.dropV, 2)} V, <Show value={amount(power.dropShare, 'share', 1)} />
              </td>
            </tr>
            <tr>
              <th scope="row">lost as heat, at full current</th>
              <td className="num">
                <Show value={amount(power.lossW, 'power', 1)} />
              </td>
            </tr>
            <tr>
              <th scope="row">
                fuse
                <span className="from">
                  <Words>the next from 1.25 times the limit, within 200 mm of the plus</Words>
                </span>
              </th>
              <td className="num">{power.fuseA === null ? 'none' : `${power.fuseA} A`}</td>
            </tr>
            {power.weakest ? (
              <tr>
                <th scope="row">
                  weakest plug<span className="from">{power.weakest.what}</span>
                </th>
                <td className="num">{power.weakest.amps} A</td>
              </tr>
            ) : null}
            <tr>
              <th scope="row">
                spark
                <span className="from">
                  ½ · {decimals(power.capacitance.farad * 1000, 2)} mF{power.capacitance.known ? '' : ', taken'} · (
                  {decimals(power.fullVolts, 1)} V)²
                </span>
              </th>
              <td className="num">{decimals(power.spark.joules, 2)} J</td>
            </tr>
            <tr>
              <th scope="row">
                charging socket<span className="from">the charger’s plug must mate, and its volts be read first</span>
              </th>
              <td className="num">{charge ? `${charge.family}, ${charge.poles} poles` : 'not known'}</td>
            </tr>
            {pre ? (
              <tr>
                <th scope="row">
                  pre-charge
                  <span className="from">
                    {decimals(pre.seconds, 2)} s, {Math.round(pre.watts)} W at the first instant
                  </span>
                </th>
                <td className="num">{pre.ohm} Ω</td>
              </tr>
            ) : null}
          </tbody>
        </table>
        <div className="fields">
          <NativeSelect
            label="Cable"
            value={choice.mm2 === null ? '' : String(choice.mm2)}
            data={[
              {
                value: '',
                label:
                  power.leadMm2 === null
                    ? w(`as worked out, ${power.wantedMm2} mm²`)
                    : w(`the kit’s own, ${power.leadMm2} mm²`),
              },
              ...shelf.cable.map((c) => ({ value: String(c.mm2), label: w(`${c.mm2} mm², ${c.amps} A`) })),
            ]}
            onChange={(event) =>
              set({ mm2: event.currentTarget.value === '' ? null : Number(event.currentTarget.value) })
            }
          />
          <NativeSelect
            label="Fuse"
            value={choice.fuseA === null ? '' : String(choice.fuseA)}
            data={[
              { value: '', label: 'as reckoned' },
              ...shelf.fuse.map((f) => ({ value: String(f.amps), label: f.name })),
            ]}
            onChange={(event) =>
              set({ fuseA: event.currentTarget.value === '' ? null : Number(event.currentTarget.value) })
            }
          />
          <NativeSelect
            label="Pre-charge lead"
            value={choice.precharge ?? ''}
            data={[
              { value: '', label: 'none' },
              ...shelf.precharge.map((p) => ({ value: p.id, label: `${p.name}, ${p.price}` })),
            ]}
            onChange={(event) => set({ precharge: event.currentTarget.value || null })}
          />
          <NativeSelect
            label="Adapter at the battery"
            value={choice.adapter ?? ''}
            data={[
              { value: '', label: 'none' },
              ...shelf.adapter.map((a) => ({ value: a.id, label: `${a.name}, ${a.price}` })),
            ]}
            onChange={(event) => set({ adapter: event.currentTarget.value || null })}
          />
          <Checkbox
            label="A disconnect each side of a hitch"
            checked={choice.disconnects}
            onChange={(event) => set({ disconnects: event.currentTarget.checked })}
          />
        </div>
      </div>
      <p className="quiet">
        Shorted, a battery burns what holds it. Plus first sleeved, one core at a time, fuse out while you work; ask an
        electrician or a battery builder before anything is opened or soldered.
      </p>
    </section>
  );
}

function LampsCard({ wiring }: { wiring: Wiring }) {
  const build = useBuild();
  const send = useSend();
  const { shelf } = usePlanContext();
  const { parts } = build.wiring;
  const { lamps } = wiring;
  return (
    <section className="card" aria-labelledby="lamps-card">
      <div className="section-head">
        <h2 id="lamps-card">Lamps and horn off the pack</h2>
        <span className="quiet">
          {lamps.items.length === 0
            ? 'none yet'
            : `${lamps.watts} W together, ${decimals(lamps.amps, 2)} A; lamps count as always on`}
        </span>
      </div>
      <div className="fields fields-three">
        {(
          [
            ['frontLamp', 'Front lamp'],
            ['rearLamp', 'Rear lamp'],
            ['horn', 'Horn'],
          ] as const
        ).map(([box, label]) => (
          <NativeSelect
            key={box}
            label={label}
            value={parts[box] ?? ''}
            data={[
              { value: '', label: 'none off the pack' },
              ...shelf.control
                .filter((c) => c.role === box)
                .map((c) => ({ value: c.id, label: `${c.name}, ${c.watts ?? 0} W, ${c.price}` })),
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
        ))}
      </div>
      {lamps.items
        .filter((i) => i.trouble)
        .map((i) => (
          <p key={i.box} className="tone-text-rework">
            {i.name} {i.trouble}.
          </p>
        ))}
    </section>
  );
}
