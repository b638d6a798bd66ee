import { Button } from '@mantine/core';
import {
  amount,
  candidateDrawing,
  driveFamilyWords,
  neededRange,
  packPlaceWords,
  pickWords,
  type BoardPick,
  type Candidate,
} from '@sprocket/core';
import { useMemo } from 'react';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { useBuild } from '../../store/store.ts';
import { Say, Show } from '../../ui/Show.tsx';
import { useShelf } from '../PlanProvider.tsx';
import { VerdictMark } from '../Verdict.tsx';

/** Share from which a conversion is said to go on, without a word of what stops it on the others. */
const MOSTLY = 0.8;

/** One pick: what it is, what it does, what it costs, whether it goes on, and what speaks against it. */
export function PickCard({
  pick,
  first,
  taken,
  onTake,
}: {
  pick: BoardPick;
  first: boolean;
  taken: boolean;
  onTake: () => void;
}) {
  const { candidate, kit, pack, gears, goes } = pick;
  const { aims: is, range, open } = candidate;
  const build = useBuild();
  const shelf = useShelf();
  const drawing = useMemo(() => candidateDrawing(build, shelf, candidate), [build, shelf, candidate]);
  const need = neededRange(build.brief);
  const name = `${kit.name} with ${pack.name}`;
  return (
    <li className={`pick${first ? ' pick-first' : ''}${taken ? ' chosen' : ''}`}>
      <p className="pick-for">{pick.for.map((id) => pickWords[id]).join(' · ')}</p>
      <div className="pick-head">
        <div>
          <h3>{kit.name}</h3>
          <p className="quiet">
            {driveFamilyWords[kit.family]}, {pack.name}{' '}
            {candidate.choice.packPlace ? packPlaceWords[candidate.choice.packPlace] : ''}
            {gears.length > 0 ? `, ${gears.join(', ').toLowerCase()}` : ''}
          </p>
        </div>
        <MiniBike drawing={drawing} />
      </div>
      <dl className="pick-facts">
        <div>
          <dt>Range</dt>
          <dd className="num">
            {range ? (
              <>
                <Show value={amount(range.lowM, 'way', 0)} /> to <Show value={amount(range.highM, 'way', 0)} />
              </>
            ) : (
              '–'
            )}
          </dd>
        </div>
        {range ? <RangeBar range={range} needM={need} /> : null}
        <div>
          <dt>
            Comes home after <Show value={amount(need, 'way', 0)} />
          </dt>
          <dd className="num">{inAHundred(is.chance ?? 0)}</dd>
        </div>
        <div>
          <dt>Starts on</dt>
          <dd className="num">
            {candidate.startGrade === null ? '–' : <Show value={amount(candidate.startGrade, 'grade')} />}
            {is.climb === null ? null : (
              <>
                , climbs at <Show value={amount(is.climb, 'speed', 0)} />
              </>
            )}
          </dd>
        </div>
        <div>
          <dt>Price with all it needs</dt>
          <dd className="num">
            {goes?.price && isBand(goes.price, 1) ? (
              <>
                <Show value={amount(goes.price.low, 'money', 0)} /> to{' '}
                <Show value={amount(goes.price.high, 'money', 0)} />
              </>
            ) : is.price === null ? (
              '–'
            ) : (
              <Show value={amount(is.price, 'money')} />
            )}
          </dd>
        </div>
        <div>
          <dt>Work</dt>
          <dd className="num">
            {goes?.hours && isBand(goes.hours, 1)
              ? `${goes.hours.low.toFixed(0)} to ${goes.hours.high.toFixed(0)} h`
              : is.hours === null
                ? '–'
                : `${is.hours.toFixed(0)} h`}
          </dd>
        </div>
        <div>
          <dt>Adds</dt>
          <dd className="num">{is.mass === null ? '–' : <Show value={amount(is.mass, 'mass')} />}</dd>
        </div>
        {goes && (goes.share < 1 || isBand(goes.price, 1)) ? (
          <div>
            <dt>Goes on vehicles like this</dt>
            <dd className={`num${goes.share < MOSTLY ? ' pick-hangs' : ''}`}>{Math.round(goes.share * 100)} of 100</dd>
          </div>
        ) : null}
      </dl>
      <p className="pick-open">
        <VerdictMark verdict={candidate.verdict} />{' '}
        {[open.rework > 0 ? `${open.rework} to rework` : '', open.measure > 0 ? `${open.measure} to measure` : '']
          .filter((w) => w !== '')
          .join(', ')}
      </p>
      {goes && goes.share < MOSTLY && goes.stops[0] ? (
        <p className="pick-stops">
          <span className="quiet">Where it does not go on: </span>
          {goes.stops
            .slice(0, 2)
            .map(({ title, share }) => `${title.toLowerCase()}, ${Math.max(1, Math.round(share * 100))} of 100`)
            .join('; ')}
          .
        </p>
      ) : null}
      {pick.against ? (
        <p className="pick-against">
          <span className="quiet">{first ? 'Beside the cheapest: ' : 'Beside the one we would fit: '}</span>
          <Say words={pick.against} />
        </p>
      ) : null}
      <Button
        size="compact-sm"
        variant={first && !taken ? 'filled' : 'default'}
        disabled={taken}
        onClick={onTake}
        aria-label={taken ? `Taken: ${name}` : `Take it: ${name}`}
      >
        {taken ? 'Taken' : 'Take it'}
      </Button>
    </li>
  );
}

/** Whether two ends lie apart enough to be shown as a band. */
const isBand = (of: { low: number; high: number } | null, least: number): boolean =>
  of !== null && of.high - of.low >= least;

/** A chance in rides of a hundred; nobody comes home every time. */
function inAHundred(chance: number): string {
  const rides = Math.round(chance * 100);
  return rides > 99 ? 'more than 99 of 100' : rides < 1 ? 'less than 1 of 100' : `${rides} of 100`;
}

/** The band as a bar, with what is needed as a mark. */
function RangeBar({ range, needM }: { range: NonNullable<Candidate['range']>; needM: number }) {
  const to = Math.max(range.highM, needM) * 1.08;
  const share = (m: number): string => `${((m / to) * 100).toFixed(1)}%`;
  return (
    <div className="range-bar" aria-hidden="true">
      <span className="range-band" style={{ left: share(range.lowM), width: share(range.highM - range.lowM) }} />
      <span className="range-need" style={{ left: share(needM) }} />
    </div>
  );
}
