import { amount, amountText } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend, useUnits } from '../../store/store.ts';
import { Bars } from '../../drawing/Bars.tsx';
import { usePlan } from '../../sheet/PlanProvider.tsx';

/** Both hands of the bar to scale: dragged into order, room left in mm, nothing between hand and brake. */
export function BarSheet() {
  const plan = usePlan();
  const send = useSend();
  const units = useUnits();
  const { bar } = plan.wiring;
  return (
    <section aria-labelledby="bar-sheet">
      <div className="section-head">
        <h2 id="bar-sheet">Along the bar</h2>
        <span className="quiet">drag a thing along, or take it with Tab and move it with the arrows</span>
      </div>
      <Bars
        plan={plan}
        onOrder={(side, order) =>
          send(buildActions.barOrdered({ field: `wiring.bar.${side}`, value: { [side]: order } }))
        }
      />
      <ul className="plain-list">
        {bar.map((b) => (
          <li key={b.side}>
            <strong>{b.side === 'left' ? 'Left' : 'Right'}:</strong>{' '}
            {b.straightM === null
              ? `${amountText(amount(b.takenM, 'size', 0), units)} wanted; the straight of the bar is not measured.`
              : b.straightM >= b.takenM
                ? `${amountText(amount(b.straightM - b.takenM, 'size', 0), units)} of straight bar left.`
                : `${amountText(amount(b.takenM - b.straightM, 'size', 0), units)} more than there is.`}
            {b.thumbM === null
              ? ''
              : ` The throttle lies ${amountText(amount(b.thumbM, 'size', 0), units)} from the grip.`}
            {b.blocksBrake ? ` The hand does not reach the brake past ${b.blocksBrake}.` : ''}
          </li>
        ))}
        <li className="quiet">The display’s bracket goes on before the bar’s clamp hides it.</li>
      </ul>
    </section>
  );
}
