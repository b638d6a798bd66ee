import type { BuildPlan, StageId } from '@sprocket/core';
import { createContext, useContext, type ComponentType } from 'react';
import type { Stage } from './stage.ts';

/** The list of stages, and what of them only an open build shows: given to the sheet by whoever opens it. */
export interface Stages {
  /** In the order of the work. */
  list: readonly Stage[];
  /** How far a stage is that no rule judges, as the rail shows it. */
  standings: Partial<Record<StageId, ComponentType<{ plan: BuildPlan }>>>;
}

const StagesContext = createContext<Stages | null>(null);
export const StagesProvider = StagesContext;

export function useStages(): Stages {
  const stages = useContext(StagesContext);
  if (!stages) throw new Error('no stages here');
  return stages;
}
