import { isDecided, weightsFor } from '@sprocket/core';
import { Link } from 'react-router';
import { useApp, useBuild } from '../../store/store.ts';
import { useWorkerAnswer } from '../../workers/core.ts';
import { HowItStands } from './StillBest.tsx';
import { questionOf } from './useProposals.ts';

/** Rest after the last change before they are planned anew, ms: nobody waits for it. */
const REST = 1200;

/** A quiet line, whatever has been changed since: whether what is chosen still stands beside what was kept. */
export function StillKept() {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const choices = [build.choice, ...build.keptChoices.map((k) => k.choice)];
  const all = useWorkerAnswer(
    async (worker) => (isDecided(build.choice) ? worker.candidatesOf(build, own, choices) : []),
    [questionOf(build), JSON.stringify(choices), own],
    REST,
  );
  const [chosen, ...others] = all ?? [];
  // One whose part is on no shelf any more is planned as none: then nothing is said, rather than of another.
  if (!chosen || others.length === 0 || all?.length !== choices.length) return null;
  return (
    <p className="still-kept quiet" role="status">
      <HowItStands chosen={chosen} others={others} weights={weightsFor(build)} of="that you kept" />{' '}
      <Link to={`/build/${build.id}/compare`}>Compare</Link>
    </p>
  );
}
