import { NativeSelect } from '@mantine/core';
import {
  crossingDoesWords,
  crossingSheets,
  ruleCatalog,
  verdictRank,
  verdictWords,
  type StandingCrossing,
} from '@sprocket/core';
import { useMemo, useState } from 'react';
import { usePlan, usePlanContext } from '../../sheet/PlanProvider.tsx';
import { VerdictSign } from '../../sheet/Verdict.tsx';
import { useSend } from '../../store/store.ts';
import { uiActions } from '../../store/uiSlice.ts';
import { useTexts } from '../../ui/Show.tsx';

const ruleWords = new Map(ruleCatalog.map((rule) => [rule.id, rule.words]));

/** Why nothing is left unsaid: each part against each thing a donor has, judged by which rule or of no matter, and why. */
export function Crossings() {
  const plan = usePlan();
  const context = usePlanContext();
  const sheets = useTexts(useMemo(() => crossingSheets(context, plan.findings), [context, plan.findings]));
  const first = sheets.find((s) => s.here) ?? sheets[0];
  const [chosen, setChosen] = useState<string | null>(null);
  const [judged, setJudged] = useState(true);
  const sheet = sheets.find((s) => s.actor.id === chosen) ?? first;
  if (!sheet) return null;
  const pairs = sheets.reduce((sum, s) => sum + s.crossings.length, 0);
  const named = (here: boolean) =>
    sheets.filter((s) => s.here === here).map((s) => ({ value: s.actor.id, label: s.actor.words }));
  // What is open first, then what fits, then what this build does not have.
  const rank = (c: StandingCrossing): number => (c.verdict === null ? verdictRank.fits + 1 : verdictRank[c.verdict]);
  const rows = sheet.crossings.filter(({ apart }) => (apart === null) === judged).sort((a, b) => rank(a) - rank(b));
  const open = sheet.crossings.filter((c) => c.verdict !== null && c.verdict !== 'fits').length;
  return (
    <section className="card crossings" id="what-meets-what" aria-labelledby="crossings-head">
      <h2 id="crossings-head">What meets what</h2>
      <p>
        Each part is held against each thing this kind of vehicle can have: <span className="num">{sheets.length}</span>{' '}
        parts, <span className="num">{pairs}</span> pairs. A pair is judged by the checks named here, or does not
        matter, and then it says why. None is left out.
      </p>
      <div className="fields">
        <NativeSelect
          label="Part"
          value={sheet.actor.id}
          data={[
            { group: 'In this build', items: named(true) },
            { group: 'Not in this build', items: named(false) },
          ].filter((g) => g.items.length > 0)}
          onChange={(event) => setChosen(event.currentTarget.value)}
        />
        <div className="pills" role="group" aria-label="Pairs shown">
          <button type="button" className="pill" aria-pressed={judged} onClick={() => setJudged(true)}>
            judged: {sheet.crossings.filter((c) => c.by.length > 0).length}
          </button>
          <button type="button" className="pill" aria-pressed={!judged} onClick={() => setJudged(false)}>
            does not matter: {sheet.crossings.filter((c) => c.by.length === 0).length}
          </button>
        </div>
      </div>
      {sheet.here ? (
        <p className="quiet">
          {open === 0 ? 'All of its pairs fit on this build.' : `${open} of its pairs are open on this build.`}
        </p>
      ) : (
        <p className="quiet">No such part is in this build.</p>
      )}
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Pairs, scrolls sideways">
        <table>
          <thead>
            <tr>
              <th scope="col">Thing</th>
              {judged ? (
                <>
                  <th scope="col">This part</th>
                  <th scope="col">Checks</th>
                  <th scope="col">On this build</th>
                </>
              ) : (
                <th scope="col">Why it does not matter</th>
              )}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.thing.id}>
                <th scope="row">{row.thing.words}</th>
                {judged ? (
                  <>
                    <td>{row.does.map((does) => crossingDoesWords[does]).join(', ')} it</td>
                    <td>{row.by.map((id) => ruleWords.get(id) ?? id).join(', ')}</td>
                    <td>
                      <Standing row={row} here={sheet.here} />
                    </td>
                  </>
                ) : (
                  <td>{row.apart}</td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** How a pair stands: its worst finding, opened by a click. */
function Standing({ row, here }: { row: StandingCrossing; here: boolean }) {
  const send = useSend();
  const [worst] = row.found;
  if (!worst) return <span className="quiet">{here ? 'does not apply' : ''}</span>;
  return (
    <button
      type="button"
      className={`pair verdict-${worst.verdict}`}
      aria-label={`${verdictWords[worst.verdict]}: ${worst.title}`}
      onClick={() => send(uiActions.explained({ kind: 'finding', finding: worst }))}
    >
      <VerdictSign verdict={worst.verdict} />
      <span>{worst.title}</span>
    </button>
  );
}
