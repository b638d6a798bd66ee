import { Button, NativeSelect } from '@mantine/core';
import { amount, amountText, packPlaceWords, type PackCandidate, type PackPlace } from '@sprocket/core';
import { Link, useParams } from 'react-router';
import { buildActions } from '../../app/buildSlice.ts';
import { usePlan } from '../../app/PlanProvider.tsx';
import { useBuild, useSend, useUnits } from '../../app/store.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { FindingLine, FindingList } from '../../ui/FindingList.tsx';
import { OrderMark } from '../../ui/OrderMark.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { StageHead } from '../../ui/StageHead.tsx';
import { VerdictMark } from '../../ui/Verdict.tsx';
import { useKeepOwn, useScrollToHash } from '../drive/Drive.tsx';

const chemistryWords = { nmc: 'lithium NMC', lfp: 'iron phosphate', lead: 'lead-acid' };

/** Which battery, and where it sits. */
export function PackStage() {
  const plan = usePlan();
  const build = useBuild();
  const send = useSend();
  const { buildId = '' } = useParams();
  useScrollToHash();
  const keepOwn = useKeepOwn();
  const { pack, kit } = plan.chosen;
  const chosen = plan.packs.find((p) => p.pack.id === pack?.id);
  const most = Math.max(plan.neededRangeM * 1.3, ...plan.packs.map((p) => p.rangeM ?? 0));
  return (
    <>
      <StageHead title="Pack">
        Which battery, and where it sits:{' '}
        {pack && chosen ? (
          <>
            <strong className="marked">
              {pack.name} {packPlaceWords[chosen.place]}
            </strong>
          </>
        ) : (
          <strong className="marked">none chosen yet</strong>
        )}
      </StageHead>
      <BikeDrawing plan={plan} layers={['parts']} sheet="sheet 4" />
      {pack && pack.places.length > 1 ? (
        <section className="card set-up" aria-labelledby="pack-setup">
          <h2 id="pack-setup">Where it goes</h2>
          <div className="fields">
            <NativeSelect
              label="Place"
              value={build.choice.packPlace ?? ''}
              data={[
                { value: '', label: 'the best place' },
                ...pack.places.map((value) => ({ value, label: packPlaceWords[value] })),
              ]}
              onChange={(event) =>
                send(
                  buildActions.chose({
                    field: 'choice.place',
                    value: {
                      packPlace: event.currentTarget.value === '' ? null : (event.currentTarget.value as PackPlace),
                    },
                  }),
                )
              }
            />
          </div>
        </section>
      ) : null}
      {pack ? <OrderMark part={pack.id} name={pack.name} holding={plan.holdingBack.pack} /> : null}
      <FindingList
        title={pack ? `${pack.name} in this build` : 'In this build'}
        findings={plan.findings.filter((f) => f.area === 'pack')}
      />
      <section aria-labelledby="pack-all">
        <div className="section-head">
          <h2 id="pack-all">How each pack sits on this donor</h2>
          <span className="quiet">
            {kit ? `judged with the ${kit.name}` : 'choose a kit to judge volts and amps'} ·{' '}
            <Link to={`/build/${buildId}/shelf`}>add your own</Link>
          </span>
        </div>
        <ul className="candidates">
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
                    value: { packId: p.pack.id === pack?.id ? null : p.pack.id, packPlace: null },
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
        <MiniBike plan={plan} outline={placement.outline} verdict={verdict} />
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
                <dt>a 1000 km</dt>
                <dd className="num">{(candidate.life.pricePerKm * 1000).toFixed(1)}</dd>
              </div>
              <div>
                <dt>charge</dt>
                <dd className="num">{candidate.life.chargeHours.toFixed(1)} h</dd>
              </div>
            </>
          ) : null}
        </dl>
      </div>
      {candidate.rangeM === null ? (
        <p className="quiet range-none">no range with this kit’s volts</p>
      ) : (
        <div className="range-line">
          <svg viewBox="0 0 200 14" aria-hidden="true" focusable="false" preserveAspectRatio="none">
            <line x1="0" x2="200" y1="7" y2="7" className="band-axis" />
            <line x1="0" x2={(candidate.rangeM / most) * 200} y1="7" y2="7" className="range-bar" />
            <line
              x1={(plan.neededRangeM / most) * 200}
              x2={(plan.neededRangeM / most) * 200}
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
