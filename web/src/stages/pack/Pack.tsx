import { PartLessons } from '../../sheet/PartLessons.tsx';
import { Button } from '@mantine/core';
import {
  decimals,
  amount,
  amountText,
  AMPLE,
  packPlaceWords,
  type BuildPlan,
  type PackCandidate,
} from '@sprocket/core';
import { Link, useParams } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useApp, useBuild, useSend, useUnits } from '../../store/store.ts';
import { uiActions, type PackView } from '../../store/uiSlice.ts';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { PackBoard } from '../../drawing/PackBoard.tsx';
import type { Spot } from '../../drawing/PackOverlay.tsx';
import { FindingLine, FindingList } from '../../sheet/FindingList.tsx';
import { OrderMark } from '../../sheet/OrderMark.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { useKeepOwn } from '../../sheet/useKeepOwn.ts';
import { useScrollToHash } from '../../sheet/useScrollToHash.ts';
import { Answers } from './Answers.tsx';
import { MakeSheet } from './MakeSheet.tsx';
import { WeightSheet } from './WeightSheet.tsx';
import { WheelSheet } from './WheelSheet.tsx';
import './pack.css';

const viewWords: Record<PackView, string> = {
  place: 'Where it goes',
  weight: 'Weight',
  wheels: 'Other wheels',
  make: 'Drawings to make by',
};
const chemistryWords = { nmc: 'lithium NMC', lfp: 'iron phosphate', lead: 'lead-acid' };

/** Which battery, and where it sits. */
export function PackStage() {
  const plan = usePlan();
  const build = useBuild();
  const send = useSend();
  useScrollToHash(plan.judged);
  const view = useApp((state) => state.ui.packView);
  const { pack } = plan.chosen;
  const { pack: laid } = plan.pack.layout;
  const put = (spot: Spot | null): void => {
    send(
      buildActions.chose({
        field: 'choice.spot',
        value: spot
          ? { packPlace: spot.place, packSpot: { alongM: spot.alongM, turned: spot.turned, fixing: spot.fixing } }
          : { packSpot: null },
      }),
    );
  };
  return (
    <>
      <StageHead title="Pack">
        Which battery, and where it sits:{' '}
        {pack && laid ? (
          <>
            <strong className="marked">
              {pack.name} {packPlaceWords[laid.taken.place]}
            </strong>
          </>
        ) : (
          <strong className="marked">none chosen yet</strong>
        )}
      </StageHead>
      <PackBoard
        key={view === 'weight' ? 'weight' : 'place'}
        plan={plan}
        onPut={put}
        first={view === 'weight' ? 'masses' : 'gaps'}
      />
      <div className="walk" role="group" aria-label="Parts of the pack’s work">
        {(Object.keys(viewWords) as PackView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.packViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
      </div>
      {view === 'weight' ? <WeightSheet /> : null}
      {view === 'wheels' ? <WheelSheet /> : null}
      {view === 'make' ? <MakeSheet /> : null}
      {view === 'place' ? <PackPlaces {...{ plan, put, byHand: build.choice.packSpot !== null }} /> : null}
    </>
  );
}

/** Ways the chosen pack can lie, what is found of it, and every other pack as it sits in this frame. */
function PackPlaces({ plan, put, byHand }: { plan: BuildPlan; put: (spot: Spot | null) => void; byHand: boolean }) {
  const { pack, kit } = plan.chosen;
  const send = useSend();
  const keepOwn = useKeepOwn();
  const { buildId = '' } = useParams();
  const most = Math.max(plan.brief.neededRangeM * 1.3, ...plan.packs.map((p) => p.rangeM ?? 0));
  return (
    <>
      <Answers byHand={byHand} onPut={put} />
      {pack ? <OrderMark part={pack.id} name={pack.name} holding={plan.pack.holdingBack} /> : null}
      <FindingList
        title={pack ? `${pack.name} in this build` : 'In this build'}
        findings={plan.findings.filter((f) => f.stage === 'pack')}
      />
      {pack ? <PartLessons parts={[pack]} /> : null}
      <section aria-labelledby="pack-all">
        <div className="section-head">
          <h2 id="pack-all">How each pack sits on this donor</h2>
          <span className="quiet">
            {kit ? `judged with the ${kit.name}` : 'choose a kit to judge volts and amps'} ·{' '}
            <Link to={`/build/${buildId}/shelf`}>add your own</Link>
          </span>
        </div>
        {plan.judged ? null : <p className="quiet">Laying every pack of the shelf in this frame…</p>}
        <ul className="candidates" aria-busy={!plan.judged}>
          {plan.packs.map((p) => (
            <PackCard
              key={p.pack.id}
              candidate={p}
              chosen={p.pack.id === pack?.id}
              most={most}
              onChoose={() => {
                if (p.pack.id !== pack?.id) keepOwn(p.pack);
                send(
                  buildActions.chose({
                    field: 'choice.pack',
                    value: { packId: p.pack.id === pack?.id ? null : p.pack.id, packPlace: null, packSpot: null },
                  }),
                );
              }}
            />
          ))}
        </ul>
      </section>
    </>
  );
}

function PackCard({
  candidate,
  chosen,
  most,
  onChoose,
}: {
  candidate: PackCandidate;
  chosen: boolean;
  most: number;
  onChoose: () => void;
}) {
  const plan = usePlan();
  const units = useUnits();
  const { pack, findings, verdict, placement } = candidate;
  const worst = findings.filter((f) => f.verdict === verdict);
  return (
    <li id={pack.id} className={`candidate edge-${verdict}${chosen ? ' chosen' : ''}`}>
      <div className="candidate-head">
        <h3>{pack.name}</h3>
        <VerdictMark verdict={verdict} count={worst.length} />
      </div>
      <p className="quiet">
        {packPlaceWords[candidate.place]} · {chemistryWords[pack.chemistry]}
      </p>
      <div className="pack-body-row">
        <MiniBike drawing={plan.drawing} outline={placement.outline} verdict={verdict} />
        <dl className="facts facts-column">
          <div>
            <dt>energy</dt>
            <dd className="num">
              <Show value={amount(candidate.energyWh, 'energy')} />
            </dd>
          </div>
          <div>
            <dt>tightest</dt>
            <dd className="num">
              {placement.clearanceM === null ? (
                '–'
              ) : placement.clearanceM >= AMPLE - 0.001 ? (
                'ample'
              ) : (
                <Show value={amount(placement.clearanceM, 'size', units === 'metric' ? 0 : 2)} />
              )}
            </dd>
          </div>
          <div>
            <dt>mass</dt>
            <dd className="num">
              <Show value={amount(pack.massKg, 'mass')} />
            </dd>
          </div>
          <div>
            <dt>price</dt>
            <dd className="num">{pack.price}</dd>
          </div>
          {candidate.life ? (
            <>
              <div>
                <dt>wear</dt>
                <dd className="num">
                  <Show value={amount(candidate.life.pricePerKm / 1000, 'perWay')} />
                </dd>
              </div>
              <div>
                <dt>charge</dt>
                <dd className="num">{decimals(candidate.life.chargeHours, 1)} h</dd>
              </div>
            </>
          ) : null}
        </dl>
      </div>
      {candidate.rangeM === null ? (
        <p className="quiet range-none">
          {candidate.suits === null ? (
            'choose a kit to see how far it goes'
          ) : (
            <>
              its <Show value={amount(candidate.volts, 'voltage', 0)} /> do not suit {plan.chosen.kit?.name}
            </>
          )}
        </p>
      ) : (
        <div className="range-line">
          <svg viewBox="0 0 200 14" aria-hidden="true" focusable="false" preserveAspectRatio="none">
            <line x1="0" x2="200" y1="7" y2="7" className="band-axis" />
            <line x1="0" x2={(candidate.rangeM / most) * 200} y1="7" y2="7" className="range-bar" />
            <line
              x1={(plan.brief.neededRangeM / most) * 200}
              x2={(plan.brief.neededRangeM / most) * 200}
              y1="0"
              y2="14"
              className="band-need"
            />
          </svg>
          <span className="num">{amountText(amount(candidate.rangeM, 'way', 0), units)}</span>
        </div>
      )}
      <p className="candidate-why">
        {verdict === 'fits' ? 'Sits, matches and has amps in hand.' : worst[0] ? <Say words={worst[0].why} /> : null}
      </p>
      <div className="candidate-foot">
        <Button
          size="compact-sm"
          variant={chosen ? 'filled' : 'default'}
          onClick={onChoose}
          aria-pressed={chosen}
          aria-label={chosen ? `${pack.name} is chosen; take it off` : `Choose ${pack.name}`}
        >
          {chosen ? 'Chosen' : 'Choose'}
        </Button>
        <details className="reasons">
          <summary>
            all {findings.length} reasons<span className="sr"> on {pack.name}</span>
          </summary>
          <ul className="finding-list">
            {findings.map((f) => (
              <FindingLine key={f.rule} finding={f} />
            ))}
          </ul>
        </details>
      </div>
    </li>
  );
}
