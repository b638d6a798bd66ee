import { proofSheet } from '@sprocket/core';
import { useEffect, useState } from 'react';
import { usePlan, usePlanContext } from './PlanProvider.tsx';

/** Wait after the last edit: the rail must not hold up a key. */
const WAIT = 500;

/** How many tests stand at stop: worked out in a pause, and only where something was tried. */
export function useProofStops(): number {
  const context = usePlanContext();
  const { wiring } = usePlan();
  const [stops, setStops] = useState(0);
  const checks = wiring.all?.checks;
  const something = context.build.proving.results.length > 0 || Object.keys(context.build.wiring.checks).length > 0;
  useEffect(() => {
    const timer = setTimeout(
      () => setStops(something ? (proofSheet(context, checks ?? [])?.stops.length ?? 0) : 0),
      something ? WAIT : 0,
    );
    return () => clearTimeout(timer);
  }, [context, checks, something]);
  return stops;
}
