import { NativeSelect } from '@mantine/core';
import { hitches, hitchWords, trailerBrakes, type Trailer } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';

const brakeWords: Record<Trailer['brake'], string> = { none: 'none of its own', overrun: 'overrun, by its push' };

/** The trailer as a thing: what it weighs and carries, where it rolls and where it is coupled. */
export function TrailerCard({ trailer }: { trailer: Trailer }) {
  const send = useSend();
  const edit = (field: keyof Trailer, change: Partial<Trailer>): void => {
    send(buildActions.trailerEdited({ field: `brief.trailer.${field}`, value: change }));
  };
  return (
    <section className="card card-wide" aria-labelledby="brief-trailer">
      <h2 id="brief-trailer">The trailer</h2>
      <div className="fields">
        <AmountField
          label="Empty, it weighs"
          dimension="mass"
          value={trailer.massKg}
          min={1}
          max={150}
          onValue={(si) => edit('massKg', { massKg: si })}
        />
        <AmountField
          name="trailer-load"
          label="Load in it"
          dimension="mass"
          value={trailer.loadKg}
          max={300}
          onValue={(si) => edit('loadKg', { loadKg: si })}
        />
        <AmountField
          label="Its maker allows"
          dimension="mass"
          value={trailer.limitKg}
          min={1}
          max={400}
          placeholder="not read"
          onValue={(si) => edit('limitKg', { limitKg: si })}
          onEmpty={() => edit('limitKg', { limitKg: null })}
        />
        <NativeSelect
          label="Wheels"
          value={String(trailer.wheels)}
          data={['1', '2']}
          onChange={(event) => edit('wheels', { wheels: Number(event.currentTarget.value) })}
        />
        <AmountField
          label="Coupling to axle"
          dimension="size"
          digits={0}
          value={trailer.drawbarM}
          min={0.3}
          max={3}
          onValue={(si) => edit('drawbarM', { drawbarM: si })}
        />
        <AmountField
          label="Load’s middle ahead of axle"
          dimension="size"
          digits={0}
          value={trailer.loadAheadM}
          min={-0.5}
          max={1}
          onValue={(si) => edit('loadAheadM', { loadAheadM: si })}
        />
        <NativeSelect
          label="Coupled"
          value={trailer.hitch}
          data={hitches.map((value) => ({ value, label: hitchWords[value] }))}
          onChange={(event) => edit('hitch', { hitch: event.currentTarget.value as Trailer['hitch'] })}
        />
        <AmountField
          label="Coupling behind the axle"
          dimension="size"
          digits={0}
          value={trailer.hitchBackM}
          min={-0.6}
          max={0.8}
          onValue={(si) => edit('hitchBackM', { hitchBackM: si })}
        />
        <AmountField
          label="Coupling above ground"
          dimension="size"
          digits={0}
          value={trailer.hitchUpM}
          min={0.1}
          max={1.2}
          onValue={(si) => edit('hitchUpM', { hitchUpM: si })}
        />
        <NativeSelect
          label="Its brake"
          value={trailer.brake}
          data={trailerBrakes.map((value) => ({ value, label: brakeWords[value] }))}
          onChange={(event) => edit('brake', { brake: event.currentTarget.value as Trailer['brake'] })}
        />
        <AmountField
          label="Width over all"
          dimension="size"
          digits={0}
          value={trailer.widthM}
          min={0.1}
          max={1.5}
          onValue={(si) => edit('widthM', { widthM: si })}
        />
        <AmountField
          label="Tyre’s width"
          dimension="size"
          digits={0}
          value={trailer.tyre.widthM}
          min={0.015}
          max={0.15}
          onValue={(si) => edit('tyre', { tyre: { ...trailer.tyre, widthM: si } })}
        />
        <AmountField
          label="Tyre’s bead seat"
          dimension="size"
          digits={0}
          value={trailer.tyre.beadM}
          min={0.1}
          max={0.75}
          onValue={(si) => edit('tyre', { tyre: { ...trailer.tyre, beadM: si } })}
        />
      </div>
    </section>
  );
}
