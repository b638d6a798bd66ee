import { Checkbox, Select } from '@mantine/core';
import { amount, surfaces, surfaceWords, type Conditions, type Dimension, type ProofTest } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { today } from '../../ui/today.ts';
import { dayText } from '../../ui/manner.ts';

interface Asked {
  label: string;
  dimension: Dimension;
  min: number;
  max: number;
}

/** Conditions as they are asked for. */
const asked: Partial<Record<keyof Conditions, Asked>> = {
  charge: { label: 'Charge, by the gauge', dimension: 'share', min: 0, max: 1 },
  restV: { label: 'Volts at rest', dimension: 'voltage', min: 1, max: 150 },
  headwindMs: { label: 'Wind against', dimension: 'speed', min: -20, max: 20 },
  temperatureC: { label: 'Temperature', dimension: 'temperature', min: -40, max: 60 },
  massKg: { label: 'All that moves', dimension: 'mass', min: 10, max: 1000 },
  cog: { label: 'Cog, teeth', dimension: 'count', min: 5, max: 80 },
};

/** The conditions a test's band goes by: carried from the last test, typed once a day. */
export function Day({ test }: { test: ProofTest }) {
  const { day, results } = useBuild().proving;
  const send = useSend();
  const context = usePlanContext();
  const asks = test.asks ?? [];
  if (asks.length === 0) return null;
  const set = (value: Partial<Conditions>): void => {
    send(buildActions.daySet({ field: `proving.day.${Object.keys(value).join()}`, value }));
  };
  // Charge, wind and warmth of another day are not today’s.
  const last = results.at(-1)?.at.slice(0, 10);
  const stale = [day.charge, day.restV, day.headwindMs, day.temperatureC].some((v) => v !== null);
  const carried = stale && last !== undefined && last !== today() ? last : null;
  const known = asks.filter((key) => day[key] !== null && day[key] !== false).length;
  const { brief } = context.build;
  const planned: Partial<Record<keyof Conditions, ReturnType<typeof amount> | string>> = {
    charge: 'full',
    headwindMs: amount(brief.headwindMs, 'speed'),
    temperatureC: amount(brief.temperatureC, 'temperature'),
    massKg: amount(context.systemMassKg, 'mass', 0),
    cog: 'the one that pulls hardest',
  };
  return (
    <details className="day" open={known === 0 || undefined}>
      <summary>
        Conditions today: {known === 0 ? 'as planned, nothing looked at' : `${known} of ${asks.length} looked at`}
        {carried ? <strong>, carried over from {dayText(carried)}: look again</strong> : null}
      </summary>
      <div className="fields fields-tight">
        {asks.map((key) => {
          const field = asked[key];
          const value = day[key];
          if (field)
            return (
              <AmountField
                key={key}
                label={field.label}
                dimension={field.dimension}
                value={typeof value === 'number' ? value : null}
                min={field.min}
                max={field.max}
                {...(field.dimension === 'share' ? { digits: 0 } : {})}
                onValue={(si) => set({ [key]: si })}
                onEmpty={() => set({ [key]: null })}
                hint={
                  planned[key] === undefined ? undefined : (
                    <>
                      empty: <Show value={planned[key]} />
                    </>
                  )
                }
              />
            );
          if (key === 'surface')
            return (
              <Select
                key={key}
                label="Surface"
                clearable
                placeholder="smooth asphalt"
                data={surfaces.map((s) => ({ value: s, label: surfaceWords[s] }))}
                value={day.surface}
                onChange={(s) => set({ surface: s as Conditions['surface'] })}
              />
            );
          return key === 'wet' ? (
            <Checkbox
              key={key}
              label="Wet road"
              checked={day.wet}
              onChange={(event) => set({ wet: event.currentTarget.checked })}
            />
          ) : null;
        })}
      </div>
    </details>
  );
}
