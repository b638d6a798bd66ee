import { TextInput } from '@mantine/core';
import {
  amount,
  parseTyre,
  PEDAL_CLEARANCE_WANTED,
  tyreName,
  wheelChange,
  type Change,
  type Dimension,
  type TyreSize,
  type WheelCaution,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { Show, Words } from '../../ui/Show.tsx';

/** Wheels of another size on the same frame: how it stands, steers, clears and shows its speed. */
export function WheelSheet() {
  const plan = usePlan();
  const build = useBuild();
  const send = useSend();
  const g = plan.drawing.geometry;
  const { newWheels } = build.choice;
  const change = plan.pack.layout.wheels ?? wheelChange(build.donor, g, g.rearTyre, g.frontTyre);
  const choose = (end: 'rear' | 'front', tyre: TyreSize | null): void => {
    send(buildActions.chose({ field: `choice.newWheels.${end}`, value: { newWheels: { ...newWheels, [end]: tyre } } }));
  };
  const rows: [string, Change, Dimension][] = [
    ['Crank centre above the ground', change.bracketHeightM, 'size'],
    ['Pedal above the ground', change.pedalClearanceM, 'size'],
    ['Toe to the front tyre', change.toeGapM, 'size'],
    ['Head angle', change.headAngleRad, 'angle'],
    ['Trail', change.trailM, 'size'],
    ['Rear wheel rolls in a turn, loaded', change.circumferenceM, 'size'],
  ];
  const says = (caution: WheelCaution): boolean => change.cautions.includes(caution);
  return (
    <section className="card" aria-labelledby="wheels-title">
      <h2 id="wheels-title">Wheels of another size</h2>
      <p className="quiet">
        A smaller wheel pulls harder and sits lower; everything below follows from it. Leave a field empty to keep the
        donor’s.
      </p>
      <div className="fields">
        <TyreChoice label="Rear" own={g.rearTyre} value={newWheels.rear} onValue={(t) => choose('rear', t)} />
        <TyreChoice label="Front" own={g.frontTyre} value={newWheels.front} onValue={(t) => choose('front', t)} />
      </div>
      <table className="sum">
        <thead>
          <tr>
            <th scope="col">Size</th>
            <th scope="col">now</th>
            <th scope="col">then</th>
            <th scope="col">change</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, c, dimension]) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              <td className="num">
                <Show value={amount(c.before, dimension, dimension === 'size' ? 0 : 1)} />
              </td>
              <td className="num">
                <strong>
                  <Show value={amount(c.after, dimension, dimension === 'size' ? 0 : 1)} />
                </strong>
              </td>
              <td className="num">
                <Show value={amount(c.after - c.before, dimension, dimension === 'size' ? 0 : 1)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="plain-list">
        <li>
          Every gear goes at {Math.round(change.speedShare * 100)} % of its speed, and pulls{' '}
          {Math.round(100 / change.speedShare)} %; set the display to{' '}
          <Show value={amount(change.circumferenceM.after, 'size', 0)} />.
        </li>
        <li>
          {says('pedalsLow') ? (
            change.crankM !== null && says('cranksTooLong') ? (
              <>
                Pedals come within <Show value={amount(change.pedalClearanceM.after, 'size', 0)} /> of the ground:
                cranks of <Show value={amount(change.crankM, 'size', 1)} /> keep{' '}
                <Show value={amount(PEDAL_CLEARANCE_WANTED, 'size', 0)} />.
              </>
            ) : (
              <>
                Pedals come within <Show value={amount(change.pedalClearanceM.after, 'size', 0)} /> of the ground, and
                no crank sold is short enough to mend it: do not pedal in bends.
              </>
            )
          ) : (
            <>
              Pedals keep <Show value={amount(change.pedalClearanceM.after, 'size', 0)} />; cranks may stay.
            </>
          )}
        </li>
        {says('padsMove') ? (
          <li>
            Rim brake pads would have to reach{' '}
            <Show value={amount(Math.max(change.rearPadM, change.frontPadM), 'size', 1)} /> further in: beyond about{' '}
            <Show value={amount(0.01, 'size')} /> that takes a drop bolt, longer arms, or a disc.
          </li>
        ) : null}
        {says('tyreTight') ? (
          <li>
            <Words>A tyre leaves less than 4 mm each side in its frame or fork.</Words>
          </li>
        ) : null}
        {says('toesMeetTyre') ? (
          <li>Toes and the front tyre overlap: at walking pace a full turn with the crank forward throws the rider.</li>
        ) : null}
        {says('oddTrail') ? (
          <li>
            <Words>Trail leaves the usual 30 to 85 mm: it will steer unlike a bicycle. Ride it slowly first.</Words>
          </li>
        ) : null}
      </ul>
    </section>
  );
}

function TyreChoice({
  label,
  own,
  value,
  onValue,
}: {
  label: string;
  own: TyreSize;
  value: TyreSize | null;
  onValue: (tyre: TyreSize | null) => void;
}) {
  const [text, setText] = useState(value ? tyreName(value) : '');
  const [fault, setFault] = useState<string | null>(null);
  return (
    <TextInput
      label={`${label} tyre thought of`}
      placeholder={tyreName(own)}
      value={text}
      error={fault}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setText(next);
        if (next.trim() === '') {
          setFault(null);
          onValue(null);
          return;
        }
        const read = parseTyre(next);
        if (read.ok) {
          setFault(null);
          onValue(read.value);
        } else setFault(read.message);
      }}
    />
  );
}
