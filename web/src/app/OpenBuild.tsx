import { BuildSheet } from '../sheet/BuildSheet.tsx';
import { StagesProvider, type Stages } from '../sheet/stages.ts';
import { StepsState } from '../stages/build/StepsState.tsx';
import { LogState } from '../stages/logbook/LogState.tsx';
import { BillState } from '../stages/parts/BillState.tsx';
import { ProofState } from '../stages/proving/ProofState.tsx';
import { stages } from './stages.ts';

/** The stages, and how those stand in the rail that no rule judges. A further one is a line here. */
const all: Stages = {
  list: stages,
  standings: { parts: BillState, build: StepsState, proving: ProofState, logbook: LogState },
};

/** An open build with all its stages. */
export function OpenBuild() {
  return (
    <StagesProvider value={all}>
      <BuildSheet />
    </StagesProvider>
  );
}
