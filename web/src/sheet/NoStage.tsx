import { StageHead } from './StageHead.tsx';

/** An address below a build that is no stage. */
export function NoStage() {
  return <StageHead title="No such stage">There is nothing at this address; pick a stage from the chain.</StageHead>;
}
