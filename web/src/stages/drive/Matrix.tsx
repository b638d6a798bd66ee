import { kitRules, verdictWords, type KitCandidate, type RuleGroup, type Verdict } from '@sprocket/core';
import { useState } from 'react';
import { useSend } from '../../store/store.ts';
import { uiActions } from '../../store/uiSlice.ts';
import { VerdictSign } from '../../sheet/Verdict.tsx';

const groupWords: Partial<Record<RuleGroup, string>> = {
  frame: 'Frame',
  bracket: 'Bracket',
  axle: 'Axle',
  wheel: 'Wheel',
  drivetrain: 'Drivetrain',
  brakes: 'Brakes',
  levers: 'Brake levers',
  controls: 'Controls',
  leads: 'Leads',
  power: 'Battery lead',
  load: 'Load',
  law: 'Law',
  use: 'Use',
};

/** Which rows are shown: all rules, or those where some kit gets this verdict. */
type Filter = 'all' | Exclude<Verdict, 'fits'>;

/** Kits across, rules down: a person scans for colour and shape, and opens any cell. */
export function Matrix({ kits, chosenId }: { kits: readonly KitCandidate[]; chosenId: string | null }) {
  const send = useSend();
  const [filter, setFilter] = useState<Filter>('all');
  const found = new Map(kits.map((k) => [k.kit.id, new Map(k.findings.map((f) => [f.rule, f]))]));
  const rules = kitRules.filter((rule) =>
    kits.some((k) => {
      const finding = found.get(k.kit.id)?.get(rule.id);
      return finding !== undefined && (filter === 'all' || finding.verdict === filter);
    }),
  );
  const groups = [...new Set(rules.map((rule) => rule.group))];
  return (
    <section aria-labelledby="matrix-title">
      <div className="section-head">
        <h2 id="matrix-title">Kits and rules</h2>
        <div className="pills" role="group" aria-label="Rules shown">
          {(['all', 'stop', 'rework', 'measure'] as const).map((f) => (
            <button key={f} type="button" className="pill" aria-pressed={filter === f} onClick={() => setFilter(f)}>
              {f === 'all' ? 'every rule' : `some ${verdictWords[f].toLowerCase()}`}
            </button>
          ))}
        </div>
      </div>
      <div
        className="table-scroll matrix-scroll"
        tabIndex={0}
        role="region"
        aria-label="Matrix of kits and rules, scrolls"
      >
        <table className="matrix">
          <thead>
            <tr>
              <td />
              {kits.map((k) => (
                <th key={k.kit.id} scope="col" className={k.kit.id === chosenId ? 'chosen' : ''}>
                  <span>{k.kit.name}</span>
                </th>
              ))}
            </tr>
          </thead>
          {groups.map((group) => (
            <tbody key={group}>
              <tr className="matrix-group">
                <th scope="rowgroup" colSpan={kits.length + 1}>
                  {groupWords[group]}
                </th>
              </tr>
              {rules
                .filter((rule) => rule.group === group)
                .map((rule) => (
                  <tr key={rule.id}>
                    <th scope="row">{rule.words}</th>
                    {kits.map((k) => {
                      const finding = found.get(k.kit.id)?.get(rule.id);
                      return (
                        <td key={k.kit.id} className={k.kit.id === chosenId ? 'chosen' : ''}>
                          {finding ? (
                            <button
                              type="button"
                              className={`cell verdict-${finding.verdict}${finding.override ? ' overridden' : ''}`}
                              aria-label={`${k.kit.name}, ${rule.words.toLowerCase()}: ${verdictWords[finding.verdict].toLowerCase()}, ${finding.title}`}
                              title={finding.title}
                              onClick={() => send(uiActions.explained({ kind: 'finding', finding }))}
                            >
                              <VerdictSign verdict={finding.verdict} />
                            </button>
                          ) : (
                            <span className="cell-none" aria-hidden="true">
                              ·
                            </span>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
            </tbody>
          ))}
        </table>
      </div>
    </section>
  );
}
