import type { Stage } from '../stages/stage.ts';
import { StageHead } from './StageHead.tsx';

/** A stage that is not built yet: one honest line on what it will decide. */
export function Later({ stage }: { stage: Stage }) {
  return (
    <StageHead title={stage.label}>
      <strong>Not ready yet.</strong> This stage will decide:{' '}
      {stage.decides.charAt(0).toLowerCase() + stage.decides.slice(1)}.
    </StageHead>
  );
}

/** An address below a build that is no stage. */
export function NoStage() {
  return <StageHead title="No such stage">There is nothing at this address; pick a stage from the chain.</StageHead>;
}
