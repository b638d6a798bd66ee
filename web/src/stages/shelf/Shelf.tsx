import { Button, NativeSelect } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import {
  amount,
  driveFamilyWords,
  partKinds,
  starterShelf,
  kitWatts,
  withoutControls,
  type Part,
  type PartKind,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { shelfActions } from '../../store/shelfSlice.ts';
import { useApp, useBuild, useSend } from '../../store/store.ts';
import { db } from '../../storage/db.ts';
import { attempt } from '../../ui/attempt.ts';
import { StageHead } from '../../sheet/StageHead.tsx';
import { PartForm } from './PartForm.tsx';
import './shelf.css';
import { Show, useWords } from '../../ui/Show.tsx';

/** Kinds of part, as the shelf's pills name them. */
const kindWords: Record<PartKind, string> = {
  kit: 'Kits',
  pack: 'Packs',
  ring: 'Rings',
  cluster: 'Cogs',
  hubGear: 'Hub gears',
  rim: 'Rims',
  fitting: 'Fittings',
  consumable: 'Used up',
  tool: 'Tools',
  service: 'Services',
  cable: 'Cable',
  fuse: 'Fuses',
  plug: 'Plugs',
  control: 'Controls',
  extension: 'Extensions',
  adapter: 'Adapters',
  precharge: 'Pre-charge leads',
  charger: 'Chargers',
};

/** What tells one part from another of its kind, in a line. */
function partLine(part: Part): string {
  switch (part.kind) {
    case 'kit':
      return `${driveFamilyWords[part.family]} · ${part.nominalVolts} V · ${part.ratedW} W rated, ${kitWatts(part).mostW} W at most`;
    case 'pack':
      return `${part.chemistry.toUpperCase()} ${part.series}s${part.parallel}p · ${Math.round(part.outline.lengthM * 1000)} × ${Math.round(part.outline.heightM * 1000)} mm`;
    case 'ring':
      return `${part.teeth} teeth · ${part.mount}`;
    case 'cluster':
      return `${part.mount} · ${part.cogs.join('-')}`;
    case 'hubGear':
      return `${part.ratios.length} gears · ${part.ratios[0]} to ${part.ratios.at(-1)}`;
    case 'rim':
      return `${Math.round(part.innerM * 1000)}-${Math.round(part.beadM * 1000)} · ${part.holes} holes`;
    case 'consumable':
      return `${part.amount} ${part.unit}`;
    case 'cable':
      return `${part.mm2} mm² · ${part.amps} A · a metre`;
    case 'fuse':
      return `${part.amps} A · ${part.volts} V`;
    case 'plug':
      return `${part.poles} poles · ${part.amps} A · head ${Math.round(part.headM * 1000)} mm`;
    case 'control':
      return `${part.role} · ${part.plug ? `${part.plug.family}, ${part.plug.poles} poles` : 'no lead'}`;
    case 'extension':
      return `${Math.round(part.lengthM * 1000)} mm · ${part.amps} A`;
    case 'adapter':
      return `${part.amps} A · ${part.note}`;
    case 'precharge':
      return `${part.ohm} Ω · ${part.watts} W for a second`;
    case 'charger':
      return `${part.chemistry.toUpperCase()} ${part.series} in a row · ${part.amps} A · ${part.plug.family}`;
    case 'fitting':
    case 'tool':
    case 'service':
      return part.note;
  }
}

/** The shelf: parts to choose from, and the person's own, made by changing a copy. */
export function ShelfStage() {
  const w = useWords();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const used = useBuild().ownParts;
  const send = useSend();
  const [kind, setKind] = useState<PartKind>('kit');
  const [editing, setEditing] = useState<Part | null>(null);
  const parts: readonly Part[] = shelf[kind];
  const [from, setFrom] = useState('');

  const begin = (part: Part, copy: boolean): void => {
    setEditing(
      copy ? { ...part, id: `own-${crypto.randomUUID().slice(0, 8)}`, name: `My ${part.name}`, maker: '' } : part,
    );
  };
  const keep = async (typed: Part): Promise<void> => {
    const part = withoutControls(typed);
    if ((await attempt(`“${part.name}”`, db.parts.put(part))) === undefined) return;
    send(shelfActions.ownPartSaved(part));
    // The open build carries a copy of what it uses: it follows.
    if (used.some((p) => p.id === part.id)) send(buildActions.ownPartKept({ field: `own.${part.id}`, value: part }));
    setEditing(null);
    notifications.show({ message: `“${part.name}” is on the shelf, in every build.`, color: 'teal' });
  };
  const remove = (part: Part): void => {
    void db.parts.delete(part.id);
    send(shelfActions.ownPartRemoved(part.id));
    const id = `gone-${part.id}`;
    notifications.show({
      id,
      color: 'marmalade',
      message: (
        <span className="notice">
          “{part.name}” was taken off the shelf.
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              void attempt(`“${part.name}”`, db.parts.put(part));
              send(shelfActions.ownPartSaved(part));
              notifications.hide(id);
            }}
          >
            Put it back
          </Button>
        </span>
      ),
    });
  };
  return (
    <>
      <StageHead title="Shelf">
        Parts to choose from:{' '}
        <strong className="marked">
          {partKinds.reduce((sum, k) => sum + starterShelf[k].length, 0)} that came with the app
        </strong>
        , {own.length} of your own
      </StageHead>
      <div className="pills shelf-kinds" role="group" aria-label="Kind of part">
        {partKinds.map((k) => (
          <button
            key={k}
            type="button"
            className="pill"
            aria-pressed={k === kind}
            onClick={() => {
              setKind(k);
              setEditing(null);
              setFrom('');
            }}
          >
            {kindWords[k]}
          </button>
        ))}
      </div>
      {editing ? (
        <PartForm
          key={editing.id}
          part={editing}
          onKeep={(part) => void keep(part)}
          onCancel={() => setEditing(null)}
        />
      ) : (
        <section className="card set-up" aria-labelledby="shelf-own">
          <h2 id="shelf-own">Add your own</h2>
          <p className="quiet">Start from the part most like it, then change what your data sheet says otherwise.</p>
          <div className="row">
            <NativeSelect
              aria-label="Part most like yours"
              value={from}
              data={[
                { value: '', label: 'the part most like yours…' },
                ...parts.map((p) => ({ value: p.id, label: p.name })),
              ]}
              onChange={(event) => setFrom(event.currentTarget.value)}
            />
            <Button
              disabled={from === ''}
              onClick={() => {
                const part = parts.find((p) => p.id === from);
                if (part) begin(part, true);
              }}
            >
              Start from it
            </Button>
          </div>
        </section>
      )}
      <ul className="shelf-list">
        {parts.map((part) => {
          const mine = own.some((p) => p.id === part.id);
          return (
            <li key={part.id}>
              <span>
                <strong>{part.name}</strong>{' '}
                {mine ? <span className="own">your own</span> : <span className="quiet">{part.maker}</span>}
                <span className="quiet shelf-line">{w(partLine(part))}</span>
              </span>
              <span className="num">
                <Show value={amount(part.massKg, 'mass')} />
              </span>
              <span className="num">{part.price}</span>
              <span className="row">
                {mine ? (
                  <>
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => begin(part, false)}
                      aria-label={`Change ${part.name}`}
                    >
                      Change
                    </Button>
                    <Button
                      size="compact-sm"
                      variant="subtle"
                      onClick={() => remove(part)}
                      aria-label={`Take ${part.name} off the shelf`}
                    >
                      Take off
                    </Button>
                  </>
                ) : (
                  <Button
                    size="compact-sm"
                    variant="subtle"
                    onClick={() => begin(part, true)}
                    aria-label={`Copy ${part.name}`}
                  >
                    Copy
                  </Button>
                )}
              </span>
            </li>
          );
        })}
      </ul>
    </>
  );
}
