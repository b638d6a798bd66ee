import { Button } from '@mantine/core';
import { placeWords, stillBuilt, valueWords, type Otherwise } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';

/** A place of a build as the words for it are found. */
const stepsOf = (path: string): string[] => path.split('.');

/** One thing built otherwise: as planned, as built, why, by whom, and the way back. */
export function ToldRow({ told }: { told: Otherwise }) {
  const build = useBuild();
  const send = useSend();
  const shelf = useShelf();
  const units = useUnits();
  const since = told.changes.length > 0 && !stillBuilt(build, told);
  return (
    <li className="told-row">
      {told.what !== '' ? <p>{told.what}</p> : null}
      {told.changes.map(({ path, was, is }) => (
        <p key={path} className="told-change">
          <span>{placeWords(stepsOf(path))}</span>
          <span className="told-was">
            <span className="sr">planned: </span>
            {valueWords(stepsOf(path), was, shelf, units)}
          </span>
          <span aria-hidden="true">→</span>
          <strong>
            <span className="sr">as built: </span>
            {valueWords(stepsOf(path), is, shelf, units)}
          </strong>
        </p>
      ))}
      <p className="step-why">
        {told.reason} · {told.at.replace('T', ' ')}
        {told.by ? `, ${told.by}` : ''}
        {since ? ' · changed again since, in its own stage' : ''}
      </p>
      <Button
        size="compact-xs"
        variant="default"
        onClick={() =>
          send(buildActions.otherwiseTakenBack({ field: `built.otherwise.${told.id}.back`, value: told.id }))
        }
      >
        {since || told.changes.length === 0 ? 'Take the note off' : 'Back to the plan'}
      </Button>
    </li>
  );
}
