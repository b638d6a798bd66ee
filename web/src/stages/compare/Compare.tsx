import { NativeSelect } from '@mantine/core';
import {
  againWords,
  planBuild,
  reviewRatings,
  vehicleKindWords,
  verdictWords,
  verdicts,
  type Build,
  type BuildPlan,
} from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { useBuild } from '../../store/store.ts';
import { readableBuilds } from '../../storage/builds.ts';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import './compare.css';

/** Two donors for one brief, side by side: the other build's vehicle and parts under this build's brief. */
export function CompareStage() {
  const build = useBuild();
  const shelf = useShelf();
  const builds = useLiveQuery(readableBuilds, []);
  const [otherId, setOtherId] = useState<string | null>(null);
  const rest = useMemo(() => builds?.filter((b) => b.id !== build.id) ?? [], [builds, build.id]);
  const other = useMemo(() => rest.find((b) => b.id === otherId) ?? rest[0], [rest, otherId]);
  const sides = useMemo(() => {
    const here = { build, plan: planBuild(build, shelf) };
    if (!other) return [here];
    // The same brief for both: only the donor and what was chosen for it differ.
    // Their rides told of their own riders.
    const theirs: Build = {
      ...other,
      brief: build.brief,
      schools: build.schools,
      ownLaws: build.ownLaws,
      tuned: { ...other.tuned, rides: null },
    };
    return [here, { build: theirs, plan: planBuild(theirs, shelf) }];
  }, [build, other, shelf]);
  return (
    <>
      <StageHead title="Compare">
        Two donors for one brief: <strong className="marked">{build.name}</strong>
        {other ? ` and ${other.name}, both ridden as this brief asks` : ', and nothing to hold against it yet'}
      </StageHead>
      {builds === undefined ? (
        <p className="wait">Reading the bench…</p>
      ) : rest.length === 0 ? (
        <p>Make or bring in another build, with another donor surveyed, and it can be held against this one here.</p>
      ) : (
        <div className="compare-pick">
          <NativeSelect
            label="Against"
            value={other?.id ?? ''}
            data={rest.map((b) => ({
              value: b.id,
              label: `${b.name} · ${vehicleKindWords[b.donor.kind].toLowerCase()}`,
            }))}
            onChange={(event) => setOtherId(event.currentTarget.value)}
          />
        </div>
      )}
      <div className="compare">
        {sides.map((side) => (
          <Side key={side.build.id} build={side.build} plan={side.plan} />
        ))}
      </div>
    </>
  );
}

function Side({ build, plan }: { build: Build; plan: BuildPlan }) {
  const { review } = build.log;
  const open = plan.findings.filter((f) => f.verdict !== 'fits' && !f.override);
  return (
    <section className="card compare-side" aria-labelledby={`side-${build.id}`}>
      <h2 id={`side-${build.id}`}>{build.name}</h2>
      <p className="quiet">
        {vehicleKindWords[build.donor.kind]} · {plan.chosen.kit?.name ?? 'no kit chosen'} ·{' '}
        {plan.chosen.pack?.name ?? 'no pack chosen'}
      </p>
      <MiniBike drawing={plan.drawing} />
      <dl className="compare-answers">
        <div>
          <dt>Can it?</dt>
          <dd>
            <VerdictMark verdict={plan.can.verdict} /> {plan.can.words}
          </dd>
        </div>
        <div>
          <dt>Worth it?</dt>
          <dd>{plan.worth.words}</dd>
        </div>
        {plan.figures.map((figure) => (
          <div key={figure.id}>
            <dt>{figure.label}</dt>
            <dd className="num">
              {figure.band ? (
                <>
                  <Show value={figure.band.low} /> to <Show value={figure.band.high} />
                </>
              ) : figure.value ? (
                <Show value={figure.value} />
              ) : (
                '–'
              )}
            </dd>
          </div>
        ))}
        <div>
          <dt>Families left</dt>
          <dd>
            {plan.families
              .filter((f) => f.remaining > 0)
              .map((f) => `${f.words} (${f.remaining})`)
              .join(', ') || 'none'}
          </dd>
        </div>
        <div>
          <dt>Proven</dt>
          <dd className="num">
            {plan.donor.progress.proven} of {plan.donor.progress.total}
          </dd>
        </div>
        {review ? (
          <>
            <div>
              <dt>Do it again?</dt>
              <dd>{review.again === null ? 'not said' : againWords[review.again]}</dd>
            </div>
            {reviewRatings
              .filter(({ id }) => review.ratings[id] !== undefined)
              .map(({ id, words }) => (
                <div key={id}>
                  <dt>{words}, in use</dt>
                  <dd className="num">{review.ratings[id]} of 5</dd>
                </div>
              ))}
          </>
        ) : null}
      </dl>
      <p className="compare-counts">
        {verdicts
          .filter((v) => v !== 'fits')
          .map((v) => ({ v, n: open.filter((f) => f.verdict === v).length }))
          .filter(({ n }) => n > 0)
          .map(({ v, n }) => (
            <span key={v}>
              {n} {verdictWords[v].toLowerCase()}
            </span>
          ))}
      </p>
      <ul className="compare-findings">
        {open.slice(0, 7).map((f) => (
          <li key={`${f.rule}${f.subject ?? ''}`}>
            <VerdictMark verdict={f.verdict} /> <strong>{f.title}.</strong> <Say words={f.why} />
          </li>
        ))}
      </ul>
    </section>
  );
}
