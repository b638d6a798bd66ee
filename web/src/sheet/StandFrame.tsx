import { FocusTrap } from '@mantine/core';
import { useEffect, useRef, type ReactNode, type RefObject } from 'react';
import { createPortal } from 'react-dom';
import { watchWords } from '../ui/stopwatch.ts';
import { useAwake } from './useAwake.ts';
import type { useStopwatch } from './useStopwatch.ts';
import './stand.css';
import { KeepNotice } from './KeepNotice.tsx';

interface StandFrameProps {
  label: string;
  /** What the body holds, for those who hear it. */
  of: string;
  head: ReactNode;
  /** Further plates of the head. */
  plates?: ReactNode;
  watch: ReturnType<typeof useStopwatch>;
  /** The body stands in one column. */
  plain: boolean;
  /** What is shown: another one is read from its top. */
  at: string;
  done: { words: string; act: () => void };
  back: (() => void) | null;
  next: (() => void) | null;
  onLeave: () => void;
  children: ReactNode;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, select') !== null;

/** A body that is read from its top again, with the keys acting on it, whenever something else is shown. */
function useFromTop(at: string): RefObject<HTMLDivElement | null> {
  const body = useRef<HTMLDivElement>(null);
  const before = useRef(at);
  useEffect(() => {
    if (before.current === at) return;
    before.current = at;
    body.current?.scrollTo(0, 0);
    // The plates are pressed and left: keys and pedals act on what is shown again.
    body.current?.focus();
  }, [at]);
  return body;
}

/**
 * One thing, full screen, read at arm's length and worked with a knuckle: next, back, done by wide plates, by space bar
 * and arrows, or by a foot pedal that sends page up and down.
 */
export function StandFrame(props: StandFrameProps) {
  const { label, of, head, plates, watch, plain, at, done, back, next, onLeave, children } = props;
  const body = useFromTop(at);
  useAwake();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') {
        event.preventDefault();
        onLeave();
        return;
      }
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      // A plate or a choice that has the focus is pressed by its own keys.
      if (event.target instanceof HTMLElement && event.target.closest('[role="radio"]')) return;
      const acts: Record<string, (() => void) | null> = {
        ' ': done.act,
        Enter: done.act,
        PageDown: next,
        ArrowRight: next,
        PageUp: back,
        ArrowLeft: back,
        t: watch.turn,
      };
      if (event.key === 'Enter' && event.target instanceof HTMLElement && event.target.closest('button, a, summary'))
        return;
      const act = acts[event.key];
      if (!act) return;
      event.preventDefault();
      event.stopPropagation();
      act();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  });
  const toBody = (): void => body.current?.focus();
  return createPortal(
    <FocusTrap active>
      <div className="stand" role="dialog" aria-modal="true" aria-label={label}>
        <header className="stand-head">
          <p>{head}</p>
          <button
            type="button"
            className="stand-small"
            aria-pressed={watch.running}
            onClick={() => {
              watch.turn();
              toBody();
            }}
          >
            <span aria-hidden="true">{watch.running ? '❚❚' : '▶'}</span>{' '}
            <span className="num">{watchWords(watch.ms)}</span>
          </button>
          <span className="stand-plates" onClick={toBody}>
            {plates}
          </span>
          <button type="button" className="stand-small" onClick={onLeave}>
            Leave
          </button>
        </header>
        <div className="stand-notices">
          <KeepNotice />
        </div>
        <div
          className={plain ? 'stand-body stand-plain' : 'stand-body'}
          ref={body}
          tabIndex={0}
          role="group"
          aria-label={of}
          data-autofocus
        >
          {children}
        </div>
        <footer className="stand-foot">
          <button type="button" onClick={back ?? undefined} disabled={!back}>
            Back
          </button>
          <button type="button" className="stand-done" onClick={done.act}>
            {done.words}
          </button>
          <button type="button" onClick={next ?? undefined} disabled={!next}>
            Next
          </button>
        </footer>
      </div>
    </FocusTrap>,
    document.body,
  );
}
