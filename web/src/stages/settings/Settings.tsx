import { SegmentedControl, useMantineColorScheme } from '@mantine/core';
import { Link, useNavigate } from 'react-router';
import { useApp, useSend } from '../../store/store.ts';
import { uiActions } from '../../store/uiSlice.ts';
import { Backup } from './Backup.tsx';

/** Units and colour scheme; what is kept and where. */
export function Settings() {
  const units = useApp((state) => state.ui.units);
  const send = useSend();
  const navigate = useNavigate();
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  return (
    <main className="library">
      <p>
        <button type="button" className="link-button" onClick={() => void navigate(-1)}>
          Back
        </button>
        {' · '}
        <Link to="/">All builds</Link>
      </p>
      <h1>Settings</h1>
      <section className="card" aria-labelledby="set-units">
        <h2 id="set-units">Units shown</h2>
        <p className="quiet">Fields take either at any time; this is what figures are shown in.</p>
        <SegmentedControl
          aria-label="Units shown"
          value={units}
          onChange={(value) => send(uiActions.unitsChosen(value === 'imperial' ? 'imperial' : 'metric'))}
          data={[
            { value: 'metric', label: 'mm, km, kg' },
            { value: 'imperial', label: 'in, mi, lb' },
          ]}
        />
      </section>
      <section className="card" aria-labelledby="set-scheme">
        <h2 id="set-scheme">Light</h2>
        <SegmentedControl
          aria-label="Colour scheme"
          value={colorScheme}
          onChange={(value) => setColorScheme(value === 'dark' ? 'dark' : value === 'light' ? 'light' : 'auto')}
          data={[
            { value: 'light', label: 'Drafting paper' },
            { value: 'dark', label: 'Night shed' },
            { value: 'auto', label: 'As the system' },
          ]}
        />
      </section>
      <Backup />
      <section className="card" aria-labelledby="set-kept">
        <h2 id="set-kept">What is kept, and where</h2>
        <p>
          Builds and your own parts stay in this browser and nowhere else. Clearing the browser’s data clears them: save
          a backup now and then, or a build as a file to hand it on.
        </p>
      </section>
      <section className="card" aria-labelledby="set-word">
        <h2 id="set-word">Who has the last word</h2>
        <p>
          Figures are models, good to the accuracy they state. Brakes, axles, batteries and roads can hurt people: local
          rules, the parts’ makers and qualified people have the last word.
        </p>
      </section>
    </main>
  );
}
