import { useEffect, useState } from 'react';
import { Link, Outlet, useNavigation, useParams } from 'react-router';
import { readKept } from '../storage/builds.ts';
import { writeSetting } from '../storage/db.ts';
import { buildActions } from '../store/buildSlice.ts';
import { Explain } from './Explain.tsx';
import { Finder } from './Finder.tsx';
import { KeepNotice } from './KeepNotice.tsx';
import { KeySheet } from './KeySheet.tsx';
import { PlanProvider, usePlanState } from './PlanProvider.tsx';
import { Rail } from './Rail.tsx';
import { SpreadProvider } from './SpreadProvider.tsx';
import { useApp, useSend } from '../store/store.ts';
import { Tally } from './Tally.tsx';
import { useSheetKeys } from './useSheetKeys.ts';
import '../drawing/drawing.css';
import './sheet.css';
import './pieces.css';

/** One open build: rail, stage, tally. Opens what the address names. */
export function BuildSheet() {
  const { buildId = '' } = useParams();
  const openId = useApp((state) => state.build.present.build?.id);
  const send = useSend();
  const [missing, setMissing] = useState<string | null>(null);

  useEffect(() => {
    if (openId === buildId) return;
    let wanted = true;
    void readKept(buildId).then((kept) => {
      if (!wanted) return;
      if (kept === undefined) {
        setMissing('No build is kept under this address in this browser.');
        return;
      }
      if (!kept.ok) {
        setMissing(`This build cannot be read: ${kept.problems[0]?.path ?? ''}: ${kept.problems[0]?.message ?? ''}`);
        return;
      }
      setMissing(null);
      send(buildActions.opened(kept.build));
      void writeSetting('last-build', buildId);
    });
    return () => {
      wanted = false;
    };
  }, [buildId, openId, send]);

  if (missing !== null && openId !== buildId) {
    return (
      <main className="lost">
        <h1>Not on this bench</h1>
        <p>{missing}</p>
        <p>
          <Link to="/">Back to your builds</Link>
        </p>
      </main>
    );
  }
  if (openId !== buildId) return <p className="wait">Opening the build…</p>;
  return (
    <PlanProvider>
      <SpreadProvider>
        <OpenSheet />
      </SpreadProvider>
    </PlanProvider>
  );
}

function OpenSheet() {
  const state = usePlanState();
  const { state: going } = useNavigation();
  useSheetKeys();
  if (!state) return <p className="wait">Working out the plan…</p>;
  return (
    <div className="sheet">
      <a className="skip" href="#stage">
        Skip to the stage
      </a>
      <Rail plan={state.plan} />
      <main id="stage" className="stage" tabIndex={-1} aria-busy={going === 'loading'}>
        <KeepNotice />
        <Outlet />
      </main>
      <Tally plan={state.plan} previous={state.previous} />
      <Explain />
      <Finder />
      <KeySheet />
    </div>
  );
}
