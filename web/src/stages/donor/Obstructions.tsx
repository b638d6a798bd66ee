import { Button, Checkbox, NativeSelect } from '@mantine/core';
import {
  MOST_OBSTRUCTIONS,
  mainTubes,
  mainTubeWords,
  obstructionKinds,
  obstructionKindWords,
  type MainTube,
  type Obstruction,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';

/** Bolt heads, guides and bags that stand into the frame. */
export function Obstructions() {
  const { obstructions } = useBuild().donor;
  const send = useSend();
  const note = (field: string, next: Obstruction[]): void => {
    send(buildActions.obstructionsNoted({ field: `obstruction.${field}`, value: next }));
  };
  const change = (i: number, part: string, by: Partial<Obstruction>): void =>
    note(
      `${i}.${part}`,
      obstructions.map((o, j) => (i === j ? { ...o, ...by } : o)),
    );
  return (
    <section className="card" aria-labelledby="stands-title">
      <h2 id="stands-title">What stands into the frame</h2>
      <p className="quiet">
        Bolt heads, guides, a lock, a bag that stays: each keeps a pack away, unless it can come off.
      </p>
      {obstructions.map((o, i) => (
        <fieldset key={i} className="obstruction">
          <legend>
            {obstructionKindWords[o.kind]} on the {mainTubeWords[o.tube]}
          </legend>
          <div className="fields-tight">
            <NativeSelect
              label="What"
              size="xs"
              value={o.kind}
              data={obstructionKinds.map((value) => ({ value, label: obstructionKindWords[value] }))}
              onChange={(event) => change(i, 'kind', { kind: event.currentTarget.value as Obstruction['kind'] })}
            />
            <NativeSelect
              label="On"
              size="xs"
              value={o.tube}
              data={mainTubes.map((value) => ({ value, label: mainTubeWords[value] }))}
              onChange={(event) => change(i, 'tube', { tube: event.currentTarget.value as MainTube })}
            />
            <AmountField
              label="From the corner"
              dimension="size"
              value={o.alongM}
              min={0}
              max={1.5}
              onValue={(alongM) => change(i, 'along', { alongM })}
            />
            <AmountField
              label="Long"
              dimension="size"
              value={o.lengthM}
              min={0.002}
              max={1}
              onValue={(lengthM) => change(i, 'long', { lengthM })}
            />
            <AmountField
              label="Stands out"
              dimension="size"
              value={o.outM}
              min={0.001}
              max={0.4}
              onValue={(outM) => change(i, 'out', { outM })}
            />
            <Checkbox
              label="can come off"
              checked={o.removable}
              onChange={(event) => change(i, 'removable', { removable: event.currentTarget.checked })}
            />
            <Button
              size="compact-xs"
              variant="subtle"
              aria-label={`Take out ${obstructionKindWords[o.kind]} ${i + 1}`}
              onClick={() =>
                note(
                  `drop.${obstructions.length}`,
                  obstructions.filter((_, j) => j !== i),
                )
              }
            >
              take out
            </Button>
          </div>
        </fieldset>
      ))}
      <Button
        size="compact-sm"
        variant="default"
        disabled={obstructions.length >= MOST_OBSTRUCTIONS}
        onClick={() =>
          note(`add.${obstructions.length}`, [
            ...obstructions,
            { kind: 'bolt', tube: 'downTube', alongM: 0.2, lengthM: 0.012, outM: 0.006, removable: true },
          ])
        }
      >
        Note a thing
      </Button>
    </section>
  );
}
