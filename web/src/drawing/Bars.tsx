import { amount, amountText, barLayout, type ChosenPlan } from '@sprocket/core';
import { useBuild, useUnits } from '../app/store.ts';

const SCALE = 1150;
const MIDDLE = 0.13;

/** The bar from above: what sits on each side from its end inward, and how much of it is left. */
export function Bars({ plan }: { plan: ChosenPlan }) {
  const { survey } = useBuild().donor;
  const units = useUnits();
  const { kit } = plan.chosen;
  const sides = (['left', 'right'] as const).map((side) => {
    const straight = survey[side === 'left' ? 'barLeft' : 'barRight']?.value;
    const things = barLayout(survey, side, kit);
    const used = things.reduce((sum, t) => sum + t.lengthM, 0);
    return { side, straight: straight ?? 0.22, known: straight !== undefined, things, used };
  });
  const longest = Math.max(...sides.map((s) => Math.max(s.straight, s.used)));
  const half = (longest + MIDDLE) * SCALE;
  return (
    <figure className="drawing drawing-tall bars" aria-label="The bar from above, to scale">
      <svg
        viewBox={`${-half - 20} -120 ${2 * half + 40} 270`}
        role="img"
        aria-label="Bar layout"
        className="bars-sheet"
      >
        {sides.map(({ side, straight, things, used, known }) => {
          const k = side === 'left' ? -1 : 1;
          const end = k * (MIDDLE + straight) * SCALE;
          const at = (fromM: number): number => end - k * fromM * SCALE;
          return (
            <g key={side}>
              <rect
                x={Math.min(0, end)}
                y={-11}
                width={Math.abs(end)}
                height={22}
                className="bar-tube"
                strokeWidth={1.4}
              />
              {things.map((t, i) => {
                const a = at(t.fromM);
                const b = at(t.fromM + t.lengthM);
                const over = t.fromM + t.lengthM > straight + 1e-6;
                const tall = t.what.startsWith('grip') ? 18 : t.what.includes('lever') ? 22 : 20;
                return (
                  <g key={t.what} className={over ? 'on-bar on-bar-over' : 'on-bar'}>
                    <rect
                      x={Math.min(a, b)}
                      y={-tall}
                      width={Math.abs(a - b)}
                      height={tall * 2}
                      rx={t.what.startsWith('grip') ? 9 : 3}
                      strokeWidth={1.6}
                    />
                    {t.what.includes('lever') ? (
                      <path
                        d={`M${(a + b) / 2} ${-tall}q${k * 14} -34 ${k * 118} -38`}
                        className="lever-blade"
                        strokeWidth={7}
                      />
                    ) : null}
                    <path d={`M${(a + b) / 2} ${tall}V${38 + (i % 3) * 19}`} strokeWidth={0.8} />
                    <text x={(a + b) / 2} y={52 + (i % 3) * 19} textAnchor="middle" fontSize={14}>
                      {t.what} {amountText(amount(t.lengthM, 'size', units === 'metric' ? 0 : 2), units)}
                    </text>
                  </g>
                );
              })}
              <text
                x={k * (MIDDLE * SCALE + (straight * SCALE) / 2)}
                y={-92}
                textAnchor="middle"
                fontSize={15}
                className={used > straight ? 'bar-over' : 'bar-sum'}
              >
                {side}: {amountText(amount(used, 'size', 0), units)} of {known ? '' : 'a common '}
                {amountText(amount(straight, 'size', 0), units)} straight bar
              </text>
            </g>
          );
        })}
        <rect x={-26} y={-20} width={52} height={40} className="stem-clamp" strokeWidth={1.6} />
        <text y={52} textAnchor="middle" fontSize={14} className="bar-sum">
          stem
        </text>
      </svg>
      <figcaption className="title-block">
        <span>the bar from above, ends outward</span>
        <span>{kit ? kit.name : 'no kit chosen'}</span>
        <span>sheet 4c</span>
      </figcaption>
    </figure>
  );
}
