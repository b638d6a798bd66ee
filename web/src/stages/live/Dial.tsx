import type { Amount } from '@sprocket/core';
import type { ReactNode } from 'react';
import { Big } from '../../ui/Show.tsx';

/** One figure of the meter, read at a glance. */
export function Dial({ label, value, note }: { label: string; value: Amount | null; note?: ReactNode }) {
  return (
    <div className="dial">
      <span className="dial-label">{label}</span>
      {value ? <Big value={value} /> : <span className="big">–</span>}
      {note ? <span className="quiet">{note}</span> : null}
    </div>
  );
}
