import { Button, FileButton } from '@mantine/core';
import {
  amount,
  legalClasses,
  quickAnswers,
  roadSaid,
  withLaws,
  withPointed,
  withRoad,
  type AnswerId,
  type Dimension,
  type ReadProblem,
  type Understood,
} from '@sprocket/core';
import { useId, useState, type ReactNode } from 'react';
import { useBuild } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Problems } from '../../ui/Problems.tsx';
import { Show, useWords } from '../../ui/Show.tsx';
import { readFile } from '../../workers/core.ts';
import { useBegun } from './useBegun.ts';

/** Puts an answer in. */
function usePoint(): (id: AnswerId, says: Understood) => void {
  const build = useBuild();
  const begun = useBegun();
  return (id, says) => begun(`start.${id}`, withPointed(build, says));
}

/** Six answers: wheels, who rides with what, the road, how far, what it may cost, by which rules. */
export function Answers() {
  const build = useBuild();
  const point = usePoint();
  const w = useWords();
  const { brief, donor, start } = build;
  const said = (id: AnswerId): boolean => start.said[id] !== undefined;
  const bead = donor.survey.rearTyre?.value.beadM;
  const rider = brief.riders[brief.aboard[0]?.rider ?? 0]?.massKg ?? null;
  const near = (a: number | undefined | null, b: number): boolean =>
    a !== undefined && a !== null && Math.abs(a - b) <= Math.abs(b) * 1e-6 + 1e-9;
  return (
    <>
      <Asked legend="How large are the wheels?" guess={!said('wheels')}>
        <Pills
          of={quickAnswers.wheels.map(({ name, beadM }) => ({
            key: name,
            words: w(name),
            on: said('wheels') && near(bead, beadM),
            pick: () => point('wheels', { wheels: { beadM, widthM: null } }),
          }))}
        />
      </Asked>
      <Asked legend="Who rides, with what load?" guess={!said('rider')}>
        <Pills
          of={quickAnswers.riderKg.map((kg) => ({
            key: String(kg),
            words: <Show value={amount(kg, 'mass', 0)} />,
            on: said('rider') && near(rider, kg),
            pick: () => point('rider', { rider: { massKg: kg } }),
          }))}
        />
        <Own
          label="Or weighs"
          dimension="mass"
          value={said('rider') ? rider : null}
          max={250}
          min={5}
          onValue={(massKg) => point('rider', { rider: { massKg } })}
        />
        <Pills
          of={quickAnswers.loadKg.map((kg) => ({
            key: String(kg),
            words: (
              <>
                load <Show value={amount(kg, 'mass', 0)} />
              </>
            ),
            on: said('load') && near(brief.cargoKg, kg),
            pick: () => point('load', { load: { massKg: kg } }),
          }))}
        />
      </Asked>
      <Road said={said} near={near} />
      <Asked legend="How far between two charges?" guess={!said('range') && !said('way')}>
        <Pills
          of={quickAnswers.rangeM.map((m) => ({
            key: String(m),
            words: <Show value={amount(m, 'way', 0)} />,
            on: said('range') && near(brief.rangeWantedM, m),
            pick: () => point('range', { range: { lengthM: m } }),
          }))}
        />
        <Own
          label="Or this far"
          dimension="way"
          value={said('range') ? brief.rangeWantedM : null}
          max={500_000}
          onValue={(lengthM) => point('range', { range: { lengthM } })}
        />
      </Asked>
      <Asked legend="What may it cost?" guess={!said('budget')}>
        <Pills
          of={quickAnswers.budget.map((sum) => ({
            key: String(sum),
            words: <Show value={amount(sum, 'money')} />,
            on: said('budget') && near(brief.budget, sum),
            pick: () => point('budget', { budget: { amount: sum } }),
          }))}
        />
        <Own
          label="Or up to"
          dimension="money"
          value={said('budget') ? brief.budget : null}
          max={100_000}
          onValue={(sum) => point('budget', { budget: { amount: sum } })}
        />
      </Asked>
      <Asked legend="By which rules?" guess={!said('rules')}>
        <Pills
          of={withLaws(legalClasses, build.ownLaws).map((law) => ({
            key: law.id,
            words: w(law.name),
            on: said('rules') && brief.legalClass === law.id,
            pick: () => point('rules', { rules: { classId: law.id } }),
          }))}
        />
      </Asked>
    </>
  );
}

/** The road: a length and a hill in plain words, or a track. */
function Road({
  said,
  near,
}: {
  said: (id: AnswerId) => boolean;
  near: (a: number | undefined | null, b: number) => boolean;
}) {
  const build = useBuild();
  const begun = useBegun();
  const point = usePoint();
  const w = useWords();
  const [problems, setProblems] = useState<{ file: string; list: ReadProblem[] } | null>(null);
  const [over, setOver] = useState(false);
  const { route } = build.brief;
  const is = roadSaid(build.brief);
  const take = async (file: File | null | undefined): Promise<void> => {
    if (!file) return;
    const text = await file.text();
    const name = file.name.replace(/\.gpx$/i, '');
    const read = await readFile((reader) => reader.readGpx(text, crypto.randomUUID(), name));
    setProblems(read.ok ? null : { file: file.name, list: read.problems });
    if (read.ok) begun(`start.road.${read.value.id}`, withRoad(build, read.value));
  };
  return (
    <div
      className={over ? 'dropping' : undefined}
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
      <Asked legend="What is the road like?" guess={!said('hill') && !said('way')}>
        <Pills
          of={quickAnswers.hills.map(({ name, says }) => ({
            key: name,
            words: w(name),
            on:
              said('hill') &&
              is.hill?.count === says.count &&
              (says.count === 0 || near(is.hill.grade, says.grade ?? 0)),
            pick: () => point('hill', { hill: says }),
          }))}
        />
        <div className="start-way">
          <Own
            label="One way"
            dimension="way"
            value={said('way') ? (is.way?.lengthM ?? null) : null}
            max={500_000}
            min={100}
            onValue={(lengthM) => point('way', { way: { lengthM } })}
          />
          <FileButton accept=".gpx,application/gpx+xml" onChange={(file) => void take(file)}>
            {(props) => (
              <Button variant="default" size="compact-sm" {...props}>
                Drop or choose a GPX track
              </Button>
            )}
          </FileButton>
        </div>
        {route?.source === 'gpx' ? <p className="quiet">{route.name}</p> : null}
        {problems ? <Problems file={problems.file} problems={problems.list} onClose={() => setProblems(null)} /> : null}
      </Asked>
    </div>
  );
}

function Asked({ legend, guess, children }: { legend: string; guess: boolean; children: ReactNode }) {
  return (
    <fieldset className={`card asked${guess ? ' asked-open' : ''}`}>
      <legend>{legend}</legend>
      {children}
    </fieldset>
  );
}

interface Pill {
  key: string;
  words: ReactNode;
  on: boolean;
  pick: () => void;
}

/** A choice of a few, by key or thumb; none of them is on before it is picked. */
function Pills({ of }: { of: readonly Pill[] }) {
  const name = useId();
  return (
    <div className="pills">
      {of.map(({ key, words, on, pick }) => (
        <label key={key} className="pill">
          <input type="radio" name={name} checked={on} onChange={pick} />
          <span>{words}</span>
        </label>
      ))}
    </div>
  );
}

function Own({
  label,
  dimension,
  value,
  min = 0,
  max,
  onValue,
}: {
  label: string;
  dimension: Dimension;
  value: number | null;
  min?: number;
  max: number;
  onValue: (si: number) => void;
}) {
  return (
    <div className="own">
      <AmountField
        label={label}
        dimension={dimension}
        digits={0}
        value={value}
        min={min}
        max={max}
        placeholder="guess"
        onValue={onValue}
      />
    </div>
  );
}
