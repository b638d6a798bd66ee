import type { Build } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend } from '../../store/store.ts';

/** Puts a build in as the start sheet has it now, under the field it was answered in. */
export function useBegun(): (field: string, build: Build) => void {
  const send = useSend();
  return (field, { brief, donor, start }) => send(buildActions.started({ field, value: { brief, donor, start } }));
}
