import { amount } from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { useApp, useBuild, useSend } from '../store/store.ts';
import { Say, Show, useTexts } from '../ui/Show.tsx';
import { useWorkerAnswer } from '../workers/core.ts';
import './legs-do.css';

/** What the legs do on this road under each way of helping, with this build's figures, and the choice among them. */
export function LegsDo() {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const send = useSend();
  const { brief, choice, donor } = build;
  const answer = useWorkerAnswer((worker) => worker.legsDo(build, own), [brief, choice, donor, own], 300);
  const ways = useTexts(answer);
  return (
    <section className="card legs-do" aria-labelledby="legs-do">
      <h2 id="legs-do">What the legs do</h2>
      {ways === null ? (
        <p className="quiet" aria-live="polite">
          Riding the road under each way of helping…
        </p>
      ) : ways.length === 0 ? (
        <p className="quiet">
          Once kit and battery are chosen, and somebody pedals or a throttle drives it: what the legs give on this road
          under each way the kit can help.
        </p>
      ) : (
        <ul className="legs-ways">
          {ways.map((way) => (
            <li key={way.id}>
              <div>
                <strong>{way.words}</strong>
                <p className="quiet">
                  <Say words={way.how} />
                </p>
              </div>
              <div className="legs-give">
                <svg viewBox="0 0 100 8" aria-hidden="true" focusable="false" preserveAspectRatio="none">
                  <rect x="0" y="0" width="100" height="8" className="legs-could" />
                  <rect
                    x="0"
                    y="0"
                    width={100 * (way.couldJ > 0 ? way.giveJ / way.couldJ : 0)}
                    height="8"
                    className="legs-did"
                  />
                </svg>
                {way.couldJ > 0 ? (
                  <span>
                    legs give <Show value={amount(way.giveJ / 3600, 'energy')} /> of the{' '}
                    <Show value={amount(way.couldJ / 3600, 'energy')} /> they could,{' '}
                    <Show value={amount(way.share, 'share')} /> of the work
                  </span>
                ) : (
                  <span>the legs give nothing</span>
                )}
              </div>
              <span className="legs-range num">
                <Show value={amount(way.rangeM, 'way', 0)} />
              </span>
              {way.now ? (
                <span className="legs-now">ridden so</span>
              ) : (
                <button
                  type="button"
                  className="pill"
                  aria-label={`Ride it so: ${way.words}`}
                  onClick={() => {
                    const { wish } = way;
                    if (wish === null)
                      send(buildActions.chose({ field: 'choice.throttle', value: { usesThrottle: true } }));
                    else {
                      if (choice.usesThrottle)
                        send(buildActions.chose({ field: 'choice.throttle', value: { usesThrottle: false } }));
                      send(buildActions.briefEdited({ field: 'brief.assist', value: { assist: wish } }));
                    }
                  }}
                >
                  ride it so
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
