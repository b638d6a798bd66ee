import { packPlaceWords, stillBest, type AimWeights, type Candidate } from '@sprocket/core';
import { useShelf } from '../PlanProvider.tsx';
import { useApp, useBuild } from '../../store/store.ts';
import { Say } from '../../ui/Show.tsx';
import { useWorkerAnswer } from '../../workers/core.ts';

/** Whether what is chosen is still the best there is, and by how much another beats it. */
export function StillBest({ front, weights }: { front: readonly Candidate[]; weights: AimWeights }) {
  const build = useBuild();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const chosen = useWorkerAnswer((worker) => worker.chosenCandidate(build, own), [build, own], 300);
  if (!chosen || build.choice.kitId === null || build.choice.packId === null) return null;
  const { stopped, beatenBy, by } = stillBest(front, chosen, weights);
  const better = beatenBy === null ? undefined : front[beatenBy];
  const same = better?.choice.kitId === build.choice.kitId && better.choice.packId === build.choice.packId;
  const name = (id: string | null): string => [...shelf.kit, ...shelf.pack].find((p) => p.id === id)?.name ?? '';
  return (
    <p className="still-best" role="status">
      {stopped ? (
        'Something stops your choice as it stands: see the findings below.'
      ) : better ? (
        <>
          {name(better.choice.kitId)} with {name(better.choice.packId)}
          {same && better.choice.packPlace
            ? ` ${packPlaceWords[better.choice.packPlace]}, arms: ${better.choice.torqueArms},`
            : ''}{' '}
          is as good as your choice in all, and better in some: <Say words={by} />
        </>
      ) : (
        'Your choice: nothing on the shelf is as good in all and better in some.'
      )}
    </p>
  );
}
