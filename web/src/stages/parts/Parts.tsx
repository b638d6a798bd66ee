import { useApp, useBuild, useSend } from '../../store/store.ts';
import { uiActions, type PartsView } from '../../store/uiSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useScrollToHash } from '../../sheet/useScrollToHash.ts';
import { useMoney } from '../../ui/money.ts';
import { BillBoard } from './BillBoard.tsx';
import { BillTable } from './BillTable.tsx';
import { Buying } from './Buying.tsx';
import { Costs } from './Costs.tsx';
import { Counter } from './Counter.tsx';
import { Orders } from './Orders.tsx';
import { Quotation } from './Quotation.tsx';
import { Time } from './Time.tsx';
import { Tools } from './Tools.tsx';
import { Unpacking } from './Unpacking.tsx';
import './parts.css';

const viewWords: Record<PartsView, string> = {
  bill: 'The bill',
  time: 'Time',
  tools: 'Tools',
  buying: 'Buying',
  suppliers: 'Suppliers and prices',
  unpacking: 'Unpacking',
  costs: 'What it costs',
  quotation: 'Quotation and invoice',
};

/** What to order, in which order, what it costs and when it comes. */
export function PartsStage() {
  const {
    parts: { bill },
  } = usePlan();
  const build = useBuild();
  const send = useSend();
  useScrollToHash(true);
  const money = useMoney();
  const view = useApp((state) => state.ui.partsView);
  const count = (wave: string): number => bill.lines.filter((l) => l.wave === wave && l.from === 'order').length;
  const [now, held] = [count('now'), count('held')];
  const { wanted, spent, committed, toCome } = bill.sums;
  return (
    <>
      <StageHead title="Parts">
        What to order, and what it comes to:{' '}
        <strong className="marked">
          {bill.lines.length === 0
            ? 'nothing chosen yet'
            : `${now} to order now${held > 0 ? `, ${held} held` : ''}, ${money(wanted, 0)} in all`}
        </strong>
      </StageHead>
      {view === 'bill' ? <BillBoard bill={bill} /> : null}
      <div className="walk" role="group" aria-label="Parts of the bill">
        {(Object.keys(viewWords) as PartsView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.partsViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
      </div>
      {view === 'bill' ? (
        <>
          <dl className="sums card">
            {(
              [
                ['Still to come', toCome],
                ['On its way', committed],
                ['Here and paid', spent],
                ['In all', wanted],
              ] as const
            ).map(([label, sum]) => (
              <div key={label}>
                <dt>{label}</dt>
                <dd className="num">{money(sum)}</dd>
              </div>
            ))}
            {build.brief.budget === null ? null : (
              <div className={wanted > build.brief.budget ? 'tone-text-rework' : ''}>
                <dt>{wanted > build.brief.budget ? 'Over the budget by' : 'Left of the budget'}</dt>
                <dd className="num">{money(Math.abs(build.brief.budget - wanted))}</dd>
              </div>
            )}
          </dl>
          <BillTable bill={bill} />
        </>
      ) : null}
      {view === 'time' ? <Time bill={bill} /> : null}
      {view === 'tools' ? <Tools /> : null}
      {view === 'buying' ? (
        <>
          <div className="no-print">
            <Buying bill={bill} />
          </div>
          <Orders bill={bill} />
        </>
      ) : null}
      {view === 'suppliers' ? <Counter bill={bill} /> : null}
      {view === 'unpacking' ? <Unpacking bill={bill} /> : null}
      {view === 'costs' ? <Costs /> : null}
      {view === 'quotation' ? <Quotation bill={bill} /> : null}
    </>
  );
}
