import { lentThings, type FaultTool } from '@sprocket/core';
import { useMemo, useState } from 'react';

const KEPT = 'jolly-sprocket-fault-tools';
/** At hand where nobody said otherwise: what lies in most sheds. */
const USUAL: readonly FaultTool[] = ['multimeter', 'card-2mm', 'loose-magnet', 'pump-gauge', 'chain-gauge', 'scales'];
/** Tools tests may want. */
export const askedTools: readonly FaultTool[] = [
  'multimeter',
  'chain-gauge',
  ...(Object.keys(lentThings) as FaultTool[]),
];

function kept(): FaultTool[] {
  try {
    const text = localStorage.getItem(KEPT);
    const read: unknown = text === null ? null : JSON.parse(text);
    return Array.isArray(read) ? askedTools.filter((t) => read.includes(t)) : [...USUAL];
  } catch {
    return [...USUAL];
  }
}

/** What is at hand for looking: kept in this browser, for a shed does not change with the build. */
export function useTools(): { tools: ReadonlySet<FaultTool>; turn: (tool: FaultTool) => void } {
  const [list, setList] = useState(kept);
  const tools = useMemo(() => new Set(list), [list]);
  return {
    tools,
    turn: (tool) => {
      const next = list.includes(tool) ? list.filter((t) => t !== tool) : [...list, tool];
      setList(next);
      try {
        localStorage.setItem(KEPT, JSON.stringify(next));
      } catch {
        // Without a store it holds for as long as the page is open.
      }
    },
  };
}
