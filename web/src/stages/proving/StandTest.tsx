import type { ProofSheet, ProofTest } from '@sprocket/core';
import { useState } from 'react';
import { useBuild } from '../../store/store.ts';
import { BandMark } from '../../sheet/BandMark.tsx';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';
import { StandFrame } from '../../sheet/StandFrame.tsx';
import { useStopwatch } from '../../sheet/useStopwatch.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { useTrying } from './useTrying.ts';

interface StandTestProps {
  sheet: ProofSheet;
  first: string;
  onLeave: (id: string) => void;
}

/** One test, full screen, read at arm's length and worked with a knuckle. */
export function StandTest({ sheet, first, onLeave }: StandTestProps) {
  const [id, setId] = useState(first);
  const test = sheet.tests.find((t) => t.id === id) ?? (sheet.tests[0] as ProofTest);
  return <StandSheet key={test.id} sheet={sheet} test={test} onGo={setId} onLeave={onLeave} />;
}

function StandSheet({
  sheet,
  test,
  onGo,
  onLeave,
}: {
  sheet: ProofSheet;
  test: ProofTest;
  onGo: (id: string) => void;
  onLeave: (id: string) => void;
}) {
  const build = useBuild();
  const trying = useTrying(sheet, test);
  const watch = useStopwatch(`${build.id} proof ${test.id}`);
  const at = sheet.tests.indexOf(test);
  const next = sheet.tests[at + 1];
  const back = sheet.tests[at - 1];
  const banded = test.readings.find((r) => r.band);
  const asked = test.readings.filter((r) => r.sumOf === undefined);
  const done = (): void => {
    // What was read is kept; a stop is not gone past by a press: it shows itself first.
    if (trying.something) trying.keep();
    else if (next && test.state !== 'stop') onGo(next.id);
  };
  return (
    <StandFrame
      label="One test at a time"
      of="The test"
      head={
        <>
          <strong>{sheet.gates.find((g) => g.id === test.gate)?.name}</strong> · {at + 1} of {sheet.tests.length} ·{' '}
          <ProofSign state={test.state} /> {proofWords[test.state].toLowerCase()}
        </>
      }
      watch={watch}
      plain={!banded}
      at={test.id}
      done={{ words: trying.something ? 'Keep' : test.state === 'stop' ? 'Stopped' : 'Go on', act: done }}
      back={back ? () => onGo(back.id) : null}
      next={next ? () => onGo(next.id) : null}
      onLeave={() => onLeave(test.id)}
    >
      <div className="stand-words">
        <h2>{test.title}</h2>
        {test.caution ? (
          <p className="stand-care">
            <strong>Take care.</strong> {test.caution.text} Ask {test.caution.ask}.
          </p>
        ) : null}
        <p className="stand-line">{test.how}</p>
        {test.state === 'stop' ? (
          <p className="stand-line stand-later">
            <strong>Do not ride until</strong> this is mended and tried again.
          </p>
        ) : null}
        {test.means.map((m) => (
          <p key={m.words} className="stand-line">
            {m.words}
          </p>
        ))}
      </div>
      <div className="stand-side">{banded?.band ? <BandMark reading={banded} band={banded.band} large /> : null}</div>
      {trying.gate ? (
        <p className="stand-line stand-later">
          <strong>Not yet.</strong> {sheet.gates.find((g) => g.id === trying.gate?.id)?.name} is not through.
        </p>
      ) : (
        <div className="stand-extra stand-try">
          {test.sees ? (
            <div role="radiogroup" aria-label="What was seen" className="stand-sights">
              {test.sees.map((s) => (
                <button
                  key={s.id}
                  type="button"
                  role="radio"
                  aria-checked={trying.saw === s.id}
                  className="stand-sight"
                  onClick={() => trying.see(s.id)}
                >
                  <ProofSign state={s.is} /> {s.words}
                </button>
              ))}
            </div>
          ) : null}
          {asked.map((r) => (
            <div key={r.id} className="stand-reading">
              <AmountField
                label={r.what}
                dimension={r.dimension}
                {...(r.digits === undefined ? {} : { digits: r.digits })}
                value={trying.readings[r.id] ?? null}
                onValue={(si) => trying.read(r.id, si)}
                onEmpty={() => trying.read(r.id, null)}
              />
            </div>
          ))}
        </div>
      )}
    </StandFrame>
  );
}
