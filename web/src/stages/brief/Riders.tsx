import { Button, NativeSelect, NumberInput, Switch, TextInput } from '@mantine/core';
import {
  decimals,
  EFFORT_WATTS,
  efforts,
  mountings,
  seatRoom,
  seats,
  seatWords,
  usualRider,
  type Effort,
  type Rider,
  type Seat,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';

const mountingWords = { any: 'swings a leg over', lowStep: 'needs a low step', seated: 'needs to be seated' } as const;
const effortNames: Record<Effort, string> = {
  none: 'none, throttle only',
  easy: 'easy',
  steady: 'steady',
  brisk: 'brisk',
  hard: 'hard',
};
const effortWords = (effort: Effort): string =>
  EFFORT_WATTS[effort] === 0 ? effortNames[effort] : `${effortNames[effort]}, ${EFFORT_WATTS[effort]} W`;
const STAYS = 'stays';

const nameOf = (rider: Rider, i: number): string =>
  (rider.name === '' ? `Rider ${i + 1}` : rider.name.split(',')[0]) ?? '';

/** Everybody who rides it: what they weigh, what they give, and who of them is on it and where. */
export function Riders() {
  const build = useBuild();
  const { brief } = build;
  const send = useSend();
  const [shown, setShown] = useState(brief.aboard[0]?.rider ?? 0);
  const at = Math.min(shown, brief.riders.length - 1);
  const rider = brief.riders[at];
  if (!rider) return null;
  const place = brief.aboard.find((a) => a.rider === at);
  const edit = (field: string, change: Partial<Rider>): void => {
    send(buildActions.riderEdited({ field: `rider.${at}.${field}`, value: { index: at, change } }));
  };
  const seat = (to: Seat | null, pedals = true): void => {
    send(buildActions.riderSeated({ field: `rider.${at}.seat`, value: { rider: at, seat: to, pedals } }));
  };
  const steers = brief.riders[brief.aboard[0]?.rider ?? 0];
  // Every seat there is: what this kind of vehicle lacks says so, and what is full is told by a finding.
  const offered = seats.map((value) => {
    const { places } = seatRoom(value, build.donor);
    const there = brief.aboard.filter((a) => a.seat === value && a.rider !== at).length;
    const room =
      places === 0 ? ', not on this kind' : value !== 'main' && there > 0 ? `, ${there} of ${places} taken` : '';
    return { value, label: `${seatWords[value]}${room}` };
  });
  return (
    <section className="card" aria-labelledby="brief-rider">
      <div className="card-head">
        <h2 id="brief-rider">Who rides</h2>
        <div className="pills">
          {brief.riders.map((r, i) => {
            const sits = brief.aboard.find((a) => a.rider === i);
            return (
              <button
                key={i}
                type="button"
                className={sits ? 'pill pill-aboard' : 'pill'}
                aria-pressed={i === at}
                onClick={() => setShown(i)}
              >
                {nameOf(r, i)}
                <span className="pill-seat">{sits ? seatWords[sits.seat] : 'not aboard'}</span>
              </button>
            );
          })}
          <button
            type="button"
            className="pill pill-add"
            disabled={brief.riders.length >= 8}
            onClick={() => {
              send(
                buildActions.riderAdded({
                  field: `rider.add.${brief.riders.length}`,
                  value: { ...usualRider(), name: `Rider ${brief.riders.length + 1}` },
                }),
              );
              setShown(brief.riders.length);
            }}
          >
            + another
          </button>
        </div>
      </div>
      <div className="fields">
        <TextInput
          label="Name"
          value={rider.name}
          maxLength={60}
          onChange={(event) => edit('name', { name: event.currentTarget.value })}
        />
        <NativeSelect
          label="On this ride"
          value={place?.seat ?? STAYS}
          disabled={place?.seat === 'main'}
          description={
            place === undefined && steers
              ? `Who steers now gets off if this rider steers: ${nameOf(steers, brief.aboard[0]?.rider ?? 0)}.`
              : null
          }
          data={[{ value: STAYS, label: 'not aboard' }, ...offered]}
          onChange={(event) => {
            const { value } = event.currentTarget;
            seat(value === STAYS ? null : (value as Seat));
          }}
        />
        <AmountField
          key={`mass${at}`}
          name="rider-mass"
          label="Mass, dressed"
          dimension="mass"
          value={rider.massKg}
          min={5}
          max={250}
          onValue={(si) => edit('massKg', { massKg: si })}
        />
        <AmountField
          key={`height${at}`}
          label="Height"
          dimension="stature"
          value={rider.statureM}
          min={0.5}
          max={2.4}
          onValue={(si) => edit('statureM', { statureM: si })}
        />
        <NativeSelect
          label="Effort"
          value={rider.effort}
          data={efforts.map((value) => ({ value, label: effortWords(value) }))}
          onChange={(event) => edit('effort', { effort: event.currentTarget.value as Effort })}
        />
        <AmountField
          key={`inseam${at}`}
          label="Inseam"
          dimension="stature"
          value={rider.inseamM}
          min={0.3}
          max={1.2}
          placeholder={`${decimals(0.47, 2)} of the height`}
          onValue={(si) => edit('inseamM', { inseamM: si })}
          onEmpty={() => edit('inseamM', { inseamM: null })}
        />
        <NativeSelect
          label="Getting on"
          value={rider.mounting}
          data={mountings.map((value) => ({ value, label: mountingWords[value] }))}
          onChange={(event) => edit('mounting', { mounting: event.currentTarget.value as (typeof mountings)[number] })}
        />
        <NumberInput
          label="Age, where the legal class asks"
          value={rider.ageYears ?? ''}
          min={0}
          max={120}
          allowDecimal={false}
          onChange={(value) => edit('ageYears', { ageYears: typeof value === 'number' ? value : null })}
        />
        <div className="switches">
          <Switch
            label="Never shifts: stays in the middle gear"
            checked={rider.neverShifts}
            onChange={(event) => edit('neverShifts', { neverShifts: event.currentTarget.checked })}
          />
          {place && (place.seat === 'main' || place.seat === 'second') ? (
            <Switch
              label="Pedals along"
              checked={place.pedals}
              onChange={(event) => seat(place.seat, event.currentTarget.checked)}
            />
          ) : null}
        </div>
        {brief.riders.length > 1 ? (
          <div>
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() =>
                send(buildActions.riderRemoved({ field: `rider.remove.${brief.riders.length}`, value: at }))
              }
            >
              Take {nameOf(rider, at)} off the list
            </Button>
          </div>
        ) : null}
      </div>
    </section>
  );
}
