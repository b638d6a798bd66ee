import { ruleCatalog, type RoutedLead, type RuleGroup } from '@sprocket/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useApp, useSend } from '../../store/store.ts';
import { uiActions, type WiringView } from '../../store/uiSlice.ts';
import { FindingList } from '../../sheet/FindingList.tsx';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useScrollToHash } from '../../sheet/useScrollToHash.ts';
import { BarSheet } from './BarSheet.tsx';
import { Checks } from './Checks.tsx';
import { LeadCard } from './LeadCard.tsx';
import { LeadTable } from './LeadTable.tsx';
import { Levers } from './Levers.tsx';
import { LoomSheet } from './LoomSheet.tsx';
import { Power } from './Power.tsx';
import { SettingsSheet } from './SettingsSheet.tsx';
import { WireBoard } from './WireBoard.tsx';
import './wiring.css';

const viewWords: Record<WiringView, string> = {
  leads: 'Leads',
  loom: 'Loom sheet',
  levers: 'Levers and sensors',
  bar: 'Bar',
  power: 'Power and lamps',
  settings: 'Settings',
  checks: 'Meter checks',
};

/** Whose findings each leg of the wiring shows; all of them stand below the leads. */
const groupsOf: Record<WiringView, readonly RuleGroup[]> = {
  leads: ['leads', 'levers', 'controls', 'power'],
  loom: [],
  levers: ['levers', 'controls'],
  bar: ['controls'],
  power: ['power'],
  settings: [],
  checks: [],
};
const groupOf = new Map(ruleCatalog.map((rule) => [rule.id, rule.group]));
const isOf = (view: WiringView, rule: string): boolean => groupsOf[view].includes(groupOf.get(rule) ?? 'frame');

/** What the leads come to, in a few words. */
function inWords(leads: readonly RoutedLead[]): string {
  const count = (verdict: RoutedLead['verdict']): number => leads.filter((l) => l.verdict === verdict).length;
  const parts = [
    [count('short'), 'too short'],
    [count('measure'), 'to lay a string for'],
    [count('unknown'), 'of unknown length'],
    [count('surplus'), 'to stow'],
  ] as const;
  const said = parts.filter(([n]) => n > 0).map(([n, words]) => `${n} ${words}`);
  return `${leads.length} leads${said.length > 0 ? `: ${said.join(', ')}` : ', all right'}`;
}

/** Every lead, plug, lever and setting. */
export function WiringStage() {
  const plan = usePlan();
  const send = useSend();
  useScrollToHash(true);
  const { buildId = '' } = useParams();
  const view = useApp((state) => state.ui.wiringView);
  const [picked, setPicked] = useState<string | null>(null);
  const { all } = plan.wiring;
  if (!all)
    return (
      <>
        <StageHead title="Wiring">
          Where each lead runs, and how long it must be: <strong className="marked">no kit chosen yet</strong>
        </StageHead>
        <section className="card">
          <h2>Choose a kit first</h2>
          <p>
            Its data says which leads it brings, how long they are and what they end in; then each is led along this
            frame. <Link to={`/build/${buildId}/drive`}>Choose one on the Drive stage.</Link>
          </p>
        </section>
      </>
    );
  const lead = all.leads.find((l) => l.id === picked) ?? null;
  return (
    <>
      <StageHead title="Wiring">
        Where each lead runs and how every lever cuts: <strong className="marked">{inWords(all.leads)}</strong>
      </StageHead>
      {view === 'leads' ? <WireBoard wiring={all} picked={picked} onPick={setPicked} /> : null}
      <div className="walk" role="group" aria-label="Parts of the wiring">
        {(Object.keys(viewWords) as WiringView[]).map((v) => (
          <button
            key={v}
            type="button"
            className="leg"
            aria-pressed={v === view}
            onClick={() => send(uiActions.wiringViewed(v))}
          >
            {viewWords[v]}
          </button>
        ))}
      </div>
      {view === 'leads' ? (
        <>
          {lead ? <LeadCard key={lead.id} lead={lead} onClose={() => setPicked(null)} /> : null}
          <LeadTable wiring={all} picked={picked} onPick={setPicked} />
        </>
      ) : null}
      {view === 'loom' ? <LoomSheet wiring={all} /> : null}
      {view === 'levers' ? <Levers wiring={all} /> : null}
      {view === 'bar' ? <BarSheet /> : null}
      {view === 'power' ? <Power wiring={all} /> : null}
      {view === 'settings' ? <SettingsSheet /> : null}
      {view === 'checks' ? <Checks wiring={all} /> : null}
      <FindingList
        title="In this build"
        findings={plan.findings.filter((f) => f.stage === 'wiring' && isOf(view, f.rule))}
      />
    </>
  );
}
