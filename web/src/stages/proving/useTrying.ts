import { mayTry, type ProofSheet, type ProofTest } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { thisMinute, today } from '../../ui/today.ts';

/** What was read and seen of a test, before it is kept. */
export interface Trying {
  readings: Readonly<Record<string, number>>;
  saw: string | null;
  read: (id: string, value: number | null) => void;
  see: (id: string) => void;
  /** Something was read or seen. */
  something: boolean;
  /** Which gate keeps the test from being tried; null: it may be. */
  gate: { id: string; by: string[] } | null;
  /** Keeps it as a result with the conditions of the day. */
  keep: () => void;
}

/** A test being tried: what is typed stays here until it is kept. */
export function useTrying(sheet: ProofSheet, test: ProofTest): Trying {
  const build = useBuild();
  const send = useSend();
  const [readings, setReadings] = useState<Record<string, number>>({});
  const [saw, setSaw] = useState<string | null>(null);
  const may = mayTry(sheet, test.id);
  const something = saw !== null || Object.keys(readings).length > 0;
  return {
    readings,
    saw,
    something,
    gate: may.may ? null : { id: may.gate, by: may.by },
    read: (id, value) => {
      const others = Object.fromEntries(Object.entries(readings).filter(([key]) => key !== id));
      setReadings(value === null ? others : { ...others, [id]: value });
    },
    see: (id) => setSaw(id === saw ? null : id),
    keep: () => {
      if (!something || !may.may) return;
      const volts = readings.volts;
      if (test.meter !== null && volts !== undefined)
        send(
          buildActions.checkRead({
            field: `wiring.checks.${test.meter}`,
            value: { check: test.meter, reading: { volts, on: today(), of: build.choice.packId } },
          }),
        );
      else {
        // What was read or seen in part is gone on with, under the conditions it was begun with.
        const begun = test.state === 'open' ? test.result : null;
        send(
          buildActions.resultKept({
            field: `proving.${test.id}`,
            value: {
              ...(begun ?? {
                id: crypto.randomUUID(),
                test: test.id,
                conditions: build.proving.day,
                note: '',
                witness: null,
              }),
              at: thisMinute(),
              by: build.built.builder,
              readings: { ...begun?.readings, ...readings },
              saw: saw ?? begun?.saw ?? null,
            },
          }),
        );
      }
      setReadings({});
      setSaw(null);
    },
  };
}
