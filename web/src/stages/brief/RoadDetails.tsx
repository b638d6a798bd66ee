import { Button, NativeSelect, Switch } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { routeLength, surfaces, surfaceWords, writeGpx, type Route, type Stretch } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { db } from '../../storage/db.ts';
import { attempt } from '../../ui/attempt.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { downloadText } from '../../ui/download.ts';
import { WindRose } from './WindRose.tsx';
import { Words } from '../../ui/Show.tsx';

const compass = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** What holds on this road: surface and stops, the wind by its direction, and stretches that differ. */
export function RoadDetails({ route }: { route: Route }) {
  const { brief } = useBuild();
  const send = useSend();
  const edit = (field: string, value: Partial<Route>): void => {
    send(buildActions.routeEdited({ field: `route.${field}`, value }));
  };
  const hasBearings = route.points.some((p) => p.bearing !== undefined);
  const stretch = (i: number, change: Partial<Stretch>): void =>
    edit(`stretch.${i}.${Object.keys(change)[0] ?? ''}`, {
      stretches: route.stretches.map((s, j) => (i === j ? { ...s, ...change } : s)),
    });
  const without = (i: number, key: 'surface' | 'limitMs' | 'stopsPerKm'): void =>
    edit(`stretch.${i}.${key}`, {
      stretches: route.stretches.map((s, j) => {
        if (i !== j) return s;
        const copy = { ...s };
        Reflect.deleteProperty(copy, key);
        return copy;
      }),
    });
  return (
    <section className="card card-wide" aria-labelledby="brief-surface">
      <div className="card-head">
        <h2 id="brief-surface">On this road</h2>
        <span className="row">
          <Button
            size="compact-sm"
            variant="default"
            onClick={() =>
              void attempt(
                `“${route.name}”`,
                db.routes.put({ ...route, source: route.source === 'shelf' ? 'gpx' : route.source, id: route.id }),
              ).then((kept) => {
                if (kept !== undefined)
                  notifications.show({ message: `“${route.name}” is kept for other builds.`, color: 'teal' });
              })
            }
          >
            Keep it for other builds
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() =>
              downloadText(
                `${route.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.gpx`,
                writeGpx(route),
                'application/gpx+xml',
              )
            }
          >
            Save as GPX
          </Button>
        </span>
      </div>
      <div className="road-details">
        <div className="fields fields-three">
          <NativeSelect
            label="Surface"
            value={route.surface}
            data={surfaces.map((value) => ({ value, label: surfaceWords[value] }))}
            onChange={(event) => edit('surface', { surface: event.currentTarget.value as Route['surface'] })}
          />
          <AmountField
            label="Stops on the way"
            dimension="perWay"
            digits={1}
            value={route.stopsPerKm / 1000}
            min={0}
            max={20 / 1000}
            onValue={(si) => edit('stops', { stopsPerKm: si * 1000 })}
          />
          <div className="switches">
            <Switch
              label="Ridden the other way round"
              checked={route.reversed}
              onChange={(event) => edit('reversed', { reversed: event.currentTarget.checked })}
            />
          </div>
          <NativeSelect
            label="Wind comes from"
            value={brief.windFrom === null ? '' : String(Math.round(brief.windFrom / 45) % 8)}
            disabled={!hasBearings}
            data={[
              { value: '', label: hasBearings ? 'ahead, on the way out' : 'ahead: this road has no directions' },
              ...compass.map((word, i) => ({ value: String(i), label: word })),
            ]}
            onChange={(event) => {
              const { value } = event.currentTarget;
              send(
                buildActions.briefEdited({
                  field: 'brief.windFrom',
                  value: { windFrom: value === '' ? null : Number(value) * 45 },
                }),
              );
            }}
          />
        </div>
        {hasBearings ? <WindRose route={route} brief={brief} /> : null}
      </div>
      {route.notes.length > 0 ? (
        <p className="quiet">
          <Words>{route.notes.join(' ')}</Words>
        </p>
      ) : null}
      <h3>Stretches that differ</h3>
      {route.stretches.length === 0 ? (
        <p className="quiet">None: one surface and one count of stops all along.</p>
      ) : null}
      <ul className="stretches">
        {route.stretches.map((s, i) => (
          <li key={i}>
            <AmountField
              label="From"
              dimension="way"
              digits={2}
              value={s.fromM}
              min={0}
              max={1_500_000}
              onValue={(si) => stretch(i, { fromM: si })}
            />
            <AmountField
              label="to"
              dimension="way"
              digits={2}
              value={s.toM}
              min={0}
              max={1_500_000}
              onValue={(si) => stretch(i, { toM: si })}
            />
            <NativeSelect
              label="Surface"
              value={s.surface ?? ''}
              data={[
                { value: '', label: 'as the road' },
                ...surfaces.map((value) => ({ value, label: surfaceWords[value] })),
              ]}
              onChange={(event) =>
                event.currentTarget.value === ''
                  ? without(i, 'surface')
                  : stretch(i, { surface: event.currentTarget.value as Route['surface'] })
              }
            />
            <AmountField
              label="No faster than"
              dimension="speed"
              digits={0}
              value={s.limitMs ?? null}
              min={1}
              max={30}
              placeholder="cruise"
              onValue={(si) => stretch(i, { limitMs: si })}
              onEmpty={() => without(i, 'limitMs')}
            />
            <AmountField
              label="Stops a km"
              dimension="ratio"
              digits={1}
              value={s.stopsPerKm ?? null}
              min={0}
              max={20}
              placeholder="as the road"
              onValue={(si) => stretch(i, { stopsPerKm: si })}
              onEmpty={() => without(i, 'stopsPerKm')}
            />
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() =>
                edit(`stretch.drop.${route.stretches.length}`, { stretches: route.stretches.filter((_, j) => j !== i) })
              }
            >
              Take off<span className="sr"> stretch {i + 1}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Button
        size="compact-sm"
        variant="default"
        disabled={route.stretches.length >= 60}
        onClick={() => {
          const last = route.stretches.at(-1)?.toM ?? 0;
          const total = routeLength(route);
          edit(`stretch.add.${route.stretches.length}`, {
            stretches: [
              ...route.stretches,
              { fromM: last, toM: Math.min(total, last + Math.max(100, total / 5)), surface: 'setts' },
            ],
          });
        }}
      >
        Add a stretch
      </Button>
    </section>
  );
}
