import { amount, AMPLE, fixingWords, packPlaceWords, type SaidPlacement, type Placement } from '@sprocket/core';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useUnits } from '../../store/store.ts';
import type { Spot } from '../../drawing/PackOverlay.tsx';
import { Say, Show, Words } from '../../ui/Show.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';

interface AnswersProps {
  byHand: boolean;
  onPut: (spot: Spot | null) => void;
}

const spotOf = (p: Placement): Spot => ({ place: p.place, alongM: p.alongM, turned: p.turned, fixing: p.fixing });

/** Every way the chosen pack can lie, best first, each with its gap, what sets it, and what would let it in. */
export function Answers({ byHand, onPut }: AnswersProps) {
  const plan = usePlan();
  const { pack } = plan.pack.layout;
  if (!pack) return null;
  return (
    <section className="answers" aria-labelledby="answers-title">
      <div className="section-head">
        <h2 id="answers-title">Ways it can lie</h2>
        <span className="quiet">
          <Words>
            drag it on the drawing, or focus it: arrows move it 1 mm, with Shift 10 mm, T turns it, Page keys change
            place
          </Words>
          {byHand ? (
            <>
              {' · '}
              <button type="button" className="link-button" onClick={() => onPut(null)}>
                back to the best spot
              </button>
            </>
          ) : null}
        </span>
      </div>
      <ul className="answer-list">
        {pack.places.map((p) => (
          <Answer key={p.place} answer={p} taken={p.place === pack.taken.place} onPut={onPut} />
        ))}
      </ul>
    </section>
  );
}

function Answer({ answer, taken, onPut }: { answer: SaidPlacement; taken: boolean; onPut: AnswersProps['onPut'] }) {
  const units = useUnits();
  const { finding, lies, clearanceM, bandM, others } = answer;
  return (
    <li className={`answer edge-${finding.verdict}${taken ? ' chosen' : ''}`}>
      <div className="answer-head">
        <h3>{packPlaceWords[answer.place]}</h3>
        <VerdictMark verdict={finding.verdict} count={1} />
      </div>
      {lies && clearanceM !== null ? (
        <p className="answer-gap">
          <strong className="num">
            {clearanceM >= AMPLE - 0.001 ? (
              'ample'
            ) : (
              <Show value={amount(clearanceM, 'size', units === 'metric' ? 0 : 2)} />
            )}
          </strong>{' '}
          {clearanceM >= AMPLE - 0.001 ? '' : `to ${lies.tightest.name}`}
          {bandM > 0.0005 ? (
            <span className="quiet">
              {' '}
              ± <Show value={amount(bandM, 'size', units === 'metric' ? 0 : 2)} />
            </span>
          ) : null}
          <span className="quiet">
            {' · '}
            {fixingWords[lies.fixing]}
            {lies.turned ? ', latch uppermost' : ''}
          </span>
        </p>
      ) : null}
      {finding.verdict === 'fits' ? null : (
        <p className="answer-why">
          <Say words={finding.why} />
        </p>
      )}
      {finding.remedies[0] && finding.verdict !== 'fits' ? (
        <p className="answer-remedy">
          <Say words={finding.remedies[0].text} />
        </p>
      ) : null}
      <div className="answer-foot">
        {lies && !taken ? (
          <button type="button" className="pill" onClick={() => onPut(spotOf(lies))}>
            Put it {packPlaceWords[answer.place]}
          </button>
        ) : null}
        {taken
          ? others.slice(0, 2).map((o) => (
              <button key={`${o.fixing}${o.turned}`} type="button" className="pill" onClick={() => onPut(spotOf(o))}>
                {o.turned ? 'turned, ' : ''}
                {fixingWords[o.fixing]}: <Show value={amount(o.clearanceM, 'size', 0)} />
              </button>
            ))
          : null}
      </div>
    </li>
  );
}
