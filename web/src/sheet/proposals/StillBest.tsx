import { driveFamilyWords, packPlaceWords, stillBest, type AimWeights, type Candidate } from '@sprocket/core';
import { useShelf } from '../PlanProvider.tsx';
import { useApp, useBuild } from '../../store/store.ts';
import { Say } from '../../ui/Show.tsx';
import { useWorkerAnswer } from '../../workers/core.ts';

/** Whether what is chosen is still the best there is, and by how much another beats it. */
export function StillBest({ front, weights }: { front: readonly Candidate[]; weights: AimWeights }) {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const chosen = useWorkerAnswer((worker) => worker.chosenCandidate(build, own), [build, own], 300);
  if (!chosen || build.choice.kitId === null || build.choice.packId === null) return null;
  return (
    <p className="still-best" role="status">
      <HowItStands chosen={chosen} others={front} weights={weights} of="on the shelf" />
    </p>
  );
}

/**
 * How a choice stands beside some others, in a sentence.
 * @param of where the others are from
 */
export function HowItStands({
  chosen,
  others,
  weights,
  of,
}: {
  chosen: Candidate;
  others: readonly Candidate[];
  weights: AimWeights;
  of: string;
}) {
  const shelf = useShelf();
  const { stands, other, by } = stillBest(others, chosen, weights);
  const better = other === null ? undefined : others[other];
  const kit = shelf.kit.find((k) => k.id === better?.choice.kitId);
  const pack = shelf.pack.find((p) => p.id === better?.choice.packId);
  const place = better?.choice.packPlace ? ` ${packPlaceWords[better.choice.packPlace]}` : '';
  const name =
    kit && pack ? `${kit.name} (${driveFamilyWords[kit.family].toLowerCase()}) with ${pack.name}${place}` : '';
  if (stands === 'best') return <>Your choice is still the one we would fit of all {of}.</>;
  return (
    <>
      {stands === 'stopped' ? 'Something stops your choice as it stands. ' : null}
      {name === '' ? null : stands === 'beaten' ? (
        <>
          {name} is as good as your choice in all, and better in some: <Say words={by} />
        </>
      ) : (
        <>
          By what counts here we would fit {name}: <Say words={by} />
        </>
      )}
    </>
  );
}
