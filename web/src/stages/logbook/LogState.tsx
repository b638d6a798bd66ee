import { useDue } from '../../sheet/useUpkeep.ts';
import { useBuild } from '../../store/store.ts';

/** How far it was ridden; what is due stands above it. */
export function LogState() {
  const build = useBuild();
  const due = useDue();
  const rides = build.log.entries.reduce((sum, e) => sum + Number(e.kind === 'ride'), 0);
  return (
    <span className="link-state link-later num">
      {build.log.entries.length === 0 ? 'none yet' : due > 0 ? `${due} due` : `${rides} rides`}
    </span>
  );
}
