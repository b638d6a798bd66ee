import { packPlaceWords, surveyItem, type MeasureFirst, type Shelf } from '@sprocket/core';
import { Link, useParams } from 'react-router';
import { Say } from '../../ui/Show.tsx';
import type { DrawnFor } from './useDrawn.ts';
import './proposals.css';

/** Lines shown. */
const SHOWN = 6;
/** Answers of one line that are said, the most frequent first. */
const ANSWERS = 3;

/** The conversion at a place of what was drawn for, by kit, battery and place. */
function nameOf({ front, places }: DrawnFor, shelf: Shelf, at: number | null): string {
  if (at === null) return 'nothing';
  const choice = front[places[at] ?? -1]?.choice;
  const kit = shelf.kit.find((k) => k.id === choice?.kitId);
  const pack = shelf.pack.find((p) => p.id === choice?.packId);
  const place = choice?.packPlace ? ` ${packPlaceWords[choice.packPlace]}` : '';
  return kit && pack ? `${kit.name} with ${pack.name}${place}` : 'another';
}

/** What to measure first: what could still change the choice, by the minute, and what each answer would lead to. */
export function MeasureFirstCard({ drawn, shelf }: { drawn: DrawnFor; shelf: Shelf }) {
  const { buildId = '' } = useParams();
  const { first } = drawn;
  return (
    <div className="card measure-first">
      <h3>Measure first</h3>
      <p className="quiet">What could still change the choice, or whether it goes on, by the minute it takes.</p>
      {first === null ? (
        <p className="quiet">Drawing vehicles like this one…</p>
      ) : first.length === 0 ? (
        <p>
          On the vehicles drawn, nothing that is open changes this choice or whether it goes on. What its verdicts still
          want measured stands on the Donor sheet.
        </p>
      ) : (
        <ol className="first-list">
          {first.slice(0, SHOWN).map((m) => (
            <li key={m.items.join()}>
              <p className="first-line">
                <Link to={`/build/${buildId}/donor#${m.items[0] ?? ''}`}>
                  {m.items.map((id) => surveyItem(id).label).join(', ')}
                </Link>
                <span className="num">
                  {m.minutes} min · {saidOf(m)}
                </span>
              </p>
              <Leads of={m} drawn={drawn} shelf={shelf} />
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

const hundred = (share: number): string => `${Math.max(1, Math.round(share * 100))} of 100`;
/** How much one settles, or shows of whether the best goes on. */
export const saidOf = ({ settles, tells }: MeasureFirst): string =>
  settles > 0 ? `settles ${hundred(settles)}` : `shows ${hundred(tells)} of whether it goes on`;

/** Answers that lead to another conversion than the most frequent does; nothing where all lead to one. */
export function Leads({
  of: { outcomes },
  drawn,
  shelf,
  answers = ANSWERS,
}: {
  of: MeasureFirst;
  drawn: DrawnFor;
  shelf: Shelf;
  answers?: number;
}) {
  const [most] = outcomes;
  const away = outcomes.filter((o) => o.best !== most?.best);
  if (!most || away.length === 0) return null;
  return (
    <p className="first-leads">
      {away.slice(0, answers).map((o, i) => (
        <span key={i}>
          {i > 0 ? '; ' : 'Leads to another where it is '}
          <Say words={o.answer} />, {hundred(o.share)}: {nameOf(drawn, shelf, o.best)}
        </span>
      ))}
      . Else {nameOf(drawn, shelf, most.best)}.
    </p>
  );
}
