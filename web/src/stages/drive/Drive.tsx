import { Button, NativeSelect, Switch } from '@mantine/core';
import { amount, driveFamilyWords, kitWatts, type DriveFamily, type KitCandidate } from '@sprocket/core';
import { lazy, Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { FindingLine, FindingList } from '../../sheet/FindingList.tsx';
import { useKeepOwn } from '../../sheet/useKeepOwn.ts';
import { useScrollToHash } from '../../sheet/useScrollToHash.ts';
import { PartLessons } from '../../sheet/PartLessons.tsx';
import { OrderMark } from '../../sheet/OrderMark.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { ArrivalSheet } from './ArrivalSheet.tsx';
import { Families } from './Families.tsx';
import { LastQuestion } from './LastQuestion.tsx';
import { Matrix } from './Matrix.tsx';
import { HelpSelect } from './HelpSelect.tsx';
import './drive.css';

const Proposals = lazy(async () => ({ default: (await import('../../sheet/proposals/Proposals.tsx')).Proposals }));

/** Which kit drives it: every kit judged against this donor. */
export function DriveStage() {
  const plan = usePlan();
  const build = useBuild();
  const send = useSend();
  const shelf = useShelf();
  const { buildId = '' } = useParams();
  useScrollToHash(plan.judged);
  const keepOwn = useKeepOwn();
  const { kit } = plan.chosen;
  const [family, setFamily] = useState<DriveFamily | null>(null);
  const [matrix, setMatrix] = useState(false);
  const shown = plan.kits.filter((k) => family === null || k.kit.family === family);
  const mine = plan.findings.filter((f) => f.stage === 'drive');
  const choose = (k: KitCandidate | null): void => {
    if (k) keepOwn(k.kit);
    send(buildActions.chose({ field: 'choice.kit', value: { kitId: k?.kit.id ?? null, assistLimitMs: null } }));
  };
  return (
    <>
      <StageHead title="Drive">
        Which kit drives it:{' '}
        {kit ? (
          <>
            <strong className="marked">{kit.name}</strong>, {kit.hub ? `${driveFamilyWords[kit.family]}` : 'mid-drive'}
          </>
        ) : (
          <strong className="marked">none chosen yet</strong>
        )}
      </StageHead>
      <Suspense fallback={<p className="quiet">Laying the proposals out…</p>}>
        <Proposals />
      </Suspense>
      <BikeDrawing plan={plan} layers={['parts', 'rider']} sheet="sheet 3" />
      {kit ? (
        <section className="card set-up" aria-labelledby="drive-setup">
          <h2 id="drive-setup">Set it up</h2>
          <div className="fields">
            <AmountField
              label="Assist ends at"
              dimension="speed"
              digits={0}
              value={build.choice.assistLimitMs ?? kit.assistLimitMs ?? null}
              min={1}
              max={30}
              placeholder="no limit"
              onValue={(si) => send(buildActions.chose({ field: 'choice.assist', value: { assistLimitMs: si } }))}
              onEmpty={() => send(buildActions.chose({ field: 'choice.assist', value: { assistLimitMs: null } }))}
            />
            {kit.hub || kit.mid ? (
              <NativeSelect
                label="Torque arms planned"
                value={String(build.choice.torqueArms)}
                data={['0', '1', '2']}
                onChange={(event) =>
                  send(
                    buildActions.chose({
                      field: 'choice.arms',
                      value: { torqueArms: Number(event.currentTarget.value) },
                    }),
                  )
                }
              />
            ) : null}
            {plan.drive.help ? (
              <HelpSelect throttled={build.choice.usesThrottle && kit.throttle} help={plan.drive.help} />
            ) : null}
            <div className="switches">
              <Switch
                label={kit.throttle ? 'Ridden on the throttle alone' : 'No throttle comes with it'}
                disabled={!kit.throttle}
                checked={build.choice.usesThrottle && kit.throttle}
                onChange={(event) =>
                  send(
                    buildActions.chose({
                      field: 'choice.throttle',
                      value: { usesThrottle: event.currentTarget.checked },
                    }),
                  )
                }
              />
            </div>
          </div>
        </section>
      ) : null}
      {kit ? <LastQuestion kit={kit} /> : null}
      {kit ? <ArrivalSheet kit={kit} data={shelf.kit.find((k) => k.id === kit.id)} /> : null}
      {kit ? <PartLessons parts={[kit]} /> : null}
      {kit ? <OrderMark part={kit.id} name={kit.name} holding={plan.drive.holdingBack} /> : null}
      <Families plan={plan} shown={family} onShow={setFamily} />
      <FindingList title={kit ? `${kit.name} on this donor` : 'On this donor'} findings={mine} />
      <div className="walk" role="group" aria-label="Kits shown as">
        <button type="button" className="leg" aria-pressed={!matrix} onClick={() => setMatrix(false)}>
          Kits, one by one
        </button>
        <button type="button" className="leg" aria-pressed={matrix} onClick={() => setMatrix(true)}>
          Matrix of kits and rules
        </button>
      </div>
      {matrix ? <Matrix kits={shown} chosenId={kit?.id ?? null} /> : null}
      <section hidden={matrix} aria-labelledby="drive-kits">
        <div className="section-head">
          <h2 id="drive-kits">
            {family ? `Every ${driveFamilyWords[family]} on this donor` : 'Every kit on this donor'}
          </h2>
          <span className="quiet">
            {plan.kits.length} on the shelf, {plan.kits.filter((k) => k.verdict !== 'stop').length} could go on ·{' '}
            <Link to={`/build/${buildId}/shelf`}>add your own</Link>
          </span>
        </div>
        {plan.judged ? null : <p className="quiet">Judging every kit on the shelf…</p>}
        <ul className="candidates" aria-busy={!plan.judged}>
          {shown.map((k) => (
            <KitCard
              key={k.kit.id}
              candidate={k}
              chosen={k.kit.id === kit?.id}
              climbGrade={plan.brief.climbGrade}
              onChoose={() => choose(k.kit.id === kit?.id ? null : k)}
            />
          ))}
        </ul>
      </section>
    </>
  );
}

function KitCard({
  candidate,
  chosen,
  climbGrade,
  onChoose,
}: {
  candidate: KitCandidate;
  chosen: boolean;
  climbGrade: number;
  onChoose: () => void;
}) {
  const { kit, findings, verdict } = candidate;
  const worst = findings.filter((f) => f.verdict === verdict);
  const [opened, setOpened] = useState(false);
  return (
    <li id={kit.id} className={`candidate edge-${verdict}${chosen ? ' chosen' : ''}`}>
      <div className="candidate-head">
        <h3>{kit.name}</h3>
        <VerdictMark verdict={verdict} count={worst.length} />
      </div>
      <p className="quiet">
        {driveFamilyWords[kit.family]} · {kit.nominalVolts} V · {kit.ratedW} W rated, {kitWatts(kit).mostW} W at most ·{' '}
        {kit.maker}
      </p>
      <p className="candidate-why">
        {verdict === 'fits' ? 'Nothing against it as measured.' : worst[0] ? <Say words={worst[0].why} /> : null}
      </p>
      <dl className="facts">
        <div>
          <dt>starts on</dt>
          <dd className="num">
            {candidate.startGrade === null ? '–' : <Show value={amount(candidate.startGrade, 'grade')} />}
          </dd>
        </div>
        <div>
          <dt>
            holds on <Show value={amount(climbGrade, 'grade', 0)} />
          </dt>
          <dd className="num">
            {candidate.climbMs === null ? '–' : <Show value={amount(candidate.climbMs, 'speed', 0)} />}
          </dd>
        </div>
        <div>
          <dt>peak torque</dt>
          <dd className="num">
            <Show value={amount(candidate.peakTorqueNm, 'torque')} />
          </dd>
        </div>
        <div>
          <dt>mass</dt>
          <dd className="num">
            <Show value={amount(kit.massKg, 'mass')} />
          </dd>
        </div>
        <div>
          <dt>price</dt>
          <dd className="num">{kit.price}</dd>
        </div>
      </dl>
      <div className="candidate-foot">
        <Button
          size="compact-sm"
          variant={chosen ? 'filled' : 'default'}
          onClick={onChoose}
          aria-pressed={chosen}
          aria-label={chosen ? `${kit.name} is chosen; take it off` : `Choose ${kit.name}`}
        >
          {chosen ? 'Chosen' : 'Choose'}
        </Button>
        <details className="reasons" onToggle={(event) => setOpened(event.currentTarget.open)}>
          <summary>
            {verdict === 'stop' ? 'why not, and ' : ''}all {findings.length} reasons
            <span className="sr"> on {kit.name}</span>
          </summary>
          {/* Thirty kits of sixty findings each: drawn only where they are asked for. */}
          {opened ? (
            <ul className="finding-list">
              {findings.map((f) => (
                <FindingLine key={f.rule} finding={f} />
              ))}
            </ul>
          ) : null}
        </details>
      </div>
    </li>
  );
}
