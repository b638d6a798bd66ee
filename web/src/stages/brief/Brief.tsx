import { NativeSelect, Switch, TextInput } from '@mantine/core';
import {
  amount,
  legalClasses,
  postureOn,
  purposes,
  purposeWords,
  usualTrailer,
  withLaws,
  type Brief,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { FindingList } from '../../sheet/FindingList.tsx';
import { Show, useWords } from '../../ui/Show.tsx';
import { LegsDo } from '../../sheet/LegsDo.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { RoadDrawing } from './RoadDrawing.tsx';
import { RoadDetails } from './RoadDetails.tsx';
import { Riders } from './Riders.tsx';
import { RoadPicker } from './RoadPicker.tsx';
import { TrailerCard } from './TrailerCard.tsx';
import './brief.css';
import { DraftText } from '../../ui/DraftText.tsx';

const postureWords: Record<NonNullable<Brief['posture']>, string> = {
  tucked: 'Tucked on drop bars',
  handsHigh: 'Drop bars, hands high',
  flatBar: 'Flat bar, leaning',
  upright: 'Upright',
  tandem: 'Tandem, two riders',
  recumbentTrike: 'Recumbent trike',
  uprightTrike: 'Upright trike or box bike',
};
const asOptions = (words: Record<string, string>, keys: readonly string[]) =>
  keys.map((value) => ({ value, label: words[value] ?? value }));

/** Who rides, where, how far: what every later figure is reckoned from. */
export function BriefStage() {
  const w = useWords();
  const build = useBuild();
  const plan = usePlan();
  const send = useSend();
  const { brief } = build;
  const edit = (field: string, value: Partial<Omit<Brief, 'riders' | 'route'>>): void => {
    send(buildActions.briefEdited({ field: `brief.${field}`, value }));
  };
  return (
    <>
      <StageHead title="Brief">
        Who rides, where, and how far it must go:{' '}
        <strong className="marked">
          {brief.route?.name ?? 'no road yet'}, <Show value={amount(plan.brief.neededRangeM, 'way', 0)} /> with the
          reserve
        </strong>
      </StageHead>
      <RoadDrawing />
      <div className="cards">
        <section className="card" aria-labelledby="brief-name">
          <h2 id="brief-name">The build</h2>
          <div className="fields">
            <DraftText
              label="Name"
              value={build.name}
              maxLength={120}
              onValue={(name) => send(buildActions.renamed({ field: 'name', value: { name } }))}
            />
            <TextInput
              label="Variant"
              value={build.variant}
              maxLength={80}
              onChange={(event) =>
                send(buildActions.renamed({ field: 'variant', value: { variant: event.currentTarget.value } }))
              }
            />
            <NativeSelect
              label="Purpose"
              value={brief.purpose}
              data={asOptions(purposeWords, purposes)}
              onChange={(event) => edit('purpose', { purpose: event.currentTarget.value as Brief['purpose'] })}
            />
            <NativeSelect
              className="wide"
              label="Rules to ride by"
              value={brief.legalClass}
              data={withLaws(legalClasses, build.ownLaws).map((c) => ({ value: c.id, label: w(c.name) }))}
              onChange={(event) => edit('legalClass', { legalClass: event.currentTarget.value as Brief['legalClass'] })}
            />
            <AmountField
              label="Budget for parts"
              dimension="money"
              value={brief.budget}
              min={0}
              max={100_000}
              placeholder="open"
              onValue={(si) => edit('budget', { budget: si })}
              onEmpty={() => edit('budget', { budget: null })}
            />
            <AmountField
              label="Weigh at most"
              dimension="mass"
              digits={0}
              value={brief.massTargetKg}
              min={5}
              max={150}
              placeholder="open"
              onValue={(si) => edit('massTargetKg', { massTargetKg: si })}
              onEmpty={() => edit('massTargetKg', { massTargetKg: null })}
            />
            <div className="switches wide">
              <Switch
                label="A carrier brings lithium cells here"
                checked={brief.lithiumDelivered}
                onChange={(event) => edit('lithiumDelivered', { lithiumDelivered: event.currentTarget.checked })}
              />
            </div>
          </div>
        </section>
        <Riders />
        <section className="card" aria-labelledby="brief-range">
          <h2 id="brief-range">How far, how fast, with what</h2>
          <div className="fields">
            <AmountField
              label="Range wanted"
              dimension="way"
              digits={0}
              value={brief.rangeWantedM}
              max={500_000}
              onValue={(si) => edit('rangeWantedM', { rangeWantedM: si })}
            />
            <AmountField
              label="Reserve"
              dimension="share"
              value={brief.reserve}
              max={1}
              onValue={(si) => edit('reserve', { reserve: si })}
            />
            <AmountField
              name="cruise"
              label="Cruising speed"
              dimension="speed"
              digits={0}
              value={brief.cruiseMs}
              min={2}
              max={20}
              onValue={(si) => edit('cruiseMs', { cruiseMs: si })}
            />
            <AmountField
              name="cargo"
              label="Load carried"
              dimension="mass"
              value={brief.cargoKg}
              max={300}
              onValue={(si) => edit('cargoKg', { cargoKg: si })}
            />
            <NativeSelect
              label="Posture"
              value={brief.posture ?? ''}
              data={[
                {
                  value: '',
                  label: `As usual: ${postureWords[postureOn({ ...brief, posture: null }, build.donor.kind)]}`,
                },
                ...asOptions(postureWords, Object.keys(postureWords)),
              ]}
              onChange={(event) =>
                edit('posture', { posture: (event.currentTarget.value || null) as Brief['posture'] })
              }
            />
            <div className="switches">
              <Switch
                label="Load in panniers on the rack"
                checked={brief.panniers}
                onChange={(event) => edit('panniers', { panniers: event.currentTarget.checked })}
              />
              <Switch
                label="Tows a trailer"
                checked={brief.trailer !== null}
                onChange={(event) => edit('trailer', { trailer: event.currentTarget.checked ? usualTrailer() : null })}
              />
            </div>
          </div>
        </section>
        <section className="card" aria-labelledby="brief-day">
          <h2 id="brief-day">The coldest ordinary day</h2>
          <div className="fields">
            <AmountField
              label="Temperature"
              dimension="temperature"
              value={brief.temperatureC}
              min={-30}
              max={45}
              onValue={(si) => edit('temperatureC', { temperatureC: si })}
            />
            <AmountField
              label={brief.windFrom === null ? 'Headwind going out' : 'Wind’s speed'}
              dimension="speed"
              digits={0}
              value={brief.headwindMs}
              min={0}
              max={20}
              onValue={(si) => edit('headwindMs', { headwindMs: si })}
            />
            <AmountField
              label="Height above sea"
              dimension="height"
              value={brief.altitudeM}
              min={0}
              max={4500}
              onValue={(si) => edit('altitudeM', { altitudeM: si })}
            />
            <Switch
              label="There and back"
              checked={brief.thereAndBack}
              onChange={(event) => edit('thereAndBack', { thereAndBack: event.currentTarget.checked })}
            />
          </div>
        </section>
        {brief.trailer ? <TrailerCard trailer={brief.trailer} /> : null}
        <LegsDo />
        <RoadPicker />
        {brief.route ? <RoadDetails route={brief.route} /> : null}
      </div>
      <FindingList title="What the brief still needs" findings={plan.findings.filter((f) => f.stage === 'brief')} />
    </>
  );
}
