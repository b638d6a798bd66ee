import { useParams } from 'react-router';
import { stages } from '../app/stages.ts';
import { StageHead } from '../ui/StageHead.tsx';

/** A stage that is not built yet: one honest line on what it will decide. */
export function LaterStage() {
  const { later } = useParams();
  const stage = stages.find((s) => s.id === later);
  if (!stage) {
    return <StageHead title="No such stage">There is nothing at this address; pick a stage from the chain.</StageHead>;
  }
  return (
    <>
      <StageHead title={stage.label}>
        <strong>Not ready yet.</strong> This stage will decide:{' '}
        {stage.decides.charAt(0).toLowerCase() + stage.decides.slice(1)}.
      </StageHead>
    </>
  );
}
