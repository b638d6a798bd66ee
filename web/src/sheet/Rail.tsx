import { verdictWords, type BuildPlan, type StageStanding } from '@sprocket/core';
import { Link, NavLink, useParams } from 'react-router';
import { Mark } from '../ui/Mark.tsx';
import { OfflineSign } from '../ui/OfflineSign.tsx';
import { VerdictSign } from './Verdict.tsx';
import { stages } from '../stages/all.ts';
import type { Stage } from '../stages/stage.ts';
import { useApp, useBuild } from '../app/store.ts';
import { useDue } from './useUpkeep.ts';
import { useProofStops } from './useProofStops.ts';

const savedWords = { saved: 'saved', saving: 'saving…', failed: 'not saved', gone: 'deleted elsewhere' } as const;

/** The left rail: the build, and the ten stages as links of a chain. */
export function Rail({ plan }: { plan: BuildPlan }) {
  const build = useBuild();
  const saved = useApp((state) => state.ui.saved);
  const { buildId = '' } = useParams();
  const done = stages.filter((stage) => standingOf(stage, plan)?.verdict === 'fits').length;
  return (
    <nav className="rail" aria-label="Stages">
      <Link to="/" className="brand" aria-label="Jolly Sprocket, all builds">
        <Mark done={done} of={stages.length} />
        <span>Jolly Sprocket</span>
      </Link>
      <Link to="/" className="build-card">
        <strong>{build.name}</strong>
        <span>
          variant {build.variant} · {savedWords[saved]}
          <span className="sr"> · switch, duplicate or rename builds</span>
        </span>
      </Link>
      <ol className="chain-links">
        {stages.map((stage) => (
          <li key={stage.id}>
            <NavLink to={`/build/${buildId}/${stage.id}`} className="chain-link">
              <span className="link-no">{stage.key}</span>
              <span className="link-name">{stage.label}</span>
              <StageState stage={stage} plan={plan} />
            </NavLink>
          </li>
        ))}
      </ol>
      <OfflineSign />
      <div className="rail-foot">
        <NavLink to={`/build/${buildId}/ride`}>Ride sheet</NavLink>
        <NavLink to={`/build/${buildId}/faults`}>Fault finder</NavLink>
        <NavLink to={`/build/${buildId}/live`}>Live ride</NavLink>
        <NavLink to={`/build/${buildId}/compare`}>Compare</NavLink>
        <NavLink to={`/build/${buildId}/shelf`}>Shelf</NavLink>
        <NavLink to={`/build/${buildId}/schools`}>Schools</NavLink>
        <NavLink to="/settings">Settings</NavLink>
      </div>
    </nav>
  );
}

/** How a stage stands in the plan; undefined where it does not plan. */
function standingOf(stage: Stage, plan: BuildPlan): StageStanding | undefined {
  const standings: Partial<Record<Stage['id'], StageStanding>> = plan.stages;
  return standings[stage.id];
}

/** How far the bill is: lines that may be ordered now, else those that are held, else that all is here. */
function BillState({ plan }: { plan: BuildPlan }) {
  const { lines } = plan.bill;
  const of = (wave: string): number => lines.filter((l) => l.wave === wave && l.from === 'order').length;
  const now = of('now');
  const words =
    lines.length === 0 ? 'nothing' : now > 0 ? `order ${now}` : of('held') > 0 ? `${of('held')} held` : 'ordered';
  return <span className="link-state link-later num">{words}</span>;
}

/** How far the build is: steps done of all. */
function StepsState({ plan }: { plan: BuildPlan }) {
  const { steps } = plan.bench;
  const done = steps.filter((s) => s.doneOn !== null).length;
  return (
    <span className="link-state link-later num">
      {steps.length === 0 ? 'nothing' : done === steps.length ? 'built' : `${done}/${steps.length}`}
    </span>
  );
}

/** How far it is proved: tests tried; a stop stands above all. */
function ProofStanding() {
  const { proving } = useBuild();
  const stops = useProofStops();
  const tried = new Set(proving.results.map((r) => r.test)).size;
  return stops > 0 ? (
    <span className="link-state verdict-stop">
      <VerdictSign verdict="stop" />
      <span className="num">{stops}</span>
      <span className="sr"> do not ride</span>
    </span>
  ) : (
    <span className="link-state link-later num">{tried === 0 ? 'untried' : `${tried} tried`}</span>
  );
}

/** How far it was ridden; what is due stands above it. */
function LogState() {
  const build = useBuild();
  const due = useDue();
  const rides = build.log.entries.reduce((sum, e) => sum + Number(e.kind === 'ride'), 0);
  return (
    <span className="link-state link-later num">
      {build.log.entries.length === 0 ? 'not begun' : due > 0 ? `${due} due` : `${rides} rides`}
    </span>
  );
}

function StageState({ stage, plan }: { stage: Stage; plan: BuildPlan }) {
  const standing = standingOf(stage, plan);
  if (stage.id === 'parts') return <BillState plan={plan} />;
  if (stage.id === 'build') return <StepsState plan={plan} />;
  if (stage.id === 'proving') return <ProofStanding />;
  if (!standing) return <LogState />;
  const { verdict, counts } = standing;
  const total = Object.values(counts).reduce((a, b) => a + b, 0);
  const shown = total === 0 ? ('measure' as const) : verdict;
  const count = counts[shown];
  return (
    <span className={`link-state verdict-${shown}`}>
      <VerdictSign verdict={shown} />
      {shown === 'fits' ? <span>Fits</span> : <span className="num">{count === 0 ? 'choose' : count}</span>}
      {shown === 'fits' ? null : <span className="sr"> {verdictWords[shown].toLowerCase()}</span>}
    </span>
  );
}
