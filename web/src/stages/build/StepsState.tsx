import type { BuildPlan } from '@sprocket/core';

/** How far the build is: steps done of all. */
export function StepsState({ plan }: { plan: BuildPlan }) {
  const { steps } = plan.build;
  const done = steps.filter((s) => s.doneOn !== null).length;
  return (
    <span className="link-state link-later num">
      {steps.length === 0 ? 'nothing' : done === steps.length ? 'built' : `${done}/${steps.length}`}
    </span>
  );
}
