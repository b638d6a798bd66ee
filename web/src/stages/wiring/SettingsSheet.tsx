import { Button } from '@mantine/core';
import { amountText, type SettingEffect, type SettingId, type SettingRow, type WiringChoice } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useApp, useBuild, useSend, useUnits } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { useWorkerAnswer } from '../../workers/core.ts';

type Set = WiringChoice['settings'];
/** Settings that are typed here; the others are chosen where they belong. */
const bounds: Partial<
  Record<SettingId, { key: keyof Set; min: number; max: number; digits: number; whole?: boolean }>
> = {
  circumference: { key: 'circumference', min: 0.2, max: 3, digits: 0 },
  wheelMagnets: { key: 'wheelMagnets', min: 1, max: 60, digits: 0, whole: true },
  batteryAmps: { key: 'batteryAmps', min: 1, max: 200, digits: 1 },
  lowVolts: { key: 'lowVolts', min: 1, max: 100, digits: 1 },
  levels: { key: 'levels', min: 1, max: 9, digits: 0, whole: true },
  startStrength: { key: 'startStrength', min: 0.1, max: 1, digits: 0 },
  pedalPulses: { key: 'pedalPulses', min: 1, max: 48, digits: 0, whole: true },
};

/** Every setting: as sold, as set, as advised, why, and what it does to the plan. */
export function SettingsSheet() {
  const plan = usePlan();
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const effects = useWorkerAnswer((worker) => worker.settingEffects(build, own), [build, own], 500);
  const { settings } = plan.wiring;
  return (
    <section aria-labelledby="settings-sheet" className="settings-sheet">
      <div className="section-head">
        <h2 id="settings-sheet">Settings sheet</h2>
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Settings, scrolls sideways">
        <table className="gears settings-of">
          <thead>
            <tr>
              <th scope="col">Setting</th>
              <th scope="col">As sold</th>
              <th scope="col">Advised</th>
              <th scope="col">As set</th>
              <th scope="col">Why, and what it does</th>
            </tr>
          </thead>
          <tbody>
            {settings.map((row) => (
              <tr key={row.id}>
                <th scope="row">{row.words}</th>
                <td className="num" data-head="as sold">
                  {row.was === null ? '–' : <Show value={row.was} />}
                </td>
                <td className="num" data-head="advised">
                  <Show value={row.advised} />
                </td>
                <td>
                  <AsSet row={row} />
                </td>
                <td>
                  <Say words={row.why} />
                  <Effect effect={effects?.find((e) => e.id === row.id)} waiting={effects === null} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">
        What a setting does is reckoned by riding the road twice, once with each value. A faster limit than its class
        allows makes it another vehicle in law; the local authority has the last word.
      </p>
    </section>
  );
}

function AsSet({ row }: { row: SettingRow }) {
  const { settings } = useBuild().wiring;
  const send = useSend();
  const b = bounds[row.id];
  if (!b) return <span>{row.is === null ? 'not set' : <Show value={row.is} />}</span>;
  const put = (value: number | undefined): void => {
    send(buildActions.settingPut({ field: `wiring.settings.${b.key}`, value: { [b.key]: value } }));
  };
  return (
    <AmountField
      label={<span className="sr">{row.words} as set</span>}
      dimension={row.dimension ?? 'count'}
      digits={b.digits}
      value={settings[b.key] ?? null}
      min={b.min}
      max={b.max}
      placeholder="as sold"
      onValue={(si) => put(b.whole ? Math.round(si) : si)}
      onEmpty={() => put(undefined)}
    />
  );
}

function Effect({ effect, waiting }: { effect: SettingEffect | undefined; waiting: boolean }) {
  const units = useUnits();
  if (!effect) return waiting ? <span className="from">riding it…</span> : null;
  const say = (v: SettingEffect['from']): string => (typeof v === 'string' ? v : amountText(v, units));
  return (
    <span className="from">
      {say(effect.from)} → {say(effect.to)}:{' '}
      {effect.figures.length === 0
        ? 'nothing this road shows'
        : effect.figures.map((f) => `${f.label} ${say(f.from)} → ${say(f.to)}`).join(', ')}
      {effect.law === 'over' ? '; over what its class allows' : ''}
    </span>
  );
}
