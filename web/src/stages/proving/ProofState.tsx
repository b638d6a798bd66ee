import { useProofStops } from '../../sheet/useProofStops.ts';
import { VerdictSign } from '../../sheet/Verdict.tsx';
import { useBuild } from '../../store/store.ts';

/** How far it is proved: tests tried; a stop stands above all. */
export function ProofState() {
  const { proving } = useBuild();
  const stops = useProofStops();
  const tried = new Set(proving.results.map((r) => r.test)).size;
  return stops > 0 ? (
    <span className="link-state verdict-stop">
      <VerdictSign verdict="stop" />
      <span className="num">{stops}</span>
      <span className="sr"> do not ride</span>
    </span>
  ) : (
    <span className="link-state link-later num">{tried === 0 ? 'untried' : `${tried} tried`}</span>
  );
}
