import { phraseText, type BuildStep, type StepSheet } from '@sprocket/core';
import { useEffect } from 'react';
import { useUnits } from '../../store/store.ts';

/** Says a step through the browser's own voice, where it has one and it was asked for. */
export function useSpoken(step: BuildStep | null, sheet: StepSheet | undefined): void {
  const units = useUnits();
  const text = step
    ? [
        phraseText(step.title, units),
        ...(sheet?.tightness.map((t) => `${t.what}: ${t.usual} newton metres.`) ?? []),
        ...(sheet?.caution ? [`Take care. ${sheet.caution.text}`] : []),
      ].join('. ')
    : '';
  useEffect(() => {
    if (text === '' || !('speechSynthesis' in window)) return;
    const words = new SpeechSynthesisUtterance(text);
    words.lang = 'en-GB';
    words.rate = 0.95;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(words);
    return () => window.speechSynthesis.cancel();
  }, [text]);
}
