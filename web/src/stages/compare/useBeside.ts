import {
  boardOf,
  isDecided,
  partById,
  pickWords,
  sameConversion,
  vehicleKindWords,
  weightsFor,
  type Build,
  type Choice,
} from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { useProposals } from '../../sheet/proposals/useProposals.ts';
import { readableBuilds } from '../../storage/builds.ts';
import { useApp, useBuild } from '../../store/store.ts';

/** One that can be compared, and as what. */
export interface Beside {
  id: string;
  /** Where it comes from. */
  of: 'here' | 'kept' | 'pick' | 'build';
  name: string;
  /** What it is kept or picked for, or what vehicle it is. */
  note: string;
  build: Build;
}

/** Whether one is shown where nobody said: what is kept, what is proposed to somebody undecided, else the first other build. */
function shownAtFirst(all: readonly Beside[], undecided: boolean): string[] {
  const own = all.filter((b) => b.of === 'kept' || (b.of === 'pick' && undecided));
  const [other] = all.filter((b) => b.of === 'build');
  return (own.length > 0 ? own : other ? [other] : []).map((b) => b.id);
}

/** All that can stand beside the open build, which of it does, and how that is changed. Which stands in the address. */
export function useBeside(): {
  here: Beside;
  all: Beside[];
  shown: ReadonlySet<string>;
  show: (id: string, on: boolean) => void;
  searching: boolean;
} {
  const build = useBuild();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const builds = useLiveQuery(readableBuilds, []);
  const undecided = !isDecided(build.choice);
  // Somebody who has decided compares what there is; the shelf is searched where they ask for it.
  const sought = useProposals(build, own, undecided);
  const [params, setParams] = useSearchParams();
  const nameOf = useMemo(() => {
    const named = (ids: readonly (string | null)[]): string[] =>
      ids.flatMap((id) => (id === null ? [] : [partById(shelf, id)?.name ?? id]));
    return ({ kitId, packId, ringId, clusterId, hubGearId }: Choice): string =>
      [
        named([kitId, packId]).join(' with ') || 'Nothing chosen',
        ...named([ringId, clusterId, hubGearId]).map((name) => name.toLowerCase()),
      ].join(', ');
  }, [shelf]);
  const here = useMemo(
    (): Beside => ({ id: 'here', of: 'here', name: nameOf(build.choice), note: 'As it stands', build }),
    [build, nameOf],
  );
  const all = useMemo(() => {
    const as = (of: Beside['of'], id: string, note: string, choice: Choice): Beside => ({
      id: `${of}-${id}`,
      of,
      name: nameOf(choice),
      note,
      build: { ...build, choice },
    });
    const kept = build.keptChoices.map((k) => as('kept', k.id, k.note, k.choice));
    const picks = sought ? boardOf(sought.result, weightsFor(build), shelf).picks : [];
    return [
      ...kept,
      ...picks
        .map((p) => ({ p, choice: p.candidate.choice }))
        .filter(
          ({ choice }) =>
            !sameConversion(choice, build.choice) && !build.keptChoices.some((k) => sameConversion(k.choice, choice)),
        )
        .map(({ p, choice }) => as('pick', p.for[0] ?? '', p.for.map((id) => pickWords[id]).join(' · '), choice)),
      ...(builds ?? [])
        .filter((b) => b.id !== build.id)
        .map((b): Beside => ({
          id: `build-${b.id}`,
          of: 'build',
          name: b.variant === 'A' ? b.name : `${b.name}, variant ${b.variant}`,
          note: vehicleKindWords[b.donor.kind],
          // The same brief for all: only the donor and what was chosen for it differ. Their rides told of their own riders.
          build: {
            ...b,
            brief: build.brief,
            schools: build.schools,
            ownLaws: build.ownLaws,
            tuned: { ...b.tuned, rides: null },
          },
        })),
    ];
  }, [build, builds, nameOf, shelf, sought]);
  const asked = params.get('beside');
  const shown = useMemo(
    () => new Set(asked === null ? shownAtFirst(all, undecided) : asked.split(' ').filter((id) => id !== '')),
    [asked, all, undecided],
  );
  return {
    here,
    all,
    shown,
    show: (id, on) => {
      const next = all.map((b) => b.id).filter((b) => (b === id ? on : shown.has(b)));
      setParams({ beside: next.join(' ') }, { replace: true });
    },
    searching: undecided && sought?.done !== true,
  };
}
