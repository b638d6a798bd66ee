import { searchedTogether, usualSearch, type Build, type Part } from '@sprocket/core';
import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { newCoreWorker } from '../../workers/core.ts';
import type { CoreWorker } from '../../workers/core.worker.ts';
import { searchAll, type Sought } from '../../workers/searchPool.ts';

/** Rest after a change before the shelf is searched anew, ms. */
const REST = 400;
/** Seekers at most; a phone's cores are not all ours. */
const MOST_SEEKERS = 4;

const NOTHING: Sought['result'] = { counted: 0, standing: 0, ridden: 0, front: [], kits: [] };

let hands: Remote<CoreWorker>[] = [];

/** The answer given last: gone back to, it is not asked for anew. */
let last: { question: string; own: readonly Part[]; build: Build; sought: Sought } | null = null;

/** What was found last for a build with this brief, whatever has been measured since; null where it was another. */
export const foundLast = ({ id, brief, donor }: Build): Sought | null =>
  last?.build.id === id && last.build.brief === brief && last.build.donor.kind === donor.kind ? last.sought : null;

const known = (question: string, own: readonly Part[]): Sought | null =>
  last?.question === question && last.own === own ? last.sought : null;

/** Whether a build’s proposals are there already: to show them costs nothing. */
export const isFound = (build: Build, own: readonly Part[]): boolean => known(questionOf(build), own) !== null;

/** Workers of the search, started when it is first asked for. */
export function seekers(): Remote<CoreWorker>[] {
  const count = Math.max(1, Math.min(MOST_SEEKERS, navigator.hardwareConcurrency || 2));
  if (hands.length === 0)
    hands = Array.from({ length: count }, (_, i) => wrap<CoreWorker>(newCoreWorker(`search ${i + 1}`)));
  return hands;
}

/** What of a build its proposals hang on: pictures and days in the log do not move them. */
export const questionOf = ({
  brief,
  donor,
  schools,
  ownLaws,
  wiring,
  fixes,
  overrides,
  bill,
  tuned,
  choice,
  bench,
}: Build): string =>
  JSON.stringify([
    brief,
    donor.kind,
    donor.survey,
    donor.condition,
    donor.inside,
    donor.mainTubePath,
    donor.freeFrame,
    schools,
    ownLaws,
    wiring,
    fixes,
    overrides,
    bill.lines,
    tuned,
    choice.usesThrottle,
    choice.assistLimitMs,
    bench.practised,
    choice.newWheels,
  ]);

/**
 * The shelf searched for a build, as far as it is; null before there is anything, or while nobody asks. Searched anew, a
 * moment after the last change, when the build is another; the last answer stays until the new one has something to say.
 */
export function useProposals(build: Build, own: readonly Part[], on: boolean): Sought | null {
  const question = questionOf(build);
  const [sought, setSought] = useState<Sought | null>(() => known(question, own));
  useEffect(() => {
    if (!on) return;
    const there = known(question, own);
    if (there) {
      setSought(there);
      return;
    }
    let stop: (() => void) | null = null;
    let wanted = true;
    // What is there stays, and is not all any more.
    setSought((before) => before && { ...before, done: false });
    const begin = async (): Promise<void> => {
      const [first] = seekers();
      if (!first) return;
      const { kits, unlikely } = await first.likelyKits(build, own);
      if (!wanted) return;
      stop = searchAll(
        seekers().map((worker) => ({
          search: (options, tell) => worker.search(build, own, options, proxy(tell)),
          stop: () => void worker.stopSearch(),
        })),
        kits,
        usualSearch,
        (parts, aims) => {
          const whole = searchedTogether(parts, aims);
          return { ...whole, kits: [...whole.kits, ...unlikely] };
        },
        (found) => {
          if (found.done && !found.broken) last = { question, own, build, sought: found };
          setSought(found);
        },
      );
    };
    const timer = setTimeout(() => {
      begin().catch(() => {
        if (wanted) setSought((before) => ({ result: before?.result ?? NOTHING, done: true, broken: true }));
      });
    }, REST);
    return () => {
      wanted = false;
      clearTimeout(timer);
      stop?.();
    };
    // The question holds all of the build that is asked about.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [question, own, on]);
  return sought;
}
