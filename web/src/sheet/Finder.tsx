import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import '@mantine/spotlight/styles.css';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { usePlan } from './PlanProvider.tsx';
import { useStages } from './stages.ts';
import { useTexts } from '../ui/Show.tsx';
import { useBuild, useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';

/** Sheets of their own, besides the stages. */
const sheets: readonly (readonly [string, string, string])[] = [
  ['faults', 'Fault finder', 'The test that tells most for the least trouble, and a practice bench'],
  ['live', 'Live ride', 'What the meter says, what the plan said, how far it still goes'],
  ['ride', 'Ride sheet', 'The road step by step, as planned and otherwise'],
];

/** Finds a stage, a part, a verdict or a field by its words. */
export function Finder() {
  const navigate = useNavigate();
  const { buildId = '' } = useParams();
  const send = useSend();
  const build = useBuild();
  const plan = usePlan();
  const { list } = useStages();
  const found = useMemo<SpotlightActionData[]>(() => {
    const go = (path: string) => () => void navigate(`/build/${buildId}/${path}`);
    return [
      ...list.map((s) => ({
        id: `stage-${s.id}`,
        label: s.label,
        description: s.decides,
        keywords: ['stage'],
        onClick: go(s.id),
      })),
      ...sheets.map(([id, label, description]) => ({
        id: `sheet-${id}`,
        label,
        description,
        keywords: ['sheet'],
        onClick: go(id),
      })),
      ...list.flatMap((s) =>
        (s.finds?.(build, plan) ?? []).map(({ id, label, description, path }) => ({
          id,
          label,
          description,
          onClick: go(path),
        })),
      ),
      ...plan.findings.map((f) => ({
        id: `finding-${f.rule}`,
        label: f.title,
        description: `Verdict · ${f.verdict}`,
        onClick: () => send(uiActions.explained({ kind: 'finding', finding: f })),
      })),
    ];
  }, [navigate, buildId, send, build, plan, list]);
  const actions = useTexts(found);
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
