import { verdictWords, type BuildPlan, type StageId, type StageStanding } from '@sprocket/core';
import { Link, NavLink, useParams } from 'react-router';
import { Mark } from '../ui/Mark.tsx';
import { OfflineSign } from '../ui/OfflineSign.tsx';
import { VerdictSign } from './Verdict.tsx';
import type { Stage } from './stage.ts';
import { useStages } from './stages.ts';
import { useApp, useBuild } from '../store/store.ts';

const savedWords = { saved: 'saved', saving: 'saving…', failed: 'not saved', gone: 'deleted elsewhere' } as const;

/** The left rail: the build, and the ten stages as links of a chain. */
export function Rail({ plan }: { plan: BuildPlan }) {
  const build = useBuild();
  const saved = useApp((state) => state.ui.saved);
  const { buildId = '' } = useParams();
  const { list: stages } = useStages();
  const done = stages.filter(({ id }) => standingIn(plan, id)?.verdict === 'fits').length;
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
      {build.choice.kitId === null ? (
        <NavLink to={`/build/${buildId}/start`} className="start-link">
          Start: what to fit
        </NavLink>
      ) : null}
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

/** How a stage stands in the plan; undefined where no rule judges it. */
const standingIn = ({ stages }: { stages: Partial<Record<StageId, StageStanding>> }, id: StageId) => stages[id];

function StageState({ stage, plan }: { stage: Stage; plan: BuildPlan }) {
  const Standing = useStages().standings[stage.id];
  const standing = standingIn(plan, stage.id);
  if (Standing) return <Standing plan={plan} />;
  if (!standing) return null;
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
