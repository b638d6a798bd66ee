import { useHotkeys } from '@mantine/hooks';
import { useLocation, useNavigate, useParams } from 'react-router';
import { redo, undo, useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { useStages } from './stages.ts';

/** The sheet's keys; none acts while a field has the focus. */
export function useSheetKeys(): void {
  const navigate = useNavigate();
  const { buildId = '' } = useParams();
  const { pathname } = useLocation();
  const send = useSend();
  const { list: stages } = useStages();
  const at = stages.findIndex((s) => pathname.endsWith(`/${s.id}`));
  const go = (index: number): void => {
    const stage = stages[index];
    if (stage) void navigate(`/build/${buildId}/${stage.id}`);
  };
  useHotkeys([
    ...stages.map((s, i): [string, () => void] => [s.key, () => go(i)]),
    ['[', () => go(at - 1)],
    [']', () => go(at + 1)],
    ['R', () => void navigate(`/build/${buildId}/ride`)],
    ['F', () => void navigate(`/build/${buildId}/faults`)],
    ['L', () => void navigate(`/build/${buildId}/live`)],
    ['N', () => void navigate(`/build/${buildId}/logbook#door`)],
    ['C', () => void navigate(`/build/${buildId}/compare`)],
    ['U', () => send(uiActions.unitsTurned())],
    ['E', () => (document.activeElement?.closest('[data-figure], .finding-open') as HTMLElement | null)?.click()],
    ['shift + ?', () => send(uiActions.keysShown(true)), { usePhysicalKeys: false }],
    ['?', () => send(uiActions.keysShown(true))],
    ['mod + Z', () => void send(undo())],
    ['mod + shift + Z', () => void send(redo())],
    ['mod + Y', () => void send(redo())],
  ]);
}
