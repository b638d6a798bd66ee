import { Button, FileButton } from '@mantine/core';
import { MOST_CLIMBS, describedRoute, type ReadProblem, type Route } from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { db } from '../../storage/db.ts';
import { soundRoads } from '../../storage/sound.ts';
import { demoIndex, type DemoIndex } from '../../storage/demo.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Problems } from '../../ui/Problems.tsx';
import { readFile } from '../../workers/core.ts';
import { useWords } from '../../ui/Show.tsx';

/** Three ways to a road: pick one from the shelf, drop a GPX file, or describe it. */
export function RoadPicker() {
  const w = useWords();
  const { brief } = useBuild();
  const send = useSend();
  const kept = useLiveQuery(soundRoads, []);
  const [roads, setRoads] = useState<DemoIndex['roads']>([]);
  const [problems, setProblems] = useState<{ file: string; list: ReadProblem[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const [over, setOver] = useState(false);

  useEffect(() => {
    demoIndex()
      .then((index) => setRoads(index.roads))
      .catch(() => setRoads([]));
  }, []);

  const choose = (route: Route): void => {
    setProblems(null);
    send(buildActions.routeChosen({ field: `route.${route.id}.${route.points.length}`, value: route }));
  };
  const read = async (text: string, name: string, source: 'gpx' | 'shelf'): Promise<void> => {
    setBusy(true);
    try {
      const result = await readFile((reader) => reader.readGpx(text, crypto.randomUUID(), name.replace(/\.gpx$/i, '')));
      if (result.ok)
        choose({
          ...result.value,
          source,
          surface: brief.route?.surface ?? 'asphalt',
          stopsPerKm: brief.route?.stopsPerKm ?? 1,
        });
      else setProblems({ file: name, list: result.problems });
    } finally {
      setBusy(false);
    }
  };
  const take = async (file: File | null | undefined): Promise<void> => {
    if (file) await read(await file.text(), file.name, 'gpx');
  };

  const described = brief.route?.description;
  const flatM = described?.flatM ?? 8000;
  const climbs = described?.climbs ?? [{ heightM: 40, lengthM: 800 }];
  const describe = (flat: number, list: readonly { heightM: number; lengthM: number }[]): void => {
    send(
      buildActions.routeChosen({
        field: 'route.described',
        value: describedRoute(
          'described',
          'Road as described',
          flat,
          list,
          brief.route?.surface ?? 'asphalt',
          brief.route?.stopsPerKm ?? 1,
        ),
      }),
    );
  };

  return (
    <section
      className={`card card-wide road-picker${over ? ' dropping' : ''}`}
      aria-labelledby="brief-road"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void take(event.dataTransfer.files[0]);
      }}
    >
      <h2 id="brief-road">The road</h2>
      <div className="road-ways">
        <div>
          <h3>From the shelf</h3>
          {roads.length === 0 ? <p className="quiet">No roads on the shelf.</p> : null}
          <ul className="road-list">
            {roads.map((road) => (
              <li key={road.file}>
                <button
                  type="button"
                  className="road"
                  aria-pressed={brief.route?.name === road.name}
                  onClick={() =>
                    void fetch(`/demo/roads/${road.file}`)
                      .then((answer) => answer.text())
                      .then((text) => read(text, road.file, 'shelf'))
                  }
                >
                  <strong>{road.name}</strong>
                  <span className="quiet">{w(road.note)}</span>
                </button>
              </li>
            ))}
          </ul>
        </div>
        {kept && kept.length > 0 ? (
          <div>
            <h3>Kept from other builds</h3>
            <ul className="road-list">
              {kept.map((road) => (
                <li key={road.id}>
                  <button
                    type="button"
                    className="road"
                    aria-pressed={brief.route?.id === road.id}
                    onClick={() => choose(road)}
                  >
                    <strong>{road.name}</strong>
                    <span className="quiet">
                      {road.stretches.length > 0 ? `${road.stretches.length} stretches of its own` : 'one surface'}
                      {road.reversed ? ', the other way round' : ''}
                    </span>
                  </button>
                  <button type="button" className="link-button" onClick={() => void db.routes.delete(road.id)}>
                    keep it no longer<span className="sr">: {road.name}</span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
        ) : null}
        <div>
          <h3>From a GPX track</h3>
          <p className="quiet">
            Drop a file on this card, or choose one. Heights are smoothed; what was mended is told below.
          </p>
          <FileButton accept=".gpx,application/gpx+xml" onChange={(file) => void take(file)}>
            {(props) => (
              <Button variant="default" size="sm" loading={busy} {...props}>
                Choose a GPX file
              </Button>
            )}
          </FileButton>
        </div>
        <div>
          <h3>In plain words</h3>
          <div className="fields fields-tight">
            <AmountField
              label="Flat distance, one way"
              dimension="way"
              value={flatM}
              min={10}
              max={500_000}
              onValue={(si) => describe(si, climbs)}
            />
            {climbs.map((climb, i) => (
              <div className="pair" key={i}>
                <AmountField
                  label={`Climb ${i + 1}, height`}
                  dimension="height"
                  value={climb.heightM}
                  max={3000}
                  onValue={(si) =>
                    describe(
                      flatM,
                      climbs.map((c, j) => (j === i ? { ...c, heightM: si } : c)),
                    )
                  }
                />
                <AmountField
                  label="over a length of"
                  dimension="way"
                  digits={2}
                  value={climb.lengthM}
                  min={10}
                  max={60_000}
                  onValue={(si) =>
                    describe(
                      flatM,
                      climbs.map((c, j) => (j === i ? { ...c, lengthM: si } : c)),
                    )
                  }
                />
              </div>
            ))}
            <div className="row">
              <Button
                size="compact-sm"
                variant="default"
                disabled={described !== undefined && climbs.length >= MOST_CLIMBS}
                onClick={() => describe(flatM, described ? [...climbs, { heightM: 30, lengthM: 600 }] : climbs)}
              >
                {described ? 'Another climb' : 'Use this description'}
              </Button>
              {described && climbs.length > 0 ? (
                <Button size="compact-sm" variant="subtle" onClick={() => describe(flatM, climbs.slice(0, -1))}>
                  One climb fewer
                </Button>
              ) : null}
            </div>
          </div>
        </div>
      </div>
      {problems ? <Problems file={problems.file} problems={problems.list} onClose={() => setProblems(null)} /> : null}
    </section>
  );
}
