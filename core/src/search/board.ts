import type { Build } from '../build/build.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { partById, type Shelf } from '../parts/part.ts';
import type { Phrase } from '../quantity/format.ts';
import { miniDrawing, type MiniDrawing } from '../plan/summary.ts';
import { motorDrawing } from '../plan/stages/drive.ts';
import { planContext } from '../plan/context.ts';
import type { Fares } from './contenders.ts';
import type { GoesOn } from './draws.ts';
import { pickIds, picksOf, type AimWeights, type PickId } from './picks.ts';
import type { Candidate, SearchResult } from './search.ts';
import { against, familyFates, type FamilyFate } from './whyNot.ts';

/** One pick as the board shows it. */
export interface BoardPick {
  candidate: Candidate;
  /** Its place in the front. */
  at: number;
  /** What it is picked for, the first naming it. */
  for: PickId[];
  kit: Kit;
  pack: Pack;
  /** Ring and gears that are bought besides. */
  gears: string[];
  /** Beside the one we would fit; for that one itself, beside the cheapest that does it. */
  against: Phrase | null;
  /** How it fares on vehicles as this one might be; null where none were drawn. */
  goes: GoesOn | null;
}

/** The board: picks side by side and why not the others. */
export interface Board {
  picks: BoardPick[];
  families: FamilyFate[];
}

/** Picks of a front, each shown once whatever it is picked for, the one we would fit first. */
export function boardOf(result: SearchResult, weights: AimWeights, shelf: Shelf, fares?: Fares): Board {
  const { front } = result;
  const picks = picksOf(front, weights, fares && ((i) => fares.get(i)));
  const rows = new Map<number, PickId[]>();
  for (const id of pickIds) {
    const at = picks[id];
    if (at !== undefined) rows.set(at, [...(rows.get(at) ?? []), id]);
  }
  const fit = picks.fit === undefined ? undefined : front[picks.fit];
  const cheapest = picks.cheapest === undefined ? undefined : front[picks.cheapest];
  return {
    picks: [...rows].flatMap(([at, why]): BoardPick[] => {
      const candidate = front[at] as Candidate;
      const { kitId, packId, ringId, clusterId, hubGearId } = candidate.choice;
      const kit = shelf.kit.find((k) => k.id === kitId);
      const pack = shelf.pack.find((p) => p.id === packId);
      if (!kit || !pack) return [];
      const beside = candidate === fit ? cheapest : fit;
      return [
        {
          candidate,
          at,
          for: why,
          kit,
          pack,
          gears: [ringId, clusterId, hubGearId].flatMap((id) => (id === null ? [] : (partById(shelf, id)?.name ?? id))),
          against: beside && beside !== candidate ? against(candidate, beside) : null,
          goes: fares?.get(at) ?? null,
        },
      ];
    }),
    families: familyFates(result, picks.fit ?? null, shelf, weights),
  };
}

/** A candidate drawn small: the donor with its motor and its pack where they would sit. */
export function candidateDrawing(build: Build, shelf: Shelf, { choice }: Candidate): MiniDrawing {
  const context = planContext({ ...build, choice }, shelf);
  const { placement } = context;
  return miniDrawing(
    context.geometry,
    motorDrawing(context),
    // Whatever its place is ranked as: a candidate is stopped by none.
    placement && { outline: placement.outline, verdict: placement.verdict === 'stop' ? 'rework' : placement.verdict },
  );
}
