import { Button, Textarea } from '@mantine/core';
import { decimals, fitDischarge, readDischarge, type Pack } from '@sprocket/core';
import { useState } from 'react';

/** Fits a pack to a discharge with a meter: what it resists, how that rises, and what is left of it. */
export function DischargeFit({ pack, onChange }: { pack: Pack; onChange: (change: Partial<Pack>) => void }) {
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const fit = (): void => {
    const read = readDischarge(text);
    if (!read.ok) {
      setSaid(`Line ${read.line} does not read: three numbers are wanted, Ah, V and A.`);
      return;
    }
    const found = fitDischarge({ ...pack, health: 1 }, read.readings);
    if (typeof found === 'string') {
      setSaid(`${found.charAt(0).toUpperCase()}${found.slice(1)}.`);
      return;
    }
    const { cellOhm, resistanceRise, health, errorV } = found;
    onChange({ cellOhm, resistanceRise, health });
    setSaid(
      `Fitted to ${read.readings.length} readings, off by ${decimals(errorV, 2)} V: a cell resists ${decimals(cellOhm * 1000, 1)} mΩ full and ${decimals(1 + resistanceRise, 1)} times that empty; ${Math.round(health * 100)} % of it is left.`,
    );
  };
  return (
    <fieldset className="discharge-fit">
      <legend>Fit it to a measured discharge</legend>
      <p className="quiet">
        Full and rested, draw the amps it will be ridden at through a meter, and note each few minutes: amp-hours so
        far, volts, amps. Old lead fades by its resistance more than by its charge; this is how the plan learns it. Stop
        at the cut-off, and stay with it.
      </p>
      <Textarea
        label="Ah, V, A: a line each"
        placeholder={'0.7 37.4 9\n1.4 37.0 9\n2.1 36.5 9'}
        autosize
        minRows={3}
        maxRows={12}
        maxLength={20_000}
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <div className="row">
        <Button size="compact-sm" variant="default" disabled={text.trim() === ''} onClick={fit}>
          Fit
        </Button>
      </div>
      <p aria-live="polite">{said}</p>
    </fieldset>
  );
}
