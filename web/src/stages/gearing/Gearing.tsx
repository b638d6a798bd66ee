import { NativeSelect } from '@mantine/core';
import { decimals, amount, type BuildPlan } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { FindingList } from '../../sheet/FindingList.tsx';
import { Show } from '../../ui/Show.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useKeepOwn } from '../../sheet/useKeepOwn.ts';
import { ChainSheet } from './ChainSheet.tsx';
import { GearDrawing } from './GearDrawing.tsx';
import './gearing.css';

/** Which ring and cogs: what each gear does at the feet and on the hill. */
export function GearingStage() {
  const plan = usePlan();
  const build = useBuild();
  const shelf = useShelf();
  const send = useSend();
  const keepOwn = useKeepOwn();
  const { gearing } = plan;
  const all = {
    rings: [
      ...shelf.ring,
      ...build.ownParts.filter((p) => p.kind === 'ring' && !shelf.ring.some((r) => r.id === p.id)),
    ],
    hubGears: [
      ...shelf.hubGear,
      ...build.ownParts.filter((p) => p.kind === 'hubGear' && !shelf.hubGear.some((h) => h.id === p.id)),
    ],
    clusters: [
      ...shelf.cluster,
      ...build.ownParts.filter((p) => p.kind === 'cluster' && !shelf.cluster.some((c) => c.id === p.id)),
    ],
  };
  return (
    <>
      <StageHead title="Gearing">
        Which ring and cogs:{' '}
        <strong className="marked">
          {gearing.ring} teeth ({gearing.ringFrom}) to{' '}
          {gearing.gears.length === 1
            ? gearing.gears[0]?.label
            : `${gearing.gears[0]?.label} … ${gearing.gears.at(-1)?.label}`}
        </strong>{' '}
        {gearing.gearsFrom}
      </StageHead>
      <GearDrawing plan={plan} cruiseMs={build.brief.cruiseMs} />
      <section className="card set-up" aria-labelledby="gear-choose">
        <h2 id="gear-choose">Change it</h2>
        <div className="fields">
          <NativeSelect
            label="Ring"
            value={build.choice.ringId ?? ''}
            data={[
              {
                value: '',
                label: plan.chosen.kit?.mid ? `the kit’s own, ${plan.chosen.kit.mid.ringTeeth}` : 'the donor’s own',
              },
              ...all.rings.map((r) => ({ value: r.id, label: `${r.name} · ${r.price}` })),
            ]}
            onChange={(event) => {
              const id = event.currentTarget.value;
              const part = all.rings.find((r) => r.id === id);
              if (part) keepOwn(part);
              send(buildActions.chose({ field: 'choice.ring', value: { ringId: id === '' ? null : id } }));
            }}
          />
          <NativeSelect
            label="Cogs"
            value={build.choice.clusterId ?? ''}
            data={[
              { value: '', label: 'the donor’s own' },
              ...all.clusters.map((c) => ({ value: c.id, label: `${c.name} · ${c.price}` })),
            ]}
            onChange={(event) => {
              const id = event.currentTarget.value;
              const part = all.clusters.find((c) => c.id === id);
              if (part) keepOwn(part);
              send(buildActions.chose({ field: 'choice.cluster', value: { clusterId: id === '' ? null : id } }));
            }}
          />
          <NativeSelect
            label="Hub gear to lace in"
            value={build.choice.hubGearId ?? ''}
            data={[
              { value: '', label: 'none, or the donor’s own' },
              ...all.hubGears.map((h) => ({ value: h.id, label: `${h.name} · ${h.price}` })),
            ]}
            onChange={(event) => {
              const id = event.currentTarget.value;
              const part = all.hubGears.find((h) => h.id === id);
              if (part) keepOwn(part);
              send(buildActions.chose({ field: 'choice.hubGear', value: { hubGearId: id === '' ? null : id } }));
            }}
          />
        </div>
      </section>
      <GearTable plan={plan} />
      <ChainSheet />
      <FindingList title="Ring and cogs in this build" findings={plan.findings.filter((f) => f.stage === 'gearing')} />
    </>
  );
}

function GearTable({ plan }: { plan: BuildPlan }) {
  const hub = plan.chosen.kit?.hub !== undefined;
  return (
    <section className="card" aria-labelledby="gear-table">
      <h2 id="gear-table">Gear by gear</h2>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Gears, scrolls sideways">
        <table className="gears">
          <thead>
            <tr>
              <th scope="col">Cog</th>
              <th scope="col">Ring : cog</th>
              <th scope="col">at 60 rpm</th>
              <th scope="col">at 80 rpm</th>
              <th scope="col">rpm at cruise</th>
              <th scope="col">starts on</th>
              <th scope="col">
                holds on <Show value={amount(plan.brief.climbGrade, 'grade')} />
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.gearing.rows.map((gear) => (
              <tr key={gear.label}>
                <th scope="row">{gear.label}</th>
                <td>{decimals(gear.ratio, 2)}</td>
                <td>
                  <Show value={amount(gear.easyMs, 'speed')} />
                </td>
                <td>
                  <Show value={amount(gear.briskMs, 'speed')} />
                </td>
                <td className={gear.cadenceAtCruise > 100 ? 'warn' : ''}>{Math.round(gear.cadenceAtCruise)}</td>
                <td>{gear.startGrade === null ? '–' : <Show value={amount(gear.startGrade, 'grade')} />}</td>
                <td>
                  {gear.climbMs === null ? (
                    '–'
                  ) : gear.climbMs === 0 ? (
                    'stalls'
                  ) : (
                    <Show value={amount(gear.climbMs, 'speed')} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {hub ? (
        <p className="quiet">
          A hub motor does not use the gears: its start is the same in all of them, and the climb differs only by what
          the legs can add.
        </p>
      ) : null}
      {plan.chosen.kit === null || plan.chosen.pack === null ? (
        <p className="quiet">Starts and climbs appear once a kit and a pack are chosen.</p>
      ) : null}
    </section>
  );
}
