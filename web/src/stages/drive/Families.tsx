import type { BuildPlan, DriveFamily } from '@sprocket/core';
import { VerdictMark } from '../../sheet/Verdict.tsx';

interface FamiliesProps {
  plan: BuildPlan;
  shown: DriveFamily | null;
  onShow: (family: DriveFamily | null) => void;
}

/** Drive families side by side on this donor: what is left of each, and what stops the rest. */
export function Families({ plan, shown, onShow }: FamiliesProps) {
  return (
    <section aria-labelledby="families-title">
      <div className="section-head">
        <h2 id="families-title">Families on this donor</h2>
        <span className="quiet">press one to see its kits alone</span>
      </div>
      <ul className="families">
        {plan.families.map((f) => (
          <li key={f.family}>
            <button
              type="button"
              className={`family edge-${f.verdict}`}
              aria-pressed={shown === f.family}
              onClick={() => onShow(shown === f.family ? null : f.family)}
            >
              <span className="family-head">
                <strong>{f.words}</strong>
                <VerdictMark verdict={f.verdict} />
              </span>
              <span className="family-left num">
                {f.remaining} of {f.total} kits could go on
              </span>
              {f.open === '' || f.verdict === 'stop' ? null : (
                <span className="family-open num">nearest: {f.open}</span>
              )}
              {f.stoppedBy[0] ? (
                <span className="family-stop">
                  {f.stoppedBy.map((s) => (
                    <span key={s.title}>
                      {s.kits} × {s.title.charAt(0).toLowerCase() + s.title.slice(1)}
                    </span>
                  ))}
                </span>
              ) : null}
              <span className="family-says">
                <span className="for">+ {f.pros.join(', ')}</span>
                <span className="against">− {f.cons.join(', ')}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
