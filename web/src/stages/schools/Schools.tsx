import {
  planBuild,
  schools,
  verdictWords,
  type BuildPlan,
  type SchoolId,
  type Schools as SchoolChoice,
} from '@sprocket/core';
import { useMemo } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { StageHead } from '../../sheet/StageHead.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { Crossings } from './Crossings.tsx';
import { Laws } from './Laws.tsx';
import { useScrollToHash } from '../../sheet/useScrollToHash.ts';
import './schools.css';
import { Words, useTexts } from '../../ui/Show.tsx';

const ids = Object.keys(schools) as SchoolId[];

/** Where good converters differ: both sides, and what each would say of this build. */
export function SchoolsStage() {
  const build = useBuild();
  const shelf = useShelf();
  const plan = usePlan();
  useScrollToHash();
  // What each side would say: the plan again with only that choice otherwise.
  const others = useMemo(() => {
    const out = new Map<string, BuildPlan>();
    for (const id of ids) {
      for (const side of Object.keys(schools[id].sides)) {
        if (build.schools[id] === side) continue;
        out.set(`${id}.${side}`, planBuild({ ...build, schools: { ...build.schools, [id]: side } }, shelf));
      }
    }
    return out;
  }, [build, shelf]);
  return (
    <>
      <StageHead title="Schools and rules">
        Where good converters differ, <strong className="marked">you choose</strong>, with both reasons before you
      </StageHead>
      <ul className="schools">
        {ids.map((id) => (
          <School key={id} id={id} plan={plan} others={others} />
        ))}
      </ul>
      <Laws />
      <Crossings />
    </>
  );
}

function School({ id, plan, others }: { id: SchoolId; plan: BuildPlan; others: Map<string, BuildPlan> }) {
  const build = useBuild();
  const send = useSend();
  const school = useTexts(schools[id]);
  return (
    <li id={id} className="card school">
      <h2>{school.title}</h2>
      <p className="quiet">{school.question}</p>
      <div className="school-sides" role="radiogroup" aria-label={school.title}>
        {Object.entries(school.sides).map(([side, { words, reason }]) => {
          const chosen = build.schools[id] === side;
          const theirs = chosen ? plan : others.get(`${id}.${side}`);
          const says = theirs?.findings.filter((f) => f.school === id) ?? [];
          return (
            <label key={side} className={`school-side${chosen ? ' chosen' : ''}`}>
              <span className="school-pick">
                <input
                  type="radio"
                  name={`school-${id}`}
                  checked={chosen}
                  onChange={() =>
                    send(
                      buildActions.schoolChosen({
                        field: `school.${id}`,
                        value: { [id]: side } as Partial<SchoolChoice>,
                      }),
                    )
                  }
                />
                <strong>{words}</strong>
              </span>
              <span>{reason}</span>
              <span className="school-says">
                {says.length === 0 ? (
                  <span className="quiet">says nothing of this build</span>
                ) : (
                  says.map((f) => (
                    <span key={f.rule}>
                      <VerdictMark verdict={f.verdict} /> <Words>{f.title}</Words>
                    </span>
                  ))
                )}
                {theirs ? (
                  <span className="quiet">the whole plan: {verdictWords[theirs.verdict].toLowerCase()}</span>
                ) : null}
              </span>
            </label>
          );
        })}
      </div>
    </li>
  );
}
