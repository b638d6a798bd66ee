import { driveFamilies, driveFamilyWords, type DriveFamily } from '../parts/kit.ts';
import { partById, type Shelf } from '../parts/part.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { regrets, type AimWeights } from './picks.ts';
import type { Candidate, SearchResult } from './search.ts';

/** What became of a family of drives: its best on the front, or why none is. */
export interface FamilyFate {
  family: DriveFamily;
  /** Its place in the front; null where none of the family is on it. */
  best: number | null;
  why: Phrase;
}

const familyOf = (shelf: Shelf, { choice }: Candidate): DriveFamily | null => {
  const kit = choice.kitId === null ? undefined : partById(shelf, choice.kitId);
  return kit?.kind === 'kit' ? kit.family : null;
};

/** For each family the one reason that it is out, or what its best loses to the pick and by how much. */
export function familyFates(
  result: SearchResult,
  pick: number | null,
  shelf: Shelf,
  weights: AimWeights,
): FamilyFate[] {
  const { front, kits } = result;
  const chosen = pick === null ? null : (front[pick] ?? null);
  return driveFamilies.flatMap((family): FamilyFate[] => {
    const own = shelf.kit.filter((k) => k.family === family);
    if (own.length === 0) return [];
    const name = driveFamilyWords[family];
    const here = front.flatMap((c, i) => (familyOf(shelf, c) === family ? [i] : []));
    if (here.length === 0) {
      const fates = kits.filter((f) => own.some((k) => k.id === f.kit));
      const stand = fates.reduce((sum, f) => sum + f.standing, 0);
      if (stand > 0)
        return [
          { family, best: null, why: phrase`Goes on, but something else is as good on every count and better on one.` },
        ];
      const reasons = new Map<string, number>();
      const usually = fates.some((f) => f.usually === true);
      for (const { stoppedBy } of fates) if (stoppedBy) reasons.set(stoppedBy, (reasons.get(stoppedBy) ?? 0) + 1);
      const [reason] = [...reasons].sort(([, a], [, b]) => b - a);
      return [
        {
          family,
          best: null,
          why: reason
            ? usually
              ? phrase`By the usual sizes of such a vehicle, not measured here: ${reason[0].toLowerCase()}, ${reason[1]} of ${own.length} kits.`
              : phrase`${reason[0]}: ${reason[1]} of ${own.length} kits.`
            : phrase`No ${name} on the shelf was looked at.`,
        },
      ];
    }
    if (chosen && here.includes(pick as number))
      return [{ family, best: pick, why: phrase`This is the one we would fit.` }];
    const scores = regrets(
      here.map((i) => front[i] as Candidate),
      weights,
    );
    const best = here[scores.indexOf(Math.min(...scores))] as number;
    return [{ family, best, why: chosen ? against(front[best] as Candidate, chosen) : phrase`It goes on.` }];
  });
}

/** What one loses to another and what it gains, by how much. */
export function against(one: Candidate, other: Candidate): Phrase {
  const [a, b] = [one.aims, other.aims];
  const worse: Phrase[] = [];
  const better: Phrase[] = [];
  const tell = (diff: number, grain: number, more: Phrase, less: Phrase, moreIsBetter: boolean): void => {
    if (Math.abs(diff) < grain) return;
    (diff > 0 === moreIsBetter ? better : worse).push(diff > 0 ? more : less);
  };
  const off = (x: number | null, y: number | null): number => (x ?? 0) - (y ?? 0);
  const money = off(a.price, b.price);
  tell(money, 5, phrase`${amount(money, 'money')} dearer`, phrase`${amount(-money, 'money')} cheaper`, false);
  const start = off(one.startGrade, other.startGrade);
  if (one.startGrade !== null && other.startGrade !== null) {
    const words = phrase`starts on ${amount(one.startGrade, 'grade')} instead of ${amount(other.startGrade, 'grade')}`;
    tell(start, 0.005, words, words, true);
  }
  const chance = off(a.chance, b.chance);
  const hundred = (share: number | null): string => String(Math.round((share ?? 0) * 100));
  const words = phrase`comes home ${hundred(a.chance)} times in a hundred instead of ${hundred(b.chance)}`;
  tell(chance, 0.02, words, words, true);
  const hours = off(a.hours, b.hours);
  tell(hours, 0.5, phrase`${hours.toFixed(1)} h more work`, phrase`${(-hours).toFixed(1)} h less work`, false);
  const mass = off(a.mass, b.mass);
  tell(mass, 0.3, phrase`${amount(mass, 'mass')} heavier`, phrase`${amount(-mass, 'mass')} lighter`, false);
  const list = (of: Phrase[]): Phrase => of.slice(0, 2).flatMap((p, i) => (i === 0 ? p : [...phrase` and `, ...p]));
  if (worse.length === 0 && better.length === 0) return phrase`no difference that one would choose by.`;
  if (worse.length === 0) return [...list(better), '.'];
  if (better.length === 0) return [...list(worse), '.'];
  return [...list(better), ', but ', ...list(worse), '.'];
}
