import { keptBeside, type Choice, type KeptChoice } from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { useBuild, useSend } from '../store/store.ts';
import { useShelf } from './PlanProvider.tsx';
import { useKeepOwn } from './useKeepOwn.ts';

/**
 * Takes another choice, in one edit that is undone at once: what was chosen so far is kept beside it, and what it was
 * proposed with. Own parts of any of them go with the build.
 */
export function useTaking(): (taken: Choice, proposed?: readonly Pick<KeptChoice, 'note' | 'choice'>[]) => void {
  const build = useBuild();
  const shelf = useShelf();
  const send = useSend();
  const keepOwn = useKeepOwn();
  return (taken, proposed = []) => {
    const keptChoices = keptBeside(build, taken, proposed, () => crypto.randomUUID());
    const used = new Set([taken, ...keptChoices.map((k) => k.choice)].flatMap((c) => [c.kitId, c.packId]));
    for (const part of [...shelf.kit, ...shelf.pack]) if (used.has(part.id)) keepOwn(part);
    send(buildActions.choiceTaken({ field: 'choice.taken', value: { choice: taken, keptChoices } }));
  };
}
