import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { isLostChunk, loadAnew } from '../offline/lostChunk.ts';
import { keeper } from '../storage/autosave.ts';

/** Nothing at this address, or a screen that failed: what happened, and the way back. */
export function Lost() {
  const error = useRouteError();
  if (isLostChunk(error)) return <LostChunk />;
  const words =
    error === undefined || error === null
      ? 'There is no sheet at this address.'
      : isRouteErrorResponse(error)
        ? error.statusText
        : error instanceof Error
          ? error.message
          : typeof error === 'string'
            ? error
            : 'Something went wrong, and the error says no more.';
  return (
    <main className="lost">
      <h1>Not on this bench</h1>
      <p>{words}</p>
      <p>
        <Link to="/">Back to your builds</Link>. What you typed is kept.
      </p>
    </main>
  );
}

/** A part of the app that did not load. Before it is loaded anew, what was typed is kept. */
function LostChunk() {
  const [kept, setKept] = useState<'saving' | 'saved' | 'failed'>('saving');
  useEffect(() => {
    let here = true;
    const look = (): void => void (here && setKept(keeper.unsaved.length === 0 ? 'saved' : 'failed'));
    void keeper.flush().then(look);
    const timer = setInterval(look, 1000);
    return () => {
      here = false;
      clearInterval(timer);
    };
  }, []);
  return (
    <main className="lost">
      <h1>This screen did not load</h1>
      <p>
        The app was updated since you opened it, or the connection was lost.{' '}
        {kept === 'saved'
          ? 'Everything you typed is saved.'
          : kept === 'saving'
            ? 'Saving what you typed…'
            : 'Your last edits are not saved yet: the browser refuses them. The app keeps trying.'}
      </p>
      <Button disabled={kept !== 'saved'} onClick={() => void loadAnew()} style={{ justifySelf: 'start' }}>
        Load anew
      </Button>
      <p>
        <Link to="/">Back to your builds</Link>
      </p>
    </main>
  );
}
