import type { Build, BuildPlan, StageId } from '@sprocket/core';
import type { ComponentType } from 'react';

/** Something the finder leads to: a field, a part. */
export interface Find {
  id: string;
  label: string;
  description: string;
  /** Where it is, below the build’s address. */
  path: string;
}

/** One stage of the work: what rail, router, keys and finder need to know of it. Its screen loads when first opened. */
export interface Stage {
  id: StageId;
  label: string;
  /** The key that jumps to it. */
  key: string;
  /** What it decides, as the start of a sentence. */
  decides: string;
  /** Its screen, loaded when it is first opened. */
  screen: () => Promise<{ Component: ComponentType }>;
  /** What the finder finds on it. */
  finds?: (build: Build, plan: BuildPlan) => Find[];
}
