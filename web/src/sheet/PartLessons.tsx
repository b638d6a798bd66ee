import { faultWords } from '@sprocket/core';
import { useBuild } from '../store/store.ts';
import { useLessons } from './useLessons.ts';

/** What other builds had with parts, where these are chosen: so many of so many, what it was, and what cured it. */
export function PartLessons({ parts }: { parts: readonly { id: string; name: string }[] }) {
  const build = useBuild();
  const lessons = useLessons();
  const here = lessons.filter((l) => parts.some((p) => p.id === l.part) && l.of.some((b) => b.id !== build.id));
  if (here.length === 0) return null;
  return (
    <aside className="lessons" aria-label="What other builds taught">
      <strong>Learned on this bench</strong>
      <ul className="bare-list">
        {here.map((l) => (
          <li key={`${l.part}-${l.fault ?? l.what}`}>
            {l.of.length} of {l.having} with {parts.find((p) => p.id === l.part)?.name}:{' '}
            {l.what !== '' ? l.what.charAt(0).toLowerCase() + l.what.slice(1) : faultWords(l.fault ?? '').toLowerCase()}
            {l.cure === '' ? '' : `; cured by ${l.cure}`}{' '}
            <span className="quiet">({l.of.map((b) => b.name).join(', ')})</span>
          </li>
        ))}
      </ul>
    </aside>
  );
}
