import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import type { Shelf } from '../src/parts/part.ts';

interface Priced {
  kind: string;
  id: string;
  price: number;
}

/** Every part of the shelf that has a price, kind by kind as the shelf has them. */
export const partsOfShelf = (): Priced[] =>
  Object.entries(starterShelf).flatMap(([kind, parts]) =>
    (parts as readonly object[]).flatMap((part) =>
      'price' in part && 'id' in part ? [{ kind, id: String(part.id), price: Number(part.price) }] : [],
    ),
  );

/** A price that hangs on a part's id alone, near enough to what such parts cost. */
function steady(kind: string, id: string): number {
  let hash = 0;
  for (const letter of id) hash = (hash * 31 + letter.charCodeAt(0)) % 997;
  const [from, span] = kind === 'kit' ? [300, 900] : kind === 'pack' ? [200, 500] : kind === 'tool' ? [5, 60] : [2, 40];
  return Math.round(from + (span * hash) / 997);
}

/** The starter shelf with a steady price for every part, so that what hangs on prices is held whatever they are today. */
export const steadyShelf: Shelf = Object.fromEntries(
  Object.entries(starterShelf).map(([kind, parts]) => [
    kind,
    (parts as readonly object[]).map((part) =>
      'price' in part && 'id' in part ? { ...part, price: steady(kind, String(part.id)) } : part,
    ),
  ]),
) as unknown as Shelf;

/** What a part of the starter shelf costs today, or NaN. */
export const priceToday = (id: string): number => partsOfShelf().find((part) => part.id === id)?.price ?? NaN;
