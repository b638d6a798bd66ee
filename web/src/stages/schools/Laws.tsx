import { Button, NativeSelect, Switch, TextInput } from '@mantine/core';
import { legalClasses, legalClassSchema, withLaws, type LegalClass } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show, useWords } from '../../ui/Show.tsx';
import { DraftText } from '../../ui/DraftText.tsx';
import { today } from '../../ui/today.ts';
import { dayText } from '../../ui/manner.ts';

const throttles = legalClassSchema.shape.throttle.options;

/** Legal classes as dated data: what each allows, as of when, and a way to correct it. */
export function Laws() {
  const w = useWords();
  const build = useBuild();
  const send = useSend();
  const [open, setOpen] = useState<string | null>(null);
  const laws = withLaws(legalClasses, build.ownLaws);
  const own = new Set(build.ownLaws.map((law) => law.id));
  return (
    <section className="card" aria-labelledby="laws-title">
      <div className="card-head">
        <h2 id="laws-title">Rules to ride by</h2>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => {
            const id = freeId(build.ownLaws);
            send(
              buildActions.lawKept({
                field: `law.${id}`,
                value: {
                  ...(legalClasses[0] as LegalClass),
                  id,
                  name: 'Rules of my own',
                  source: 'own inquiry',
                  asOf: today().slice(0, 7),
                },
              }),
            );
            setOpen(id);
          }}
        >
          Write down another class
        </Button>
      </div>
      <p className="quiet">
        Figures as of the month given; they change. The local authority has the last word, and a correction made here
        goes with this build.
      </p>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Legal classes, scrolls sideways">
        <table className="sum laws">
          <thead>
            <tr>
              <th scope="col">Class</th>
              <th scope="col">Rated</th>
              <th scope="col">Help ends</th>
              <th scope="col">Throttle</th>
              <th scope="col">Age, plate</th>
              <th scope="col">As of</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {laws.map((law) => (
              <tr key={law.id} className={build.brief.legalClass === law.id ? 'chosen' : ''}>
                <th scope="row">
                  {w(law.name)}
                  <span className="from">
                    {law.region}; {law.source}
                  </span>
                </th>
                <td className="num">
                  {law.ratedW === null ? 'any' : <Show value={{ si: law.ratedW, dimension: 'power' }} />}
                </td>
                <td className="num">
                  {law.assistMs === null ? 'any' : <Show value={{ si: law.assistMs, dimension: 'speed', digits: 0 }} />}
                </td>
                <td>{law.throttle}</td>
                <td>
                  {law.leastAge === null ? 'no age set' : `from ${law.leastAge}`}
                  {law.registered ? ', plate' : ''}
                </td>
                <td className="num">{dayText(law.asOf)}</td>
                <td>
                  <Button
                    size="compact-sm"
                    variant="subtle"
                    aria-expanded={open === law.id}
                    aria-label={`Correct ${w(law.name)}`}
                    onClick={() => setOpen(open === law.id ? null : law.id)}
                  >
                    {own.has(law.id) ? 'Yours' : 'Correct'}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {laws
        .filter((law) => law.id === open)
        .map((law) => (
          <LawForm key={law.id} law={law} own={own.has(law.id)} onClose={() => setOpen(null)} />
        ))}
    </section>
  );
}

/** An id that none of the classes has: one taken off frees no place that another stands in. */
function freeId(laws: readonly LegalClass[]): string {
  for (let n = 1; ; n++) if (!laws.some((law) => law.id === `own-${n}`)) return `own-${n}`;
}

function LawForm({ law, own, onClose }: { law: LegalClass; own: boolean; onClose: () => void }) {
  const send = useSend();
  const [asOf, setAsOf] = useState(law.asOf);
  const edit = (change: Partial<LegalClass>): void => {
    // As it was typed: what reads it trims it, but a space at the end is a word begun.
    const value = { ...law, ...change };
    if (legalClassSchema.safeParse(value).success) send(buildActions.lawKept({ field: `law.${law.id}`, value }));
  };
  return (
    <div className="law-form">
      <h3>Correct “{law.name}”</h3>
      <div className="fields fields-three">
        <DraftText label="Name" value={law.name} maxLength={80} onValue={(name) => edit({ name })} />
        <TextInput
          label="Where"
          value={law.region}
          maxLength={120}
          onChange={(e) => edit({ region: e.currentTarget.value })}
        />
        <TextInput
          label="Source"
          value={law.source}
          maxLength={200}
          onChange={(e) => edit({ source: e.currentTarget.value })}
        />
        <AmountField
          label="Rated power allowed"
          dimension="power"
          value={law.ratedW}
          min={1}
          max={20_000}
          placeholder="any"
          onValue={(si) => edit({ ratedW: si })}
          onEmpty={() => edit({ ratedW: null })}
        />
        <AmountField
          label="Help ends at"
          dimension="speed"
          digits={0}
          value={law.assistMs}
          min={0.5}
          max={40}
          placeholder="any"
          onValue={(si) => edit({ assistMs: si })}
          onEmpty={() => edit({ assistMs: null })}
        />
        <NativeSelect
          label="Throttle"
          value={law.throttle}
          data={[...throttles]}
          onChange={(e) => edit({ throttle: e.currentTarget.value as LegalClass['throttle'] })}
        />
        <TextInput
          label="As of, year and month"
          value={asOf}
          error={/^\d{4}-\d{2}$/.test(asOf) ? null : 'A month such as 2026-06.'}
          onChange={(e) => {
            setAsOf(e.currentTarget.value);
            edit({ asOf: e.currentTarget.value });
          }}
        />
        <div className="switches">
          <Switch
            label="Plate, insurance or licence"
            checked={law.registered}
            onChange={(e) => edit({ registered: e.currentTarget.checked })}
          />
        </div>
      </div>
      <div className="row">
        <Button size="compact-sm" onClick={onClose}>
          Done
        </Button>
        {own ? (
          <Button
            size="compact-sm"
            variant="subtle"
            onClick={() => {
              send(buildActions.lawDropped({ field: `law.drop.${law.id}`, value: law.id }));
              onClose();
            }}
          >
            {legalClasses.some((l) => l.id === law.id) ? 'Back to what was shipped' : 'Take it off the list'}
          </Button>
        ) : null}
      </div>
    </div>
  );
}
