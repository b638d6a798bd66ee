import { useLocation } from 'react-router';
import { NativeSelect } from '@mantine/core';
import type { Arrival, Kit } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { useWords } from '../../ui/Show.tsx';

/** One size of a kit that is worth a caliper on the day it comes. */
interface Measured {
  key: Exclude<keyof Arrival, 'rimHoles' | 'rimHoleLine' | 'leads'>;
  label: string;
  said: number | undefined;
}

function sizesOf({ hub, mid, controls }: Kit): Measured[] {
  return [
    ...(hub
      ? ([
          { key: 'axleDiameterM', label: 'Axle, round', said: hub.axleDiameterM },
          { key: 'axleFlatsM', label: 'Axle across flats', said: hub.axleFlatsM },
          { key: 'washerBoreM', label: 'Washers, bore', said: hub.washerBoreM },
          { key: 'armBoreM', label: 'Arms, bore', said: hub.armBoreM },
          { key: 'dropoutSpacingM', label: 'Across its faces', said: hub.dropoutSpacingM },
          { key: 'rimInnerM', label: 'Rim between its hooks', said: hub.rimInnerM },
          { key: 'rotorRoomM', label: 'Rotor’s plane to cover', said: hub.rotorRoomM },
        ] satisfies Measured[])
      : []),
    ...(mid
      ? ([{ key: 'ringOutM', label: 'Ring outside the shell’s face', said: mid.ringOutM }] satisfies Measured[])
      : []),
    ...(controls
      ? ([
          { key: 'loomM', label: 'Loom, bar to plug', said: controls.loomM },
          { key: 'plugM', label: 'Widest plug', said: controls.plugM },
        ] satisfies Measured[])
      : []),
  ];
}

/** Sizes as they came, above the data sheet: the plan is judged with them before the return date. */
export function ArrivalSheet({ kit, data }: { kit: Kit; data: Kit | undefined }) {
  const w = useWords();
  const { arrivals } = useBuild();
  const { hash } = useLocation();
  const send = useSend();
  const here: Arrival = arrivals[kit.id] ?? {};
  const set = (key: keyof Arrival, value: Arrival[keyof Arrival]): void => {
    send(
      buildActions.arrivalMeasured({
        field: `arrival.${kit.id}.${key}`,
        value: { part: kit.id, change: { [key]: value } },
      }),
    );
  };
  const count = Object.keys(here).length;
  return (
    <details className="card arrival" id="as-it-came" open={count > 0 || hash === '#as-it-came'}>
      <summary>
        <h2>As it came</h2>
        <span className="quiet">
          {count === 0
            ? 'measure on the day it arrives: what you find counts above the data sheet'
            : `${count} measured, and judged with`}
        </span>
      </summary>
      <div className="fields">
        {sizesOf(data ?? kit).map(({ key, label, said }) => (
          <AmountField
            key={key}
            label={label}
            dimension="size"
            value={here[key] ?? null}
            min={key === 'ringOutM' ? -0.03 : 0.0005}
            max={4}
            placeholder={said === undefined ? 'not said' : w(`${Math.round(said * 10_000) / 10} mm by its data`)}
            onValue={(si) => set(key, si)}
            onEmpty={() => set(key, undefined)}
          />
        ))}
        {(data ?? kit).wiring?.leads
          .filter((l) => l.id !== 'loom')
          .map((l) => (
            <AmountField
              key={`lead-${l.id}`}
              label={`${l.what}, whole length`}
              dimension="size"
              digits={0}
              value={here.leads?.[l.id] ?? null}
              min={0.02}
              max={6}
              placeholder={w(`${Math.round(l.lengthM * 1000)} mm by its data`)}
              onValue={(si) => set('leads', { ...here.leads, [l.id]: si })}
              onEmpty={() => {
                const rest = { ...here.leads };
                Reflect.deleteProperty(rest, l.id);
                set('leads', Object.keys(rest).length === 0 ? undefined : rest);
              }}
            />
          ))}
        {kit.hub && kit.hub.beadsM.length > 0 ? (
          <>
            <NativeSelect
              label="Its rim’s holes, by fingertip"
              value={here.rimHoles ?? ''}
              data={[
                { value: '', label: 'not felt yet' },
                { value: 'smooth', label: 'smooth' },
                { value: 'sharp', label: 'sharp' },
              ]}
              onChange={(event) => set('rimHoles', (event.currentTarget.value || undefined) as Arrival['rimHoles'])}
            />
            <NativeSelect
              label="Its rim’s holes stand"
              value={here.rimHoleLine ?? ''}
              data={[
                { value: '', label: 'not looked at' },
                { value: 'centred', label: 'in one line' },
                { value: 'staggered', label: 'in two lines' },
              ]}
              onChange={(event) =>
                set('rimHoleLine', (event.currentTarget.value || undefined) as Arrival['rimHoleLine'])
              }
            />
          </>
        ) : null}
      </div>
    </details>
  );
}
