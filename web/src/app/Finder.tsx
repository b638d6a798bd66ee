import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { itemsFor } from '@sprocket/core';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { usePlan } from './PlanProvider.tsx';
import { stages } from './stages.ts';
import { useBuild, useSend } from './store.ts';
import { uiActions } from './uiSlice.ts';

/** Finds a stage, a part, a verdict or a field by its words. */
export function Finder() {
  const navigate = useNavigate();
  const { buildId = '' } = useParams();
  const send = useSend();
  const build = useBuild();
  const plan = usePlan();
  const actions = useMemo<SpotlightActionData[]>(() => {
    const go = (path: string) => () => void navigate(`/build/${buildId}/${path}`);
    return [
      ...stages.map((s) => ({
        id: `stage-${s.id}`,
        label: s.label,
        description: s.decides,
        keywords: ['stage'],
        onClick: go(s.id),
      })),
      ...itemsFor(build.donor).map((item) => ({
        id: `item-${item.id}`,
        label: item.label,
        description: `Field · ${item.how}`,
        onClick: () => {
          send(uiActions.itemLit(item.id));
          void navigate(`/build/${buildId}/donor#${item.id}`);
        },
      })),
      ...plan.findings.map((f) => ({
        id: `finding-${f.rule}`,
        label: f.title,
        description: `Verdict · ${f.verdict}`,
        onClick: () => send(uiActions.explained({ kind: 'finding', finding: f })),
      })),
      ...plan.kits.map((k) => ({
        id: `kit-${k.kit.id}`,
        label: k.kit.name,
        description: `Kit · ${k.kit.maker}`,
        onClick: go(`drive#${k.kit.id}`),
      })),
      ...plan.packs.map((p) => ({
        id: `pack-${p.pack.id}`,
        label: p.pack.name,
        description: `Pack · ${p.pack.maker}`,
        onClick: go(`pack#${p.pack.id}`),
      })),
    ];
  }, [navigate, buildId, send, build.donor, plan]);
  return (
    <Spotlight
      actions={actions}
      attributes={{ content: { 'aria-label': 'Find' } }}
      shortcut={['mod + K']}
      tagsToIgnore={[]}
      highlightQuery
      limit={8}
      scrollable
      maxHeight={420}
      nothingFound="Nothing by that name here."
      searchProps={{ placeholder: 'A stage, a part, a rule, a field', 'aria-label': 'Find anything' }}
    />
  );
}
