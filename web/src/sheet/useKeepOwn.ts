import type { Part } from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { useApp, useSend } from '../store/store.ts';

/** Keeps a copy of an own part in the build that uses it, so that its file carries it. */
export function useKeepOwn(): (part: Part) => void {
  const own = useApp((state) => state.shelf.own);
  const send = useSend();
  return (part) => {
    if (own.some((p) => p.id === part.id)) send(buildActions.ownPartKept({ field: `own.${part.id}`, value: part }));
  };
}
