import { spotlight } from '@mantine/spotlight';
import type { ReactNode } from 'react';
import { redo, undo, useApp, useSend, useUnits } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';

/** First lines of a stage: its name, what it decides and where that stands, and the sheet's tools. */
export function StageHead({ title, children }: { title: string; children: ReactNode }) {
  const send = useSend();
  const units = useUnits();
  const canUndo = useApp((state) => state.build.past.length > 0);
  const canRedo = useApp((state) => state.build.future.length > 0);
  return (
    <header className="stage-head">
      <h1>{title}</h1>
      <div className="tools">
        <button type="button" onClick={() => send(undo())} disabled={!canUndo}>
          Undo
        </button>
        <button type="button" onClick={() => send(redo())} disabled={!canRedo}>
          Redo
        </button>
        <button type="button" onClick={() => send(uiActions.unitsTurned())}>
          {units === 'metric' ? 'mm · km' : 'in · mi'} <kbd>U</kbd>
          <span className="sr"> change units</span>
        </button>
        <button type="button" onClick={() => spotlight.open()}>
          Find <kbd>Ctrl K</kbd>
        </button>
        <button
          type="button"
          className="tool-keys"
          onClick={() => send(uiActions.keysShown(true))}
          aria-label="List of keys"
        >
          <kbd>?</kbd>
        </button>
      </div>
      <p className="decides">{children}</p>
    </header>
  );
}
