import { Button, NumberInput } from '@mantine/core';
import { cellsByLabel, decimals, kitWatts, labelOf, motorByPlate, type Kit, type Pack } from '@sprocket/core';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { useShelf } from '../../sheet/PlanProvider.tsx';

const share = (of: number): string => `${Math.round(of * 100)} %`;

/** A motor by what one knows of it: volts, amps, and how fast its wheel turns in the air. */
export function MotorByPlate({ kit, onChange }: { kit: Kit; onChange: (change: Partial<Kit>) => void }) {
  const shelf = useShelf();
  const [rpm, setRpm] = useState<number | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const { mostW } = kitWatts(kit);
  const work = (): void => {
    if (rpm === null) return;
    const { family, nominalVolts: volts, motor } = kit;
    const { reduction, gearEfficiency } = motor;
    const found = motorByPlate({ family, mostW, volts, freeRpm: rpm, reduction, gearEfficiency }, shelf.kit);
    if (!found) {
      setSaid('The shelf has too few motors of this kind to compare it with.');
      return;
    }
    onChange({ motor: { ...motor, ktNmPerA: found.ktNmPerA, resistanceOhm: found.resistanceOhm } });
    setSaid(
      `Torque constant ${decimals(found.ktNmPerA, 3)} N·m/A, give or take ${share(found.ktSpread)}; winding ${decimals(found.resistanceOhm, 3)} Ω, give or take ${share(found.resistanceSpread)}. Testing measures both on the finished vehicle.`,
    );
  };
  const output = kit.mid ? 'ring' : 'wheel';
  return (
    <fieldset className="discharge-fit">
      <legend>Not on the data sheet? Work the motor out</legend>
      <p className="quiet">
        Wheel off the ground, full throttle or the cranks turned gently: count how often the {output} turns in a minute.
        With the kit’s volts and its battery current above, {mostW} W at most, that gives the torque constant and about
        what the winding resists.
      </p>
      <div className="fields">
        <NumberInput
          label={`Turns of the ${output} a minute`}
          value={rpm ?? ''}
          min={10}
          max={2000}
          onChange={(value) => setRpm(typeof value === 'number' && value > 0 ? value : null)}
        />
      </div>
      <div className="row">
        <Button size="compact-sm" variant="default" disabled={rpm === null} onClick={work}>
          Work it out
        </Button>
      </div>
      <p aria-live="polite">{said}</p>
    </fieldset>
  );
}

/** A battery by its label: volts and ampere-hours instead of cells. */
export function PackByLabel({ pack, onChange }: { pack: Pack; onChange: (change: Partial<Pack>) => void }) {
  const label = labelOf(pack);
  const [volts, setVolts] = useState<number>(label.volts);
  const [ah, setAh] = useState<number>(label.ah);
  const [said, setSaid] = useState<string | null>(null);
  const work = (): void => {
    const cells = cellsByLabel(pack.chemistry, volts, ah);
    onChange(cells);
    setSaid(
      `${cells.series} cells in a row, ${cells.parallel} beside one another, ${decimals(cells.cellAh, 1)} Ah each. What a cell resists is taken as common: a measured discharge, below, settles it.`,
    );
  };
  return (
    <fieldset className="discharge-fit">
      <legend>Only the label? Work the cells out</legend>
      <div className="fields">
        <AmountField
          label="Volts on its label"
          dimension="voltage"
          value={volts}
          min={6}
          max={120}
          onValue={setVolts}
        />
        <AmountField label="Ampere-hours" dimension="charge" value={ah} min={0.5} max={400} onValue={setAh} />
      </div>
      <div className="row">
        <Button size="compact-sm" variant="default" onClick={work}>
          Work it out
        </Button>
      </div>
      <p aria-live="polite">{said}</p>
    </fieldset>
  );
}
